package page

import (
	"fmt"
	"runtime"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

// mostHeld is how much a page may hold in memory beside its HTML, times.
const mostHeld = 8

// held returns what a page of some HTML holds in memory, as it is kept at hand.
func held(html []byte) (actual, stated int) {
	var before, after runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&before)
	p := FromData(Read(html, Source{}).Data())
	runtime.GC()
	runtime.GC()
	runtime.ReadMemStats(&after)
	actual, stated = int(after.HeapAlloc)-int(before.HeapAlloc), p.Size()
	runtime.KeepAlive(p)
	return actual, stated
}

// What a page holds in memory is bounded by its HTML, whatever it is made of, and Size tells
// it, so that a bound on bytes bounds.
func TestHeld(t *testing.T) {
	const size = 1 << 19
	for name, unit := range map[string]string{
		"prose":      "<p>The flue is swept and the cap is looked at from the roof.</p>",
		"one word":   "<p>a</p>",
		"no tags":    "a ",
		"lines":      "a<br>",
		"spans":      "<b>a</b> ",
		"headings":   "<h2>a</h2>",
		"links":      "<a href=x>a</a> ",
		"empty":      "<a href=x></a>",
		"images":     "<img src=a.jpg>",
		"items":      "<li>a",
		"cells":      "<td>a",
		"deep":       "<div>a",
		"hidden":     "<p hidden>a</p>",
		"styled":     "<p style='background:url(a.png)'>a</p>",
		"scripts":    "漢",
		"buttons":    "<button>a</button>",
		"fields":     "<input type=email><form></form>",
		"classes":    "<p class=a id=b>a</p>",
		"entities":   "&amp;a ",
		"microdata":  "<i itemscope itemtype=a itemprop=b>a</i>",
		"markers":    "☎ a ",
		"long words": strings.Repeat("a", 300) + " ",
	} {
		t.Run(name, func(t *testing.T) {
			html := []byte(strings.Repeat(unit, size/len(unit)))
			if name == "deep" { // what every page has room for weighs more on a small one
				size := size * 3
				html = []byte(strings.Repeat(strings.Repeat(unit, 100)+strings.Repeat("</div>", 100),
					size/len(unit)/200))
			}
			actual, stated := held(html)
			times := float64(actual) / float64(len(html))
			t.Logf("holds %.1f times its HTML, tells %.1f", times, float64(stated)/float64(len(html)))
			assert.LessOrEqual(t, times, float64(mostHeld))
			assert.GreaterOrEqual(t, float64(stated)*1.3, float64(actual), "Size tells less than there is")
		})
	}
}

// A page of marks without end is read as far as it goes, in a time and a memory that its size
// tells, and says so.
func TestTooMuch(t *testing.T) {
	for name, html := range map[string]string{
		"marks":    "<p>first</p>" + strings.Repeat("<b>a</b> ", 210_000),
		"blocks":   "<p>first</p>" + strings.Repeat("a<br>", 40_000),
		"headings": "<p>first</p>" + strings.Repeat("<h2>a</h2>", 20_000),
		"links":    "<p>first</p>" + strings.Repeat("<a href=x>a</a> ", 20_000),
		"images":   "<p>first</p>" + strings.Repeat("<img src=a.jpg>", 20_000),
	} {
		t.Run(name, func(t *testing.T) {
			p := Read([]byte(html), Source{})
			assert.True(t, p.Warns(TooMuch))
			assert.Equal(t, "first", p.Text(0))
			assert.Less(t, len(p.Blocks), 100_000)
		})
	}
	words := Read([]byte(strings.Repeat("a<br>", 40_000)), Source{}).Words.Seen
	assert.Equal(t, 40_000, words, "words are counted all the same")
	named := "<div id=" + strings.Repeat("x", 1<<20) + ">" + strings.Repeat("<p>a", 10_000)
	for i, b := range Read([]byte(named), Source{}).Data().Blocks {
		assert.LessOrEqual(t, len(b.Path), longestPath+10, i)
	}
	assert.False(t, Read([]byte("<p>one"+strings.Repeat("<li><a href=x>item</a>", 4000)), Source{}).Warns(TooMuch),
		"a long page is no such one")
}

// Of each kind of thing that is told of a page the first are told, however many there are.
func TestDetailsAreBounded(t *testing.T) {
	for name, unit := range map[string]string{
		"mails":    "<p>a<a href='mailto:mail%d@x.example'>a</a>",
		"numbers":  "<p>call 207-555-%04d",
		"calls":    "<p>a<a href='tel:2075550%d'>a</a>",
		"profiles": "<footer><a href='https://social%d.example/a' aria-label='Follow us'>a</a></footer>",
		"data": "<script type='application/ld+json'>" +
			"{\"@type\":\"LocalBusiness\",\"name\":\"a%d\",\"telephone\":\"207-555-0100\"}</script>",
		"menu":  "<li>a<a href=/a>a</a><a href=/%d>b</a></li>",
		"vague": "<p>and the towns nearby %d",
	} {
		t.Run(name, func(t *testing.T) {
			var b strings.Builder
			b.WriteString("<nav><ul>")
			for i := range 20_000 {
				fmt.Fprintf(&b, unit, i)
			}
			p := Read([]byte(b.String()), Source{URL: "https://a.example/"})
			d := p.Details()
			most := 0
			for _, have := range []int{len(d.Mails), len(d.Phones), len(d.Profiles), len(d.Businesses), len(d.Vague)} {
				most = max(most, have)
			}
			assert.LessOrEqual(t, most, mostDetails)
			items := 0
			for _, m := range p.Menus() {
				for _, i := range m {
					items += 1 + len(i.Items)
				}
			}
			assert.LessOrEqual(t, items, 1100)
			assert.Positive(t, most+items)
		})
	}
}
