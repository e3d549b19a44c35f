// Package reached puts together what the client's site and its rivals' get of searches: their lists, the searches that
// were recorded, the book (rules 7.5, 14.1, 14.2).
//
// In goes a study; out come Sites with what each is found for and gets, and the rows of all phrases.
package reached

import (
	"slices"
	"strings"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/reach"
	"inktally/internal/store"
	"inktally/internal/study"
)

// Role is what a site is to the client.
type Role string

// The roles of sites. Other is one whose list is there, and which is no rival any more.
const (
	Own   Role = "client"
	Rival Role = "rival"
	Other Role = "other"
)

// Sites are what the client's site and its rivals' get of searches (rules 7.5, 14.1).
type Sites struct {
	// All are the client's first, then the rivals' in order.
	All  []Site
	Rows []reach.Row
}

// Site is a site with what it is found for.
type Site struct {
	Domain, Name string
	Role         Role
	// Chain reports whether it is one of a whole country.
	Chain bool
	// List is the last that was imported, nil for none; Searches are the recorded searches that add to it.
	List     *store.FoundList
	Searches int
	Phrases  []reach.Phrase
	// Known reports whether anything is: without a list and a search, what a site gets is not known.
	Known bool
	reach.Reach
}

// Own returns the client's site among them, -1 for none.
func (r *Sites) Own() int {
	return slices.IndexFunc(r.All, func(s Site) bool { return s.Role == Own })
}

// Client returns the client's site; one that has none gets nothing, where anything is known of others.
func (r *Sites) Client() *Site {
	if i := r.Own(); i >= 0 {
		return &r.All[i]
	}
	return &Site{Role: Own, Known: len(r.Rows) > 0, Reach: reach.Reach{Services: map[string]float64{}}}
}

// Of returns the site of a domain, nil for none.
func (r *Sites) Of(domain string) *Site {
	if i := slices.IndexFunc(r.All, func(s Site) bool { return s.Domain == domain }); i >= 0 {
		return &r.All[i]
	}
	return nil
}

// Of returns what the client's site and its rivals' get of searches: by their lists, and where these do not have a
// phrase, by the searches that were recorded of it.
func Of(s *study.Study) *Sites {
	r := &Sites{All: List(s)}
	searches := newest(s.Known)
	lists := make([][]reach.Phrase, len(r.All))
	for i := range r.All {
		lists[i] = r.All[i].findsOf(s, searches)
	}
	r.Rows = reach.Rows(lists, searchesOf(s.Known), s.Judge(), s.Yardstick.Visits)
	for i := range r.All {
		r.All[i].Reach = reach.Of(r.Rows, i)
	}
	return r
}

// List returns the client's sites and its rivals', each once, and those of which there is a list.
func List(s *study.Study) (out []Site) {
	add := func(site Site) {
		if site.Domain != "" && !slices.ContainsFunc(out, func(o Site) bool { return o.Domain == site.Domain }) {
			out = append(out, site)
		}
	}
	for _, p := range s.Pages {
		add(Site{Domain: lineup.Domain(p.URL), Name: s.Client.Name, Role: Own})
	}
	for _, e := range s.RivalEntries() {
		add(Site{Domain: lineup.Domain(e.URL), Name: e.Name, Role: Rival, Chain: e.Kind == lineup.Chain})
	}
	for _, l := range s.Found {
		add(Site{Domain: l.Site, Name: l.Site, Role: Other})
	}
	return out
}

// search is the newest recorded one for a phrase.
type search struct {
	phrase  string
	entries []store.Entry
}

// newest returns the newest search of each phrase.
func newest(k *study.Known) (out []search) {
	had := map[string]bool{}
	for _, l := range k.Lineups { // the newest first
		if key := phrase.Fold(l.Phrase); !had[key] {
			had[key] = true
			s := search{phrase: strings.ToLower(l.Phrase)}
			for _, e := range k.EntriesOf(l.ID) {
				if e.LineupID == l.ID && !e.Paying() {
					s.entries = append(s.entries, e)
				}
			}
			out = append(out, s)
		}
	}
	return out
}

// findsOf returns what a site is found for, and notes where that is from.
func (s *Site) findsOf(k *study.Study, searches []search) []reach.Phrase {
	for i := range k.Found {
		if k.Found[i].Site == s.Domain {
			s.List, s.Phrases = &k.Found[i], k.Found[i].Phrases
		}
	}
	var booked, seen []reach.Phrase
	if s.Role == Own {
		for _, p := range k.Phrases {
			if p.Position != nil {
				booked = append(booked, reach.Phrase{Text: p.Text, Position: *p.Position})
			}
		}
	}
	for _, search := range searches {
		if p, ok := s.in(search); ok {
			seen = append(seen, p)
		}
	}
	s.Searches = len(seen)
	s.Known = s.List != nil || len(booked) > 0 || len(searches) > 0
	s.Phrases = reach.With(reach.With(s.Phrases, booked), seen)
	return s.Phrases
}

// in returns where a site stands in a search; it is not ok where it does not.
func (s *Site) in(of search) (reach.Phrase, bool) {
	p := reach.Phrase{Text: of.phrase}
	for _, e := range of.entries {
		if lineup.Domain(e.URL) != s.Domain && (s.Role != Own || e.Kind != lineup.Client) {
			continue
		}
		switch {
		case e.Part == lineup.Organic && p.Position == 0:
			p.Position, p.Address = e.Position, e.URL
		case e.Part == lineup.Map && p.Map == 0:
			p.Map = e.Position
		}
	}
	return p, p.Position > 0 || p.Map > 0
}

// searchesOf returns what the book knows of how often phrases are searched for, and where that was counted.
func searchesOf(k *study.Known) reach.Known {
	out := reach.Known{}
	for _, p := range k.Phrases {
		if p.Volume != nil {
			out[phrase.Fold(p.Text)] = reach.Searched{Volume: p.Volume, Area: p.Area}
		}
	}
	return out
}

// Worth returns what visits ready to hire are worth, by the service that they are for; it is not ok where the client
// never said how many customers come of visits.
func Worth(s *study.Study, services map[string]float64) (reach.Worth, bool) {
	return reach.WorthOf(services, s.Client.Customers, s.Judge().Job)
}
