package book

import (
	"cmp"
	"slices"

	"inktally/core/intent"
	"inktally/core/site"
)

// Carrying is one of the client's pages as far as it carries families.
type Carrying struct {
	ID   int64
	URL  string
	Kind site.Kind
	// Says is how much of its title, H1 and address names what it is for, Copy its copy words.
	Says, Copy int
	// Service and Place are what it is for; empty is all of them, and the home
	// town.
	Service, Place string
	// First is the key of the family that was kept as its first, empty if none was (rule 9.2).
	First string
}

// Carrier is the page that carries a family.
type Carrier struct {
	Kind site.Kind
	// Name is the service or the place of a page other than home.
	Name string
	// Pages are the client's pages that claim the family, the one that it is for first: none if it is to be made, and a
	// conflict if there are several.
	Pages []int64
}

// Page returns the client's page that it is, 0 if it is to be made.
func (c Carrier) Page() int64 {
	if len(c.Pages) == 0 {
		return 0
	}
	return c.Pages[0]
}

// assign gives each kept family the page that carries it
// (rule 9.1): the one that a phrase of it was typed for; else home holds the
// main service, which is the first, in the home town. Every other service has a
// page of its own, and so has another place that has one already or whose
// families bring enough together. A page that the user gave the main service
// takes its families but for the first one, which stays at home.
func assign(families []Family, in Input) {
	c := carriers{pages: in.Pages, home: in.Home, least: in.Rules.AreaGain, gains: map[string]float64{}}
	if len(in.Services) > 0 {
		c.main = in.Services[0].Name
	}
	for i := range families {
		if f := &families[i]; f.Kept && !f.Waits() {
			c.gains[f.Place] += f.Gain
		}
	}
	kept := ""
	for _, p := range in.Pages {
		if p.Kind == site.Home {
			kept = p.First
		}
	}
	c.first = c.mainFirst(families, kept)
	at := map[string]Carrier{}
	for i := range families {
		if families[i].Kept && !families[i].Waits() {
			families[i].Carrier = c.of(&families[i])
			at[families[i].Key] = families[i].Carrier
		}
	}
	for i := range families { // what is folded stands with its row, but for what was typed for a page
		f := &families[i]
		if row, ok := at[f.Under]; ok && f.Under != "" && f.typed().Page == 0 {
			f.Carrier = row
		}
	}
}

type carriers struct {
	pages      []Carrying
	main, home string
	least      float64
	gains      map[string]float64 // by place
	first      string             // the key of the family that home holds in any case
}

func (c *carriers) of(f *Family) Carrier {
	if carrier, ok := c.typedFor(f.typed().Page); ok {
		return carrier
	}
	if f.Place != "" && f.Place != c.home {
		if carrier, ok := c.elsewhere(f.Judgement); ok {
			return carrier
		}
	}
	if f.Service == "" || f.Service == c.main {
		if ids := c.claim(site.Service, c.main, c.home); len(ids) > 0 && f.Key != c.first && f.Service != "" {
			return Carrier{site.Service, c.main, ids}
		}
		return Carrier{Kind: site.Home, Pages: c.claim(site.Home, "", c.home)}
	}
	return Carrier{site.Service, f.Service, c.claim(site.Service, f.Service, c.home)}
}

// typedFor returns the page that a phrase was typed for, if there is one.
func (c *carriers) typedFor(page int64) (Carrier, bool) {
	for _, p := range c.pages {
		if p.ID == page && page != 0 {
			name := p.Service
			if p.Place != "" && p.Place != c.home {
				name = p.Place
			}
			return Carrier{p.Kind, name, []int64{p.ID}}, true
		}
	}
	return Carrier{}, false
}

// elsewhere returns the page of a place other than the home town, if it has one or
// is worth one.
func (c *carriers) elsewhere(f intent.Judgement) (Carrier, bool) {
	if ids := c.claim(site.Service, f.Service, f.Place); f.Service != "" && len(ids) > 0 {
		return Carrier{site.Service, f.Service, ids}, true
	}
	// A page for the place, be it for the main service, serves all others too.
	var ids []int64
	for _, service := range []string{f.Service, "", c.main} {
		if len(ids) == 0 {
			ids = c.claim(site.Area, service, f.Place)
		}
	}
	return Carrier{site.Area, f.Place, ids}, len(ids) > 0 || c.gains[f.Place] >= c.least
}

// claim finds the pages of a kind that are for a service in a place: the one of which most says so first, then that
// with more copy, then by address (rule 9.1).
func (c *carriers) claim(kind site.Kind, service, place string) (ids []int64) {
	var of []Carrying
	for _, p := range c.pages {
		at := p.Place
		if at == "" {
			at = c.home
		}
		if p.Kind == kind && p.Service == service && at == place {
			of = append(of, p)
		}
	}
	slices.SortStableFunc(of, func(a, b Carrying) int {
		return cmp.Or(cmp.Compare(b.Says, a.Says), cmp.Compare(b.Copy, a.Copy), cmp.Compare(a.URL, b.URL))
	})
	for _, p := range of {
		ids = append(ids, p.ID)
	}
	return ids
}
