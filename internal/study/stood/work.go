package stood

import (
	"context"
	"slices"
	"strings"

	"inktally/core/backlink"
	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/reach"
	"inktally/core/standing"
	"inktally/core/text"
	"inktally/core/yardstick"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/named"
	"inktally/internal/study/reached"
)

// phones returns the numbers of a business, the one to show first.
func phones(phone, more string) (out []string) {
	for _, p := range append([]string{phone}, strings.Split(more, ";")...) {
		if p = text.Collapse(p); p != "" {
			out = append(out, p)
		}
	}
	return out
}

// work judges a study's standing. Links and listings are those of before, nil for none, where they are judged of the
// same.
func (s *Standings) work(ctx context.Context, of *study.Study, before *Standing) (*Standing, error) {
	out := &Standing{Sites: SitesOf(of), Totals: of.Standing.Totals(), Business: BusinessOf(of.Known),
		judgedOf: judgedOf{revision: of.Revision, named: len(of.NameSearches) > 0, lists: of.Standing.Lists,
			verdicts: of.Standing.Verdicts}}
	err := s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		out.judgedOf.kinds, err = tx.SiteKinds()
		return err
	})
	if err != nil {
		return nil, err
	}
	if before != nil && out.judgedOf.same(before.judgedOf) {
		out.Links, out.Grid, out.Names = before.Links, before.Grid, before.Names
	} else {
		r, err := s.load(ctx, of)
		if err != nil {
			return nil, err
		}
		if err := out.names(ctx, of, r); err != nil {
			return nil, err
		}
		out.listings(of, r)
		out.links(of, r)
	}
	rules := of.Yardstick.Standing
	out.wanted(rules)
	if err := out.profile(ctx, of); err != nil {
		return nil, err
	}
	out.PostDue, _ = rules.Profile.PostDue(out.Sites[0].Facts, s.Now())
	out.Searches, out.Pack = packOf(of)
	out.Hours = of.Said.Hours * rules.Work.Hours
	out.Targets = rules.Work.Targets(standing.Known{Pack: out.Pack, Grid: out.Grid, Listings: out.Listings,
		Profile: out.Profile,
		PostDue: out.PostDue, Reviews: out.Reviews, Links: out.Links, Wanted: out.Domains, Said: statesOf(of)},
		minutesOf(out.Hours))
	return out, nil
}

func statesOf(of *study.Study) map[standing.Ref]standing.State {
	said := map[standing.Ref]standing.State{}
	for ref, s := range of.Standing.Said {
		said[ref] = s.State
	}
	return said
}

// minutesOf returns hours in minutes; none given is no limit.
func minutesOf(hours float64) float64 {
	if hours <= 0 {
		return -1
	}
	return hours * 60
}

// total returns a figure of a site; it is not known where no source has it.
func (s *Standing) total(at int, f standing.Figure) (float64, bool) {
	if v := standing.Of(s.Totals, s.Sites[at].Domain, f, standing.OfSite); v != nil {
		return v.Amount, true
	}
	return 0, false
}

// locals returns a figure of the local rivals of whom it is known.
func (s *Standing) locals(f standing.Figure) (out []float64) {
	for _, i := range s.Local() {
		if n, ok := s.total(i, f); ok {
			out = append(out, n)
		}
	}
	return out
}

// listings puts the listings of all sites side by side.
func (s *Standing) listings(of *study.Study, r rows) {
	firms := make([]listing.Firm, len(s.Sites))
	own := s.found(r.listings[s.Sites[0].Domain])
	for i, site := range s.Sites {
		firms[i] = listing.Firm{Own: site.Own, Chain: site.Chain, Entries: r.listings[site.Domain]}
		if has := r.fields[site.Domain]; has != nil {
			firms[i].Has = func(f listing.Field) bool { return has[f] }
		}
	}
	firms[0].Entries = append(firms[0].Entries, own...)
	if len(r.listings) > 0 || len(own) > 0 {
		grid := listing.GridOf(firms, s.Business, positions(of))
		s.Grid = &grid
	}
}

// wanted puts what is wanted of directories and of domains that link.
func (s *Standing) wanted(rules yardstick.Standing) {
	if rivals := s.locals(standing.Listings); len(rivals) > 0 {
		whole := make([]int, len(rivals))
		for i, n := range rivals {
			whole[i] = int(n)
		}
		own, known := s.total(0, standing.Listings)
		s.Listings = standing.ListingsWanted(int(own), known, whole, rules.Listings.Target(whole))
	}
	if rivals := s.locals(standing.Domains); len(rivals) > 0 {
		own, known := s.total(0, standing.Domains)
		known = known || s.Sites[0].Domain == OwnDomain // to what is not there nobody links
		all := 0
		if s.Links != nil {
			all = s.Links.OfRivals
		}
		s.Domains = rules.Links.Domains(own, known, rivals, all)
	}
}

// positions are the organic places from 1 to 5 that directories hold in the client's searches, by their key.
func positions(of *study.Study) map[string]int {
	out := map[string]int{}
	for _, l := range of.Lineups {
		for _, e := range of.EntriesOf(l.ID) {
			if e.Kind != lineup.Directory || e.Part != lineup.Organic || !lineup.Open(e.Entry) {
				continue
			}
			key := listing.Key(lineup.Domain(e.URL))
			if had := out[key]; had == 0 || e.Position < had {
				out[key] = e.Position
			}
		}
	}
	return out
}

// links judges the domains that link to the sites.
func (s *Standing) links(of *study.Study, r rows) {
	sites := make([]backlink.Site, len(s.Sites))
	known := false
	for i, site := range s.Sites {
		sites[i] = backlink.Site{Domain: site.Domain, Name: site.Name, Own: site.Own, Chain: site.Chain,
			Rows: r.links[site.Domain]}
		known = known || len(r.links[site.Domain]) > 0
	}
	if !known {
		return
	}
	judged := backlink.Judge(sites, groundOf(of, s.judgedOf.kinds))
	s.Links = &judged
}

// groundOf returns what links are judged by.
func groundOf(of *study.Study, kinds []store.SiteKind) backlink.Ground {
	k := of.Known
	g := backlink.Ground{Trade: k.Client.Trade, Idle: backlink.IdleWords(k.Lists),
		Languages: append([]string{k.Client.Language}, k.Yardstick.Standing.Languages...),
		Country:   k.Home().Country(), Said: of.Standing.Verdicts, Minutes: k.Yardstick.Standing.Asking}
	for _, svc := range k.Services {
		g.Services = append(g.Services, svc.Forms()...)
	}
	for _, p := range k.Places {
		g.Places = append(append(g.Places, p.Name), p.Spellings...)
	}
	said := map[string]lineup.Kind{}
	for _, kind := range kinds {
		said[kind.Domain] = kind.Kind
	}
	for _, e := range k.Entries { // what the search's entries were judged as
		if domain := lineup.Domain(e.URL); said[domain] == "" && e.Kind == lineup.Directory {
			said[domain] = e.Kind
		}
	}
	evidence := lineup.Evidence{NamesService: named.Service(k), NamesPlace: named.Place(k)}
	kindOf := func(title, address string) lineup.Kind {
		if kind := said[lineup.Domain(address)]; kind != "" {
			return kind
		}
		kind, _ := lineup.Judge(lineup.Entry{Part: lineup.Organic, Name: title, URL: address}, evidence)
		return kind
	}
	g.Directory = func(title, address string) bool { return kindOf(title, address) == lineup.Directory }
	g.Ranks = func(title, address string) bool { return kindOf(title, address) == lineup.ListArticle }
	return g
}

// profile holds the client's map profile against what should stand there, and its reviews against the pack's.
func (s *Standing) profile(ctx context.Context, of *study.Study) error {
	k := of.Known
	g := mapprofile.Ground{Business: s.Business, Language: k.Client.Language}
	for _, svc := range k.Services {
		g.Services = append(g.Services, svc.Forms()...)
	}
	for _, p := range k.Places {
		g.Towns = append(append(g.Towns, p.Name), p.Spellings...)
	}
	facts := s.Sites[0].Facts
	if facts[mapprofile.PhotoNames] != "" {
		var err error
		if g.Renamed, err = photoNames(ctx, of); err != nil {
			return err
		}
	}
	if len(facts) > 0 {
		s.Profile = mapprofile.Check(g, facts)
	}
	var pack mapprofile.Pack
	for _, i := range s.Local() {
		if n, ok := s.Sites[i].Facts.Number(mapprofile.Reviews); ok && s.Sites[i].Map > 0 {
			pack = append(pack, n)
		}
	}
	if own, ok := facts.Number(mapprofile.Reviews); ok || len(pack) > 0 {
		s.Reviews = of.Yardstick.Standing.Profile.ReviewsWanted(own, pack)
	}
	return nil
}

// packOf returns what the map pack would bring in the recorded searches that have one, and how many these are.
func packOf(of *study.Study) (n int, gain float64) {
	r := reached.Of(of)
	own := r.Own()
	var searches []standing.Search
	for _, row := range r.Rows {
		pack := slices.ContainsFunc(row.At, func(p reach.Place) bool { return p.Map > 0 })
		if !pack || row.Intent != intent.Hire || row.Volume == nil || !row.Counts {
			continue
		}
		search := standing.Search{Volume: float64(*row.Volume)}
		if own >= 0 {
			search.Place = row.At[own].Map
		}
		searches = append(searches, search)
	}
	rates := of.Yardstick.Visits.Map
	return len(searches), standing.PackGain(searches, func(place int) float64 {
		if place < 1 || place > len(rates) {
			return 0
		}
		return rates[place-1]
	})
}
