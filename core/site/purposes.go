package site

import (
	"slices"

	"inktally/core/finding"
)

// Purposes returns the pages of a client's own site with what they are for as pages of the client: a second copy and
// one that is to be merged into another are for nothing, for targets are for the first one, and there is one home page.
func (t *Tree) Purposes() []Surveyed {
	out := slices.Clone(t.Pages)
	for i := range out {
		if slices.ContainsFunc(t.Findings, func(f finding.Finding) bool { return f.Yields() && f.URL == out[i].URL }) {
			out[i].Purpose = Purpose{Kind: Other}
		}
	}
	return out
}

// Subjects counts the pages that are for one service or place.
func (t *Tree) Subjects() (n int) {
	for _, p := range t.Pages {
		if p.Kind.ForOneSubject() {
			n++
		}
	}
	return n
}
