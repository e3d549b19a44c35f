package store

import (
	"database/sql"
	"time"

	"inktally/core/page"
)

// ClientFigures are what lists show of a client.
type ClientFigures struct {
	ClientID int64
	// Lead is the lead phrase of the home page, empty for none.
	Lead string
	// MapPosition and OrganicPosition are where the client stood in its main search, 0
	// if it was not found; Searched tells that there is one, Rivals how many it has.
	MapPosition, OrganicPosition int
	Searched                     bool
	Rivals                       int
	Pages                        []PageFigures
}

// PageFigures are what lists show of a page of a client.
type PageFigures struct {
	PageID int64
	// Words are those seen, nil if the page was not read; ToWrite is what its word
	// target asks for.
	Words   *int
	ToWrite int
	TakenAt time.Time
}

// ShelfRow is a client as the shelf shows it, of kept figures alone.
type ShelfRow struct {
	ID, PageID  int64
	Name, Trade string
	// Place is its home town, Lead the lead phrase of its home page.
	Place, Lead string
	Words       *int
	ToWrite     int
	TakenAt     time.Time
	// MapPosition and OrganicPosition are 0 if the client was not found.
	MapPosition, OrganicPosition int
	// Searched tells that a search was recorded, Rivals how many were taken.
	Searched bool
	Rivals   int
}

// StaleClients returns the clients whose figures are older than what they are worked out
// from: of all, or of one client alone.
func (t *Tx) StaleClients(one int64) ([]int64, error) {
	return all(t, func(r *sql.Rows, id *int64) error { return r.Scan(id) },
		`SELECT c.id FROM clients c LEFT JOIN client_figures f ON f.client_id = c.id
		WHERE (f.client_id IS NULL OR f.revision <> c.revision OR f.rules <> ?1) AND (?2 = 0 OR c.id = ?2)`, page.Rules, one)
}

// Revision returns a number that changes with whatever figures of a client are
// worked out from.
func (t *Tx) Revision(client int64) (revision int64, err error) {
	err = t.one(`SELECT revision FROM clients WHERE id = ?`, []any{client}, &revision)
	return revision, err
}

// SetFigures keeps the figures of a client that were worked out at a revision.
func (t *Tx) SetFigures(f ClientFigures, revision int64) error {
	_, err := t.exec(`INSERT OR REPLACE INTO client_figures (client_id, revision, rules, lead, map_position, organic_position, searched, rivals)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?)`, f.ClientID, revision, page.Rules, f.Lead, f.MapPosition, f.OrganicPosition, f.Searched, f.Rivals)
	if err != nil {
		return err
	}
	for _, p := range f.Pages {
		_, err := t.exec(`INSERT OR REPLACE INTO page_figures (page_id, words, to_write, taken_at) VALUES (?, ?, ?, ?)`,
			p.PageID, p.Words, p.ToWrite, stamp(p.TakenAt))
		if err != nil {
			return err
		}
	}
	return nil
}

// PageFigures returns the kept figures of a client's pages, by page.
func (t *Tx) PageFigures(client int64) (map[int64]PageFigures, error) {
	rows, err := all(t, func(r *sql.Rows, f *PageFigures) error {
		var taken string
		err := r.Scan(&f.PageID, &f.Words, &f.ToWrite, &taken)
		f.TakenAt = parseStamp(taken)
		return err
	}, `SELECT f.page_id, f.words, f.to_write, f.taken_at FROM page_figures f JOIN pages p ON p.id = f.page_id WHERE p.client_id = ?`, client)
	out := make(map[int64]PageFigures, len(rows))
	for _, r := range rows {
		out[r.PageID] = r
	}
	return out, err
}

// Shelf returns all clients with their kept figures, the newest first.
func (t *Tx) Shelf() ([]ShelfRow, error) {
	return all(t, func(r *sql.Rows, s *ShelfRow) error {
		var taken string
		err := r.Scan(&s.ID, &s.Name, &s.Trade, &s.PageID, &s.Place, &s.Lead, &s.Words, &s.ToWrite, &taken,
			&s.MapPosition, &s.OrganicPosition, &s.Searched, &s.Rivals)
		s.TakenAt = parseStamp(taken)
		return err
	}, `WITH home AS (SELECT client_id, MIN(id) AS id FROM pages WHERE kind = 'home' AND gone = 0 GROUP BY client_id),
		town AS (SELECT client_id, name, MIN(position - 1000 * home) FROM places GROUP BY client_id)
		SELECT c.id, c.name, c.trade, COALESCE(home.id, 0), COALESCE(town.name, ''), COALESCE(f.lead, ''), p.words, COALESCE(p.to_write, 0),
			COALESCE(p.taken_at, ''), COALESCE(f.map_position, 0), COALESCE(f.organic_position, 0), COALESCE(f.searched, 0), COALESCE(f.rivals, 0)
		FROM clients c LEFT JOIN client_figures f ON f.client_id = c.id LEFT JOIN home ON home.client_id = c.id
			LEFT JOIN page_figures p ON p.page_id = home.id LEFT JOIN town ON town.client_id = c.id
		ORDER BY c.id DESC`)
}

// Names returns all clients by name with their home pages, the newest first.
func (t *Tx) Names() ([]ShelfRow, error) {
	return all(t, func(r *sql.Rows, s *ShelfRow) error { return r.Scan(&s.ID, &s.Name, &s.PageID) },
		`SELECT c.id, c.name, COALESCE((SELECT MIN(p.id) FROM pages p WHERE p.client_id = c.id AND p.kind = 'home' AND p.gone = 0), 0)
		FROM clients c ORDER BY c.id DESC`)
}
