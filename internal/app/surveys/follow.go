package surveys

import (
	"inktally/core/site"
	"inktally/internal/store"
	"inktally/internal/study"
)

// follow lets the client's pages be those that the survey of its site found. What
// a person said of a page stays, and what a person removed stays away; a page that
// was planned for the same becomes the one that was found.
func follow(tx *store.Tx, client int64, pages []store.Page, found *study.Site) error {
	removed, err := tx.RemovedPages(client)
	if err != nil {
		return err
	}
	f := follower{tx: tx, client: client, pages: pages, removed: map[string]store.Page{}, found: map[int64]bool{}}
	for _, p := range removed {
		f.removed[site.BareAddress(p.URL)] = p
	}
	for _, p := range found.Purposes() {
		if err := f.take(p); err != nil {
			return err
		}
	}
	if found.Fault != nil { // what was not found may be there
		return nil
	}
	for _, p := range pages {
		if p.Surveyed && !p.ByHand && !f.found[p.ID] && p.URL != "" {
			if err := tx.DropPage(client, p.ID); err != nil {
				return err
			}
		}
	}
	return nil
}

type follower struct {
	tx      *store.Tx
	client  int64
	pages   []store.Page
	removed map[string]store.Page // by bare address
	found   map[int64]bool
}

// take lets a page of the client be what the survey found.
func (f *follower) take(p site.Surveyed) error {
	now := store.Page{ClientID: f.client, Kind: p.Kind, URL: p.URL, Service: p.Service, Place: p.Place, Surveyed: true}
	for _, had := range f.pages {
		if !site.SameAddress(had.URL, p.URL) {
			continue
		}
		f.found[had.ID] = true
		if had.ByHand || had.Kind == site.Home || had.Kind == now.Kind && had.Service == now.Service &&
			had.Place == now.Place {
			return nil
		}
		had.Kind, had.Service, had.Place = now.Kind, now.Service, now.Place
		return f.tx.UpdatePage(had)
	}
	if now.Kind == site.Home {
		now.Kind = site.Other // the client has one home page
	}
	if had, ok := f.removed[site.BareAddress(p.URL)]; ok {
		if !had.Surveyed {
			return nil
		}
		now.ID = had.ID
		return f.tx.ReturnPage(now)
	}
	for _, planned := range f.pages {
		if planned.URL == "" && now.Kind.ForOneSubject() && planned.Kind == now.Kind &&
			planned.Service == now.Service && planned.Place == now.Place && !f.found[planned.ID] {
			f.found[planned.ID] = true
			now.ID, now.ByHand = planned.ID, planned.ByHand
			return f.tx.UpdatePage(now)
		}
	}
	_, err := f.tx.AddPage(now)
	return err
}
