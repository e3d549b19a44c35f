package rules

import (
	"slices"

	"inktally/core/yardstick"
	"inktally/internal/store"
)

// As returns the yardstick that a client, or the workspace for client 0, would have with
// changes: an empty value brings back the one that a figure differs from. Its error is the
// first contradiction.
func As(tx *store.Tx, id int64, changes map[string]string) (yardstick.Yardstick, error) {
	y := yardstick.Standard()
	for _, of := range slices.Compact([]int64{0, id}) {
		kept, err := tx.YardstickChanges(of)
		if err != nil {
			return y, err
		}
		if of == id {
			for key, value := range changes {
				kept[key] = value
				if value == "" {
					delete(kept, key)
				}
			}
		}
		if y, err = y.With(kept); err != nil {
			return y, err
		}
	}
	return y, nil
}

// check is the fault of a client's figures, nil if there is none.
func check(tx *store.Tx, id int64) error {
	y := yardstick.Standard()
	for _, of := range slices.Compact([]int64{0, id}) {
		changes, err := tx.YardstickChanges(of)
		if err != nil {
			return err
		}
		if y, err = y.With(changes); err != nil {
			return err
		}
	}
	return nil
}
