package app

import (
	"context"
	"encoding/json"
	"fmt"
	"regexp"
	"slices"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// facts are the figures that are kept beside a reading for lists; all others
// are worked out from its page.
type facts struct {
	Title    string         `json:"title"`
	Words    page.Words     `json:"words"`
	Warnings []page.Warning `json:"warnings"`
	// Note is what the user should know of how the page came in.
	Note string `json:"note,omitempty"`
}

func factsOf(r store.Reading) facts {
	var f facts
	_ = json.Unmarshal([]byte(r.Facts), &f)
	return f
}

// seenOf returns the words seen of a reading.
func seenOf(r store.Reading) *int {
	seen := factsOf(r).Words.Seen
	return &seen
}

// readingKey is under which address the readings of a page are kept. What is
// pasted for a page without an address has one of its own.
func readingKey(p store.Page) string {
	if p.URL == "" {
		return fmt.Sprintf("pasted:%d", p.ID)
	}
	return p.URL
}

// keep reads a page that came in and keeps it as a reading under an address.
func (a *App) keep(ctx context.Context, client int64, key string, b brought) (int64, error) {
	p := a.read(b)
	if slices.Contains(p.Warnings, page.NotHTML) {
		return 0, Invalid{"this is not a web page"}
	}
	kept, err := json.Marshal(facts{Title: p.Title, Words: p.Words, Warnings: p.Warnings, Note: b.note})
	if err != nil {
		return 0, err
	}
	r := store.Reading{ClientID: client, URL: key, FinalURL: b.doc.URL, Road: b.road, Overruled: b.overruled, ContentType: b.doc.ContentType,
		Base: b.base, Redirects: b.doc.Redirects, ETag: b.doc.ETag, LastModified: b.doc.LastModified, TakenAt: a.now(), Facts: string(kept)}
	err = a.db.Write(ctx, func(tx *store.Tx) error {
		if r.ID, err = tx.AddReading(r, b.doc.Body); err != nil {
			return err
		}
		return tx.AddSheets(r.ID, b.sheets)
	})
	if err == nil {
		a.cache.put(r.ID, p)
	}
	return r.ID, err
}

// pageOf returns the page of a reading, read anew from the kept HTML where it
// is not at hand.
func (a *App) pageOf(ctx context.Context, r store.Reading) (*page.Page, error) {
	if p := a.cache.get(r.ID); p != nil {
		return p, nil
	}
	b := brought{doc: fetch.Document{URL: r.FinalURL, ContentType: r.ContentType}, base: r.Base, road: r.Road}
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if b.doc.Body, err = tx.ReadingHTML(r.ID); err != nil || r.Road == roadPasted {
			return err
		}
		b.sheets, err = tx.ReadingSheets(r.ID)
		return err
	})
	if err != nil {
		return nil, err
	}
	p := a.read(b)
	a.cache.put(r.ID, p)
	return p, nil
}

// Paste keeps pasted HTML or text as a reading of one of the client's pages, or of a
// rival's where entry is its lineup entry.
func (a *App) Paste(ctx context.Context, client, pageID, entry int64, html string) (Filed, error) {
	if strings.TrimSpace(html) == "" {
		return Filed{}, Invalid{"nothing was pasted"}
	}
	if len(html) > fetch.MaxBody {
		return Filed{}, Invalid{fmt.Sprintf("what was pasted is larger than %d MB", fetch.MaxBody>>20)}
	}
	_, here, err := a.seats(ctx, client, pageID, entry)
	if err != nil {
		return Filed{}, err
	}
	contentType := "text/html; charset=utf-8"
	if !markup.MatchString(html) {
		contentType = "text/plain; charset=utf-8"
	}
	id, err := a.keep(ctx, client, here.key, brought{road: roadPasted, doc: fetch.Document{URL: here.address, ContentType: contentType, Body: []byte(html)}})
	return Filed{URL: here.address, Name: here.name, PageID: here.page, ReadingID: id}, err
}

// DropReading takes a reading back that was brought by mistake; the one before
// it stands again.
func (a *App) DropReading(ctx context.Context, client, id int64) error {
	return a.db.Write(ctx, func(tx *store.Tx) error { return tx.DeleteReading(client, id) })
}

// markup tells pasted HTML from pasted text.
var markup = regexp.MustCompile(`(?i)<(!doctype|html|head|body|main|div|p|h[1-6]|a|ul|ol|table|section|article|span|br|img)[\s/>]`)

// KeptHTML returns the page of a reading as it was kept, as UTF-8.
func (a *App) KeptHTML(ctx context.Context, client, reading int64) (html []byte, contentType string, err error) {
	err = a.db.Read(ctx, func(tx *store.Tx) error {
		r, err := tx.Reading(client, reading)
		if err != nil {
			return err
		}
		contentType = r.ContentType
		html, err = tx.ReadingHTML(reading)
		return err
	})
	return html, contentType, err
}

// when is a time for lists, nil where it is not known.
func when(t time.Time) *time.Time {
	if t.IsZero() {
		return nil
	}
	return &t
}
