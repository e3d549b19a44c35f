package store

import (
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"
	"sync"
)

// Facet is a side of what is known of a client: what changes together, and what views are
// made from. Whatever is worked out of a client goes stale by its facets alone.
type Facet string

// The facets of a client.
const (
	// the business, its lists of words, services, places and pages, with what was typed for these
	FacetGround    Facet = "ground"
	FacetBook      Facet = "book"      // phrases, and what was said of families and of single words
	FacetLineups   Facet = "lineups"   // recorded searches with their entries
	FacetReadings  Facet = "readings"  // what was read of pages and drafts, and what failed
	FacetSurveyed  Facet = "surveyed"  // surveys of sites, and which pages are compared
	FacetYardstick Facet = "yardstick" // figures that differ from the standard
	FacetSaid      Facet = "said"      // what was said of the plan: choices, outlines, own targets, hours
	FacetStanding  Facet = "standing"  // figures of sites from elsewhere
	FacetFound     Facet = "found"     // lists of what sites are found for, and imports
	FacetTold      Facet = "told"      // what was changed of the walk-through
	NoFacet        Facet = ""          // what no view of a client is made from
)

// Facets returns all of them.
func Facets() []Facet {
	return []Facet{FacetGround, FacetBook, FacetLineups, FacetReadings, FacetSurveyed, FacetYardstick, FacetSaid,
		FacetStanding, FacetFound, FacetTold}
}

// Revision is the state of what is known of a client. It goes up with each write that
// changes something of it.
type Revision struct {
	Number int64
	// Of has for each facet the number at which it changed last; 0 for not since its file
	// counts them.
	Of map[Facet]int64
}

// Same reports whether facets are the same in both.
func (r Revision) Same(as Revision, facets ...Facet) bool {
	return !slices.ContainsFunc(facets, func(f Facet) bool { return r.Of[f] != as.Of[f] })
}

// Revision returns that of a client, ErrNotFound if there is none. In a transaction that
// has changed something of the client already it is that of before.
func (t *Tx) Revision(client int64) (Revision, error) {
	type row struct {
		number int64
		facet  Facet
		at     int64
	}
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.number, &v.facet, &v.at) },
		`SELECT c.revision, COALESCE(r.facet, ''), COALESCE(r.revision, 0) FROM clients c
			LEFT JOIN revisions r ON r.client_id = c.id WHERE c.id = ? AND NOT c.going`, client)
	if err == nil && len(rows) == 0 {
		err = ErrNoClient
	}
	out := Revision{Of: map[Facet]int64{}}
	for _, v := range rows {
		out.Number = v.number
		out.Of[v.facet] = v.at
	}
	return out, err
}

// Changes reports whether the transaction has changed something of a client.
func (t *Tx) Changes(client int64) bool {
	return len(t.changes[client]) > 0 || len(t.changes[Everyone]) > 0
}

// Everyone stands for all clients, where what is kept is not of one.
const Everyone = 0

// effect is what a statement changes: a facet of a client, of all clients for Everyone.
type effect struct {
	client int64
	facet  Facet
}

func of(client int64, f Facet) effect { return effect{client, f} }

// none is the effect of a statement on what no view of a client is made from.
var none effect

// note notes an effect.
func (t *Tx) note(e effect) {
	if e == none {
		return
	}
	if t.changes == nil {
		t.changes = map[int64]map[Facet]bool{}
	}
	if t.changes[e.client] == nil {
		t.changes[e.client] = map[Facet]bool{}
	}
	t.changes[e.client][e.facet] = true
}

// raise raises the revisions of the clients of which something changed, once each.
func (t *Tx) raise() error {
	for _, client := range slices.Sorted(maps.Keys(t.changes)) {
		if _, err := t.exec(none, `UPDATE clients SET revision = revision + 1 WHERE ?1 = 0 OR id = ?1`,
			client); err != nil {
			return err
		}
		args, values := []any{client}, []string{}
		for _, f := range slices.Sorted(maps.Keys(t.changes[client])) {
			args = append(args, f)
			values = append(values, fmt.Sprintf("(?%d)", len(args)))
		}
		_, err := t.exec(none, `WITH changed (facet) AS (VALUES `+strings.Join(values, ", ")+`)
			INSERT OR REPLACE INTO revisions (client_id, facet, revision) SELECT id, facet, revision
			FROM clients, changed WHERE ?1 = 0 OR id = ?1`, args...)
		if err != nil {
			return err
		}
	}
	return nil
}

// Changed is what the writes of an operation changed.
type Changed struct {
	mu     sync.Mutex
	facets map[Facet]bool
	// revision is that of the last client that a write changed something of.
	revision int64
}

type changedKey struct{}

// Noting returns a context in which writes note what they change.
func Noting(ctx context.Context) (context.Context, *Changed) {
	c := &Changed{facets: map[Facet]bool{}}
	return context.WithValue(ctx, changedKey{}, c), c
}

// Facets returns those that changed, of any client.
func (c *Changed) Facets() []Facet {
	c.mu.Lock()
	defer c.mu.Unlock()
	return slices.Sorted(maps.Keys(c.facets))
}

// Revision returns the number of the revision that the writes made of their client, 0 if they
// changed none.
func (c *Changed) Revision() int64 {
	c.mu.Lock()
	defer c.mu.Unlock()
	return c.revision
}

// outcome returns what a transaction is about to commit, for the operation that it is a part of; tell
// hands it on once it is.
func (t *Tx) outcome() (tell func(), err error) {
	c, _ := t.ctx.Value(changedKey{}).(*Changed)
	if c == nil {
		return func() {}, nil
	}
	var revision int64
	facets := map[Facet]bool{}
	for client, of := range t.changes {
		maps.Copy(facets, of)
		if client != Everyone {
			if err := t.one(`SELECT COALESCE(MAX(revision), 0) FROM clients WHERE id = ?`, []any{client},
				&revision); err != nil {
				return nil, err
			}
		}
	}
	return func() {
		c.mu.Lock()
		defer c.mu.Unlock()
		maps.Copy(c.facets, facets)
		c.revision = max(c.revision, revision)
	}, nil
}
