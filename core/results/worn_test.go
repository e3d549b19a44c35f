package results

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/url"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"inktally/core/entry"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/html"
)

// labelled is a page with its truth.
type labelled struct {
	name    string
	body    []byte
	entries []truth
}

// labelledPages returns the pages of a form that stand with their truth.
func labelledPages(t *testing.T, form string) (out []labelled) {
	own, err := filepath.Glob("testdata/*" + form)
	require.NoError(t, err)
	for _, name := range own {
		var want struct{ Entries []truth }
		raw, err := os.ReadFile(strings.TrimSuffix(name, form) + ".json")
		require.NoError(t, err)
		require.NoError(t, json.Unmarshal(raw, &want))
		body, err := os.ReadFile(name)
		require.NoError(t, err)
		out = append(out, labelled{filepath.Base(name), body, want.Entries})
	}
	var made []struct {
		File    string
		Entries []truth
	}
	raw, err := os.ReadFile("testdata/made/truth.json")
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(raw, &made))
	for _, m := range made {
		if strings.HasSuffix(m.File, form) {
			body, err := os.ReadFile("testdata/made/" + m.File)
			require.NoError(t, err)
			out = append(out, labelled{m.File, body, m.Entries})
		}
	}
	require.NotEmpty(t, out)
	return out
}

// wrong counts the entries of a page that are not read, and those read that are none.
func wrong(body []byte, want []truth) (missed, spurious []string) {
	keys := func(part entry.Part, position int, title string) string {
		return fmt.Sprintf("%s %d %s", part, position, title)
	}
	var got, right []string
	for _, e := range Read(body, Source{}).Entries {
		got = append(got, keys(e.Part, e.Position, e.Title))
	}
	for _, e := range want {
		key := keys(e.Part, or(e.Position), e.Title)
		right = append(right, key)
		if !slices.Contains(got, key) {
			missed = append(missed, key)
		}
	}
	for _, key := range got {
		if !slices.Contains(right, key) {
			spurious = append(spurious, key)
		}
	}
	return missed, spurious
}

// every calls f for the nodes below a node, the inner ones first.
func every(n *html.Node, f func(*html.Node)) {
	for c := n.FirstChild; c != nil; {
		next := c.NextSibling
		every(c, f)
		c = next
	}
	f(n)
}

// without takes from all elements the attributes of which drop is true.
func without(root *html.Node, drop func(a html.Attribute) bool) {
	every(root, func(n *html.Node) { n.Attr = slices.DeleteFunc(n.Attr, drop) })
}

// renamed gives elements of some names another one.
func renamed(root *html.Node, to string, names ...string) {
	every(root, func(n *html.Node) {
		if n.Type == html.ElementNode && slices.Contains(names, n.Data) {
			n.Data, n.DataAtom = to, 0
		}
	})
}

// wears are ways to write the same page.
var wears = map[string]func(root *html.Node, results []truth){
	"no classes": func(root *html.Node, _ []truth) {
		without(root, func(a html.Attribute) bool { return a.Key == "class" || a.Key == "id" })
	},
	"no roles": func(root *html.Node, _ []truth) {
		without(root, func(a html.Attribute) bool {
			return a.Key == "role" && a.Val != "link" || strings.HasPrefix(a.Key, "item") || a.Key == "aria-label" &&
				!entry.IsRating(a.Val)
		})
	},
	"boxes of one kind": func(root *html.Node, _ []truth) {
		renamed(root, "div", "section", "article", "main", "header", "footer", "nav", "aside", "ul", "ol", "li", "dl",
			"dt", "dd", "p", "figure",
			"x-result", "x-map", "x-place", "x-list", "x-head")
		renamed(root, "span", "cite", "em", "b", "strong", "i", "small", "mark")
	},
	"no headings": func(root *html.Node, _ []truth) { renamed(root, "div", "h1", "h2", "h3", "h4", "h5", "h6") },
	"a box in each box": func(root *html.Node, _ []truth) {
		every(root, func(n *html.Node) {
			if n.Data != "div" && n.Data != "section" && n.Data != "article" && n.Data != "li" {
				return
			}
			in := &html.Node{Type: html.ElementNode, Data: "div"}
			for c := n.FirstChild; c != nil; c = n.FirstChild {
				n.RemoveChild(c)
				in.AppendChild(c)
			}
			n.AppendChild(in)
		})
	},
	"links by way of the page's own": func(root *html.Node, results []truth) {
		every(root, func(n *html.Node) {
			for i, a := range n.Attr {
				if n.Data == "a" && a.Key == "href" && slices.ContainsFunc(results, func(e truth) bool {
					return e.URL != nil && strings.HasPrefix(a.Val, *e.URL)
				}) {
					n.Attr[i].Val = "/go?r=" + url.QueryEscape(a.Val) + "&z=k41"
				}
			}
		})
	},
	"no white space": func(root *html.Node, _ []truth) {
		every(root, func(n *html.Node) {
			if n.Type == html.TextNode && strings.TrimSpace(n.Data) == "" && n.Parent != nil &&
				slices.Contains([]string{"body", "div", "ul", "ol", "section", "main", "article"}, n.Parent.Data) {
				n.Parent.RemoveChild(n)
			}
		})
	},
	"another word for what is paid for": func(root *html.Node, _ []truth) {
		every(root, func(n *html.Node) {
			if n.Type == html.TextNode && entry.IsAdWord(n.Data) && !entry.SeveralAds(n.Data) {
				n.Data = "Paid placement"
			}
		})
	},
}

// How a page is written changes nothing of what it shows: of pages whose tags, classes, links and labels
// are others nineteen of twenty entries are read as before.
func TestOtherTags(t *testing.T) {
	for name, wear := range wears {
		t.Run(name, func(t *testing.T) {
			all, missed, spurious := 0, []string{}, []string{}
			for _, page := range labelledPages(t, ".html") {
				root, err := html.Parse(bytes.NewReader(page.body))
				require.NoError(t, err)
				wear(root, page.entries)
				var b bytes.Buffer
				require.NoError(t, html.Render(&b, root))
				m, s := wrong(b.Bytes(), page.entries)
				all, missed, spurious = all+len(page.entries), append(missed, m...), append(spurious, s...)
			}
			t.Logf("%d of %d missed, %d spurious", len(missed), all, len(spurious))
			assert.LessOrEqual(t, 20*len(missed), all, missed)
			assert.LessOrEqual(t, 20*len(spurious), all, spurious)
		})
	}
}

// How a copied text is parted changes nothing.
func TestOtherLines(t *testing.T) {
	each := func(f func(l string) string) func(string) string {
		return func(s string) string {
			lines := strings.Split(s, "\n")
			for i, l := range lines {
				lines[i] = f(l)
			}
			return strings.Join(lines, "\n")
		}
	}
	ways := map[string]func(string) string{
		"line ends of two signs":   each(func(l string) string { return l + "\r" }),
		"spaces that do not break": each(func(l string) string { return strings.ReplaceAll(l, " ", "\u00a0") }),
		"an empty line behind each": func(s string) string {
			return strings.ReplaceAll(s, "\n", "\n\n")
		},
		"a bullet before each": each(func(l string) string {
			if strings.TrimSpace(l) == "" {
				return l
			}
			return "• " + l
		}),
		"indented": each(func(l string) string { return "    " + l }),
	}
	for name, way := range ways {
		t.Run(name, func(t *testing.T) {
			for _, page := range labelledPages(t, ".txt") {
				missed, spurious := wrong([]byte(way(string(page.body))), page.entries)
				assert.Empty(t, missed, page.name)
				assert.Empty(t, spurious, page.name)
			}
		})
	}
}
