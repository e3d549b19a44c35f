package client

import (
	"slices"

	"inktally/core/book"
	"inktally/core/site"
	"inktally/internal/store"
)

// ToMake is a page that the client's site lacks (rules 9.1, 11).
type ToMake struct {
	// Page is what it is for; it has no address, and an id only if it was planned.
	Page store.Page
	// Families are those that it would carry, in order of gain.
	Families []book.Family
	// Gain is what they bring together.
	Gain float64
	// Have are the rivals that have such a page, Known those whose sites are known.
	Have, Known int
}

// ToMake are the pages that the client's site lacks: those of its services and those of
// places that bring enough, or that a rival has a page for. None as long as its site is
// not known: the pages may be there. Those of most gain first.
func (k *Known) ToMake(families []book.Family, b *Beside) []ToMake {
	home, err := HomePage(k.Pages)
	if err != nil {
		return nil
	}
	if _, surveyed := b.Site(home.URL); !surveyed && home.URL != "" {
		return nil
	}
	var out []ToMake
	at := func(kind site.Kind, service, place string) *ToMake {
		i := slices.IndexFunc(out, func(m ToMake) bool { return m.Page.Kind == kind && m.Page.Service == service && m.Page.Place == place })
		if i < 0 {
			out = append(out, ToMake{Page: store.Page{ClientID: k.Client.ID, Kind: kind, Service: service, Place: place}})
			i = len(out) - 1
		}
		return &out[i]
	}
	for i, service := range k.Services {
		if i > 0 && !k.has(site.Service, service.Name, "") {
			at(site.Service, service.Name, "")
		}
	}
	for _, f := range families {
		if !f.Kept || f.Carrier.Page() != 0 || f.Near {
			continue
		}
		var m *ToMake
		switch f.Carrier.Kind {
		case site.Service:
			m = at(site.Service, f.Carrier.Name, "")
		case site.Area:
			m = at(site.Area, "", f.Carrier.Name)
		default:
			continue
		}
		m.Families = append(m.Families, f)
		m.Gain += f.RowGain
	}
	for _, p := range k.Places {
		if p.Name == k.Home().Name || k.has(site.Area, "", p.Name) {
			continue
		}
		page := store.Page{Kind: site.Area, Place: p.Name}
		if have, _ := Have(b.Of(page)); have > 0 {
			at(site.Area, "", p.Name)
		}
	}
	for i := range out {
		out[i].Have, out[i].Known = Have(b.Of(out[i].Page))
	}
	slices.SortStableFunc(out, func(a, b ToMake) int {
		switch {
		case a.Gain != b.Gain && a.Gain > b.Gain:
			return -1
		case a.Gain != b.Gain:
			return 1
		}
		return b.Have - a.Have
	})
	return out
}

// has tells whether the client has a page for a service or a place, be it planned.
func (k *Known) has(kind site.Kind, service, place string) bool {
	return slices.ContainsFunc(k.Pages, func(p store.Page) bool {
		return p.Kind == kind && (kind == site.Area && p.Place == place || kind == site.Service && p.Service == service)
	})
}
