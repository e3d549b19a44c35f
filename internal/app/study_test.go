package app_test

import (
	"database/sql"
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"sync"
	"testing"

	"inktally/core/gazetteer"
	"inktally/core/plan"
	"inktally/internal/app"
	"inktally/internal/app/phrasebook"
	"inktally/internal/app/targets"
	"inktally/internal/datafile"
	"inktally/internal/practice"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// surveyedOnce is a file with a client over the practice web whose site and rivals' sites were
// surveyed, and whose pages were read, made once for all tests.
var surveyedOnce = struct {
	sync.Mutex
	file   []byte
	client int64
}{}

// surveyedClient is such a client in a file of its own.
func surveyedClient(t *testing.T) (*app.App, int64) {
	t.Helper()
	surveyedOnce.Lock()
	defer surveyedOnce.Unlock()
	if surveyedOnce.file == nil {
		a, _, client := overPractice(t)
		surveyed(t, a, client)
		measured(t, a, client)
		_, err := a.Book.ImportList(ctx, client, "x.csv",
			[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\nchimney inspection tarn "+
				"harbor,90,5,30\nmasonry repair tarn harbor,70,5,\n"), nil, "", "town")
		require.NoError(t, err)
		copied := filepath.Join(t.TempDir(), "copy.db")
		require.NoError(t, datafile.Copy(ctx, a.Store().Path(), copied))
		surveyedOnce.file, err = os.ReadFile(copied)
		require.NoError(t, err)
		surveyedOnce.client = client
	}
	path := filepath.Join(t.TempDir(), "a.db")
	require.NoError(t, os.WriteFile(path, surveyedOnce.file, 0o600))
	web, err := practice.Start()
	require.NoError(t, err)
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: web.Fetcher(), Search: source.Search{URL: web.SearchURL()}})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
		_ = web.Close()
	})
	return a, surveyedOnce.client
}

// A dropped part costs a few statements and one plan, also of a page to make; other views of
// the client are as they were.
func TestWhatADroppedPartCosts(t *testing.T) {
	a, client := surveyedClient(t)
	db := a.Store()
	p, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	home := p.Pages[0]
	_, err = a.Sheet.Get(ctx, client, home.Page.ID)
	require.NoError(t, err)
	for _, page := range []string{home.Key, "service: masonry repair"} {
		at := partOf(t, p, page)
		made := a.Studies.Made()
		plans, columns, trees, statements := made.Plans.Load(), made.Columns.Load(), made.Trees.Load(), db.Statements()
		list, err := a.Plan.Choose(ctx, client,
			[]targets.Said{{Page: page, Key: at.Key, Choice: plan.Choice{State: plan.Dropped, Reason: "no"}}})
		require.NoError(t, err)
		assert.LessOrEqual(t, db.Statements()-statements, int64(12), page)
		assert.Equal(t, int64(1), made.Plans.Load()-plans, page)
		assert.Equal(t, columns, made.Columns.Load(), "nothing is measured again")
		assert.Equal(t, trees, made.Trees.Load(), "nothing is judged again")
		assert.EqualValues(t, plan.Dropped, partOf(t, list, page).Choice.State)
		statements = db.Statements()
		_, err = a.Sheet.Get(ctx, client, home.Page.ID)
		require.NoError(t, err)
		assert.Equal(t, int64(1), db.Statements()-statements, "the study at hand is asked whether it holds")
	}
}

// partOf returns the title's part of a page's targets.
func partOf(t *testing.T, p *view.Plan, page string) view.Part {
	t.Helper()
	for _, x := range p.Targets {
		for _, part := range x.Parts {
			if x.Page == page && part.Kind == view.PartKind(plan.Title) {
				return part
			}
		}
	}
	require.FailNow(t, "no title is wanted", page)
	return view.Part{}
}

// However many ask for whatever view at once, a client is studied and measured once.
func TestManyShareAStudy(t *testing.T) {
	a, client := surveyedClient(t)
	g, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	_, err = a.Ground.AddPage(ctx, client, view.PageDraft{Kind: "service", Service: "masonry repair"})
	require.NoError(t, err)
	made := a.Studies.Made()
	studies, plans, trees := made.Studies.Load(), made.Plans.Load(), made.Trees.Load()
	var all sync.WaitGroup
	for range 8 {
		for _, ask := range []func() error{
			func() error { _, err := a.Plan.Get(ctx, client); return err },
			func() error { _, err := a.Sheet.Get(ctx, client, g.Pages[0].ID); return err },
			func() error { _, err := a.Sheet.Overview(ctx, client); return err },
			func() error { _, err := a.Book.Get(ctx, client); return err },
			func() error { _, err := a.Ground.Site(ctx, client); return err },
			func() error { _, err := a.Lineup.Get(ctx, client, 0); return err },
			func() error { _, err := a.Plan.Images(ctx, client); return err },
			func() error { _, err := a.Shelf.List(ctx); return err },
		} {
			all.Go(func() { assert.NoError(t, ask()) })
		}
	}
	all.Wait()
	assert.Equal(t, int64(1), made.Studies.Load()-studies)
	assert.LessOrEqual(t, made.Plans.Load()-plans, int64(2), "that of now, and that of before its pages were read last")
	assert.Equal(t, trees, made.Trees.Load(), "a planned page changes no judgement of what was found")
}

// Many who ask a program that has studied nothing yet wait for one another, and never for a
// connection that one of them holds.
func TestManyAskAtOnceAfterAStart(t *testing.T) {
	a, client := surveyedClient(t)
	var all sync.WaitGroup
	for range 64 {
		all.Go(func() {
			_, err := a.Ground.Site(ctx, client)
			assert.NoError(t, err)
		})
	}
	all.Wait()
	assert.Equal(t, int64(1), a.Studies.Made().Studies.Load())
}

// What pages are for, and all that is worked out, is the same in whatever order things were
// told: nothing that was judged before an edit outlives it.
func TestEditsReachWhatWasJudged(t *testing.T) {
	edits := []struct {
		name  string
		shows bool // that something is judged otherwise
		edit  func(a *app.App, client int64) error
	}{
		{"acts", true, func(a *app.App, client int64) error {
			lists, err := a.Book.Lists(ctx, client)
			if err != nil {
				return err
			}
			lists.Acts = []string{"inspecting"}
			_, err = a.Book.SaveLists(ctx, client, &lists.Lists, nil)
			return err
		}},
		{"the distance of communities", false, func(a *app.App, client int64) error {
			_, err := a.Yardstick.Change(ctx, client, map[string]string{"book.community_km": "1"}, nil)
			return err
		}},
		{"services", true, func(a *app.App, client int64) error {
			b := chimney
			b.Services = b.Services[1:]
			_, err := a.Ground.Save(ctx, client, b, nil)
			return err
		}},
		{"words tied", false, func(a *app.App, client int64) error {
			_, err := a.Book.TieWords(ctx, client,
				[]phrasebook.Tied{{Word: "sweep", Means: "sweep"}, {Word: "masonry", Means: "dryer"}})
			return err
		}},
		{"a separated phrase", false, func(a *app.App, client int64) error {
			if _, err := a.Book.AddPhrases(ctx, client,
				[]string{"chimney sweep tarn harbor", "tarn harbor chimney sweep"}); err != nil {
				return err
			}
			_, err := a.Book.PlacePhrases(ctx, client, []string{"tarn harbor chimney sweep"},
				"tarn harbor chimney sweep")
			return err
		}},
	}
	first, _, early := overPractice(t)
	after, _, client := overPractice(t)
	surveyed(t, after, client)
	for _, e := range edits {
		before := judgedAs(t, after, client)
		require.NoError(t, e.edit(after, client), e.name)
		require.NoError(t, e.edit(first, early), e.name)
		is := judgedAs(t, after, client)
		fresh, err := (&study.Studies{DB: after.Store(), Pages: after.Readings}).Of(ctx, client)
		require.NoError(t, err)
		kept, err := after.Studies.Of(ctx, client)
		require.NoError(t, err)
		for _, domain := range fresh.Surveyed() {
			now, err := fresh.Tree(ctx, domain)
			require.NoError(t, err)
			was, err := kept.Tree(ctx, domain)
			require.NoError(t, err)
			assert.Equal(t, now, was, "%s after %s", domain, e.name)
		}
		if e.shows {
			assert.NotEqual(t, before, is, "or %s show nothing", e.name)
		}
	}
	surveyed(t, first, early)
	assert.JSONEq(t, judgedAs(t, first, early), judgedAs(t, after, client))
}

// judgedAs returns what is worked out of a client's site and its rivals', without ids and days.
func judgedAs(t *testing.T, a *app.App, client int64) string {
	t.Helper()
	s, err := a.Ground.Site(ctx, client)
	require.NoError(t, err)
	s.SurveyedAt = nil
	for i := range s.Pages {
		s.Pages[i].ID = 0
	}
	for i := range s.Rivals {
		s.Rivals[i].SurveyedAt, s.Rivals[i].EntryID = nil, 0
	}
	raw, err := json.Marshal(s)
	require.NoError(t, err)
	return string(raw)
}

// When a reading is deleted that is not the newest of all, what was judged by it follows.
func TestDeletedReadingIsForgotten(t *testing.T) {
	w := &web{pages: map[string]string{
		"http://brindle.example/":  `<title>Brindle</title><a href="/a">A</a><a href="/b">B</a>`,
		"http://brindle.example/a": "<title>About us</title>" + words(30),
		"http://brindle.example/b": "<title>Other</title>" + words(30)}}
	a, _ := open(t, w)
	client, _ := newClient(t, a, sweep, "")
	surveyed(t, a, client)
	titles := func() (out []string) {
		s, err := a.Ground.Site(ctx, client)
		require.NoError(t, err)
		for _, p := range s.Pages {
			out = append(out, p.Title)
		}
		return out
	}
	before := titles()
	g, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	var added view.Filed
	for i, p := range []int{1, 2} { // the one that is deleted is not the newest
		filed, err := a.Readings.Paste(ctx, client, g.Pages[p].ID, 0,
			fmt.Sprintf("<title>Pasted %d</title><p>%s", i, words(40)))
		require.NoError(t, err)
		if i == 0 {
			added = filed
		}
	}
	assert.Contains(t, titles(), "Pasted 0")
	require.NoError(t, a.Readings.Remove(ctx, client, added.ReadingID))
	assert.Equal(t, []string{before[0], before[1], "Pasted 1"}, titles())
}

// older makes the readings of a file those of an older program.
func older(t *testing.T, path string) {
	raw, err := sql.Open("sqlite", "file:"+path)
	require.NoError(t, err)
	_, err = raw.Exec(`UPDATE readings SET rules = rules - 1, seen = 7; UPDATE readings SET page_id = NULL`)
	require.NoError(t, err)
	require.NoError(t, raw.Close())
}

// What an older program kept of pages is read by today's rules behind the scenes, and what is
// asked meanwhile is by today's already.
func TestCatchesUpWithTodaysRules(t *testing.T) {
	path := filepath.Join(t.TempDir(), "a.db")
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Brindle</title>" + words(30)}}
	db, err := store.Open(ctx, path)
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	client, home := newClient(t, a, sweep, "")
	measured(t, a, client)
	a.Close()
	older(t, path)
	a, err = app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, 30, s.Columns[0].Words.Seen)
	a.CaughtUp()
	require.NoError(t, db.Read(ctx, func(tx *store.Tx) error {
		stale, err := tx.StaleReadings()
		assert.Empty(t, stale)
		latest, latestErr := tx.LatestReadings(client)
		assert.Equal(t, 30, latest["http://brindle.example/"].Facts.Words.Seen)
		require.NoError(t, latestErr)
		return err
	}))
	a.Close()
	require.NoError(t, db.Close())
}

// The towns of the gazetteer, and how far communities are, decide what pages of a site are for:
// also where they are edited after its survey.
func TestTownsReachWhatWasJudged(t *testing.T) {
	w := &web{pages: map[string]string{
		"http://brindle.example/": `<title>Brindle</title><a href="/towns/marlow-end">Marlow End</a>`,
		"http://brindle.example/towns/marlow-end": "<title>Chimney sweep in Marlow End</title><h1>Chimney sweep in " +
			"Marlow End</h1>" + words(30)}}
	a, _ := open(t, w)
	client, _ := newClient(t, a, sweep, "")
	towns := []gazetteer.Town{{Name: "Tarn Harbor", Country: "US", State: "ME", Lat: 44, Lon: -69, Size: 4000}}
	require.NoError(t, a.Ground.AddTowns(ctx, towns))
	surveyed(t, a, client)
	place := func() string {
		s, err := a.Ground.Site(ctx, client)
		require.NoError(t, err)
		return s.Pages[1].Place
	}
	assert.Empty(t, place(), "nobody knows that town")
	require.NoError(t, a.Ground.AddTowns(ctx,
		[]gazetteer.Town{{Name: "Marlow End", Country: "US", State: "ME", Lat: 44.5, Lon: -69, Size: 900}}))
	assert.Equal(t, "Marlow End", place())
	_, err := a.Yardstick.Change(ctx, client, map[string]string{"book.community_km": "5"}, nil)
	require.NoError(t, err)
	assert.Empty(t, place(), "it is too far now")
}
