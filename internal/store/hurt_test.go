package store

import (
	"context"
	"os"
	"testing"

	"inktally/internal/datafile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A file whose pages are hurt says so by its own fault, and takes no more writes: what can be read still is, and what
// check and restore are for is not made worse.
func TestHurtFile(t *testing.T) {
	ctx := context.Background()
	db, path, client := filled(t, 40)
	require.NoError(t, db.Close())
	raw, err := os.ReadFile(path)
	require.NoError(t, err)
	for at := len(raw) / 3; at < len(raw)*2/3; at++ {
		raw[at] = 0xa5
	}
	require.NoError(t, os.WriteFile(path, raw, 0o600))

	db, err = Open(ctx, path)
	if err != nil { // what hurts its first pages keeps it from being opened
		assert.True(t, datafile.BadDataFile.Is(err) || datafile.DataFileDamaged.Is(err), "%v", err)
		return
	}
	defer db.Close()
	var found error
	for i := range 40 {
		err := db.Read(ctx, func(tx *Tx) error {
			_, err := All(tx, func(r Scanner, n *int) error { return r.Scan(n) },
				`SELECT length(packed || '') FROM bodies LIMIT 1 OFFSET ?`, i)
			return err
		})
		if err != nil {
			found = err
		}
	}
	require.Error(t, found)
	assert.True(t, datafile.DataFileDamaged.Is(found), "%v", found)
	before, err := os.ReadFile(path)
	require.NoError(t, err)
	for range 3 {
		err = db.Write(ctx, func(tx *Tx) error {
			return tx.SetSiteKind(SiteKind{Domain: "a.example", Kind: "directory"})
		})
		assert.True(t, datafile.DataFileDamaged.Is(err), "%v", err)
	}
	after, err := os.ReadFile(path)
	require.NoError(t, err)
	assert.Equal(t, before, after)
	assert.NoError(t, db.Read(ctx, func(tx *Tx) error {
		_, err := tx.Client(client)
		return err
	}), "what is whole is read")
}
