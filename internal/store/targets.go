package store

import (
	"database/sql"
	"encoding/json"

	"inktally/core/outline"
	"inktally/core/target"
)

// Choices returns what the user said of a client's targets and of their parts, by
// target.ChoiceKey.
func (t *Tx) Choices(client int64) (map[string]target.Choice, error) {
	type row struct {
		page, key string
		target.Choice
	}
	rows, err := all(t, func(r *sql.Rows, v *row) error { return r.Scan(&v.page, &v.key, &v.State, &v.Value, &v.Reason) },
		`SELECT page, key, state, value, reason FROM target_choices WHERE client_id = ?`, client)
	out := make(map[string]target.Choice, len(rows))
	for _, v := range rows {
		out[target.ChoiceKey(v.page, v.key)] = v.Choice
	}
	return out, err
}

// SetChoice keeps what the user said of a target or a part of one; an open one has
// nothing said.
func (t *Tx) SetChoice(client int64, page, key string, c target.Choice) error {
	if c.State == target.Open {
		_, err := t.exec(`DELETE FROM target_choices WHERE client_id = ? AND page = ? AND key = ?`, client, page, key)
		return err
	}
	_, err := t.exec(`INSERT OR REPLACE INTO target_choices (client_id, page, key, state, value, reason) VALUES (?, ?, ?, ?, ?, ?)`,
		client, page, key, c.State, c.Value, c.Reason)
	return err
}

// OwnTargets returns the targets that the user added.
func (t *Tx) OwnTargets(client int64) ([]target.Own, error) {
	return all(t, func(r *sql.Rows, v *target.Own) error { return r.Scan(&v.ID, &v.Page, &v.Text, &v.Gain, &v.Minutes) },
		`SELECT id, page, text, gain, minutes FROM own_targets WHERE client_id = ? ORDER BY id`, client)
}

// AddOwnTarget adds a target of the user's own; one that was there before comes back under
// its id. It returns the id.
func (t *Tx) AddOwnTarget(client int64, o target.Own) (int64, error) {
	return t.insert(`INSERT INTO own_targets (id, client_id, page, text, gain, minutes)
		VALUES ((SELECT ?1 FROM sqlite_sequence WHERE name = 'own_targets' AND ?1 BETWEEN 1 AND seq), ?2, ?3, ?4, ?5, ?6)`,
		o.ID, client, o.Page, o.Text, o.Gain, o.Minutes)
}

// DeleteOwnTarget removes a target that the user added.
func (t *Tx) DeleteOwnTarget(client, id int64) error {
	return t.change(`DELETE FROM own_targets WHERE client_id = ? AND id = ?`, client, id)
}

// Outlines returns what the user changed of the outlines of a client's pages, by the
// pages' keys.
func (t *Tx) Outlines(client int64) (map[string]outline.Edits, error) {
	type row struct{ page, edits string }
	rows, err := all(t, func(r *sql.Rows, v *row) error { return r.Scan(&v.page, &v.edits) },
		`SELECT page, edits FROM outlines WHERE client_id = ?`, client)
	out := make(map[string]outline.Edits, len(rows))
	for _, v := range rows {
		var kept editsRow
		if err := json.Unmarshal([]byte(v.edits), &kept); err != nil {
			return nil, err
		}
		out[v.page] = kept.core()
	}
	return out, err
}

// SetOutline keeps what the user changed of the outline of a page; nothing changed is
// nothing kept.
func (t *Tx) SetOutline(client int64, page string, e outline.Edits) error {
	if len(e.Order) == 0 && len(e.Sections) == 0 && !e.Alone {
		_, err := t.exec(`DELETE FROM outlines WHERE client_id = ? AND page = ?`, client, page)
		return err
	}
	raw, err := json.Marshal(editsRowOf(e))
	if err != nil {
		return err
	}
	_, err = t.exec(`INSERT OR REPLACE INTO outlines (client_id, page, edits) VALUES (?, ?, ?)`, client, page, string(raw))
	return err
}

// editsRow is outline.Edits as it is kept.
type editsRow struct {
	Order    []string              `json:"order,omitempty"`
	Sections map[string]sectionRow `json:"sections,omitempty"`
	Alone    bool                  `json:"alone,omitempty"`
}

type sectionRow struct {
	Heading string `json:"heading,omitempty"`
	Words   *int   `json:"words,omitempty"`
	Dropped bool   `json:"dropped,omitempty"`
	Added   bool   `json:"added,omitempty"`
}

func editsRowOf(e outline.Edits) editsRow {
	out := editsRow{Order: e.Order, Alone: e.Alone, Sections: map[string]sectionRow{}}
	for key, s := range e.Sections {
		out.Sections[key] = sectionRow(s)
	}
	return out
}

func (r editsRow) core() outline.Edits {
	out := outline.Edits{Order: r.Order, Alone: r.Alone, Sections: map[string]outline.SectionEdit{}}
	for key, s := range r.Sections {
		out.Sections[key] = outline.SectionEdit(s)
	}
	return out
}
