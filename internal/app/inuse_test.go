package app_test

import (
	"fmt"
	"strings"
	"testing"

	"inktally/internal/app/lineups"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// resultsOf is a table of organic results of sites, in their order.
func resultsOf(sites ...string) []byte {
	var b strings.Builder
	b.WriteString("part,position,title,url\n")
	for i, s := range sites {
		fmt.Fprintf(&b, "organic,%d,Sweeps of %s,http://%s/\n", i+1, s, s)
	}
	return []byte(b.String())
}

// rivalsOf returns the sites beside the home page.
func rivalsOf(t *testing.T, columns []view.Column) (out []string) {
	t.Helper()
	for _, c := range columns[1:] {
		out = append(out, c.URL)
	}
	return out
}

// A newer search, or one for another member of a page's family, changes the page's rivals only when it is put to
// use; what is typed stays.
func TestSearchWaits(t *testing.T) {
	a, _, id := overPractice(t)
	g, err := a.Ground.Get(ctx, id)
	require.NoError(t, err)
	home := g.Pages[0].ID
	_, err = a.Lineup.Paste(ctx, id, "typedrival.example")
	require.NoError(t, err)
	main, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	beside := func() []string {
		sheet, err := a.Sheet.Get(ctx, id, home)
		require.NoError(t, err)
		return rivalsOf(t, sheet.Columns)
	}
	before := beside()
	require.Len(t, before, 5)

	for _, phrase := range []string{"tarn harbor chimney sweep", chimney.Phrases[0]} {
		newer, err := a.Lineup.KeepResults(ctx, id, 0, phrase, "r.csv",
			resultsOf("harborflue.example", "one.example", "two.example", "three.example", "four.example"), nil)
		require.NoError(t, err)
		require.NotNil(t, newer.Waits, phrase)
		assert.Equal(t, view.LineupChange{Page: home, Changed: 3, Of: 5, Instead: main.ID}, *newer.Waits)
		assert.Empty(t, newer.Pages)
		assert.Equal(t, before, beside(), "it waits")

		used, err := a.Lineup.Use(ctx, id, newer.ID)
		require.NoError(t, err)
		assert.Nil(t, used.Waits)
		assert.Contains(t, used.Pages, home)
		assert.Equal(t, []string{"http://harborflue.example/", "http://one.example/", "http://two.example/",
			"http://three.example/", "http://typedrival.example/"}, beside())

		_, err = a.Lineup.Use(ctx, id, main.ID)
		require.NoError(t, err)
		assert.Equal(t, before, beside(), "the one before can be used again")
	}
	_, err = a.Lineup.Use(ctx, id, 1<<40)
	assert.Error(t, err)
}

// A later page of results joins the search that it continues, and leaves its rivals.
func TestLaterPageJoins(t *testing.T) {
	a, _, id := overPractice(t)
	first, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	page := resultsOf("far.example", "farther.example")
	shown, err := a.Lineup.PreviewResults(ctx, id, first.ID, "page2.csv", page, nil)
	require.NoError(t, err)
	assert.True(t, shown.Continues)
	shown, err = a.Lineup.PreviewResults(ctx, id, first.ID, "again.csv", resultsOf("harborflue.example"), nil)
	require.NoError(t, err)
	assert.False(t, shown.Continues)
	joined, err := a.Lineup.KeepResults(ctx, id, first.ID, "", "page2.csv", page, nil)
	require.NoError(t, err)
	assert.Equal(t, first.ID, joined.ID)
	assert.Len(t, joined.Recorded, 1)
	assert.Equal(t, 22, joined.LookedAt)
	assert.Equal(t, 21, named(t, joined, "Sweeps of far.example").Position)
	assert.Equal(t, "beyond the first 4 rivals", named(t, joined, "Sweeps of far.example").Reason.Says)
	assert.Equal(t, first.Rivals, joined.Rivals)
	_, err = a.Lineup.KeepResults(ctx, id, first.ID, "", "page2.csv", resultsOf("far.example"), nil)
	fails(t, err, lineups.NothingJoins.Code)
}

// A rival whose page cannot be read keeps its seat, and the next firm is offered for it.
func TestNextIsOffered(t *testing.T) {
	pages := map[string]string{}
	for _, site := range []string{"brindle", "one", "two", "three", "five", "six"} {
		pages["http://"+site+".example/"] = "<title>Chimney sweep</title><p>" + words(200)
	}
	a, _ := open(t, &web{pages: pages})
	id, _ := newClient(t, a, sweep, "")
	_, err := a.Lineup.KeepResults(ctx, id, 0, sweep.Phrases[0], "r.csv",
		resultsOf("one.example", "two.example", "three.example", "dead.example", "five.example", "six.example"), nil)
	require.NoError(t, err)
	measured(t, a, id)
	l, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	dead := named(t, l, "Sweeps of dead.example")
	assert.True(t, dead.Taken && dead.PageRival, "it keeps its seat")
	require.NotNil(t, dead.Failure)
	assert.Equal(t, dead.ID, named(t, l, "Sweeps of five.example").Offered)
	assert.Zero(t, named(t, l, "Sweeps of six.example").Offered)

	l, err = a.Lineup.Take(ctx, id, named(t, l, "Sweeps of five.example").ID, true)
	require.NoError(t, err)
	assert.Equal(t, dead.ID, named(t, l, "Sweeps of six.example").Offered, "the seat is kept until it is given up")
	l, err = a.Lineup.Take(ctx, id, dead.ID, false)
	require.NoError(t, err)
	assert.Zero(t, named(t, l, "Sweeps of six.example").Offered)
}

// A page that is typed by https is the entry of the search that has it by http, and another page of a firm of the
// search is that firm's page.
func TestTypedAgain(t *testing.T) {
	a, _, id := overPractice(t)
	before, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	l, err := a.Lineup.Paste(ctx, id, "https://www.harborflue.example")
	require.NoError(t, err)
	assert.Len(t, l.Entries, len(before.Entries))
	l, err = a.Lineup.Paste(ctx, id, "harborflue.example/chimney-sweep/")
	require.NoError(t, err)
	assert.Len(t, l.Entries, len(before.Entries)+1)
	assert.Equal(t, before.Rivals, l.Rivals, "one rival")
	g, err := a.Ground.Get(ctx, id)
	require.NoError(t, err)
	sheet, err := a.Sheet.Get(ctx, id, g.Pages[0].ID)
	require.NoError(t, err)
	assert.Contains(t, rivalsOf(t, sheet.Columns), "http://harborflue.example/chimney-sweep/")
	assert.NotContains(t, rivalsOf(t, sheet.Columns), "http://harborflue.example/")
}
