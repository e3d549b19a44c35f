package intent

import (
	"slices"
	"strings"
)

// minSlip is the length from which a word may be a slip of another.
const minSlip = 5

// meant returns the known word that a word is a slip of, or the name of whose
// doer it is (sweeper, for sweep); empty for none. Both are likely ties
// (rule 3.5).
func (j *Judge) meant(word string) string {
	if len(word) < minSlip {
		return ""
	}
	deed, isDoer := strings.CutSuffix(singular(word), "er")
	for _, known := range j.tokens {
		if len(known) >= minSlip && known[0] == word[0] && oneSlip(word, known) && (len(known) > minSlip || j.own(known)) {
			return known
		}
		if isDoer && len(deed) >= minSlip-1 && (known == deed || known == deed+"e" || known == deed+"y") {
			return known
		}
	}
	return ""
}

// own tells a word of the client's services or places. Of other short words too
// many are one letter away from another: a storm is no store.
func (j *Judge) own(word string) bool {
	if j.words[j.lang.Stem(word)]&isService != 0 {
		return true
	}
	return slices.ContainsFunc(j.places, func(l listed) bool { return slices.Contains(l.words, singular(word)) })
}

// oneSlip tells whether two words differ by one letter left out, put in,
// changed, or by two that changed places.
func oneSlip(a, b string) bool {
	if len(a) > len(b) {
		a, b = b, a
	}
	if len(b)-len(a) > 1 {
		return false
	}
	i := 0
	for i < len(a) && a[i] == b[i] {
		i++
	}
	if len(a) < len(b) {
		return a[i:] == b[i+1:]
	}
	if i == len(a) {
		return false // the same word
	}
	return a[i+1:] == b[i+1:] || i+1 < len(a) && a[i] == b[i+1] && a[i+1] == b[i] && a[i+2:] == b[i+2:]
}
