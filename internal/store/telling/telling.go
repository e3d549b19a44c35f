// Package telling keeps what the user changed of the walk-through of a client.
//
// It has the tables told_orders and told_steps.
package telling

import (
	"errors"

	"inktally/core/handoff"
	"inktally/internal/store"
	"inktally/internal/store/kept"
)

// Edits returns what was changed of the walk-through of a client.
func Edits(tx *store.Tx, client int64) (e handoff.Edits, err error) {
	var order kept.List[string]
	err = tx.One(`SELECT steps FROM told_orders WHERE client_id = ?`, []any{client}, &order)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return e, err
	}
	e.Order, e.Steps = order, map[string]handoff.StepEdit{}
	rows, err := store.All(tx, func(s store.Scanner, r *row) error {
		return s.Scan(&r.key, &r.Dropped, &r.Added, &r.Head, &r.points, &r.Picture)
	}, `SELECT step, dropped, added, head, points, picture IS NOT NULL FROM told_steps WHERE client_id = ?`, client)
	for _, r := range rows {
		r.Points = r.points
		e.Steps[r.key] = r.StepEdit
	}
	return e, err
}

type row struct {
	key    string
	points kept.List[string]
	handoff.StepEdit
}

// SetOrder keeps the order of the steps of a client, by their keys.
func SetOrder(tx *store.Tx, client int64, keys []string) error {
	return tx.Put(client, store.FacetTold, `INSERT OR REPLACE INTO told_orders (client_id, steps) VALUES (?, ?)`, client,
		kept.List[string](keys))
}

// SetStep keeps what was changed of a step; its picture stays.
func SetStep(tx *store.Tx, client int64, key string, e handoff.StepEdit) error {
	return tx.Put(client, store.FacetTold, `INSERT INTO told_steps (client_id, step, dropped, added, head, points)
		VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (client_id, step) DO UPDATE SET dropped = excluded.dropped,
		added = excluded.added, head = excluded.head, points = excluded.points`, client, key, e.Dropped, e.Added, e.Head,
		kept.List[string](e.Points))
}

// Forget takes back all that was changed of a step; one that was added is gone.
func Forget(tx *store.Tx, client int64, key string) error {
	return tx.Put(client, store.FacetTold, `DELETE FROM told_steps WHERE client_id = ? AND step = ?`, client, key)
}

// SetPicture keeps the picture of a step that was added, nil for none.
func SetPicture(tx *store.Tx, client int64, key string, picture []byte) error {
	return tx.Put(client, store.FacetTold, `UPDATE told_steps SET picture = ? WHERE client_id = ? AND step = ? AND added`,
		picture, client, key)
}

// Picture returns the picture of a step, ErrNotFound if it has none.
func Picture(tx *store.Tx, client int64, key string) (picture []byte, err error) {
	err = tx.One(`SELECT picture FROM told_steps WHERE client_id = ? AND step = ? AND picture IS NOT NULL`,
		[]any{client, key}, &picture)
	return picture, err
}
