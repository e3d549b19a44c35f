package mapprofile

import (
	"math"
	"slices"
	"strconv"
	"strings"
	"time"
)

// Pack is what the local firms of the map pack have of a figure.
type Pack []float64

// Median returns the middle one, the mean of the two in the middle of an even number; 0 for none.
func (p Pack) Median() float64 {
	if len(p) == 0 {
		return 0
	}
	s := slices.Sorted(slices.Values(p))
	n := len(s)
	return (s[(n-1)/2] + s[n/2]) / 2
}

// Best returns the greatest, 0 for none.
func (p Pack) Best() float64 {
	if len(p) == 0 {
		return 0
	}
	return slices.Max(p)
}

// Rules are what is wanted of a profile (rule 13.4, Y).
type Rules struct {
	// Times is how many times the median of the pack's reviews is wanted, PostDays how old the last post may be.
	Times    float64
	PostDays int
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules { return Rules{Times: 1, PostDays: 7} }

// ReviewTarget is what is wanted of reviews, the client's beside the pack's.
type ReviewTarget struct {
	// First is wanted first, the median of the pack; Then is its best. Missing is how many are missing to the first, 0
	// for none.
	First, Then, Missing int
	// Enough reports whether the client has the most: then reviews are not what is missing.
	Enough bool
}

// ReviewsWanted returns what is wanted of reviews by what the client and the local firms of the pack have.
func (r Rules) ReviewsWanted(own float64, pack Pack) ReviewTarget {
	first := int(math.Ceil(pack.Median() * r.Times))
	return ReviewTarget{First: first, Then: max(first, int(pack.Best())), Missing: max(0, first-int(own)),
		Enough: len(pack) > 0 && own >= pack.Best()}
}

// PostDue reports whether the last post is too old on a day; known is false where it is not known when it was.
func (r Rules) PostDue(facts Facts, today time.Time) (due, known bool) {
	value, known := facts[LastPost]
	if !known {
		return false, false
	}
	at, err := time.Parse(time.DateOnly, value)
	if value != "" && err != nil {
		return false, false
	}
	return value == "" || today.Sub(at) > time.Duration(r.PostDays)*24*time.Hour, true
}

// Number returns a fact that is a figure.
func (f Facts) Number(field Field) (float64, bool) {
	value, known := f[field]
	if !known {
		return 0, false
	}
	if value == "" || none(value) {
		return 0, true
	}
	n, err := strconv.ParseFloat(strings.TrimSuffix(value, "%"), 64)
	return n, err == nil && n >= 0
}
