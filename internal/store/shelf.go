package store

import (
	"inktally/core/page"
	"inktally/core/yardstick"
	"inktally/internal/store/kept"
)

// ShelfRow is a client as lists begin with it.
type ShelfRow struct {
	ID          int64
	Name, Trade string
	// Home is its home page, Place its home town, empty if none is known.
	Home  Page
	Place string
}

// Shelf returns all clients, the newest first.
func (t *Tx) Shelf() ([]ShelfRow, error) {
	return All(t, func(r Scanner, s *ShelfRow) error {
		return r.Scan(append([]any{&s.ID, &s.Name, &s.Trade, &s.Place}, s.Home.fields()...)...)
	},
		`WITH home AS (SELECT client_id, MIN(id) AS id FROM pages WHERE kind = 'home' AND state = 'there'
			GROUP BY client_id),
		town AS (SELECT client_id, name, MIN(position - 1000 * home) FROM places GROUP BY client_id)
		SELECT c.id, c.name, c.trade, COALESCE(town.name, ''), COALESCE(p.id, 0), c.id,
		COALESCE(p.kind, 'home'), COALESCE(p.url, ''), '', '', 0, 0, ''
		FROM clients c LEFT JOIN home ON home.client_id = c.id LEFT JOIN pages p ON p.id = home.id
		LEFT JOIN town ON town.client_id = c.id
		WHERE NOT c.going ORDER BY c.id DESC`)
}

// OfAll is what the figures of all clients' home pages are worked out from, by client.
type OfAll struct {
	Typed     map[int64][]TypedPhrase
	Lineups   map[int64][]Lineup
	Entries   map[int64][]Entry
	Likes     map[int64][]LikeChoice
	Yardstick map[int64]yardstick.Changes
	// Readings are the latest ones of addresses that home pages and their rivals have, with
	// what lists show of them.
	Readings map[int64]map[string]Reading
}

// OfAll returns what the figures of all clients' home pages are worked out from, with a few
// statements however many there are.
func (t *Tx) OfAll() (o OfAll, err error) {
	if o.Typed, err = gathered(t, func(r Scanner, of *int64, p *TypedPhrase) error {
		return r.Scan(of, &p.Page, &p.Text)
	},
		`SELECT client_id, COALESCE(page_id, 0), text FROM phrases ORDER BY client_id, position`); err != nil {
		return o, err
	}
	if o.Lineups, err = gathered(t, func(r Scanner, of *int64, l *Lineup) error {
		err := scanLineup(r, l)
		*of = l.ClientID
		return err
	},
		`SELECT `+lineupColumns+` FROM lineups WHERE NOT own_name ORDER BY client_id, recorded_at DESC,
 id DESC`); err != nil {
		return o, err
	}
	if o.Entries, err = gathered(t, func(r Scanner, of *int64, e *Entry) error {
		err := scanEntry(r.Scan, e)
		*of = e.ClientID
		return err
	}, `SELECT `+entryColumns+` FROM lineup_entries ORDER BY client_id, `+entryOrder); err != nil {
		return o, err
	}
	if o.Likes, err = gathered(t, func(r Scanner, of *int64, c *LikeChoice) error {
		return r.Scan(of, &c.PageID, &c.Domain, &c.URL)
	},
		`SELECT p.client_id, c.page_id, c.domain, c.url FROM like_choices c JOIN pages p ON p.id = c.page_id
			WHERE p.kind = 'home'`); err != nil {
		return o, err
	}
	type figure struct{ key, value string }
	figures, err := gathered(t, func(r Scanner, of *int64, f *figure) error { return r.Scan(of, &f.key, &f.value) },
		`SELECT COALESCE(client_id, 0), key, value FROM yardstick_figures`)
	if err != nil {
		return o, err
	}
	o.Yardstick = map[int64]yardstick.Changes{}
	for client, list := range figures {
		o.Yardstick[client] = yardstick.Changes{}
		for _, f := range list {
			o.Yardstick[client][f.key] = f.value
		}
	}
	o.Readings, err = t.homeReadings()
	return o, err
}

// homeReadings returns the latest readings of home pages and of what stands beside them.
func (t *Tx) homeReadings() (map[int64]map[string]Reading, error) {
	list, err := gathered(t, func(r Scanner, of *int64, v *Reading) error {
		return r.Scan(of, &v.ID, &v.URL, &v.Facts.Words.Seen, &v.Facts.Words.Copy,
			(*kept.List[page.Warning])(&v.Facts.Warnings), (*kept.Time)(&v.TakenAt))
	}, `WITH wanted AS (
			SELECT client_id, CASE url WHEN '' THEN 'pasted:' || id ELSE url END AS url FROM pages
			WHERE kind = 'home' AND state = 'there'
			UNION SELECT client_id, url FROM lineup_entries WHERE taken = 1
			UNION SELECT p.client_id, c.url FROM like_choices c JOIN pages p ON p.id = c.page_id WHERE p.kind = 'home')
		SELECT r.client_id, r.id, r.url, r.seen, r.copied, r.warnings, r.taken_at FROM wanted w
			JOIN readings r ON r.id = (SELECT MAX(l.id) FROM readings l
			WHERE l.client_id = w.client_id AND l.url = w.url)
		WHERE w.url <> ''`)
	out := make(map[int64]map[string]Reading, len(list))
	for client, readings := range list {
		out[client] = byURL(readings)
	}
	return out, err
}

// gathered scans every row of a query, by the client that it is of.
func gathered[T any](t *Tx, scan func(r Scanner, of *int64, v *T) error, query string) (map[int64][]T, error) {
	type row struct {
		of int64
		v  T
	}
	rows, err := All(t, func(r Scanner, v *row) error { return scan(r, &v.of, &v.v) }, query)
	out := map[int64][]T{}
	for _, r := range rows {
		out[r.of] = append(out[r.of], r.v)
	}
	return out, err
}

// Names returns all clients by name with their home pages, the newest first.
func (t *Tx) Names() ([]ShelfRow, error) {
	return All(t, func(r Scanner, s *ShelfRow) error { return r.Scan(&s.ID, &s.Name, &s.Home.ID) },
		`SELECT c.id, c.name, COALESCE((SELECT MIN(p.id) FROM pages p
			WHERE p.client_id = c.id AND p.kind = 'home' AND p.state = 'there'), 0)
		FROM clients c WHERE NOT c.going ORDER BY c.id DESC`)
}
