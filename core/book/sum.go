package book

import (
	"inktally/core/sum"
	"inktally/core/visits"
)

// Sum returns the steps of what the family's row gains (rules 7.1 to 7.4, 3.10): also is the
// share with which the families folded under it count.
func (f *Family) Sum(rules visits.Rules, also float64) sum.Sum {
	var out sum.Sum
	switch {
	case f.Volume > 0:
		out = rules.Sum(f.Estimate, f.countedLead(), f.Difficulty, f.today())
	case f.Uncounted > 0:
		out = sum.Sum{{Code: sum.Uncounted, Count: f.Uncounted, Rule: "7.1"}}
	default:
		out = sum.Sum{{Code: sum.NoSearches, Rule: "7.3"}}
	}
	if f.RowGain != f.Gain {
		out = append(out, sum.Step{Code: sum.AlsoSearched, Value: f.RowGain - f.Gain, Part: also, Rule: "3.10",
			Figure: "book.also_share"})
	}
	return out
}

// countedLead returns how many searches of the lead count.
func (f *Family) countedLead() int {
	lead := f.Lead()
	if lead.Volume == nil || !lead.Area.Counts(f.Place != "") {
		return 0
	}
	return *lead.Volume
}

// today returns the best position of the family's members, 0 for none.
func (f *Family) today() int {
	if f.Position == nil {
		return 0
	}
	return *f.Position
}
