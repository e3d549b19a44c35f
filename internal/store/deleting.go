package store

import (
	"context"
	"errors"
)

// DeleteClient deletes a client and all that belongs to it, ErrNoClient if there is none, also where the disk is full:
// room was held back for it, and what belongs to a client goes in pieces, so that no more than that is needed. What was
// deleted is gone from the file, and its room is given back. From its first moment on the client is none any more; what
// a program that was killed has not deleted of it goes when the file is opened.
func (db *DB) DeleteClient(ctx context.Context, id int64) error {
	gone := func() error {
		return db.Write(ctx, func(tx *Tx) error {
			err := tx.change(none, `UPDATE clients SET going = 1 WHERE id = ? AND NOT going`, id)
			if errors.Is(err, ErrNotFound) {
				return ErrNoClient
			}
			return err
		})
	}
	err := gone()
	if DiskFull.Is(err) {
		db.file.Release(ctx)
		err = gone()
	}
	if err != nil {
		return err
	}
	return db.deleteGoing(context.WithoutCancel(ctx))
}

// deleteGoing deletes what belongs to clients that are none any more.
func (db *DB) deleteGoing(ctx context.Context) error {
	return db.file.Outcome(db.file.Purge(ctx, "clients", "going"))
}
