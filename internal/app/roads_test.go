package app_test

import (
	"context"
	"errors"
	"net"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"sync/atomic"
	"testing"

	"inktally/core/page"
	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/fetch/saved"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// pen draws every page as so many words, or fails.
type pen struct {
	words int
	err   error
}

func (p *pen) Available() bool { return true }

func (p *pen) Draw(_ context.Context, r fetch.Request) (fetch.Document, error) {
	return fetch.Document{URL: r.Address, ContentType: "text/html; charset=utf-8", Body: []byte(words(p.words))}, p.err
}

const shell = `<div id=root></div><script src=a.js></script>`

func openWith(t *testing.T, pages app.Fetcher, drawer app.Drawer) *app.App {
	db, err := store.Open(ctx, filepath.Join(t.TempDir(), "a.db"))
	require.NoError(t, err)
	a, err := app.New(ctx, app.Options{DB: db, Pages: pages, Drawer: drawer})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	return a
}

func column(t *testing.T, a *app.App, client, pageID int64, at int) app.Column {
	t.Helper()
	s, err := a.Sheet(ctx, client, pageID)
	require.NoError(t, err)
	return s.Columns[at]
}

// A page drawn by script is drawn by itself; a choice for the page beats that,
// and a drawing that fails leaves the page as served, with a note.
func TestWaysOfReading(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": words(70), "http://one.example/": shell}}
	p := &pen{words: 90}
	a := openWith(t, w, p)
	client, home := newClient(t, a, sweep, "one.example")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	assert.Equal(t, "web", column(t, a, client, home, 0).Road)
	c := column(t, a, client, home, 1)
	assert.Equal(t, "browser", c.Road)
	assert.Equal(t, 90, c.Words.Seen)

	read := func(url, way string) {
		_, err := a.ReadPage(ctx, client, url, way)
		require.NoError(t, err)
		ended(t, a, client)
	}
	read("http://one.example/", app.WayServed)
	c = column(t, a, client, home, 1)
	assert.Equal(t, []page.Warning{page.DrawnByScript, page.NoText}, c.Warnings)
	assert.Equal(t, "served", c.Way)
	s, err := a.Sheet(ctx, client, home)
	require.NoError(t, err)
	assert.Equal(t, -1, s.Target.MarkOf, "a page that was not drawn is nobody's mark")
	read("http://brindle.example/", app.WayBrowser)
	assert.Equal(t, 90, column(t, a, client, home, 0).Words.Seen)

	p.err = errors.New("one.example was not drawn in time")
	read("http://one.example/", "")
	assert.Equal(t, "taken as served, since one.example was not drawn in time", column(t, a, client, home, 1).Note)
	read("http://brindle.example/", app.WayBrowser)
	c = column(t, a, client, home, 0)
	assert.Equal(t, "one.example was not drawn in time", c.Error)
	assert.Equal(t, 90, c.Words.Seen, "the last reading stays")
	_, err = a.ReadPage(ctx, client, "http://else.example/", "")
	assert.ErrorIs(t, err, app.ErrNotFound)
}

func TestWithoutBrowser(t *testing.T) {
	a := openWith(t, &web{pages: map[string]string{"http://brindle.example/": shell}}, nil)
	client, home := newClient(t, a, sweep, "")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, 1, ended(t, a, client).Done)
	assert.Contains(t, column(t, a, client, home, 0).Note, "no browser is at hand")
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
		_, err := a.Measure(ctx, client)
		require.NoError(t, err)
		require.Equal(t, 1, ended(t, a, client).Done)
		c := column(t, a, client, home, 0)
		assert.Equal(t, 2, c.Words.Seen)
		assert.Greater(t, c.ReadingID, last)
		last = c.ReadingID
	}
	assert.EqualValues(t, 1, sent.Load())
	e, err := a.Evidence(ctx, client, home, 0, "")
	require.NoError(t, err)
	assert.Equal(t, "café open", e.Blocks[0].Pieces[0].Text)
}

// Files become readings of the pages whose address they tell, and a single one
// that tells none of the page that it was brought for.
func TestFilesBecomeReadings(t *testing.T) {
	a := openWith(t, &web{}, nil)
	client, home := newClient(t, a, sweep, "one.example two.example/x")
	s, err := a.Sheet(ctx, client, home)
	require.NoError(t, err)
	entry := s.Columns[1].EntryID
	from := func(address string, n int) []byte {
		return []byte("<!-- saved from url=(0019)" + address + " -->\n" + words(n))
	}
	filed, err := a.AddFiles(ctx, client, home, 0, []saved.File{
		{Name: "a/home.html", Body: from("https://www.brindle.example", 11)}, {Name: "x.html", Body: from("http://two.example/x/", 12)},
		{Name: "y.html", Body: from("http://other.example/", 13)}, {Name: "z.html", Body: []byte(words(3))}, {Name: "e.html"},
	})
	require.NoError(t, err)
	for i := range filed {
		assert.Equal(t, filed[i].Problem == "", filed[i].ReadingID > 0)
		filed[i].ReadingID = 0
	}
	assert.Equal(t, []app.Filed{
		{File: "home.html", URL: "https://www.brindle.example/", Name: "brindle.example", PageID: home},
		{File: "x.html", URL: "http://two.example/x/", Name: "two.example"},
		{File: "y.html", URL: "http://other.example/", Problem: "it is no page of this client or its rivals"},
		{File: "z.html", Problem: "it does not tell its address: bring it by itself, on the page that it is"},
		{File: "e.html", Problem: "the file is empty"},
	}, filed)
	assert.Equal(t, 11, column(t, a, client, home, 0).Words.Seen)
	assert.Equal(t, 12, column(t, a, client, home, 2).Words.Seen)
	// With its style sheet, for a rival; read anew from the store it is the same.
	files := []saved.File{{Name: "p.html", Body: []byte("<link rel=stylesheet href=p_files/s.css><p class=a>gone<p>two words")}, {Name: "p_files/s.css", Body: []byte(".a{display:none}")}}
	_, err = a.AddFiles(ctx, client, home, entry, files)
	require.NoError(t, err)
	c := column(t, a, client, home, 1)
	assert.Equal(t, page.Words{Seen: 2, Copy: 2, Hidden: 1}, c.Words)
	assert.Equal(t, "saved file", c.Road)
	changed, read, err := a.RereadAll(ctx)
	require.NoError(t, err)
	assert.Empty(t, changed)
	assert.Equal(t, 3, read)

	for _, bad := range [][]saved.File{nil, {{Name: "a.jpg", Body: []byte("x")}}, {{Name: "a.html"}}, make([]saved.File, saved.MaxFiles+1)} {
		_, err := a.AddFiles(ctx, client, home, 0, bad)
		var own app.Invalid
		require.ErrorAs(t, err, &own)
		assert.NotContains(t, own.Sentence, "\n")
	}
	_, err = a.AddFiles(ctx, client, home, 999, files)
	assert.ErrorIs(t, err, app.ErrNotFound)
	pasted, err := a.Paste(ctx, client, home, 0, "Plain text < of a page\n\nwith two lines")
	require.NoError(t, err)
	assert.Equal(t, 8, column(t, a, client, home, 0).Words.Seen)
	require.NoError(t, a.DropReading(ctx, client, pasted.ReadingID))
	assert.Equal(t, 11, column(t, a, client, home, 0).Words.Seen, "the reading before it stands again")
	assert.ErrorIs(t, a.DropReading(ctx, client, pasted.ReadingID), app.ErrNotFound)
	facts, err := a.PageFacts(ctx, client, home, 0)
	require.NoError(t, err)
	assert.Empty(t, facts.Menus)
}
