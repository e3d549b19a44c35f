package stood

import (
	"context"

	"inktally/core/intent"
	"inktally/core/lineup"
	"inktally/core/listing"
	"inktally/internal/store"
	"inktally/internal/study"
)

// NameSearch is a recorded search for the client's own name, entry by entry (rule 13.3).
type NameSearch struct {
	store.Lineup
	Entries []store.Entry
	// Hits are what the entries are, in their order.
	Hits []listing.Hit
}

// names tells what the client's searches for its own name show, the newest first. A directory that a list names is one.
func (s *Standing) names(ctx context.Context, of *study.Study, r rows) error {
	if len(of.NameSearches) == 0 {
		return nil
	}
	ground, listed := groundOf(of, s.judgedOf.kinds), map[string]bool{}
	for _, list := range r.listings {
		for _, e := range list {
			listed[listing.Key(e.Directory)] = true
		}
	}
	rule := listing.NameSearch{Business: s.Business,
		Directory: func(e lineup.Entry) bool {
			return ground.Directory(e.Name, e.URL) || listed[listing.Key(lineup.Domain(e.URL))]
		},
		Elsewhere: func(words string) bool { return of.Judge().Of(words).Intent == intent.Elsewhere }}
	if home, err := study.HomePage(of.Pages); err == nil {
		c, err := of.Compare(ctx, home.ID)
		if err != nil {
			return err
		}
		if own := c.Client.Column; own != nil {
			rule.Profiles = own.Page.Details().Profiles
		}
	}
	for _, l := range of.NameSearches {
		n := NameSearch{Lineup: l}
		for _, e := range of.EntriesOf(l.ID) {
			if e.Part == lineup.Typed {
				continue
			}
			n.Entries, n.Hits = append(n.Entries, e), append(n.Hits, rule.HitOf(e.Entry))
		}
		s.Names = append(s.Names, n)
	}
	return nil
}

// found returns the client's listings that the newest search for its name shows and no list has.
func (s *Standing) found(lists []listing.Entry) (out []listing.Entry) {
	if len(s.Names) == 0 {
		return nil
	}
	had := map[string]bool{}
	for _, e := range lists {
		if e.Listed != listing.IsNot {
			had[listing.Key(e.Directory)] = true
		}
	}
	for i, e := range s.Names[0].Entries {
		domain := lineup.Domain(e.URL)
		if key := listing.Key(domain); s.Names[0].Hits[i] == listing.Listing && key != "" && !had[key] {
			had[key] = true
			out = append(out, listing.Entry{Directory: domain, Page: e.URL, Listed: listing.IsListed, Found: true})
		}
	}
	return out
}
