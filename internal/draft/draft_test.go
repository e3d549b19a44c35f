package draft

import (
	"archive/zip"
	"bytes"
	"io"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/page"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// packed makes a document of parts.
func packed(t testing.TB, parts map[string]string) []byte {
	var b bytes.Buffer
	z := zip.NewWriter(&b)
	for name, text := range parts {
		w, err := z.Create(name)
		require.NoError(t, err)
		_, err = io.WriteString(w, text)
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return b.Bytes()
}

const open, end = `<?xml version="1.0"?><w:document xmlns:w="w" xmlns:wp="wp"><w:body>`, `</w:body></w:document>`

const styled = `<w:styles xmlns:w="w"><w:style w:styleId="berschrift1"><w:name w:val="heading 1"/></w:style><w:style w:styleId="Heading2"><w:name w:val="x"/></w:style>` +
	`<w:style w:styleId="Titel"><w:name w:val="Title"/></w:style></w:styles>`

func paragraph(style, text string) string {
	return `<w:p><w:pPr><w:pStyle w:val="` + style + `"/></w:pPr><w:r><w:t xml:space="preserve">` + text +
		`</w:t></w:r></w:p>`
}

func TestRead(t *testing.T) {
	document := open + paragraph("berschrift1", "Chimney sweep") + paragraph("",
		"We <b>sweep</b> &amp; mend") + paragraph("Heading2", "Prices") +
		`<w:p><w:pPr><w:numPr/></w:pPr><w:r><w:t>one</w:t></w:r><w:r><w:tab/><w:t>two</w:t></w:r></w:p>` +
		`<w:p><w:del><w:r><w:delText>gone</w:delText></w:r></w:del><w:r><w:t>stays</w:t></w:r></w:p>` +
		`<w:tbl><w:tr><w:tc>` + paragraph("", "a cell") +
		`</w:tc></w:tr></w:tbl><w:p><w:drawing><wp:docPr descr="Our van"/></w:drawing></w:p>` + end
	for name, c := range map[string]struct {
		file, raw string
		format    Format
		html      string
	}{
		"text": {"", "First paragraph\nof two lines.\n\nSecond & last.", Text,
			"<p>First paragraph\nof two lines.</p>\n<p>Second &amp; last.</p>\n"},
		"markdown": {"", "# Chimney sweep\n\nWe *sweep*.\n", Markdown,
			"<h1>Chimney sweep</h1>\n<p>We <em>sweep</em>.</p>\n"},
		"by name":   {"a.md", "Plain words.", Markdown, "<p>Plain words.</p>\n"},
		"text file": {"a.txt", "# 1 fan of ours", Text, "<p># 1 fan of ours</p>\n"},
		"html":      {"", "<h1>Hi</h1><p>You", HTML, "<h1>Hi</h1><p>You"},
		"latin-1":   {"a.txt", "Caf\xe9 \x96 open", Text, "<p>Café – open</p>\n"},
		"word": {"a.docx",
			string(packed(t, map[string]string{"word/document.xml": document, "word/styles.xml": styled,
				"word/vbaProject.bin": "macro"})), Word,
			"<h1>Chimney sweep</h1>\n<p>We &lt;b&gt;sweep&lt;/b&gt; &amp; mend</p>\n<h2>Prices</h2>\n<li>one " +
				"two</li>\n<p>stays</p>\n<p>a cell</p>\n<p><img src=\"picture\" alt=\"Our van\"></p>\n"},
	} {
		t.Run(name, func(t *testing.T) {
			if name == "word" {
				c.raw = string(
					packed(t, map[string]string{
						"word/styles.xml":     styled,
						"word/document.xml":   strings.ReplaceAll(document, "<b>sweep</b>", "&lt;b&gt;sweep&lt;/b&gt;"),
						"word/vbaProject.bin": "macro"}))
			}
			d, err := Read(c.file, []byte(c.raw))
			require.NoError(t, err)
			assert.Equal(t, c.format, d.Format)
			assert.Equal(t, c.html, strings.ReplaceAll(string(d.HTML), "<p></p>\n", ""))
		})
	}
}

func TestBadDrafts(t *testing.T) {
	bomb := packed(t, map[string]string{"word/document.xml": open + strings.Repeat("<w:p/>", 8<<20) + end})
	assert.Less(t, len(bomb), 1<<20, "it is small as it comes")
	deep := packed(t, map[string]string{"word/document.xml": open + strings.Repeat("<w:r>", 2000)})
	for name, c := range map[string]struct {
		file string
		raw  []byte
		want fault.Code
	}{
		"empty":         {"", []byte("  \n"), DraftEmpty.Code},
		"too large":     {"", bytes.Repeat([]byte("word "), 5<<20), DraftTooLarge.Code},
		"a bomb":        {"a.docx", bomb, DraftTooLarge.Code},
		"nested deeply": {"a.docx", deep, DraftUnreadable.Code},
		"a broken zip":  {"a.docx", []byte("PK\x03\x04broken"), DraftUnreadable.Code},
		"no document":   {"a.docx", packed(t, map[string]string{"x": "y"}), DraftUnreadable.Code},
		"broken XML": {"a.docx", packed(t, map[string]string{"word/document.xml": open + "<w:p"}),
			DraftUnreadable.Code},
		"text as docx":   {"a.docx", []byte("words"), DraftUnreadable.Code},
		"the old format": {"a.doc", []byte("\xd0\xcf\x11\xe0\xa1\xb1"), DraftUnreadable.Code},
		"a PDF":          {"a.pdf", []byte("%PDF-1.7"), DraftUnreadable.Code},
		"binary":         {"a", []byte("a\x00b\x00c"), DraftUnreadable.Code},
		"entities abound": {"a.docx",
			packed(t, map[string]string{"word/document.xml": `<!DOCTYPE x [<!ENTITY a "aaaa">]>` + open +
				"<w:p><w:r><w:t>&a;</w:t></w:r></w:p>" + end}), DraftUnreadable.Code},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := Read(c.file, c.raw)
			assert.True(t, fault.Is(err, c.want), "%v", err)
		})
	}
}

func FuzzRead(f *testing.F) {
	f.Add("a.md", []byte("# x\n\n[a](b)"))
	f.Add("a.docx", packed(f, map[string]string{"word/document.xml": open + paragraph("Heading1", "x") + end}))
	f.Fuzz(func(_ *testing.T, name string, raw []byte) {
		if d, err := Read(name, raw); err == nil {
			page.Read(d.HTML, page.Source{})
		}
	})
}

func FuzzWord(f *testing.F) {
	f.Add([]byte(open + paragraph("Heading1", "x") + end))
	f.Fuzz(func(t *testing.T, document []byte) {
		if d, err := Read("a.docx", packed(t, map[string]string{"word/document.xml": string(document)})); err == nil {
			page.Read(d.HTML, page.Source{})
		}
	})
}

// Markdown that costs more than its size, by pairs that are never closed or by nesting, is read as text; what writers
// write stays as it is.
func TestMarkdownIsBounded(t *testing.T) {
	nested := func(n int, line func(i int) string) string {
		var b strings.Builder
		for i := range n {
			b.WriteString(line(i))
		}
		return b.String()
	}
	for name, s := range map[string]string{
		"open links": strings.Repeat("[a](", 50_000), "open emphasis": strings.Repeat("*a_ ", 50_000),
		"brackets": strings.Repeat("[", 200_000), "quotes": strings.Repeat(">", 200_000) + " x",
		"items in a line": strings.Repeat("- ", 100_000) + " x", "numbered": strings.Repeat("1. ", 60_000) + "x",
		"nested items": nested(1000, func(i int) string { return strings.Repeat(" ", 2*i) + "- a\n" }),
		"backticks":    nested(1000, func(i int) string { return strings.Repeat("`", i) + " " }),
		"names":        strings.Repeat("[a]: b\n", 100_000), "images": strings.Repeat("![", 100_000),
		"in items":     strings.Repeat("- "+strings.Repeat("[a](", 290)+"\n", 500),
		"in many":      strings.Repeat(strings.Repeat("*a_ ", 140)+"\n\n", 1000),
		"ends of tags": strings.Repeat("<a ", 200_000), "cdata": strings.Repeat("<![CDATA[", 50_000),
	} {
		t.Run(name, func(t *testing.T) {
			start := time.Now()
			d, err := Read("a.md", []byte(s))
			require.NoError(t, err)
			assert.Less(t, time.Since(start), 2*time.Minute, "however slow the machine is")
			assert.NotEmpty(t, d.HTML)
		})
	}
	_, err := Read("a.md", bytes.Repeat([]byte("word\n"), 1<<20))
	assert.True(t, fault.Is(err, DraftTooLarge.Code), "%v", err)
	list := "# Services\n\n" + strings.Repeat("- [Chimney *sweep*](/a_b) and `more`\n", 200)
	assert.Equal(t, list, tame(list), "a long list of links is one")
	d, err := Read("a.md", []byte("x\n\n"+strings.Repeat("[a](", 400)+"<b>"))
	require.NoError(t, err)
	assert.Contains(t, string(d.HTML), "[a]([a](", "as it was typed")
	assert.Contains(t, string(d.HTML), "&lt;b&gt;")
}

// Documents of few bytes that unfold to much cost no more than may be read of one.
func TestWordIsBounded(t *testing.T) {
	text := map[string]string{"word/document.xml": open + paragraph("", "x") + end}
	with := func(styles string) []byte {
		return packed(t, map[string]string{"word/document.xml": text["word/document.xml"], "word/styles.xml": styles})
	}
	for name, c := range map[string]struct {
		raw  []byte
		want fault.Code // empty for none
	}{
		"styles in styles":   {with(strings.Repeat("<w:style>", 200_000)), ""},
		"styles without end": {with(strings.Repeat("<w:style>", 400_000)), DraftTooLarge.Code},
		"elements": {packed(t, map[string]string{"word/document.xml": open +
			strings.Repeat("<w:p/>", 2_000_000) + end}),
			DraftTooLarge.Code},
	} {
		start := time.Now()
		_, err := Read("a.docx", c.raw)
		assert.Less(t, time.Since(start), 2*time.Minute, name)
		if c.want == "" {
			assert.NoError(t, err, name)
		} else {
			assert.True(t, fault.Is(err, c.want), "%s: %v", name, err)
		}
	}
}
