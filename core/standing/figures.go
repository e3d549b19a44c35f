// Package standing has what no page can hold: the figures of sites that come from elsewhere, what is wanted of them,
// and the targets beside the content's (rules 13.1, 13.5).
//
// In go figures with their source and day, and what core/backlink, core/listing and core/mapprofile make of lists; out
// come totals with their targets, and a list of targets of its own.
package standing

import (
	"slices"
	"time"
)

// Figure names a figure of a site.
type Figure string

// The figures.
const (
	Links    Figure = "links"
	Domains  Figure = "referring_domains"
	Strength Figure = "strength" // by the source's own name, with its scale
	Listings Figure = "listings"
	Reviews  Figure = "reviews"
	Rating   Figure = "rating"
	Photos   Figure = "photos"
	FoundFor Figure = "phrases_found_for"
	VisitsMo Figure = "visits"
)

// Figures returns all of them, in the order in which they are shown.
func Figures() []Figure {
	return []Figure{Links, Domains, Strength, Listings, Reviews, Rating, Photos, FoundFor, VisitsMo}
}

// Scope is what a figure is of.
type Scope string

// The scopes.
const (
	OfSite Scope = "site"
	OfPage Scope = "page"
)

// Scopes returns both.
func Scopes() []Scope { return []Scope{OfSite, OfPage} }

// Value is a figure of a site, as a source had it on a day. None replaces an older one.
type Value struct {
	// Site is the domain.
	Site   string
	Figure Figure
	Scope  Scope
	// Name is the source's own name of a strength, and makes two strengths two figures; Scale is the most that it can
	// be.
	Name   string
	Scale  float64
	Amount float64
	// Source is who says so, empty for what was typed; On is the day.
	Source string
	On     time.Time
}

// Same reports whether two are one figure of one site at two times.
func (v Value) Same(as Value) bool {
	return v.Site == as.Site && v.Figure == as.Figure && v.Scope == as.Scope && v.Name == as.Name
}

// Now is a figure with its former ones, the newest of them first.
type Now struct {
	Value
	Former []Value
}

// Newest puts the values of each figure together, the newest day first; of one day that which comes last.
func Newest(values []Value) (out []Now) {
	sorted := slices.Clone(values)
	slices.Reverse(sorted)
	slices.SortStableFunc(sorted, func(a, b Value) int { return b.On.Compare(a.On) })
	for _, v := range sorted {
		if i := slices.IndexFunc(out, func(n Now) bool { return n.Same(v) }); i >= 0 {
			out[i].Former = append(out[i].Former, v)
			continue
		}
		out = append(out, Now{Value: v})
	}
	return out
}

// Of returns a figure of a site, nil if it is not known; of two strengths the first.
func Of(list []Now, site string, f Figure, s Scope) *Now {
	for i := range list {
		if n := &list[i]; n.Site == site && n.Figure == f && n.Scope == s {
			return n
		}
	}
	return nil
}
