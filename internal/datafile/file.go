// Package datafile is the one file that everything is kept in: whose it is, by which
// program it can be read, and its copies.
//
// In go a path and the migrations that make today's tables; out comes an open File, which
// no other program opens until it is closed. What is in the tables is none of its business.
package datafile

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"sync/atomic"

	"github.com/gofrs/flock"
	"github.com/pressly/goose/v3"
	"modernc.org/sqlite"
	lib "modernc.org/sqlite/lib"
)

// private are the permissions of the file and of all beside it: it holds what clients say.
const private = 0o600

// readers is how many read at once; others wait for their turn. A connection costs more to open
// than most questions do, so all of them are kept open. Nobody may read inside of a reading.
const readers = 16

// File is an open data file: one writer, many readers.
type File struct {
	Path           string
	Writer, Reader *sql.DB
	// Short reports whether there was no room to hold back when it was opened: the disk is full.
	Short bool

	lock *flock.Flock
	hurt atomic.Bool // it was found to be damaged
}

// Open opens the file at a path, makes it if it is missing and brings its tables up to date.
// A copy of a file with older tables is kept beside it. A file that another program has open,
// or that a newer one has written, is refused and not touched.
func Open(ctx context.Context, path string, migrations fs.FS) (_ *File, err error) {
	if path, err = realPath(path); err != nil {
		return nil, err
	}
	f := &File{Path: path, lock: flock.New(path+".lock", flock.SetPermissions(private))}
	if ok, err := f.lock.TryLock(); err != nil {
		return nil, BadDataFile.New(path).Because(err)
	} else if !ok {
		return nil, DataFileInUse.New(path)
	}
	if err = f.connect(ctx, migrations); Full(err) { // reading takes some room too
		_ = os.Remove(f.reserve())
		err = f.connect(ctx, migrations)
	}
	if err != nil {
		_ = f.Close()
		switch {
		case DataFileNewer.Is(err) || NoRoomForCopy.Is(err):
			return nil, err
		case Full(err):
			return nil, NoRoomToOpen.New(path).Because(err)
		}
		return nil, BadDataFile.New(path).Because(err)
	}
	f.Short = !f.Reserve()
	return f, nil
}

// connect brings the tables up to date and opens the connections; where it fails none is open.
func (f *File) connect(ctx context.Context, migrations fs.FS) (err error) {
	defer func() {
		if err != nil {
			_ = f.disconnect()
		}
	}()
	sweep(f.Path)
	older, err := f.prepare(ctx, migrations)
	if err != nil {
		return err
	}
	f.Writer, err = open(f.Path, url.Values{"_txlock": {"immediate"},
		"_pragma": {"auto_vacuum(incremental)", "secure_delete(fast)"}})
	if err != nil {
		return err
	}
	f.Writer.SetMaxOpenConns(1)
	if err := migrate(ctx, f.Writer, migrations); err != nil {
		return err
	}
	if err := unlessFull(f.shrinkable(ctx)); err != nil { // without room it is for another day
		return err
	}
	if older { // what tables were made anew from is given back
		if err := unlessFull(f.Shrink(ctx)); err != nil {
			return err
		}
	}
	if f.Reader, err = open(f.Path, url.Values{"_pragma": {"query_only(1)"}}); err != nil {
		return err
	}
	f.Reader.SetMaxOpenConns(readers)
	f.Reader.SetMaxIdleConns(readers)
	return nil
}

// prepare makes sure that the file is ours alone to read, that this program knows its
// tables, and that a copy is kept before they change; older reports whether they are to.
func (f *File) prepare(ctx context.Context, migrations fs.FS) (older bool, err error) {
	made, err := os.OpenFile(f.Path, os.O_CREATE|os.O_RDWR, private)
	if err != nil {
		return false, err
	}
	if err := errors.Join(made.Close(), os.Chmod(f.Path, private)); err != nil {
		return false, err
	}
	is, known, err := versions(ctx, f.Path, migrations)
	switch {
	case err != nil:
		return false, err
	case is > known:
		return false, DataFileNewer.New(f.Path)
	case is > 0 && is < known:
		return true, f.keepCopy(ctx, is)
	}
	return false, nil
}

// keepCopy keeps a copy of the file beside it, named after the version of its tables.
func (f *File) keepCopy(ctx context.Context, version int64) error {
	to := fmt.Sprintf("%s.version-%d", f.Path, version)
	if err := Copy(ctx, f.Path, to); err != nil {
		return NoRoomForCopy.New(f.Path, to).Because(err)
	}
	return nil
}

// versions returns those of the tables in the file, 0 for none, and of this program's.
func versions(ctx context.Context, path string, migrations fs.FS) (is, known int64, err error) {
	if known, err = newest(migrations); err != nil {
		return 0, 0, err
	}
	db, err := look(ctx, path)
	if err != nil {
		return 0, 0, err
	}
	defer db.Close()
	var tables int
	if err = db.QueryRowContext(ctx, `SELECT COUNT(*) FROM sqlite_master WHERE name = 'goose_db_version'`).Scan(
		&tables); err != nil || tables == 0 {
		return 0, known, err
	}
	err = db.QueryRowContext(ctx, `SELECT COALESCE(MAX(version_id), 0) FROM goose_db_version WHERE is_applied`).Scan(
		&is)
	return is, known, err
}

// newest returns the version of the tables that migrations make.
func newest(migrations fs.FS) (version int64, err error) {
	names, err := fs.Glob(migrations, "*.sql")
	for _, name := range names {
		n, err := goose.NumericComponent(name)
		if err != nil {
			return 0, err
		}
		version = max(version, n)
	}
	return version, err
}

func migrate(ctx context.Context, db *sql.DB, migrations fs.FS) error {
	provider, err := goose.NewProvider(goose.DialectSQLite3, db, migrations)
	if err != nil {
		return err
	}
	_, err = provider.Up(ctx)
	return err
}

// Close closes the file, for others to open.
func (f *File) Close() error { return errors.Join(f.disconnect(), f.lock.Unlock()) }

func (f *File) disconnect() (err error) {
	for _, db := range []*sql.DB{f.Reader, f.Writer} {
		if db != nil {
			err = errors.Join(err, db.Close())
		}
	}
	f.Reader, f.Writer = nil, nil
	return err
}

// open opens connections; pragmas of options come before those that all have. What was written is on the disk before
// it is answered for: that costs less than a millisecond a write, and without it a log that is lost takes along what
// was kept since the file took it in.
func open(path string, options url.Values) (*sql.DB, error) {
	for _, pragma := range []string{"busy_timeout(5000)", "foreign_keys(1)", "journal_mode(WAL)",
		"synchronous(FULL)"} {
		options.Add("_pragma", pragma)
	}
	return sql.Open("sqlite", address(path, options))
}

// look opens a connection that cannot write, whatever program has the file. What a program that
// was killed has left half written is taken back first, for that takes writing.
func look(ctx context.Context, path string) (*sql.DB, error) {
	db, err := lookAs(path, "ro")
	if err != nil || !halfWritten(schema(ctx, db)) {
		return db, err // any other fault shows in what is asked of it
	}
	_ = db.Close()
	if db, err = lookAs(path, "rw"); err != nil {
		return nil, err
	}
	if err := errors.Join(schema(ctx, db), db.Close()); err != nil {
		return nil, err
	}
	return lookAs(path, "ro")
}

func lookAs(path, mode string) (*sql.DB, error) {
	return sql.Open("sqlite", address(path, url.Values{"mode": {mode}, "_pragma": {"busy_timeout(5000)"}}))
}

// schema reads the tables of a file, which takes back what is half written in it.
func schema(ctx context.Context, db *sql.DB) error {
	var n int
	return db.QueryRowContext(ctx, `SELECT COUNT(*) FROM sqlite_master`).Scan(&n)
}

// halfWritten reports whether an error says that a file must be written to before it can be read.
func halfWritten(err error) bool {
	var e *sqlite.Error
	return errors.As(err, &e) && (e.Code() == lib.SQLITE_READONLY_ROLLBACK || e.Code() == lib.SQLITE_READONLY_RECOVERY)
}

func address(path string, options url.Values) string {
	return "file:" + (&url.URL{Path: path}).EscapedPath() + "?" + options.Encode()
}
