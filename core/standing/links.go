package standing

import (
	"math"
	"slices"
)

// LinkRules are how many domains are wanted to link to the client (rule 13.1, Y).
type LinkRules struct {
	// Over is how many percent more than the best local rival, Least how many more at least. OfAll is what share of
	// all that link to local rivals in percent, with Extra beyond, instead; 0 for none.
	Over, Least  float64
	OfAll, Extra float64
}

// StandardLinkRules returns those that everybody starts with.
func StandardLinkRules() LinkRules { return LinkRules{Over: 25, Least: 10, Extra: 100} }

// Wanted is how many there should be of something, and how many are missing.
type Wanted struct {
	Own, Best int
	// Known reports whether it is known how many there are. Else nothing is missing that could be told.
	Known bool
	// Target is what is wanted, Missing what that is more than there is, 0 for none.
	Target, Missing int
	// Leads reports whether the client has more than every local rival: then no count is asked for.
	Leads bool
}

// Domains returns how many domains are wanted by what the client and its local rivals have; known is false where it is
// not known what the client has. all is how many different ones the rivals have together, 0 where that is not known.
func (r LinkRules) Domains(own float64, known bool, rivals []float64, all int) Wanted {
	w := Wanted{Own: int(own), Known: known}
	if len(rivals) == 0 {
		return w
	}
	best := slices.Max(rivals)
	w.Best = int(best)
	if known && own > best {
		w.Leads, w.Target = true, w.Own
		return w
	}
	target := max(best*(100+r.Over)/100, best+r.Least)
	if r.OfAll > 0 && all > 0 {
		target = float64(all)*r.OfAll/100 + r.Extra
	}
	w.Target = int(math.Ceil(target - 1e-9))
	if known {
		w.Missing = max(0, w.Target-w.Own)
	}
	return w
}

// Figures by which totals of links are told (rule 13.1).
const (
	fromFew  = 20 // links for each domain
	pageFew  = 5  // domains of a page
	siteMany = 50 // domains of its site
)

// FromFewSites reports whether many links come from few sites.
func FromFewSites(links, domains float64) bool { return domains > 0 && links/domains > fromFew }

// CarriedBySite reports whether a page is carried by its whole site: few domains link to it, many to the site.
func CarriedBySite(page, site float64) bool { return page < pageFew && site >= siteMany }
