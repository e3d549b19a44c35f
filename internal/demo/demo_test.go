package demo

import (
	"context"
	"path/filepath"
	"testing"
	"time"

	"inktally/internal/app"
	"inktally/internal/practice"
	"inktally/internal/source"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// seeded returns the program with the demo's clients.
func seeded(t *testing.T) *app.App {
	t.Helper()
	web, err := practice.Start()
	require.NoError(t, err)
	db, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "d.db"))
	require.NoError(t, err)
	a, err := app.New(context.Background(),
		app.Options{DB: db, Web: web.Fetcher(), Search: source.Search{URL: web.SearchURL()},
			Demand:  source.Demand{URL: web.DemandURL()},
			Figures: web.Figures()})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
		assert.NoError(t, web.Close())
	})
	require.NoError(t, Seed(context.Background(), a))
	return a
}

// measured waits until the pages of a client have been read.
func measured(t *testing.T, a *app.App, client int64) {
	t.Helper()
	require.Eventually(t, func() bool {
		run, err := a.Runs.Last(context.Background(), client)
		return err == nil && run.State != "running"
	}, 90*time.Second, 20*time.Millisecond)
}

// The demo tells the story that it is there to tell.
func TestSeed(t *testing.T) {
	ctx, a := context.Background(), seeded(t)
	shelf, err := a.Shelf.List(ctx)
	require.NoError(t, err)
	require.Len(t, shelf, 3)
	main, other := shelf[1], shelf[2]
	assert.Equal(t, []any{"Brindle & Ash Chimney", "Tarn Harbor", "chimney sweep tarn harbor", 0, 14},
		[]any{main.Name, main.Place, main.Lead, main.MapPosition, main.OrganicPosition})
	require.NotNil(t, main.Words)
	assert.Equal(t, 545, *main.Words)
	assert.Equal(t, 1455, *main.ToWrite)
	assert.Nil(t, other.Words, "no site yet")
	assert.Equal(t, "Lowtide Upholstery", other.Name)

	fenwick := shelf[0]
	measured(t, a, fenwick.ID)
	sheet, err := a.Sheet.Get(ctx, fenwick.ID, fenwick.PageID)
	require.NoError(t, err)
	assert.Equal(t, 2140, sheet.Columns[0].Words.Seen)
	assert.True(t, sheet.Target.Words.Hold, "it needs placement, not words")
	for _, c := range sheet.Columns[1:] {
		assert.Less(t, c.Words.Seen, 2140, c.Name)
	}

	lineup, err := a.Lineup.Get(ctx, main.ID, 0)
	require.NoError(t, err)
	kinds := map[string]int{}
	for _, e := range lineup.Entries {
		kinds[string(e.Kind)]++
	}
	assert.GreaterOrEqual(t, kinds["business"], 4)
	for _, kind := range []string{"client", "directory", "list_article"} {
		assert.Positive(t, kinds[kind], kind)
	}

	book, err := a.Book.Get(ctx, main.ID)
	require.NoError(t, err)
	lead := book.Families[0]
	assert.Equal(t, "chimney sweep tarn harbor", lead.Members[0].Text)
	assert.Equal(t, []int{380, 6, 14}, []int{*lead.Members[0].Volume, *lead.Difficulty, *lead.Position})
	assert.Positive(t, lead.Worth)
	assert.False(t, lead.NearMiss, "it is within reach, but stands on the page once")
	for _, intent := range []string{"hire", "question", "brand", "elsewhere", "not_offered", "broad"} {
		assert.Positive(t, book.Sums[intent], intent)
	}

	found, err := a.Book.Found(ctx, main.ID)
	require.NoError(t, err)
	require.Len(t, found.Sites, 5)
	gap := 0
	for _, s := range found.Sites {
		require.NotNil(t, s.Sums, s.Site)
	}
	for _, r := range found.Rows {
		if !r.InBook {
			gap++
		}
	}
	assert.Greater(t, gap, 10, "rivals are found for phrases that the book has not")

	require.NoError(t, Seed(ctx, a), "a store that has clients is left alone")
	shelf, err = a.Shelf.List(ctx)
	require.NoError(t, err)
	assert.Len(t, shelf, 3)
}
