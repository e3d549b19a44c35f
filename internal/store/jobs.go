package store

import (
	"cmp"
	"time"

	"inktally/internal/store/kept"

	"inktally/core/fault"
)

// The states of a job.
const (
	JobRunning     = "running"
	JobDone        = "done"
	JobStopped     = "stopped"
	JobInterrupted = "interrupted"
)

// The states of a job's item.
const (
	ItemWaiting = "waiting"
	ItemReading = "reading"
	ItemDone    = "done"
	ItemFailed  = "failed"
)

// Job is one measuring run.
type Job struct {
	ID        int64
	ClientID  int64
	State     string
	StartedAt time.Time
	EndedAt   time.Time
	Items     []JobItem
}

// The kinds of a job's items.
const (
	ItemPage = "page"
	ItemSite = "site"
)

// JobItem is one page of a run, or one site that it surveys.
type JobItem struct {
	Position int
	Kind     string
	Name     string
	URL      string
	State    string
	// Fault is why it failed, nil if it did not.
	Fault     *fault.Fault
	ReadingID *int64
	// Visited are the pages of a site that were read, Known those that are known.
	Visited, Known int
}

// AddJob adds a running job with its items waiting and returns its id.
func (t *Tx) AddJob(j Job) (int64, error) {
	id, err := t.insert(none, `INSERT INTO jobs (client_id, state, started_at) VALUES (?, ?, ?)`, j.ClientID,
		JobRunning, kept.Time(j.StartedAt))
	if err != nil {
		return 0, err
	}
	for i, item := range j.Items {
		_, err := t.exec(none,
			`INSERT INTO job_items (job_id, position, kind, name, url, state) VALUES (?, ?, ?, ?, ?, ?)`,
			id, i, cmp.Or(item.Kind, ItemPage), item.Name, item.URL, ItemWaiting)
		if err != nil {
			return 0, err
		}
	}
	return id, nil
}

// SetItem changes the state of an item of a client's job.
func (t *Tx) SetItem(client, job int64, item JobItem) error {
	effect := none // of progress
	if item.State != ItemReading {
		effect = of(client, FacetReadings) // Failures
	}
	return t.change(effect,
		`UPDATE job_items SET state = ?, fault = ?, reading_id = ?, visited = ?, known = ?
			WHERE job_id = ? AND position = ?`,
		item.State, kept.FaultOf(item.Fault), item.ReadingID, item.Visited, item.Known, job, item.Position)
}

// EndJob ends a running job; items that were under way wait again.
func (t *Tx) EndJob(id int64, state string, at time.Time) error {
	if _, err := t.exec(none, `UPDATE job_items SET state = ? WHERE job_id = ? AND state = ?`, ItemWaiting, id,
		ItemReading); err != nil {
		return err
	}
	_, err := t.exec(none, `UPDATE jobs SET state = ?, ended_at = ? WHERE id = ? AND state = ?`, state, kept.Time(at),
		id, JobRunning)
	return err
}

// RunningJobs returns the ids of all jobs that are marked as running.
func (t *Tx) RunningJobs() ([]int64, error) {
	return All(t, func(r Scanner, id *int64) error {
		return r.Scan(id)
	}, `SELECT id FROM jobs WHERE state = ?`, JobRunning)
}

// LastJob returns the newest job of a client.
func (t *Tx) LastJob(client int64) (Job, error) {
	return t.job(`client_id = ? ORDER BY id DESC LIMIT 1`, client)
}

// Job returns a job of a client.
func (t *Tx) Job(client, id int64) (Job, error) {
	return t.job(`client_id = ? AND id = ?`, client, id)
}

func (t *Tx) job(where string, args ...any) (j Job, err error) {
	err = t.one(`SELECT id, client_id, state, started_at, ended_at FROM jobs WHERE `+where, args,
		&j.ID, &j.ClientID, &j.State, (*kept.Time)(&j.StartedAt), (*kept.Time)(&j.EndedAt))
	if err != nil {
		return j, err
	}
	j.Items, err = All(t, func(r Scanner, i *JobItem) error {
		return r.Scan(&i.Position, &i.Kind, &i.Name, &i.URL, &i.State, kept.Fault{To: &i.Fault}, &i.ReadingID,
			&i.Visited, &i.Known)
	},
		`SELECT position, kind, name, url, state, fault, reading_id, visited, known FROM job_items
			WHERE job_id = ? ORDER BY position`, j.ID)
	return j, err
}

// Failures returns why pages of a client could not be read when that was last
// tried, by address.
func (t *Tx) Failures(client int64) (map[string]*fault.Fault, error) {
	type row struct {
		url   string
		fault *fault.Fault
	}
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.url, kept.Fault{To: &v.fault}) }, `
		SELECT url, fault FROM (
			SELECT i.url, i.fault, i.state, ROW_NUMBER() OVER (PARTITION BY i.url ORDER BY i.job_id DESC) AS age
			FROM job_items i JOIN jobs j ON j.id = i.job_id
			WHERE j.client_id = ? AND i.kind = 'page' AND i.state IN (?, ?))
		WHERE age = 1 AND state = ?`, client, ItemDone, ItemFailed, ItemFailed)
	out := make(map[string]*fault.Fault, len(rows))
	for _, r := range rows {
		out[r.url] = r.fault
	}
	return out, err
}

// ReopenJob lets an ended job run again.
func (t *Tx) ReopenJob(id int64) error {
	return t.change(none, `UPDATE jobs SET state = ?, ended_at = '' WHERE id = ?`, JobRunning, id)
}
