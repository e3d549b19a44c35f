// Package study makes the studies of clients: all that is known and judged of a client at one
// revision. A Study is loaded in one transaction and never changed; its parts - what phrases
// are read with, families, what pages of sites are for, measured columns, the plan - are made
// when they are first asked for, once however many ask. Nothing of it is kept anywhere, and
// nothing makes it stale but a new revision of its client (store.Facet).
//
// In go the store's rows and the pages of readings; out come Studies. It puts together what core
// works out by rules 3.5 (what is read with what), 6.2, 6.3 (rivals, comparable pages), 9.1, 11.
package study

import (
	"context"
	"log/slog"
	"sync"
	"sync/atomic"
	"time"

	"inktally/core/page"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study/part"

	"github.com/hashicorp/golang-lru/v2/simplelru"
)

// Pages hands out the pages of readings.
type Pages interface {
	// Page returns the page of a reading; the error is store.ErrDamaged for one that cannot be
	// unpacked any more.
	Page(ctx context.Context, of store.Reading) (*page.Page, error)
}

// Studies makes the studies of clients, and keeps those that were used last. It is safe for
// concurrent use.
type Studies struct {
	DB    *store.DB
	Pages Pages
	// Log is told what each study costs, at debug; nil for nobody.
	Log *slog.Logger

	mu   sync.Mutex
	kept *simplelru.LRU[int64, *client]

	rows sync.Map // a rememberedRow by client
	made Made
}

// Made counts what was made since the start.
type Made struct {
	// Studies were loaded, Trees judged, Columns measured, Plans worked out.
	Studies, Trees, Columns, Plans atomic.Int64
}

// Made counts what was made so far.
func (s *Studies) Made() *Made { return &s.made }

// How many studies are kept, and how many bytes the pages that they hold may have together.
const (
	mostKept  = 64
	mostBytes = 256 << 20
)

// client is the place of a client's study.
type client struct {
	mu    sync.Mutex // held while its study is made: one makes it, the others wait
	study *Study
}

// Study is all that is known and judged of a client at one revision.
type Study struct {
	*Known
	Revision store.Revision
	// Said is what was said of the plan, Standing is what comes from elsewhere, but for the rows of lists.
	Said     store.SaidOf
	Standing elsewhere.Known
	// Found are the lists of what sites are found for, the last one of each.
	Found []store.FoundList

	plan part.Of[*Plan]
}

// ofKnown are the facets that a Known is made from: all that is measured and judged. What is
// said of the plan changes none of it.
var ofKnown = []store.Facet{store.FacetGround, store.FacetBook, store.FacetLineups, store.FacetReadings,
	store.FacetSurveyed, store.FacetYardstick}

// Of returns the study of a client, store.ErrNotFound if there is none. It holds no transaction
// while it judges: that reads pages, and whoever waits for this study must not keep a
// connection from it.
func (s *Studies) Of(ctx context.Context, id int64) (study *Study, err error) {
	c := s.client(id)
	c.mu.Lock()
	defer c.mu.Unlock()
	err = s.DB.Read(ctx, func(tx *store.Tx) (err error) {
		study, err = s.load(tx, id, c.study)
		return err
	})
	if err != nil {
		return nil, err
	}
	return s.keep(ctx, c, study)
}

// In returns the study of a client as a transaction that writes sees it.
func (s *Studies) In(ctx context.Context, tx *store.Tx, id int64) (*Study, error) {
	if tx.Changes(id) { // as it is before its revision has a number
		study, err := s.load(tx, id, nil)
		if err != nil {
			return nil, err
		}
		return study, study.followSite(ctx)
	}
	c := s.client(id)
	c.mu.Lock()
	defer c.mu.Unlock()
	study, err := s.load(tx, id, c.study)
	if err != nil {
		return nil, err
	}
	return s.keep(ctx, c, study)
}

// keep judges the client's own site for a study that was loaded anew, and keeps it.
func (s *Studies) keep(ctx context.Context, c *client, study *Study) (*Study, error) {
	if study == c.study {
		return study, nil
	}
	if c.study == nil || study.Known != c.study.Known {
		if err := study.followSite(context.WithoutCancel(ctx)); err != nil {
			return nil, err
		}
	}
	c.study = study
	s.forget(c)
	return study, nil
}

// client returns the place of a client's study, the one that was used last.
func (s *Studies) client(id int64) *client {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.kept == nil {
		s.kept, _ = simplelru.NewLRU[int64, *client](mostKept, nil)
	}
	if c, ok := s.kept.Get(id); ok {
		return c
	}
	c := &client{}
	s.kept.Add(id, c)
	return c
}

// forget forgets the studies that were used least recently, as long as all hold too much; that
// of c, whose lock is held, is the last to go.
func (s *Studies) forget(c *client) {
	s.mu.Lock()
	defer s.mu.Unlock()
	for s.kept.Len() > 1 && s.held(c) > mostBytes {
		s.kept.RemoveOldest()
	}
}

// held returns the bytes of the pages that studies hold.
func (s *Studies) held(own *client) (bytes int64) {
	bytes = own.study.holds()
	for _, c := range s.kept.Values() {
		if c != own && c.mu.TryLock() { // one that is being made counts when it is
			if c.study != nil {
				bytes += c.study.holds()
			}
			c.mu.Unlock()
		}
	}
	return bytes
}

// load returns had if it is as the transaction sees the client, else a study that takes over
// what is still so.
func (s *Studies) load(tx *store.Tx, id int64, had *Study) (*Study, error) {
	revision, err := tx.Revision(id)
	if err != nil {
		return nil, err
	}
	if had != nil && had.Revision.Number == revision.Number {
		return had, nil
	}
	start, before := time.Now(), tx.Statements()
	out := &Study{Revision: revision}
	if had != nil && revision.Same(had.Revision, ofKnown...) {
		out.Known = had.Known
	} else if out.Known, err = s.known(tx, id, revision, had); err != nil {
		return nil, err
	}
	if had != nil && revision.Same(had.Revision, store.FacetSaid) {
		out.Said = had.Said
	} else if out.Said, err = tx.Said(id); err != nil {
		return nil, err
	}
	if had != nil && revision.Same(had.Revision, store.FacetStanding) {
		out.Standing = had.Standing
	} else if out.Standing, err = elsewhere.Of(tx, id); err != nil {
		return nil, err
	}
	if had != nil && revision.Same(had.Revision, store.FacetFound) {
		out.Found = had.Found
	} else if out.Found, err = tx.FoundLists(id); err != nil {
		return nil, err
	}
	s.made.Studies.Add(1)
	if s.Log != nil {
		s.Log.Debug("a study was loaded", "client", id, "revision", revision.Number, "statements",
			tx.Statements()-before, "took", time.Since(start))
	}
	return out, nil
}
