// Package recap tells a whole plan in up to three imperatives, and folds its smallest lines (rules 12.4, 16.2).
//
// In go the targets of a plan in the order of work; out come fronts with their sums, and which lines stand folded
// under their pages.
package recap

import (
	"cmp"
	"slices"

	"inktally/core/plan"
)

// most is how many imperatives a plan is told in.
const most = 3

// Imperative is a front of the whole plan with its sum.
type Imperative struct {
	// Fronts are what it is about: one, or phrases and images together.
	Fronts []plan.Front
	// Targets are its lines, in the order of work.
	Targets []*plan.Target
	// Gain is in visits a month, Rank what it is ordered by, Minutes its work.
	Gain, Rank, Minutes float64
	// Words are those to write, Images how many get a name, Places where phrases are placed.
	Words, Images, Places int
	// Pages are the keys of its pages, the one of most gain first; Made those that are to be made.
	Pages, Made []string
}

// Of returns the imperatives of a plan, those of most gain first. Pages are one front with all that depends on them:
// new ones, and those to redirect, split or write anew. Fixes and what the user added are told by themselves.
func Of(targets []plan.Target) []Imperative {
	made := Made(targets)
	var list []Imperative
	for i := range targets {
		t := &targets[i]
		if t.Choice.State == plan.Dropped || t.Kind == plan.Fix || t.Kind == plan.ByHand {
			continue
		}
		front := t.Kind.Front()
		if made[t.Page] {
			front = plan.PagesFront
		}
		at := slices.IndexFunc(list, func(m Imperative) bool { return m.Fronts[0] == front })
		if at < 0 {
			list = append(list, Imperative{Fronts: []plan.Front{front}})
			at = len(list) - 1
		}
		list[at].add(t)
	}
	list = together(list)
	for i := range list {
		list[i].pages()
	}
	slices.SortStableFunc(list, func(a, b Imperative) int { return cmp.Compare(b.Rank, a.Rank) })
	return list
}

// Made returns which pages are to be made, by their keys.
func Made(targets []plan.Target) map[string]bool {
	made := map[string]bool{}
	for i := range targets {
		if t := &targets[i]; t.Kind == plan.NewPage && t.Choice.State != plan.Dropped {
			made[t.Page] = true
		}
	}
	return made
}

// add puts a line into the sum.
func (m *Imperative) add(t *plan.Target) {
	m.Targets = append(m.Targets, t)
	m.Gain, m.Rank, m.Minutes = m.Gain+t.Gain, m.Rank+t.Rank, m.Minutes+t.Minutes
	for i := range t.Parts {
		p := &t.Parts[i]
		switch rule := plan.PartRuleOf(p.Kind); {
		case p.Choice.State == plan.Dropped:
		case p.Kind == plan.Words:
			m.Words += p.Words
		case p.Kind == plan.ImageName:
			m.Images++
		case rule.Places && p.Kind != plan.Alt:
			m.Places += p.Times()
		}
	}
}

// together joins phrases and images where there are more fronts than imperatives.
func together(list []Imperative) []Imperative {
	at := func(f plan.Front) int {
		return slices.IndexFunc(list, func(m Imperative) bool { return m.Fronts[0] == f })
	}
	phrases, images := at(plan.PhrasesFront), at(plan.ImagesFront)
	if len(list) <= most || phrases < 0 || images < 0 {
		return list
	}
	joined := Imperative{Fronts: []plan.Front{plan.PhrasesFront, plan.ImagesFront}}
	for _, t := range slices.Concat(list[phrases].Targets, list[images].Targets) {
		joined.add(t)
	}
	list[phrases] = joined
	return slices.Delete(list, images, images+1)
}

// pages notes which pages an imperative is about.
func (m *Imperative) pages() {
	gain := map[string]float64{}
	for _, t := range m.Targets {
		if _, seen := gain[t.Page]; !seen {
			m.Pages = append(m.Pages, t.Page)
		}
		gain[t.Page] += t.Rank
		if t.Kind == plan.NewPage {
			m.Made = append(m.Made, t.Page)
		}
	}
	byGain := func(a, b string) int { return cmp.Compare(gain[b], gain[a]) }
	slices.SortStableFunc(m.Pages, byGain)
	slices.SortStableFunc(m.Made, byGain)
}

// Fold is the small lines of a page.
type Fold struct {
	Page          string
	Targets       []*plan.Target
	Gain, Minutes float64
}

// smallPercent is under how much of the gain of the whole plan a line stands folded (rule 12.4).
const smallPercent = 0.2

// Folded returns the lines that bring next to nothing and are no fix, a page each in the order in which they come.
func Folded(targets []plan.Target) (out []Fold) {
	all := 0.0
	for _, t := range targets {
		if t.Choice.State != plan.Dropped {
			all += t.Rank
		}
	}
	for i := range targets {
		t := &targets[i]
		small := t.Choice.State == plan.Open && t.Rank < all*smallPercent/100 && t.Kind != plan.Fix && !t.First &&
			t.Kind != plan.ByHand
		if !small {
			continue
		}
		at := slices.IndexFunc(out, func(f Fold) bool { return f.Page == t.Page })
		if at < 0 {
			out = append(out, Fold{Page: t.Page})
			at = len(out) - 1
		}
		out[at].Targets = append(out[at].Targets, t)
		out[at].Gain, out[at].Minutes = out[at].Gain+t.Gain, out[at].Minutes+t.Minutes
	}
	return out
}

// Telling puts targets into the order of telling: by front, the one with the largest gain
// first, and in it those of most gain first. What was dropped is not told.
func Telling(list []plan.Target) []plan.Target {
	gains := map[plan.Front]float64{}
	var out []plan.Target
	for _, t := range list {
		if t.Choice.State != plan.Dropped {
			gains[t.Kind.Front()] += t.Rank
			out = append(out, t)
		}
	}
	slices.SortStableFunc(out, func(a, b plan.Target) int {
		fa, fb := a.Kind.Front(), b.Kind.Front()
		return cmp.Or(cmp.Compare(gains[fb], gains[fa]),
			cmp.Compare(slices.Index(plan.Fronts(), fa), slices.Index(plan.Fronts(), fb)), cmp.Compare(b.Rank, a.Rank))
	})
	return out
}
