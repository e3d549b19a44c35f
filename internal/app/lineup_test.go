package app_test

import (
	"testing"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/internal/app/lineups"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func named(t *testing.T, l *view.Lineup, name string) view.Entry {
	t.Helper()
	for _, e := range l.Entries {
		if e.Name == name {
			return e
		}
	}
	t.Fatalf("%s is not in the lineup", name)
	return view.Entry{}
}

const resultsOfOstrey = "part,position,title,url\norganic,1,Ostrey " +
	"Sweeps,http://ostreysweeps.example/\norganic,2,Home | Brindle & Ash Chimney,http://brindleandash.example/\n"

// Searches are kept: the page of a search's own phrase is judged against it, all others
// against the home page's; the newest of a phrase counts, and deleting it brings back the
// one before.
func TestSearchesAreKept(t *testing.T) {
	a, _, id := overPractice(t)
	first, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Equal(t, 20, first.LookedAt)
	assert.Equal(t, 3, first.MapLookedAt)
	area, err := a.Ground.AddPage(ctx, id, view.PageDraft{Kind: "area", Place: "Ostrey"})
	require.NoError(t, err)
	_, err = a.Book.AddPhrases(ctx, id, []string{"chimney sweep ostrey"})
	require.NoError(t, err)
	kept, err := a.Lineup.KeepResults(ctx, id, 0, "chimney sweep ostrey", "ostrey.csv", []byte(resultsOfOstrey), nil)
	require.NoError(t, err)
	require.NotEqual(t, first.ID, kept.ID)
	assert.Equal(t, []int64{area.ID}, kept.Pages)
	require.Len(t, kept.Recorded, 2)
	assert.Equal(t, 2, kept.Recorded[0].Organic)

	main, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Equal(t, first.ID, main.ID, "the home page's own phrase")
	sheet, err := a.Sheet.Get(ctx, id, area.ID)
	require.NoError(t, err)
	require.Len(t, sheet.Columns, 2)
	assert.Equal(t, "http://ostreysweeps.example/", sheet.Columns[1].URL)

	again, err := a.Lineup.Record(ctx, id, chimney.Phrases[0])
	require.NoError(t, err)
	assert.Len(t, again.Recorded, 3)
	main, err = a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Equal(t, again.ID, main.ID, "the newest counts")
	main, err = a.Lineup.Forget(ctx, id, again.ID)
	require.NoError(t, err)
	assert.Equal(t, first.ID, main.ID)
	_, err = a.Lineup.Get(ctx, id, again.ID)
	assert.Error(t, err)
}

// A list of sites is taken as text, each line a domain and what it is; one that cannot be read keeps none.
func TestImportSites(t *testing.T) {
	a, _ := open(t, &web{})
	kinds, err := a.Lineup.ImportSites(ctx,
		"# ours\nTownledger.example\nhttps://www.hearthway.example/me, chain\n\nneighborlist.example list article\n")
	require.NoError(t, err)
	got := map[string]view.EntryKind{}
	for _, k := range kinds {
		got[k.Domain] = k.Kind
	}
	assert.Equal(t, map[string]view.EntryKind{"townledger.example": "directory", "hearthway.example": "chain",
		"neighborlist.example": "list_article"}, got)
	for list, want := range map[string]string{"a.example directory\nnothing here": "site_line_unread",
		" \n# none": "site_list_empty", "b.example client": "site_line_unread"} {
		_, err := a.Lineup.ImportSites(ctx, list)
		f, ok := fault.Of(err)
		require.True(t, ok, list)
		assert.Equal(t, want, string(f.Code), list)
	}
	kinds, err = a.Lineup.SiteKinds(ctx)
	require.NoError(t, err)
	assert.Len(t, kinds, 3)
}

// What is said of a site holds for all clients, is listed with where it was said, and is
// taken back.
func TestSiteKinds(t *testing.T) {
	a, _, id := overPractice(t)
	l, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Equal(t, view.EntryKind(lineup.Chain), named(t, l, "Hearthway National: Tarn Harbor").Kind)
	assert.Equal(t, view.EntryKind(lineup.Supplier),
		named(t, l, "Ember Parts: stove and chimney parts, shipped from Tarn Harbor").Kind)
	lantern := named(t, l, "Lantern Street Sweeps")
	require.True(t, lantern.Taken)
	l, err = a.Lineup.SetKind(ctx, id, lantern.ID, lineup.Directory)
	require.NoError(t, err)
	lantern = named(t, l, "Lantern Street Sweeps")
	assert.False(t, lantern.Taken)
	assert.Equal(t, "said by you", lantern.Reason.Says)

	other, err := a.Ground.New(ctx, view.Business{Name: "Fenwick", HomePage: "fenwick.example",
		Services: chimney.Services, Places: chimney.Places, Phrases: chimney.Phrases})
	require.NoError(t, err)
	theirs, err := a.Lineup.Record(ctx, other.ID, chimney.Phrases[0])
	require.NoError(t, err)
	assert.Equal(t, view.EntryKind(lineup.Directory), named(t, theirs, "Lantern Street Sweeps").Kind)
	assert.Equal(t, "said by you for Brindle & Ash Chimney", named(t, theirs, "Lantern Street Sweeps").Reason.Says)
	kinds, err := a.Lineup.SiteKinds(ctx)
	require.NoError(t, err)
	require.Len(t, kinds, 1)
	assert.Equal(t, "lanternsweeps.example", kinds[0].Domain)

	l, err = a.Lineup.ForgetSiteKind(ctx, id, "lanternsweeps.example")
	require.NoError(t, err)
	assert.True(t, named(t, l, "Lantern Street Sweeps").Taken, "by its evidence it is a business")
	kinds, err = a.Lineup.SiteKinds(ctx)
	require.NoError(t, err)
	assert.Empty(t, kinds)
	_, err = a.Lineup.SetKind(ctx, id, named(t, l, "Home | Brindle & Ash Chimney").ID, lineup.Directory)
	fails(t, err, lineups.KindOfClient.Code)
}

// Rows are typed one by one into a search of their own, and moved; each position is held
// once, whatever is moved where, and moving back undoes it.
func TestTypedRows(t *testing.T) {
	a, _ := open(t, &web{pages: map[string]string{}})
	id, _ := newClient(t, a, sweep, "")
	_, err := a.Lineup.AddTyped(ctx, id, 0, "", view.EntryDraft{Part: "organic", Position: 1, Name: "A"})
	fails(t, err, fault.PhraseNeeded.Code)
	l, err := a.Lineup.AddTyped(ctx, id, 0, "chimney sweep",
		view.EntryDraft{Part: "organic", Position: 1, URL: "a.example", Years: 30, Phone: "207-555-0101"})
	require.NoError(t, err)
	assert.Equal(t, "a.example", l.Entries[0].Name)
	assert.Equal(t, 30, l.Entries[0].Years)
	_, err = a.Lineup.AddTyped(ctx, id, l.ID, "", view.EntryDraft{Part: "organic", Position: 2})
	fails(t, err, lineups.EntryNoName.Code)
	for i, name := range []string{"B", "C", "D", "E"} {
		l, err = a.Lineup.AddTyped(ctx, id, l.ID, "",
			view.EntryDraft{Part: "organic", Position: i + 1 + i%2, Name: name, URL: name + "x.example"})
		require.NoError(t, err)
	}
	rapid.Check(t, func(rt *rapid.T) {
		e := rapid.SampledFrom(l.Entries).Draw(rt, "entry")
		to := rapid.IntRange(1, 9).Draw(rt, "to")
		got, err := a.Lineup.Move(ctx, id, e.ID, to)
		require.NoError(rt, err)
		seen := map[int]bool{}
		for _, x := range got.Entries {
			assert.False(rt, seen[x.Position], "position %d twice", x.Position)
			seen[x.Position] = true
			if x.ID == e.ID {
				assert.Equal(rt, to, x.Position)
			}
		}
		assert.Len(rt, got.Entries, 5)
		back, err := a.Lineup.Move(ctx, id, e.ID, e.Position)
		require.NoError(rt, err)
		assert.Equal(rt, l.Entries, back.Entries, "moving it back undoes it")
	})
}
