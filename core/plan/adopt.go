package plan

import (
	"maps"
	"slices"
	"strings"
)

// Adopt reads the choices of a page that older programs kept, which named a target by the
// text of its phrase: they are put under the key of the family that the phrase is of. What
// was said under the key itself goes first.
func Adopt(choices map[Ref]Choice, p *Aim) {
	for kept, choice := range maps.Clone(choices) {
		today := Ref{p.Key, Today(kept.Key, p.Criteria.FamilyOf)}
		if _, has := choices[today]; kept.Page == p.Key && !has {
			choices[today] = choice
		}
	}
}

// Today returns the key that a program of today has for one that an older program kept.
func Today(kept string, familyOf func(phrase string) (key string, ok bool)) string {
	kind, of := ReadKey(kept)
	if family, ok := familyOf(of); of != "" && ok {
		return partKey(PartKind(kind), family)
	}
	return kept
}

// Idle returns the choices of a study whose lines are no more in its plan: they are kept, and hold
// again when the lines come back.
func (plan *Plan) Idle(s *Study) []Ref {
	has := map[Ref]bool{}
	for i := range plan.Targets {
		t := &plan.Targets[i]
		has[t.Ref()] = true
		for k := range t.Parts {
			has[Ref{t.Page, t.Parts[k].Key}] = true
		}
	}
	pages, made := map[string]*Aim{}, map[string]bool{} // what pages were called before they were made
	for i := range s.Pages {
		pages[s.Pages[i].Key], made[s.Pages[i].Formerly] = &s.Pages[i], true
	}
	var out []Ref
	for ref := range s.Choices {
		today := ref
		if p := pages[ref.Page]; p != nil {
			today.Key = Today(ref.Key, p.Criteria.FamilyOf)
		}
		if !has[ref] && !has[today] && !made[ref.Page] {
			out = append(out, ref)
		}
	}
	slices.SortFunc(out, func(a, b Ref) int { return strings.Compare(a.String(), b.String()) })
	return out
}
