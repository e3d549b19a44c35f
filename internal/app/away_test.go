package app_test

import (
	"context"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"inktally/internal/app"
	"inktally/internal/store"
)

// A deleted client is listed nowhere and can be brought back, until the program ends: then it is gone from the file.
func TestDeletedClient(t *testing.T) {
	path := emptyFile(t)
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: &web{}})
	require.NoError(t, err)
	gone, _ := newClient(t, a, careful, "")
	back, _ := newClient(t, a, careful, "")
	listed := func() (ids []int64) {
		names, err := a.Shelf.Names(ctx)
		require.NoError(t, err)
		rows, err := a.Shelf.List(ctx)
		require.NoError(t, err)
		require.Len(t, rows, len(names))
		for _, n := range names {
			ids = append(ids, n.ID)
		}
		return ids
	}
	require.ElementsMatch(t, []int64{gone, back}, listed())
	require.NoError(t, a.Delete(ctx, gone))
	require.NoError(t, a.Delete(ctx, back))
	require.NoError(t, a.Delete(ctx, back), "once more changes nothing")
	assert.Empty(t, listed())
	assert.True(t, a.IsAway(gone))
	require.NoError(t, a.Restore(ctx, back))
	assert.Equal(t, []int64{back}, listed())
	g, err := a.Ground.Get(ctx, back)
	require.NoError(t, err)
	assert.Equal(t, careful.Phrases, g.Phrases, "as it was")
	assert.True(t, app.IsNoClient(a.Restore(ctx, back)), "it is back already")
	assert.True(t, app.IsGone(a.Delete(ctx, 99)))
	a.Close()
	require.NoError(t, db.Close())

	db, err = store.Open(context.Background(), path)
	require.NoError(t, err)
	defer db.Close()
	require.NoError(t, db.Read(ctx, func(tx *store.Tx) error {
		names, err := tx.Names()
		require.Len(t, names, 1)
		assert.Equal(t, back, names[0].ID)
		return err
	}))
}
