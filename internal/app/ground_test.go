package app_test

import (
	"compress/gzip"
	"context"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"slices"
	"testing"

	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/yardstick"
	"inktally/internal/app"
	"inktally/internal/app/merge"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A file of an older program opens with all that its user said: choices of
// targets are found under the families of today.
func TestFileOfAnOlderProgram(t *testing.T) {
	const client, home = 2, 2
	name := filepath.Join(t.TempDir(), "old.db")
	packed, err := os.Open("../store/testdata/version6.db.gz")
	require.NoError(t, err)
	defer packed.Close()
	unpacked, err := gzip.NewReader(packed)
	require.NoError(t, err)
	file, err := os.Create(name)
	require.NoError(t, err)
	_, err = io.Copy(file, unpacked)
	require.NoError(t, err)
	require.NoError(t, file.Close())
	db, err := store.Open(ctx, name)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: &web{}})
	require.NoError(t, err)
	t.Cleanup(func() { a.Close(); assert.NoError(t, db.Close()) })

	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, view.Words{Seen: 545, Copy: 488, Hidden: 22}, s.Columns[0].Words)
	list, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	said := map[view.PartKind]view.Choice{}
	for _, x := range list.Targets {
		for _, p := range x.Parts {
			if p.Choice.State != view.TargetState(plan.Open) {
				said[p.Kind] = p.Choice
			}
		}
	}
	assert.Equal(t, view.Choice{State: view.TargetState(plan.Changed), Value: "Chimney sweep in Tarn Harbor, Maine"},
		said["title"])
	assert.Equal(t, view.TargetState(plan.Kept), said["h1"].State)
	assert.Equal(t, view.Choice{State: view.TargetState(plan.Dropped), Reason: "the owner writes these"}, said["alt"])
	assert.Contains(t, said, view.PartKind("image_names"))
	b, err := a.Book.Get(ctx, client)
	require.NoError(t, err)
	assert.Greater(t, b.Phrases, 90)
	changed, read, err := a.Readings.Reread(ctx)
	require.NoError(t, err)
	assert.Positive(t, read)
	assert.Empty(t, changed, "words are counted as they were")
}

// searched answers every search with the same entries.
type searched []source.SearchEntry

func (s searched) Search(context.Context, string, string) (source.SearchResult, error) {
	return source.SearchResult{Place: "Tarn Harbor, ME", LookedAt: 20, Entries: s}, nil
}

// What is paid for is never a rival itself: taking it makes a typed rival of its
// site, which is measured; map places beyond the third fill no seat.
func TestPaidEntries(t *testing.T) {
	w := &web{pages: map[string]string{"http://ad.example/": words(700), "http://three.example/": words(300)}}
	db, err := store.Open(ctx, emptyFile(t))
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: w, Search: searched{
		{Part: lineup.Paid, Position: 1, Name: "Ad", URL: "http://ad.example/"},
		{Part: lineup.Map, Position: 1, Sponsored: true, Name: "Sponsored", URL: "http://sponsored.example/"},
		{Part: lineup.Map, Position: 3, Name: "Three", URL: "http://three.example/"},
		{Part: lineup.Map, Position: 4, Name: "Four", URL: "http://four.example/"},
	}})
	require.NoError(t, err)
	t.Cleanup(func() { a.Close(); assert.NoError(t, db.Close()) })
	client, home := newClient(t, a, sweep, "")
	l, err := a.Lineup.Record(ctx, client, "chimney sweep tarn harbor")
	require.NoError(t, err)
	rivals := func(l *view.Lineup) (names []string) {
		for _, e := range l.Entries {
			if e.Taken {
				names = append(names, string(e.Part)+" "+e.URL)
			}
		}
		assert.Equal(t, len(names), l.Rivals)
		return names
	}
	assert.Equal(t, []string{"map http://three.example/"}, rivals(l))
	id := func(name string) int64 {
		for _, e := range l.Entries {
			if e.Name == name {
				return e.ID
			}
		}
		t.Fatal(name)
		return 0
	}
	_, err = a.Lineup.Take(ctx, client, id("Ad"), true)
	require.NoError(t, err)
	l, err = a.Lineup.Take(ctx, client, id("Sponsored"), true)
	require.NoError(t, err)
	assert.ElementsMatch(t, []string{"map http://three.example/", "typed http://ad.example/",
		"typed http://sponsored.example/"}, rivals(l))
	measured(t, a, client)
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	seen := map[string]int{}
	for _, c := range s.Columns {
		seen[c.URL] = c.Words.Seen
	}
	assert.Equal(t, 700, seen["http://ad.example/"], "it is measured")
	for _, e := range l.Entries {
		if e.Part == view.EntryPart(lineup.Typed) && e.Taken {
			l, err = a.Lineup.Take(ctx, client, e.ID, false)
			require.NoError(t, err)
		}
	}
	assert.Equal(t, []string{"map http://three.example/"}, rivals(l), "and can be dismissed again")
}

// What a home page says of its business is proposed until it is entered.
func TestProposal(t *testing.T) {
	w := &web{pages: map[string]string{
		"http://brindleandash.example/": `<title>Chimney sweep | Brindle &amp; Ash Chimney</title>
		<p>Call (207) 555-0142.<footer>12 Wharf Street, Tarn Harbor, ME 04999</footer>`}}
	a, _ := open(t, w)
	g, err := a.Quick(ctx, "brindleandash.example", "chimney sweep tarn harbor", "")
	require.NoError(t, err)
	ended(t, a, g.ID)
	p, err := a.Ground.Proposal(ctx, g.ID)
	require.NoError(t, err)
	assert.Equal(t, view.Proposal{Name: "Brindle & Ash Chimney", Trade: "chimney sweep", Phone: "(207) 555-0142",
		Place:   "Tarn Harbor, ME",
		Service: "chimney sweep"}, p)
	targets, err := a.Plan.Get(ctx, g.ID)
	require.NoError(t, err)
	assert.Equal(t, "Chimney sweep Tarn Harbor", partsOf(targets, plan.Subhead)[0].Pencil,
		"with the capitals of the place")
	draft := g.Business
	draft.Name, draft.Trade, draft.Phone = "Brindle", p.Trade, p.Phone
	draft.Services, draft.Places = []view.Service{{Name: p.Service}}, []view.Place{{Name: "Tarn Harbor", State: "ME"}}
	_, err = a.Ground.Save(ctx, g.ID, draft, nil)
	require.NoError(t, err)
	p, err = a.Ground.Proposal(ctx, g.ID)
	require.NoError(t, err)
	assert.Equal(t, view.Proposal{}, p)
	_, err = a.Ground.Proposal(ctx, g.ID+1)
	assert.True(t, app.IsGone(err))
}

// A figure of the yardstick holds for the workspace or for one client, and what
// it decides follows on every screen.
func TestYardstick(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(500)}}
	a, _ := open(t, w)
	client, home := newClient(t, a, sweep, "")
	other, _ := newClient(t, a, sweep, "")
	measured(t, a, client)
	toWrite := func() (int, int) {
		s, err := a.Sheet.Get(ctx, client, home)
		require.NoError(t, err)
		rows, err := a.Shelf.List(ctx)
		require.NoError(t, err)
		for _, r := range rows {
			if r.ID == client {
				return s.Target.Words.ToWrite, *r.ToWrite
			}
		}
		return 0, 0
	}
	same := func(want int) {
		t.Helper()
		sheet, shelf := toWrite()
		assert.Equal(t, []int{want, want}, []int{sheet, shelf})
	}
	same(1000)
	change := func(id int64, value string) {
		t.Helper()
		_, err := a.Yardstick.Change(ctx, id, map[string]string{"words.home.low": value}, nil)
		require.NoError(t, err)
	}
	change(0, "1200")
	same(700)
	change(client, "900")
	same(400)
	change(client, "")
	same(700)
	change(other, "1000")
	same(700)
	_, err := a.Yardstick.Change(ctx, client, map[string]string{"words.home.low": "800", "words.home.high": "-3"}, nil)
	fails(t, err, yardstick.FigureOutOfRange.Code)
	same(700)
	figures, err := a.Yardstick.Figures(ctx, other)
	require.NoError(t, err)
	for _, f := range figures {
		if f.Key == "words.home.low" {
			assert.Equal(t, []string{"1000", "1200"}, []string{f.Value, f.Default})
		}
	}
	_, err = a.Yardstick.Figures(ctx, other+9)
	assert.True(t, app.IsGone(err))
}

// Two who change a client at once: what only one of them changed stands, and where both
// changed one thing the later one is told both, and nothing of the first is lost.
func TestTwoChangeAClient(t *testing.T) {
	a, _ := open(t, &web{pages: map[string]string{}})
	client, _ := newClient(t, a, careful, "")
	was, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	first, second := was.Business, was.Business
	first.Phone, first.Trade = "207-555-0101", "sweeping"
	first.Services = append(slices.Clone(first.Services), view.Service{Name: "masonry repair"})
	_, err = a.Ground.Save(ctx, client, first, &was.Business)
	require.NoError(t, err)
	second.Trade, second.Money = "hearths", "€"
	_, err = a.Ground.Save(ctx, client, second, &was.Business)
	fails(t, err, merge.ChangedElsewhere.Code)
	assert.Contains(t, fmt.Sprint(err), "sweeping")
	assert.Contains(t, fmt.Sprint(err), "hearths")
	now, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, "sweeping", now.Trade)
	assert.Empty(t, now.Money, "all of it or nothing")

	second.Trade = was.Trade
	now, err = a.Ground.Save(ctx, client, second, &was.Business)
	require.NoError(t, err)
	assert.Equal(t, []any{"sweeping", "207-555-0101", "€", 3},
		[]any{now.Trade, now.Phone, now.Money, len(now.Services)})
	again := now.Business
	again.Trade = "hearths"
	now, err = a.Ground.Save(ctx, client, again, &now.Business)
	require.NoError(t, err)
	assert.Equal(t, "hearths", now.Trade, "who has seen the other one may change it")
}
