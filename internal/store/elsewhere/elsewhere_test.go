package elsewhere

import (
	"context"
	"path/filepath"
	"testing"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var ctx = context.Background()

// file is a data file with a client.
func file(t *testing.T) (*store.DB, int64) {
	t.Helper()
	db, err := store.Open(ctx, filepath.Join(t.TempDir(), "d.db"))
	require.NoError(t, err)
	t.Cleanup(func() { assert.NoError(t, db.Close()) })
	var client int64
	require.NoError(t, db.Write(ctx, func(tx *store.Tx) (err error) {
		client, err = tx.AddClient(store.Client{Name: "A"})
		return err
	}))
	return db, client
}

func day1(n int) time.Time { return time.Date(2026, 11, n, 0, 0, 0, 0, time.UTC) }

// What was brought at once goes at once, what was typed stays; of one day what was kept last is the newest.
func TestImports(t *testing.T) {
	db, client := file(t)
	v := standing.Value{Site: "a.example", Figure: standing.Domains, Scope: standing.OfSite, Amount: 7, On: day1(3)}
	var id int64
	require.NoError(t, db.Write(ctx, func(tx *store.Tx) (err error) {
		require.NoError(t, PutFigure(tx, client, Typed, v))
		id, err = AddImport(tx, client, Import{Name: "x.csv", Source: "x", On: day1(3)})
		require.NoError(t, err)
		later := v
		later.Source, later.Amount = "a list", 9
		require.NoError(t, PutFigure(tx, client, id, later))
		require.NoError(t, PutFact(tx, client, id,
			Fact{Site: "a.example", Field: mapprofile.Category, Value: "x", On: day1(3)}))
		require.NoError(t, PutLinks(tx, client, id, List{Site: "a.example", On: day1(3)},
			[]backlink.Row{{Domain: "b.example"}, {Domain: "b.example"}, {Domain: "c.example", Lost: true}}))
		return PutListings(tx, client, id, List{Site: "a.example", On: day1(3), Fields: []listing.Field{listing.Phone}},
			[]listing.Entry{{Directory: "Findatrade"}, {Directory: "findatrade.example"},
				{Directory: "X", Listed: listing.IsNot}})
	}))
	known := func() (k Known) {
		require.NoError(t, db.Read(ctx, func(tx *store.Tx) (err error) {
			k, err = Of(tx, client)
			return err
		}))
		return k
	}
	k := known()
	require.Len(t, k.Lists, 2)
	assert.Equal(t, 1, k.Lists[0].Counted, "a domain once, lost ones not")
	assert.Equal(t, 1, k.Lists[1].Counted, "a directory once, by its name or its domain")
	assert.Equal(t, []listing.Field{listing.Phone}, k.Lists[1].Fields)
	now := standing.Of(k.Totals(), "a.example", standing.Domains, standing.OfSite)
	assert.InDelta(t, 9, now.Amount, 0)
	assert.Len(t, now.Former, 1)
	require.NoError(t, db.Write(ctx, func(tx *store.Tx) error { return ForgetImport(tx, client, id) }))
	k = known()
	assert.Empty(t, k.Lists)
	assert.Empty(t, k.Facts)
	assert.InDelta(t, 7, standing.Of(k.Totals(), "a.example", standing.Domains, standing.OfSite).Amount, 0)
	err := db.Write(ctx, func(tx *store.Tx) error { return ForgetImport(tx, client, id) })
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// Lists come back as they were kept.
func TestListsComeBack(t *testing.T) {
	db, client := file(t)
	text := rapid.StringN(0, 12, 40)
	strength := rapid.Custom(func(t *rapid.T) backlink.Strength {
		if rapid.Bool().Draw(t, "known") {
			return backlink.Of(float64(rapid.IntRange(0, 100).Draw(t, "strength")))
		}
		return backlink.Strength{}
	})
	rapid.Check(t, func(t *rapid.T) {
		var rows []backlink.Row
		for range rapid.IntRange(0, 8).Draw(t, "rows") {
			r := backlink.Row{Domain: text.Draw(t, "domain"), Page: text.Draw(t, "page"), Title: text.Draw(t, "title"),
				Anchor: text.Draw(t, "anchor"), OfPage: strength.Draw(t, "of page"),
				OfSite:      [2]backlink.Strength{strength.Draw(t, "of site"), strength.Draw(t, "second")},
				NotFollowed: rapid.Bool().Draw(t, "not followed"), Lost: rapid.Bool().Draw(t, "lost"),
				Links: rapid.IntRange(0, 9000).Draw(t, "links"), Language: text.Draw(t, "language")}
			if rapid.Bool().Draw(t, "dated") {
				r.FirstSeen = day1(rapid.IntRange(1, 28).Draw(t, "day"))
			}
			rows = append(rows, r)
		}
		var got []backlink.Row
		err := db.Write(ctx, func(tx *store.Tx) error {
			if err := PutLinks(tx, client, Typed, List{Site: "a.example", On: day1(1)}, rows); err != nil {
				return err
			}
			k, err := Of(tx, client)
			if err != nil {
				return err
			}
			got, err = Links(tx, k.Lists[0].ID)
			return err
		})
		require.NoError(t, err)
		assert.Equal(t, append([]backlink.Row{}, rows...), got)
	})
}
