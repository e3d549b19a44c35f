package results

import (
	"slices"

	"inktally/core/entry"

	"golang.org/x/net/html"
)

// block is what may be an entry: the units of one root.
type block struct {
	root   *html.Node
	lo, hi int // of its units
}

// blocks returns the roots of links that lead out, and of businesses that have none, in
// order and each once.
func (s *scan) blocks() []block {
	taken := map[*html.Node]bool{}
	var out []block
	take := func(root *html.Node) {
		if !taken[root] {
			taken[root] = true
			lo, hi := s.span(root)
			out = append(out, block{root, lo, hi})
		}
	}
	for i := range s.units {
		u := &s.units[i]
		if s.leads(u) != "" {
			take(s.root(u.node))
		}
	}
	out = apart(out)
	s.extendBack(out)
	known, next := slices.Clone(out), 0
	for i := range s.units {
		u := &s.units[i]
		for next < len(known) && known[next].hi <= i {
			next++
		}
		inside := next < len(known) && i >= known[next].lo
		if inside || !entry.IsRating(u.text) && entry.PhoneOf(u.text) == "" {
			continue
		}
		if root := s.root(u.node); len(s.found[root].domains) == 0 {
			take(root)
		}
	}
	out = apart(out)
	s.extend(out)
	return out
}

// apart returns blocks in order, of those that overlap the first and largest.
func apart(blocks []block) []block {
	slices.SortStableFunc(blocks, func(a, b block) int {
		if a.lo != b.lo {
			return a.lo - b.lo
		}
		return b.hi - a.hi
	})
	out := blocks[:0]
	for _, b := range blocks {
		if n := len(out); n == 0 || b.lo >= out[n-1].hi {
			out = append(out, b)
		}
	}
	return out
}

// span returns the units below a node.
func (s *scan) span(root *html.Node) (lo, hi int) { return s.found[root].lo, s.found[root].hi }

func within(n, root *html.Node) bool {
	for ; n != nil; n = n.Parent {
		if n == root {
			return true
		}
	}
	return false
}

// extend gives blocks that hold a title and nothing else what follows them: some pages
// put the parts of an entry side by side.
func (s *scan) extend(blocks []block) {
	for i := range blocks {
		b := &blocks[i]
		shown := 0
		for _, u := range s.units[b.lo:b.hi] {
			if !u.labeled && u.address() == "" {
				shown++
			}
		}
		if shown > 1 {
			continue
		}
		end := len(s.units)
		if i+1 < len(blocks) {
			end = blocks[i+1].lo
		}
		for b.hi < end && sibling(s.units[b.hi].node, b.root) && !s.units[b.hi].heading {
			b.hi++
		}
	}
}

// extendBack gives blocks that hold a link without a title what stands before them.
func (s *scan) extendBack(blocks []block) {
	for i := range blocks {
		b := &blocks[i]
		if s.titleOf(b.lo, b.hi) != "" {
			continue
		}
		start := 0
		if i > 0 {
			start = blocks[i-1].hi
		}
		for b.lo > start && sibling(s.units[b.lo-1].node, b.root) {
			b.lo--
		}
	}
}

// sibling reports whether a node stands below the parent of another one.
func sibling(n, beside *html.Node) bool { return beside.Parent != nil && within(n, beside.Parent) }
