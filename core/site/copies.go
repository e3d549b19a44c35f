package site

import (
	"hash/maphash"
	"slices"

	"inktally/core/place"
	"inktally/core/shingle"
)

// The figures by which texts are held against each other (rules 2.2, 11).
const (
	alike       = 0.9 // of the shingles of both
	sharedWords = 5   // of a block that pages share
	sharedPages = 3
	leastWords  = 25 // of an own text that can be a copy
)

// ownText is the text of a page less the blocks that its site repeats (rule 2.2), by its
// shingles: plain, and with the names of places taken as one word.
type ownText struct {
	words         int
	plain, masked shingle.Set
}

// ownTexts returns those of pages; a page that was not read has none.
func ownTexts(pages []Visited, places []place.Place) []ownText {
	shared := sharedBlocks(pages)
	alone := len(pages) < 2 // nothing to be alike with
	m := newMasker(places)
	out := make([]ownText, len(pages))
	for i, v := range pages {
		g := v.Gist
		if g == nil {
			continue
		}
		var tokens []uint64
		from, words := 0, 0
		for _, c := range g.copies {
			if words += c.words; !shared[c.key] {
				out[i].words += c.words
				tokens = append(tokens, g.tokens[from:c.until]...)
			}
			from = c.until
		}
		out[i].words += g.Words.Copy - words // what is beyond the bounds of a gist
		if !alone {
			out[i].plain, out[i].masked = shingle.Of(tokens), shingle.Of(m.mask(tokens))
		}
	}
	return out
}

// sharedBlocks returns the texts of blocks that stand on at least 3 pages and on half of
// them, hashed.
func sharedBlocks(pages []Visited) map[uint64]bool {
	counts := map[uint64]int{}
	n := 0
	for _, v := range pages {
		if v.Gist == nil {
			continue
		}
		n++
		seen := map[uint64]bool{}
		for _, c := range v.Gist.copies {
			if c.words >= sharedWords && !seen[c.key] {
				seen[c.key] = true
				counts[c.key]++
			}
		}
	}
	out := map[uint64]bool{}
	for key, c := range counts {
		out[key] = c >= sharedPages && 2*c >= n
	}
	return out
}

// masker knows the names of places by their first tokens, all of them hashed.
type masker struct {
	forms map[uint64][][]uint64
	place uint64 // the hash that stands for all of them
}

func newMasker(places []place.Place) masker {
	m := masker{map[uint64][][]uint64{}, maphash.String(seed, "\x00")}
	for _, p := range places {
		for _, form := range p.Forms() {
			if len(form) > 0 {
				hashed := make([]uint64, len(form))
				for i, t := range form {
					hashed[i] = maphash.String(seed, t)
				}
				m.forms[hashed[0]] = append(m.forms[hashed[0]], hashed)
			}
		}
	}
	for _, forms := range m.forms {
		slices.SortFunc(forms, func(a, b []uint64) int { return len(b) - len(a) })
	}
	return m
}

// mask writes one hash for the name of every place.
func (m masker) mask(tokens []uint64) []uint64 {
	out := make([]uint64, 0, len(tokens))
next:
	for i := 0; i < len(tokens); i++ {
		for _, form := range m.forms[tokens[i]] {
			if i+len(form) <= len(tokens) && slices.Equal(tokens[i:i+len(form)], form) {
				out = append(out, m.place)
				i += len(form) - 1
				continue next
			}
		}
		out = append(out, tokens[i])
	}
	return out
}

// twin is a pair of pages with the same text, by their indices; but for places reports that
// only the names of places differ.
type twin struct {
	a, b      int
	butPlaces bool
}

// twins finds the pages whose own texts are the same, or differ in the names of places
// alone: at least nine tenths of the shingles of both are common.
func twins(texts []ownText) (out []twin) {
	masked := make([]*shingle.Set, len(texts))
	for i := range texts {
		if texts[i].words >= leastWords {
			masked[i] = &texts[i].masked
		}
	}
	for _, pair := range shingle.Candidates(masked) {
		a, b := &texts[pair[0]], &texts[pair[1]]
		m := shingle.Likeness(&a.masked, &b.masked)
		if m < alike {
			continue
		}
		p := shingle.Likeness(&a.plain, &b.plain)
		// Where they differ in places and in nothing else, each is for its place.
		out = append(out, twin{pair[0], pair[1], p < alike || p < 1 && m == 1})
	}
	return out
}
