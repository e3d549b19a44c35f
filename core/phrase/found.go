package phrase

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/text"
	"inktally/core/visits"
)

// FoundPhrase is a phrase that a page or a site is found for.
type FoundPhrase struct {
	Text       string `json:"text"`
	Volume     *int   `json:"volume" doc:"Searches a month, null where it is not known"`
	Difficulty *int   `json:"difficulty" doc:"0 to 100, null where it is not known"`
	// Position is that in the organic results, 0 where it is not known.
	Position int `json:"position" doc:"In the organic results, 0 where it is not known"`
	// Address is the page that is found, empty where it is not known.
	Address string `json:"address,omitempty" doc:"The page that is found, empty where it is not known"`
}

// FoundSums is what a list of phrases that a site is found for comes to
// (MEASURES 7.5).
type FoundSums struct {
	Phrases int            `json:"phrases"`
	First3  int            `json:"first_3" doc:"Phrases at positions 1 to 3"`
	First10 int            `json:"first_10"`
	First20 int            `json:"first_20"`
	Intents map[Intent]int `json:"intents" doc:"Phrases by intent"`
	// Visits a month, an estimate; Unknown are phrases whose searches are not
	// known: they count as none.
	Visits  float64 `json:"visits" doc:"A month, an estimate"`
	Unknown int     `json:"unknown" doc:"Phrases whose searches are not known: they count as none"`
}

// SumFound sums up what a site is found for. No phrase stands twice.
func SumFound(found []FoundPhrase, s *Sorter, rules visits.Rules) FoundSums {
	sums := FoundSums{Phrases: len(found), Intents: map[Intent]int{}}
	for _, f := range found {
		sums.Intents[s.Tell(f.Text).Intent]++
		if f.Position >= 1 {
			sums.First3 += boolInt(f.Position <= 3)
			sums.First10 += boolInt(f.Position <= 10)
			sums.First20 += boolInt(f.Position <= 20)
		}
		if f.Volume == nil {
			sums.Unknown++
			continue
		}
		sums.Visits += float64(*f.Volume) * rules.Rate(f.Position)
	}
	return sums
}

// UniqueFound keeps each phrase once, with its best position: a site may be
// found for it with several pages.
func UniqueFound(found []FoundPhrase) []FoundPhrase {
	var out []FoundPhrase
	at := map[string]int{}
	for _, f := range found {
		key := strings.Join(text.Tokens(f.Text), " ")
		i, ok := at[key]
		switch {
		case !ok:
			at[key] = len(out)
			out = append(out, f)
		case f.Position > 0 && (out[i].Position == 0 || f.Position < out[i].Position):
			if f.Volume == nil {
				f.Volume = out[i].Volume
			}
			out[i] = f
		}
	}
	return out
}

// FoundRow is a phrase with the positions of several sites.
type FoundRow struct {
	Text   string `json:"text"`
	Intent Intent `json:"intent" enum:"hire,research,brand,elsewhere,broad"`
	// Service is the client's that it names, empty for none.
	Service string `json:"service"`
	Volume  *int   `json:"volume" doc:"Searches a month, null where it is not known"`
	// Positions are those of the sites in their order; 0 is none.
	Positions []int `json:"positions" doc:"Of the sites in their order; 0 for none"`
}

// CompareFound puts the lists of several sites side by side: a row for each
// phrase, those with the most searches first.
func CompareFound(lists [][]FoundPhrase, s *Sorter) []FoundRow {
	var rows []FoundRow
	at := map[string]int{}
	for site, list := range lists {
		for _, f := range list {
			key := strings.Join(text.Tokens(f.Text), " ")
			i, ok := at[key]
			if !ok {
				i = len(rows)
				at[key] = i
				told := s.Tell(f.Text)
				rows = append(rows, FoundRow{Text: f.Text, Intent: told.Intent, Service: told.Service, Positions: make([]int, len(lists))})
			}
			rows[i].Positions[site] = f.Position
			if rows[i].Volume == nil {
				rows[i].Volume = f.Volume
			}
		}
	}
	slices.SortStableFunc(rows, func(a, b FoundRow) int {
		return cmp.Or(cmp.Compare(figure(b.Volume), figure(a.Volume)), strings.Compare(a.Text, b.Text))
	})
	return rows
}

// figure sorts what is not known behind all else.
func figure(n *int) int {
	if n == nil {
		return -1
	}
	return *n
}
