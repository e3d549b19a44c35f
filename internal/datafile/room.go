package datafile

import (
	"context"
	"database/sql"
	"errors"
	"os"
	"strconv"

	"modernc.org/sqlite"
	lib "modernc.org/sqlite/lib"
)

// reserveBytes is how much room is held back beside the file, so that something can be
// deleted when the disk is full: deleting writes too.
const reserveBytes = 8 << 20

// Full reports whether an error says that there is no room left, also for the index of the log.
func Full(err error) bool {
	var e *sqlite.Error
	return errors.As(err, &e) && (e.Code()&0xff == lib.SQLITE_FULL || e.Code() == lib.SQLITE_IOERR_SHMSIZE)
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

// Reserve holds room back, and reports whether there was enough.
func (f *File) Reserve() bool {
	if info, err := os.Stat(f.reserve()); err == nil && info.Size() == reserveBytes {
		return true
	}
	if os.WriteFile(f.reserve(), make([]byte, reserveBytes), private) != nil {
		_ = os.Remove(f.reserve()) // half of it is of no use to anybody
		return false
	}
	return true
}

// Release lets go of the room that was held back, and has the file take in what its log holds: the log is as large as
// that.
func (f *File) Release(ctx context.Context) {
	_ = os.Remove(f.reserve())
	_ = drain(ctx, f.Writer, checkpoint)
}

// checkpoint has the file take in what its log holds, and empties that.
const checkpoint = `PRAGMA wal_checkpoint(TRUNCATE)`

func (f *File) reserve() string { return f.Path + ".reserve" }

// Shrink gives the disk back what was deleted, to the last byte of it, a piece at a time: what moves stands in the log
// meanwhile.
func (f *File) Shrink(ctx context.Context) error {
	for {
		if err := drain(ctx, f.Writer, checkpoint); err != nil {
			return err
		}
		var free int
		if err := f.Writer.QueryRowContext(ctx, `PRAGMA freelist_count`).Scan(&free); err != nil || free == 0 {
			return err
		}
		if err := drain(ctx, f.Writer, `PRAGMA incremental_vacuum(`+strconv.Itoa(piece)+`)`); err != nil {
			return err
		}
		if now := 0; f.Writer.QueryRowContext(ctx, `PRAGMA freelist_count`).Scan(&now) != nil || now >= free {
			return nil // a file of an older program that found no room to be written anew
		}
	}
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
