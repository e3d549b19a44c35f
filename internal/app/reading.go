package app

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// The roads by which a page comes in.
const (
	roadWeb       = "web"
	roadOverruled = "web, overruled" // although the site asks programs not to
	roadPasted    = "pasted"
)

// facts are the figures that are kept beside a reading for lists; all others
// are worked out from its page.
type facts struct {
	Title    string         `json:"title"`
	Words    page.Words     `json:"words"`
	Warnings []page.Warning `json:"warnings"`
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

// keep reads a document with its style sheets and keeps it as a reading under
// an address.
func (a *App) keep(ctx context.Context, client int64, key, road string, doc fetch.Document, sheets map[string]string) (int64, *page.Page, error) {
	p := page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType, Sheets: sheets, Cache: &a.sheets})
	if slices.Contains(p.Warnings, page.NotHTML) {
		return 0, nil, Invalid{"this is not a web page"}
	}
	kept, err := json.Marshal(facts{Title: p.Title, Words: p.Words, Warnings: p.Warnings})
	if err != nil {
		return 0, nil, err
	}
	r := store.Reading{ClientID: client, URL: key, FinalURL: doc.URL, Road: road, ContentType: doc.ContentType, TakenAt: a.now(), Facts: string(kept)}
	err = a.db.Write(ctx, func(tx *store.Tx) error {
		if r.ID, err = tx.AddReading(r, doc.Body); err != nil {
			return err
		}
		return tx.AddSheets(r.ID, sheets)
	})
	if err == nil {
		a.cache.put(r.ID, p)
	}
	return r.ID, p, err
}

// pageOf returns the page of a reading, read anew from the kept HTML where it
// is not at hand.
func (a *App) pageOf(ctx context.Context, r store.Reading) (*page.Page, error) {
	if p := a.cache.get(r.ID); p != nil {
		return p, nil
	}
	var html []byte
	src := page.Source{URL: r.FinalURL, ContentType: r.ContentType, Cache: &a.sheets}
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if html, err = tx.ReadingHTML(r.ID); err != nil || r.Road == roadPasted {
			return err
		}
		src.Sheets, err = tx.ReadingSheets(r.ID)
		return err
	})
	if err != nil {
		return nil, err
	}
	p := page.Read(html, src)
	a.cache.put(r.ID, p)
	return p, nil
}

// Paste keeps pasted HTML as a reading of one of the client's pages, or of a
// rival's where entry is its lineup entry.
func (a *App) Paste(ctx context.Context, client, pageID, entry int64, html string) error {
	if strings.TrimSpace(html) == "" {
		return Invalid{"nothing was pasted"}
	}
	if len(html) > fetch.MaxBody {
		return Invalid{fmt.Sprintf("what was pasted is larger than %d MB", fetch.MaxBody>>20)}
	}
	var key, address string
	err := a.db.Read(ctx, func(tx *store.Tx) error {
		if entry != 0 {
			e, err := tx.Entry(client, entry)
			key, address = e.URL, e.URL
			return err
		}
		p, err := tx.Page(client, pageID)
		key, address = readingKey(p), p.URL
		return err
	})
	if err != nil {
		return err
	}
	_, _, err = a.keep(ctx, client, key, roadPasted, fetch.Document{URL: address, ContentType: "text/html; charset=utf-8", Body: []byte(html)}, nil)
	return err
}

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
