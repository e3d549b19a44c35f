package stood

import (
	"fmt"
	"slices"
	"strconv"

	"inktally/core/lineup"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study"
)

// SitesOf returns the sites that figures can be brought for: the client's, its rivals', chains last.
func SitesOf(of *study.Study) []Site {
	k := of.Known
	own := Site{Domain: OwnDomain, Name: k.Client.Name, Own: true, Phone: k.Client.Phone}
	if home, err := study.HomePage(k.Pages); err == nil && home.URL != "" {
		own.Domain = lineup.Domain(home.URL)
	}
	out := []Site{own}
	list := k.SearchRivals()
	for _, e := range k.Entries {
		if e.Kind == lineup.Chain && !e.Paying() {
			list = append(list, e)
		}
	}
	for _, e := range list {
		domain := lineup.Domain(e.URL)
		if domain == "" || slices.ContainsFunc(out, func(o Site) bool { return o.Domain == domain }) {
			continue
		}
		out = append(out, Site{Domain: domain, Name: lineup.NameOf(e.Name, e.URL), Chain: e.Kind == lineup.Chain})
	}
	slices.SortStableFunc(out[1:], func(a, b Site) int { return boolInt(a.Chain) - boolInt(b.Chain) })
	for i := range out {
		out[i].search(k.Entries)
		out[i].know(of.Standing)
	}
	return out
}

func boolInt(b bool) int {
	if b {
		return 1
	}
	return 0
}

// search notes what the main search has of a site: its places, and of the map its phone, rating and reviews.
func (s *Site) search(entries []store.Entry) {
	s.Facts = mapprofile.Facts{}
	for _, e := range entries {
		if e.Paying() || lineup.Domain(e.URL) != s.Domain && !(s.Own && e.Kind == lineup.Client) {
			continue
		}
		switch {
		case e.Part == lineup.Organic && s.Organic == 0:
			s.Organic = e.Position
		case e.Part == lineup.Map && s.Map == 0:
			s.Map = e.Position
			s.Facts[mapprofile.There] = "yes"
			if s.Phone == "" {
				s.Phone = e.Phone
			}
			if e.Rating != nil {
				s.Facts[mapprofile.Rating] = strconv.FormatFloat(*e.Rating, 'f', -1, 64)
			}
			if e.Reviews != nil {
				s.Facts[mapprofile.Reviews] = fmt.Sprint(*e.Reviews)
			}
		}
	}
}

// know notes the facts of its map profile that were brought; they come in the order of their days.
func (s *Site) know(k elsewhere.Known) {
	for _, f := range k.Facts {
		if f.Site == s.Domain {
			s.Facts[f.Field] = f.Value
		}
	}
	totals := k.Totals()
	for figure, field := range map[standing.Figure]mapprofile.Field{standing.Reviews: mapprofile.Reviews,
		standing.Rating: mapprofile.Rating, standing.Photos: mapprofile.Photos} {
		if v := standing.Of(totals, s.Domain, figure, standing.OfSite); v != nil {
			s.Facts[field] = strconv.FormatFloat(v.Amount, 'f', -1, 64)
		}
	}
}

// BusinessOf returns the client as it should stand in every listing.
func BusinessOf(k *study.Known) listing.Business {
	c := k.Client
	b := listing.Business{Name: c.Name, Address: c.Address, Hidden: c.Hidden, Hours: c.OpeningHours,
		Country: k.Home().Country()}
	b.Phones = phones(c.Phone, c.MorePhones)
	if home, err := study.HomePage(k.Pages); err == nil {
		b.Site = home.URL
	}
	return b
}
