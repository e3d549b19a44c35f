package export

import (
	"bytes"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/yuin/goldmark"
	"github.com/yuin/goldmark/extension"
	"github.com/yuin/goldmark/renderer/html"
	gohtml "golang.org/x/net/html"
)

// Whatever firms, phrases and files are called, a walk-through is headings, lists and quotes, and nothing else.
func TestWalkMarkdown(t *testing.T) {
	w := Walk{Client: nasty[0], Date: time.Date(2026, 11, 30, 0, 0, 0, 0, time.UTC), Minutes: 6.4}
	for _, text := range append(nasty, "=cmd|' /C calc'!A0", "]]>", "$(reboot)", "\u202Egnp.exe", "a\x00b", "😀") {
		w.Steps = append(w.Steps, WalkStep{Head: text, Shown: []string{text}, Points: []string{text}})
	}
	written := WalkMarkdown(&w)
	assert.Contains(t, string(written), "November 30, 2026, about 6 minutes to say.")
	assert.NotContains(t, string(written), "\u202E")
	assert.NotContains(t, string(written), "\x00")
	var out bytes.Buffer
	reader := goldmark.New(goldmark.WithExtensions(extension.GFM), goldmark.WithRendererOptions(html.WithUnsafe()))
	require.NoError(t, reader.Convert(written, &out))
	headings := 0
	for z := gohtml.NewTokenizer(&out); ; {
		kind := z.Next()
		if kind == gohtml.ErrorToken {
			break
		}
		if kind == gohtml.StartTagToken || kind == gohtml.SelfClosingTagToken || kind == gohtml.CommentToken {
			name, _ := z.TagName()
			assert.Contains(t, []string{"h1", "h2", "ul", "li", "p", "blockquote"}, string(name))
			if string(name) == "h2" {
				headings++
			}
		}
	}
	assert.Equal(t, len(w.Steps), headings, "a heading for each step")
}
