package main

import (
	"context"
	"os"
	"path/filepath"

	"inktally/internal/store"
)

// newStore opens an empty store; end closes it and takes it away.
func newStore(ctx context.Context) (db *store.DB, end func(), err error) {
	dir, err := os.MkdirTemp("", "inktally-bench-")
	if err != nil {
		return nil, nil, err
	}
	if db, err = store.Open(ctx, filepath.Join(dir, "bench.db")); err != nil {
		_ = os.RemoveAll(dir)
		return nil, nil, err
	}
	return db, func() {
		_ = db.Close()
		_ = os.RemoveAll(dir)
	}, nil
}
