package app

import (
	"context"
	"fmt"

	"inktally/core/page"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// The roads by which a page comes in.
const (
	roadWeb     = "web"
	roadBrowser = "browser"
	roadFile    = "saved file"
	roadArchive = "web archive"
	roadPasted  = "pasted"
)

// The ways in which a page of the web can be read.
const (
	WayServed  = "served"
	WayBrowser = "browser"
)

// brought is a page that came in, before it is kept.
type brought struct {
	doc       fetch.Document
	sheets    map[string]string
	base      string // what its relative addresses start from, where not its own
	road      string
	overruled bool
	note      string // what its user should know of how it came in
}

// read reads a page that came in.
func (a *App) read(b brought) *page.Page {
	return page.Read(b.doc.Body, page.Source{URL: b.doc.URL, ContentType: b.doc.ContentType, Base: b.base,
		Sheets: b.sheets, Drawn: b.road == roadBrowser, Cache: &a.sheets})
}

// bring reads a page from the web in the way that was chosen for it. Where
// nothing was chosen it is drawn by a browser only when a script draws it; if
// that cannot be done it is taken as served, with a note.
func (a *App) bring(ctx context.Context, client int64, url string, way store.Way) (brought, error) {
	ask := fetch.Request{Address: url, Overrule: way.Overruled}
	if way.Way == WayBrowser {
		return a.draw(ctx, ask)
	}
	b, err := a.fetchPage(ctx, client, ask)
	if err != nil || way.Way == WayServed || !drawnByScript(a.read(b)) {
		return b, err
	}
	drawn, err := a.draw(ctx, ask)
	if ctx.Err() != nil {
		return b, context.Canceled
	}
	if err != nil {
		b.note = "taken as served, since " + err.Error()
		return b, nil
	}
	drawn.doc.Redirects = b.doc.Redirects
	return drawn, nil
}

func drawnByScript(p *page.Page) bool {
	for _, w := range p.Warnings {
		if w == page.DrawnByScript {
			return true
		}
	}
	return false
}

// draw reads a page as a browser draws it.
func (a *App) draw(ctx context.Context, ask fetch.Request) (brought, error) {
	if a.drawer == nil || !a.drawer.Available() {
		return brought{}, Invalid{"no browser is at hand to draw pages: install Chromium, or name one with --browser-url"}
	}
	doc, err := a.drawer.Draw(ctx, ask)
	return brought{doc: doc, road: roadBrowser, overruled: ask.Overrule}, err
}

// fetchPage reads a page as served. Where the site says that it has not
// changed since it was read last, the kept page is taken again.
func (a *App) fetchPage(ctx context.Context, client int64, ask fetch.Request) (brought, error) {
	var last store.Reading
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		last, err = tx.LatestReading(client, ask.Address)
		return ignoreNotFound(err)
	})
	if err != nil {
		return brought{}, err
	}
	if last.Road == roadWeb {
		ask.ETag, ask.LastModified = last.ETag, last.LastModified
	}
	b := brought{road: roadWeb, overruled: ask.Overrule}
	if b.doc, err = a.pages.Get(ctx, ask); err != nil {
		return b, err
	}
	if b.doc.Unchanged {
		if err := a.takeAgain(ctx, last, &b.doc); err != nil {
			return b, err
		}
	}
	b.sheets = a.pages.Sheets(ctx, b.doc)
	return b, nil
}

// takeAgain fills a document that has not changed from its last reading.
func (a *App) takeAgain(ctx context.Context, last store.Reading, doc *fetch.Document) error {
	return a.db.Read(ctx, func(tx *store.Tx) (err error) {
		doc.ContentType = last.ContentType
		if doc.ETag == "" {
			doc.ETag = last.ETag
		}
		if doc.LastModified == "" {
			doc.LastModified = last.LastModified
		}
		if doc.Body, err = tx.ReadingHTML(last.ID); err != nil {
			return fmt.Errorf("the page has not changed, but its last reading is lost: %w", err)
		}
		return nil
	})
}
