// Package app puts the use cases together, a package for each stop of the route,
// and those that go over several stops. A use case loads, calls core and stores;
// it knows no HTTP and no screens.
//
// Arrows run one way: handoff -> plan -> sheet -> ground, lineup, book ->
// readings, client -> store -> core.
package app

import (
	"context"
	"errors"
	"log/slog"
	"sync"
	"time"

	"inktally/core/fault"
	"inktally/core/text"
	"inktally/internal/app/documents"
	"inktally/internal/app/ground"
	"inktally/internal/app/handover"
	"inktally/internal/app/lineups"
	"inktally/internal/app/phrasebook"
	"inktally/internal/app/readings"
	"inktally/internal/app/rules"
	"inktally/internal/app/runs"
	"inktally/internal/app/sheets"
	"inktally/internal/app/shelf"
	"inktally/internal/app/standings"
	"inktally/internal/app/surveys"
	"inktally/internal/app/targets"
	"inktally/internal/app/workbook"
	"inktally/internal/datafile"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
)

// App is all use cases over one store.
type App struct {
	Shelf     *shelf.Shelf
	Ground    *ground.Ground
	Book      *phrasebook.Book
	Lineup    *lineups.Lineup
	Workbook  *workbook.Workbook
	Sheet     *sheets.Sheet
	Plan      *targets.Plan
	Handoff   *documents.Handoff
	Readings  *readings.Readings
	Runs      *runs.Runs
	Yardstick *rules.Yardstick
	Standing  *standings.Standing
	Received  *handover.Received
	Studies   *study.Studies

	db     *store.DB
	behind sync.WaitGroup // what is done behind the scenes
	end    context.CancelFunc
	log    *slog.Logger
	away   away
}

// Web brings pages, and what sites list of theirs.
type Web interface {
	readings.Fetcher
	surveys.Lister
}

// Options are the parts of an App.
type Options struct {
	DB  *store.DB
	Web Web
	// Renderer renders pages; nil if there is no browser.
	Renderer readings.Renderer
	// Printer prints documents; nil if there is no browser.
	Printer documents.Printer
	// Search answers recorded searches; nil if there is no source.
	Search lineups.Searcher
	// Demand returns how often phrases are searched for; nil if there is no
	// source.
	Demand phrasebook.Demander
	// Figures are the sources of links, listings and map profiles; none is none.
	Figures []source.Figures
	Log     *slog.Logger
	Now     func() time.Time
}

// New returns an app. Runs that were under way when the program died are
// marked as broken off.
func New(ctx context.Context, o Options) (*App, error) {
	if o.Log == nil {
		o.Log = slog.Default()
	}
	if o.Now == nil {
		o.Now = time.Now
	}
	r := &readings.Readings{DB: o.DB, Web: o.Web, Renderer: o.Renderer, Now: o.Now}
	studies := &study.Studies{DB: o.DB, Pages: r, Log: o.Log}
	r.Studies = studies
	surveyed := &surveys.Surveys{DB: o.DB, Readings: r, Studies: studies, Lists: o.Web, Now: o.Now}
	behind, end := context.WithCancel(context.WithoutCancel(ctx))
	judged := &stood.Standings{DB: o.DB, Now: o.Now}
	planned := &targets.Plan{DB: o.DB, Studies: studies, Readings: r}
	a := &App{
		db: o.DB, end: end, log: o.Log, Studies: studies, Readings: r, Sheet: &sheets.Sheet{Studies: studies},
		Ground: &ground.Ground{DB: o.DB, Readings: r, Studies: studies, Now: o.Now},
		Book:   &phrasebook.Book{DB: o.DB, Readings: r, Studies: studies, Demand: o.Demand, Now: o.Now},
		Lineup: &lineups.Lineup{DB: o.DB, Readings: r, Studies: studies, Judged: judged, Search: o.Search,
			Now: o.Now},
		Plan:      planned,
		Handoff:   &documents.Handoff{Plan: planned, Judged: judged, Printer: o.Printer, Now: o.Now},
		Yardstick: &rules.Yardstick{DB: o.DB},
		Standing: &standings.Standing{DB: o.DB, Studies: studies, Now: o.Now, Sources: o.Figures,
			Judged: judged},
		Runs: runs.New(ctx, o.DB, r, surveyed, studies, o.Log, o.Now),
	}
	a.Workbook = &workbook.Workbook{Plan: a.Plan, Sheet: a.Sheet, Book: a.Book, Lineup: a.Lineup, Standing: a.Standing}
	a.Shelf = &shelf.Shelf{DB: o.DB, Studies: studies, Hides: a.IsAway}
	a.Received = &handover.Received{DB: o.DB, Readings: r, Studies: studies, Ground: a.Ground, Lineup: a.Lineup}
	if err := a.Received.Prepare(ctx); err != nil {
		return a, err
	}
	if err := a.Runs.BreakOff(ctx); err != nil {
		return a, err
	}
	a.behind.Go(func() {
		if err := a.Readings.CatchUp(behind); err != nil {
			o.Log.Error("what an older program kept of pages could not be read by today's rules", "error", err)
		}
	})
	return a, nil
}

// Close stops all runs and waits for them; they can be gone on with later.
func (a *App) Close() {
	a.end()
	a.Runs.Close()
	a.behind.Wait()
	a.forgetAll()
}

// Store returns what everything is kept in.
func (a *App) Store() *store.DB { return a.db }

// CaughtUp waits until what an older program kept of pages was read by today's rules.
func (a *App) CaughtUp() { a.behind.Wait() }

// Quick is the short way in: an address, a phrase and rivals' addresses make a
// client and start its run.
func (a *App) Quick(ctx context.Context, address, phrase, rivals string) (view.Ground, error) {
	if len(text.Tokens(phrase)) == 0 {
		return view.Ground{}, fault.PhraseNeeded.New()
	}
	addresses, bad := lineups.Addresses(rivals)
	if bad != nil {
		return view.Ground{}, bad
	}
	g, err := a.Ground.New(ctx, view.Business{HomePage: address, Phrases: []string{phrase}})
	if err != nil {
		return view.Ground{}, err
	}
	err = a.db.Write(ctx, func(tx *store.Tx) error { return lineups.AddRivals(tx, g.ID, addresses) })
	if err != nil {
		return view.Ground{}, err
	}
	_, err = a.Runs.Start(ctx, g.ID, runs.What{Pages: true, Sites: true})
	if _, known := fault.Of(err); err != nil && !known {
		return view.Ground{}, err
	}
	return g, nil
}

// Backups returns those of the data file that were made by themselves, the newest first.
func (a *App) Backups() view.Backups {
	out := view.Backups{File: a.db.Path(), Days: []view.Backup{}}
	for _, b := range datafile.Backups(a.db.Path()) {
		out.Days = append(out.Days, view.Backup{Day: b.Day.Format("2006-01-02"), Size: b.Size, File: b.Path})
	}
	return out
}

// Changed is what the writes of an operation changed.
type Changed = store.Changed

// Noting returns a context in which use cases note what they change.
func Noting(ctx context.Context) (context.Context, *Changed) { return store.Noting(ctx) }

// IsDamaged reports whether what was kept cannot be read any more.
func IsDamaged(err error) bool { return errors.Is(err, store.ErrDamaged) }

// IsGone reports whether an error says that there is no such thing (any more).
func IsGone(err error) bool { return errors.Is(err, store.ErrNotFound) }

// IsNoClient reports whether an operation failed because there is no such client.
func IsNoClient(err error) bool { return errors.Is(err, store.ErrNoClient) }
