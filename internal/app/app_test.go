package app_test

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/reading"
	"inktally/internal/app"
	"inktally/internal/app/lineups"
	"inktally/internal/app/readings"
	"inktally/internal/app/runs"
	"inktally/internal/app/targets"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestGroundIsCleaned(t *testing.T) {
	a, _ := open(t, &web{})
	g, err := a.Ground.New(ctx, view.Business{
		HomePage: " Brindle.Example ", Phrases: []string{" a  b ", "A B", "", "c"},
		Places: []view.Place{{Name: " Ostrey "}, {}}})
	require.NoError(t, err)
	assert.Equal(t, "brindle.example", g.Name)
	assert.Equal(t, "http://brindle.example/", g.HomePage)
	assert.Equal(t, []string{"a b", "c"}, g.Phrases)
	assert.Equal(t, []view.Place{{Name: "Ostrey", Home: true}}, g.Places)
	for _, b := range []view.Business{{}, {HomePage: "file:///x"}, {Name: "x", Phrases: []string{"!!"}},
		{Name: "x", Services: []view.Service{{Name: strings.Repeat("x", 300)}}},
		{Name: "x", Places: []view.Place{{Name: "-"}}}} {
		_, err := a.Ground.New(ctx, b)
		assertTold(t, err)
		_, err = a.Ground.Save(ctx, g.ID, b, nil)
		assertTold(t, err)
	}
	kept, err := a.Ground.Get(ctx, g.ID)
	require.NoError(t, err)
	assert.Equal(t, g, kept, "nothing is lost by what cannot be saved")
}

func TestRunSurvivesFailingPages(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(545), "http://one.example/": words(1720)}}
	a, _ := open(t, w)
	client, p := newClient(t, a, sweep, "one.example, two.example\nthree.example")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	r := ended(t, a, client)
	assert.Equal(t, 2, r.Done)
	assert.Equal(t, 2, r.Failed)
	assert.Equal(t, view.FaultCode(fetch.NoSuchSite.Code), r.Items[2].Failure.Code)
	s, err := a.Sheet.Get(ctx, client, p)
	require.NoError(t, err)
	require.Len(t, s.Columns, 4)
	assert.Equal(t, r.Items[2].Failure, s.Columns[2].Failure)
	assert.Equal(t, 2000, s.Target.Words.Target)
	assert.Equal(t, 1, s.Target.MarkOf)

	w.set("http://two.example/", "\x00\x00\x00\x00binary")
	w.set("http://three.example/", words(10))
	_, err = a.Runs.Resume(ctx, client, r.ID)
	require.NoError(t, err)
	r = ended(t, a, client)
	assert.Equal(t, 3, r.Done)
	assert.Equal(t, view.FaultCode(readings.FileNotAPage.Code), r.Items[2].Failure.Code)
	_, err = a.Runs.Resume(ctx, client+1, r.ID)
	assert.ErrorIs(t, err, store.ErrNotFound, "another client's run")
}

// A page is read with its style sheets, and so it is when it is read again
// from what was kept.
func TestSheetsAreKept(t *testing.T) {
	w := &web{pages: map[string]string{
		"http://brindle.example/":      `<link rel=stylesheet href=a.css><p>seen words<p class=x>three hidden words`,
		"http://brindle.example/a.css": `.x{display:none}`,
	}}
	a, db := open(t, w)
	client, pageID := newClient(t, a, sweep, "")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	again, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	defer again.Close()
	for _, x := range []*app.App{a, again} {
		s, err := x.Sheet.Get(ctx, client, pageID)
		require.NoError(t, err)
		assert.Equal(t, view.Words{Seen: 2, Copy: 2, Hidden: 3}, s.Columns[0].Words)
		assert.Empty(t, s.Columns[0].Warnings)
	}
}

// What a site asks of programs can be ignored for one page, and the reading says
// so.
func TestIgnoreRobots(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(5), "http://one.example/unwelcome": words(7)}}
	a, _ := open(t, w)
	client, p := newClient(t, a, sweep, "one.example/unwelcome")
	run, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, view.FaultCode(fetch.RobotsRefuse.Code), ended(t, a, client).Items[1].Failure.Code)
	_, err = a.Runs.IgnoreRobots(ctx, client, run.ID, "http://one.example/unwelcome")
	require.NoError(t, err)
	assert.Equal(t, 2, ended(t, a, client).Done)
	s, err := a.Sheet.Get(ctx, client, p)
	require.NoError(t, err)
	assert.True(t, s.Columns[1].RobotsIgnored)
	assert.Equal(t, 7, s.Columns[1].Words.Seen)
}

func TestStopAndGoOn(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(5), "http://one.example/held": words(7)},
		held: make(chan struct{})}
	a, _ := open(t, w)
	client, p := newClient(t, a, sweep, "one.example/held")
	run, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	_, err = a.Runs.Measure(ctx, client)
	fails(t, err, runs.RunUnderWay.Code)
	require.Eventually(t, func() bool {
		r, _ := a.Runs.Last(ctx, client)
		return r.Done == 1
	}, 30*time.Second, time.Millisecond)
	_, err = a.Runs.Stop(ctx, client, run.ID)
	require.NoError(t, err)
	r := ended(t, a, client)
	assert.Equal(t, "stopped", r.State)
	assert.Equal(t, "waiting", r.Items[1].State)
	close(w.held)
	_, err = a.Runs.Resume(ctx, client, run.ID)
	require.NoError(t, err)
	assert.Equal(t, "done", ended(t, a, client).State)
	s, err := a.Sheet.Get(ctx, client, p)
	require.NoError(t, err)
	assert.Equal(t, 7, s.Columns[1].Words.Seen)
}

func TestChoicesSurviveMeasuringAgain(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title>" + words(5)}}
	a, _ := open(t, w)
	client, p := newClient(t, a, sweep, "")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	const key = "title: chimney harbor sweep tarn"
	_, err = a.Plan.Choose(ctx, client, said(p, key, plan.Choice{State: plan.Changed}))
	fails(t, err, targets.ChangeNeedsValue.Code)
	_, err = a.Plan.Choose(ctx, client, said(p, key, plan.Choice{State: plan.Dropped}))
	require.NoError(t, err)
	w.set("http://brindle.example/", "<title>Start</title>"+words(9))
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	list, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	dropped := partsOf(list, plan.Title)[0]
	assert.Equal(t, key, dropped.Key)
	assert.Equal(t, view.TargetState(plan.Dropped), dropped.Choice.State)
	assert.Contains(t, dropped.Note, "“Start”")
	placing := list.Targets[0]
	sum := 0.0
	for _, p := range placing.Parts {
		if p.Choice.State != view.TargetState(plan.Dropped) {
			sum += p.Gain
		}
	}
	assert.InDelta(t, sum, placing.Gain, 1e-9, "without what was dropped")
	_, err = a.Plan.Choose(ctx, client,
		said(p, placing.Key, plan.Choice{State: plan.Dropped, Reason: "the owner does it"}))
	require.NoError(t, err)
	list, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	last := list.Targets[len(list.Targets)-1]
	assert.Equal(t, placing.Key, last.Key, "what was dropped stands last")
	assert.Equal(t, "the owner does it", last.Choice.Reason)
	assert.Error(t, a.Ground.SetHours(ctx, client, -1, nil))
	require.NoError(t, a.Ground.SetHours(ctx, client, 0, nil))
	list, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Zero(t, list.Fit)
	assert.Positive(t, list.Needs, "what the first needs")
}

// Without a page there still are targets, and a pasted page makes real ones.
func TestClientWithoutSite(t *testing.T) {
	a, _ := open(t, &web{})
	client, p := newClient(t, a, view.Business{Name: "Lowtide", Phrases: sweep.Phrases}, "")
	_, err := a.Runs.Measure(ctx, client)
	fails(t, err, runs.NothingToRead.Code)
	list, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, view.TargetKind(plan.NewPage), list.Targets[0].Kind)
	assert.Contains(t, list.Targets[0].Before, "Create this page with ")
	written := 0
	for _, x := range list.Targets {
		written += x.Words
	}
	assert.Equal(t, 1500, written)
	assert.Contains(t, briefOf(t, a, client, p), "Title: use **Chimney sweep tarn harbor")

	for _, bad := range []string{"  ", strings.Repeat("x", fetch.MaxBody+1)} {
		_, err = a.Readings.Paste(ctx, client, p, 0, bad)
		assert.Error(t, err)
	}
	_, err = a.Readings.Paste(ctx, client, p, 0, "<title>Chimney sweep Tarn Harbor</title><p>"+words(1600))
	require.NoError(t, err)
	list, err = a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.Empty(t, partsOf(list, plan.Words), "it has enough")
	assert.Empty(t, partsOf(list, plan.Title))
	assert.NotEmpty(t, partsOf(list, plan.H1))
}

func TestPasteRivals(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, sweep, "")
	_, err := a.Lineup.Paste(ctx, client, " \n ")
	fails(t, err, readings.NothingPasted.Code)
	_, err = a.Lineup.Paste(ctx, client, "one.example javascript:x one.example")
	fails(t, err, lineups.SomeRivalsAdded.Code)
	f, _ := fault.Of(err)
	assert.Equal(t, map[string]string{"added": "1"}, f.Params)
	assert.Equal(t, fetch.AddressScheme.Code, f.Inner.Code)
	l, err := a.Lineup.Paste(ctx, client, "http://one.example/ two.example")
	require.NoError(t, err)
	require.Len(t, l.Entries, 2)
	l, err = a.Lineup.Take(ctx, client, l.Entries[0].ID, false)
	require.NoError(t, err)
	assert.False(t, l.Entries[0].Taken)
	l, err = a.Lineup.Delete(ctx, client, l.Entries[0].ID)
	require.NoError(t, err)
	assert.Len(t, l.Entries, 1)
	_, err = a.Lineup.Record(ctx, client, "x")
	fails(t, err, lineups.NoSearchSource.Code)
	_, err = a.Lineup.Paste(ctx, 99, "one.example")
	assert.ErrorIs(t, err, store.ErrNotFound)
}

// A run that a dead program left running is broken off when the next one
// starts.
func TestBrokenOff(t *testing.T) {
	w := &web{pages: map[string]string{}, held: make(chan struct{})}
	a, db := open(t, w)
	client, _ := newClient(t, a, sweep, "one.example/held")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	second, err := app.New(ctx, app.Options{DB: db, Web: w})
	require.NoError(t, err)
	defer second.Close()
	r, err := second.Runs.Last(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, "interrupted", r.State)
}

func TestWatch(t *testing.T) {
	w := &web{pages: map[string]string{}}
	for i := range 20 {
		w.set(fmt.Sprintf("http://r%d.example/", i), words(3))
	}
	a, _ := open(t, w)
	var rivals []string
	for i := range 20 {
		rivals = append(rivals, fmt.Sprintf("r%d.example", i))
	}
	client, _ := newClient(t, a, view.Business{Name: "x"}, strings.Join(rivals, " "))
	states, end := a.Runs.Watch(client)
	defer end()
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	deadline := time.After(5 * time.Second)
	for done := -1; ; {
		select {
		case r := <-states:
			assert.GreaterOrEqual(t, r.Done, done, "progress never goes back")
			done = r.Done
			if r.State == "done" {
				assert.Equal(t, 20, done)
				return
			}
		case <-deadline:
			t.Fatal("the last state never came")
		}
	}
}

// Kept pages are read again without being fetched, and what is other is told.
func TestReread(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>four words of text"}}
	a, db := open(t, w)
	client, _ := newClient(t, a, sweep, "")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	w.set("http://brindle.example/", "gone")
	changed, read, err := a.Readings.Reread(ctx)
	require.NoError(t, err)
	assert.Empty(t, changed)
	assert.Equal(t, 1, read)
	// A reading that was made by other rules.
	require.NoError(t, db.Write(ctx, func(tx *store.Tx) error {
		_, err := tx.AddReading(store.Reading{ClientID: client, URL: "http://brindle.example/",
			Source: reading.FromPaste,
			Facts:  reading.Facts{Words: page.Words{Seen: 7, Copy: 7}}}, []byte("<p>four words of text"),
			page.Read(nil, page.Source{}).Data())
		return err
	}))
	changed, _, err = a.Readings.Reread(ctx)
	require.NoError(t, err)
	require.Len(t, changed, 1)
	assert.Equal(t, 7, changed[0].Before.Seen)
	assert.Equal(t, 4, changed[0].Now.Seen)
}
