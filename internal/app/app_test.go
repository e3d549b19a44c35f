package app_test

import (
	"context"
	"errors"
	"fmt"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/target"
	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// web is a web of pages by address; an address without a page fails.
type web struct {
	mu    sync.Mutex
	pages map[string]string
	held  chan struct{} // where it is set, /held waits for it
}

func (w *web) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	address := r.Address
	if strings.HasSuffix(address, "/unwelcome") && !r.Overrule {
		return fetch.Document{}, fetch.Unwelcome{Host: "one.example"}
	}
	w.mu.Lock()
	body, ok := w.pages[address]
	w.mu.Unlock()
	if strings.HasSuffix(address, "/held") {
		select {
		case <-w.held:
		case <-ctx.Done():
			return fetch.Document{}, context.Canceled
		}
	}
	if !ok {
		return fetch.Document{}, errors.New("there is no such page")
	}
	return fetch.Document{URL: address, ContentType: "text/html; charset=utf-8", Body: []byte(body)}, nil
}

func (w *web) Sheets(_ context.Context, doc fetch.Document) map[string]string {
	out := map[string]string{}
	for _, address := range page.Linked(doc.Body, page.Source{URL: doc.URL}) {
		w.mu.Lock()
		if css, ok := w.pages[address]; ok {
			out[address] = css
		}
		w.mu.Unlock()
	}
	return out
}

func (w *web) set(address, body string) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.pages[address] = body
}

func open(t *testing.T, w *web) (*app.App, *store.DB) {
	db, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "a.db"))
	require.NoError(t, err)
	a, err := app.New(context.Background(), app.Options{DB: db, Pages: w})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	return a, db
}

func words(n int) string { return strings.Repeat("word ", n) }

var ctx = context.Background()

// ended waits for the end of a client's run.
func ended(t *testing.T, a *app.App, client int64) app.Run {
	t.Helper()
	require.Eventually(t, func() bool {
		r, err := a.LastRun(ctx, client)
		return err == nil && r != nil && r.State != "running"
	}, 30*time.Second, time.Millisecond)
	r, err := a.LastRun(ctx, client)
	require.NoError(t, err)
	return *r
}

func newClient(t *testing.T, a *app.App, b app.Business, rivals string) (client, page int64) {
	t.Helper()
	g, err := a.NewClient(ctx, b)
	require.NoError(t, err)
	if rivals != "" {
		_, err = a.PasteRivals(ctx, g.ID, rivals)
		require.NoError(t, err)
	}
	return g.ID, g.Pages[0].ID
}

var sweep = app.Business{HomePage: "brindle.example", Phrases: []string{"chimney sweep tarn harbor"},
	Services: []phrase.Service{{Name: "chimney sweep"}}, Places: []place.Place{{Name: "Tarn Harbor", State: "ME"}}}

func TestGroundIsCleaned(t *testing.T) {
	a, _ := open(t, &web{})
	g, err := a.NewClient(ctx, app.Business{HomePage: " Brindle.Example ", Phrases: []string{" a  b ", "A B", "", "c"},
		Places: []place.Place{{Name: " Ostrey "}, {}}})
	require.NoError(t, err)
	assert.Equal(t, "brindle.example", g.Name)
	assert.Equal(t, "http://brindle.example/", g.HomePage)
	assert.Equal(t, []string{"a b", "c"}, g.Phrases)
	assert.Equal(t, []place.Place{{Name: "Ostrey", Home: true}}, g.Places)
	for _, b := range []app.Business{{}, {HomePage: "file:///x"}, {Name: "x", Phrases: []string{"!!"}},
		{Name: "x", Services: []phrase.Service{{Name: strings.Repeat("x", 300)}}}, {Name: "x", Places: []place.Place{{Name: "-"}}}} {
		_, err := a.NewClient(ctx, b)
		var own app.Invalid
		require.ErrorAs(t, err, &own)
		assert.NotContains(t, own.Sentence, "\n")
		_, err = a.SaveGround(ctx, g.ID, b)
		require.ErrorAs(t, err, &own)
	}
	kept, err := a.Ground(ctx, g.ID)
	require.NoError(t, err)
	assert.Equal(t, g, kept, "nothing is lost by what cannot be saved")
}

func TestRunSurvivesFailingPages(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(545), "http://one.example/": words(1720)}}
	a, _ := open(t, w)
	client, page := newClient(t, a, sweep, "one.example, two.example\nthree.example")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	r := ended(t, a, client)
	assert.Equal(t, 2, r.Done)
	assert.Equal(t, 2, r.Failed)
	assert.Equal(t, "there is no such page", r.Items[2].Error)
	s, err := a.Sheet(ctx, client, page)
	require.NoError(t, err)
	require.Len(t, s.Columns, 4)
	assert.Equal(t, "there is no such page", s.Columns[2].Error)
	assert.Equal(t, 2000, s.Target.Words.Target)
	assert.Equal(t, 1, s.Target.MarkOf)

	w.set("http://two.example/", "\x00\x00\x00\x00binary")
	w.set("http://three.example/", words(10))
	_, err = a.Resume(ctx, client, r.ID)
	require.NoError(t, err)
	r = ended(t, a, client)
	assert.Equal(t, 3, r.Done)
	assert.Equal(t, "two.example: this is not a web page", r.Items[2].Error)
	_, err = a.Resume(ctx, client+1, r.ID)
	assert.ErrorIs(t, err, app.ErrNotFound, "another client's run")
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
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	again, err := app.New(ctx, app.Options{DB: db, Pages: w})
	require.NoError(t, err)
	defer again.Close()
	for _, x := range []*app.App{a, again} {
		s, err := x.Sheet(ctx, client, pageID)
		require.NoError(t, err)
		assert.Equal(t, page.Words{Seen: 2, Copy: 2, Hidden: 3}, s.Columns[0].Words)
		assert.Empty(t, s.Columns[0].Warnings)
	}
}

// What a site asks of programs can be overruled for one page, and the reading
// says so.
func TestOverrule(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(5), "http://one.example/unwelcome": words(7)}}
	a, _ := open(t, w)
	client, page := newClient(t, a, sweep, "one.example/unwelcome")
	run, err := a.Measure(ctx, client)
	require.NoError(t, err)
	assert.Contains(t, ended(t, a, client).Items[1].Error, "robots.txt")
	_, err = a.Overrule(ctx, client, run.ID, "http://one.example/unwelcome")
	require.NoError(t, err)
	assert.Equal(t, 2, ended(t, a, client).Done)
	s, err := a.Sheet(ctx, client, page)
	require.NoError(t, err)
	assert.True(t, s.Columns[1].Overruled)
	assert.Equal(t, 7, s.Columns[1].Words.Seen)
}

func TestStopAndGoOn(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(5), "http://one.example/held": words(7)}, held: make(chan struct{})}
	a, _ := open(t, w)
	client, page := newClient(t, a, sweep, "one.example/held")
	run, err := a.Measure(ctx, client)
	require.NoError(t, err)
	_, err = a.Measure(ctx, client)
	assert.ErrorContains(t, err, "under way already")
	require.Eventually(t, func() bool { r, _ := a.LastRun(ctx, client); return r.Done == 1 }, 30*time.Second, time.Millisecond)
	_, err = a.Stop(ctx, client, run.ID)
	require.NoError(t, err)
	r := ended(t, a, client)
	assert.Equal(t, "stopped", r.State)
	assert.Equal(t, "waiting", r.Items[1].State)
	close(w.held)
	_, err = a.Resume(ctx, client, run.ID)
	require.NoError(t, err)
	assert.Equal(t, "done", ended(t, a, client).State)
	s, err := a.Sheet(ctx, client, page)
	require.NoError(t, err)
	assert.Equal(t, 7, s.Columns[1].Words.Seen)
}

func TestChoicesSurviveMeasuringAgain(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title>" + words(5)}}
	a, _ := open(t, w)
	client, page := newClient(t, a, sweep, "")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	const key = "title: chimney sweep tarn harbor"
	_, err = a.Choose(ctx, client, page, key, target.Choice{State: target.Changed})
	assert.ErrorContains(t, err, "what it should say")
	_, err = a.Choose(ctx, client, page, key, target.Choice{State: target.Dropped})
	require.NoError(t, err)
	w.set("http://brindle.example/", "<title>Start</title>"+words(9))
	_, err = a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	list, err := a.Targets(ctx, client, page)
	require.NoError(t, err)
	last := list.Targets[len(list.Targets)-1]
	assert.Equal(t, key, last.Key, "what was dropped stands last")
	assert.Equal(t, "not wanted", last.Choice.Reason)
	assert.Contains(t, last.Evidence, "now “Start”")
	assert.Error(t, a.SetHours(ctx, client, -1))
	require.NoError(t, a.SetHours(ctx, client, 0))
	list, err = a.Targets(ctx, client, page)
	require.NoError(t, err)
	assert.Zero(t, list.Fit)
}

// Without a page there still are targets, and a pasted page makes real ones.
func TestClientWithoutSite(t *testing.T) {
	a, _ := open(t, &web{})
	client, page := newClient(t, a, app.Business{Name: "Lowtide", Phrases: sweep.Phrases}, "")
	_, err := a.Measure(ctx, client)
	assert.ErrorContains(t, err, "there is no page to read")
	list, err := a.Targets(ctx, client, page)
	require.NoError(t, err)
	require.Len(t, list.Targets, 1)
	assert.Equal(t, "Make this page: 1,500 words", list.Targets[0].Before)
	brief, err := a.Brief(ctx, client, page)
	require.NoError(t, err)
	assert.Contains(t, brief.Markdown(), "Make this page: 1,500 words")

	for _, bad := range []string{"  ", strings.Repeat("x", fetch.MaxBody+1)} {
		_, err = a.Paste(ctx, client, page, 0, bad)
		assert.Error(t, err)
	}
	_, err = a.Paste(ctx, client, page, 0, "<title>Chimney sweep Tarn Harbor</title><p>"+words(1600))
	require.NoError(t, err)
	list, err = a.Targets(ctx, client, page)
	require.NoError(t, err)
	for _, x := range list.Targets {
		assert.NotEqual(t, target.AboutWords, x.Subject, "it has enough")
		assert.NotEqual(t, target.AboutTitle, x.Subject)
	}
}

func TestPasteRivals(t *testing.T) {
	a, _ := open(t, &web{})
	client, _ := newClient(t, a, sweep, "")
	_, err := a.PasteRivals(ctx, client, " \n ")
	assert.ErrorContains(t, err, "nothing was pasted")
	_, err = a.PasteRivals(ctx, client, "one.example javascript:x one.example")
	assert.ErrorContains(t, err, "javascript:")
	assert.ErrorContains(t, err, "1 other taken")
	l, err := a.PasteRivals(ctx, client, "http://one.example/ two.example")
	require.NoError(t, err)
	require.Len(t, l.Entries, 2)
	l, err = a.Take(ctx, client, l.Entries[0].ID, false)
	require.NoError(t, err)
	assert.False(t, l.Entries[0].Taken)
	l, err = a.DeleteEntry(ctx, client, l.Entries[0].ID)
	require.NoError(t, err)
	assert.Len(t, l.Entries, 1)
	_, err = a.RecordSearch(ctx, client, "x")
	assert.ErrorContains(t, err, "no search source")
	_, err = a.PasteRivals(ctx, 99, "one.example")
	assert.ErrorIs(t, err, app.ErrNotFound)
}

// A run that a dead program left running is broken off when the next one
// starts.
func TestBrokenOff(t *testing.T) {
	w := &web{pages: map[string]string{}, held: make(chan struct{})}
	a, db := open(t, w)
	client, _ := newClient(t, a, sweep, "one.example/held")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	second, err := app.New(ctx, app.Options{DB: db, Pages: w})
	require.NoError(t, err)
	defer second.Close()
	r, err := second.LastRun(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, "broken off", r.State)
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
	client, _ := newClient(t, a, app.Business{Name: "x"}, strings.Join(rivals, " "))
	states, end := a.Watch(client)
	defer end()
	_, err := a.Measure(ctx, client)
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

func TestDuration(t *testing.T) {
	assert.Equal(t, "5 min", app.Duration(5))
	assert.Equal(t, "2 h", app.Duration(120))
	assert.Equal(t, "4 h 51", app.Duration(291))
	assert.Equal(t, "1 h 05", app.Duration(64.6))
	assert.Equal(t, "2.0 % of the gain", app.GainIn("share", 2))
	assert.Equal(t, "about 28 visits a month", app.GainIn("visits", 28.2))
}

// Kept pages are read again without being fetched, and what is other is told.
func TestReread(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>four words of text"}}
	a, db := open(t, w)
	client, _ := newClient(t, a, sweep, "")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	w.set("http://brindle.example/", "gone")
	changed, read, err := a.RereadAll(ctx)
	require.NoError(t, err)
	assert.Empty(t, changed)
	assert.Equal(t, 1, read)
	// A reading that was made by other rules.
	require.NoError(t, db.Write(ctx, func(tx *store.Tx) error {
		_, err := tx.AddReading(store.Reading{ClientID: client, URL: "http://brindle.example/", Road: "pasted",
			Facts: `{"words":{"seen":7,"copy":7,"hidden":0}}`}, []byte("<p>four words of text"))
		return err
	}))
	changed, _, err = a.RereadAll(ctx)
	require.NoError(t, err)
	require.Len(t, changed, 1)
	assert.Equal(t, 7, changed[0].Before.Seen)
	assert.Equal(t, 4, changed[0].Now.Seen)
}
