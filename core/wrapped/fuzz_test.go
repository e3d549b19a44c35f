package wrapped

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"golang.org/x/net/html"
)

// Whatever a link holds, where it leads is nowhere or an address of the web on another site, and the same again.
func FuzzTarget(f *testing.F) {
	for _, href := range []string{"https://a.example/x", "/go?u=https%3A%2F%2Fa.example%2F", "//a.example", "#top",
		"/k/aHR0cHM6Ly9hLmV4YW1wbGUvYg", "/go/https://a.example/?q=1", "mailto:a@a.example", "http://[::1", "%zz"} {
		f.Add(href)
	}
	doc, err := html.Parse(strings.NewReader(`<!-- saved from url=(0021)https://find.example/ --><a href="/x">x</a>`))
	if err != nil {
		f.Fatal(err)
	}
	links := Of(doc, "https://find.example/")
	f.Fuzz(func(t *testing.T, href string) {
		target := links.Target(href)
		if target == "" {
			return
		}
		u := Address(target)
		if assert.NotNil(t, u, target) {
			assert.False(t, links.isOwn(u), target)
		}
	})
}
