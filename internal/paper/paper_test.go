package paper

import (
	"archive/zip"
	"bytes"
	"encoding/xml"
	"errors"
	"image"
	"image/png"
	"io"
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

// strange are texts that mean something somewhere.
var strange = append(nasty, "=cmd|' /C calc'!A0", "]]>", "$(reboot)", "{{footer}}", "\u202Egnp.exe", "a\x00b\x07", "😀",
	"\xff\xfe", "مرحبا", strings.Repeat("long", 75), `" onmouseover="alert(1)`, "%s%d", "\uFFFE")

// full is a document with every kind of block, in which all texts are one.
func full(text string) *Paper {
	return &Paper{Title: text, Under: []string{text, text}, Lang: text,
		Letterhead: Letterhead{Name: text, Signature: text, Footer: text, Tone: Pencil, Size: A4},
		Blocks: []Block{Heading{Level: 1, Text: text}, Heading{Level: 2, Text: text, NewPage: true},
			Text{{Text: text}, {Text: text, Style: Wanted}, {Text: text, Link: text}, {Text: text, Style: Struck}},
			Quote(Says(text)), List{Mark: Box, Items: []Item{{Says: As(Mono, text), Under: [][]Run{As(Soft, text)}},
				{Says: Says(text), Inside: true}}},
			List{Items: []Item{{Says: Says(text)}}},
			Table{Head: []string{text, text}, Numbers: 1, Rows: [][]Cell{{Says(text), As(Strong, text)}}},
			Tally{{Name: text, Words: 545, Write: 1455}, {Name: text, Words: 1726, Rival: true}}}}
}

// read is what a document shows: its words, and the names of its elements.
func readWeb(t require.TestingT, raw []byte) (words string, tags map[string]bool) {
	tags = map[string]bool{}
	hidden := false
	var out strings.Builder
	for z := gohtml.NewTokenizer(bytes.NewReader(raw)); ; {
		switch kind := z.Next(); kind {
		case gohtml.ErrorToken:
			require.ErrorIs(t, z.Err(), io.EOF)
			return strings.Join(strings.Fields(out.String()), " "), tags
		case gohtml.TextToken:
			if !hidden {
				out.WriteString(string(z.Text()) + " ")
			}
		case gohtml.CommentToken:
			tags["comment"] = true
		default:
			token := z.Token()
			tags[token.Data] = true
			for _, a := range token.Attr {
				tags[a.Key+"="] = true
			}
			hidden = kind == gohtml.StartTagToken && (token.Data == "style" || token.Data == "title")
		}
	}
}

// readDOCX returns the words of a document for word processors, all parts of which are well formed.
func readDOCX(t require.TestingT, raw []byte) (body string, parts map[string]string) {
	z, err := zip.NewReader(bytes.NewReader(raw), int64(len(raw)))
	require.NoError(t, err)
	parts = map[string]string{}
	for _, f := range z.File {
		r, err := f.Open()
		require.NoError(t, err)
		part, err := io.ReadAll(r)
		require.NoError(t, err)
		if !strings.HasSuffix(f.Name, ".xml") && !strings.HasSuffix(f.Name, ".rels") {
			continue
		}
		var out strings.Builder
		for d := xml.NewDecoder(bytes.NewReader(part)); ; {
			token, err := d.Token()
			if errors.Is(err, io.EOF) {
				break
			}
			require.NoError(t, err, "%s of %q", f.Name, part)
			switch token := token.(type) {
			case xml.CharData:
				out.Write(token)
			case xml.EndElement:
				if token.Name.Local == "p" {
					out.WriteString(" ")
				}
			}
		}
		parts[f.Name] = strings.Join(strings.Fields(out.String()), " ")
	}
	return parts["word/document.xml"], parts
}

// Whatever a text holds, it is nothing but text in each format, and it is in all of them.
func TestStrangers(t *testing.T) {
	allowed := strings.Fields("html head meta title style body h1 h2 h3 p a ul li span strong s table thead tbody " +
		"tr th " +
		"td blockquote svg path footer div img href= rel= class= charset= content= name= http-equiv= lang= d= role= " +
		"aria-label= viewbox= width= height= viewBox=")
	markdown := goldmark.New(goldmark.WithExtensions(extension.GFM), goldmark.WithRendererOptions(html.WithUnsafe()))
	check := func(t require.TestingT, text string) {
		web, tags := readWeb(t, Web(full(text)))
		for tag := range tags {
			assert.Contains(t, allowed, tag, "%q", text)
		}
		assert.NotContains(t, web, "\u202E")
		var out bytes.Buffer
		require.NoError(t, markdown.Convert(Markdown(full(text)), &out))
		_, tags = readWeb(t, out.Bytes())
		for tag := range tags {
			assert.Contains(t, strings.Fields("h1 h2 h3 p ul li blockquote strong del table thead tbody tr th td br "+
				"input a href= type= disabled= checked= style="), tag, "%q", text)
		}
		raw, err := DOCX(full(text))
		require.NoError(t, err)
		body, _ := readDOCX(t, raw)
		if clean := strings.Join(strings.Fields(Clean(text)), " "); clean != "" {
			assert.Equal(t, 22, strings.Count(body, clean), "%q in %q", text, body)
		}
	}
	for _, text := range strange {
		if text == "{{footer}}" || strings.Contains(text, "long") {
			continue
		}
		check(t, text)
	}
	rapid.Check(t, func(t *rapid.T) {
		_, err := DOCX(full(rapid.String().Draw(t, "text")))
		require.NoError(t, err)
	})
}

// Whatever stands on a page and in its targets, a pencilled page is text and nothing else.
func TestPencilledStrangers(t *testing.T) {
	allowed := strings.Fields("html head meta title style body h1 h2 h3 p div span strong s b i svg path footer " +
		"class= charset= content= name= http-equiv= lang= d= role= aria-label= viewbox= viewBox= width= height=")
	for _, text := range strange {
		rows := []Row{}
		for kind := Prose; kind <= Alone; kind++ {
			rows = append(rows, Row{Kind: kind, Label: text, File: text, Named: text, Alt: text, Rules: 2,
				Runs: []Run{{Text: text}, {Text: text, Style: Wanted}, {Text: text, Style: Struck},
					{Text: text, Style: Meant}},
				Notes: []Note{{No: 3, Says: As(Wanted, text), Under: text, Write: 250}}})
		}
		rows = append(rows, Row{Kind: Pictured, Label: text, Named: text})
		_, tags := readWeb(t, WebPencilled(&Pencilled{Title: text, Under: []string{text}, Key: text, Lang: text,
			Letterhead: Letterhead{Name: text, Signature: text, Footer: text}, Head: rows, Body: rows}))
		for tag := range tags {
			assert.Contains(t, allowed, tag, "%q", text)
		}
	}
}

// All formats have the same words.
func TestSameWords(t *testing.T) {
	p := full("Chimney sweep")
	p.Letterhead = Letterhead{}
	raw, err := DOCX(p)
	require.NoError(t, err)
	body, parts := readDOCX(t, raw)
	web, _ := readWeb(t, Web(p))
	strokes := func(s string) string { return strings.Join(strings.Fields(strings.ReplaceAll(s, "|", "")), " ") }
	assert.Equal(t, web, strokes(body))
	assert.Contains(t, web, "545 words, 1,455 to write")
	assert.Contains(t, parts["word/footer.xml"], "PAGE")
}

// A document is headed by who it comes from, and says so at its end.
func TestLetterhead(t *testing.T) {
	var logo bytes.Buffer
	require.NoError(t, png.Encode(&logo, image.NewGray(image.Rect(0, 0, 200, 80))))
	p := &Paper{Title: "Plan", Letterhead: Letterhead{Name: "Quill & Tally", Signature: "Ada Quill\n555-0117",
		Footer: "Quill & Tally, Tarn Harbor", Logo: logo.Bytes(), Wide: 200, High: 80, Size: A4}}
	raw, err := DOCX(p)
	require.NoError(t, err)
	body, parts := readDOCX(t, raw)
	assert.Equal(t, "Quill & Tally Plan Ada Quill 555-0117", body)
	assert.Contains(t, parts["word/footer.xml"], "Quill & Tally, Tarn Harbor")
	web := string(Web(p))
	assert.Contains(t, web, "@page{size:A4}")
	assert.Contains(t, web, "data:image/png;base64,")
	assert.Contains(t, string(Markdown(p)), "Ada Quill  \n555")
}
