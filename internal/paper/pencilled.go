package paper

import (
	_ "embed"
	"fmt"
	"strings"
)

//go:embed pencilled.css
var pencilledCSS string

// Pencilled is a page as a proof-reader's copy: rows from top to bottom, each with what stands on the page and the
// notes in the margin beside it.
type Pencilled struct {
	Title string
	Under []string
	// Key says how it is read.
	Key  string
	Lang string
	Letterhead
	// Head are the rows above the page's text, Body its text.
	Head, Body []Row
}

// Row is a piece of a pencilled page.
type Row struct {
	Kind  RowKind
	Label string
	Runs  []Run
	// Rules are the lines to write on.
	Rules int
	// File is the name of a picture, empty for one to add; Named and Alt are what it is to have.
	File, Named, Alt string
	Notes            []Note
}

// RowKind says how a row looks.
type RowKind int

// The kinds of rows.
const (
	Prose RowKind = iota
	Listed
	H1
	H2
	H3
	Labelled // a title, a description, an address
	Menu     // a menu, a header, a footer
	Ruled
	Pictured
	Alone // notes alone
)

// Note is a note in the margin.
type Note struct {
	No   int
	Says []Run
	// Under explains it; Write are the words that it asks for, 0 for none.
	Under string
	Write int
}

// Caret stands before what is put in.
const Caret = "‸"

// WebPencilled writes a pencilled page as a web page that asks for nothing.
func WebPencilled(p *Pencilled) []byte {
	w := &web{}
	w.WriteString(Open(p.Title, p.Lang, &p.Letterhead, pencilledCSS, "pencilled"))
	w.WriteString(p.From())
	w.tag("h1", "", Escape(p.Title))
	for _, u := range p.Under {
		w.tag("p", "under", Escape(u))
	}
	w.tag("p", "key", Escape(p.Key))
	if len(p.Head) > 0 {
		w.WriteString("<div class=\"head\">\n")
		w.rows(p.Head)
		w.WriteString("</div>\n")
	}
	w.rows(p.Body)
	if p.Signature != "" {
		w.tag("p", "sign", Escape(p.Signature))
	}
	if p.Footer != "" {
		w.tag("footer", "", Escape(p.Footer))
	}
	w.WriteString("</div></body></html>\n")
	return []byte(w.String())
}

func (w *web) rows(list []Row) {
	for i := range list {
		r := &list[i]
		if r.Kind == Alone {
			for _, n := range r.Notes {
				w.note(&n)
			}
			continue
		}
		w.WriteString("<div class=\"row\"><div>")
		w.row(r)
		w.WriteString("</div><div>")
		for _, n := range r.Notes {
			w.note(&n)
		}
		w.WriteString("</div></div>\n")
	}
}

func (w *web) row(r *Row) {
	switch r.Kind {
	case Prose:
		w.tag("p", "", proofRuns(r.Runs))
	case Listed:
		w.tag("p", "item", "• "+proofRuns(r.Runs))
	case H1, H2, H3:
		w.tag(fmt.Sprintf("h%d", r.Kind-H1+1), "", proofRuns(r.Runs))
	case Labelled:
		w.tag("p", "", `<span class="label">`+Escape(r.Label)+"</span>"+proofRuns(r.Runs))
	case Menu:
		w.tag("p", "frame", Escape(r.Label))
	case Ruled:
		w.WriteString(`<div class="rules">` + strings.Repeat("<i></i>", r.Rules) + "</div>")
	case Pictured:
		w.picture(r)
	}
}

func (w *web) picture(r *Row) {
	class, name := "box", Escape(r.File)
	if r.File == "" {
		class, name = "box add", Escape(r.Label)
	} else if r.Named != "" {
		name = `<s class="place">` + name + "</s>"
	}
	w.WriteString(`<div class="picture"><div class="` + class + `">` + name + "</div><div>")
	if r.Named != "" {
		w.WriteString(`<span class="wanted mono">` + Escape(r.Named) + "</span>")
	}
	if r.Alt != "" {
		w.WriteString(`<span class="alt"><span class="label">alt</span>` + Escape(r.Alt) + "</span>")
	}
	w.WriteString("</div></div>")
}

func (w *web) note(n *Note) {
	inside := fmt.Sprintf("<b>%d</b> ", n.No) + webRuns(n.Says)
	if n.No == 0 {
		inside = webRuns(n.Says)
	}
	if n.Under != "" {
		inside += `<span class="more">` + Escape(n.Under) + "</span>"
	}
	if n.Write > 0 {
		inside += Strokes(TallyRow{Write: n.Write}, 16)
	}
	w.tag("div", "note", inside)
}

// proofRuns writes runs of a text that was parted by marks: their own spaces are all that stand between them.
func proofRuns(runs []Run) string {
	var out strings.Builder
	for _, r := range runs {
		s := Escape(r.Text)
		switch r.Style {
		case Wanted:
			s = `<span class="wanted">` + s + "</span>"
		case Struck:
			s = `<s class="struck">` + s + "</s>"
		case Meant:
			s = `<span class="meant">` + s + "</span>"
		}
		out.WriteString(s)
	}
	return out.String()
}
