package readings

import (
	"context"
	"errors"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/reading"
	"inktally/internal/fetch"
	"inktally/internal/fetch/render"
	"inktally/internal/store"
)

// Fetch reads a page from the web in the mode that was chosen for it.
// Automatically it is rendered by a browser only if a script builds it; if that
// cannot be done it is taken as served, with a note.
func (r *Readings) Fetch(ctx context.Context, client int64, url string, mode store.ReadMode) (Incoming, error) {
	ask := fetch.Request{Address: url, IgnoreRobots: mode.IgnoreRobots}
	if mode.Mode == reading.Rendered {
		return r.render(ctx, ask)
	}
	in, err := r.served(ctx, client, ask)
	if err != nil || mode.Mode == reading.Served || !r.read(in).Warns(page.DrawnByScript) {
		return in, err
	}
	rendered, err := r.render(ctx, ask)
	if ctx.Err() != nil {
		return in, context.Canceled
	}
	if err != nil {
		why, known := fault.Of(err)
		if !known {
			why = render.BrowserNotStart.New()
		}
		in.Note = TakenAsServed.New().Around(why)
		return in, nil
	}
	rendered.Document.Redirects = in.Document.Redirects
	return rendered, nil
}

// render reads a page as a browser renders it.
func (r *Readings) render(ctx context.Context, ask fetch.Request) (Incoming, error) {
	if r.Renderer == nil || !r.Renderer.Available() {
		return Incoming{}, render.NoBrowser.New()
	}
	doc, err := r.Renderer.Render(ctx, ask)
	return Incoming{Document: doc, Source: reading.FromBrowser, RobotsIgnored: ask.IgnoreRobots}, err
}

// served reads a page as served. If the site says that it has not changed since
// it was read last, the kept page is taken again.
func (r *Readings) served(ctx context.Context, client int64, ask fetch.Request) (Incoming, error) {
	var last store.Reading
	err := r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		last, err = tx.LatestReading(client, ask.Address)
		if errors.Is(err, store.ErrNotFound) {
			return nil
		}
		return err
	})
	if err != nil {
		return Incoming{}, err
	}
	if last.Source == reading.FromWeb {
		ask.ETag, ask.LastModified = last.ETag, last.LastModified
	}
	in := Incoming{Source: reading.FromWeb, RobotsIgnored: ask.IgnoreRobots}
	if in.Document, err = r.Web.Get(ctx, ask); err != nil {
		return in, err
	}
	if in.Document.Unchanged {
		if err := r.again(ctx, last, &in.Document); err != nil {
			return in, err
		}
	}
	in.Sheets = r.Web.Sheets(ctx, in.Document)
	return in, nil
}

// again fills a document that has not changed from its last reading.
func (r *Readings) again(ctx context.Context, last store.Reading, doc *fetch.Document) error {
	return r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		doc.ContentType, doc.Robots = last.ContentType, last.Robots
		if doc.ETag == "" {
			doc.ETag = last.ETag
		}
		if doc.LastModified == "" {
			doc.LastModified = last.LastModified
		}
		if doc.Body, err = tx.ReadingHTML(last.ID); err != nil {
			return PageKeptNowhere.New().Because(err)
		}
		return nil
	})
}

// Look reads a page at an address once, nil if it cannot be had; it is kept
// nowhere.
func (r *Readings) Look(ctx context.Context, address string) *page.Page {
	doc, err := r.Web.Get(ctx, fetch.Request{Address: address})
	if err != nil {
		return nil
	}
	return page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType})
}
