package backlink

import (
	"cmp"
	"maps"
	"slices"
)

// Judge judges the domains that link to the sites (rules 13.1, 13.2). Never asked are the sites' own, those that only
// chains have, and those whose links are all lost.
func Judge(sites []Site, g Ground) Judged {
	w := newWords(g, sites)
	known := gather(sites)
	bursts := burstsOf(sites, known)
	var out Judged
	for _, name := range slices.Sorted(maps.Keys(known)) {
		f := known[name]
		if f.site || f.lost() {
			continue
		}
		if f.own {
			out.Own++
		}
		if !f.own && len(f.rivals) == 0 {
			continue // only chains have it
		}
		if len(f.rivals) > 0 {
			out.OfRivals++
		}
		d := judged(f, g, w, bursts[name])
		switch {
		case f.own && d.Verdict == Doubtful:
			out.OwnDoubtful = append(out.OwnDoubtful, d)
		case f.own:
		case d.Verdict == Get:
			out.Ask = append(out.Ask, d)
		case d.Verdict == Listing:
			out.Listings = append(out.Listings, d)
		case d.Verdict == Doubtful:
			out.Doubtful = append(out.Doubtful, d)
		default:
			out.Left = append(out.Left, d)
		}
	}
	order(out.Ask)
	for _, list := range [][]Domain{out.Listings, out.Doubtful, out.Left, out.OwnDoubtful} {
		slices.SortStableFunc(list, func(a, b Domain) int { return cmp.Compare(len(b.Rivals), len(a.Rivals)) })
	}
	for i := range out.Ask {
		out.Ask[i].Anchor = anchorAt(i + 1)
		out.Ask[i].Minutes = g.Minutes.Link
		if out.Ask[i].Kind == Profile {
			out.Ask[i].Minutes = g.Minutes.Profile
		}
	}
	return out
}

// Figures by which links are told apart (rule 13.2).
const (
	weakest  = 2   // a site of this strength or less is doubtful
	mostOf   = 100 // links of one domain
	apart    = 50  // that two strengths of a site may be apart
	famous   = 90  // the strength of a site that everybody knows
	wordsFor = 3   // small words of another language that tell it

	tellingRows = 3 // links of the strongest pages, by which a directory is told
)

// judged judges one domain, first by what was said of it.
func judged(f *found, g Ground, w *words, burst int) Domain {
	d := Domain{Name: f.name, Best: f.best(w), Rivals: f.rivals, Followed: f.followed}
	s := w.read(f.name, &d.Best)
	if d.Trade, d.Place = w.names(s), w.place(s); d.Trade == "" {
		d.Trade = w.neighbor(s)
	}
	d.Kind = kindOf(f.name, d.Best, s, w, g)
	d.Verdict, d.Reason = Get, Reason{Code: ByRivals, Number: float64(len(f.rivals))}
	if said, ok := g.Said[f.name]; ok {
		d.Verdict, d.Reason = said, Reason{Code: ByHand}
		return d
	}
	weak := f.weak()
	if !weak && g.Directory != nil && slices.ContainsFunc(f.rows[:min(len(f.rows), tellingRows)], func(r *Row) bool {
		return g.Directory(r.Title, addressOf(r))
	}) {
		d.Verdict, d.Reason = Listing, Reason{Code: IsDirectory}
		return d
	}
	if why, ok := doubt(f, d.Best, g, w, weak, burst); ok {
		d.Verdict, d.Reason = Doubtful, why
		return d
	}
	if strongest := f.strongest(); strongest >= famous && !f.any(w.belongs) {
		d.Verdict, d.Reason = Leave, Reason{Code: Famous, Number: strongest}
	}
	return d
}

// addressOf returns the address of a link's page, of its site where the list has no page.
func addressOf(r *Row) string {
	if r.Page != "" {
		return r.Page
	}
	return "https://" + r.Domain + "/"
}

// order puts the domains to ask in their order (rule 13.2).
func order(list []Domain) {
	slices.SortFunc(list, func(a, b Domain) int {
		return cmp.Or(
			compareBool(b.Followed, a.Followed),
			cmp.Compare(len(b.Rivals), len(a.Rivals)),
			compareBool(b.Trade != "", a.Trade != ""),
			compareBool(b.Place != "", a.Place != ""),
			cmp.Compare(strength(b.Best), strength(a.Best)),
			cmp.Compare(a.Name, b.Name))
	})
}

func compareBool(a, b bool) int {
	switch {
	case a == b:
		return 0
	case b:
		return -1
	}
	return 1
}

// strength is the greater of a site's strengths, 0 if none is known.
func strength(r Row) float32 { return max(r.OfSite[0].Value, r.OfSite[1].Value) }

// anchorAt returns the anchor of the link that is asked for as the nth: every sixth is the phrase, every third the
// address.
func anchorAt(n int) Anchor {
	switch {
	case n%6 == 0:
		return ByPhrase
	case n%3 == 0:
		return ByAddress
	}
	return ByName
}
