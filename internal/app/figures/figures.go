// Package figures keeps what lists show of clients and their pages, so that a
// list never measures a page: how many words there are and how many to write,
// and the lead phrase. A client's figures are worked out anew when something
// that they come from has changed.
package figures

import (
	"context"
	"errors"

	"inktally/core/site"
	"inktally/internal/app/client"
	"inktally/internal/store"
)

// Refresh works out the figures of all clients whose figures are stale.
func Refresh(ctx context.Context, db *store.DB) error {
	var stale []int64
	err := db.Read(ctx, func(tx *store.Tx) (err error) {
		stale, err = tx.StaleClients(0)
		return err
	})
	for _, id := range stale {
		if err == nil {
			err = refresh(ctx, db, id)
		}
	}
	return err
}

// refresh works out the figures of one client.
func refresh(ctx context.Context, db *store.DB, id int64) error {
	err := db.Write(ctx, func(tx *store.Tx) error {
		// Many who look at once find it stale at once; one of them does the work.
		if stale, err := tx.StaleClients(id); err != nil || len(stale) == 0 {
			return err
		}
		revision, err := tx.Revision(id)
		if err != nil {
			return err
		}
		f, err := of(tx, id)
		if err != nil {
			return err
		}
		return tx.SetFigures(f, revision)
	})
	if errors.Is(err, store.ErrNotFound) {
		return nil // the client was deleted meanwhile
	}
	return err
}

// of works out the figures of a client from what was kept of its readings.
func of(tx *store.Tx, id int64) (store.ClientFigures, error) {
	f := store.ClientFigures{ClientID: id}
	k, err := client.Load(tx, id)
	if err != nil {
		return f, err
	}
	readings, err := tx.LatestReadings(id)
	if err != nil {
		return f, err
	}
	beside, err := client.LoadBeside(tx, k)
	if err != nil {
		return f, err
	}
	f.MapPosition, f.OrganicPosition = client.Stands(k.Entries)
	f.Searched, f.Rivals = len(k.Lineups) > 0, len(k.RivalEntries())
	for _, p := range k.Pages {
		if p.Kind == site.Home && f.Lead == "" {
			f.Lead = lead(k, p.ID)
		}
		figures := store.PageFigures{PageID: p.ID}
		seen, frame := 0, 0
		if r, ok := readings[client.ReadingKey(p)]; ok {
			words := r.Facts.Words
			seen, frame, figures.TakenAt = words.Seen, words.Frame(), r.TakenAt
			figures.Words = &words.Seen
		}
		var counted []int
		for _, b := range beside.Of(p) {
			if r, ok := readings[b.URL]; ok && b.URL != "" && r.Facts.Whole() && b.Counts(p.Kind) {
				counted = append(counted, r.Facts.Words.Seen)
			}
		}
		figures.ToWrite = k.Yardstick.Target.WordTarget(p.Kind, seen, frame, counted).ToWrite
		f.Pages = append(f.Pages, figures)
	}
	return f, nil
}

// lead is the lead phrase of the home page: the first that was typed for it,
// else that of its first family.
func lead(k *client.Known, home int64) string {
	if typed := client.TypedFor(k.Ground, home); len(typed) > 0 {
		return typed[0]
	}
	if families := k.OfPage(home); len(families) > 0 {
		return families[0].Lead().Text
	}
	return ""
}
