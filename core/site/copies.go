package site

import (
	"hash/maphash"
	"slices"
	"strings"

	"inktally/core/page"
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

// ownTexts returns those of pages.
func ownTexts(pages []*page.Page, places []place.Place) []ownText {
	shared, seed := sharedBlocks(pages), maphash.MakeSeed()
	alone := len(pages) < 2 // nothing to be alike with
	m := newMasker(places, seed)
	out := make([]ownText, len(pages))
	for i, p := range pages {
		if p == nil {
			continue
		}
		var tokens []string
		for k := range p.Blocks {
			if !copied(p, k) || shared[blockKey(p, k)] {
				continue
			}
			out[i].words += p.Blocks[k].Words
			if alone {
				continue
			}
			lo, hi := p.TokenRange(k)
			for t := lo; t < hi; t++ {
				tokens = append(tokens, p.Scan().Folded(t))
			}
		}
		hashes := make([]uint64, len(tokens))
		for t := range tokens {
			hashes[t] = maphash.String(seed, tokens[t])
		}
		out[i].plain, out[i].masked = shingle.Of(hashes), shingle.Of(m.mask(tokens, hashes))
	}
	return out
}

// copied reports whether a block is copy.
func copied(p *page.Page, k int) bool { return p.Blocks[k].Copy() }

func blockKey(p *page.Page, k int) string { return strings.ToLower(p.Text(k)) }

// sharedBlocks returns the texts of blocks that stand on at least 3 pages and on half of
// them.
func sharedBlocks(pages []*page.Page) map[string]bool {
	counts := map[string]int{}
	n := 0
	for _, p := range pages {
		if p == nil {
			continue
		}
		n++
		seen := map[string]bool{}
		for k := range p.Blocks {
			if p.Blocks[k].Words >= sharedWords && copied(p, k) {
				if key := blockKey(p, k); !seen[key] {
					seen[key] = true
					counts[key]++
				}
			}
		}
	}
	out := map[string]bool{}
	for key, c := range counts {
		out[key] = c >= sharedPages && 2*c >= n
	}
	return out
}

// masker knows the names of places by their first tokens.
type masker struct {
	forms map[string][][]string
	place uint64 // the hash that stands for all of them
}

func newMasker(places []place.Place, seed maphash.Seed) masker {
	m := masker{map[string][][]string{}, maphash.String(seed, "\x00")}
	for _, p := range places {
		for _, form := range p.Forms() {
			if len(form) > 0 {
				m.forms[form[0]] = append(m.forms[form[0]], form)
			}
		}
	}
	for _, forms := range m.forms {
		slices.SortFunc(forms, func(a, b []string) int { return len(b) - len(a) })
	}
	return m
}

// mask writes one hash for the name of every place.
func (m masker) mask(tokens []string, hashes []uint64) []uint64 {
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
		out = append(out, hashes[i])
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
