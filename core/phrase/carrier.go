package phrase

// areaGain is the gain from which a place is worth a page of its own (Y).
const areaGain = 5

// CarrierKind is the kind of page that carries a family.
type CarrierKind string

// The kinds of pages that carry families.
const (
	OnHome    CarrierKind = "home"
	OnService CarrierKind = "service"
	OnArea    CarrierKind = "area"
)

// SitePage is one of the client's pages as far as it carries families.
type SitePage struct {
	ID   int64
	Kind CarrierKind
	// Service and Place are what it is for; empty is all of them, and the home
	// town.
	Service, Place string
}

// Carrier is the page that carries a family.
type Carrier struct {
	Kind CarrierKind
	// Name is the service or the place of a page other than home.
	Name string
	// Pages are the client's pages that claim the family: none where it is to be
	// made, and a conflict where there are several.
	Pages []int64
}

// Carriers tells for each kept family, in order of gain, the page that carries
// it (MEASURES 9.1); those set aside have none. Home holds the main service,
// which is the first, in the home town. Every other service has a page of its
// own, and so has another place that has one already or whose families bring
// enough together. A page that the user gave the main service takes its
// families but for the first one that names the town, which stays at home.
func Carriers(families []BookFamily, pages []SitePage, services []Service, home string) []Carrier {
	c := carriers{pages: pages, home: home, gains: map[string]float64{}}
	if len(services) > 0 {
		c.main = services[0].Name
	}
	for _, f := range families {
		if f.Kept {
			c.gains[f.Place] += f.Gain
		}
	}
	out := make([]Carrier, len(families))
	for i, f := range families {
		if f.Kept {
			out[i] = c.of(f)
		}
	}
	return out
}

type carriers struct {
	pages      []SitePage
	main, home string
	gains      map[string]float64 // by place
	mainGiven  bool               // whether the main service's first family was met
}

func (c *carriers) of(f BookFamily) Carrier {
	elsewhere := f.Place != "" && f.Place != c.home
	if elsewhere {
		if ids := c.claim(OnService, f.Service, f.Place); f.Service != "" && len(ids) > 0 {
			return Carrier{OnService, f.Service, ids}
		}
		// A page for the place, be it for the main service, serves all others too.
		var ids []int64
		for _, service := range []string{f.Service, "", c.main} {
			if len(ids) == 0 {
				ids = c.claim(OnArea, service, f.Place)
			}
		}
		if len(ids) > 0 || c.gains[f.Place] >= areaGain {
			return Carrier{OnArea, f.Place, ids}
		}
	}
	if f.Service == "" || f.Service == c.main {
		first := !c.mainGiven && f.Service == c.main && !elsewhere && !f.Near
		c.mainGiven = c.mainGiven || first
		if ids := c.claim(OnService, c.main, c.home); len(ids) > 0 && !first && f.Service != "" {
			return Carrier{OnService, c.main, ids}
		}
		return Carrier{Kind: OnHome, Pages: c.claim(OnHome, "", c.home)}
	}
	return Carrier{OnService, f.Service, c.claim(OnService, f.Service, c.home)}
}

// claim finds the pages of a kind that are for a service in a place.
func (c *carriers) claim(kind CarrierKind, service, place string) (ids []int64) {
	for _, p := range c.pages {
		at := p.Place
		if at == "" {
			at = c.home
		}
		if p.Kind == kind && p.Service == service && at == place {
			ids = append(ids, p.ID)
		}
	}
	return ids
}
