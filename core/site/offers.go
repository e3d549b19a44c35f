package site

import (
	"slices"
	"strings"

	"inktally/core/text"
)

// Offer is a service or a place that a site names and that its client does not have
// yet, with what names it.
type Offer struct {
	Name string
	By   OfferReason
	// From is the label or heading, URL the page that it leads to or stands on.
	From, URL string
}

// OfferReason names what an offer was read from.
type OfferReason string

// The reasons.
const (
	OfferedByMenu    OfferReason = "menu"    // a link to a page of its own
	OfferedByHeading OfferReason = "heading" // a heading of a page that holds several
	OfferedByPage    OfferReason = "page"    // a page that is for it
)

// OfferReasons returns all of them.
func OfferReasons() []OfferReason {
	return []OfferReason{OfferedByMenu, OfferedByHeading, OfferedByPage}
}

const (
	mostOffers     = 24
	mostLabelWords = 6
)

// fillers are words of labels that name nothing.
var fillers = map[string]bool{"our": true, "services": true, "service": true, "residential": true, "commercial": true,
	"professional": true, "expert": true,
	"and": true, "local": true, "all": true, "more": true, "full": true, "what": true, "we": true, "do": true}

// ServiceOffers are services that the menus and headings of a site name and that are
// none of the client's: a thing and an act.
func (s Survey) ServiceOffers(tree Tree) []Offer {
	var have []work
	for _, b := range s.Binder.services {
		for _, form := range b.forms {
			have = append(have, s.Binder.acts.parted(form))
		}
	}
	var out []Offer
	add := func(spoken, url string, by OfferReason) {
		name, w := s.workOf(spoken)
		known := slices.ContainsFunc(have, w.same)
		if name == "" || known || len(out) == mostOffers {
			return
		}
		have = append(have, w)
		out = append(out, Offer{name, by, text.Collapse(spoken), url})
	}
	for i, v := range s.ordered() {
		kind := tree.Pages[i].Kind
		if kind != Service && kind != Other && kind != Area {
			continue
		}
		for _, label := range v.Labels[:min(len(v.Labels), 3)] {
			add(label, v.URL, OfferedByMenu)
		}
	}
	for i, v := range s.ordered() {
		several := tree.Pages[i].Reason == BySeveral || tree.Pages[i].Kind == Home || hubs[LastOf(v.URL)]
		if !several {
			continue
		}
		g := s.gist(v)
		if g == nil {
			continue
		}
		for _, h := range g.Headings {
			if h.Level == 2 || h.Level == 3 {
				add(h.Text, v.URL, OfferedByHeading)
			}
		}
	}
	return out
}

// ordered returns the visited pages in the order of the tree.
func (s Survey) ordered() []Visited {
	visited := slices.Clone(s.Visited)
	slices.SortFunc(visited, func(a, b Visited) int { return compareAddresses(a.URL, b.URL) })
	return visited
}

// workOf reads the name of a service out of a label; empty for what is none.
func (s Survey) workOf(spoken string) (string, work) {
	var words, stems []string
	for _, t := range s.Binder.withoutPlaces(text.Tokens(without(spoken, s.Firm))) {
		if !fillers[t] && !s.Binder.lang.Small(t) {
			words, stems = append(words, t), append(stems, s.Binder.lang.Stem(t))
		}
	}
	w := s.Binder.acts.parted(stems)
	if len(words) > mostLabelWords || len(w.acts) != 1 || len(w.thing) == 0 || len(w.thing) > 3 {
		return "", w
	}
	return strings.Join(words, " "), w
}

// PlaceOffers are towns near the client's that pages of its site are for and that are
// none of its places yet.
func (s Survey) PlaceOffers(tree Tree, near Towns) []Offer {
	var out []Offer
	had := map[string]bool{}
	for _, p := range tree.Pages {
		if p.Kind != Area || p.Place == "" || had[p.Place] || len(s.Binder.Places(p.Place)) > 0 ||
			!slices.Contains(near(text.Tokens(p.Place)), p.Place) {
			continue
		}
		had[p.Place] = true
		out = append(out, Offer{p.Place, OfferedByPage, p.Title, p.URL})
		if len(out) == mostOffers {
			break
		}
	}
	return out
}
