package book

import (
	"cmp"
	"slices"
	"strings"
)

// WordToJudge is a word that nothing is known of, with what its verdict decides
// about.
type WordToJudge struct {
	Word string
	// Families are how many families it makes unsure, Gain and Volume what they
	// bring together.
	Families     int
	Gain, Volume float64
	// Example is the lead of the family that brings most.
	Example string
}

// WordsToJudge returns the words that make families unsure, those that decide about the
// most gain first (rule 3.6).
func WordsToJudge(families []Family) []WordToJudge {
	at := map[string]int{}
	var out []WordToJudge
	for i := range families {
		f := &families[i]
		if !f.unsure() {
			continue
		}
		for _, w := range f.Unfamiliar {
			k, ok := at[w]
			if !ok {
				k = len(out)
				at[w] = k
				out = append(out, WordToJudge{Word: w, Example: f.Lead().Text})
			}
			out[k].Families++
			out[k].Gain += f.Gain
			out[k].Volume += f.Volume
		}
	}
	slices.SortStableFunc(out, func(a, b WordToJudge) int {
		return cmp.Or(cmp.Compare(b.Gain, a.Gain), cmp.Compare(b.Volume, a.Volume), cmp.Compare(b.Families, a.Families),
			strings.Compare(a.Word, b.Word))
	})
	return out
}
