package datafile

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"github.com/gofrs/flock"
)

// day is how the name of a backup tells its day.
const day = "2006-01-02"

// logs are the endings of what stands beside a file until it is written into it.
var logs = []string{"-journal", "-wal", "-shm"}

// Backup is a copy of the file that was made by itself.
type Backup struct {
	Path string
	Day  time.Time
	Size int64
}

// folder returns where the backups of a file are.
func folder(path string) string { return path + ".backups" }

// Backups returns those that were made by themselves, the newest first.
func Backups(path string) []Backup {
	var out []Backup
	files, _ := os.ReadDir(folder(path))
	for _, f := range files {
		made, err := time.Parse(day, strings.TrimSuffix(f.Name(), ".db"))
		info, ierr := f.Info()
		if err == nil && ierr == nil && !f.IsDir() {
			out = append(out, Backup{filepath.Join(folder(path), f.Name()), made, info.Size()})
		}
	}
	slices.SortFunc(out, func(a, b Backup) int { return b.Day.Compare(a.Day) })
	return out
}

// BackUp makes the backup of a day unless there is one, and keeps so many.
func BackUp(ctx context.Context, path string, now time.Time, keep int) error {
	to := filepath.Join(folder(path), now.Format(day)+".db")
	if _, err := os.Stat(to); err != nil {
		if err := os.MkdirAll(folder(path), 0o700); err != nil {
			return err
		}
		if err := Copy(ctx, path, to); err != nil {
			return err
		}
	}
	all := slices.DeleteFunc(Backups(path), func(b Backup) bool {
		return b.Day.After(now.AddDate(0, 0, 1)) // of a clock that was wrong: it pushes none out, and stays
	})
	for _, old := range all[min(len(all), max(1, keep)):] {
		if err := os.Remove(old.Path); err != nil {
			return err
		}
	}
	return nil
}

// upToDate brings the tables of a file up to date, and leaves nothing beside it.
func upToDate(ctx context.Context, path string, migrations fs.FS) error {
	db, err := open(path, url.Values{})
	if err != nil {
		return err
	}
	err = migrate(ctx, db, migrations)
	if err == nil {
		err = drain(ctx, db, `PRAGMA wal_checkpoint(TRUNCATE)`)
	}
	err = errors.Join(err, db.Close())
	for _, end := range logs {
		_ = os.Remove(path + end)
	}
	return err
}

// Restore puts a copy in the place of the file at a path; the file that was there is kept
// beside it under the returned name, empty if there was none. A copy that is damaged or that
// a newer program has written is refused, and so is a file that is open.
func Restore(ctx context.Context, from, path string, migrations fs.FS) (before string, err error) {
	says, err := Damage(ctx, from)
	if err != nil || says != "" {
		return "", BackupUnreadable.New(from).Because(fmt.Errorf("%s %w", says, err))
	}
	is, known, err := versions(ctx, from, migrations)
	switch {
	case err != nil || is == 0:
		return "", BackupUnreadable.New(from).Because(err)
	case is > known:
		return "", DataFileNewer.New(from)
	}
	if says, err := Strange(ctx, from, migrations); err != nil || says != "" {
		return "", BackupUnreadable.New(from).Because(fmt.Errorf("%s %w", says, err))
	}
	if err := os.MkdirAll(filepath.Dir(path), 0o700); err != nil {
		return "", BadDataFile.New(path).Because(err)
	}
	if path, err = realPath(path); err != nil {
		return "", err
	}
	lock := flock.New(path+".lock", flock.SetPermissions(private))
	if ok, err := lock.TryLock(); err != nil {
		return "", BadDataFile.New(path).Because(err)
	} else if !ok {
		return "", DataFileInUse.New(path)
	}
	defer func() { _ = lock.Unlock() }()
	fresh := path + ".restored"
	if err := Copy(ctx, from, fresh); err != nil {
		return "", NoRoomForCopy.New(from, fresh).Because(err)
	}
	if err := upToDate(ctx, fresh, migrations); err != nil { // what does not start is not put in its place
		return "", BackupUnreadable.New(from).Because(errors.Join(err, os.Remove(fresh)))
	}
	if _, err := os.Stat(path); err == nil {
		before = fmt.Sprintf("%s.before-%s", path, time.Now().Format("2006-01-02-150405"))
		if err := Copy(ctx, path, before); err != nil { // with what its log still holds
			if err := os.Rename(path, before); err != nil { // it cannot be read: kept as it is
				return "", BadDataFile.New(path).Because(err)
			}
			for _, end := range logs {
				_ = os.Rename(path+end, before+end)
			}
		}
	}
	for _, end := range logs { // of the file that was: the other one would be changed by them
		_ = os.Remove(path + end)
	}
	if err := os.Rename(fresh, path); err != nil {
		return "", BadDataFile.New(path).Because(err)
	}
	return before, nil
}
