package app_test

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/internal/app"
	"inktally/internal/app/documents"
	"inktally/internal/app/targets"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// web is a web of pages by address; an address without a page fails.
type web struct {
	mu    sync.Mutex
	pages map[string]string
	held  chan struct{} // if it is set, /held waits for it
}

func (w *web) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	address := r.Address
	if strings.HasSuffix(address, "/unwelcome") && !r.IgnoreRobots {
		return fetch.Document{}, fetch.RobotsRefuse.New("one.example")
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
		return fetch.Document{}, fetch.NoSuchSite.New(address)
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

func (w *web) Sitemaps(context.Context, string) []string { return nil }

func (w *web) Raw(_ context.Context, address string, _ int) ([]byte, error) {
	return nil, fetch.NoSuchSite.New(address)
}

func (w *web) set(address, body string) {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.pages[address] = body
}

func open(t *testing.T, w *web) (*app.App, *store.DB) { return openOver(t, w) }

func openOver(t *testing.T, w app.Web) (*app.App, *store.DB) {
	db, err := store.Open(context.Background(), emptyFile(t))
	require.NoError(t, err)
	a, err := app.New(context.Background(), app.Options{DB: db, Web: w})
	require.NoError(t, err)
	t.Cleanup(func() {
		a.Close()
		assert.NoError(t, db.Close())
	})
	return a, db
}

// emptied is a file without a client, made once: making its tables takes longer than most tests.
var emptied = sync.OnceValues(func() ([]byte, error) {
	dir, err := os.MkdirTemp("", "inktally-app-")
	if err != nil {
		return nil, err
	}
	defer os.RemoveAll(dir)
	db, err := store.Open(ctx, filepath.Join(dir, "a.db"))
	if err != nil {
		return nil, err
	}
	if err := db.Close(); err != nil {
		return nil, err
	}
	return os.ReadFile(filepath.Join(dir, "a.db"))
})

// emptyFile is such a file of a test's own.
func emptyFile(t *testing.T) string {
	t.Helper()
	raw, err := emptied()
	require.NoError(t, err)
	path := filepath.Join(t.TempDir(), "a.db")
	require.NoError(t, os.WriteFile(path, raw, 0o600))
	return path
}

func words(n int) string { return strings.Repeat("word ", n) }

var ctx = context.Background()

// ended waits for the end of a client's run.
func ended(t *testing.T, a *app.App, client int64) view.Run {
	t.Helper()
	states, end := a.Runs.Watch(client)
	defer end()
	limit := time.After(time.Minute)
	for {
		r, err := a.Runs.Last(ctx, client)
		require.NoError(t, err)
		if r != nil && r.State != "running" {
			return *r
		}
		select {
		case <-states:
		case <-limit:
			require.FailNow(t, "the run never ended")
		}
	}
}

// measured measures a client's pages and waits for the end.
func measured(t require.TestingT, a *app.App, client int64) {
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	states, end := a.Runs.Watch(client)
	defer end()
	for {
		last, err := a.Runs.Last(ctx, client)
		require.NoError(t, err)
		if last.State != "running" {
			return
		}
		<-states
	}
}

func newClient(t *testing.T, a *app.App, b view.Business, rivals string) (client, p int64) {
	t.Helper()
	g, err := a.Ground.New(ctx, b)
	require.NoError(t, err)
	if rivals != "" {
		_, err = a.Lineup.Paste(ctx, g.ID, rivals)
		require.NoError(t, err)
	}
	return g.ID, g.Pages[0].ID
}

// assertTold asserts that an error is told to a person.
func assertTold(t require.TestingT, err error) {
	_, known := fault.Of(err)
	require.True(t, known, "%v is no fault", err)
}

// fails asserts that an error is a fault of a code.
func fails(t require.TestingT, err error, code fault.Code) {
	f, known := fault.Of(err)
	require.True(t, known, "%v is no fault", err)
	assert.Equal(t, code, f.Code)
}

var sweep = view.Business{HomePage: "brindle.example", Phrases: []string{"chimney sweep tarn harbor"},
	Services: []view.Service{{Name: "chimney sweep"}}, Places: []view.Place{{Name: "Tarn Harbor", State: "ME"}}}

// said returns what a user says of a target, or of a part of one, of a page.
func said(p int64, key string, c plan.Choice) []targets.Said {
	return []targets.Said{{Page: fmt.Sprintf("p%d", p), Key: key, Choice: c}}
}

// partsOf returns the parts of a plan's targets of one kind.
func partsOf(list *view.Plan, kind plan.PartKind) (out []view.Part) {
	for _, x := range list.Targets {
		for _, p := range x.Parts {
			if p.Kind == view.PartKind(kind) {
				out = append(out, p)
			}
		}
	}
	return out
}

// briefOf returns the brief of a page as Markdown.
func briefOf(t *testing.T, a *app.App, client, id int64) string {
	t.Helper()
	return fileOf(t, a, documents.Ask{Client: client, Kind: documents.OneBrief,
		Page: study.PageKey(store.Page{ID: id}), Format: documents.Markdown})
}

// fileOf returns a document as a file.
func fileOf(t *testing.T, a *app.App, ask documents.Ask) string {
	t.Helper()
	made, err := a.Handoff.File(ctx, ask)
	require.NoError(t, err)
	return string(made.Body)
}
