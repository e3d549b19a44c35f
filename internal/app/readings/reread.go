package readings

import (
	"context"
	"errors"

	"inktally/core/page"
	"inktally/core/reading"
	"inktally/internal/store"
)

// Reread is a kept reading whose words are others by today's rules.
type Reread struct {
	Client  string
	URL     string
	Reading int64
	Before  page.Words
	Now     page.Words
}

// Reread applies today's rules to the latest reading of every page, keeps what
// they find, and returns those whose words changed, and how many were read.
// Nothing is fetched, and the pages stay as they are.
func (r *Readings) Reread(ctx context.Context) (changed []Reread, read int, err error) {
	var clients []store.Client
	var latest []store.Reading
	err = r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if clients, err = tx.Clients(); err != nil {
			return err
		}
		latest, err = tx.LatestOfAll()
		return err
	})
	names := map[int64]string{}
	for _, c := range clients {
		names[c.ID] = c.Name
	}
	r.cache.clear()
	for _, of := range latest {
		if err == nil {
			err = ctx.Err()
		}
		if err != nil {
			return nil, 0, err
		}
		now, err := r.reread(ctx, of)
		if err != nil {
			return nil, 0, err
		}
		read++
		if before := of.Facts.Words; before != now {
			changed = append(changed, Reread{Client: names[of.ClientID], URL: of.URL, Reading: of.ID, Before: before,
				Now: now})
		}
	}
	return changed, read, err
}

// reread reads the page of a reading by today's rules and keeps what they find.
func (r *Readings) reread(ctx context.Context, of store.Reading) (page.Words, error) {
	p, err := r.anew(ctx, of)
	if err != nil {
		return page.Words{}, err
	}
	err = r.DB.Write(ctx, func(tx *store.Tx) error {
		return tx.SetReadingPage(of.ClientID, of.ID, reading.FactsOf(p), p.Data())
	})
	return p.Words, err
}

// CatchUp keeps what today's rules find on the latest pages that an older program kept, until
// all are done or the context ends. One that is damaged is left alone.
func (r *Readings) CatchUp(ctx context.Context) error {
	var stale []store.Reading
	err := r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		stale, err = tx.StaleReadings()
		return err
	})
	for _, of := range stale {
		if err != nil || ctx.Err() != nil {
			break
		}
		if _, err = r.reread(ctx, of); errors.Is(err, store.ErrDamaged) || errors.Is(err, store.ErrNotFound) {
			err = nil
		}
	}
	if ctx.Err() != nil {
		return nil
	}
	return err
}
