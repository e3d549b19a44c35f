package store

import (
	"inktally/core/yardstick"
)

// YardstickChanges returns the figures that differ from the standard: those of
// the workspace for client 0, else those of a client alone.
func (t *Tx) YardstickChanges(client int64) (yardstick.Changes, error) {
	type row struct{ key, value string }
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.key, &v.value) },
		`SELECT key, value FROM yardstick_figures WHERE COALESCE(client_id, 0) = ?`, client)
	out := make(yardstick.Changes, len(rows))
	for _, r := range rows {
		out[r.key] = r.value
	}
	return out, err
}

// SetFigure keeps a figure of the yardstick, of the workspace for client 0; an
// empty value brings back the one that it differs from.
func (t *Tx) SetFigure(client int64, key, value string) error {
	if _, err := t.exec(of(client, FacetYardstick),
		`DELETE FROM yardstick_figures WHERE COALESCE(client_id, 0) = ? AND key = ?`, client, key); err != nil ||
		value == "" {
		return err
	}
	_, err := t.exec(of(client, FacetYardstick),
		`INSERT INTO yardstick_figures (client_id, key, value) VALUES (NULLIF(?, 0), ?, ?)`, client, key, value)
	return err
}
