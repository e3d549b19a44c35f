package book

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/text"
	"inktally/core/visits"
)

// Phrase is a phrase of a client's book with what is known of its search.
type Phrase struct {
	ID   int64
	Text string
	// Volume is searches a month, Difficulty 0 to 100, Position today's; nil if
	// it is not known.
	Volume, Difficulty, Position *int
	// Area is where the volume was counted, empty if it is not known (rule 7.1).
	Area visits.Area
	// With is the phrase with whose family the user put it, itself if it stands
	// alone; empty if the rule decides. It is in its folded form.
	With string
	// Page is the page that it was typed for, 0 for none, and Typed its rank
	// among those typed, from 1 (rule 9.1).
	Page  int64
	Typed int
}

// typedFirst orders phrases by when they were typed; those that were not come
// last, by their text.
func typedFirst(a, b Phrase) int {
	return cmp.Or(compareBool(b.Typed > 0, a.Typed > 0), cmp.Compare(a.Typed, b.Typed), strings.Compare(a.Text, b.Text))
}

func compareBool(a, b bool) int { return cmp.Compare(boolInt(a), boolInt(b)) }

func boolInt(b bool) int {
	if b {
		return 1
	}
	return 0
}

// figure sorts what is not known behind all else.
func figure(n *int) int {
	if n == nil {
		return -1
	}
	return *n
}

// hasSlip reports whether a phrase holds a slip of spelling.
func hasSlip(phrase string, slips map[string]bool) bool {
	return len(slips) > 0 && slices.ContainsFunc(text.Tokens(phrase), func(t string) bool { return slips[t] })
}
