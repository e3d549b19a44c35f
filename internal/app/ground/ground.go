// Package ground is the stop at which a client is described: the business, its
// services and places, its pages and the phrases that were typed for them.
package ground

import (
	"context"
	"slices"
	"strconv"
	"strings"
	"time"

	"inktally/core/book"
	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/internal/app/merge"
	"inktally/internal/app/readings"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Ground keeps what is known of clients.
type Ground struct {
	DB       *store.DB
	Readings *readings.Readings
	Studies  *study.Studies
	Now      func() time.Time
}

// New adds a client with a home page.
func (g *Ground) New(ctx context.Context, draft view.Business) (view.Ground, error) {
	draft.HomePage = g.secured(ctx, draft.HomePage)
	b, err := clean(draft)
	if err != nil {
		return view.Ground{}, err
	}
	var id int64
	err = g.DB.Write(ctx, func(tx *store.Tx) (err error) {
		b.client.CreatedAt = g.Now()
		if id, err = tx.AddClient(b.client); err != nil {
			return err
		}
		home, err := tx.AddPage(store.Page{ClientID: id, Kind: site.Home, URL: b.homePage})
		if err != nil {
			return err
		}
		return b.save(tx, id, home)
	})
	if err != nil {
		return view.Ground{}, err
	}
	return g.Get(ctx, id)
}

// save keeps services, places and the phrases that were typed for the home page;
// these stand in the book too.
func (b business) save(tx *store.Tx, id, home int64) error {
	for _, p := range b.phrases {
		if _, _, err := tx.PutPhrase(id, phrase.Fold(p), book.Phrase{Text: strings.ToLower(p)}); err != nil {
			return err
		}
	}
	if err := tx.SetServices(id, b.services); err != nil {
		return err
	}
	if err := tx.SetPlaces(id, b.places); err != nil {
		return err
	}
	return tx.SetTyped(id, home, b.phrases)
}

// Save replaces what is known of a client.
//
// was is what the change was made from, nil if that is not known: what was changed elsewhere
// meanwhile stays, and where both changed one thing it is refused with both.
func (g *Ground) Save(ctx context.Context, id int64, draft view.Business, was *view.Business) (view.Ground, error) {
	draft.HomePage = g.secured(ctx, draft.HomePage)
	b, err := clean(draft)
	if err != nil {
		return view.Ground{}, err
	}
	err = g.DB.Write(ctx, func(tx *store.Tx) error {
		had, err := tx.Ground(id)
		if err != nil {
			return err
		}
		if was != nil {
			if b, err = merged(*was, businessOf(had), b); err != nil {
				return err
			}
		}
		b.client.ID = id
		if err := tx.UpdateClient(b.client); err != nil {
			return err
		}
		if err := followPages(tx, had, b); err != nil {
			return err
		}
		home, err := study.HomePage(had.Pages)
		if err != nil {
			return err
		}
		if err := tx.SetPageURL(id, home.ID, b.homePage); err != nil {
			return err
		}
		return b.save(tx, id, home.ID)
	})
	if err != nil {
		return view.Ground{}, err
	}
	return g.Get(ctx, id)
}

// followPages gives pages, those to make too, the new names of their services and places.
func followPages(tx *store.Tx, had store.Ground, b business) error {
	services := renamed(had.Services, b.services, func(s intent.Service) string { return s.Name })
	places := renamed(had.Places, b.places, func(p place.Place) string { return p.Name })
	rename := func(p *store.Page) bool {
		service, ofService := services[p.Service]
		town, ofPlace := places[p.Place]
		if ofService {
			p.Service = service
		}
		if ofPlace {
			p.Place = town
		}
		return ofService || ofPlace
	}
	for _, p := range had.Pages {
		if rename(&p) {
			if err := tx.UpdatePage(p); err != nil {
				return err
			}
		}
	}
	toMake, err := tx.PagesToMake(had.Client.ID)
	if err != nil {
		return err
	}
	for _, p := range toMake {
		if rename(&p) {
			if err := tx.RenameToMake(p); err != nil {
				return err
			}
		}
	}
	return nil
}

// renamed returns which names were changed: those that are gone and have a new
// one in their row.
func renamed[T any](had, now []T, name func(T) string) map[string]string {
	holds := func(list []T, n string) bool {
		return slices.ContainsFunc(list, func(x T) bool { return name(x) == n })
	}
	out := map[string]string{}
	for i := range min(len(had), len(now)) {
		if before, is := name(had[i]), name(now[i]); !holds(now, before) && !holds(had, is) {
			out[before] = is
		}
	}
	return out
}

// Get returns what is known of a client.
func (g *Ground) Get(ctx context.Context, id int64) (out view.Ground, err error) {
	k, err := g.Studies.Of(ctx, id)
	if err != nil {
		return out, err
	}
	return g.known(ctx, k)
}

// known returns what is known of a client by a study.
func (g *Ground) known(ctx context.Context, k *study.Study) (out view.Ground, err error) {
	beside, err := k.Beside(ctx)
	if err != nil {
		return out, err
	}
	out = view.Ground{ID: k.Client.ID, Pages: []view.PageInfo{}, Business: businessOf(k.Ground)}
	for _, p := range k.Pages {
		info := PageInfo(p)
		f := k.Figures(beside, p)
		info.Words, info.ToWrite = f.Words, &f.ToWrite
		if r, ok := k.Latest[study.ReadingKey(p)]; ok {
			if info.Seems, err = g.seems(ctx, k.Known, p, r); err != nil {
				return out, err
			}
		}
		out.Pages = append(out.Pages, info)
	}
	return out, nil
}

// Delete deletes a client and all that belongs to it.
func (g *Ground) Delete(ctx context.Context, id int64) error {
	return g.DB.DeleteClient(ctx, id)
}

// SetHours sets the hours to spend on a client's targets. was is what they were when the change
// began, nil if that is not known.
func (g *Ground) SetHours(ctx context.Context, id int64, hours float64, was *float64) error {
	if !(hours >= 0 && hours <= mostHours) {
		return HoursOutOfRange.New(mostHours)
	}
	return g.DB.Write(ctx, func(tx *store.Tx) error {
		is, err := tx.Hours(id)
		if err != nil {
			return err
		}
		if was != nil {
			written := func(h float64) string { return strconv.FormatFloat(h, 'f', -1, 64) }
			if hours, err = merge.Merge(fault.Hours, *was, is, hours, written); err != nil {
				return err
			}
		}
		return tx.SetHours(id, hours)
	})
}

const mostHours = 1000
