package store

import (
	"context"
	"errors"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/intent"
	"inktally/core/page"
	"inktally/core/reading"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// noise is text that no packing makes smaller.
func noise(n int) string {
	var b strings.Builder
	for b.Len() < n {
		fmt.Fprintf(&b, "%x ", rand.Uint64())
	}
	return b.String()
}

// filled returns a store with a client that has so many pages of 100 KB.
func filled(t *testing.T, pages int) (db *DB, path string, client int64) {
	t.Helper()
	ctx := context.Background()
	path = filepath.Join(t.TempDir(), "inktally.db")
	db, err := Open(ctx, path)
	require.NoError(t, err)
	t.Cleanup(func() { _ = db.Close() })
	require.NoError(t, db.Write(ctx, func(tx *Tx) (err error) {
		client, err = tx.AddClient(Client{Name: "Brindle"})
		return err
	}))
	for i := range pages {
		html := []byte("<p>" + noise(100_000))
		p := page.Read(html, page.Source{})
		require.NoError(t, db.Write(ctx, func(tx *Tx) error {
			id, err := tx.AddReading(Reading{ClientID: client, URL: fmt.Sprint(i), Facts: reading.FactsOf(p)}, html,
				p.Data())
			if err != nil {
				return err
			}
			return tx.AddSheets(id, map[string]string{"x.css": "p { content: '" + noise(200) + "' }"})
		}))
	}
	return db, path, client
}

func size(t *testing.T, path string) int64 {
	t.Helper()
	info, err := os.Stat(path)
	require.NoError(t, err)
	return info.Size()
}

// Where the disk is full nothing is kept, and that is said; a client can be deleted all the
// same, the room comes back, and then things are kept again.
func TestFullDisk(t *testing.T) {
	ctx := context.Background()
	db, path, client := filled(t, 20)
	before := size(t, path)
	require.NoError(t, db.Limit(ctx, 2))
	html := []byte(noise(500_000))
	keep := func() error {
		return db.Write(ctx, func(tx *Tx) error {
			_, err := tx.AddReading(Reading{ClientID: client, URL: "new"}, html, page.Read(html, page.Source{}).Data())
			return err
		})
	}
	assert.True(t, fault.Is(keep(), DiskFull.Code), "%v", keep())
	require.NoError(t, db.Read(ctx, func(tx *Tx) error {
		_, err := tx.LatestReading(client, "new")
		assert.ErrorIs(t, err, ErrNotFound)
		return nil
	}))
	var other int64
	require.NoError(t, db.DeleteClient(ctx, client))
	assert.Less(t, size(t, path), before/4, "the room comes back")
	require.NoError(t, db.Write(ctx, func(tx *Tx) (err error) {
		other, err = tx.AddClient(Client{Name: "Lowtide"})
		return err
	}))
	client = other
	assert.NoError(t, keep())
	assert.FileExists(t, path+".reserve")
}

// What belongs to a deleted client is gone from the bytes of the file and of all beside it,
// as it was written and as it was packed; what belongs to another stays.
func TestDeletedIsGone(t *testing.T) {
	ctx := context.Background()
	db, path, client := filled(t, 6)
	var other int64
	require.NoError(t, db.Write(ctx, func(tx *Tx) (err error) {
		if other, err = tx.AddClient(Client{Name: "Othername"}); err != nil {
			return err
		}
		id, err := tx.AddReading(Reading{ClientID: other, URL: "kept"}, []byte("<p>kept"),
			page.Read([]byte("<p>kept"), page.Source{}).Data())
		if err != nil {
			return err
		}
		return tx.AddSheets(id, map[string]string{"y.css": "p{}"})
	}))
	traces := traces(t, db, client)
	assert.Greater(t, len(traces), 20)
	require.NoError(t, db.Write(ctx, func(tx *Tx) error {
		c, err := tx.Client(client)
		return errors.Join(err, tx.SetSiteKind(SiteKind{Domain: "a.example", Kind: "directory", SaidFor: c.Name}),
			tx.SetSiteKind(SiteKind{Domain: "b.example", Kind: "directory", SaidFor: "Othername"}))
	}))
	require.NoError(t, db.DeleteClient(ctx, client))
	require.NoError(t, db.Read(ctx, func(tx *Tx) error {
		kinds, err := tx.SiteKinds()
		for _, k := range kinds {
			assert.Equal(t, map[string]string{"a.example": "", "b.example": "Othername"}[k.Domain], k.SaidFor,
				"what was said stays, the name goes")
		}
		assert.Len(t, kinds, 2)
		return err
	}))
	files, err := filepath.Glob(path + "*")
	require.NoError(t, err)
	for _, file := range files {
		raw, err := os.ReadFile(file)
		require.NoError(t, err)
		for what, trace := range traces {
			assert.False(t, strings.Contains(string(raw), trace), "%s in %s", what, filepath.Base(file))
		}
	}
	require.NoError(t, db.Read(ctx, func(tx *Tx) error {
		r, err := tx.LatestReading(other, "kept")
		require.NoError(t, err)
		sheets, err := tx.ReadingSheets(r.ID)
		assert.Equal(t, map[string]string{"y.css": "p{}"}, sheets)
		return err
	}))
}

// traces puts a word of its own into every text of every row that belongs to a client, and
// returns these words with pieces of what is packed.
func traces(t *testing.T, db *DB, client int64) map[string]string {
	t.Helper()
	out := map[string]string{}
	mark := func(what string) string { out[what] = fmt.Sprintf("trace%x", rand.Uint64()); return out[what] }
	for _, insert := range []string{
		`INSERT INTO services (client_id, position, name, words) VALUES (%d, 0, '%s', '%s')`,
		`INSERT INTO own_targets (client_id, page, text) VALUES (%d, '%s', '%s')`,
		`INSERT INTO target_choices (client_id, page, key, state, reason) VALUES (%d, '%s', 'k', 'dropped', '%s')`,
		`INSERT INTO outlines (client_id, page, edits) VALUES (%d, '%s', '%s')`,
		`INSERT INTO book_words (client_id, word, verdict) VALUES (%d, '%s', '%s')`,
		`INSERT INTO book_phrases (client_id, text, kind) VALUES (%d, '%s', '%s')`,
	} {
		for i := range 40 {
			name := fmt.Sprintf("%.30s %d", insert, i)
			if _, err := db.writer.Exec(fmt.Sprintf(insert, client, mark(name+" a"), mark(name+" b"))); err != nil {
				delete(out, name+" a")
				delete(out, name+" b")
			}
		}
	}
	_, err := db.writer.Exec(`UPDATE clients SET name = ?, trade = ? WHERE id = ?`, mark("name"), mark("trade"), client)
	require.NoError(t, err)
	_, err = db.writer.Exec(`UPDATE readings SET title = ? WHERE client_id = ?`, mark("title"), client)
	require.NoError(t, err)
	rows, err := db.writer.Query(
		`SELECT h.packed, p.packed, css FROM readings JOIN bodies h ON h.id = html_id JOIN bodies p ON p.id = page_id JOIN reading_sheets ON reading_sheets.reading_id = readings.id JOIN sheets ON sheets.id = sheet_id WHERE client_id = ?`, client)
	require.NoError(t, err)
	defer rows.Close()
	for n := 0; rows.Next(); n++ {
		var html, p, css []byte
		require.NoError(t, rows.Scan(&html, &p, &css))
		for what, blob := range map[string][]byte{"html": html, "page": p, "sheet": css} {
			out[fmt.Sprint(what, n)] = string(blob[len(blob)/2 : len(blob)/2+24])
			out[fmt.Sprint(what, n, " end")] = string(blob[len(blob)-24:])
		}
	}
	return out
}

// What a program that was killed has not deleted of a client goes when the file is opened; nobody has seen the client
// since, and another's stays.
func TestDeletingGoesOn(t *testing.T) {
	ctx := context.Background()
	db, path, client := filled(t, 3)
	other := addClient(t, db)
	write(t, db, func(tx *Tx) error { return tx.SetServices(other, []intent.Service{{Name: "sweeping"}}) })
	write(t, db, func(tx *Tx) error {
		_, err := tx.exec(none, `UPDATE clients SET going = 1 WHERE id = ?`, client)
		return err
	})
	require.NoError(t, db.Read(ctx, func(tx *Tx) error {
		list, err := tx.Clients()
		assert.Len(t, list, 1)
		_, oneErr := tx.Client(client)
		assert.ErrorIs(t, oneErr, ErrNotFound)
		_, revisionErr := tx.Revision(client)
		assert.ErrorIs(t, revisionErr, ErrNoClient)
		stale, staleErr := tx.LatestOfAll()
		assert.Empty(t, stale)
		return errors.Join(err, staleErr)
	}))
	require.ErrorIs(t, db.DeleteClient(ctx, client), ErrNoClient)
	require.NoError(t, db.Close())
	db, err := Open(ctx, path)
	require.NoError(t, err)
	defer db.Close()
	for _, table := range []string{"readings", "bodies", "reading_sheets", "sheets"} {
		var left int
		require.NoError(t, db.writer.QueryRow(`SELECT COUNT(*) FROM `+table).Scan(&left))
		assert.Zero(t, left, table)
	}
	require.NoError(t, db.Read(ctx, func(tx *Tx) error {
		ground, err := tx.Ground(other)
		assert.Len(t, ground.Services, 1)
		return err
	}))
}

// A page that did not change is kept once, however often it is read, of whatever client; it is there as long as a
// reading has it, and one that was damaged is mended by the next.
func TestUnchangedPages(t *testing.T) {
	ctx := context.Background()
	db, path, client := filled(t, 1)
	other := addClient(t, db)
	html := []byte("<p>" + noise(100_000))
	read := func(client int64, url string) (id int64) {
		write(t, db, func(tx *Tx) (err error) {
			id, err = tx.AddReading(Reading{ClientID: client, URL: url}, html, page.Read(html, page.Source{}).Data())
			return err
		})
		return id
	}
	first := read(client, "u")
	require.NoError(t, db.file.Shrink(ctx))
	before := size(t, path)
	for range 50 {
		read(client, "u")
	}
	last := read(other, "u")
	require.NoError(t, db.file.Shrink(ctx))
	assert.Less(t, size(t, path)-before, int64(40<<10))
	kept := func(id int64) ([]byte, *page.Data) {
		var body []byte
		var p *page.Data
		require.NoError(t, db.Read(ctx, func(tx *Tx) (err error) {
			if body, err = tx.ReadingHTML(id); err != nil {
				return err
			}
			p, err = tx.ReadingPage(id)
			return err
		}))
		return body, p
	}
	write(t, db, func(tx *Tx) error { return tx.DeleteReading(client, first) })
	require.NoError(t, db.DeleteClient(ctx, client))
	body, p := kept(last)
	assert.Equal(t, html, body)
	require.NotNil(t, p)
	write(t, db, func(tx *Tx) error { _, err := tx.exec(none, `UPDATE bodies SET packed = x'00'`); return err })
	assert.ErrorIs(t, db.Read(ctx, func(tx *Tx) error { _, err := tx.ReadingHTML(last); return err }), ErrDamaged)
	read(other, "u")
	body, p = kept(last)
	assert.Equal(t, html, body)
	assert.NotNil(t, p)
	write(t, db, func(tx *Tx) error {
		p := page.Read([]byte("<p>other"), page.Source{})
		return tx.SetReadingPage(other, last, reading.FactsOf(p), p.Data())
	})
	var bodies int
	require.NoError(t, db.writer.QueryRow(`SELECT COUNT(*) FROM bodies`).Scan(&bodies))
	assert.Equal(t, 3, bodies, "the HTML, what was read of it by one, and anew by the other")
	require.NoError(t, db.DeleteClient(ctx, other))
	require.NoError(t, db.writer.QueryRow(`SELECT COUNT(*) FROM bodies`).Scan(&bodies))
	assert.Zero(t, bodies)
}
