package runs

import (
	"context"
	"sync"
	"time"

	"inktally/internal/app/surveys"
	"inktally/internal/store"
)

// between is the least time from one report of the progress of a survey to the next.
const between = 200 * time.Millisecond

// surveyItem surveys one site of a job. One that fails says why; the rest of the
// run goes on.
func (r *Runs) surveyItem(running, keep context.Context, client, job int64, item store.JobItem) {
	item.State, item.Fault, item.Visited, item.Known = store.ItemReading, nil, 0, 0
	r.setItem(keep, client, job, item)
	var mu sync.Mutex
	var last time.Time
	err := r.surveys.Visit(running, surveys.Job{Client: client, ID: job, URL: item.URL, Seen: func(visited, known int) {
		mu.Lock()
		defer mu.Unlock()
		item.Visited, item.Known = max(item.Visited, visited), max(item.Known, known)
		if now := r.now(); now.Sub(last) >= between {
			last = now
			r.setItem(keep, client, job, item)
		}
	}})
	switch {
	case err == nil:
		item.State = store.ItemDone
	case running.Err() != nil, r.full(job, err):
		item.State = store.ItemWaiting
	default:
		item.State, item.Fault = store.ItemFailed, r.why(item, err)
	}
	r.setItem(keep, client, job, item)
}
