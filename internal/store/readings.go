package store

import (
	"database/sql"
	"encoding/json"
	"fmt"
	"time"

	"github.com/klauspost/compress/zstd"
)

// Reading is one page, read at one moment. It is never changed afterwards.
type Reading struct {
	ID       int64
	ClientID int64
	// URL is the address that was asked for, FinalURL the one that answered.
	URL      string
	FinalURL string
	// Road is how the page came in: web, browser, saved file, web archive or
	// pasted.
	Road string
	// Overruled tells that its site asks programs not to read it.
	Overruled   bool
	ContentType string
	// Base is what relative addresses start from where that is not FinalURL.
	Base string
	// Redirects are the addresses that led on to FinalURL.
	Redirects []string
	// ETag and LastModified are what the site said of the page's age.
	ETag, LastModified string
	TakenAt            time.Time
	// Facts are the page's figures as JSON; the rules can be run again on HTML.
	Facts string
}

// maxHTML bounds what a kept page may unfold to.
const maxHTML = 64 << 20

var (
	encoder, _ = zstd.NewWriter(nil, zstd.WithEncoderLevel(zstd.SpeedDefault))
	decoder, _ = zstd.NewReader(nil, zstd.WithDecoderMaxMemory(maxHTML))
)

// AddReading keeps a reading with the page's HTML and returns its id.
func (t *Tx) AddReading(r Reading, html []byte) (int64, error) {
	redirects, err := json.Marshal(append([]string{}, r.Redirects...))
	if err != nil {
		return 0, err
	}
	return t.insert(`INSERT INTO readings (client_id, url, final_url, road, overruled, content_type, base, redirects, etag, last_modified,
		taken_at, html, facts) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		r.ClientID, r.URL, r.FinalURL, r.Road, r.Overruled, r.ContentType, r.Base, string(redirects), r.ETag, r.LastModified,
		stamp(r.TakenAt), encoder.EncodeAll(html, nil), r.Facts)
}

const readingColumns = `id, client_id, url, final_url, road, overruled, content_type, base, redirects, etag, last_modified, taken_at, facts`

func scanReading(scan func(...any) error, r *Reading) error {
	var taken, redirects string
	err := scan(&r.ID, &r.ClientID, &r.URL, &r.FinalURL, &r.Road, &r.Overruled, &r.ContentType, &r.Base, &redirects,
		&r.ETag, &r.LastModified, &taken, &r.Facts)
	if err != nil {
		return err
	}
	r.TakenAt = parseStamp(taken)
	return json.Unmarshal([]byte(redirects), &r.Redirects)
}

// LatestReadings returns the last reading of each address of a client.
func (t *Tx) LatestReadings(client int64) (map[string]Reading, error) {
	list, err := all(t, func(r *sql.Rows, v *Reading) error { return scanReading(r.Scan, v) }, `SELECT `+readingColumns+`
		FROM readings WHERE id IN (SELECT MAX(id) FROM readings WHERE client_id = ? GROUP BY url)`, client)
	byURL := make(map[string]Reading, len(list))
	for _, r := range list {
		byURL[r.URL] = r
	}
	return byURL, err
}

// Reading returns a reading of a client.
func (t *Tx) Reading(client, id int64) (r Reading, err error) {
	err = scanReading(func(into ...any) error {
		return t.one(`SELECT `+readingColumns+` FROM readings WHERE client_id = ? AND id = ?`, []any{client, id}, into...)
	}, &r)
	return r, err
}

// ReadingHTML returns the kept page of a reading.
func (t *Tx) ReadingHTML(id int64) ([]byte, error) {
	var packed []byte
	if err := t.one(`SELECT html FROM readings WHERE id = ?`, []any{id}, &packed); err != nil {
		return nil, err
	}
	html, err := decoder.DecodeAll(packed, nil)
	if err != nil {
		return nil, fmt.Errorf("the kept page %d is damaged: %w", id, err)
	}
	return html, nil
}

// LatestReading returns the last reading of an address of a client.
func (t *Tx) LatestReading(client int64, url string) (r Reading, err error) {
	err = scanReading(func(into ...any) error {
		return t.one(`SELECT `+readingColumns+` FROM readings WHERE client_id = ? AND url = ? ORDER BY id DESC LIMIT 1`, []any{client, url}, into...)
	}, &r)
	return r, err
}

// DeleteReading deletes a reading of a client, as if it had not been taken.
func (t *Tx) DeleteReading(client, id int64) error {
	return t.change(`DELETE FROM readings WHERE client_id = ? AND id = ?`, client, id)
}

// CountReadings counts the readings of a client.
func (t *Tx) CountReadings(client int64) (n int, err error) {
	err = t.one(`SELECT COUNT(*) FROM readings WHERE client_id = ?`, []any{client}, &n)
	return n, err
}
