// Package runs reads a client's pages and its rivals', and surveys their sites, in
// the background: with progress, page by page, stopped and gone on with at any
// time.
package runs

import (
	"context"
	"errors"
	"log/slog"
	"sync"
	"time"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/reading"
	"inktally/internal/app/readings"
	"inktally/internal/app/surveys"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"

	"golang.org/x/sync/errgroup"
)

// SideBySide is how many pages are read at the same time, sitesAtOnce how many
// sites are surveyed.
const (
	SideBySide  = 4
	sitesAtOnce = 3
)

// Runs runs measuring jobs over one store.
type Runs struct {
	db       *store.DB
	readings *readings.Readings
	surveys  *surveys.Surveys
	studies  *study.Studies
	log      *slog.Logger
	now      func() time.Time
	hub      hub

	running    context.Context // ends when the runs are closed
	end        context.CancelFunc
	work       sync.WaitGroup
	publishing sync.Mutex
	mu         sync.Mutex
	stops      map[int64]context.CancelCauseFunc // by job, of those that are worked at
	broken     map[int64]*fault.Fault            // by job: why it broke off
}

// New returns runs.
func New(ctx context.Context, db *store.DB, r *readings.Readings, s *surveys.Surveys, studies *study.Studies,
	log *slog.Logger, now func() time.Time) *Runs {
	runs := &Runs{db: db, readings: r, surveys: s, studies: studies, log: log, now: now,
		stops: map[int64]context.CancelCauseFunc{}, broken: map[int64]*fault.Fault{}}
	runs.running, runs.end = context.WithCancel(context.WithoutCancel(ctx))
	return runs
}

// Close stops all runs and waits for them; they can be gone on with later.
func (r *Runs) Close() {
	r.end()
	r.work.Wait()
}

func runOf(j store.Job) view.Run {
	r := view.Run{ID: j.ID, ClientID: j.ClientID, State: j.State, Started: j.StartedAt, Items: []view.RunItem{}}
	for _, i := range j.Items {
		r.Items = append(r.Items, view.RunItem{Kind: i.Kind, Name: i.Name, URL: i.URL, State: i.State,
			Failure: view.FailureOf(i.Fault), Visited: i.Visited, Known: i.Known})
		switch i.State {
		case store.ItemDone:
			r.Done++
		case store.ItemFailed:
			r.Failed++
		}
	}
	return r
}

// Resume goes on with a run that was stopped or broken off, and tries what
// failed again.
func (r *Runs) Resume(ctx context.Context, client, id int64) (view.Run, error) {
	claimed := false
	err := r.db.Write(ctx, func(tx *store.Tx) error {
		job, err := tx.Job(client, id)
		if err != nil {
			return err
		}
		if job.State == store.JobRunning && r.alive(id) {
			return RunUnderWay.New()
		}
		if err := tx.ReopenJob(id); err != nil {
			return err
		}
		r.claim(id)
		claimed = true
		return nil
	})
	if err != nil {
		if claimed {
			r.leave(id)
		}
		return view.Run{}, err
	}
	return r.start(ctx, client, id)
}

// IgnoreRobots lets a page be read although its robots.txt asks programs not to,
// and goes on with the run.
func (r *Runs) IgnoreRobots(ctx context.Context, client, id int64, url string) (view.Run, error) {
	err := r.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		return tx.IgnoreRobots(client, url)
	})
	if err != nil {
		return view.Run{}, err
	}
	return r.Resume(ctx, client, id)
}

// ReadPage reads one page of a client or a rival again, in a mode that is kept
// for later runs.
func (r *Runs) ReadPage(ctx context.Context, client int64, url string, mode reading.Mode) (view.Run, error) {
	job := store.Job{ClientID: client, StartedAt: r.now()}
	err := r.db.Write(ctx, func(tx *store.Tx) error {
		if last, err := tx.LastJob(client); err == nil && last.State == store.JobRunning && r.alive(last.ID) {
			return RunUnderWay.New()
		}
		name, err := ownerOf(tx, client, url)
		if err != nil {
			return err
		}
		if err := tx.SetMode(client, url, mode); err != nil {
			return err
		}
		job.Items = []store.JobItem{{Name: name, URL: url}}
		return r.add(tx, &job)
	})
	if err != nil {
		r.leave(job.ID)
		return view.Run{}, err
	}
	return r.start(ctx, client, job.ID)
}

// ownerOf names whose page an address is: the client's or an entry's.
func ownerOf(tx *store.Tx, client int64, url string) (string, error) {
	g, err := tx.Ground(client)
	if err != nil {
		return "", err
	}
	for _, p := range g.Pages {
		if p.URL == url && url != "" {
			return g.Client.Name, nil
		}
	}
	entries, err := tx.Entries(client)
	if err != nil {
		return "", err
	}
	for _, e := range entries {
		if e.URL == url && url != "" {
			return e.Name, nil
		}
	}
	for _, e := range entries { // another page of its site
		if domain := lineup.Domain(url); domain != "" && domain == lineup.Domain(e.URL) {
			return e.Name, nil
		}
	}
	return "", store.ErrNotFound
}

// Stop stops a run; it can be gone on with later.
func (r *Runs) Stop(ctx context.Context, client, id int64) (view.Run, error) {
	r.mu.Lock()
	stop := r.stops[id]
	r.mu.Unlock()
	if stop != nil {
		stop(context.Canceled)
	}
	return r.run(ctx, client, id)
}

// StopClient stops the run of a client.
func (r *Runs) StopClient(ctx context.Context, client int64) {
	if last, err := r.Last(ctx, client); err == nil && last != nil && last.State == store.JobRunning {
		_, _ = r.Stop(ctx, client, last.ID)
	}
}

// Last returns the newest run of a client, nil if there was none.
func (r *Runs) Last(ctx context.Context, client int64) (*view.Run, error) {
	var job store.Job
	err := r.db.Read(ctx, func(tx *store.Tx) (err error) {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		job, err = tx.LastJob(client)
		if errors.Is(err, store.ErrNotFound) {
			return nil
		}
		return err
	})
	if err != nil || job.ID == 0 {
		return nil, err
	}
	last, err := r.shown(ctx, job)
	return &last, err
}

// Watch returns the states of a client's runs as they change.
func (r *Runs) Watch(client int64) (<-chan view.Run, func()) { return r.hub.watch(client) }

func (r *Runs) run(ctx context.Context, client, id int64) (view.Run, error) {
	var job store.Job
	err := r.db.Read(ctx, func(tx *store.Tx) (err error) {
		job, err = tx.Job(client, id)
		return err
	})
	if err != nil {
		return runOf(job), err
	}
	return r.shown(ctx, job)
}

// BreakOff marks the runs that a dead program left running.
func (r *Runs) BreakOff(ctx context.Context) error {
	return r.db.Write(ctx, func(tx *store.Tx) error {
		ids, err := tx.RunningJobs()
		if err != nil {
			return err
		}
		for _, id := range ids {
			if err := tx.EndJob(id, store.JobInterrupted, r.now()); err != nil {
				return err
			}
		}
		return nil
	})
}

// start sets a job going in the background.
func (r *Runs) start(ctx context.Context, client, id int64) (view.Run, error) {
	state, err := r.run(ctx, client, id)
	if err != nil {
		r.leave(id)
		return state, err
	}
	running, stop := context.WithCancelCause(r.running)
	r.mu.Lock()
	r.stops[id] = stop
	r.mu.Unlock()
	r.work.Go(func() {
		defer stop(nil)
		r.readAll(running, client, id)
		r.leave(id)
		r.publish(context.WithoutCancel(running), client, id)
	})
	return state, nil
}

// readAll reads the pages of a job side by side and keeps each as it comes.
func (r *Runs) readAll(running context.Context, client, id int64) {
	keep := context.WithoutCancel(running) // what was read is kept, stopped or not
	var job store.Job
	var modes map[string]store.ReadMode
	err := r.db.Read(keep, func(tx *store.Tx) (err error) {
		if job, err = tx.Job(client, id); err != nil {
			return err
		}
		modes, err = tx.ReadModes(client)
		return err
	})
	if err != nil {
		r.log.Error("a run could not be loaded", "job", id, "error", err)
		return
	}
	r.each(running, job, store.ItemPage, SideBySide, func(item store.JobItem) {
		r.readItem(running, keep, client, id, item, modes[item.URL])
	})
	r.each(running, job, store.ItemSite, sitesAtOnce, func(item store.JobItem) {
		r.surveyItem(running, keep, client, id, item)
	})
	state := store.JobDone
	if running.Err() != nil {
		state = store.JobStopped
	}
	if store.DiskFull.Is(context.Cause(running)) {
		state = store.JobInterrupted
	}
	err = r.db.Write(keep, func(tx *store.Tx) error {
		if state == store.JobDone {
			if err := tx.DropAnswers(id); err != nil {
				return err
			}
		}
		return tx.EndJob(id, state, r.now())
	})
	if err != nil {
		r.log.Error("a run could not be ended", "job", id, "error", err)
	}
}

// each does what is left of a job's items of a kind, so many side by side.
func (r *Runs) each(running context.Context, job store.Job, kind string, limit int, do func(store.JobItem)) {
	var group errgroup.Group
	group.SetLimit(limit)
	for _, item := range job.Items {
		if item.State == store.ItemDone || item.Kind != kind {
			continue
		}
		group.Go(func() error {
			if running.Err() == nil {
				do(item)
			}
			return nil
		})
	}
	_ = group.Wait()
}

// readItem reads one page of a job. A page that fails says why; the rest of
// the run goes on.
func (r *Runs) readItem(running, keep context.Context, client, job int64, item store.JobItem, mode store.ReadMode) {
	item.State, item.Fault = store.ItemReading, nil
	r.setItem(keep, client, job, item)
	in, err := r.readings.Fetch(running, client, item.URL, mode)
	if err == nil {
		var kept int64
		kept, err = r.readings.Keep(keep, client, item.URL, in)
		item.ReadingID = &kept
	}
	switch {
	case err == nil:
		item.State = store.ItemDone
	case running.Err() != nil, r.full(job, err): // what stopping broke off is no failure, whatever its error says
		item.State, item.ReadingID = store.ItemWaiting, nil
	default:
		item.State, item.ReadingID, item.Fault = store.ItemFailed, nil, r.why(item, err)
	}
	r.setItem(keep, client, job, item)
}

// why returns the fault of a page that could not be read; what is none is the
// program's own and goes into the log.
func (r *Runs) why(item store.JobItem, err error) *fault.Fault {
	why, known := fault.Of(err)
	if !known {
		r.log.Error("a page could not be read", "page", item.URL, "error", err)
		return fault.OwnMistake.New()
	}
	return why
}

func (r *Runs) setItem(ctx context.Context, client, job int64, item store.JobItem) {
	err := r.db.Write(ctx, func(tx *store.Tx) error { return tx.SetItem(client, job, item) })
	if err != nil {
		r.log.Error("the state of a page could not be kept", "job", job, "page", item.URL, "error", err)
		r.full(job, err)
		return
	}
	r.publish(ctx, client, job)
}

// publish hands the state of a job to its watchers. States are read and handed
// on one at a time, so that progress never goes back.
func (r *Runs) publish(ctx context.Context, client, job int64) {
	r.publishing.Lock()
	defer r.publishing.Unlock()
	if state, err := r.run(ctx, client, job); err == nil {
		r.hub.publish(state)
	}
}
