package ladder

import (
	"cmp"
	"slices"

	"inktally/core/plan"
)

// ahead is how many times as much as the client a rival has of a front that explains why it leads (rule 14.3).
const ahead = 1.5

// Places are where a firm stands, 0 for nowhere.
type Places struct{ Organic, Map int }

// Above reports whether a firm stands above another, in the organic results or on the map.
func (p Places) Above(other Places) bool {
	over := func(a, b int) bool { return a > 0 && (b == 0 || a < b) }
	return over(p.Organic, other.Organic) || over(p.Map, other.Map)
}

// Reason is why a rival leads, as far as what was measured tells (rule 14.3).
type Reason struct {
	// Leads are the fronts that explain it, the one in which the rival is furthest ahead first; none explains nothing.
	Leads []Step
	// Fewer reports whether its page leads with fewer words than the client's.
	Fewer bool
	// Unknown are the fronts of which a figure is not known.
	Unknown []Front
	// Narrow are up to three targets that narrow the first of the fronts, those of least time first.
	Narrow []plan.Ref
}

// Explaining returns the fronts that can explain why a rival leads, in the order in which they are told: being found
// for phrases is what comes of them.
func Explaining() []Front { return []Front{Words, Slots, Images, Pages, Links, Listings, Reviews} }

// OfCountry reports whether a firm's figure of a front is that of a whole country: it is held against nobody.
func OfCountry(f Front, chain bool) bool { return chain && (f == Pages || f == Links) }

// ReasonOf returns why a rival leads by the steps of its rung. The pages and domains of a chain are those of a whole
// country, and explain nothing. page is the key of the client's page beside it, list are its targets in the order of
// work.
func ReasonOf(steps []Step, chain bool, page string, list []plan.Target) Reason {
	var r Reason
	for _, f := range Explaining() {
		if OfCountry(f, chain) {
			continue
		}
		s := steps[slices.IndexFunc(steps, func(s Step) bool { return s.Front == f })]
		switch {
		case s.Leader == Unknown:
			r.Unknown = append(r.Unknown, f)
		case s.Theirs > 0 && s.Theirs >= ahead*s.Own:
			r.Leads = append(r.Leads, s)
		case f == Words && s.Leader == Client:
			r.Fewer = true
		}
	}
	slices.SortStableFunc(r.Leads, func(a, b Step) int { return cmp.Compare(b.times(), a.times()) })
	if len(r.Leads) > 0 {
		r.Narrow = cheapest(r.Leads[0].Front, page, list)
	}
	return r
}

// times is how many times the client's figure the rival's is; of what the client has none it is the most.
func (s Step) times() float64 {
	if s.Own == 0 {
		return 1e9
	}
	return s.Theirs / s.Own
}

// cheapest returns up to three targets that bring anything to a front, those of least time first.
func cheapest(f Front, page string, list []plan.Target) (out []plan.Ref) {
	c := climb{list: list, page: page}
	var brings []*plan.Target
	for i := range list {
		if c.brings(&list[i], f) > 0 {
			brings = append(brings, &list[i])
		}
	}
	slices.SortStableFunc(brings, func(a, b *plan.Target) int { return cmp.Compare(a.Minutes, b.Minutes) })
	for _, t := range brings[:min(len(brings), 3)] {
		out = append(out, t.Ref())
	}
	return out
}

// Enough reports whether no rival's page has the words of the guideline: they are enough then. rivals are the words of
// all pages that are comparable.
func Enough(guideline int, rivals []float64) bool {
	return len(rivals) > 0 && slices.Max(rivals) < float64(guideline)
}
