// Package shelf lists the clients: the shelf with what their home pages hold
// and what to do next, and their names alone.
package shelf

import (
	"context"

	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Shelf lists clients.
type Shelf struct {
	DB      *store.DB
	Studies *study.Studies
	// Hides reports whether a client is not to be listed.
	Hides func(client int64) bool

	known remembered
}

// List lists all clients with what is known of their home pages.
func (s *Shelf) List(ctx context.Context) ([]view.ShelfRow, error) {
	rows, err := s.Studies.Shelf(ctx)
	out := make([]view.ShelfRow, 0, len(rows))
	for _, r := range rows {
		if !s.Hides(r.ID) {
			out = append(out, shown(r))
		}
	}
	return out, err
}

func shown(r study.ShelfRow) view.ShelfRow {
	row := view.ShelfRow{ID: r.ID, Name: r.Name, Trade: r.Trade, Place: r.Place, Lead: r.Lead, Words: r.Words,
		PageID:      r.Home.ID,
		MapPosition: r.MapPosition, OrganicPosition: r.OrganicPosition, Searched: r.Searched,
		MeasuredAt: view.When(r.TakenAt)}
	if r.Words != nil {
		row.ToWrite = &r.ToWrite
	}
	switch {
	case r.Lead == "":
		row.Next = "ground"
	case r.Rivals == 0 && r.Words == nil:
		row.Next = "lineup"
	case r.Words == nil:
		row.Next = "sheet"
	default:
		row.Next = "targets"
	}
	return row
}

// Names lists all clients by their names.
func (s *Shelf) Names(ctx context.Context) ([]view.ClientName, error) {
	out := []view.ClientName{}
	err := s.DB.Read(ctx, func(tx *store.Tx) error {
		rows, err := tx.Names()
		for _, r := range rows {
			if s.Hides(r.ID) {
				continue
			}
			out = append(out, view.ClientName{ID: r.ID, Name: r.Name, PageID: r.Home.ID})
		}
		return err
	})
	return out, err
}
