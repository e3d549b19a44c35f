// Package shingle tells how alike texts are, by their shingles: the runs of five tokens of each (rule 11).
//
// In go texts as hashes of their tokens; out come the pairs that may be alike, and how much two texts
// have in common.
package shingle

import (
	"cmp"
	"math"
	"slices"
)

const (
	size    = 5  // tokens
	sampled = 64 // shingles of a text, about, by which its like are looked for
	likely  = 0.5
	// A shingle that more pages hold than these is counted for the first few of them
	// alone: a site of a thousand copies is told by its first.
	mostHolders = 60
	firstOnes   = 3
)

// Set is the shingles of a text, by their hashes.
type Set struct {
	all    []uint64 // in order of the text; sorted and each once when they are sets
	set    bool
	sample []uint64 // the lowest, sorted
}

// Of returns the shingles of a text.
func Of(tokens []uint64) Set {
	var s Set
	if len(tokens) < size {
		return s
	}
	n := len(tokens) - size + 1
	s.all = make([]uint64, n)
	below := uint64(math.MaxUint64)
	if n > sampled {
		below = below / uint64(n) * sampled
	}
	for i := range n {
		h := uint64(0)
		for _, t := range tokens[i : i+size] {
			h = (h ^ t) * 0x9e3779b97f4a7c15
			h ^= h >> 29
		}
		s.all[i] = h
		if h <= below {
			s.sample = append(s.sample, h)
		}
	}
	slices.Sort(s.sample)
	s.sample = slices.Compact(s.sample)
	return s
}

// sorted returns all shingles, each once.
func (s *Set) sorted() []uint64 {
	if !s.set {
		slices.Sort(s.all)
		s.all, s.set = slices.Compact(s.all), true
	}
	return s.all
}

// Likeness returns the share of common shingles of two texts (Jaccard), 0 for none.
func Likeness(a, b *Set) float64 {
	x, y := a.sorted(), b.sorted()
	if len(x) == 0 || len(y) == 0 {
		return 0
	}
	total, common := len(x)+len(y), 0
	for len(x) > 0 && len(y) > 0 {
		switch {
		case x[0] < y[0]:
			x = x[1:]
		case x[0] > y[0]:
			y = y[1:]
		default:
			common++
			x, y = x[1:], y[1:]
		}
	}
	return float64(common) / float64(total-common)
}

// Candidates returns the pairs of texts that may be alike, by their samples, in order; a
// text that is nil has none.
func Candidates(texts []*Set) [][2]int {
	holders := map[uint64][]int32{}
	for i, s := range texts {
		if s != nil {
			for _, h := range s.sample {
				holders[h] = append(holders[h], int32(i))
			}
		}
	}
	common := map[[2]int]int{}
	for _, list := range holders {
		first := list
		if len(list) > mostHolders {
			first = list[:firstOnes]
		}
		for x, a := range first {
			for _, b := range list[x+1:] {
				common[[2]int{int(a), int(b)}]++
			}
		}
	}
	var out [][2]int
	for pair, n := range common {
		if float64(n) >= likely*float64(min(len(texts[pair[0]].sample), len(texts[pair[1]].sample))) {
			out = append(out, pair)
		}
	}
	slices.SortFunc(out, func(x, y [2]int) int { return cmp.Or(x[0]-y[0], x[1]-y[1]) })
	return out
}
