package store

import (
	"context"
	"errors"
)

// Check counts the kept pages, and lists those that cannot be unpacked any more.
func (db *DB) Check(ctx context.Context) (readings int, damaged []Reading, err error) {
	var list []Reading
	err = db.Read(ctx, func(tx *Tx) (err error) {
		list, err = tx.readings(`readings ORDER BY id`)
		return err
	})
	for _, r := range list {
		if ctx.Err() != nil {
			return 0, nil, ctx.Err()
		}
		one := db.Read(ctx, func(tx *Tx) error {
			if _, err := tx.ReadingHTML(r.ID); err != nil {
				return err
			}
			_, err := tx.ReadingSheets(r.ID)
			return err
		})
		if errors.Is(one, ErrDamaged) {
			damaged = append(damaged, r)
		} else if one != nil {
			return 0, nil, one
		}
	}
	return len(list), damaged, err
}

// Short reports whether the disk was full when the file was opened.
func (db *DB) Short() bool { return db.file.Short }

// Path returns where the file is.
func (db *DB) Path() string { return db.file.Path }
