package reach

import (
	"maps"

	"inktally/core/book"
	"inktally/core/intent"
)

// Aimed is what a site gets where each family of the book stands at the position that is aimed at, and all else stays
// as it is (rules 7.2, 14.1).
type Aimed struct {
	Reach
	// Soon and Late are the months to the first of these positions and to the last, 0 for none.
	Soon, Late float64
}

// AimedOf returns what a site gets at the positions aimed at. Families that wait for a verdict bring nothing.
func AimedOf(now Reach, families []book.Family) Aimed {
	out := Aimed{Reach: now}
	out.Services = maps.Clone(now.Services)
	for i := range families {
		f := &families[i]
		if !f.Kept || f.Under != "" || f.Intent != intent.Hire || f.RowGain <= 0 {
			continue
		}
		out.Hire += f.RowGain
		out.Services[f.Service] += f.RowGain
		if out.Soon == 0 || f.Months < out.Soon {
			out.Soon = f.Months
		}
		out.Late = max(out.Late, f.Months)
	}
	return out
}

// More returns the visits ready to hire by service that come to those of now.
func (a Aimed) More(now Reach) map[string]float64 {
	out := map[string]float64{}
	for service, n := range a.Services {
		out[service] = n - now.Services[service]
	}
	return out
}
