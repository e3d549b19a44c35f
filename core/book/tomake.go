package book

import (
	"cmp"
	"slices"

	"inktally/core/intent"
	"inktally/core/place"
	"inktally/core/site"
)

// ToMake is a page that the client's site lacks (rules 9.1, 11).
type ToMake struct {
	Kind site.Kind
	// Service or Place is what it is for.
	Service, Place string
	// Families are those that it would carry, its first one and then in order of gain; Gain is what they bring
	// together.
	Families []Family
	Gain     float64
	// Have are the rivals that have such a page.
	Have int
}

// Site is what the pages to make are told by.
type Site struct {
	Pages []Carrying
	// Services are the client's, the main one first; Places all its places.
	Services []intent.Service
	Places   []place.Place
	// Have counts the rivals that have a page for a service or a place.
	Have func(kind site.Kind, service, place string) int
}

// Missing returns the pages that a site lacks, those of most gain first: those of its services
// but the main one, which the home page holds, and those of places that bring enough or
// that a rival has a page for.
func (s Site) Missing(families []Family) []ToMake {
	m := missing{site: s}
	for i, service := range s.Services {
		if i > 0 && !s.has(site.Service, service.Name, "") {
			m.at(site.Service, service.Name, "")
		}
	}
	for _, f := range families {
		m.carry(f)
	}
	for _, p := range s.Places {
		if !p.Home && !s.has(site.Area, "", p.Name) && s.Have(site.Area, "", p.Name) > 0 {
			m.at(site.Area, "", p.Name)
		}
	}
	for i := range m.list {
		t := &m.list[i]
		t.Families = FirstFirst(t.Families, "")
		t.Have = s.Have(t.Kind, t.Service, t.Place)
	}
	slices.SortStableFunc(m.list, func(a, b ToMake) int {
		return cmp.Or(cmp.Compare(b.Gain, a.Gain), cmp.Compare(b.Have, a.Have))
	})
	return m.list
}

type missing struct {
	site Site
	list []ToMake
}

// at returns the page to make for a service or a place.
func (m *missing) at(kind site.Kind, service, town string) *ToMake {
	i := slices.IndexFunc(m.list, func(t ToMake) bool {
		return t.Kind == kind && t.Service == service && t.Place == town
	})
	if i < 0 {
		m.list = append(m.list, ToMake{Kind: kind, Service: service, Place: town})
		i = len(m.list) - 1
	}
	return &m.list[i]
}

// carry puts a family that no page carries on the one that is to be made for it.
func (m *missing) carry(f Family) {
	// what is folded brings its share to its row (rule 3.10)
	if !f.Kept || f.Waits() || f.Under != "" || f.Carrier.Page() != 0 || f.Near {
		return
	}
	var t *ToMake
	switch f.Carrier.Kind {
	case site.Service:
		t = m.at(site.Service, f.Carrier.Name, "")
	case site.Area:
		t = m.at(site.Area, "", f.Carrier.Name)
	default:
		return
	}
	t.Families = append(t.Families, f)
	t.Gain += f.RowGain
}

// has reports whether the client has a page for a service or a place, be it planned.
func (s Site) has(kind site.Kind, service, town string) bool {
	return slices.ContainsFunc(s.Pages, func(p Carrying) bool {
		return p.Kind == kind && (kind == site.Area && p.Place == town || kind == site.Service && p.Service == service)
	})
}
