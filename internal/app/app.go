// Package app holds the use cases: what a person asks for, one file each. A
// use case loads, calls core and stores; it knows no HTTP and no screens.
package app

import (
	"context"
	"errors"
	"log/slog"
	"sync"
	"time"

	"inktally/core/page"
	"inktally/core/style"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// Fetcher brings pages in.
type Fetcher interface {
	// Get brings a page; its errors are sentences.
	Get(ctx context.Context, r fetch.Request) (fetch.Document, error)
	// Sheets brings the style sheets of a page, by address.
	Sheets(ctx context.Context, doc fetch.Document) map[string]string
}

// Drawer brings pages in as a browser draws them.
type Drawer interface {
	// Available tells whether there is a browser.
	Available() bool
	// Draw brings a page; its errors are sentences.
	Draw(ctx context.Context, r fetch.Request) (fetch.Document, error)
}

// App runs the use cases over one store.
type App struct {
	db     *store.DB
	pages  Fetcher
	drawer Drawer
	search Searcher
	demand Demander
	log    *slog.Logger
	now    func() time.Time
	hub    hub
	cache  pageCache
	sheets style.Cache

	running    context.Context // ends when the app closes
	stop       context.CancelFunc
	work       sync.WaitGroup
	publishing sync.Mutex
	mu         sync.Mutex
	stops      map[int64]context.CancelFunc // by job
}

// Options are the parts of an App.
type Options struct {
	DB    *store.DB
	Pages Fetcher
	// Drawer draws pages; nil where there is no browser.
	Drawer Drawer
	// Search answers recorded searches; nil where there is no source.
	Search Searcher
	// Demand tells how often phrases are searched for; nil where there is no
	// source.
	Demand Demander
	// Beside tells that the program may be running over the same store: its
	// runs are then left alone.
	Beside bool
	Log    *slog.Logger
	Now    func() time.Time
}

// New returns an app. Runs that were under way when the program died are
// marked as broken off.
func New(ctx context.Context, o Options) (*App, error) {
	a := &App{db: o.DB, pages: o.Pages, drawer: o.Drawer, search: o.Search, demand: o.Demand, log: o.Log, now: o.Now, stops: map[int64]context.CancelFunc{}}
	if a.log == nil {
		a.log = slog.Default()
	}
	if a.now == nil {
		a.now = time.Now
	}
	a.running, a.stop = context.WithCancel(context.WithoutCancel(ctx))
	if o.Beside {
		return a, nil
	}
	return a, a.breakOff(ctx)
}

// Close stops all runs and waits for them; they can be gone on with later.
func (a *App) Close() {
	a.stop()
	a.work.Wait()
}

// Invalid is an error that its user can mend; it is one sentence.
type Invalid struct{ Sentence string }

func (e Invalid) Error() string { return e.Sentence }

// invalid makes an Invalid of an error that is a sentence already.
func invalid(err error) error { return Invalid{err.Error()} }

// ErrNotFound says that there is no such thing.
var ErrNotFound = store.ErrNotFound

// ignoreNotFound is for rows that may be missing.
func ignoreNotFound(err error) error {
	if errors.Is(err, store.ErrNotFound) {
		return nil
	}
	return err
}

// pageCache keeps the pages of the readings that were looked at last, since a
// reading never changes.
type pageCache struct {
	mu    sync.Mutex
	pages map[int64]*page.Page
	order []int64
}

// cachedPages bounds the pages that are kept in memory.
const cachedPages = 64

func (c *pageCache) get(id int64) *page.Page {
	c.mu.Lock()
	defer c.mu.Unlock()
	return c.pages[id]
}

func (c *pageCache) put(id int64, p *page.Page) {
	c.mu.Lock()
	defer c.mu.Unlock()
	if c.pages == nil {
		c.pages = map[int64]*page.Page{}
	}
	if _, ok := c.pages[id]; ok {
		return
	}
	if len(c.order) == cachedPages {
		delete(c.pages, c.order[0])
		c.order = c.order[1:]
	}
	c.pages[id] = p
	c.order = append(c.order, id)
}
