package store

import (
	"database/sql"

	"inktally/core/target"
)

// Choices returns what the user said of the targets of a page, by key.
func (t *Tx) Choices(page int64) (map[string]target.Choice, error) {
	type row struct {
		key string
		target.Choice
	}
	rows, err := all(t, func(r *sql.Rows, v *row) error { return r.Scan(&v.key, &v.State, &v.Value, &v.Reason) },
		`SELECT key, state, value, reason FROM targets WHERE page_id = ?`, page)
	byKey := make(map[string]target.Choice, len(rows))
	for _, v := range rows {
		byKey[v.key] = v.Choice
	}
	return byKey, err
}

// SetChoice keeps what the user said of a target; an open one has nothing said.
func (t *Tx) SetChoice(page int64, key string, c target.Choice) error {
	if c.State == target.Open {
		_, err := t.exec(`DELETE FROM targets WHERE page_id = ? AND key = ?`, page, key)
		return err
	}
	_, err := t.exec(`INSERT OR REPLACE INTO targets (page_id, key, state, value, reason) VALUES (?, ?, ?, ?, ?)`,
		page, key, c.State, c.Value, c.Reason)
	return err
}
