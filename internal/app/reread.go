package app

import (
	"context"

	"inktally/core/page"
	"inktally/internal/store"
)

// Reread is a kept reading whose figures are others by today's rules.
type Reread struct {
	Client  string
	URL     string
	Reading int64
	Before  page.Words
	Now     page.Words
}

// RereadAll applies today's rules to the latest reading of every page and
// returns those whose words changed, and how many were read. Nothing is
// fetched, and no reading is changed.
func (a *App) RereadAll(ctx context.Context) (changed []Reread, read int, err error) {
	var clients []store.Client
	err = a.db.Read(ctx, func(tx *store.Tx) (err error) {
		clients, err = tx.Clients()
		return err
	})
	for _, c := range clients {
		if err != nil {
			return nil, 0, err
		}
		var latest map[string]store.Reading
		err = a.db.Read(ctx, func(tx *store.Tx) (err error) {
			latest, err = tx.LatestReadings(c.ID)
			return err
		})
		for _, r := range latest {
			p, err := a.pageOf(ctx, r)
			if err != nil {
				return nil, 0, err
			}
			read++
			if before := factsOf(r).Words; before != p.Words {
				changed = append(changed, Reread{Client: c.Name, URL: r.URL, Reading: r.ID, Before: before, Now: p.Words})
			}
		}
	}
	return changed, read, err
}
