package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"sort"
	"strings"
	"testing"

	"inktally/core/text"
	"inktally/e2e/browser"
	"inktally/internal/practice"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// measured is what the command line says of a page.
type measured struct {
	URL         string `json:"url"`
	Title       string `json:"title"`
	Description string `json:"description"`
	Words       struct{ Seen, Copy, Hidden int }
	Headings    []struct {
		Level int
		Text  string
		Words int
	}
	Images []struct {
		File    string
		Verdict string
	}
	Phrases []struct {
		Phrase       string
		Exact, Loose map[string]int
	}
	Warnings []string
}

// measure runs the command line on a file.
func measure(t *testing.T, args ...string) (m measured) {
	t.Helper()
	var out, failed bytes.Buffer
	cmd := exec.Command(binary, append([]string{"measure", "--json"}, args...)...)
	cmd.Stdout, cmd.Stderr = &out, &failed
	require.NoError(t, cmd.Run(), failed.String())
	require.NoError(t, json.Unmarshal(out.Bytes(), &m))
	return m
}

// agrees compares what the command line says with what the browser shows.
func agrees(t *testing.T, name string, m measured, facts browser.Facts) {
	t.Helper()
	assert.Equal(t, text.Words(facts.Text), m.Words.Seen, "words seen of %s", name)
	assert.Equal(t, facts.Title, m.Title, "title of %s", name)
	heads, files, shown := []string{}, []string{}, []string{}
	for _, h := range m.Headings {
		heads = append(heads, fmt.Sprint(h.Level, " ", h.Text))
	}
	for _, i := range m.Images {
		files = append(files, i.File)
	}
	for _, h := range facts.Headings {
		shown = append(shown, fmt.Sprint(h.Level, " ", h.Text))
	}
	assert.Equal(t, shown, heads, "headings of %s", name)
	assert.Equal(t, facts.Images, files, "image names of %s", name)
}

// For every page of the demo the figure on screen, that of the command line
// and that of the browser are equal.
func TestFiguresAgree(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer web.Close()
	ctx := browser.Start(t, map[string]any{
		"host-resolver-rules": "MAP *.example:80 " + web.Addr() + ", MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"})
	p := demo(t)
	client, page := brindle(t, p)
	sheet := get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, page))
	onScreen := map[string]view.Column{}
	for _, c := range sheet.Columns {
		onScreen[c.URL] = c
	}
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.until(`document.querySelectorAll('[data-cell=seen]').length === 5`)
	cells := eval[[]int](s,
		`[...document.querySelectorAll('[data-cell=seen]')].map(c => +c.querySelector('.figure').textContent.replace(/,/g, ''))`)
	pages, screens := 0, 0
	for host, paths := range practice.Sites() {
		for _, path := range paths {
			address := "http://" + host + path
			if strings.HasPrefix(chainPage+"/", address) && path != "/" {
				continue // drawn by script: TestRenderedPage
			}
			file := filepath.Join("../internal/practice/sites", host, path)
			if strings.HasSuffix(path, "/") {
				file = filepath.Join(file, "index.html")
			}
			var args []string
			for _, f := range sheet.Families {
				for _, member := range f.Members {
					if !member.Also {
						args = append(args, "--phrase", member.Text)
					}
				}
			}
			args = append(args, "--place", "Tarn Harbor, ME", "--url", address, file)
			m := measure(t, args...)
			facts := browser.Read(t, ctx, address)
			if strings.Contains(facts.Text, "not now") {
				facts = browser.Read(t, ctx, address)
			}
			agrees(t, address, m, facts)
			pages++
			c, ok := onScreen[address]
			if !ok {
				continue
			}
			screens++
			assert.Equal(t, m.Words.Seen, c.Words.Seen)
			assert.Equal(t, m.Words.Copy, c.Words.Copy)
			assert.Equal(t, m.Words.Hidden, c.Words.Hidden)
			assert.Contains(t, cells, m.Words.Seen)
			assert.Len(t, c.Headings, len(m.Headings))
			at := 0
			for i, f := range c.Families {
				exact := 0
				for k, member := range sheet.Families[i].Members {
					if member.Also {
						continue // of a family of its own
					}
					if k == 0 {
						assert.Equal(t, m.Phrases[at].Loose["total"], f.Loose.Total, "%s: %s", address,
							m.Phrases[at].Phrase)
					}
					exact += m.Phrases[at].Exact["total"]
					at++
				}
				assert.Equal(t, exact, f.Exact.Total, "%s: %s", address, sheet.Families[i].Lead)
			}
		}
	}
	assert.GreaterOrEqual(t, pages, 11)
	assert.Equal(t, 5, screens)
}

// A page made at random, of which the counts are known beforehand, is counted
// so by the command line and by the browser.
func TestGeneratedPagesAgree(t *testing.T) {
	ctx := browser.Start(t, nil)
	for seed := range 12 {
		g := generate(rand.New(rand.NewPCG(uint64(seed), 17)))
		file := filepath.Join(t.TempDir(), "page.html")
		require.NoError(t, os.WriteFile(file, []byte(g.html), 0o600))
		m := measure(t, "--phrase", "flue liner ostrey", file)
		facts := browser.Read(t, ctx, "file://"+file)
		agrees(t, fmt.Sprint("page of seed ", seed, "\n", g.html), m, facts)
		assert.Equal(t, g.seen, m.Words.Seen)
		assert.Equal(t, g.copied, m.Words.Copy)
		assert.Equal(t, g.hidden, m.Words.Hidden)
		assert.Len(t, m.Images, g.pics)
		assert.Equal(t, g.exact, m.Phrases[0].Exact["total"])
		assert.Equal(t, g.loose, m.Phrases[0].Loose["total"])
		assert.Equal(t, g.subheads, m.Phrases[0].Exact["subheads"])
		assert.Equal(t, g.elsewhere, m.Phrases[0].Exact["elsewhere"])
		sum := 0
		for _, h := range m.Headings {
			sum += h.Words
		}
		assert.LessOrEqual(t, sum, m.Words.Copy)
	}
}

// generated is a page with its counts.
type generated struct {
	html                                    string
	seen, copied, hidden                    int
	exact, loose, subheads, elsewhere, pics int
}

// generate makes a page of parts in random order, each of which says what it
// adds to the counts.
func generate(r *rand.Rand) generated {
	var g generated
	var b strings.Builder
	filler := func(n int) string {
		pool := []string{"soot", "well-kept", "24/7", "$1,500", "it's", "naïve", "brick", "– ", "& "}
		var words []string
		for len(words) < n {
			w := pool[r.IntN(len(pool))]
			if strings.HasSuffix(w, " ") {
				continue
			}
			words = append(words, w)
		}
		return strings.Join(words, " ")
	}
	parts := []func(){
		func() { n := 1 + r.IntN(30); fmt.Fprintf(&b, "<p>%s</p>\n", filler(n)); g.seen += n; g.copied += n },
		func() {
			n := 1 + r.IntN(9)
			fmt.Fprintf(&b, "<p>%s flue liner Ostrey %s</p>", filler(n), filler(2))
			g.seen += n + 5
			g.copied += n + 5
			g.exact++
		},
		func() {
			b.WriteString("<p>In Ostrey every <b>li</b>ner fits its flue.</p>")
			g.seen += 7
			g.copied += 7
			g.loose++
		},
		func() {
			n := 2 + r.IntN(4)
			fmt.Fprintf(&b, "<h%d>%s</h%[1]d>", n, "Flue <span>Liner</span> Ostrey")
			g.seen += 3
			g.copied += 3
			g.exact++
			g.subheads++
		},
		func() { b.WriteString("<h2><img src=x.png></h2><h3 hidden>gone</h3>"); g.hidden++; g.pics++ },
		func() {
			b.WriteString("<nav><a href=/>Home</a> <a href=/f>Flue liner Ostrey</a></nav>")
			g.seen += 4
			g.exact++
			g.elsewhere++
		},
		func() { b.WriteString("<div style='display:none'>three hidden words</div>"); g.hidden += 3 },
		func() {
			b.WriteString("<details><summary>two seen</summary>four that are hidden</details>")
			g.seen += 2
			g.copied += 2
			g.hidden += 4
		},
		func() { b.WriteString("<ul><li>one<li>two<br>three</ul>"); g.seen += 3; g.copied += 3 },
		func() {
			b.WriteString("<p>flue liner.<p>Ostrey<p>chim<i hidden>x</i>ney")
			g.seen += 4
			g.copied += 4
			g.hidden++
		},
		func() { b.WriteString("<table><tr><td>a<td>b<tr><td>c</table>"); g.seen += 3; g.copied += 3 },
		func() { fmt.Fprintf(&b, "<img src='/pics/%c-name-300x200.jpg?v=2'>", 'a'+rune(r.IntN(26))); g.pics++ },
		func() { b.WriteString("<div class=gone>class hidden</div>"); g.hidden += 2 },
		func() {
			b.WriteString("<script>not words</script><noscript>none</noscript><select><option>no</select>")
		},
		func() { b.WriteString("<p>東京 two</p>"); g.seen += 3; g.copied += 3 },
	}
	b.WriteString("<!doctype html><html lang=en><meta charset=utf-8><title>Made " +
		"up</title><style>.gone{display:none}</style><body><main>")
	for range 20 + r.IntN(30) {
		parts[r.IntN(len(parts))]()
	}
	b.WriteString("</main>")
	g.html = b.String()
	return g
}

// The files of the practice web are all reached by an address.
func TestPracticeSites(t *testing.T) {
	var hosts []string
	for host := range practice.Sites() {
		hosts = append(hosts, host)
	}
	sort.Strings(hosts)
	assert.Equal(t, []string{"brindleandash.example", "deepledge.example", "emberparts.example", "fenwickwell.example",
		"gullwingcovers.example", "harborflue.example",
		"hearthnotes.example", "hearthway.example", "lanternsweeps.example", "needleandtack.example",
		"neighborlist.example", "oldsaltbox.example",
		"springhollow.example", "thchimney.example", "townledger.example"}, hosts)
}
