package app_test

import (
	"context"
	"net"
	"net/http"
	"net/http/httptest"
	"sync/atomic"
	"testing"

	"inktally/core/page"
	"inktally/core/reading"
	"inktally/internal/app"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/fetch/render"
	"inktally/internal/fetch/saved"
	"inktally/internal/store"
	"inktally/internal/view"
	"inktally/internal/wording"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// pen renders every page as so many words, or fails.
type pen struct {
	words int
	err   error
}

func (p *pen) Available() bool { return true }

func (p *pen) Render(_ context.Context, r fetch.Request) (fetch.Document, error) {
	return fetch.Document{URL: r.Address, ContentType: "text/html; charset=utf-8", Body: []byte(words(p.words))}, p.err
}

const shell = `<div id=root></div><script src=a.js></script>`

func openWith(t *testing.T, pages app.Web, drawer readings.Renderer) *app.App {
	db, err := store.Open(ctx, emptyFile(t))
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Web: pages, Renderer: drawer})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	return a
}

func column(t *testing.T, a *app.App, client, pageID int64, at int) view.Column {
	t.Helper()
	s, err := a.Sheet.Get(ctx, client, pageID)
	require.NoError(t, err)
	return s.Columns[at]
}

// A page that a script builds is rendered by itself; a choice for the page beats that,
// and a drawing that fails leaves the page as served, with a note.
func TestReadModes(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(70), "http://one.example/": shell}}
	p := &pen{words: 90}
	a := openWith(t, w, p)
	client, home := newClient(t, a, sweep, "one.example")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	assert.Equal(t, view.Source(reading.FromWeb), column(t, a, client, home, 0).Source)
	c := column(t, a, client, home, 1)
	assert.Equal(t, view.Source(reading.FromBrowser), c.Source)
	assert.Equal(t, 90, c.Words.Seen)

	read := func(url string, mode reading.Mode) {
		_, err := a.Runs.ReadPage(ctx, client, url, mode)
		require.NoError(t, err)
		ended(t, a, client)
	}
	read("http://one.example/", reading.Served)
	c = column(t, a, client, home, 1)
	assert.Equal(t, view.WarningsOf([]page.Warning{page.DrawnByScript, page.NoText}), c.Warnings)
	assert.Equal(t, view.ReadMode(reading.Served), c.Mode)
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, -1, s.Target.MarkOf, "a page that was not rendered is nobody's mark")
	read("http://brindle.example/", reading.Rendered)
	assert.Equal(t, 90, column(t, a, client, home, 0).Words.Seen)

	p.err = render.RenderTimedOut.New("one.example")
	read("http://one.example/", "")
	note := column(t, a, client, home, 1).Note
	assert.Equal(t, view.FaultCode(readings.TakenAsServed.Code), note.Code)
	assert.Contains(t, note.Says, "one.example", "with the reason")
	read("http://brindle.example/", reading.Rendered)
	c = column(t, a, client, home, 0)
	assert.Equal(t, view.FaultCode(render.RenderTimedOut.Code), c.Failure.Code)
	assert.Equal(t, 90, c.Words.Seen, "the last reading stays")
	_, err = a.Runs.ReadPage(ctx, client, "http://else.example/", "")
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestWithoutBrowser(t *testing.T) {
	a := openWith(t, &web{pages: map[string]string{"http://brindle.example/": shell}}, nil)
	client, home := newClient(t, a, sweep, "")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, 1, ended(t, a, client).Done)
	note := column(t, a, client, home, 0).Note
	assert.Equal(t, view.FaultCode(readings.TakenAsServed.Code), note.Code)
	assert.Contains(t, note.Says, wording.Fault(render.NoBrowser.New()))
}

// A page that has not changed is taken again from its last reading, by the real
// fetcher and a real server.
func TestUnchangedPage(t *testing.T) {
	var sent atomic.Int64
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("ETag", `"a"`)
		if r.Header.Get("If-None-Match") == `"a"` {
			w.WriteHeader(http.StatusNotModified)
			return
		}
		if r.URL.Path == "/" {
			sent.Add(1)
			w.Header().Set("Content-Type", "text/html; charset=windows-1252")
			_, _ = w.Write([]byte("<p>caf\xe9 open"))
			return
		}
		w.WriteHeader(http.StatusNotFound)
	}))
	defer server.Close()
	dialer := &net.Dialer{}
	pages := fetch.New(fetch.Options{Dial: func(ctx context.Context, network, _ string) (net.Conn, error) {
		return dialer.DialContext(ctx, network, server.Listener.Addr().String())
	}})
	a := openWith(t, pages, nil)
	client, home := newClient(t, a, sweep, "")
	var last int64
	for range 3 {
		_, err := a.Runs.Measure(ctx, client)
		require.NoError(t, err)
		require.Equal(t, 1, ended(t, a, client).Done)
		c := column(t, a, client, home, 0)
		assert.Equal(t, 2, c.Words.Seen)
		assert.Greater(t, c.ReadingID, last)
		last = c.ReadingID
	}
	assert.EqualValues(t, 1, sent.Load())
	e, err := a.Sheet.Evidence(ctx, client, home, 0, "")
	require.NoError(t, err)
	assert.Equal(t, "café open", e.Blocks[0].Pieces[0].Text)
}

// Files become readings of the pages whose address they tell, and a single one
// that tells none of the page that it was added for.
func TestFilesBecomeReadings(t *testing.T) {
	a := openWith(t, &web{}, nil)
	client, home := newClient(t, a, sweep, "one.example two.example/x")
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	entry := s.Columns[1].EntryID
	from := func(address string, n int) []byte {
		return []byte("<!-- saved from url=(0019)" + address + " -->\n" + words(n))
	}
	filed, err := a.Readings.AddFiles(ctx, client, home, 0, []saved.File{
		{Name: "a/home.html", Body: from("https://www.brindle.example", 11)},
		{Name: "x.html", Body: from("http://two.example/x/", 12)},
		{Name: "y.html", Body: from("http://other.example/", 13)}, {Name: "z.html", Body: []byte(words(3))},
		{Name: "e.html"},
	})
	require.NoError(t, err)
	for i := range filed {
		assert.Equal(t, filed[i].Failure == nil, filed[i].ReadingID > 0)
		filed[i].ReadingID = 0
	}
	assert.Equal(t, []view.Filed{
		{File: "home.html", URL: "https://www.brindle.example/", Name: "brindle.example", PageID: home},
		{File: "x.html", URL: "http://two.example/x/", Name: "two.example"},
		{File: "y.html", URL: "http://other.example/", Failure: view.FailureOf(readings.FileOfNobody.New())},
		{File: "z.html", Failure: view.FailureOf(readings.FileWithoutURL.New())},
		{File: "e.html", Failure: view.FailureOf(fetch.FileEmpty.New("e.html"))},
	}, filed)
	assert.Equal(t, 11, column(t, a, client, home, 0).Words.Seen)
	assert.Equal(t, 12, column(t, a, client, home, 2).Words.Seen)
	// With its style sheet, for a rival; read anew from the store it is the same.
	files := []saved.File{{Name: "p.html",
		Body: []byte("<link rel=stylesheet href=p_files/s.css><p class=a>gone<p>two words")},
		{Name: "p_files/s.css", Body: []byte(".a{display:none}")}}
	_, err = a.Readings.AddFiles(ctx, client, home, entry, files)
	require.NoError(t, err)
	c := column(t, a, client, home, 1)
	assert.Equal(t, view.Words{Seen: 2, Copy: 2, Hidden: 1}, c.Words)
	assert.Equal(t, view.Source(reading.FromFile), c.Source)
	changed, read, err := a.Readings.Reread(ctx)
	require.NoError(t, err)
	assert.Empty(t, changed)
	assert.Equal(t, 3, read)

	for _, bad := range [][]saved.File{nil, {{Name: "a.jpg", Body: []byte("x")}}, {{Name: "a.html"}},
		make([]saved.File, saved.MaxFiles+1)} {
		_, err := a.Readings.AddFiles(ctx, client, home, 0, bad)
		assertTold(t, err)
	}
	_, err = a.Readings.AddFiles(ctx, client, home, 999, files)
	assert.ErrorIs(t, err, store.ErrNotFound)
	pasted, err := a.Readings.Paste(ctx, client, home, 0, "Plain text < of a page\n\nwith two lines")
	require.NoError(t, err)
	assert.Equal(t, 8, column(t, a, client, home, 0).Words.Seen)
	require.NoError(t, a.Readings.Remove(ctx, client, pasted.ReadingID))
	assert.Equal(t, 11, column(t, a, client, home, 0).Words.Seen, "the reading before it stands again")
	assert.ErrorIs(t, a.Readings.Remove(ctx, client, pasted.ReadingID), store.ErrNotFound)
	facts, err := a.Sheet.Facts(ctx, client, home, 0)
	require.NoError(t, err)
	assert.Empty(t, facts.Menus)
}
