package app

import (
	"context"
	"errors"
	"fmt"
	"time"

	"inktally/internal/store"

	"golang.org/x/sync/errgroup"
)

// sideBySide is how many pages of a run are read at the same time.
const sideBySide = 4

// Run is a measuring run and how far it is.
type Run struct {
	ID       int64     `json:"id"`
	ClientID int64     `json:"client_id"`
	State    string    `json:"state" enum:"running,done,stopped,broken off"`
	Started  time.Time `json:"started"`
	Done     int       `json:"done" doc:"Pages read"`
	Failed   int       `json:"failed"`
	Items    []RunItem `json:"items"`
}

// RunItem is one page of a run.
type RunItem struct {
	Name  string `json:"name"`
	URL   string `json:"url"`
	State string `json:"state" enum:"waiting,reading,done,failed"`
	Error string `json:"error"`
}

func runOf(j store.Job) Run {
	r := Run{ID: j.ID, ClientID: j.ClientID, State: j.State, Started: j.StartedAt, Items: []RunItem{}}
	for _, i := range j.Items {
		r.Items = append(r.Items, RunItem{Name: i.Name, URL: i.URL, State: i.State, Error: i.Error})
		switch i.State {
		case store.ItemDone:
			r.Done++
		case store.ItemFailed:
			r.Failed++
		}
	}
	return r
}

// Measure starts a run over the client's pages and its rivals'.
func (a *App) Measure(ctx context.Context, client int64) (Run, error) {
	job := store.Job{ClientID: client, StartedAt: a.now()}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if last, err := tx.LastJob(client); err == nil && last.State == store.JobRunning {
			return Invalid{"a run is under way already"}
		}
		g, err := tx.Ground(client)
		if err != nil {
			return err
		}
		entries, err := tx.Entries(client)
		if err != nil {
			return err
		}
		for _, p := range g.Pages {
			if p.URL != "" {
				job.Items = append(job.Items, store.JobItem{Name: g.Client.Name, URL: p.URL})
			}
		}
		for _, e := range rivals(entries) {
			job.Items = append(job.Items, store.JobItem{Name: e.Name, URL: e.URL})
		}
		if len(job.Items) == 0 {
			return Invalid{"there is no page to read: give the client's address or take a rival"}
		}
		job.ID, err = tx.AddJob(job)
		return err
	})
	if err != nil {
		return Run{}, err
	}
	return a.start(ctx, client, job.ID)
}

// Resume goes on with a run that was stopped or broken off, and tries what
// failed again.
func (a *App) Resume(ctx context.Context, client, id int64) (Run, error) {
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		job, err := tx.Job(client, id)
		if err != nil {
			return err
		}
		if job.State == store.JobRunning {
			return Invalid{"the run is under way already"}
		}
		return tx.ReopenJob(id)
	})
	if err != nil {
		return Run{}, err
	}
	return a.start(ctx, client, id)
}

// Overrule lets a page be read although its site asks programs not to, and
// goes on with the run.
func (a *App) Overrule(ctx context.Context, client, id int64, url string) (Run, error) {
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		return tx.Overrule(client, url)
	})
	if err != nil {
		return Run{}, err
	}
	return a.Resume(ctx, client, id)
}

// ReadPage reads one page of a client or a rival anew, in a way that is kept
// for later runs: "served", "browser", or empty to leave it to the program.
func (a *App) ReadPage(ctx context.Context, client int64, url, way string) (Run, error) {
	job := store.Job{ClientID: client, StartedAt: a.now()}
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		if last, err := tx.LastJob(client); err == nil && last.State == store.JobRunning {
			return Invalid{"a run is under way already"}
		}
		name, err := ownerOf(tx, client, url)
		if err != nil {
			return err
		}
		if err := tx.SetWay(client, url, way); err != nil {
			return err
		}
		job.Items = []store.JobItem{{Name: name, URL: url}}
		job.ID, err = tx.AddJob(job)
		return err
	})
	if err != nil {
		return Run{}, err
	}
	return a.start(ctx, client, job.ID)
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
	return "", ErrNotFound
}

// Stop stops a run; it can be gone on with later.
func (a *App) Stop(ctx context.Context, client, id int64) (Run, error) {
	a.mu.Lock()
	stop := a.stops[id]
	a.mu.Unlock()
	if stop != nil {
		stop()
	}
	return a.run(ctx, client, id)
}

// stopClient stops the runs of a client.
func (a *App) stopClient(ctx context.Context, client int64) {
	if r, err := a.LastRun(ctx, client); err == nil && r != nil && r.State == store.JobRunning {
		_, _ = a.Stop(ctx, client, r.ID)
	}
}

// LastRun returns the newest run of a client, nil where there was none.
func (a *App) LastRun(ctx context.Context, client int64) (*Run, error) {
	var job store.Job
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if _, err := tx.Client(client); err != nil {
			return err
		}
		job, err = tx.LastJob(client)
		return ignoreNotFound(err)
	})
	if err != nil || job.ID == 0 {
		return nil, err
	}
	r := runOf(job)
	return &r, nil
}

// Watch returns the states of a client's runs as they change.
func (a *App) Watch(client int64) (<-chan Run, func()) { return a.hub.watch(client) }

func (a *App) run(ctx context.Context, client, id int64) (Run, error) {
	var job store.Job
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		job, err = tx.Job(client, id)
		return err
	})
	return runOf(job), err
}

// breakOff marks the runs that a dead program left running.
func (a *App) breakOff(ctx context.Context) error {
	return a.db.Write(ctx, func(tx *store.Tx) error {
		ids, err := tx.RunningJobs()
		if err != nil {
			return err
		}
		for _, id := range ids {
			if err := tx.EndJob(id, store.JobBrokenOff, a.now()); err != nil {
				return err
			}
		}
		return nil
	})
}

// start sets a job going in the background.
func (a *App) start(ctx context.Context, client, id int64) (Run, error) {
	r, err := a.run(ctx, client, id)
	if err != nil {
		return r, err
	}
	running, stop := context.WithCancel(a.running)
	a.mu.Lock()
	a.stops[id] = stop
	a.mu.Unlock()
	a.work.Go(func() {
		defer stop()
		a.readAll(running, client, id)
		a.mu.Lock()
		delete(a.stops, id)
		a.mu.Unlock()
	})
	return r, nil
}

// readAll reads the pages of a job side by side and keeps each as it comes.
func (a *App) readAll(running context.Context, client, id int64) {
	keep := context.WithoutCancel(running) // what was read is kept, stopped or not
	var job store.Job
	var ways map[string]store.Way
	err := a.db.Read(keep, func(tx *store.Tx) (err error) {
		if job, err = tx.Job(client, id); err != nil {
			return err
		}
		ways, err = tx.Ways(client)
		return err
	})
	if err != nil {
		a.log.Error("a run could not be loaded", "job", id, "error", err)
		return
	}
	var group errgroup.Group
	group.SetLimit(sideBySide)
	for _, item := range job.Items {
		if item.State == store.ItemDone {
			continue
		}
		group.Go(func() error {
			if running.Err() == nil {
				a.readItem(running, keep, client, id, item, ways[item.URL])
			}
			return nil
		})
	}
	_ = group.Wait()
	state := store.JobDone
	if running.Err() != nil {
		state = store.JobStopped
	}
	err = a.db.Write(keep, func(tx *store.Tx) error { return tx.EndJob(id, state, a.now()) })
	if err != nil {
		a.log.Error("a run could not be ended", "job", id, "error", err)
	}
	a.publish(keep, client, id)
}

// readItem reads one page of a job. A page that fails says why; the rest of
// the run goes on.
func (a *App) readItem(running, keep context.Context, client, job int64, item store.JobItem, way store.Way) {
	item.State, item.Error = store.ItemReading, ""
	a.setItem(keep, client, job, item)
	b, err := a.bring(running, client, item.URL, way)
	if err == nil {
		var reading int64
		reading, err = a.keep(keep, client, item.URL, b)
		item.ReadingID = &reading
	}
	switch {
	case err == nil:
		item.State = store.ItemDone
	case errors.Is(err, context.Canceled):
		item.State, item.ReadingID = store.ItemWaiting, nil
	default:
		item.State, item.ReadingID, item.Error = store.ItemFailed, nil, err.Error()
		var own Invalid
		if errors.As(err, &own) {
			item.Error = fmt.Sprintf("%s: %s", item.Name, own.Sentence)
		}
	}
	a.setItem(keep, client, job, item)
}

func (a *App) setItem(ctx context.Context, client, job int64, item store.JobItem) {
	err := a.db.Write(ctx, func(tx *store.Tx) error { return tx.SetItem(job, item) })
	if err != nil {
		a.log.Error("the state of a page could not be kept", "job", job, "page", item.URL, "error", err)
		return
	}
	a.publish(ctx, client, job)
}

// publish hands the state of a job to its watchers. States are read and handed
// on one at a time, so that progress never goes back.
func (a *App) publish(ctx context.Context, client, job int64) {
	a.publishing.Lock()
	defer a.publishing.Unlock()
	if r, err := a.run(ctx, client, job); err == nil {
		a.hub.publish(r)
	}
}
