package app_test

import (
	"database/sql"
	"path/filepath"
	"testing"

	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A kept page that is damaged fails its own column, not the sheet and not the plan; read
// again it is there. Where only what was read of it is damaged, it is read anew from its HTML.
func TestDamagedPage(t *testing.T) {
	path := filepath.Join(t.TempDir(), "a.db")
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>" + words(30), "http://one.example/": "<p>" + words(40), "http://two.example/": "<p>" + words(50)}}
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	b := careful
	b.HomePage = "brindle.example"
	client, home := newClient(t, a, b, "one.example two.example")
	measured(t, a, client)
	a.Close()
	raw, err := sql.Open("sqlite", "file:"+path)
	require.NoError(t, err)
	_, err = raw.Exec(`UPDATE readings SET html = x'00', page = x'00' WHERE url = 'http://one.example/'`)
	require.NoError(t, err)
	_, err = raw.Exec(`UPDATE readings SET page = x'00' WHERE url = 'http://two.example/'`)
	require.NoError(t, err)
	require.NoError(t, raw.Close())
	require.NoError(t, db.Close())

	db, err = store.Open(ctx, path)
	require.NoError(t, err)
	defer db.Close()
	a, err = app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	defer a.Close()
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, []int{30, 0, 50}, []int{s.Columns[0].Words.Seen, s.Columns[1].Words.Seen, s.Columns[2].Words.Seen})
	require.NotNil(t, s.Columns[1].Failure)
	assert.EqualValues(t, fault.KeptPageUnreadable, s.Columns[1].Failure.Code)
	assert.Nil(t, s.Columns[2].Failure)
	_, err = a.Plan.Get(ctx, client)
	assert.NoError(t, err)
	_, err = a.Sheet.Overview(ctx, client)
	assert.NoError(t, err)
	w.set("http://one.example/", "<p>"+words(44))
	measured(t, a, client)
	s, err = a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, 44, s.Columns[1].Words.Seen)
	assert.Nil(t, s.Columns[1].Failure)
}
