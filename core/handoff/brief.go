// Package handoff has what stands in the documents that are handed to those who do the work.
//
// In goes a plan; out come documents as values, for whoever words and writes them.
package handoff

import (
	"cmp"
	"slices"

	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/wordtarget"
)

// Brief is what the writer of a page needs: its words, and all that its targets ask for, by
// where it stands. Dropped targets and parts are left out.
type Brief struct {
	// Page is the key of the page.
	Page     string
	Words    wordtarget.Target
	Sections []Section
	// Stays is what of the page stays as it is.
	Stays []Stay
}

// Stay is a text of a page that stays: its title, its description, its H1, or a heading with the words below it.
type Stay struct {
	Kind  plan.PartKind
	Text  string
	Words int
}

// Section is a part of a brief; it has lines.
type Section struct {
	Where plan.Where
	Lines []Line
}

// Line is a part of a target.
type Line struct {
	Target *plan.Target
	Part   *plan.Part
	// No is its number on the page; what goes into a section that is written has the number of that.
	No int
}

// Heads reports whether a line is the words of a section: the other lines of its target say what goes into it.
func (l Line) Heads() bool { return l.Target.Kind == plan.Slice && l.Part.Kind == plan.Words }

// Inside reports whether a line goes into a section that is written.
func (l Line) Inside() bool { return l.Target.Kind == plan.Slice && l.Part.Kind != plan.Words }

// BriefOf returns the brief of a page of a plan; now is the page as it is, nil for one to make.
func BriefOf(p *plan.Plan, key string, now *page.Page) Brief {
	b := Brief{Page: key, Words: p.Words[key]}
	targets := inPageOrder(p, key)
	for _, where := range plan.Wheres() {
		s := Section{Where: where}
		for _, t := range targets {
			s.add(t)
		}
		if len(s.Lines) > 0 {
			b.Sections = append(b.Sections, s)
		}
	}
	b.number()
	if now != nil {
		b.stays(now, p.Outlines[key])
	}
	return b
}

// number numbers the lines from top to bottom.
func (b *Brief) number() {
	no := 0
	for _, s := range b.Sections {
		for i := range s.Lines {
			if !s.Lines[i].Inside() {
				no++
			}
			s.Lines[i].No = no
		}
	}
}

// stays notes what of a page no line asks to change.
func (b *Brief) stays(now *page.Page, sections []outline.Section) {
	for _, of := range []Stay{{Kind: plan.Title, Text: now.Title}, {Kind: plan.Description, Text: now.Description},
		{Kind: plan.H1, Text: now.H1()}} {
		if of.Text != "" && !b.asks(of.Kind) {
			b.Stays = append(b.Stays, of)
		}
	}
	for _, s := range sections {
		if s.There && s.Words == 0 && !s.Dropped && s.Heading != "" {
			b.Stays = append(b.Stays, Stay{Kind: plan.Subhead, Text: s.Heading, Words: s.Holds})
		}
	}
}

// asks reports whether a line of the brief is of a kind.
func (b *Brief) asks(kind plan.PartKind) bool {
	return slices.ContainsFunc(b.Sections, func(s Section) bool {
		return slices.ContainsFunc(s.Lines, func(l Line) bool { return l.Part.Kind == kind })
	})
}

// inPageOrder returns the targets of a page: what is written in its sections as these stand, the others before it in
// the order of work.
func inPageOrder(p *plan.Plan, key string) (out []*plan.Target) {
	for i := range p.Targets {
		if t := &p.Targets[i]; t.Page == key && t.Choice.State != plan.Dropped {
			out = append(out, t)
		}
	}
	place := func(t *plan.Target) int {
		if t.Kind != plan.Slice {
			return -1
		}
		return slices.IndexFunc(p.Outlines[key], func(s outline.Section) bool { return s.Key == t.Section.Key })
	}
	slices.SortStableFunc(out, func(a, b *plan.Target) int {
		return cmp.Or(cmp.Compare(place(a), place(b)), cmp.Compare(a.Slice, b.Slice))
	})
	return out
}

// add adds the lines of a target that belong in the section.
func (s *Section) add(t *plan.Target) {
	for i := range t.Parts {
		p := &t.Parts[i]
		if p.Choice.State != plan.Dropped && plan.PartRuleOf(p.Kind).Where == s.Where {
			s.Lines = append(s.Lines, Line{Target: t, Part: p})
		}
	}
}
