package site

import (
	"slices"
	"strings"

	"inktally/core/finding"
	"inktally/core/page"
	"inktally/core/place"
)

// Rules is the version of the rules by which pages are judged: what was judged by an
// older one is judged anew.
const Rules = 1

// Visited is a page of a site as it was visited.
type Visited struct {
	URL string
	// Page is the page where it is at hand; Gist is what is known of it, made of the page where it is nil. Both are
	// nil for one that was not read.
	Page *page.Page
	Gist *Gist
	// Labels are the texts of links to it, those of menus first; InLinks is how many
	// other pages link to it.
	Labels  []string
	InLinks int
	// Canonical is the address that it names as its own, absolute; empty for none.
	Canonical string
}

// Dead is a link to a page that is not there.
type Dead struct {
	URL, From, Label string
	// Status is what the site answered; Menu reports whether the link stands in a menu, Soft whether the
	// address answers with a page that says that there is none.
	Status int
	Menu   bool
	Soft   bool
}

// Surveyed is a page with what it is for.
type Surveyed struct {
	URL, Title string
	Purpose
	// Words are those seen, Own the copy words that no other pages repeat, Copy all of them.
	Words, Own, Copy int
	// Says is how much of title, H1 and address names what the page is for (rule 9.1).
	Says int
}

// Tree is what a survey finds of a site.
type Tree struct {
	Pages    []Surveyed
	Findings []finding.Finding
}

// Survey is what a tree is made from.
type Survey struct {
	Visited []Visited
	Dead    []Dead
	// Root is the address of the page that the site's root leads to, empty if it is not known.
	Root string
	// Both reports whether the site answers by http and by https, without leading from one
	// to the other.
	Both bool
	// Plain reports whether the site answers by http alone.
	Plain bool
	// Firm is the name of the business, whose places are no contradictions.
	Firm   string
	Binder *Binder
	// Places are the client's; Services its services, the main one first.
	Places   []place.Place
	Services []string
	// Set is what a person said that pages are for, by their bare addresses.
	Set map[string]Purpose
	// Low are the words that a kind of page should have at least (rule 8.1).
	Low func(Kind) int
}

// Tree returns what the pages of a site are for, and what is wrong with them. It is the same
// in whatever order the pages were visited.
func (s Survey) Tree() Tree {
	visited := slices.Clone(s.Visited)
	slices.SortFunc(visited, func(a, b Visited) int { return compareAddresses(a.URL, b.URL) })
	for i := range visited {
		visited[i].Gist, visited[i].Page = s.gist(visited[i]), nil
	}
	s.Visited = visited
	var t Tree
	for _, v := range visited {
		one := Surveyed{URL: v.URL, Purpose: PurposeOf(cluesOf(v), s.Binder)}
		if SameAddress(v.URL, s.Root) {
			one.Purpose = Purpose{Kind: Home, Reason: ByRoot}
		}
		if set, ok := s.Set[BareAddress(v.URL)]; ok {
			set.Reason, set.Words = ByHand, nil
			one.Purpose = set
		}
		t.Pages = append(t.Pages, one)
	}
	s.inRows(t.Pages)
	own := ownTexts(visited, s.named(t.Pages))
	for i, v := range visited {
		if v.Gist != nil {
			t.Pages[i].Title, t.Pages[i].Words, t.Pages[i].Own = v.Gist.Title, v.Gist.Words.Seen, own[i].words
		}
	}
	f := finder{s: s, tree: &t, twins: twins(own)}
	for i, v := range visited {
		if v.Gist != nil {
			t.Pages[i].Copy, t.Pages[i].Says = v.Gist.Words.Copy, f.named(i)
		}
	}
	f.findAll()
	return t
}

// named returns the client's places and the other towns that pages are for: two pages may
// differ in their names alone.
func (s Survey) named(pages []Surveyed) []place.Place {
	out := slices.Clone(s.Places)
	for _, p := range pages {
		if p.Place != "" && !slices.ContainsFunc(out, func(q place.Place) bool { return q.Name == p.Place }) {
			out = append(out, place.Place{Name: p.Place})
		}
	}
	return out
}

func cluesOf(v Visited) Clues {
	clues := Clues{URL: v.URL, Labels: v.Labels}
	if g := v.Gist; g != nil {
		clues.Title, clues.H1, clues.Copy = g.Title, g.H1, g.Words.Copy
		clues.Forms, clues.Maps, clues.Images = g.Forms, g.Maps, g.Images
		for _, h := range g.Headings {
			if h.Level == 2 || h.Level == 3 {
				clues.Headings, clues.Under = append(clues.Headings, h.Text), append(clues.Under, h.Words)
			}
		}
	}
	return clues
}

// compareAddresses orders pages: the home page first, then shorter paths.
func compareAddresses(a, b string) int {
	depth := func(s string) int { return strings.Count(strings.Trim(s, "/"), "/") }
	if d := depth(a) - depth(b); d != 0 {
		return d
	}
	return strings.Compare(a, b)
}
