package page

import (
	"crypto/sha256"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// whole returns all there is on a page, in words.
func whole(p *Page) string {
	var b strings.Builder
	b.WriteString(gist(p))
	fmt.Fprintf(&b, "%+v\n%+v\n%v %d\n", p.Details(), p.Menus(), p.Warnings, p.Lead())
	for i := range p.Blocks {
		fmt.Fprintln(&b, p.Blocks[i].Path())
	}
	for i := range p.Links {
		fmt.Fprintln(&b, p.AnchorText(&p.Links[i]), p.Links[i].Spans)
	}
	for i, token := range p.scan.Tokens {
		fmt.Fprintln(&b, p.scan.Folded(i), p.scan.Start(i), p.scan.End(i), token.NewWord(), token.NewSentence())
	}
	return b.String()
}

// What was kept of a page says all that the page does.
func TestDataIsThePage(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		body := strings.Join(parts.Draw(t, "parts"), "")
		p := Read([]byte(body), Source{URL: "http://ash.example/a"})
		assert.Equal(t, whole(p), whole(FromData(p.Data())), body)
	})
}

// A change of the rules that a page is read by raises their version, so that
// what was kept is read anew. When this fails, raise Rules and write the line
// that it prints into testdata/rules.txt.
func TestRulesVersion(t *testing.T) {
	body, err := os.ReadFile("testdata/rules.html")
	require.NoError(t, err)
	p := Read(body, Source{URL: "http://harborflue.example/"})
	line := fmt.Sprintf("%d %x\n", Rules, sha256.Sum256([]byte(whole(p))))
	kept, err := os.ReadFile("testdata/rules.txt")
	require.NoError(t, err)
	assert.Equal(t, string(kept), line)
}
