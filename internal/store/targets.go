package store

import (
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/store/kept"
)

// SaidOf is what its user said of the plan of a client, by the ids of pages.
type SaidOf struct {
	// Hours are those to spend.
	Hours float64
	// ToMake are the pages to make of which something was said.
	ToMake   []Page
	Choices  []PageChoice
	Outlines map[int64]outline.Edits
	Own      []OwnTarget
}

// PageChoice is what the user said of a target of a page or of a part of one.
type PageChoice struct {
	PageID int64
	Key    string
	plan.Choice
}

// OwnTarget is a target that the user added to a page.
type OwnTarget struct {
	ID, PageID    int64
	Text          string
	Gain, Minutes float64
}

// Said returns what was said of the plan of a client.
func (t *Tx) Said(client int64) (s SaidOf, err error) {
	if s.Hours, err = t.Hours(client); err != nil {
		return s, err
	}
	if s.ToMake, err = t.PagesToMake(client); err != nil {
		return s, err
	}
	if s.Choices, err = t.choices(`p.client_id = ?`, client); err != nil {
		return s, err
	}
	if s.Own, err = t.OwnTargets(client); err != nil {
		return s, err
	}
	s.Outlines, err = t.Outlines(client)
	return s, err
}

// Hours returns the hours to spend on a client's targets.
func (t *Tx) Hours(client int64) (hours float64, err error) {
	err = t.one(`SELECT hours FROM clients WHERE id = ?`, []any{client}, &hours)
	return hours, err
}

// SetHours sets the hours to spend on a client's targets.
func (t *Tx) SetHours(client int64, hours float64) error {
	return t.change(of(client, FacetSaid), `UPDATE clients SET hours = ? WHERE id = ?`, hours, client)
}

func (t *Tx) choices(where string, args ...any) ([]PageChoice, error) {
	return All(t, func(r Scanner, v *PageChoice) error {
		return r.Scan(&v.PageID, &v.Key, &v.State, &v.Value, &v.Reason)
	},
		`SELECT c.page_id, c.key, c.state, c.value, c.reason FROM target_choices c
			JOIN pages p ON p.id = c.page_id WHERE `+where, args...)
}

// Choice returns what was said of a target of a page or of a part of one, the zero Choice for
// nothing.
func (t *Tx) Choice(client, page int64, key string) (plan.Choice, error) {
	list, err := t.choices(`p.client_id = ? AND p.id = ? AND c.key = ?`, client, page, key)
	if err != nil || len(list) == 0 {
		return plan.Choice{}, err
	}
	return list[0].Choice, nil
}

// SetChoice keeps what the user said of a target of a client's page or of a part of one; an
// open one has nothing said.
func (t *Tx) SetChoice(client, page int64, key string, c plan.Choice) error {
	if c.State == plan.Open {
		_, err := t.exec(of(client, FacetSaid), `DELETE FROM target_choices WHERE page_id = ? AND key = ?`, page, key)
		return err
	}
	_, err := t.exec(of(client, FacetSaid),
		`INSERT OR REPLACE INTO target_choices (page_id, key, state, value, reason) VALUES (?, ?, ?, ?, ?)`,
		page, key, c.State, c.Value, c.Reason)
	return err
}

// OwnTargets returns the targets that the user added.
func (t *Tx) OwnTargets(client int64) ([]OwnTarget, error) {
	return All(t, func(r Scanner, v *OwnTarget) error { return r.Scan(&v.ID, &v.PageID, &v.Text, &v.Gain, &v.Minutes) },
		`SELECT o.id, o.page_id, o.text, o.gain, o.minutes FROM own_targets o JOIN pages p ON p.id = o.page_id
			WHERE p.client_id = ? ORDER BY o.id`, client)
}

// AddOwnTarget adds a target of the user's own to a client's page; one that was there before
// comes back under its id. It returns the id.
func (t *Tx) AddOwnTarget(client int64, o OwnTarget) (int64, error) {
	return t.insert(of(client, FacetSaid), `INSERT INTO own_targets (id, page_id, text, gain, minutes) VALUES ((
		SELECT ?1 FROM sqlite_sequence WHERE name = 'own_targets' AND ?1 BETWEEN 1 AND seq
		AND ?1 NOT IN (SELECT id FROM own_targets)), ?2, ?3, ?4, ?5)`, o.ID, o.PageID, o.Text, o.Gain, o.Minutes)
}

// DeleteOwnTarget removes a target that the user added.
func (t *Tx) DeleteOwnTarget(client, id int64) error {
	return t.change(of(client, FacetSaid),
		`DELETE FROM own_targets WHERE id = ?2 AND page_id IN (SELECT id FROM pages WHERE client_id = ?1)`, client, id)
}

// Outlines returns what the user changed of the outlines of a client's pages, by page.
func (t *Tx) Outlines(client int64) (map[int64]outline.Edits, error) {
	type row struct {
		page  int64
		edits kept.Edits
	}
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.page, &v.edits) },
		`SELECT o.page_id, o.edits FROM outlines o JOIN pages p ON p.id = o.page_id WHERE p.client_id = ?`, client)
	out := make(map[int64]outline.Edits, len(rows))
	for _, v := range rows {
		out[v.page] = outline.Edits(v.edits)
	}
	return out, err
}

// SetOutline keeps what the user changed of the outline of a client's page; nothing changed is
// nothing kept.
func (t *Tx) SetOutline(client, page int64, e outline.Edits) error {
	if len(e.Order) == 0 && len(e.Sections) == 0 && !e.Alone {
		_, err := t.exec(of(client, FacetSaid), `DELETE FROM outlines WHERE page_id = ?`, page)
		return err
	}
	_, err := t.exec(of(client, FacetSaid), `INSERT OR REPLACE INTO outlines (page_id, edits) VALUES (?, ?)`, page,
		kept.Edits(e))
	return err
}
