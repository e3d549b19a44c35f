// Package handoff has what stands in the documents that are handed to those who do the work.
//
// In goes a plan; out come documents as values, for whoever words and writes them.
package handoff

import (
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
	for _, where := range plan.Wheres() {
		s := Section{Where: where}
		for i := range p.Targets {
			if t := &p.Targets[i]; t.Page == page && t.Choice.State != plan.Dropped {
				s.add(t)
			}
		}
		if len(s.Lines) > 0 {
			b.Sections = append(b.Sections, s)
		}
	}
	return b
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
