package datafile

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"strings"
)

// Copy writes a copy of the file as it is now to another path, whatever program has it open
// and whatever that program writes meanwhile. What was there before is replaced when the
// copy is whole.
func Copy(ctx context.Context, from, to string) (err error) {
	if _, err := os.Stat(from); err != nil {
		return BadDataFile.New(from).Because(err)
	}
	part, err := os.CreateTemp(filepath.Dir(to), filepath.Base(to)+".*"+unfinished) // 0600
	if err != nil {
		return err
	}
	defer func() {
		if err != nil {
			_ = os.Remove(part.Name())
		}
	}()
	if err := part.Close(); err != nil {
		return err
	}
	db, err := look(ctx, from)
	if err != nil {
		return err
	}
	defer db.Close()
	if _, err := db.ExecContext(ctx, `VACUUM INTO ?`, part.Name()); err != nil {
		return err
	}
	if err := sync(part.Name()); err != nil {
		return err
	}
	return os.Rename(part.Name(), to)
}

// unfinished is the ending of a copy that is being written.
const unfinished = ".part"

// sweep takes away the copies that a program which was killed had begun.
func sweep(path string) {
	for _, dir := range []string{filepath.Dir(path), folder(path)} {
		files, _ := os.ReadDir(dir)
		for _, f := range files {
			name, own := strings.CutPrefix(f.Name(), filepath.Base(path)+".")
			own = own && (strings.HasPrefix(name, "version-") || strings.HasPrefix(name, "before-") ||
				strings.HasPrefix(name, "restored."))
			if strings.HasSuffix(f.Name(), unfinished) && (own || dir == folder(path)) {
				_ = os.Remove(filepath.Join(dir, f.Name()))
			}
		}
	}
}

// sync makes sure that a file is on the disk.
func sync(path string) error {
	f, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return err
	}
	return errors.Join(f.Sync(), f.Close())
}

// Damage returns the first thing that is wrong with the file itself, empty for nothing: pages
// that contradict one another, rows that belong to nothing.
func Damage(ctx context.Context, path string) (string, error) {
	db, err := look(ctx, path)
	if err != nil {
		return "", err
	}
	defer db.Close()
	var says string
	if err := db.QueryRowContext(ctx, `PRAGMA integrity_check(1)`).Scan(&says); err != nil {
		return "", err
	}
	if says != "ok" {
		return says, nil
	}
	rows, err := db.QueryContext(ctx, `PRAGMA foreign_key_check`)
	if err != nil {
		return "", err
	}
	defer rows.Close()
	if rows.Next() {
		var table, parent string
		var row, key *int64
		if err := rows.Scan(&table, &row, &parent, &key); err != nil {
			return "", err
		}
		return fmt.Sprintf("a row of %s belongs to no row of %s", table, parent), nil
	}
	return "", rows.Err()
}
