package page

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/decode"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/japanese"
	"golang.org/x/text/encoding/korean"
	"golang.org/x/text/encoding/unicode"
	"pgregory.net/rapid"
)

// gist returns all that a reading says of a page, but for where in the source it
// stands.
func gist(p *Page) string {
	var b strings.Builder
	fmt.Fprintf(&b, "%q %q %q %+v\n", p.Title, p.Description, p.Lang, p.Words)
	for i := range p.Blocks {
		bl := &p.Blocks[i]
		fmt.Fprintf(&b, "%v %d %v %v %d %q\n", bl.Kind, bl.Level, bl.Region, bl.Hidden, bl.Words, p.Text(i))
	}
	for _, h := range p.Headings {
		fmt.Fprintf(&b, "h%d %q %d %d\n", h.Level, h.Text, h.Words, h.Within)
	}
	for _, im := range p.Images {
		fmt.Fprintf(&b, "image %q %q %v %v %q\n", im.File, im.Ext, im.Hidden, im.Frame, im.Heading)
	}
	for _, l := range p.LinkList() {
		if l.Text != "" { // the parser opens a link again at the next element
			fmt.Fprintf(&b, "link %+v\n", l)
		}
	}
	return b.String()
}

// parts are pieces of pages as they come, in any order; what does not fit
// together is put right by the parser.
var parts = rapid.SliceOf(rapid.SampledFrom([]string{
	"<p>", "</p>", "word ", "don't ", "24/7 ", "well-", "kept ", "<h2>", "</h2>", "<nav>", "</nav>", "<a href=x>",
	"</a>",
	"<div hidden>", "<div class=menu>", "</div>", "<span style='display:block'>", "<span>", "</span>", "<footer>",
	"</footer>", "<br>",
	"<li>", "<ul>", "</ul>", "two words ", "<header>", "</header>", "<h1>", "</h1>", "<main>", "</main>", "<details>",
	"<summary>",
	"</summary>", "</details>", "<td>", "<tr>", "<table>", "</table>", "<img src=/a/IMG_1.jpg>", "<button>",
	"</button>", "<b>", "</b>",
	"<i style='visibility:hidden'>", "</i>", "<img hidden src=b-2.png width=300>", "<pre>line\n", "</pre>", "<label>",
	"</label>",
}))

// What no visitor can see changes nothing, wherever it stands in the page.
func TestUnseenChangesNothing(t *testing.T) {
	unseen := rapid.SampledFrom([]string{"", "", "", "<!-- a note -->", "<script>var word = 'word'</script>",
		"<template><p>word</p></template>",
		"<style>.nobody{display:block}</style>", "<?xml word?>", "<noscript>word <img src=c.png></noscript>"})
	rapid.Check(t, func(t *rapid.T) {
		var plain, strewn strings.Builder
		for _, part := range parts.Draw(t, "parts") {
			plain.WriteString(part)
			strewn.WriteString(part + unseen.Draw(t, "unseen"))
		}
		assert.Equal(t, gist(Read([]byte(plain.String()), Source{})), gist(Read([]byte(strewn.String()), Source{})),
			strewn.String())
	})
}

// The same letters written in another way are the same page.
func TestOtherSpellingOfTheSource(t *testing.T) {
	spellings := strings.NewReplacer("don't", "don&#x27;t", "24/7", "24&#47;7", "kept", "k&#101;pt", "<p>", "<P >",
		"</p>", "</P\n>",
		"<h2>", "<h2\tclass='title'>", "<td>", "<TD data-x=1>", "<div hidden>", `<DIV HIDDEN="">`, "two words",
		"two\n\t words", "<a href=x>", `<A HREF=" x ">`, "'display:block'", `"DISPLAY: Block !important; color:red"`)
	rapid.Check(t, func(t *rapid.T) {
		body := strings.Join(parts.Draw(t, "parts"), "")
		body = strings.NewReplacer("<pre>line\n", "", "</pre>", "").Replace(body) // where a line end is no space
		assert.Equal(t, gist(Read([]byte(body), Source{})), gist(Read([]byte(spellings.Replace(body)), Source{})), body)
	})
}

// A part that is hidden adds hidden words, and nothing else, whichever way it
// is hidden.
func TestHiddenPartAddsHiddenWords(t *testing.T) {
	ways := []string{"<div hidden>%s</div>", "<div style='display:none'>%s</div>", "<div class=away>%s</div>",
		"<details><summary></summary>%s</details>", "<dialog>%s</dialog>", "<div popover>%s</div>",
		"<div style='content-visibility:hidden'>%s</div>", "<section class=veil><p>%s</p></section>"}
	rapid.Check(t, func(t *rapid.T) {
		body := "<!doctype html><style>.away{display:none} @media screen { .veil{display:none} " +
			"}</style><p>seen</p>%s<main><h1>Title</h1><p>and words</p></main>"
		n := rapid.IntRange(1, 30).Draw(t, "words")
		part := fmt.Sprintf(rapid.SampledFrom(ways).Draw(t, "way"), "<h2>A heading</h2><p>"+strings.Repeat("more ", n)+
			"<a href=/away>")
		with, without := Read([]byte(fmt.Sprintf(body, part)), Source{}), Read([]byte(fmt.Sprintf(body, "")), Source{})
		assert.Equal(t, without.Words.Seen, with.Words.Seen, part)
		assert.Equal(t, without.Words.Copy, with.Words.Copy, part)
		assert.Equal(t, without.Words.Hidden+n+2, with.Words.Hidden, part)
		assert.Len(t, with.Headings, 1)
	})
}

// A page is the same in every encoding that can hold it, said by the server, by
// the page, by a byte order mark, or found out.
func TestSameInEveryEncoding(t *testing.T) {
	western :=
		`<title>Café Fähre</title>%s<h1>Où ramoner?</h1><p>Preis: 20 £ — für „alle“ Öfen, façade et cheminée.</p><img src="/four-été.jpg">`
	japanese1 := `<title>煙突の掃除</title>%s<h1>煙突掃除のご案内</h1><p>暖炉とストーブの点検も承ります。お気軽にお電話ください。</p>`
	korean1 := `<title>굴뚝 청소</title>%s<h1>굴뚝 청소 안내</h1><p>난로와 벽난로 점검도 해 드립니다. 편하게 전화 주세요.</p>`
	utf16 := func(e unicode.Endianness) encoding.Encoding { return unicode.UTF16(e, unicode.UseBOM) }
	for _, c := range []struct {
		name, body string
		in         encoding.Encoding
		found      bool // without a word of what it is
	}{
		{"windows-1252", western, charmap.Windows1252, true},
		{"macintosh", western, charmap.Macintosh, false},
		{"utf-8", western, encoding.Nop, true},
		{"shift_jis", japanese1, japanese.ShiftJIS, true},
		{"euc-jp", japanese1, japanese.EUCJP, true},
		{"iso-2022-jp", japanese1, japanese.ISO2022JP, false},
		{"euc-kr", korean1, korean.EUCKR, true},
		{"utf-16le", western, utf16(unicode.LittleEndian), true},
		{"utf-16be", japanese1, utf16(unicode.BigEndian), true},
	} {
		t.Run(c.name, func(t *testing.T) {
			want := gist(Read([]byte(fmt.Sprintf(c.body, "")), Source{ContentType: "text/html; charset=utf-8"}))
			read := func(meta, contentType string) string {
				body, err := c.in.NewEncoder().String(fmt.Sprintf(c.body, meta))
				require.NoError(t, err, c.name)
				return gist(Read([]byte(body), Source{ContentType: contentType}))
			}
			assert.Equal(t, want, read("", "text/html; charset="+strings.ToUpper(c.name)), "%s by the server", c.name)
			assert.Equal(t, want, read("", "text/html;charset=\""+c.name+"\"; q=1"), "%s in quotes", c.name)
			assert.Equal(t, want, read("<meta http-equiv=Content-Type content='text/html; charset="+c.name+"'>", ""),
				"%s by the page", c.name)
			if c.found {
				assert.Equal(t, want, read("", "text/html"), "%s found out", c.name)
			}
		})
	}
}

// Signs that nobody sees in the middle of a word part no words.
func TestUnseenSignsInWords(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var plain, strewn strings.Builder
		for _, r := range rapid.StringOf(rapid.RuneFrom([]rune("abcA éß煙 7-'. &?s"))).Draw(t, "text") {
			letter := strings.ReplaceAll(string(r), "&", "&amp;")
			plain.WriteString(letter)
			strewn.WriteString(letter)
			if r != ' ' {
				strewn.WriteString(rapid.SampledFrom([]string{"", "\u00ad", "\u200b", "&shy;", "&#8203;"}).Draw(t,
					"sign"))
			}
		}
		a, b := Read([]byte("<p>"+plain.String()), Source{}), Read([]byte("<p>"+strewn.String()), Source{})
		assert.Equal(t, a.Words, b.Words, "%q", strewn.String())
		assert.Equal(t, tokensOf(a), tokensOf(b), "%q", strewn.String())
	})
}

// tokensOf lists the tokens of a page as they are looked for, with the words
// and sentences that they begin.
func tokensOf(p *Page) []string {
	tokens := []string{}
	for i, t := range p.Scan().Tokens {
		tokens = append(tokens, fmt.Sprint(p.Scan().Folded(i), t.NewWord(), t.NewSentence()))
	}
	return tokens
}

// A style sheet hides what it names in whatever encoding it comes, and a page
// asks for its sheets in any.
func TestSheetsInEveryEncoding(t *testing.T) {
	in := func(e encoding.Encoding, s string) []byte {
		out, err := e.NewEncoder().Bytes([]byte(s))
		require.NoError(t, err)
		return out
	}
	const western, cyrillic = ".été{display:none}", ".печь{display:none}"
	for name, c := range map[string]struct {
		sheet  []byte
		header string
	}{
		"utf-8":       {[]byte(western + cyrillic), ""},
		"with a mark": {[]byte("\ufeff" + western + cyrillic), "text/css"},
		"a mark beats all": {[]byte("\ufeff@charset \"koi8-r\";" + western + cyrillic),
			"text/css; charset=koi8-r"},
		"utf-16":                   {in(unicode.UTF16(unicode.LittleEndian, unicode.UseBOM), western+cyrillic), ""},
		"by the server":            {in(charmap.KOI8R, "@charset \"utf-8\";"+cyrillic), "text/css; charset=koi8-r"},
		"by itself":                {in(charmap.KOI8R, "@charset \"koi8-r\";"+cyrillic), "text/css"},
		"not quite":                {[]byte("@charset 'koi8-r';" + western + cyrillic), ""},
		"utf-16 by itself is none": {[]byte("@charset \"utf-16\";" + western + cyrillic), ""},
		"undeclared":               {in(charmap.Windows1252, western), "text/css"},
	} {
		t.Run(name, func(t *testing.T) {
			p := Read([]byte("<meta charset=utf-8><link rel=stylesheet href=a.css><p class=été>one<p class=печь>two"),
				Source{URL: "http://x.example/",
					Sheets: map[string]string{"http://x.example/a.css": decode.Sheet(c.sheet, c.header)}})
			want := 0
			for _, class := range []string{western, cyrillic} {
				if !strings.Contains(decode.Sheet(c.sheet, c.header), class) {
					want++
				}
			}
			assert.Equal(t, want, p.Words.Seen, name)
			assert.Less(t, want, 2, name)
		})
	}
	page := in(unicode.UTF16(unicode.BigEndian, unicode.UseBOM), "<link rel=stylesheet href=a.css>")
	assert.Equal(t, []string{"http://x.example/a.css"}, Linked(page, Source{URL: "http://x.example/"}))
}
