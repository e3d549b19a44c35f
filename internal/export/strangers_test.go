package export

import (
	"bytes"
	"encoding/csv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/yuin/goldmark"
	"github.com/yuin/goldmark/extension"
	"github.com/yuin/goldmark/renderer/html"
	gohtml "golang.org/x/net/html"
	"pgregory.net/rapid"
)

var nasty = []string{
	`<script>alert(1)</script>`, `<img src=x onerror=alert(1)>`, `[click](javascript:alert(1))`,
	`![](http://evil.example/x.png)`, `http://evil.example/a`,
	`www.evil.example`, `a@evil.example`, "a\n\n# heading\n\n<b>x</b>", "`<b>`", `**bold**`, `| a | b |`, "- [x] done",
	"1. one", "***", "---", `\<b>`, `&lt;b&gt;`, `<!-- -->`,
	"```\ncode\n```", "    indented", "[a]: http://evil.example", `<http://evil.example>`, "~~gone~~", "> quote",
	"a  \nb", "ftp://evil.example", "https://evil.example/(x)",
}

// A text of strangers is text in Markdown, whatever reads it.
func TestMarkdownText(t *testing.T) {
	reader := goldmark.New(goldmark.WithExtensions(extension.GFM), goldmark.WithRendererOptions(html.WithUnsafe()))
	check := func(t require.TestingT, text string) {
		var out bytes.Buffer
		require.NoError(t, reader.Convert(
			[]byte("- [ ] say "+MarkdownText(text)+"\n  "+MarkdownText(text)+"\n\n"+MarkdownText(text)+"\n"), &out))
		z := gohtml.NewTokenizer(&out)
		for {
			kind := z.Next()
			if kind == gohtml.ErrorToken {
				return
			}
			if kind == gohtml.StartTagToken || kind == gohtml.SelfClosingTagToken || kind == gohtml.CommentToken {
				name, _ := z.TagName()
				assert.Contains(t, []string{"ul", "li", "input", "p", "br"}, string(name), "%q", text)
			}
		}
	}
	for _, text := range nasty {
		check(t, text)
	}
	rapid.Check(t, func(t *rapid.T) {
		check(t, rapid.StringOf(rapid.RuneFrom([]rune("a <>&[]()!*_`~#+-=|\\:/.@w\n\t1'\"htpsx"))).Draw(t, "text"))
	})
}

// A link leads where it says, to the web alone.
func TestMarkdownLink(t *testing.T) {
	assert.Equal(t, "<http://a.example/b%3Ec>", MarkdownLink("http://a.example/b>c"))
	assert.NotContains(t, MarkdownLink("javascript:alert(1)"), "<")
	assert.NotContains(t, MarkdownLink("http://a.example/> <script>"), "<script")
}

// No cell begins a formula, in whatever dialect a table is read.
func TestNoFormulas(t *testing.T) {
	check := func(t require.TestingT, cells []string) {
		raw, err := CSV([][]string{cells})
		require.NoError(t, err)
		for _, comma := range ",;\t|" {
			r := csv.NewReader(strings.NewReader(strings.TrimPrefix(string(raw), "\ufeff")))
			r.Comma, r.LazyQuotes, r.FieldsPerRecord = comma, true, -1
			rows, err := r.ReadAll()
			require.NoError(t, err)
			for _, row := range rows {
				for _, cell := range row {
					begins := strings.TrimLeft(cell, " \t\r\n\"")
					assert.False(t, begins != "" && strings.ContainsRune("=+-@", rune(begins[0])),
						"%q read with %q: %q", cells, comma, cell)
				}
			}
		}
	}
	for _, cell := range []string{`=1+1`, `x;=cmd`, "x\t=cmd", `x|@SUM(1)`, `x,+1`, `x; =1`, `x;"=1"`, "x\n=1",
		"x\r\n-1", "\t=1", `"=1`, `a;";=1`} {
		check(t, []string{"a", cell, cell})
	}
	rapid.Check(t, func(t *rapid.T) {
		cell := rapid.StringOf(rapid.RuneFrom([]rune("a=+-@,;|\t\n\r\" '")))
		check(t, []string{cell.Draw(t, "one"), cell.Draw(t, "two")})
	})
	row, err := CSV([][]string{{"chimney sweep", "well-kept", "a = b", "24/7"}})
	require.NoError(t, err)
	assert.Equal(t, "\ufeffchimney sweep,well-kept,a = b,24/7\n", string(row), "what is none stays as it is")
}
