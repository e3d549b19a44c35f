package paper

import (
	"cmp"
	"embed"
	_ "embed"
	"encoding/base64"
	"fmt"
	"html"
	"net/http"
	"strings"
	"sync"
	"unicode"
)

//go:embed paper.css
var css string

//go:embed fonts/*.woff2
var fonts embed.FS

// Faces returns the style sheet of the fonts, with the fonts in it.
var Faces = sync.OnceValue(func() string {
	var out strings.Builder
	for _, f := range []struct {
		family, file string
		weight       int
	}{{"Zilla Slab", "zilla-slab-latin-600-normal", 600}, {"IBM Plex Sans", "ibm-plex-sans-latin-400-normal", 400},
		{"IBM Plex Sans", "ibm-plex-sans-latin-600-normal", 600},
		{"IBM Plex Mono", "ibm-plex-mono-latin-400-normal", 400}} {
		raw, err := fonts.ReadFile("fonts/" + f.file + ".woff2")
		if err != nil {
			panic(err)
		}
		fmt.Fprintf(&out, "@font-face{font-family:'%s';font-weight:%d;src:url(data:font/woff2;base64,%s)}\n",
			f.family, f.weight, base64.StdEncoding.EncodeToString(raw))
	}
	return out.String()
})

// policy lets a document show what is in it, and ask for nothing.
const policy = `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; ` +
	`font-src data:; img-src data:">`

// Open writes the head of a page that asks for nothing, up to its body. Sheet is a style sheet beside that of all
// documents, class how its body looks.
func Open(title, lang string, l *Letterhead, sheet, class string) string {
	return fmt.Sprintf("<!doctype html>\n<html lang=\"%s\"><head><meta charset=\"utf-8\">%s"+
		"<meta name=\"viewport\" "+
		"content=\"width=device-width\"><title>%s</title>\n<style>%s%s%s</style></head>\n<body><div class=\"doc "+
		"%s\">\n",
		Escape(cmp.Or(lang, "en")), policy, Escape(title), Faces(), css+sheet, l.style(), class)
}

// style is what a letterhead changes.
func (l *Letterhead) style() string {
	size := "letter"
	if l.Size == A4 {
		size = "A4"
	}
	return fmt.Sprintf("@page{size:%s}h1,h2,h3{color:#%s}", size, l.Tone.Color())
}

// From writes who a document comes from.
func (l *Letterhead) From() string {
	if l.Name == "" && l.Logo == nil {
		return ""
	}
	logo := ""
	if l.Logo != nil {
		logo = fmt.Sprintf(`<img alt="" src="data:%s;base64,%s">`, http.DetectContentType(l.Logo),
			base64.StdEncoding.EncodeToString(l.Logo))
	}
	return "<div class=\"from\">" + logo + "<span>" + Escape(l.Name) + "</span></div>\n"
}

// Web writes a document as a web page that asks for nothing.
func Web(p *Paper) []byte {
	w := &web{}
	look := "whole"
	if p.Small {
		look = "small"
	}
	w.WriteString(Open(p.Title, p.Lang, &p.Letterhead, "", look))
	w.WriteString(p.From())
	w.tag("h1", "", Escape(p.Title))
	for _, u := range p.Under {
		w.tag("p", "under", Escape(u))
	}
	for _, b := range p.Blocks {
		w.block(b)
	}
	if p.Signature != "" {
		w.tag("p", "sign", Escape(p.Signature))
	}
	if p.Footer != "" {
		w.tag("footer", "", Escape(p.Footer))
	}
	w.WriteString("</div></body></html>\n")
	return []byte(w.String())
}

type web struct{ strings.Builder }

// tag writes an element around what is HTML already.
func (w *web) tag(name, class, inside string) {
	if class != "" {
		class = ` class="` + class + `"`
	}
	w.WriteString("<" + name + class + ">" + inside + "</" + name + ">\n")
}

func (w *web) block(b Block) {
	switch b := b.(type) {
	case Heading:
		class := ""
		if b.NewPage {
			class = "part"
		}
		w.tag(fmt.Sprintf("h%d", b.Level+1), class, Escape(b.Text))
	case Text:
		w.tag("p", "", webRuns(b))
	case Quote:
		w.tag("blockquote", "", webRuns(b))
	case List:
		w.list(&b)
	case Table:
		w.table(&b)
	case Tally:
		w.tally(b)
	}
}

func (w *web) list(l *List) {
	class := "bullet"
	if l.Mark == Box {
		class = "box"
	}
	w.WriteString(`<ul class="` + class + "\">\n")
	for _, i := range l.Items {
		inside, class := webRuns(i.Says), ""
		for _, u := range i.Under {
			inside += `<span class="more">` + webRuns(u) + "</span>"
		}
		if i.Inside {
			class = "inside"
		}
		w.tag("li", class, inside)
	}
	w.WriteString("</ul>\n")
}

func (w *web) table(t *Table) {
	class := func(i int) string {
		if i >= t.Numbers {
			return ` class="n"`
		}
		return ""
	}
	w.WriteString("<table><thead><tr>")
	for i, h := range t.Head {
		w.WriteString("<th" + class(i) + ">" + Escape(h) + "</th>")
	}
	w.WriteString("</tr></thead><tbody>\n")
	for _, r := range t.Rows {
		w.WriteString("<tr>")
		for i, c := range r {
			w.WriteString("<td" + class(i) + ">" + webRuns(c) + "</td>")
		}
		w.WriteString("</tr>\n")
	}
	w.WriteString("</tbody></table>\n")
}

func (w *web) tally(rows Tally) {
	w.WriteString("<table class=\"tally\"><tbody>\n")
	for _, r := range rows {
		w.WriteString("<tr><td>" + Escape(r.Name) + "</td><td>" + Strokes(r, 18) + "</td><td class=\"n\">" +
			Escape(tallyWords(r)) + "</td></tr>\n")
	}
	w.WriteString("</tbody></table>\n")
}

// classes are those of the styles.
var classes = map[Style]string{Strong: "strong", Soft: "soft", Wanted: "wanted", Struck: "struck", Mono: "mono",
	Meant: "meant"}

func webRuns(runs []Run) string {
	var out []string
	for _, r := range runs {
		s := Escape(r.Text)
		switch {
		case s == "":
			continue
		case linked(r):
			s = `<a rel="noreferrer" href="` + Escape(r.Link) + `">` + s + "</a>"
		case r.Style == Strong:
			s = "<strong>" + s + "</strong>"
		case r.Style == Struck:
			s = `<s class="struck">` + s + "</s>"
		case r.Style != Plain:
			s = `<span class="` + classes[r.Style] + `">` + s + "</span>"
		}
		out = append(out, s)
	}
	return strings.Join(out, " ")
}

// linked reports whether a run leads to an address of the web.
func linked(r Run) bool {
	_, ok := webAddress(r.Link)
	return ok
}

// Escape writes a text so that it is nothing but text in a web page: no markup, nothing that turns its direction.
func Escape(s string) string { return html.EscapeString(Clean(s)) }

// Clean replaces what no reader can show, or what would turn the direction of all that follows.
func Clean(s string) string {
	return strings.Map(func(r rune) rune {
		switch {
		case r == '\n' || r == '\t':
			return r
		case unicode.IsControl(r), unicode.Is(unicode.Bidi_Control, r), r == '\uFFFE', r == '\uFFFF':
			return unicode.ReplacementChar
		}
		return r
	}, strings.ToValidUTF8(s, string(unicode.ReplacementChar)))
}
