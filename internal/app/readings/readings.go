// Package readings brings pages in - from the web, a browser, files, archives or
// the clipboard - keeps each as a reading, and hands out the pages of readings.
// What was read of a page is kept beside its HTML and in memory, so that no
// other use case reads markup.
package readings

import (
	"context"
	"regexp"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/reading"
	"inktally/core/style"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Fetcher brings pages in as they are served.
type Fetcher interface {
	// Get brings a page; its errors are faults.
	Get(ctx context.Context, r fetch.Request) (fetch.Document, error)
	// Sheets brings the style sheets of a page, by address.
	Sheets(ctx context.Context, doc fetch.Document) map[string]string
}

// Renderer brings pages in as a browser renders them.
type Renderer interface {
	// Available reports whether there is a browser.
	Available() bool
	// Render brings a page; its errors are faults.
	Render(ctx context.Context, r fetch.Request) (fetch.Document, error)
}

// Readings keeps readings. It is safe for concurrent use.
type Readings struct {
	DB  *store.DB
	Web Fetcher
	// Renderer is nil if there is no browser.
	Renderer Renderer
	Studies  *study.Studies
	Now      func() time.Time

	cache  cache
	sheets style.Cache
}

// Incoming is a page that came in, before it is kept.
type Incoming struct {
	Document      fetch.Document
	Sheets        map[string]string
	Base          string // what its relative addresses start from, if not its own
	Source        reading.Source
	RobotsIgnored bool
	// Note is what its user should know of how it came in, nil for nothing.
	Note *fault.Fault
}

// read reads a page that came in.
func (r *Readings) read(in Incoming) *page.Page {
	return page.Read(in.Document.Body, page.Source{URL: in.Document.URL, ContentType: in.Document.ContentType,
		Robots: in.Document.Robots, Base: in.Base,
		Sheets: in.Sheets, Rendered: in.Source == reading.FromBrowser ||
			in.Source == reading.FromTab, Cache: &r.sheets})
}

// Keep reads a page that came in and keeps it as a reading of a client under an
// address, and more in the same transaction; it returns the reading's id.
func (r *Readings) Keep(ctx context.Context, client int64, key string, in Incoming,
	more ...func(*store.Tx, int64) error) (int64, error) {
	p := r.read(in)
	if p.Warns(page.NotHTML) {
		return 0, FileNotAPage.New(in.Document.URL)
	}
	kept, data := store.Reading{ClientID: client, URL: key, FinalURL: in.Document.URL, Source: in.Source,
		RobotsIgnored: in.RobotsIgnored,
		ContentType:   in.Document.ContentType, Robots: in.Document.Robots, Base: in.Base,
		Redirects: in.Document.Redirects, ETag: in.Document.ETag,
		LastModified: in.Document.LastModified, TakenAt: r.Now(), Facts: reading.FactsOf(p), Note: in.Note}, p.Data()
	err := r.DB.Write(ctx, func(tx *store.Tx) (err error) {
		if kept.ID, err = tx.AddReading(kept, in.Document.Body, data); err != nil {
			return err
		}
		for _, also := range more {
			if err := also(tx, kept.ID); err != nil {
				return err
			}
		}
		if err := tx.AddSheets(kept.ID, in.Sheets); err != nil {
			return err
		}
		kept, err = tx.Reading(client, kept.ID)
		return err
	})
	if err == nil {
		r.cache.put(atHand(kept), page.FromData(data))
	}
	return kept.ID, err
}

// Page returns the page of a reading: the one at hand, else what was kept of it,
// else by reading its HTML by today's rules. It keeps nothing (CatchUp does).
func (r *Readings) Page(ctx context.Context, of store.Reading) (*page.Page, error) {
	if p := r.cache.get(atHand(of)); p != nil {
		return p, nil
	}
	var data *page.Data
	err := r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		data, err = tx.ReadingPage(of.ID)
		return err
	})
	if err != nil {
		return nil, err
	}
	var p *page.Page
	if data != nil {
		p = page.FromData(data)
	} else if p, err = r.anew(ctx, of); err != nil {
		return nil, err
	}
	r.cache.put(atHand(of), p)
	return p, nil
}

// atHand is what the page of a reading is at hand by: one that did not change is there once, however often it was read.
func atHand(of store.Reading) int64 {
	if of.Rules == page.Rules && of.Body > 0 {
		return of.Body
	}
	return -of.ID
}

// anew reads the HTML of a reading by today's rules.
func (r *Readings) anew(ctx context.Context, of store.Reading) (*page.Page, error) {
	in := Incoming{Document: fetch.Document{URL: of.FinalURL, ContentType: of.ContentType, Robots: of.Robots},
		Base:   of.Base,
		Source: of.Source}
	err := r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		if in.Document.Body, err = tx.ReadingHTML(of.ID); err != nil || of.Source == reading.FromPaste {
			return err
		}
		in.Sheets, err = tx.ReadingSheets(of.ID)
		return err
	})
	if err != nil {
		return nil, err
	}
	return page.FromData(r.read(in).Data()), nil
}

// Paste keeps pasted HTML or text as a reading of one of the client's pages, or
// of a rival's if entry is its lineup entry.
func (r *Readings) Paste(ctx context.Context, client, pageID, entry int64, html string) (view.Filed, error) {
	if strings.TrimSpace(html) == "" {
		return view.Filed{}, NothingPasted.New()
	}
	if len(html) > fetch.MaxBody {
		return view.Filed{}, PastedTooLarge.New(fetch.MaxBody >> 20)
	}
	_, here, err := r.owned(ctx, client, pageID, entry)
	if err != nil {
		return view.Filed{}, err
	}
	contentType := "text/html; charset=utf-8"
	if !markup.MatchString(html) {
		contentType = "text/plain; charset=utf-8"
	}
	id, err := r.Keep(ctx, client, here.key, Incoming{Source: reading.FromPaste,
		Document: fetch.Document{URL: here.address, ContentType: contentType, Body: []byte(html)}})
	return view.Filed{URL: here.address, Name: here.name, PageID: here.page, ReadingID: id}, err
}

// markup reports whether what was pasted is HTML, not text.
var markup = regexp.MustCompile(
	`(?i)<(!doctype|html|head|body|main|div|p|h[1-6]|a|ul|ol|table|section|article|span|br|img)[\s/>]`)

// Remove removes a reading that was added by mistake; the one before it stands
// again.
func (r *Readings) Remove(ctx context.Context, client, id int64) error {
	return r.DB.Write(ctx, func(tx *store.Tx) error { return tx.DeleteReading(client, id) })
}

// KeptHTML returns the page of a reading as it was kept, as UTF-8.
func (r *Readings) KeptHTML(ctx context.Context, client, id int64) (html []byte, contentType string, err error) {
	err = r.DB.Read(ctx, func(tx *store.Tx) error {
		of, err := tx.Reading(client, id)
		if err != nil {
			return err
		}
		contentType = of.ContentType
		html, err = tx.ReadingHTML(id)
		return err
	})
	return html, contentType, err
}
