package readings

import (
	"context"

	"inktally/core/page"
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
	err = r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		clients, err = tx.Clients()
		return err
	})
	r.cache.clear()
	for _, c := range clients {
		var latest map[string]store.Reading
		if err == nil {
			err = r.DB.Read(ctx, func(tx *store.Tx) (err error) {
				latest, err = tx.LatestReadings(c.ID)
				return err
			})
		}
		for _, of := range latest {
			data, err := r.anew(ctx, of)
			if err != nil {
				return nil, 0, err
			}
			read++
			if before, now := of.Facts.Words, page.FromData(data).Words; before != now {
				changed = append(changed, Reread{Client: c.Name, URL: of.URL, Reading: of.ID, Before: before, Now: now})
			}
		}
	}
	return changed, read, err
}
