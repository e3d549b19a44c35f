package survey

import (
	"context"
	"fmt"
	"net/http"
	"runtime"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// heldMB is what is held after all that can be taken back was.
func heldMB() int {
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	return int(m.HeapAlloc >> 20)
}

// A survey holds no pages: of many large ones it holds next to nothing, and it ends at what it may read, which is told
// with the pages that it left.
func TestLargePages(t *testing.T) {
	text := strings.Repeat("<p>Some words about chimneys and flues in a town by the sea.</p>", 2500) // 160 KB
	binder := site.NewBinder(phrase.LanguageOf("en", nil, phrase.Corrections{}), nil, nil)
	serve := func(w http.ResponseWriter, r *http.Request) {
		var links strings.Builder
		for i := range 40 {
			fmt.Fprintf(&links, `<a href="/p%d">page %d</a> `, i, i)
		}
		html(w, r.URL.Path+links.String()+text)
	}
	before := heldMB()
	most := atomic.Int64{}
	found, _, err := visit(t, "http://brindle.example/", Options{Lightly: true, Gist: gists(binder, ""),
		Seen: func(visited, _ int) {
			if visited%10 == 0 {
				most.Store(max(most.Load(), int64(heldMB())))
			}
		}}, serve)
	require.NoError(t, err)
	require.Nil(t, found.Stopped)
	assert.Len(t, found.Visited, 41)
	assert.Less(t, int(most.Load())-before, 45, "MB held while pages of 6 MB were read")
	tree := site.Survey{Visited: found.Visited, Binder: binder, Low: func(site.Kind) int { return 500 }}.Tree()
	assert.Len(t, tree.Pages, 41)
	assert.Less(t, heldMB()-before, 45, "MB held of pages of 6 MB")

	found, asked, err := visit(t, "http://brindle.example/", Options{Lightly: true, MostBytes: 2 << 20}, serve)
	require.NoError(t, err)
	require.NotNil(t, found.Stopped)
	assert.Equal(t, SiteTooLarge.Code, found.Stopped.Code)
	assert.Less(t, asked, 30)
	assert.NotEmpty(t, found.Missed, "what it knows and left is told")
}

// Links without end and addresses without end cost what a few do, and the end is heard among them.
func TestManyLinks(t *testing.T) {
	long := strings.Repeat("x", 60_000)
	serve := func(w http.ResponseWriter, r *http.Request) {
		var s strings.Builder
		s.WriteString("<nav>")
		for i := range 100_000 {
			fmt.Fprintf(&s, `<a href="%s%d/">a</a>`, r.URL.Path, i)
		}
		for i := range 20 {
			fmt.Fprintf(&s, `<a href="/%s%d">b</a>`, long, i)
		}
		html(w, s.String()+"</nav>")
	}
	before := heldMB()
	start := time.Now()
	found, _, err := visit(t, "http://brindle.example/", Options{Lightly: true, Most: 4}, serve)
	require.NoError(t, err)
	assert.Len(t, found.Visited, 4)
	for _, m := range found.Missed {
		assert.LessOrEqual(t, len(m.URL), longestURL)
	}
	assert.Less(t, heldMB()-before, 60)
	all := time.Since(start)

	ctx, end := context.WithCancel(t.Context())
	c := &crawler{web: Plain{}, domain: "brindle.example", host: "brindle.example", known: map[string]*target{},
		found: map[string]site.Visited{}, leads: map[string]string{}, options: Options{Most: 200}}
	end()
	var s strings.Builder
	for i := range 100_000 {
		fmt.Fprintf(&s, `<a href="/%d/">a</a>`, i)
	}
	p := page.Read([]byte(s.String()), page.Source{URL: "http://brindle.example/"})
	c.link(ctx, p, "brindle.example/")
	assert.Less(t, len(c.known), 2, "one that is given up looks at no links")
	t.Logf("4 pages of 100,000 links: %s", all.Round(time.Millisecond))
}

// What a page's gist holds is bounded, and what is beyond it still counts.
func TestGistIsBounded(t *testing.T) {
	body := "<title>" + strings.Repeat("t", 5000) + "</title>" + strings.Repeat("<h2>Chimney sweep</h2>"+
		"<p>one two three four five six</p><img src=/a.jpg alt='a picture'><a href=/x>x</a>", 20_000)
	p := page.Read([]byte(body), page.Source{URL: "http://brindle.example/"})
	places := []place.Place{{Name: "Tarn Harbor", Home: true}}
	b := site.NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}), nil, nil)
	g := site.GistOf(p, b, "")
	assert.Len(t, g.Title, 1000)
	assert.LessOrEqual(t, len(g.Headings), 500)
	assert.LessOrEqual(t, len(g.Pictures), 1000)
	assert.LessOrEqual(t, len(g.Links), 1000)
	assert.Equal(t, p.Words, g.Words)
	tree := site.Survey{Visited: []site.Visited{{URL: "http://brindle.example/", Gist: g}}, Binder: b,
		Low: func(site.Kind) int { return 500 }}.Tree()
	assert.Equal(t, p.Words.Copy, tree.Pages[0].Own, "alone it repeats nothing")
}
