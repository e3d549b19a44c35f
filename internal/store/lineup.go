package store

import (
	"time"

	"inktally/internal/store/kept"

	"inktally/core/lineup"
)

// Lineup is the conditions of a recorded search (rule 6.5).
type Lineup struct {
	ID       int64
	ClientID int64
	Phrase   string
	Place    string
	Device   string
	// LookedAt and MapLookedAt are how many organic and map entries were looked at.
	LookedAt, MapLookedAt int
	Ads                   string
	RecordedAt            time.Time
	// Used orders the searches as they were put to use, the greatest is the last one; 0 is one that
	// waits (rule 6.2).
	Used int64
	// OwnName reports whether the client's own name was searched for: it chooses no rivals (rule 13.3).
	OwnName bool
}

// Entry is one result of a recorded search, or a page that was typed in.
type Entry struct {
	ID       int64
	ClientID int64
	// LineupID is the search that it is of, 0 for a page that was typed in.
	LineupID int64
	lineup.Entry
	Rating  *float64
	Reviews *int
}

// Lineups returns the recorded searches of a client, the newest first.
func (t *Tx) Lineups(client int64) ([]Lineup, error) {
	return All(t, scanLineup, `SELECT `+lineupColumns+
		` FROM lineups WHERE client_id = ? ORDER BY recorded_at DESC, id DESC`, client)
}

const lineupColumns = `id, client_id, phrase, place, device, looked_at, map_looked_at, ads, recorded_at, used,
	own_name`

func scanLineup(r Scanner, l *Lineup) error {
	return r.Scan(&l.ID, &l.ClientID, &l.Phrase, &l.Place, &l.Device, &l.LookedAt, &l.MapLookedAt, &l.Ads,
		(*kept.Time)(&l.RecordedAt), &l.Used, &l.OwnName)
}

// AddLineup keeps a recorded search, which waits to be used, and returns its id.
func (t *Tx) AddLineup(l Lineup) (int64, error) {
	return t.insert(of(l.ClientID, FacetLineups),
		`INSERT INTO lineups (client_id, phrase, place, device, looked_at, map_looked_at, ads, recorded_at,
			own_name) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`, l.ClientID, l.Phrase, l.Place, l.Device, l.LookedAt,
		l.MapLookedAt, l.Ads, kept.Time(l.RecordedAt), l.OwnName)
}

// UseLineup makes a search the one that was put to use last.
func (t *Tx) UseLineup(client, id int64) error {
	return t.change(of(client, FacetLineups), `UPDATE lineups SET
		used = 1 + (SELECT MAX(used) FROM lineups WHERE client_id = ?) WHERE client_id = ? AND id = ?`, client, client,
		id)
}

// LookedAt keeps up to which organic and map entries a search was looked at.
func (t *Tx) LookedAt(client, id int64, organic, inMap int) error {
	return t.change(of(client, FacetLineups), `UPDATE lineups SET looked_at = MAX(looked_at, ?),
		map_looked_at = MAX(map_looked_at, ?) WHERE client_id = ? AND id = ?`, organic, inMap, client, id)
}

// DeleteLineup deletes a recorded search with its entries.
func (t *Tx) DeleteLineup(client, id int64) error {
	return t.change(of(client, FacetLineups), `DELETE FROM lineups WHERE client_id = ? AND id = ?`, client, id)
}

const entryColumns = `id, client_id, COALESCE(lineup_id, 0), part, position, sponsored, name, url, phone, years,
	reviews, rating, kind, reason, reason_quote, reason_number, taken`

func scanEntry(scan func(...any) error, e *Entry) error {
	return scan(&e.ID, &e.ClientID, &e.LineupID, &e.Part, &e.Position, &e.Sponsored, &e.Name, &e.URL, &e.Phone,
		&e.Years, &e.Reviews, &e.Rating, &e.Kind, &e.Reason.Code, &e.Reason.Quote, &e.Reason.Number, &e.Taken)
}

// Entries returns all lineup entries of a client, those of a search in the order of
// the result.
func (t *Tx) Entries(client int64) ([]Entry, error) {
	return All(t, func(r Scanner, e *Entry) error { return scanEntry(r.Scan, e) }, `SELECT `+entryColumns+`
		FROM lineup_entries WHERE client_id = ? ORDER BY `+entryOrder, client)
}

const entryOrder = `CASE part WHEN 'paid' THEN 0 WHEN 'map' THEN 1 WHEN 'organic' THEN 2 ELSE 3 END, sponsored DESC,
 position, id`

// Entry returns a lineup entry of a client.
func (t *Tx) Entry(client, id int64) (e Entry, err error) {
	err = scanEntry(func(into ...any) error {
		return t.one(`SELECT `+entryColumns+` FROM lineup_entries WHERE client_id = ? AND id = ?`, []any{client, id},
			into...)
	}, &e)
	return e, err
}

// AddEntry adds a lineup entry and returns its id.
func (t *Tx) AddEntry(e Entry) (int64, error) {
	return t.insert(of(e.ClientID, FacetLineups),
		`INSERT INTO lineup_entries (client_id, lineup_id, part, position, sponsored, name, url, phone, years,
			reviews, rating, kind,
		reason, reason_quote, reason_number, taken) VALUES (?, NULLIF(?, 0), ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		e.ClientID, e.LineupID, e.Part, e.Position, e.Sponsored, e.Name, e.URL, e.Phone, e.Years, e.Reviews, e.Rating,
		e.Kind, e.Reason.Code, e.Reason.Quote, e.Reason.Number, e.Taken)
}

// UpdateEntry changes what is told of an entry.
func (t *Tx) UpdateEntry(e Entry) error {
	return t.change(of(e.ClientID, FacetLineups),
		`UPDATE lineup_entries SET part = ?, position = ?, sponsored = ?, name = ?, url = ?, phone = ?, years = ?,
			reviews = ?, rating = ?, kind = ?, reason = ?, reason_quote = ?, reason_number = ?, taken = ?
		WHERE client_id = ? AND id = ?`,
		e.Part, e.Position, e.Sponsored, e.Name, e.URL, e.Phone, e.Years, e.Reviews, e.Rating, e.Kind,
		e.Reason.Code, e.Reason.Quote, e.Reason.Number, e.Taken, e.ClientID, e.ID)
}

// TakeEntry takes an entry as a rival or sets it aside, with the reason.
func (t *Tx) TakeEntry(client, id int64, taken bool, reason lineup.Reason) error {
	return t.change(of(client, FacetLineups),
		`UPDATE lineup_entries SET taken = ?, reason = ?, reason_quote = ?, reason_number = ?
			WHERE client_id = ? AND id = ?`,
		taken, reason.Code, reason.Quote, reason.Number, client, id)
}

// DeleteEntry deletes an entry.
func (t *Tx) DeleteEntry(client, id int64) error {
	return t.change(of(client, FacetLineups), `DELETE FROM lineup_entries WHERE client_id = ? AND id = ?`, client, id)
}

// SiteKind is what a person said that a site is, for all clients.
type SiteKind struct {
	Domain string
	Kind   lineup.Kind
	// SaidFor is the name of the client for whom it was said.
	SaidFor string
	SaidAt  time.Time
}

// SiteKinds returns what was said of sites, the newest first.
func (t *Tx) SiteKinds() ([]SiteKind, error) {
	return All(t, func(r Scanner, k *SiteKind) error {
		return r.Scan(&k.Domain, &k.Kind, &k.SaidFor, (*kept.Time)(&k.SaidAt))
	}, `SELECT domain, kind, said_for, said_at FROM site_kinds ORDER BY said_at DESC, domain`)
}

// SetSiteKind keeps what a site is; an empty kind forgets it, ErrNotFound if nothing
// was said.
func (t *Tx) SetSiteKind(k SiteKind) error {
	if k.Kind == "" {
		return t.change(of(Everyone, FacetStanding), `DELETE FROM site_kinds WHERE domain = ?`, k.Domain)
	}
	_, err := t.exec(of(Everyone, FacetStanding), `INSERT OR REPLACE INTO site_kinds (domain, kind, said_for,
 said_at) VALUES (?, ?, ?, ?)`,
		k.Domain, k.Kind, k.SaidFor, kept.Time(k.SaidAt))
	return err
}

// OrganicTrades returns the addresses of organic entries with the trades of the clients in
// whose lineups they stand, each pair once.
func (t *Tx) OrganicTrades() ([][2]string, error) {
	return All(t, func(r Scanner, v *[2]string) error { return r.Scan(&v[0], &v[1]) },
		`SELECT DISTINCT e.url, lower(trim(c.trade)) FROM lineup_entries e JOIN clients c ON c.id = e.client_id
		WHERE e.part = 'organic' AND e.url <> '' AND trim(c.trade) <> ''`)
}
