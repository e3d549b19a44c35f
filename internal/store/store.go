// Package store keeps everything in one SQLite file, through database/sql.
//
// Read and Write hand a Tx to a function; what the function does is one
// transaction, which raises the revision of each client of which it changed something
// (Facet). A Tx has a method for each question and each change, in files
// named after what they are about.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"sync/atomic"

	"inktally/internal/datafile"
)

//go:embed migrations
var migrations embed.FS

// What is returned if an id has no row, a client is none, or what was kept cannot be unpacked any more.
var (
	ErrNotFound = errors.New("not found")
	ErrNoClient = fmt.Errorf("client: %w", ErrNotFound)
	ErrDamaged  = errors.New("what was kept is damaged")
)

// DB is an open store. It is safe for concurrent use: one writer, many
// readers.
type DB struct {
	file           *datafile.File
	writer, reader *sql.DB
	writes         atomic.Int64
	statements     atomic.Int64
}

// Open opens the file at path, makes it if it is missing and brings its
// tables up to date. Its errors are faults.
func Open(ctx context.Context, path string) (*DB, error) {
	f, err := datafile.Open(ctx, path, Migrations())
	if err != nil {
		return nil, err
	}
	db := &DB{file: f, writer: f.Writer, reader: f.Reader}
	return db, db.deleteGoing(ctx)
}

// Migrations returns the changes that make today's tables.
func Migrations() fs.FS {
	dir, err := fs.Sub(migrations, "migrations")
	if err != nil {
		panic(err) // it is built in
	}
	return dir
}

// Close closes the store.
func (db *DB) Close() error { return db.file.Close() }

// Tx is a transaction.
type Tx struct {
	ctx     context.Context
	db      *DB
	tx      *sql.Tx
	count   int64
	changes map[int64]map[Facet]bool // by client
}

// Read runs f in a transaction that only reads.
func (db *DB) Read(ctx context.Context, f func(*Tx) error) error { return db.run(ctx, db.reader, f) }

// Write runs f in a transaction; nothing is kept where f fails, or where the file was found to be damaged.
func (db *DB) Write(ctx context.Context, f func(*Tx) error) error {
	if err := db.file.Whole(); err != nil {
		return err
	}
	defer db.writes.Add(1)
	return db.run(ctx, db.writer, f)
}

// Writes counts the changes since the file was opened: what was read while it stayed the
// same still holds.
func (db *DB) Writes() int64 { return db.writes.Load() }

// Statements counts the statements that were run since the file was opened.
func (db *DB) Statements() int64 { return db.statements.Load() }

// Statements counts those that the transaction has run so far.
func (t *Tx) Statements() int64 { return t.count }

func (t *Tx) counted() {
	t.count++
	t.db.statements.Add(1)
}

func (db *DB) run(ctx context.Context, on *sql.DB, f func(*Tx) error) error {
	begun, err := on.BeginTx(ctx, nil)
	if err != nil {
		return db.file.Outcome(err)
	}
	defer func() { _ = begun.Rollback() }()
	tx := &Tx{ctx: ctx, db: db, tx: begun}
	if err := f(tx); err != nil {
		return db.file.Outcome(err)
	}
	if err := tx.raise(); err != nil {
		return db.file.Outcome(err)
	}
	tell, err := tx.outcome()
	if err != nil {
		return db.file.Outcome(err)
	}
	if err := begun.Commit(); err != nil {
		return db.file.Outcome(err)
	}
	tell()
	return nil
}

// exec runs a statement that has an effect.
func (t *Tx) exec(of effect, query string, args ...any) (sql.Result, error) {
	t.note(of)
	t.counted()
	return t.tx.ExecContext(t.ctx, query, args...)
}

// Put runs a statement that changes a facet of a client, for what a package of its own keeps.
func (t *Tx) Put(client int64, f Facet, query string, args ...any) error {
	_, err := t.exec(of(client, f), query, args...)
	return err
}

// One reads one row of what a package of its own keeps, ErrNotFound if there is none.
func (t *Tx) One(query string, args []any, into ...any) error { return t.one(query, args, into...) }

// insert runs an INSERT and returns the id of the new row.
func (t *Tx) insert(of effect, query string, args ...any) (int64, error) {
	result, err := t.exec(of, query, args...)
	if err != nil {
		return 0, err
	}
	return result.LastInsertId()
}

// change runs a statement that must change one row.
func (t *Tx) change(of effect, query string, args ...any) error {
	result, err := t.exec(of, query, args...)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil || n > 0 {
		return err
	}
	return ErrNotFound
}

// one scans a single row.
func (t *Tx) one(query string, args []any, into ...any) error {
	t.counted()
	err := t.tx.QueryRowContext(t.ctx, query, args...).Scan(into...)
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	return err
}

// Scanner is a row.
type Scanner interface{ Scan(into ...any) error }

// All scans every row of a query with scan.
func All[T any](t *Tx, scan func(Scanner, *T) error, query string, args ...any) ([]T, error) {
	t.counted()
	rows, err := t.tx.QueryContext(t.ctx, query, args...)
	if err != nil {
		return nil, err
	}
	defer rows.Close()
	out := []T{}
	for rows.Next() {
		var v T
		if err := scan(rows, &v); err != nil {
			return nil, err
		}
		out = append(out, v)
	}
	return out, rows.Err()
}

// Limit keeps the file from growing by more than so many pages of 4 KB, as a full disk does:
// for trials of that. 0 lifts it.
func (db *DB) Limit(ctx context.Context, pages int) error {
	var is int
	if err := db.writer.QueryRowContext(ctx, `PRAGMA page_count`).Scan(&is); err != nil {
		return err
	}
	most := is + pages
	if pages == 0 {
		most = 1 << 30
	}
	_, err := db.writer.ExecContext(ctx, fmt.Sprintf(`PRAGMA max_page_count = %d`, most))
	return err
}
