package app_test

import (
	"strings"
	"testing"

	"inktally/internal/view"
	"inktally/internal/view/stood"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A search for the business's own name tells what each entry is to it, and chooses no rivals however it comes in.
func TestOwnNameSearch(t *testing.T) {
	a, _, id := overPractice(t)
	rivals := func() (out []string) {
		main, err := a.Lineup.Get(ctx, id, 0)
		require.NoError(t, err)
		for _, e := range main.Entries {
			if e.PageRival || e.MapRival {
				out = append(out, string(e.Part)+" "+e.URL)
			}
		}
		return out
	}
	before := rivals()
	main, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	require.NotEmpty(t, before)

	own, err := a.Lineup.Record(ctx, id, "brindle & ash chimney")
	require.NoError(t, err)
	assert.True(t, own.OwnName)
	assert.Zero(t, own.Rivals)
	assert.Nil(t, own.Waits)
	hits := map[string]string{}
	for _, e := range own.Entries {
		require.NotNil(t, e.Hit, e.Name)
		assert.False(t, e.Taken || e.PageRival || e.MapRival || e.Open, e.Name)
		hits[string(e.Part)+" "+strings.SplitN(strings.TrimPrefix(e.URL, "http://"), "/", 2)[0]] = string(e.Hit.Code)
	}
	assert.Equal(t, map[string]string{"map brindleandash.example": "own_profile",
		"organic brindleashstove.example": "namesake", "organic brindleandash.example": "own_site",
		"organic meetlocal.example":   "article", // no list of directories is known yet
		"organic mainemakers.example": "article", "organic findtrade.example": "listing",
		"organic hearthfolk.example": "own_profile", "organic northtarnnotes.example": "article",
		"organic emberparts.example": "nothing"}, hits)
	assert.Equal(t, before, rivals())
	still, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Equal(t, main.ID, still.ID, "the main search stays")
	assert.Equal(t, main.Entries, still.Entries)

	typed, err := a.Lineup.Paste(ctx, id, "http://brindleashstove.example/")
	require.NoError(t, err)
	assert.Equal(t, view.EntryPart("typed"), named(t, typed, "brindleashstove.example").Part,
		"its entry in that search does not become the rival")

	brings(t, a, id, "listings.csv", "Directory,Name\nMeetlocal,Brindle & Ash Chimney\nOther,Harbor Flue & Hearth\n",
		func(l *stood.FigureLayout) { l.Site = "brindleandash.example" })
	again, err := a.Lineup.Get(ctx, id, own.ID)
	require.NoError(t, err)
	assert.Equal(t, view.HitCode("listing"), named(t, again, "Brindle & Ash Chimney - Meetlocal").Hit.Code,
		"what a list names is a directory")
	list, err := a.Standing.Listings(ctx, id)
	require.NoError(t, err)
	found := map[string]bool{}
	for _, e := range list.Listed {
		found[e.Key] = e.Found
	}
	assert.True(t, found["findtrade"], "it is a listing, though no list has it")
	assert.False(t, found["meetlocal"])
	s, err := a.Standing.Get(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, own.ID, s.NameSearch)
	assert.Contains(t, s.Notes, "A search for your own name shows another business above you: “Brindle & Ash Chimney "+
		"and Stove | Alder Falls, NH” at 1.")

	_, err = a.Lineup.Forget(ctx, id, own.ID)
	require.NoError(t, err)
	s, err = a.Standing.Get(ctx, id)
	require.NoError(t, err)
	assert.Zero(t, s.NameSearch)
}
