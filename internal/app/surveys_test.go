package app_test

import (
	"context"
	"slices"
	"sync"
	"testing"

	"inktally/core/site"
	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/practice"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// counting counts what is asked of a web.
type counting struct {
	*fetch.Fetcher
	mu    sync.Mutex
	asked map[string]int
	// stop is called before a page is asked for the first time.
	stop func(address string)
}

func (c *counting) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	c.mu.Lock()
	c.asked[r.Address]++
	stop := c.stop
	c.mu.Unlock()
	if stop != nil {
		stop(r.Address)
	}
	if err := ctx.Err(); err != nil {
		return fetch.Document{}, context.Canceled
	}
	return c.Fetcher.Get(ctx, r)
}

var chimney = view.Business{Name: "Brindle & Ash Chimney", HomePage: "brindleandash.example",
	Services: []view.Service{{Name: "chimney sweep", Words: []string{"chimney cleaning"}}, {Name: "chimney inspection"},
		{Name: "flue liner installation", Words: []string{"chimney liner"}},
		{Name: "masonry repair", Words: []string{"chimney repair"}},
		{Name: "dryer vent cleaning"}, {Name: "wood stove installation"}, {Name: "chimney cap fitting"}},
	Places: []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "North Tarn"}, {Name: "Pell Crossing"},
		{Name: "Ostrey"}, {Name: "Quillby"}},
	Phrases: []string{"chimney sweep tarn harbor"}}

// overPractice returns an app over the practice web with a client whose lineup is recorded.
func overPractice(t *testing.T) (*app.App, *counting, int64) {
	t.Helper()
	web, err := practice.Start()
	require.NoError(t, err)
	t.Cleanup(func() { _ = web.Close() })
	db, err := store.Open(ctx, emptyFile(t))
	require.NoError(t, err)
	pages := &counting{Fetcher: web.Fetcher(), asked: map[string]int{}}
	a, err := app.New(ctx, app.Options{DB: db, Web: pages, Search: source.Search{URL: web.SearchURL()}})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	towns, err := practice.Towns()
	require.NoError(t, err)
	require.NoError(t, a.Ground.AddTowns(ctx, towns))
	g, err := a.Ground.New(ctx, chimney)
	require.NoError(t, err)
	_, err = a.Lineup.Record(ctx, g.ID, chimney.Phrases[0])
	require.NoError(t, err)
	return a, pages, g.ID
}

func surveyed(t *testing.T, a *app.App, client int64) {
	t.Helper()
	_, err := a.Runs.Survey(ctx, client)
	require.NoError(t, err)
	run := ended(t, a, client)
	if run.Failed > 0 { // one site of the practice web fails the first time
		_, err = a.Runs.Resume(ctx, client, run.ID)
		require.NoError(t, err)
		run = ended(t, a, client)
	}
	require.Equal(t, "done", run.State)
	require.Zero(t, run.Failed, "%+v", run.Items)
}

func pageWith(t *testing.T, pages []view.SitePage, url string) view.SitePage {
	t.Helper()
	i := slices.IndexFunc(pages, func(p view.SitePage) bool { return p.URL == "http://brindleandash.example/"+url })
	require.GreaterOrEqual(t, i, 0, url)
	return pages[i]
}

// A survey makes the client's pages; what a person says of them afterwards, and what a
// person removes, holds through the next one.
func TestSurveyMakesPages(t *testing.T) {
	a, _, client := overPractice(t)
	surveyed(t, a, client)
	s, err := a.Ground.Site(ctx, client)
	require.NoError(t, err)
	require.NotNil(t, s.SurveyedAt)
	assert.Nil(t, s.Failure)
	require.Len(t, s.Pages, 7)
	area := pageWith(t, s.Pages, "pell-crossing.html")
	assert.Equal(t, "Pell Crossing", area.Place)
	assert.Equal(t, view.PageKind(site.Area), area.Kind)
	assert.Positive(t, *area.Own)
	assert.Less(t, *area.Own, *area.Words)
	assert.Equal(t, view.PageKind(site.Other), pageWith(t, s.Pages, "index.html").Kind, "a second copy gets no targets")
	var made []string
	for _, m := range s.ToMake {
		made = append(made, m.Service+m.Place)
		assert.Equal(t, 4, m.Known)
	}
	assert.Subset(t, made, []string{"chimney inspection", "flue liner installation", "masonry repair",
		"dryer vent cleaning", "wood stove installation", "chimney cap fitting", "Ostrey"})
	assert.NotContains(t, made, "Pell Crossing")

	about := pageWith(t, s.Pages, "about.html")
	_, err = a.Ground.UpdatePage(ctx, client, about.ID,
		view.PageDraft{URL: about.URL, Kind: "service", Service: "masonry repair"}, nil)
	require.NoError(t, err)
	require.NoError(t, a.Ground.RemovePage(ctx, client, pageWith(t, s.Pages, "gallery.html").ID))
	surveyed(t, a, client)
	s, err = a.Ground.Site(ctx, client)
	require.NoError(t, err)
	require.Len(t, s.Pages, 6)
	about = pageWith(t, s.Pages, "about.html")
	assert.Equal(t, "masonry repair", about.Service)
	assert.True(t, about.ByHand)
	assert.Equal(t, "set by you", about.Reason)
	for _, m := range s.ToMake {
		assert.NotEqual(t, "masonry repair", m.Service)
	}
}

// A survey that is stopped goes on where it was: what it read is not asked for again.
func TestSurveyGoesOn(t *testing.T) {
	a, web, client := overPractice(t)
	run, err := a.Runs.Survey(ctx, client)
	require.NoError(t, err)
	id := run.ID
	var once sync.Once
	web.mu.Lock()
	web.stop = func(address string) {
		if address == "http://brindleandash.example/contact.html" {
			once.Do(func() { _, _ = a.Runs.Stop(ctx, client, id) })
		}
	}
	web.mu.Unlock()
	run = ended(t, a, client)
	require.Equal(t, "stopped", run.State)
	s, err := a.Ground.Site(ctx, client)
	require.NoError(t, err)
	assert.Nil(t, s.SurveyedAt, "half a survey tells nothing")

	web.mu.Lock()
	before := web.asked["http://brindleandash.example/services.html"]
	web.stop = nil
	web.mu.Unlock()
	for range 2 {
		_, err = a.Runs.Resume(ctx, client, id)
		require.NoError(t, err)
		run = ended(t, a, client)
	}
	require.Equal(t, "done", run.State)
	s, err = a.Ground.Site(ctx, client)
	require.NoError(t, err)
	assert.Len(t, s.Pages, 7)
	if before > 0 {
		assert.Equal(t, before, web.asked["http://brindleandash.example/services.html"])
	}
}

// The comparable page of each rival stands beside a page of the client; a person may
// point to another, or say that there is none.
func TestPagesBeside(t *testing.T) {
	a, _, client := overPractice(t)
	surveyed(t, a, client)
	p, err := a.Ground.AddPage(ctx, client, view.PageDraft{Kind: "service", Service: "masonry repair"})
	require.NoError(t, err)
	beside := func() map[string]string {
		list, err := a.Ground.BesidePages(ctx, client, p.ID)
		require.NoError(t, err)
		out := map[string]string{}
		for _, b := range list {
			out[b.Domain] = ""
			if b.Page != nil {
				out[b.Domain] = b.Page.URL
			}
		}
		return out
	}
	assert.Equal(t, map[string]string{"harborflue.example": "http://harborflue.example/masonry/",
		"oldsaltbox.example": "http://oldsaltbox.example/masonry-repair.htm",
		"thchimney.example":  "", "lanternsweeps.example": ""}, beside())
	sheet, err := a.Sheet.Get(ctx, client, p.ID)
	require.NoError(t, err)
	assert.False(t, sheet.Columns[1].None)
	assert.Positive(t, sheet.Columns[1].Words.Seen)
	assert.True(t, sheet.Columns[3].None)
	assert.Equal(t, "for the same service", sheet.Columns[2].Like)

	none, other := "", "harborflue.example/flue-liners/"
	require.NoError(t, a.Ground.ChooseBeside(ctx, client, p.ID, sheet.Columns[2].EntryID, &none))
	require.NoError(t, a.Ground.ChooseBeside(ctx, client, p.ID, sheet.Columns[1].EntryID, &other))
	got := beside()
	assert.Equal(t, "http://harborflue.example/flue-liners/", got["harborflue.example"])
	assert.Empty(t, got["oldsaltbox.example"])
	require.NoError(t, a.Ground.ChooseBeside(ctx, client, p.ID, sheet.Columns[2].EntryID, nil))
	assert.NotEmpty(t, beside()["oldsaltbox.example"])
	bad := "two words"
	assertTold(t, a.Ground.ChooseBeside(ctx, client, p.ID, sheet.Columns[2].EntryID, &bad))
}

// The overview has a row for each page, those to make too, with what each has to beat.
func TestOverview(t *testing.T) {
	a, _, client := overPractice(t)
	surveyed(t, a, client)
	o, err := a.Sheet.Overview(ctx, client)
	require.NoError(t, err)
	rows := map[string]view.OverviewRow{}
	for _, r := range o.Rows {
		rows[string(r.Kind)+" "+r.Service+r.Place+r.URL] = r
	}
	home := rows["home http://brindleandash.example/"]
	assert.Equal(t, 545, *home.Words)
	assert.Equal(t, 1455, *home.ToWrite)
	assert.Equal(t, "Harbor Flue & Hearth", home.Strongest.Name)
	assert.NotEmpty(t, home.Findings)
	masonry := rows["service masonry repair"]
	assert.Zero(t, masonry.ID)
	assert.Nil(t, masonry.Words)
	assert.Positive(t, *masonry.ToWrite)
	assert.Equal(t, []int{2, 4}, []int{masonry.Have, masonry.Known})
	assert.Positive(t, masonry.Strongest.Words)
	require.Len(t, o.Rivals, 4)
	assert.Equal(t, view.SiteSize{Name: "Harbor Flue & Hearth", Pages: 16, Services: 6, Areas: 4}, o.Rivals[0])
}

// Whoever asks for a site while others do, its pages are made once.
func TestPagesAreMadeOnce(t *testing.T) {
	a, _, client := overPractice(t)
	surveyed(t, a, client)
	home, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	for _, p := range home.Pages {
		if p.Kind != "home" {
			require.NoError(t, a.Ground.RemovePage(ctx, client, p.ID))
		}
	}
	for _, p := range home.Pages {
		if p.Kind != "home" {
			require.NoError(t, a.Ground.RestorePage(ctx, client, p.ID))
		}
	}
	var all sync.WaitGroup
	for i := range 8 {
		all.Go(func() {
			b := chimney
			b.Services = chimney.Services[:1+i%3] // what the pages are judged by changes all the time
			_, err := a.Ground.Save(ctx, client, b, nil)
			assert.NoError(t, err)
			_, err = a.Ground.Site(ctx, client)
			assert.NoError(t, err)
		})
	}
	all.Wait()
	s, err := a.Ground.Site(ctx, client)
	require.NoError(t, err)
	assert.Len(t, s.Pages, 7)
}
