package app_test

import (
	"fmt"
	"slices"
	"testing"

	"inktally/core/fault"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/internal/app/ground"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A near miss is within reach, and its page lacks the very words.
func TestNearMiss(t *testing.T) {
	w := &web{pages: map[string]string{
		"http://brindle.example/": "<title>Sweeps</title><p>A chimney sweep for Tarn Harbor. Masonry repair Tarn " +
			"Harbor."}}
	a, _ := open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, _ := newClient(t, a, b, "")
	_, err := a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,position\nchimney sweep tarn harbor,14\nbest chimney cleaning tarn harbor,40\ndryer vent "+
			"cleaning ostrey,12\n"), nil, "", "")
	require.NoError(t, err)
	near := func(lead string) bool { return bookOf(t, a, client)[lead].NearMiss }
	assert.True(t, near("chimney sweep tarn harbor"), "not read yet")
	assert.True(t, near("dryer vent cleaning ostrey"), "its page is to be made")
	assert.False(t, near("best chimney cleaning tarn harbor"), "out of reach")
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	assert.True(t, near("chimney sweep tarn harbor"), "it only stands there loosely")
	w.set("http://brindle.example/", "<title>Chimney sweep Tarn Harbor</title><p>Here.")
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	assert.False(t, near("chimney sweep tarn harbor"), "it stands in the title")
}

// What an address does not tell, title and h1 may: it is proposed, not taken.
func TestPageSeems(t *testing.T) {
	const address = "http://brindle.example/p/17"
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Sweeps</title>",
		address: "<title>Dryer vent cleaning in Ostrey</title><h1>Dryer vents cleaned</h1>"}}
	a, _ := open(t, w)
	b := careful
	b.Name, b.HomePage = "Brindle Chimney", "brindle.example"
	client, _ := newClient(t, a, b, "")
	p, err := a.Ground.AddPage(ctx, client, view.PageDraft{URL: address})
	require.NoError(t, err)
	assert.Equal(t, view.PageKind(site.Other), p.Kind)
	shown := func() view.PageInfo {
		g, err := a.Ground.Get(ctx, client)
		require.NoError(t, err)
		return g.Pages[1]
	}
	assert.Nil(t, shown().Seems, "not read yet")
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	seems := shown().Seems
	require.NotNil(t, seems)
	assert.Equal(t, view.PageDraft{Kind: view.OptionalKind(site.Area), Service: "dryer vent cleaning", Place: "Ostrey"},
		*seems)
	_, err = a.Ground.UpdatePage(ctx, client, p.ID,
		view.PageDraft{URL: address, Kind: seems.Kind, Service: seems.Service, Place: seems.Place}, nil)
	require.NoError(t, err)
	assert.Nil(t, shown().Seems, "said by now")

	w.set(address, "<title>What we do | Brindle Chimney</title><h1>Our work</h1>")
	_, err = a.Ground.UpdatePage(ctx, client, p.ID, view.PageDraft{URL: address, Kind: view.OptionalKind(site.Other)},
		nil)
	require.NoError(t, err)
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	assert.Nil(t, shown().Seems, "the firm's name tells nothing of a page")
}

// A page is told by its address; two pages for one family are a conflict; one
// that is there takes its families on its sheet.
func TestPages(t *testing.T) {
	a, _ := open(t, &web{})
	b := careful
	b.HomePage = "brindle.example"
	client, _ := newClient(t, a, b, "")
	_, err := a.Book.AddPhrases(ctx, client,
		[]string{"dryer vent cleaning tarn harbor", "dryer vent cleaning near me", "chimney sweep ostrey"})
	require.NoError(t, err)
	assert.Equal(t, int64(0), bookOf(t, a, client)["dryer vent cleaning near me"].PageID)
	planned, err := a.Ground.AddPage(ctx, client,
		view.PageDraft{Kind: view.OptionalKind(site.Service), Service: "dryer vent cleaning"})
	require.NoError(t, err)
	vents, err := a.Ground.AddPage(ctx, client, view.PageDraft{URL: "brindle.example/dryer-vent-cleaning/"})
	require.NoError(t, err)
	assert.Equal(t, planned.ID, vents.ID, "it is the one that was planned")
	assert.Equal(t, view.PageKind(site.Service), vents.Kind)
	assert.Equal(t, "dryer vent cleaning", vents.Service)
	row := bookOf(t, a, client)["dryer vent cleaning near me"]
	assert.Equal(t, vents.ID, row.PageID)
	assert.Empty(t, row.Conflict)
	other, err := a.Ground.AddPage(ctx, client,
		view.PageDraft{URL: "brindle.example/p/17", Kind: view.OptionalKind(site.Service),
			Service: "dryer vent cleaning"})
	require.NoError(t, err)
	assert.Equal(t, []int64{other.ID}, bookOf(t, a, client)["dryer vent cleaning near me"].Conflict)
	sheet, err := a.Sheet.Get(ctx, client, vents.ID)
	require.NoError(t, err)
	require.Len(t, sheet.Families, 1, "near me stands under the same need in the town")
	assert.Equal(t, "dryer vent cleaning tarn harbor", sheet.Families[0].Lead)
	assert.Equal(t, 500, sheet.Target.Words.Target)

	other, err = a.Ground.UpdatePage(ctx, client, other.ID,
		view.PageDraft{Kind: view.OptionalKind(site.Area), Place: "Ostrey"}, nil)
	require.NoError(t, err)
	assert.Empty(t, other.URL)
	assert.Equal(t, other.ID, bookOf(t, a, client)["chimney sweep ostrey"].PageID, "a page that is wished for")
	for _, bad := range []struct {
		code  fault.Code
		draft view.PageDraft
	}{
		{ground.PageThere.Code, view.PageDraft{URL: "http://brindle.example/dryer-vent-cleaning/"}},
		{ground.OneHomePage.Code, view.PageDraft{URL: "brindle.example/index.html"}},
		{ground.NoSuchService.Code, view.PageDraft{Kind: view.OptionalKind(site.Service), Service: "roofing"}},
		{ground.NoSuchPlace.Code, view.PageDraft{Kind: view.OptionalKind(site.Area), Place: "Nowhere"}},
		{ground.PageNeedsService.Code, view.PageDraft{URL: "brindle.example/x", Kind: view.OptionalKind(site.Service)}},
		{ground.PageNeedsPlace.Code, view.PageDraft{URL: "brindle.example/x", Kind: view.OptionalKind(site.Area),
			Place: "Tarn Harbor"}},
		{ground.PageNeedsAddress.Code, view.PageDraft{Kind: view.OptionalKind(site.About)}},
		{fetch.AddressNoDot.Code, view.PageDraft{URL: "shop"}},
	} {
		t.Run(string(bad.code), func(t *testing.T) {
			_, err := a.Ground.AddPage(ctx, client, bad.draft)
			fails(t, err, bad.code)
		})
	}
	g, err := a.Ground.Get(ctx, client)
	require.NoError(t, err)
	require.Len(t, g.Pages, 3)
	fails(t, a.Ground.RemovePage(ctx, client, g.Pages[0].ID), ground.HomePageStays.Code)
	renamed := b
	renamed.Services = []view.Service{b.Services[0], {Name: "vent cleaning", Words: []string{"dryer vent cleaning"}}}
	renamed.Places = []view.Place{b.Places[0], {Name: "West Ostrey"}}
	g, err = a.Ground.Save(ctx, client, renamed, nil)
	require.NoError(t, err)
	assert.Equal(t, []string{"", "vent cleaning", ""},
		[]string{g.Pages[0].Service, g.Pages[1].Service, g.Pages[2].Service},
		"a page keeps its service under its new name")
	assert.Equal(t, "West Ostrey", g.Pages[2].Place)
	g, err = a.Ground.Save(ctx, client, b, nil)
	require.NoError(t, err)
	assert.Equal(t, "dryer vent cleaning", g.Pages[1].Service)
	_, err = a.Plan.Choose(ctx, client, said(other.ID, "new_page", plan.Choice{State: plan.Kept}))
	require.NoError(t, err)
	require.NoError(t, a.Ground.RemovePage(ctx, client, other.ID))
	require.NoError(t, a.Ground.RestorePage(ctx, client, other.ID))
	targets, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	kept := slices.IndexFunc(targets.Targets, func(x view.Target) bool {
		return x.Page == fmt.Sprintf("p%d", other.ID) && x.Key == "new_page"
	})
	require.GreaterOrEqual(t, kept, 0)
	assert.Equal(t, view.TargetState(plan.Kept), targets.Targets[kept].Choice.State,
		"what was said of its targets came back")
	require.NoError(t, a.Ground.RemovePage(ctx, client, other.ID))
	assert.ErrorIs(t, a.Ground.RemovePage(ctx, client, other.ID), store.ErrNotFound)
}

// What is told of a site is of one moment, whatever is done to its pages meanwhile.
func TestSiteWhilePagesChange(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, careful, "")
	done := make(chan struct{})
	go func() {
		defer close(done)
		for i := range 150 {
			draft := view.PageDraft{Kind: "about", URL: fmt.Sprintf("http://brindle.example/%d", i)}
			p, err := a.Ground.AddPage(ctx, client, draft)
			if assert.NoError(t, err) {
				assert.NoError(t, a.Ground.RemovePage(ctx, client, p.ID))
			}
		}
	}()
	for {
		s, err := a.Ground.Site(ctx, client)
		require.NoError(t, err)
		for _, p := range s.Pages {
			assert.NotZero(t, p.ID)
		}
		select {
		case <-done:
			return
		default:
		}
	}
}
