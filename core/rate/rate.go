// Package rate works out how often a phrase is to stand in the copy of a page (rules 9.4, 9.5).
//
// In go the rates of the rivals that carry it and the words of the copy; out come counts.
package rate

import (
	"math"

	"inktally/core/stats"
)

// Rules are how often the first family stands in the copy of a page, in occurrences per 1,000 words.
type Rules struct {
	// Usual is taken without rivals that carry it; Least and Most are the bounds, and
	// no more than PerTokens by the tokens of the lead.
	Usual, Least, Most, PerTokens float64
	// Density is the keyword density in percent from which it is overused.
	Density float64
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules { return Rules{Usual: 5, Least: 3, Most: 12, PerTokens: 36, Density: 4} }

// Of returns how often a phrase of so many tokens should stand in 1,000 words: the median of the rivals that carry it,
// within bounds (rule 9.4).
func (r Rules) Of(rivals []float64, tokens int) float64 {
	rate := r.Usual
	if len(rivals) > 0 {
		rate = min(r.Most, max(r.Least, stats.Median(rivals)))
	}
	return min(rate, r.PerTokens/float64(max(1, tokens)))
}

// InAll returns how often a phrase should stand in all of a writer’s words.
func InAll(rate float64, writer int) int { return max(2, times(rate, writer)) }

// InSome returns how often a phrase should stand in the words that there are, at most as often as in all.
func InSome(rate float64, copied, all int) int { return min(all, max(1, times(rate, copied))) }

func times(rate float64, words int) int { return int(math.Round(float64(words) * rate / 1000)) }

// Allowed returns how often a phrase of so many tokens may stand in so many words (rule 9.5).
func (r Rules) Allowed(copied, tokens int) int {
	return int(r.Density * float64(copied) / 100 / float64(tokens))
}
