package app

import (
	"context"
	"time"

	"inktally/core/place"
	"inktally/internal/store"
)

// ShelfRow is one client as the shelf shows it.
type ShelfRow struct {
	ID    int64  `json:"id"`
	Name  string `json:"name"`
	Trade string `json:"trade"`
	// Place is the home town, empty where it is not known.
	Place string `json:"place"`
	// Lead is the lead phrase.
	Lead string `json:"lead"`
	// Words and ToWrite are those of the home page, null where it was not read.
	Words   *int `json:"words"`
	ToWrite *int `json:"to_write"`
	// MapPosition and OrganicPosition are 0 where the client was not found.
	MapPosition     int        `json:"map_position"`
	OrganicPosition int        `json:"organic_position"`
	Searched        bool       `json:"searched" doc:"Whether a search was recorded"`
	MeasuredAt      *time.Time `json:"measured_at"`
	// Next is the stop that has the next thing to do.
	Next   string `json:"next" enum:"ground,lineup,sheet,targets"`
	PageID int64  `json:"page_id" doc:"The home page"`
}

// Shelf lists all clients.
func (a *App) Shelf(ctx context.Context) ([]ShelfRow, error) {
	var clients []store.Client
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		clients, err = tx.Clients()
		return err
	})
	if err != nil {
		return nil, err
	}
	rows := []ShelfRow{}
	for _, c := range clients {
		row, err := a.shelfRow(ctx, c)
		if err != nil {
			return nil, err
		}
		rows = append(rows, row)
	}
	return rows, nil
}

func (a *App) shelfRow(ctx context.Context, c store.Client) (ShelfRow, error) {
	row := ShelfRow{ID: c.ID, Name: c.Name, Trade: c.Trade}
	var g store.Ground
	var taken int
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if g, err = tx.Ground(c.ID); err != nil {
			return err
		}
		home, err := homePage(tx, c.ID)
		if err != nil {
			return err
		}
		row.PageID = home.ID
		entries, err := tx.Entries(c.ID)
		if err != nil {
			return err
		}
		taken = row.place(entries)
		readings, err := tx.LatestReadings(c.ID)
		if r, ok := readings[readingKey(home)]; ok {
			at := r.TakenAt
			row.MeasuredAt = &at
			row.Words = seenOf(r)
		}
		return err
	})
	if err != nil {
		return row, err
	}
	if home, ok := place.Home(g.Places); ok {
		row.Place = home.Name
	}
	if len(g.Phrases) > 0 {
		row.Lead = g.Phrases[0]
	}
	if s, err := a.study(ctx, c.ID, row.PageID); err == nil && row.Words != nil {
		row.ToWrite = &s.words.ToWrite
	}
	switch {
	case len(g.Phrases) == 0:
		row.Next = "ground"
	case taken == 0 && row.Words == nil:
		row.Next = "lineup"
	case row.Words == nil:
		row.Next = "sheet"
	default:
		row.Next = "targets"
	}
	return row, nil
}

// place finds the client in its lineup and counts the rivals taken.
func (row *ShelfRow) place(entries []store.Entry) (taken int) {
	for _, e := range entries {
		row.Searched = row.Searched || e.Part != "typed"
		if e.Taken {
			taken++
		}
		if e.Kind != "client" || e.Sponsored {
			continue
		}
		switch e.Part {
		case "map":
			row.MapPosition = e.Position
		case "organic":
			row.OrganicPosition = e.Position
		}
	}
	return taken
}
