// Package account tells what changed of a client since a day: what was done, what moved (rule 15.3).
//
// In go what was known on that day and what is now; out come differences, none of which is made of what was not known
// then.
package account

import (
	"math"
	"slices"
	"time"

	"inktally/core/plan"
	"inktally/core/standing"
)

// Then returns which of some moments was in force on a day: the last up to its end, else the first after it, since
// what began later begins there; -1 where that is the newest, for nothing was known before it.
func Then(moments []time.Time, day time.Time) int {
	end, last, first, newest := EndOf(day), -1, -1, -1
	for i, m := range moments {
		if !m.After(end) && (last < 0 || !m.Before(moments[last])) {
			last = i
		}
		if first < 0 || m.Before(moments[first]) {
			first = i
		}
		if newest < 0 || !m.Before(moments[newest]) {
			newest = i
		}
	}
	then := last
	if then < 0 {
		then = first
	}
	if then == newest {
		return -1
	}
	return then
}

// EndOf returns the last second of a day.
func EndOf(day time.Time) time.Time {
	y, m, d := day.Date()
	return time.Date(y, m, d, 23, 59, 59, 0, day.Location())
}

// Figure is a figure of the client that comes from elsewhere, then and now.
type Figure struct {
	standing.Value // as it is now
	Then           standing.Value
}

// Figures returns those of a site that are known of both days and differ, each by one source: what another source
// says is no change.
func Figures(values []standing.Value, site string, day time.Time) (out []Figure) {
	type key struct {
		figure       standing.Figure
		scope        standing.Scope
		name, source string
	}
	var keys []key
	by := map[key][]standing.Value{}
	for _, v := range values {
		if v.Site != site {
			continue
		}
		k := key{v.Figure, v.Scope, v.Name, v.Source}
		if by[k] == nil {
			keys = append(keys, k)
		}
		by[k] = append(by[k], v)
	}
	for _, k := range keys {
		list := by[k]
		slices.SortStableFunc(list, func(a, b standing.Value) int { return a.On.Compare(b.On) })
		moments := make([]time.Time, len(list))
		for i, v := range list {
			moments[i] = v.On
		}
		now := list[len(list)-1]
		if at := Then(moments, day); at >= 0 && list[at].Amount != now.Amount {
			out = append(out, Figure{Value: now, Then: list[at]})
		}
	}
	return out
}

// Place is where the client stood and stands for a phrase, 0 for not found.
type Place struct {
	Phrase string
	// Organic and Map are then and now; OrganicOf and MapOf are how many were looked at now, 0 where that is not
	// known.
	Organic, Map     [2]int
	OrganicOf, MapOf int
	// Visits are what the organic places bring a month, 0 where its searches are not known or not the town's (rule
	// 7.1).
	Visits Visits
}

// Moved reports whether a place is another.
func (p Place) Moved() bool { return p.Organic[0] != p.Organic[1] || p.Map[0] != p.Map[1] }

// VisitsOf returns what the organic places bring, by the searches of the phrase and the rates of places (rule 7.1).
func (p Place) VisitsOf(searches int, rate func(place int) float64) Visits {
	return Visits{Then: float64(searches) * rate(p.Organic[0]), Now: float64(searches) * rate(p.Organic[1])}
}

// Rise is by how many places two organic places differ, what is not found being behind all.
func (p Place) Rise() int {
	place := func(n int) int {
		if n == 0 {
			return 101
		}
		return n
	}
	return place(p.Organic[0]) - place(p.Organic[1])
}

// Visits are those a month, then and now; both are estimates.
type Visits struct{ Then, Now float64 }

// Changed reports whether at least one visit is another.
func (v Visits) Changed() bool { return math.Abs(v.Now-v.Then) >= .5 }

// Moved is what moved of a client since a day.
type Moved struct {
	// Places are the phrases that were searched for before and since, those that moved.
	Places []Place
	// FoundFor is how many phrases the client's site is found for by its lists, Hire what these bring of visits that
	// are ready to hire; both are the same where no newer list came.
	FoundFor [2]int
	Hire     Visits
	Figures  []Figure
	// Ticked is how many parts of the standing's work were ticked off, by kind.
	Ticked map[standing.Kind]int
}

// Done is what was done on a page.
type Done struct {
	// Page is what it is called, Words how many were written.
	Page  string
	Words int
	// Parts are how many of each kind were done, but for the words.
	Parts map[plan.PartKind]int
	// Minutes is what it takes by rule 12.3.
	Minutes float64
}
