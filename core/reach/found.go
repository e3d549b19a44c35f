// Package reach works out what sites get of searches: what they are found for, the visits that this brings them, what
// the client misses of it and what it is worth (rules 7.5, 14.1, 14.2).
//
// In go lists of phrases with positions, a list a site, the client's judge and the rules of visits; out come Rows, a
// phrase each with what every site gets of it, and sums of them by site. All visits are a month's, and estimates but
// for those that a list has itself.
package reach

import (
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/visits"
)

// Phrase is a phrase that a page or a site is found for.
type Phrase struct {
	Text       string
	Volume     *int
	Difficulty *int
	// Position is that in the organic results, 0 if it is not known, Map that in the map pack, 0 for none.
	Position, Map int
	// Address is the page that is found, empty if it is not known.
	Address string
	// Visits are those that the list has itself, nil if it has none.
	Visits *float64
	// Area is where the volume was counted, empty if that is not known.
	Area visits.Area
}

// Sums is what a list of phrases that a site is found for comes to (rule 7.5).
type Sums struct {
	Phrases int
	// First3, First10 and First20 are those at positions up to these.
	First3, First10, First20 int
	Intents                  map[intent.Intent]int
}

// Sum sums up what a site is found for. No phrase stands twice.
func Sum(found []Phrase, judge *intent.Judge) Sums {
	sums := Sums{Phrases: len(found), Intents: map[intent.Intent]int{}}
	for _, f := range found {
		sums.Intents[judge.Of(f.Text).Intent]++
		for _, up := range []struct {
			to int
			n  *int
		}{{3, &sums.First3}, {10, &sums.First10}, {20, &sums.First20}} {
			if f.Position >= 1 && f.Position <= up.to {
				*up.n++
			}
		}
	}
	return sums
}

// Unique keeps each phrase once, with its best position: a site may be found for it with several pages. What the list
// has of visits is added up.
func Unique(found []Phrase) []Phrase {
	var out []Phrase
	at := map[string]int{}
	for _, f := range found {
		key := phrase.Fold(f.Text)
		i, ok := at[key]
		if !ok {
			at[key] = len(out)
			out = append(out, f)
			continue
		}
		both := added(out[i].Visits, f.Visits)
		if f.Position > 0 && (out[i].Position == 0 || f.Position < out[i].Position) {
			if f.Volume == nil {
				f.Volume, f.Area = out[i].Volume, out[i].Area
			}
			out[i] = f
		}
		out[i].Visits = both
	}
	return out
}

func added(a, b *float64) *float64 {
	switch {
	case a == nil:
		return b
	case b == nil:
		return a
	}
	sum := *a + *b
	return &sum
}

// With returns a list with what recorded searches add to it: phrases that it does not have, and places in the map pack.
func With(list, searched []Phrase) []Phrase {
	out := append([]Phrase{}, list...)
	at := map[string]int{}
	for i, f := range list {
		at[phrase.Fold(f.Text)] = i
	}
	for _, s := range searched {
		key := phrase.Fold(s.Text)
		i, ok := at[key]
		switch {
		case !ok:
			at[key] = len(out)
			out = append(out, s)
		case out[i].Map == 0:
			out[i].Map = s.Map
		}
	}
	return out
}
