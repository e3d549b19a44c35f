package paper

import (
	"bytes"
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
