package runs

import (
	"context"

	"inktally/core/fault"
	"inktally/internal/store"
	"inktally/internal/view"
)

// shown shows a job. One that nobody works at any more is broken off, whatever could be
// written of its end: a full disk keeps nothing.
func (r *Runs) shown(ctx context.Context, j store.Job) (view.Run, error) {
	if j.State == store.JobRunning && !r.alive(j.ID) {
		// Its end may have been written since it was read: that comes before it is left.
		err := r.db.Read(ctx, func(tx *store.Tx) (err error) {
			j, err = tx.Job(j.ClientID, j.ID)
			return err
		})
		if err != nil {
			return view.Run{}, err
		}
		if j.State == store.JobRunning && !r.alive(j.ID) {
			j.State = store.JobInterrupted
		}
	}
	run := runOf(j)
	r.mu.Lock()
	defer r.mu.Unlock()
	if run.State == store.JobInterrupted {
		run.Failure = view.FailureOf(r.broken[j.ID])
	}
	return run, nil
}

// claim marks a job as being worked at, within the transaction that makes it so.
func (r *Runs) claim(id int64) {
	r.mu.Lock()
	defer r.mu.Unlock()
	r.stops[id] = func(error) {}
	delete(r.broken, id)
}

// leave marks a job as not being worked at.
func (r *Runs) leave(id int64) {
	r.mu.Lock()
	defer r.mu.Unlock()
	delete(r.stops, id)
}

// full breaks off a job where an error says that the disk is full: nothing more of it can
// be kept.
func (r *Runs) full(id int64, err error) bool {
	why, _ := fault.Of(err)
	if why == nil || why.Code != store.DiskFull.Code {
		return false
	}
	r.mu.Lock()
	defer r.mu.Unlock()
	if stop, works := r.stops[id]; works {
		r.broken[id] = why
		stop(why)
	}
	return true
}

// alive reports whether a job is being worked at.
func (r *Runs) alive(id int64) bool {
	r.mu.Lock()
	defer r.mu.Unlock()
	_, works := r.stops[id]
	return works
}

// add adds a job that is worked at.
func (r *Runs) add(tx *store.Tx, job *store.Job) (err error) {
	if job.ID, err = tx.AddJob(*job); err == nil {
		r.claim(job.ID)
	}
	return err
}
