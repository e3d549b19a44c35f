package runs

import (
	"context"

	"inktally/core/lineup"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// What says what a run does.
type What struct {
	// Pages reads the client's pages and those that they are compared with, Sites
	// surveys its site and its rivals'.
	Pages, Sites bool
}

// Measure starts a run over the client's pages and its rivals'.
func (r *Runs) Measure(ctx context.Context, id int64) (view.Run, error) {
	return r.Start(ctx, id, What{Pages: true})
}

// Survey starts a run over the client's site and its rivals'.
func (r *Runs) Survey(ctx context.Context, id int64) (view.Run, error) {
	return r.Start(ctx, id, What{Sites: true})
}

// Start starts a run.
func (r *Runs) Start(ctx context.Context, id int64, what What) (view.Run, error) {
	job := store.Job{ClientID: id, StartedAt: r.now()}
	err := r.db.Write(ctx, func(tx *store.Tx) error {
		if last, err := tx.LastJob(id); err == nil && last.State == store.JobRunning && r.alive(last.ID) {
			return RunUnderWay.New()
		}
		k, err := r.studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		if what.Pages {
			if job.Items, err = pagesOf(ctx, k.Known); err != nil {
				return err
			}
		}
		if what.Sites {
			job.Items = append(job.Items, sitesOf(k.Known)...)
		}
		if len(job.Items) == 0 {
			return NothingToRead.New()
		}
		return r.add(tx, &job)
	})
	if err != nil {
		r.leave(job.ID)
		return view.Run{}, err
	}
	return r.start(ctx, id, job.ID)
}

// pagesOf returns the pages that a run reads: the client's, those of its lineup's
// rivals, and the pages of these that others of the client's are compared with.
func pagesOf(ctx context.Context, k *study.Known) (items []store.JobItem, err error) {
	had := map[string]bool{}
	add := func(name, url string) {
		if url != "" && !had[url] {
			had[url] = true
			items = append(items, store.JobItem{Kind: store.ItemPage, Name: name, URL: url})
		}
	}
	for _, p := range k.Pages {
		add(k.Client.Name, p.URL)
	}
	for _, e := range k.RivalEntries() {
		add(e.Name, e.URL)
	}
	beside, err := k.Beside(ctx)
	if err != nil {
		return nil, err
	}
	for _, p := range k.Pages {
		for _, b := range beside.Of(p) {
			add(b.Entry.Name, b.URL)
		}
	}
	return items, nil
}

// sitesOf returns the sites that a run surveys, each once.
func sitesOf(k *study.Known) (items []store.JobItem) {
	had := map[string]bool{}
	add := func(name, url string) {
		if domain := lineup.Domain(url); domain != "" && !had[domain] {
			had[domain] = true
			items = append(items, store.JobItem{Kind: store.ItemSite, Name: name, URL: url})
		}
	}
	if home, err := study.HomePage(k.Pages); err == nil {
		add(k.Client.Name, home.URL)
	}
	for _, e := range k.SearchRivals() {
		add(e.Name, e.URL)
	}
	return items
}
