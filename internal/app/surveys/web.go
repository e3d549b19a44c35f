package surveys

import (
	"context"
	"errors"
	"sync"

	"inktally/core/page"
	"inktally/core/site"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// keptWeb reads pages for a survey and keeps each as a reading. What its run read
// before is not asked for again.
type keptWeb struct {
	Lister
	surveys *Surveys
	job     Job
	keys    map[string]string // by bare address: under which one readings are kept
	modes   map[string]store.ReadMode
	answers map[string]store.Reading // by the address that was asked for

	coming sync.Map // by final address: what came in
}

// come is a page that came in, and the address that was asked for.
type come struct {
	in    readings.Incoming
	asked string
}

// key returns the address under which the readings of a page are kept.
func (w *keptWeb) key(url string) string {
	if known, ok := w.keys[site.BareAddress(url)]; ok && url != "" {
		return known
	}
	return url
}

// Get brings a page.
func (w *keptWeb) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	if had, ok := w.answers[r.Address]; ok {
		w.coming.Store(had.FinalURL, had)
		return fetch.Document{URL: had.FinalURL, ContentType: had.ContentType}, nil
	}
	mode := w.modes[w.key(r.Address)]
	mode.IgnoreRobots = mode.IgnoreRobots || r.IgnoreRobots
	in, err := w.surveys.Readings.Fetch(ctx, w.job.Client, r.Address, mode)
	if err != nil {
		return fetch.Document{}, err
	}
	w.coming.Store(in.Document.URL, come{in, r.Address})
	return in.Document, nil
}

// Page reads what Get brought and keeps it.
func (w *keptWeb) Page(ctx context.Context, doc fetch.Document, _ bool) (*page.Page, error) {
	keep := context.WithoutCancel(ctx)
	came, ok := w.coming.LoadAndDelete(doc.URL)
	if !ok {
		return nil, nil
	}
	if had, ok := came.(store.Reading); ok {
		return w.readable(keep, had)
	}
	c := came.(come)
	id, err := w.surveys.Readings.Keep(keep, w.job.Client, w.key(doc.URL), c.in)
	if readings.FileNotAPage.Is(err) {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	var kept store.Reading
	err = w.surveys.DB.Write(keep, func(tx *store.Tx) (err error) {
		if err = tx.AddAnswer(w.job.ID, c.asked, id); err != nil {
			return err
		}
		kept, err = tx.Reading(w.job.Client, id)
		return err
	})
	if err != nil {
		return nil, err
	}
	return w.readable(keep, kept)
}

// readable returns the page of a reading, nil for one that is damaged: the rest of the site is
// surveyed all the same.
func (w *keptWeb) readable(ctx context.Context, of store.Reading) (*page.Page, error) {
	p, err := w.surveys.Readings.Page(ctx, of)
	if errors.Is(err, store.ErrDamaged) {
		return nil, nil
	}
	return p, err
}
