// Package handoff has what stands in the documents that are handed to those who do the work.
//
// In goes a plan; out come documents as values, for whoever words and writes them.
package handoff

import (
	"cmp"
	"slices"

	"inktally/core/outline"
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
}

// BriefOf returns the brief of a page of a plan.
func BriefOf(p *plan.Plan, page string) Brief {
	b := Brief{Page: page, Words: p.Words[page]}
	targets := inPageOrder(p, page)
	for _, where := range plan.Wheres() {
		s := Section{Where: where}
		for _, t := range targets {
			s.add(t)
		}
		if len(s.Lines) > 0 {
			b.Sections = append(b.Sections, s)
		}
	}
	return b
}

// inPageOrder returns the targets of a page: what is written in its sections as these stand, the others before it in
// the order of work.
func inPageOrder(p *plan.Plan, page string) (out []*plan.Target) {
	for i := range p.Targets {
		if t := &p.Targets[i]; t.Page == page && t.Choice.State != plan.Dropped {
			out = append(out, t)
		}
	}
	place := func(t *plan.Target) int {
		if t.Kind != plan.Slice {
			return -1
		}
		return slices.IndexFunc(p.Outlines[page], func(s outline.Section) bool { return s.Key == t.Section.Key })
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
			s.Lines = append(s.Lines, Line{t, p})
		}
	}
}
