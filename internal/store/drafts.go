package store

import (
	"fmt"

	"inktally/internal/store/packed"
)

// Draft is a draft that was kept as a version of its page. It was measured as a reading,
// which has no address.
type Draft struct {
	Reading
	// PageID is its page, which is ToMake where that is one to make.
	PageID int64
	ToMake *Page
	// Name is that of its file, empty for text.
	Name   string
	Format string
}

// AddDraft keeps what was typed for the reading of a draft. Those that were removed before
// are gone.
func (t *Tx) AddDraft(client int64, d Draft, body []byte) error {
	_, err := t.exec(of(client, FacetReadings),
		`DELETE FROM readings WHERE client_id = ? AND id IN (SELECT reading_id FROM drafts WHERE removed = 1)`, client)
	if err != nil {
		return err
	}
	_, err = t.exec(of(client, FacetReadings),
		`INSERT INTO drafts (reading_id, page_id, name, format, body) VALUES (?, ?, ?, ?, ?)`,
		d.ID, d.PageID, d.Name, d.Format, packed.Text(body))
	return err
}

// Drafts returns those of a client, the newest first.
func (t *Tx) Drafts(client int64) ([]Draft, error) {
	return All(t, func(r Scanner, v *Draft) error {
		p, state := Page{}, ""
		err := scanReading(func(into ...any) error {
			return r.Scan(append([]any{&v.PageID, &v.Name, &v.Format, &p.Kind, &p.Service, &p.Place, &state},
				into...)...)
		}, &v.Reading)
		if state == pageToMake {
			p.ID, p.ClientID = v.PageID, client
			v.ToMake = &p
		}
		return err
	}, `SELECT d.page_id, d.name, d.format, p.kind, p.service, p.place, p.state, `+readingColumnsOf("r")+`
		FROM drafts d JOIN readings r ON r.id = d.reading_id JOIN pages p ON p.id = d.page_id
		WHERE r.client_id = ? AND d.removed = 0 ORDER BY d.reading_id DESC`, client)
}

// RemoveDraft takes a draft away; restore brings it back.
func (t *Tx) RemoveDraft(client, reading int64, restore bool) error {
	return t.change(of(client, FacetReadings), `UPDATE drafts SET removed = ?3 WHERE reading_id = ?2 AND removed <> ?3
		AND reading_id IN (SELECT id FROM readings WHERE client_id = ?1)`, client, reading, !restore)
}

// DraftBody returns what was typed.
func (t *Tx) DraftBody(client, reading int64) ([]byte, error) {
	var kept []byte
	err := t.one(
		`SELECT d.body FROM drafts d JOIN readings r ON r.id = d.reading_id WHERE r.client_id = ? AND r.id = ?`,
		[]any{client, reading}, &kept)
	if err != nil {
		return nil, err
	}
	body, err := packed.TextOf(kept)
	if err != nil {
		return nil, fmt.Errorf("%w: draft %d: %w", ErrDamaged, reading, err)
	}
	return body, nil
}
