package datafile

import (
	"context"
	"database/sql"
	"errors"
	"os"

	"modernc.org/sqlite"
	lib "modernc.org/sqlite/lib"
)

// reserveBytes is how much room is held back beside the file, so that something can be
// deleted when the disk is full: deleting writes too.
const reserveBytes = 4 << 20

// Full reports whether an error says that there is no room left.
func Full(err error) bool {
	var e *sqlite.Error
	return errors.As(err, &e) && e.Code()&0xff == lib.SQLITE_FULL
}

// damaged reports whether an error says that the pages of the file are hurt.
func damaged(err error) bool {
	var e *sqlite.Error
	return errors.As(err, &e) && (e.Code()&0xff == lib.SQLITE_CORRUPT || e.Code()&0xff == lib.SQLITE_NOTADB)
}

// Outcome tells what a failure of the file is, where it is one: the disk is full, or the file is damaged. From then on
// nothing is written to that.
func (f *File) Outcome(err error) error {
	switch {
	case Full(err):
		return DiskFull.New().Because(err)
	case damaged(err):
		f.hurt.Store(true)
		return DataFileDamaged.New(f.Path).Because(err)
	}
	return err
}

// Whole returns why nothing may be written to the file, nil as long as it was not found to be damaged.
func (f *File) Whole() error {
	if f.hurt.Load() {
		return DataFileDamaged.New(f.Path)
	}
	return nil
}

// Reserve holds room back, as far as there is some.
func (f *File) Reserve() {
	if info, err := os.Stat(f.reserve()); err == nil && info.Size() == reserveBytes {
		return
	}
	if os.WriteFile(f.reserve(), make([]byte, reserveBytes), private) != nil {
		_ = os.Remove(f.reserve()) // half of it is of no use to anybody
	}
}

// Release lets go of the room that was held back.
func (f *File) Release() { _ = os.Remove(f.reserve()) }

func (f *File) reserve() string { return f.Path + ".reserve" }

// Shrink gives the disk back what was deleted, to the last byte of it.
func (f *File) Shrink(ctx context.Context) error {
	for _, do := range []string{`PRAGMA wal_checkpoint(TRUNCATE)`, `PRAGMA incremental_vacuum`,
		`PRAGMA wal_checkpoint(TRUNCATE)`} {
		if err := drain(ctx, f.Writer, do); err != nil {
			return err
		}
	}
	return nil
}

// drain runs what answers with rows to its end: only then has it done all of its work.
func drain(ctx context.Context, db *sql.DB, query string) error {
	rows, err := db.QueryContext(ctx, query)
	if err != nil {
		return err
	}
	defer rows.Close()
	for rows.Next() {
		continue
	}
	return rows.Err()
}

// shrinkable lets a file of an older program give room back: its tables are written anew,
// once.
func (f *File) shrinkable(ctx context.Context) error {
	var mode int
	if err := f.Writer.QueryRowContext(ctx, `PRAGMA auto_vacuum`).Scan(&mode); err != nil || mode != 0 {
		return err
	}
	conn, err := f.Writer.Conn(ctx)
	if err != nil {
		return err
	}
	defer conn.Close()
	if _, err := conn.ExecContext(ctx, `PRAGMA auto_vacuum = incremental`); err != nil {
		return err
	}
	_, err = conn.ExecContext(ctx, `VACUUM`)
	return err
}
