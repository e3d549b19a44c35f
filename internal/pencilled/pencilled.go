// Package pencilled words a page as a proof-reader's copy.
//
// In goes what core/handoff has put in its place; out comes what stands on the paper: the page's own words, what goes,
// what comes, and the notes in the margin.
package pencilled

import (
	"cmp"
	"fmt"
	"strings"

	"inktally/core/finding"
	"inktally/core/handoff"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/internal/paper"
	"inktally/internal/telling"
	"inktally/internal/wording"
)

// Key says how a pencilled page is read.
const Key = "Numbers are those of the brief. What is crossed out goes, what is in pencil comes; each dashed line is " +
	"60 words to write."

// ruledWords are the words of a ruled line.
const ruledWords = 60

// Of returns a pencilled page as it stands on paper.
func Of(p *handoff.Pencilled, w wording.Teller) (head, body []paper.Row) {
	c := &copied{p: p, w: w}
	for _, m := range p.Top {
		head = append(head, paper.Row{Kind: paper.Alone, Notes: []paper.Note{c.note(m)}})
	}
	for i := range p.Head {
		if of := &p.Head[i]; of.Now != "" || len(of.Marks) > 0 {
			head = append(head, paper.Row{Kind: paper.Labelled, Label: wording.PartName(of.Kind),
				Runs: c.runs(of.Now, of.Marks), Notes: c.notes(of.Marks)})
		}
	}
	for i := range p.Pieces {
		body = append(body, c.row(&p.Pieces[i]))
	}
	return head, body
}

// copied is a page while it is put on paper.
type copied struct {
	p *handoff.Pencilled
	w wording.Teller
}

func (c *copied) row(p *handoff.Piece) paper.Row {
	r := paper.Row{Notes: c.notes(p.Marks)}
	switch p.Kind {
	case handoff.OwnText:
		r.Kind, r.Runs = kindOf(&c.p.Now.Blocks[p.Block]), c.runs(c.p.Now.Text(p.Block), p.Marks)
	case handoff.OwnFrame:
		r.Kind, r.Label = paper.Menu, "Menu, header or footer, "+wording.Count(p.Words, "word", "")+": stays"
	case handoff.Picture:
		c.picture(&r, p)
	case handoff.NewHeading:
		r.Kind = paper.H2
		if p.Marks[0].Part.Kind == plan.H1 {
			r.Kind = paper.H1
		}
		r.Runs, r.Notes = c.runs("", p.Marks), c.notes(p.Marks)
		if p.Marks[0].Heads() {
			r.Notes = c.notes(p.Marks[1:]) // the words below it have its note
		}
	case handoff.ToWrite:
		r.Kind, r.Rules = paper.Ruled, max(1, (p.Marks[0].Part.Words+ruledWords-1)/ruledWords)
	case handoff.NewSentence:
		r.Runs = c.runs("", p.Marks)
	}
	return r
}

// kindOf returns how a block of the page looks.
func kindOf(b *page.Block) paper.RowKind {
	switch {
	case b.Level == 1:
		return paper.H1
	case b.Level == 2:
		return paper.H2
	case b.Level > 2:
		return paper.H3
	case b.Kind == page.Item:
		return paper.Listed
	}
	return paper.Prose
}

func (c *copied) picture(r *paper.Row, p *handoff.Piece) {
	r.Kind, r.Label = paper.Pictured, "picture to add"
	if p.Image >= 0 {
		img := &c.p.Now.Images[p.Image]
		r.File = img.File + img.Ext
	}
	for _, m := range p.Marks {
		says := c.w.BriefLine(*m.Line)
		switch m.Part.Kind {
		case plan.ImageName:
			r.Named = says.Pencil
		case plan.Alt:
			r.Alt = says.Pencil
		}
	}
}

// runs parts a text by its marks: what goes is struck, what comes stands behind it.
func (c *copied) runs(text string, marks []handoff.Mark) (out []paper.Run) {
	at := 0
	plain := func(to int, style paper.Style) {
		if to > at {
			out = append(out, paper.Run{Text: text[at:to], Style: style})
			at = to
		}
	}
	for _, m := range marks {
		plain(min(m.Start, len(text)), paper.Plain)
		style := paper.Meant
		if m.Goes {
			style = paper.Struck
		}
		plain(min(m.End, len(text)), style)
		if comes := c.comes(m); comes != "" {
			if len(out) > 0 && !m.Goes {
				comes = paper.Caret + " " + comes
			}
			if len(out) > 0 {
				out = append(out, paper.Run{Text: " "})
			}
			out = append(out, paper.Run{Text: comes, Style: paper.Wanted})
		}
	}
	plain(len(text), paper.Plain)
	return out
}

// comes returns what is written where a mark stands, empty for nothing.
func (c *copied) comes(m handoff.Mark) string {
	switch m.Part.Kind {
	case plan.Repair:
		if m.Target.Kind == plan.VagueWords {
			return telling.And(c.w.Towns)
		}
		return ""
	case plan.WrongPlace:
		if m.Goes {
			return c.w.Page.Town
		}
		return ""
	case plan.AddLink, plan.DeadLink:
		return ""
	}
	return c.w.BriefLine(*m.Line).Pencil
}

// notes returns those of marks, one a line.
func (c *copied) notes(marks []handoff.Mark) (out []paper.Note) {
	seen := map[*plan.Part]bool{}
	for _, m := range marks {
		if !seen[m.Part] {
			seen[m.Part] = true
			out = append(out, c.note(m))
		}
	}
	for i := range out {
		if i > 0 && marks[0].Heads() {
			out[i].No = 0 // it goes into the words above it
		}
	}
	return out
}

// note words a mark: what it is, without what stands in pencil beside it.
func (c *copied) note(m handoff.Mark) paper.Note {
	says := c.w.BriefLine(*m.Line)
	n := paper.Note{No: m.No}
	name := wording.LineName(*m.Line)
	switch m.Part.Kind {
	case plan.Title, plan.Description:
		n.Says = paper.Says(fmt.Sprintf("%s, %d characters", name, len([]rune(says.Pencil))))
	case plan.H1, plan.Address, plan.ImageName, plan.Alt:
		n.Says = paper.Says(name)
	case plan.Opening:
		n.Says, n.Under = paper.Says(name+": "+says.After), looseNote(m)
		if c.p.Now == nil {
			n.Says = []paper.Run{{Text: name + ": add"}, {Text: says.Pencil, Style: paper.Wanted}, {Text: says.After}}
		}
	case plan.Words:
		n.Write = m.Part.Words
		n.Says, n.Under = paper.Says(join(strings.TrimSuffix(says.Before, ":"), says.After)), says.Note
		if !m.Heads() {
			n.Says = paper.Says("Write " + wording.Count(m.Part.Words, "word", ""))
		}
	case plan.Subhead, plan.Body:
		n.Says, n.Under = paper.Says(name), looseNote(m)
		if m.Inside() || c.p.Now == nil && m.Part.Kind == plan.Body {
			n.Says = []paper.Run{{Text: name + ":"}, {Text: cmp.Or(says.Before, "use")}, {Text: says.Pencil,
				Style: paper.Wanted}, {Text: says.After}}
		}
	default:
		n.Says, n.Under = []paper.Run{{Text: says.Before}, {Text: says.Pencil, Style: paper.Wanted},
			{Text: says.After}},
			says.Note
		if m.Target.Finding != nil && m.Target.Finding.Type == finding.PlaceholderText {
			n.Under = ""
		}
	}
	n.Says[0].Text = wording.Capital(n.Says[0].Text)
	return n
}

// looseNote says why a text is underlined.
func looseNote(m handoff.Mark) string {
	if m.End > m.Start && !m.Goes {
		return "the underlined words say it already: say it as one phrase"
	}
	return ""
}

func join(parts ...string) string {
	var out []string
	for _, p := range parts {
		if p != "" {
			out = append(out, p)
		}
	}
	return strings.Join(out, " ")
}
