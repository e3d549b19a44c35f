package store

import (
	"database/sql"
	"time"

	"inktally/core/lineup"
)

// Lineup is the conditions of a recorded search (rule 6.5).
type Lineup struct {
	ClientID   int64
	Phrase     string
	Place      string
	Device     string
	LookedAt   int
	Ads        string
	RecordedAt time.Time
}

// Entry is one result of a recorded search, or a page that was typed in.
type Entry struct {
	ID       int64
	ClientID int64
	lineup.Entry
	Rating  *float64
	Reviews *int
}

// Lineup returns the lineup of a client, ErrNotFound if none was recorded.
func (t *Tx) Lineup(client int64) (l Lineup, err error) {
	var recorded string
	err = t.one(`SELECT client_id, phrase, place, device, looked_at, ads, recorded_at FROM lineups WHERE client_id = ?`,
		[]any{client}, &l.ClientID, &l.Phrase, &l.Place, &l.Device, &l.LookedAt, &l.Ads, &recorded)
	l.RecordedAt = parseStamp(recorded)
	return l, err
}

// SetLineup replaces the conditions of the recorded search.
func (t *Tx) SetLineup(l Lineup) error {
	_, err := t.exec(`INSERT OR REPLACE INTO lineups (client_id, phrase, place, device, looked_at, ads, recorded_at)
		VALUES (?, ?, ?, ?, ?, ?, ?)`, l.ClientID, l.Phrase, l.Place, l.Device, l.LookedAt, l.Ads, stamp(l.RecordedAt))
	return err
}

const entryColumns = `id, client_id, part, position, sponsored, name, url, reviews, rating, kind, reason, reason_quote, reason_number, taken`

func scanEntry(scan func(...any) error, e *Entry) error {
	return scan(&e.ID, &e.ClientID, &e.Part, &e.Position, &e.Sponsored, &e.Name, &e.URL, &e.Reviews, &e.Rating,
		&e.Kind, &e.Reason.Code, &e.Reason.Quote, &e.Reason.Number, &e.Taken)
}

// Entries returns the lineup entries of a client in the order of the result.
func (t *Tx) Entries(client int64) ([]Entry, error) {
	return all(t, func(r *sql.Rows, e *Entry) error { return scanEntry(r.Scan, e) }, `SELECT `+entryColumns+`
		FROM lineup_entries WHERE client_id = ?
		ORDER BY CASE part WHEN 'paid' THEN 0 WHEN 'map' THEN 1 WHEN 'organic' THEN 2 ELSE 3 END, sponsored DESC, position, id`, client)
}

// Entry returns a lineup entry of a client.
func (t *Tx) Entry(client, id int64) (e Entry, err error) {
	err = scanEntry(func(into ...any) error {
		return t.one(`SELECT `+entryColumns+` FROM lineup_entries WHERE client_id = ? AND id = ?`, []any{client, id}, into...)
	}, &e)
	return e, err
}

// AddEntry adds a lineup entry and returns its id.
func (t *Tx) AddEntry(e Entry) (int64, error) {
	return t.insert(`INSERT INTO lineup_entries (client_id, part, position, sponsored, name, url, reviews, rating, kind,
		reason, reason_quote, reason_number, taken) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		e.ClientID, e.Part, e.Position, e.Sponsored, e.Name, e.URL, e.Reviews, e.Rating, e.Kind,
		e.Reason.Code, e.Reason.Quote, e.Reason.Number, e.Taken)
}

// TakeEntry takes an entry as a rival or sets it aside, with the reason.
func (t *Tx) TakeEntry(client, id int64, taken bool, reason lineup.Reason) error {
	return t.change(`UPDATE lineup_entries SET taken = ?, reason = ?, reason_quote = ?, reason_number = ? WHERE client_id = ? AND id = ?`,
		taken, reason.Code, reason.Quote, reason.Number, client, id)
}

// DeleteEntry deletes an entry.
func (t *Tx) DeleteEntry(client, id int64) error {
	return t.change(`DELETE FROM lineup_entries WHERE client_id = ? AND id = ?`, client, id)
}

// ClearEntries deletes the entries of a recorded search; typed ones stay.
func (t *Tx) ClearEntries(client int64) error {
	_, err := t.exec(`DELETE FROM lineup_entries WHERE client_id = ? AND part <> 'typed'`, client)
	return err
}
