package telling

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/account"
	"inktally/core/plan"
	"inktally/core/standing"
	"inktally/internal/wording"
)

// The headings of an account, in their order.
const (
	DoneTitle  = "What was done"
	MovedTitle = "What moved"
)

// NothingDone and NothingMoved are told where nothing was, NotRead where there are no two readings to compare.
const (
	NotRead      = "Your pages have not been read again since then, so there is nothing to compare yet."
	NothingDone  = "On your pages nothing that was asked for has been done yet."
	NothingMoved = "Nothing that was looked up again has moved yet. That takes a few weeks."
)

// doneParts are the parts that are told, in their order: one, and how many are called.
var doneParts = []struct {
	kind      plan.PartKind
	one, many string
}{
	{plan.Title, "a new title", "titles"},
	{plan.Description, "a new text for the search results", "texts for the search results"},
	{plan.Address, "a new web address", "web addresses"}, {plan.H1, "a new main heading", "main headings"},
	{plan.Subhead, "a new heading", "headings"}, {plan.Opening, "a new opening", "openings"},
	{plan.Body, "a phrase in the text", "phrases in the text"}, {plan.ImageName, "an image renamed", "images renamed"},
	{plan.Alt, "an image described", "images described"}, {plan.MenuEntry, "a menu entry", "menu entries"},
	{plan.HomeLink, "a link from the home page", "links from the home page"},
	{plan.Repair, "a fault put right", "faults put right"},
	{plan.WrongPlace, "a wrong town put right", "wrong towns put right"},
	{plan.DeadLink, "a dead link put right", "dead links put right"}, {plan.AddLink, "a link added", "links added"},
	{plan.Listing, "a directory entry", "directory entries"},
}

// Done words what was done on a page.
func Done(d account.Done) string {
	var does []string
	if d.Words > 0 {
		does = append(does, wording.Count(d.Words, "word", "")+" written")
	}
	for _, p := range doneParts {
		switch n := d.Parts[p.kind]; {
		case n == 1:
			does = append(does, p.one)
		case n > 1:
			does = append(does, wording.Number(n)+" "+p.many)
		}
	}
	return d.Page + ": " + And(does)
}

// Ticked words what was done beside the pages.
func Ticked(by map[standing.Kind]int) (out []string) {
	for _, k := range []struct {
		kind      standing.Kind
		one, many string
	}{{standing.Claim, "map profile claimed", "map profiles claimed"},
		{standing.Correct, "directory entry corrected", "directory entries corrected"},
		{standing.Fill, "field of the map profile filled in", "fields of the map profile filled in"},
		{standing.List, "new directory entry", "new directory entries"},
		{standing.Link, "website asked for a link", "websites asked for a link"}} {
		if n := by[k.kind]; n > 0 {
			out = append(out, wording.Count(n, k.one, k.many))
		}
	}
	return out
}

// Change is a line of what moved: what, then, now.
type Change struct{ What, Then, Now string }

// Changes words what moved: the places by how far they rose, the lists of phrases, the figures.
func Changes(m *account.Moved) (out []Change) {
	places := slices.Clone(m.Places)
	slices.SortStableFunc(places, func(a, b account.Place) int { return b.Rise() - a.Rise() })
	for _, p := range places {
		if p.Organic[0] != p.Organic[1] {
			out = append(out, Change{"“" + p.Phrase + "”, in the results", placed(p.Organic[0], 0),
				placed(p.Organic[1], p.OrganicOf)})
		}
		if p.Map[0] != p.Map[1] {
			out = append(out, Change{"“" + p.Phrase + "”, on the map", placed(p.Map[0], 0), placed(p.Map[1], p.MapOf)})
		}
		if p.Visits.Changed() {
			out = append(out, Change{"visits a month from that place, an estimate", about(p.Visits.Then),
				about(p.Visits.Now)})
		}
	}
	if m.FoundFor[0] != m.FoundFor[1] {
		out = append(out, Change{"searches you are found for", wording.Number(m.FoundFor[0]),
			wording.Number(m.FoundFor[1])})
	}
	if m.Hire.Changed() {
		out = append(out, Change{"visits a month of people ready to hire, an estimate", about(m.Hire.Then),
			about(m.Hire.Now)})
	}
	sources := map[standing.Figure]int{}
	for _, f := range m.Figures {
		if f.Scope == standing.OfSite {
			sources[f.Value.Figure]++
		}
	}
	for _, told := range ownersFigures {
		for _, f := range m.Figures {
			if f.Value.Figure == told.figure && f.Scope == standing.OfSite {
				what := told.says
				if sources[told.figure] > 1 && f.Source != "" {
					what += ", by " + f.Source
				}
				out = append(out, Change{what, wording.Figure(f.Then.Amount), wording.Figure(f.Amount)})
			}
		}
	}
	return out
}

// ownersFigures are the figures from elsewhere that an owner is told, in their order. A strength on a scale of its
// source's tells an owner nothing.
var ownersFigures = []struct {
	figure standing.Figure
	says   string
}{{standing.Reviews, "reviews"}, {standing.Rating, "rating"}, {standing.Photos, "photos on the map profile"},
	{standing.Listings, "directories that list you"}, {standing.Domains, "websites that link to you"},
	{standing.FoundFor, "searches you are found for"}, {standing.VisitsMo, "visits a month"}}

func placed(place, looked int) string {
	switch {
	case place > 0:
		return fmt.Sprintf("place %d", place)
	case looked > 0:
		return fmt.Sprintf("not in the first %d", looked)
	}
	return "not found"
}

func about(visits float64) string { return wording.Number(int(visits + .5)) }

// Upper returns a sentence with a capital.
func Upper(s string) string {
	if s == "" {
		return s
	}
	return strings.ToUpper(s[:1]) + s[1:]
}
