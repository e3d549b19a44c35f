package ground

import (
	"context"
	"errors"
	"slices"

	"inktally/core/intent"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// PageInfo shows a page without its figures.
func PageInfo(p store.Page) view.PageInfo {
	return view.PageInfo{ID: p.ID, Kind: view.PageKind(p.Kind), URL: p.URL, Service: p.Service, Place: p.Place}
}

// AddPage adds a page to a client. What is not told of it is guessed by its
// address; it takes the place of one that was planned for the same. A page that
// is there already is a fault.
func (g *Ground) AddPage(ctx context.Context, id int64, d view.PageDraft) (view.PageInfo, error) {
	var added store.Page
	err := g.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := g.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		p, err := draftOn(k.Known, store.Page{ClientID: id}, d)
		if err != nil {
			return err
		}
		for _, planned := range k.Pages {
			if planned.URL == "" && p.URL != "" && planned.Kind == p.Kind && planned.Service == p.Service &&
				planned.Place == p.Place {
				p.ID = planned.ID
				added = p
				return tx.UpdatePage(p)
			}
		}
		p.ID, err = tx.AddPage(p)
		added = p
		return err
	})
	return PageInfo(added), err
}

// UpdatePage changes the address of a page and what it is for. was is what the change was made
// from, nil if that is not known: what was changed elsewhere meanwhile stays, and where both
// changed one thing it is refused with both.
func (g *Ground) UpdatePage(ctx context.Context, id, page int64, d view.PageDraft, was *view.PageDraft) (view.PageInfo,
	error) {
	var changed store.Page
	err := g.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := g.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		had, err := k.Page(page)
		if err != nil {
			return err
		}
		if was != nil {
			if d, err = mergedPage(*was, had, d); err != nil {
				return err
			}
		}
		if changed, err = draftOn(k.Known, had, d); err != nil {
			return err
		}
		return tx.UpdatePage(changed)
	})
	return PageInfo(changed), err
}

// draftOn puts a draft on a page, and checks it.
func draftOn(k *study.Known, p store.Page, d view.PageDraft) (store.Page, error) {
	wasHome := p.Kind == site.Home
	p.URL, p.Kind, p.Service, p.Place = "", site.Kind(d.Kind), text.Collapse(d.Service), text.Collapse(d.Place)
	p.ByHand = d.Kind != ""
	home := k.Home().Name
	if d.URL != "" {
		address, err := fetch.Address(d.URL)
		if err != nil {
			return p, err
		}
		p.URL = address
		if p.Kind == "" {
			p.Kind, p.Service, p.Place = guess(k, site.Clues{URL: address})
		}
	}
	if p.Place == home {
		p.Place = ""
	}
	if wasHome != (p.Kind == site.Home) {
		return p, OneHomePage.New()
	}
	return p, checkPage(k, p)
}

// guess returns what a page is for by what is known of it before its site is surveyed: one for the home
// town is for a service alone, one for a town that the client does not serve is for nothing of its own.
func guess(k *study.Known, clues site.Clues) (kind site.Kind, service, at string) {
	p := site.PurposeOf(clues, k.Binder())
	served := slices.ContainsFunc(k.Places, func(at place.Place) bool { return at.Name == p.Place })
	switch {
	case p.Kind != site.Area || served && p.Place != k.Home().Name:
		return p.Kind, p.Service, p.Place
	case served && p.Service != "":
		return site.Service, p.Service, ""
	}
	return site.Other, "", ""
}

// checkPage reports what is wrong with a page of a client as a fault: it is there already, it
// is of what the client does not have, or it says too little.
func checkPage(k *study.Known, p store.Page) error {
	twice := func(other store.Page) bool { return other.ID != p.ID && p.URL != "" && other.URL == p.URL }
	switch {
	case slices.ContainsFunc(k.Pages, twice):
		return PageThere.New()
	case p.Service != "" && !slices.ContainsFunc(k.Services, func(s intent.Service) bool {
		return s.Name == p.Service
	}):
		return NoSuchService.New(p.Service)
	case p.Place != "" && !slices.ContainsFunc(k.Places, func(at place.Place) bool { return at.Name == p.Place }):
		return NoSuchPlace.New(p.Place)
	case p.Kind == site.Service && p.Service == "":
		return PageNeedsService.New()
	case p.Kind == site.Area && p.Place == "":
		return PageNeedsPlace.New()
	case p.URL == "" && p.Kind != site.Home && p.Service == "" && p.Place == "":
		return PageNeedsAddress.New()
	}
	return nil
}

// seems returns what a page is for by its last reading, if neither its address
// nor a person told it; nil for nothing.
func (g *Ground) seems(ctx context.Context, k *study.Known, p store.Page, r store.Reading) (*view.PageDraft, error) {
	if p.Kind != site.Other || p.Service != "" || p.Place != "" {
		return nil, nil
	}
	read, err := g.Readings.Page(ctx, r)
	if errors.Is(err, store.ErrDamaged) { // it seems nothing
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	// The client's name says what the firm does, not what the page is for.
	title, h1 := text.WithoutFold(read.Title, k.Client.Name), text.WithoutFold(read.H1(), k.Client.Name)
	kind, service, at := guess(k, site.Clues{URL: p.URL, Title: title, H1: h1})
	if !kind.ForOneSubject() {
		return nil, nil
	}
	return &view.PageDraft{Kind: view.OptionalKind(kind), Service: service, Place: at}, nil
}

// RemovePage removes a page of a client; it can be restored with what was said
// of its targets. The home page stays.
func (g *Ground) RemovePage(ctx context.Context, client, id int64) error {
	return g.DB.Write(ctx, func(tx *store.Tx) error {
		p, err := tx.Page(client, id)
		if err != nil {
			return err
		}
		if p.Kind == site.Home {
			return HomePageStays.New()
		}
		return tx.TakePageOff(client, id)
	})
}

// RestorePage restores a page that was removed.
func (g *Ground) RestorePage(ctx context.Context, client, id int64) error {
	return g.DB.Write(ctx, func(tx *store.Tx) error { return tx.BringPageBack(client, id) })
}
