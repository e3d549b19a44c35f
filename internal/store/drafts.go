package store

import (
	"database/sql"
	"fmt"
	"time"
)

// draftKey is under which address the reading of a draft is kept; one that was removed
// stands under another, so that removing it can be taken back.
const (
	draftKey        = "draft:"
	removedDraftKey = "removed draft:"
)

// DraftKey is under which address the drafts of a page of the plan are kept.
func DraftKey(page string) string { return draftKey + page }

// Draft is a draft that was kept as a version of its page.
type Draft struct {
	// ReadingID is the reading that it was measured as.
	ReadingID int64
	// Page is the key of the page in the plan.
	Page string
	// Name is that of its file, empty for text.
	Name    string
	Format  string
	Words   int // copy
	TakenAt time.Time
}

// AddDraft keeps what was typed for a reading. Those that were removed before are gone.
func (t *Tx) AddDraft(client int64, d Draft, body []byte) error {
	_, err := t.exec(`DELETE FROM readings WHERE client_id = ? AND url LIKE ?`, client, removedDraftKey+"%")
	if err != nil {
		return err
	}
	_, err = t.exec(`INSERT INTO drafts (reading_id, client_id, page, name, format, body) VALUES (?, ?, ?, ?, ?, ?)`,
		d.ReadingID, client, d.Page, d.Name, d.Format, encoder.EncodeAll(body, nil))
	return err
}

// Drafts are those of a client, the newest first.
func (t *Tx) Drafts(client int64) ([]Draft, error) {
	return all(t, func(r *sql.Rows, v *Draft) error {
		var taken string
		err := r.Scan(&v.ReadingID, &v.Page, &v.Name, &v.Format, &v.Words, &taken)
		v.TakenAt = parseStamp(taken)
		return err
	}, `SELECT d.reading_id, d.page, d.name, d.format, r.copied, r.taken_at FROM drafts d JOIN readings r ON r.id = d.reading_id
		WHERE d.client_id = ?1 AND r.url = ?2 || d.page ORDER BY d.reading_id DESC`, client, draftKey)
}

// RemoveDraft takes a draft away; restore brings it back.
func (t *Tx) RemoveDraft(client, reading int64, restore bool) error {
	from, to := draftKey, removedDraftKey
	if restore {
		from, to = to, from
	}
	return t.change(`UPDATE readings SET url = ?3 || (SELECT page FROM drafts WHERE reading_id = ?2)
		WHERE client_id = ?1 AND id = ?2 AND url = ?4 || (SELECT page FROM drafts WHERE reading_id = ?2)`, client, reading, to, from)
}

// DraftBody is what was typed.
func (t *Tx) DraftBody(client, reading int64) ([]byte, error) {
	var packed []byte
	if err := t.one(`SELECT body FROM drafts WHERE client_id = ? AND reading_id = ?`, []any{client, reading}, &packed); err != nil {
		return nil, err
	}
	body, err := decoder.DecodeAll(packed, nil)
	if err != nil {
		return nil, fmt.Errorf("%w: draft %d: %w", ErrDamaged, reading, err)
	}
	return body, nil
}
