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
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>" + words(30),
		"http://one.example/": "<p>" + words(40), "http://two.example/": "<p>" + words(50)}}
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	b := careful
	b.HomePage = "brindle.example"
	client, home := newClient(t, a, b, "one.example two.example")
	measured(t, a, client)
	const hurt = `UPDATE bodies SET packed = x'00' WHERE id IN (SELECT `
	a = damaged(t, path, db, a, w, hurt+`html_id FROM readings WHERE url = 'http://one.example/')`,
		hurt+`page_id FROM readings WHERE url IN ('http://one.example/', 'http://two.example/'))`)
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, []int{30, 0, 50}, []int{s.Columns[0].Words.Seen, s.Columns[1].Words.Seen, s.Columns[2].Words.Seen})
	require.NotNil(t, s.Columns[1].Failure)
	assert.EqualValues(t, fault.KeptPageUnreadable.Code, s.Columns[1].Failure.Code)
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

// A damaged page of the client fails its own row: its book, its pages, its survey and what is
// proposed for it are there all the same.
func TestDamagedPageOfTheClient(t *testing.T) {
	path := filepath.Join(t.TempDir(), "a.db")
	w := &web{pages: map[string]string{"http://brindle.example/": `<a href="/sweeping">Sweeping</a>` + words(30),
		"http://brindle.example/sweeping": words(40)}}
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	client, home := newClient(t, a, sweep, "")
	_, err = a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,100,5,14\n"), nil, "", "")
	require.NoError(t, err)
	surveyed(t, a, client)
	a = damaged(t, path, db, a, w, `UPDATE bodies SET packed = x'00'`)
	for name, ask := range map[string]func() error{
		"book":     func() error { _, err := a.Book.Get(ctx, client); return err },
		"ground":   func() error { _, err := a.Ground.Get(ctx, client); return err },
		"site":     func() error { _, err := a.Ground.Site(ctx, client); return err },
		"proposal": func() error { _, err := a.Ground.Proposal(ctx, client); return err },
		"overview": func() error { _, err := a.Sheet.Overview(ctx, client); return err },
		"sheet":    func() error { _, err := a.Sheet.Get(ctx, client, home); return err },
		"plan":     func() error { _, err := a.Plan.Get(ctx, client); return err },
		"shelf":    func() error { _, err := a.Shelf.List(ctx); return err },
	} {
		assert.NoError(t, ask(), name)
	}
}

// damaged ends a program, damages its file by statements and starts another over it.
func damaged(t *testing.T, path string, db *store.DB, a *app.App, w *web, statements ...string) *app.App {
	t.Helper()
	a.Close()
	require.NoError(t, db.Close())
	raw, err := sql.Open("sqlite", "file:"+path)
	require.NoError(t, err)
	for _, s := range statements {
		_, err = raw.Exec(s)
		require.NoError(t, err)
	}
	require.NoError(t, raw.Close())
	again, err := store.Open(ctx, path)
	require.NoError(t, err)
	b, err := app.New(ctx, app.Options{DB: again, Web: w})
	require.NoError(t, err)
	t.Cleanup(func() {
		b.Close()
		require.NoError(t, again.Close())
	})
	return b
}
