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
	"time"

	"inktally/core/fault"
	"inktally/core/text"
	"inktally/internal/app/book"
	"inktally/internal/app/ground"
	"inktally/internal/app/handoff"
	"inktally/internal/app/lineup"
	"inktally/internal/app/plan"
	"inktally/internal/app/readings"
	"inktally/internal/app/received"
	"inktally/internal/app/runs"
	"inktally/internal/app/sheet"
	"inktally/internal/app/shelf"
	"inktally/internal/app/standing"
	"inktally/internal/app/surveys"
	"inktally/internal/app/yardstick"
	"inktally/internal/datafile"
	"inktally/internal/store"
	"inktally/internal/view"
)

// App is all use cases over one store.
type App struct {
	Shelf     *shelf.Shelf
	Ground    *ground.Ground
	Book      *book.Book
	Lineup    *lineup.Lineup
	Sheet     *sheet.Sheet
	Plan      *plan.Plan
	Handoff   *handoff.Handoff
	Readings  *readings.Readings
	Runs      *runs.Runs
	Yardstick *yardstick.Yardstick
	Standing  *standing.Standing
	Received  *received.Received

	db *store.DB
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
	// Search answers recorded searches; nil if there is no source.
	Search lineup.Searcher
	// Demand tells how often phrases are searched for; nil if there is no
	// source.
	Demand book.Demander
	Log    *slog.Logger
	Now    func() time.Time
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
	surveyed := &surveys.Surveys{DB: o.DB, Readings: r, Lists: o.Web, Now: o.Now}
	s := &sheet.Sheet{DB: o.DB, Readings: r, Surveys: surveyed}
	planned := &plan.Plan{DB: o.DB, Sheet: s}
	a := &App{
		db: o.DB, Readings: r, Sheet: s,
		Shelf:     &shelf.Shelf{DB: o.DB},
		Ground:    &ground.Ground{DB: o.DB, Readings: r, Surveys: surveyed, Now: o.Now},
		Book:      &book.Book{DB: o.DB, Readings: r, Demand: o.Demand, Now: o.Now},
		Lineup:    &lineup.Lineup{DB: o.DB, Readings: r, Search: o.Search, Now: o.Now},
		Plan:      planned,
		Handoff:   &handoff.Handoff{Plan: planned, Now: o.Now},
		Yardstick: &yardstick.Yardstick{DB: o.DB},
		Standing:  &standing.Standing{DB: o.DB, Now: o.Now},
		Runs:      runs.New(ctx, o.DB, r, surveyed, o.Log, o.Now),
	}
	a.Received = &received.Received{DB: o.DB, Readings: r, Ground: a.Ground, Lineup: a.Lineup}
	return a, a.Runs.BreakOff(ctx)
}

// Close stops all runs and waits for them; they can be gone on with later.
func (a *App) Close() { a.Runs.Close() }

// Quick is the short way in: an address, a phrase and rivals' addresses make a
// client and start its run.
func (a *App) Quick(ctx context.Context, address, phrase, rivals string) (view.Ground, error) {
	if len(text.Tokens(phrase)) == 0 {
		return view.Ground{}, fault.New(fault.PhraseNeeded)
	}
	addresses, bad := lineup.Addresses(rivals)
	if bad != nil {
		return view.Ground{}, bad
	}
	g, err := a.Ground.New(ctx, view.Business{HomePage: address, Phrases: []string{phrase}})
	if err != nil {
		return view.Ground{}, err
	}
	err = a.db.Write(ctx, func(tx *store.Tx) error { return lineup.AddRivals(tx, g.ID, addresses) })
	if err != nil {
		return view.Ground{}, err
	}
	_, err = a.Runs.Start(ctx, g.ID, runs.What{Pages: true, Sites: true})
	if _, told := fault.Of(err); err != nil && !told {
		return view.Ground{}, err
	}
	return g, nil
}

// Delete stops what is under way for a client and deletes it.
func (a *App) Delete(ctx context.Context, client int64) error {
	a.Runs.StopClient(ctx, client)
	return a.Ground.Delete(ctx, client)
}

// Backups are those of the data file that were made by themselves, the newest first.
func (a *App) Backups() view.Backups {
	out := view.Backups{File: a.db.Path(), Days: []view.Backup{}}
	for _, b := range datafile.Backups(a.db.Path()) {
		out.Days = append(out.Days, view.Backup{Day: b.Day.Format("2006-01-02"), Size: b.Size, File: b.Path})
	}
	return out
}

// IsDamaged tells that what was kept cannot be read any more.
func IsDamaged(err error) bool { return errors.Is(err, store.ErrDamaged) }

// IsGone tells an error that says that there is no such thing (any more).
func IsGone(err error) bool { return errors.Is(err, store.ErrNotFound) }
