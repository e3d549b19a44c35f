package store

import (
	"time"

	"inktally/core/reach"
	"inktally/internal/store/kept"
)

// FoundList is what a site is found for, as one list said it.
type FoundList struct {
	ID      int64
	Site    string // its registrable domain
	Source  string // the file, or the source that was asked
	TakenAt time.Time
	Phrases []reach.Phrase
}

// AddFoundList keeps a list of a client and returns its id.
func (t *Tx) AddFoundList(client int64, l FoundList) (int64, error) {
	return t.insert(of(client, FacetFound),
		`INSERT INTO found_lists (client_id, site, source, taken_at, phrases) VALUES (?, ?, ?, ?, ?)`,
		client, l.Site, l.Source, kept.Time(l.TakenAt), kept.Found(l.Phrases))
}

// FoundLists returns the last list of each site of a client.
func (t *Tx) FoundLists(client int64) ([]FoundList, error) {
	return t.foundLists(`SELECT MAX(id) FROM found_lists WHERE client_id = ? GROUP BY site`, client)
}

// FoundListsAt returns what was the last list of each site at a moment; of one that came later, the first.
func (t *Tx) FoundListsAt(client int64, at time.Time) ([]FoundList, error) {
	return t.foundLists(`SELECT COALESCE(MAX(CASE WHEN taken_at <= ? THEN id END), MIN(id)) FROM found_lists
		WHERE client_id = ? GROUP BY site`, kept.Time(at), client)
}

func (t *Tx) foundLists(ids string, args ...any) ([]FoundList, error) {
	return All(t, func(r Scanner, l *FoundList) error {
		return r.Scan(&l.ID, &l.Site, &l.Source, (*kept.Time)(&l.TakenAt), (*kept.Found)(&l.Phrases))
	}, `SELECT id, site, source, taken_at, phrases FROM found_lists WHERE id IN (`+ids+`) ORDER BY id`, args...)
}

// DeleteFoundList takes a list back; the one before it counts again.
func (t *Tx) DeleteFoundList(client, id int64) error {
	_, err := t.exec(of(client, FacetFound), `DELETE FROM found_lists WHERE client_id = ? AND id = ?`, client, id)
	return err
}
