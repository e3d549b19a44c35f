// Package stood judges what comes from elsewhere of a client and its rivals: totals, links to ask for, listings, the
// map profile, and the targets of all of them (rule 13).
//
// In goes a study; out comes a Standing, made once for each study.
package stood

import (
	"context"
	"errors"
	"maps"
	"slices"
	"sync"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study"
	"inktally/internal/study/part"

	"github.com/hashicorp/golang-lru/v2/simplelru"
)

// Standing is what comes from elsewhere of a client and its rivals, judged.
type Standing struct {
	// Sites are the client's first, then the rivals', chains last.
	Sites  []Site
	Totals []standing.Now
	// Links are judged where a list of links of a rival is known, nil else. Domains is what is wanted of those that
	// link; it has no target where no rival's count is known.
	Links   *backlink.Judged
	Domains standing.Wanted
	// Grid is nil where no listing is known; Listings is what is wanted of directories.
	Grid     *listing.Grid
	Listings standing.Wanted
	// Names are the searches for the client's own name, the newest first.
	Names []NameSearch
	// Business is as it should stand everywhere; Profile are the facts of its map profile, PostDue whether a post is
	// due.
	Business listing.Business
	Profile  []mapprofile.Item
	PostDue  bool
	Reviews  mapprofile.ReviewTarget
	// Pack is what the map pack would bring, by how many recorded searches.
	Pack     float64
	Searches int
	// Targets are in their order, cut at Hours.
	Targets []standing.Target
	Hours   float64

	judgedOf judgedOf
}

// judgedOf is what links and listings are judged of: where it is the same, they are.
type judgedOf struct {
	revision store.Revision
	named    bool // there is a search for its name, whose entries are told by what its home page says too
	lists    []elsewhere.List
	verdicts map[string]backlink.Verdict
	kinds    []store.SiteKind
}

// same reports whether two standings are judged of the same.
func (j judgedOf) same(as judgedOf) bool {
	return j.revision.Same(as.revision, store.FacetGround, store.FacetLineups, store.FacetYardstick) &&
		(!j.named || j.revision.Same(as.revision, store.FacetReadings)) &&
		slices.EqualFunc(j.lists, as.lists, func(a, b elsewhere.List) bool { return a.ID == b.ID }) &&
		maps.Equal(j.verdicts, as.verdicts) && slices.Equal(j.kinds, as.kinds)
}

// Site is a site that figures can be brought for.
type Site struct {
	// Domain is what it is known by; the client's without one is named own.
	Domain, Name string
	Own, Chain   bool
	// Organic and Map are its places in the main search, 0 for none; Phone is as the search has it.
	Organic, Map int
	Phone        string
	// Reviews are known where a figure or the search has them.
	Facts mapprofile.Facts
}

// OwnDomain is what a client without a site is known by.
const OwnDomain = "own"

// Local returns the places of the client's local rivals among the sites: chains count in no target.
func (s *Standing) Local() (out []int) {
	for i, site := range s.Sites {
		if !site.Own && !site.Chain {
			out = append(out, i)
		}
	}
	return out
}

// Standings makes and keeps the standings of the clients that were asked for last. It is safe for concurrent use.
type Standings struct {
	DB  *store.DB
	Now func() time.Time

	mu   sync.Mutex
	kept *simplelru.LRU[int64, *made]
}

// mostKept is how many standings are kept.
const mostKept = 32

type made struct {
	of     *study.Study
	before *made // whose judgement is taken over where it is of the same
	part   part.Of[*Standing]
}

// Of returns the standing of a study.
func (s *Standings) Of(ctx context.Context, of *study.Study) (*Standing, error) {
	m := s.place(of)
	return m.part.Get(ctx, func(ctx context.Context) (*Standing, error) {
		var before *Standing
		if m.before != nil {
			before, _ = m.before.part.Get(ctx, func(context.Context) (*Standing, error) { return nil, errNotMade })
		}
		out, err := s.work(ctx, of, before)
		if err == nil {
			m.before = nil
		}
		return out, err
	})
}

// errNotMade is that of a standing that nobody asked for.
var errNotMade = errors.New("it was not made")

func (s *Standings) place(of *study.Study) *made {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.kept == nil {
		s.kept, _ = simplelru.NewLRU[int64, *made](mostKept, nil)
	}
	if m, ok := s.kept.Get(of.Client.ID); ok && m.of == of {
		return m
	}
	had, _ := s.kept.Get(of.Client.ID)
	m := &made{of: of, before: had}
	s.kept.Add(of.Client.ID, m)
	return m
}

// rows are the rows of the newest lists, by their sites.
type rows struct {
	links    map[string][]backlink.Row
	listings map[string][]listing.Entry
	fields   map[string]map[listing.Field]bool
}

// load loads the rows of the newest list of each site and source. One that went meanwhile has none.
func (s *Standings) load(ctx context.Context, of *study.Study) (r rows, err error) {
	r = rows{links: map[string][]backlink.Row{}, listings: map[string][]listing.Entry{},
		fields: map[string]map[listing.Field]bool{}}
	err = s.DB.Read(ctx, func(tx *store.Tx) error {
		for _, l := range newestLists(of.Standing.Lists) {
			switch l.Kind {
			case elsewhere.OfLinks:
				list, err := elsewhere.Links(tx, l.ID)
				if err != nil && !errors.Is(err, store.ErrNotFound) {
					return err
				}
				r.links[l.Site] = append(r.links[l.Site], list...)
			case elsewhere.OfListings:
				list, err := elsewhere.Listings(tx, l.ID)
				if err != nil && !errors.Is(err, store.ErrNotFound) {
					return err
				}
				r.listings[l.Site] = append(r.listings[l.Site], list...)
				if r.fields[l.Site] == nil {
					r.fields[l.Site] = map[listing.Field]bool{}
				}
				for _, f := range l.Fields {
					r.fields[l.Site][f] = true
				}
			}
		}
		return nil
	})
	return r, err
}

// newestLists returns the newest list of each kind, site and source; they come in the order of their days.
func newestLists(all []elsewhere.List) (out []elsewhere.List) {
	type key struct {
		kind         elsewhere.ListKind
		site, source string
	}
	at := map[key]int{}
	for _, l := range all {
		k := key{l.Kind, l.Site, l.Source}
		if i, ok := at[k]; ok {
			out[i] = l
			continue
		}
		at[k] = len(out)
		out = append(out, l)
	}
	return out
}
