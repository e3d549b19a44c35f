package book

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/visits"
)

// FoundPhrase is a phrase that a page or a site is found for.
type FoundPhrase struct {
	Text       string
	Volume     *int
	Difficulty *int
	// Position is that in the organic results, 0 if it is not known.
	Position int
	// Address is the page that is found, empty if it is not known.
	Address string
}

// FoundSums is what a list of phrases that a site is found for comes to
// (rule 7.5).
type FoundSums struct {
	Phrases int
	First3  int
	First10 int
	First20 int
	Intents map[intent.Intent]int
	// Visits a month, an estimate; Unknown are phrases whose searches are not
	// known: they count as none.
	Visits  float64
	Unknown int
}

// SumFound sums up what a site is found for. No phrase stands twice.
func SumFound(found []FoundPhrase, judge *intent.Judge, rules visits.Rules) FoundSums {
	sums := FoundSums{Phrases: len(found), Intents: map[intent.Intent]int{}}
	for _, f := range found {
		sums.Intents[judge.Of(f.Text).Intent]++
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
		key := phrase.Fold(f.Text)
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
	Text   string
	Intent intent.Intent
	// Service is the client's that it names, empty for none.
	Service string
	Volume  *int
	// Positions are those of the sites in their order; 0 is none.
	Positions []int
}

// CompareFound puts the lists of several sites side by side: a row for each
// phrase, those with the most searches first.
func CompareFound(lists [][]FoundPhrase, judge *intent.Judge) []FoundRow {
	var rows []FoundRow
	at := map[string]int{}
	for site, list := range lists {
		for _, f := range list {
			key := phrase.Fold(f.Text)
			i, ok := at[key]
			if !ok {
				i = len(rows)
				at[key] = i
				judged := judge.Of(f.Text)
				rows = append(rows, FoundRow{Text: f.Text, Intent: judged.Intent, Service: judged.Service,
					Positions: make([]int, len(lists))})
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
