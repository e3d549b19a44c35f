package app_test

import (
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/app/documents"
	"inktally/internal/store"
	"inktally/internal/view/stood"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A month's account tells what was done, what moved and what is next, since the day that is asked for: what was not
// known then is no change, and a day before all begins with the first of everything.
func TestAccount(t *testing.T) {
	w := &web{pages: map[string]string{}}
	w.set("http://brindle.example/", "<title>Home</title><h1>Welcome</h1><p>"+words(400)+"</p>")
	db, err := store.Open(ctx, emptyFile(t))
	require.NoError(t, err)
	clock := time.Date(2026, 10, 2, 9, 0, 0, 0, time.UTC)
	a, err := app.New(ctx, app.Options{DB: db, Web: w, Now: func() time.Time { return clock }})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	draft := chimney
	draft.HomePage = "brindle.example"
	id, _ := newClient(t, a, draft, "")
	search := func(place string) {
		table := "part,position,title,url\norganic,1,Harbor Flue,http://harborflue.example/\n" +
			"organic," + place + ",Brindle,http://brindle.example/\n"
		_, err := a.Lineup.KeepResults(ctx, id, 0, "chimney sweep tarn harbor", "r.csv", []byte(table), nil)
		require.NoError(t, err)
	}
	reviews := func(n, day string) {
		brings(t, a, id, "maps.csv", "Domain,Reviews,Rating\nbrindle.example,"+n+",4.8\n",
			func(l *stood.FigureLayout) { l.TakenOn = day })
	}
	list := func(volume string) {
		_, err := a.Book.ImportList(ctx, id, "v.csv",
			[]byte("Keyword,Volume\nchimney sweep tarn harbor,"+volume+"\n"), nil, "", "")
		require.NoError(t, err)
	}
	account := func(since string) string {
		f, err := a.Handoff.File(ctx, documents.Ask{Client: id, Kind: documents.Account, Format: documents.Markdown,
			Since: since})
		require.NoError(t, err)
		return string(f.Body)
	}

	measured(t, a, id)
	search("14")
	reviews("11", "2026-10-02")
	list("380")
	says := account("2026-09-15")
	assert.Contains(t, says, "# Since September 15, 2026: Brindle & Ash Chimney")
	assert.Contains(t, says, "have not been read again since then")
	assert.Contains(t, says, "Nothing that was looked up again has moved yet.")

	clock = clock.AddDate(0, 0, 20) // October 22
	w.set("http://brindle.example/", "<title>Chimney sweep Tarn Harbor</title><h1>Chimney sweep Tarn Harbor</h1><p>"+
		words(700)+"</p>")
	measured(t, a, id)
	clock = clock.AddDate(0, 0, 12) // November 3
	search("6")
	reviews("15", "2026-11-03")

	says = account("")
	assert.Contains(t, says, "# Since October 4, 2026")
	assert.Contains(t, says, "- Your home page: 303 words written, a new title and a new main heading (1 h 16 min)")
	assert.Contains(t, says, "| “chimney sweep tarn harbor”, in the results | place 14 | **place 6** |")
	assert.Contains(t, says, "| visits a month from that place, an estimate | 3 | **17** |", "380 × .007 and × .045")
	assert.Contains(t, says, "| reviews | 11 | **15** |")
	assert.NotContains(t, says, "rating", "it is what it was")
	assert.Contains(t, says, "## What happens next")
	assert.Equal(t, says[30:], account("2026-09-01")[32:], "before all it begins with the first of everything")

	later := account("2026-10-25")
	assert.Contains(t, later, "have not been read again since then")
	assert.Contains(t, later, "place 14", "the search of before is that of October 2")
	for since, code := range map[string]fault.Code{"2026-12-01": fault.DayBad.Code, "soon": fault.DayBad.Code} {
		_, err := a.Handoff.File(ctx, documents.Ask{Client: id, Kind: documents.Account, Format: documents.HTML,
			Since: since})
		fails(t, err, code)
	}
}
