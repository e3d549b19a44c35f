package store

import (
	"bytes"
	"crypto/sha256"
	"errors"
	"fmt"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/core/reading"
	"inktally/internal/store/kept"
	"inktally/internal/store/packed"
)

// Reading is one page, read at one moment. Its page is never changed
// afterwards; what was read of it is made anew when the rules change.
type Reading struct {
	ID       int64
	ClientID int64
	// URL is the address that was asked for, FinalURL the one that answered.
	URL      string
	FinalURL string
	Source   reading.Source
	// RobotsIgnored reports whether its site asks programs not to read it.
	RobotsIgnored bool
	ContentType   string
	// Robots is what the answer's head told search engines, empty for nothing.
	Robots string
	// Base is what relative addresses start from if that is not FinalURL.
	Base string
	// Redirects are the addresses that led on to FinalURL.
	Redirects []string
	// ETag and LastModified are what the site said of the page's age.
	ETag, LastModified string
	TakenAt            time.Time
	Facts              reading.Facts
	// Note is what is to be known of how it came in, nil for nothing.
	Note *fault.Fault
	// Rules is the version of the rules that its page was kept by, 0 for none.
	Rules int
	// Body names what was read of its page, 0 for nothing: it is the same as long as a page does not change, and names
	// nothing else afterwards.
	Body int64
}

// AddReading keeps a reading with the page's HTML and what was read of it, and
// returns its id.
func (t *Tx) AddReading(r Reading, html []byte, p *page.Data) (int64, error) {
	body, err := t.addBody(packed.Text(html))
	if err != nil {
		return 0, err
	}
	id, err := t.insert(of(r.ClientID, FacetReadings),
		`INSERT INTO readings (html_id, client_id, url, final_url, source, robots_ignored, content_type, robots, base,
		redirects, etag, last_modified, taken_at, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		body, r.ClientID, r.URL, r.FinalURL, r.Source, r.RobotsIgnored, r.ContentType, r.Robots, r.Base,
		kept.List[string](r.Redirects),
		r.ETag, r.LastModified, kept.Time(r.TakenAt), kept.FaultOf(r.Note))
	if err != nil {
		return 0, err
	}
	return id, t.SetReadingPage(r.ClientID, id, r.Facts, p)
}

// addBody keeps what a reading is made of, and returns its id. What is there already, for a page did not change, is
// not kept twice, and is mended where it was damaged; it goes with the last reading that has it.
func (t *Tx) addBody(body []byte) (id int64, err error) {
	sum := sha256.Sum256(body)
	var had []byte
	err = t.one(`SELECT id, packed FROM bodies WHERE sum = ?`, []any{sum[:]}, &id, &had)
	switch {
	case errors.Is(err, ErrNotFound):
		return t.insert(none, `INSERT INTO bodies (sum, packed) VALUES (?, ?)`, sum[:], body)
	case err == nil && !bytes.Equal(had, body):
		err = t.change(none, `UPDATE bodies SET packed = ? WHERE id = ?`, body, id)
	}
	return id, err
}

// SetReadingPage keeps what was read of a page of a client by today's rules.
func (t *Tx) SetReadingPage(client, id int64, facts reading.Facts, p *page.Data) error {
	data, err := packed.Page(p)
	if err != nil {
		return err
	}
	body, err := t.addBody(data)
	if err != nil {
		return err
	}
	return t.change(of(client, FacetReadings), `UPDATE readings SET page_id = ?, title = ?, seen = ?, copied = ?,
		hidden = ?, warnings = ?, rules = ? WHERE id = ?`, body, facts.Title, facts.Words.Seen, facts.Words.Copy,
		facts.Words.Hidden, kept.List[page.Warning](facts.Warnings), page.Rules, id)
}

// ReadingPage returns what was read of a page by today's rules, nil if that is
// not kept.
func (t *Tx) ReadingPage(id int64) (*page.Data, error) {
	var row []byte
	err := t.one(`SELECT b.packed FROM readings r JOIN bodies b ON b.id = r.page_id WHERE r.id = ? AND r.rules = ?`,
		[]any{id, page.Rules}, &row)
	if errors.Is(err, ErrNotFound) || err == nil && len(row) == 0 {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	p, err := packed.PageOf(row)
	if err != nil {
		return nil, nil // it is read anew from its HTML
	}
	return p, nil
}

const readingColumns = `id, client_id, url, final_url, source, robots_ignored, content_type, robots,
	base, redirects, etag, last_modified, taken_at, title, seen, copied, hidden, warnings, note, rules, page_id`

// readingColumnsOf are they of a table that goes by another name.
func readingColumnsOf(table string) string {
	return table + "." + strings.Join(strings.Fields(readingColumns), " "+table+".")
}

func scanReading(scan func(...any) error, r *Reading) error {
	return scan(&r.ID, &r.ClientID, &r.URL, &r.FinalURL, &r.Source, &r.RobotsIgnored, &r.ContentType, &r.Robots,
		&r.Base,
		(*kept.List[string])(&r.Redirects),
		&r.ETag, &r.LastModified, (*kept.Time)(&r.TakenAt), &r.Facts.Title, &r.Facts.Words.Seen, &r.Facts.Words.Copy,
		&r.Facts.Words.Hidden, (*kept.List[page.Warning])(&r.Facts.Warnings), kept.Fault{To: &r.Note}, &r.Rules,
		(*kept.ID)(&r.Body))
}

// readings returns those that a query names from FROM on.
func (t *Tx) readings(from string, args ...any) ([]Reading, error) {
	return All(t, func(r Scanner, v *Reading) error { return scanReading(r.Scan, v) },
		`SELECT `+readingColumns+` FROM `+from, args...)
}

// readingsByURL returns them by address.
func (t *Tx) readingsByURL(from string, args ...any) (map[string]Reading, error) {
	list, err := t.readings(from, args...)
	return byURL(list), err
}

func byURL(list []Reading) map[string]Reading {
	out := make(map[string]Reading, len(list))
	for _, r := range list {
		out[r.URL] = r
	}
	return out
}

// LatestReadings returns the last reading of each address of a client; drafts have none.
func (t *Tx) LatestReadings(client int64) (map[string]Reading, error) {
	return t.readingsByURL(`(SELECT MAX(id) AS last FROM readings WHERE client_id = ? AND url <> '' GROUP BY url)
		JOIN readings ON id = last`, client)
}

// ReadingsBefore returns the readings before the latest of each address, by address.
func (t *Tx) ReadingsBefore(client int64) (map[string]Reading, error) {
	return t.readingsByURL(`readings WHERE id IN (SELECT MAX(id) FROM readings r WHERE client_id = ?1 AND url <> ''
		AND id < (SELECT MAX(id) FROM readings l WHERE l.client_id = ?1 AND l.url = r.url) GROUP BY url)`, client)
}

// ReadingsAt returns the latest readings of a moment, by address; of an address that was read only later, the first.
func (t *Tx) ReadingsAt(client int64, at time.Time) (map[string]Reading, error) {
	return t.readingsByURL(`(SELECT COALESCE(MAX(CASE WHEN taken_at <= ? THEN id END), MIN(id)) AS last FROM readings
		WHERE client_id = ? AND url <> '' GROUP BY url) JOIN readings ON id = last`, kept.Time(at), client)
}

// LatestOfAll returns the last reading of each address and of each draft, of all clients.
func (t *Tx) LatestOfAll() ([]Reading, error) { return t.latestOfAll(``) }

// StaleReadings returns those of them whose pages were kept by older rules.
func (t *Tx) StaleReadings() ([]Reading, error) {
	return t.latestOfAll(`rules <> ? AND `, page.Rules)
}

func (t *Tx) latestOfAll(and string, args ...any) ([]Reading, error) {
	return t.readings(`readings WHERE `+and+`id IN (SELECT MAX(id) FROM readings
		WHERE client_id NOT IN (SELECT id FROM clients WHERE going)
		GROUP BY client_id, url, CASE url WHEN '' THEN id END) ORDER BY id`, args...)
}

// reading returns one, ErrNotFound if there is none.
func (t *Tx) reading(where string, args ...any) (r Reading, err error) {
	err = scanReading(func(into ...any) error {
		return t.one(`SELECT `+readingColumns+` FROM readings WHERE `+where, args, into...)
	}, &r)
	return r, err
}

// Reading returns a reading of a client.
func (t *Tx) Reading(client, id int64) (Reading, error) {
	return t.reading(`client_id = ? AND id = ?`, client, id)
}

// LatestReading returns the last reading of an address of a client.
func (t *Tx) LatestReading(client int64, url string) (Reading, error) {
	return t.reading(`client_id = ? AND url = ? ORDER BY id DESC LIMIT 1`, client, url)
}

// ReadingHTML returns the kept page of a reading.
func (t *Tx) ReadingHTML(id int64) ([]byte, error) {
	var row []byte
	if err := t.one(`SELECT b.packed FROM readings r JOIN bodies b ON b.id = r.html_id WHERE r.id = ?`, []any{id}, &row); err != nil {
		return nil, err
	}
	html, err := packed.TextOf(row)
	if err != nil {
		return nil, fmt.Errorf("%w: page %d: %w", ErrDamaged, id, err)
	}
	return html, nil
}

// DeleteReading deletes a reading of a client, as if it had not been taken.
func (t *Tx) DeleteReading(client, id int64) error {
	return t.change(of(client, FacetReadings), `DELETE FROM readings WHERE client_id = ? AND id = ?`, client, id)
}
