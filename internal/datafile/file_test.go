package datafile

import (
	"context"
	"crypto/sha256"
	"database/sql"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"inktally/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var ctx = context.Background()

// tables are migrations of so many versions, each of which makes a table.
func tables(n int) fstest.MapFS {
	out := fstest.MapFS{}
	for i, name := range []string{"00001_a.sql", "00002_b.sql", "00003_c.sql"}[:n] {
		out[name] = &fstest.MapFile{
			Data: []byte("-- +goose Up\nCREATE TABLE t" + string(rune('a'+i)) + " (x TEXT);\n-- +goose Down\n")}
	}
	return out
}

// made returns a file of so many versions that holds a word.
func made(t *testing.T, versions int) string {
	t.Helper()
	path := filepath.Join(t.TempDir(), "inktally.db")
	f, err := Open(ctx, path, tables(versions))
	require.NoError(t, err)
	_, err = f.Writer.Exec(`INSERT INTO ta VALUES ('kept')`)
	require.NoError(t, err)
	require.NoError(t, f.Close())
	return path
}

// prints returns the sums of all files in the folder of a path, but for the lock and the index
// that a mere reader of the file leaves.
func prints(t *testing.T, path string) map[string][32]byte {
	t.Helper()
	out := map[string][32]byte{}
	files, err := os.ReadDir(filepath.Dir(path))
	require.NoError(t, err)
	for _, f := range files {
		if f.IsDir() {
			continue
		}
		raw, err := os.ReadFile(filepath.Join(filepath.Dir(path), f.Name()))
		require.NoError(t, err)
		if !strings.HasSuffix(f.Name(), ".lock") && !strings.HasSuffix(f.Name(), "-shm") && len(raw) > 0 {
			out[f.Name()] = sha256.Sum256(raw)
		}
	}
	return out
}

// Who opens a file that is open is refused and touches nothing; it is free again when it is
// closed, and when its program was killed.
func TestOneProgramAFile(t *testing.T) {
	if path := os.Getenv("HOLD_FILE"); path != "" { // the other program
		_, err := Open(ctx, path, tables(1))
		require.NoError(t, err)
		_, _ = os.Stdout.WriteString("open\n")
		select {}
	}
	path := made(t, 1)
	other := exec.Command(os.Args[0], "-test.run", "^TestOneProgramAFile$")
	other.Env = append(os.Environ(), "HOLD_FILE="+path)
	output, err := other.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, other.Start())
	defer func() { _ = other.Process.Kill() }()
	_, err = output.Read(make([]byte, 5))
	require.NoError(t, err)
	before := prints(t, path)
	_, err = Open(ctx, path, tables(3))
	assert.True(t, DataFileInUse.Is(err), "%v", err)
	assert.Equal(t, before, prints(t, path))

	require.NoError(t, other.Process.Kill())
	_ = other.Wait()
	f, err := Open(ctx, path, tables(1))
	require.NoError(t, err)
	_, err = Open(ctx, path, tables(1))
	assert.True(t, DataFileInUse.Is(err), "in one program too")
	require.NoError(t, f.Close())
}

// A file is one whatever name leads to it: by symbolic links, of it or of its folder, it is the same; with a second
// name of its own it is not opened.
func TestNamesOfAFile(t *testing.T) {
	path := made(t, 1)
	dir := t.TempDir()
	link, folder := filepath.Join(dir, "link.db"), filepath.Join(dir, "folder")
	require.NoError(t, os.Symlink(path, link))
	require.NoError(t, os.Symlink(filepath.Dir(path), folder))
	f, err := Open(ctx, link, tables(1))
	require.NoError(t, err)
	for _, name := range []string{path, link, filepath.Join(folder, filepath.Base(path))} {
		_, err := Open(ctx, name, tables(1))
		assert.True(t, DataFileInUse.Is(err), "%s: %v", name, err)
	}
	require.NoError(t, f.Close())
	fresh, err := Open(ctx, filepath.Join(folder, "fresh.db"), tables(1))
	require.NoError(t, err)
	_, err = Open(ctx, filepath.Join(filepath.Dir(path), "fresh.db"), tables(1))
	assert.True(t, DataFileInUse.Is(err), "one that was made by a link: %v", err)
	require.NoError(t, fresh.Close())

	hard := filepath.Join(filepath.Dir(path), "hard.db")
	require.NoError(t, os.Link(path, hard))
	for _, name := range []string{path, hard, link} {
		_, err := Open(ctx, name, tables(1))
		assert.True(t, DataFileLinked.Is(err), "%s: %v", name, err)
	}
	require.NoError(t, os.Remove(hard))
	f, err = Open(ctx, path, tables(1))
	require.NoError(t, err)
	require.NoError(t, f.Close())
	nowhere := filepath.Join(dir, "nowhere.db")
	require.NoError(t, os.Symlink(filepath.Join(dir, "gone", "x.db"), nowhere))
	_, err = Open(ctx, nowhere, tables(1))
	assert.Error(t, err)
}

// A file of a newer version is refused and not changed by a byte; one of an older version is
// copied before its tables change; what is no data file is said to be none.
func TestVersions(t *testing.T) {
	path := made(t, 3)
	before := prints(t, path)
	_, err := Open(ctx, path, tables(2))
	assert.True(t, DataFileNewer.Is(err), "%v", err)
	assert.Equal(t, before, prints(t, path))
	f, err := Open(ctx, path, tables(3))
	require.NoError(t, err)
	require.NoError(t, f.Close())
	_, err = os.Stat(path + ".version-3")
	assert.ErrorIs(t, err, os.ErrNotExist, "nothing changed, so there is no copy")

	path = made(t, 1)
	f, err = Open(ctx, path, tables(2))
	require.NoError(t, err)
	require.NoError(t, f.Close())
	copied, err := sql.Open("sqlite", "file:"+path+".version-1")
	require.NoError(t, err)
	defer copied.Close()
	var word string
	require.NoError(t, copied.QueryRow(`SELECT x FROM ta`).Scan(&word))
	assert.Equal(t, "kept", word)
	assert.Error(t, copied.QueryRow(`SELECT COUNT(*) FROM tb`).Scan(new(int)), "it is as it was")

	for _, raw := range []string{"this is no data file, but a text that is long enough",
		"SQLite format 3\x00 and then nothing of it"} {
		path = filepath.Join(t.TempDir(), "x.db")
		require.NoError(t, os.WriteFile(path, []byte(raw), 0o644))
		_, err = Open(ctx, path, tables(1))
		assert.True(t, BadDataFile.Is(err), "%v", err)
		kept, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.Equal(t, raw, string(kept))
	}
}

// Where the copy cannot be written the tables stay as they are.
func TestNoRoomForTheCopy(t *testing.T) {
	path := made(t, 1)
	require.NoError(t, os.Mkdir(path+".version-1", 0o700)) // in the way
	_, err := Open(ctx, path, tables(2))
	assert.True(t, NoRoomForCopy.Is(err), "%v", err)
	is, _, err := versions(ctx, path, tables(2))
	require.NoError(t, err)
	assert.EqualValues(t, 1, is)
	left, err := filepath.Glob(path + "*.part")
	require.NoError(t, err)
	assert.Empty(t, left)
}

// The file and all that lies beside it is for its owner alone.
func TestPrivate(t *testing.T) {
	path := filepath.Join(t.TempDir(), "inktally.db")
	require.NoError(t, os.WriteFile(path, nil, 0o644)) // as older programs made it
	f, err := Open(ctx, path, tables(1))
	require.NoError(t, err)
	_, err = f.Writer.Exec(`INSERT INTO ta VALUES ('x')`)
	require.NoError(t, err)
	require.NoError(t, Copy(ctx, path, path+".copy"))
	files, err := os.ReadDir(filepath.Dir(path))
	require.NoError(t, err)
	assert.Len(t, files, 6, "the file, its log and index, its lock, the reserve and the copy")
	for _, file := range files {
		info, err := file.Info()
		require.NoError(t, err)
		assert.Equal(t, os.FileMode(0o600), info.Mode().Perm(), file.Name())
	}
	require.NoError(t, f.Close())
}

// A copy is whole while the file is written, and damage of a file is told.
func TestCopiesAndDamage(t *testing.T) {
	path := made(t, 1)
	f, err := Open(ctx, path, tables(1))
	require.NoError(t, err)
	defer f.Close()
	done := make(chan struct{})
	go func() {
		defer close(done)
		for range 200 {
			_, _ = f.Writer.Exec(`INSERT INTO ta VALUES (hex(randomblob(500)))`)
		}
	}()
	for range 5 {
		require.NoError(t, Copy(ctx, path, path+".copy"))
		says, err := Damage(ctx, path+".copy")
		require.NoError(t, err)
		assert.Empty(t, says)
	}
	<-done
	require.NoError(t, Copy(ctx, path, path+".copy"))
	raw, err := os.ReadFile(path + ".copy")
	require.NoError(t, err)
	copy(raw[len(raw)/2:], strings.Repeat("\xff", 4096))
	require.NoError(t, os.WriteFile(path+".copy", raw, 0o600))
	says, err := Damage(ctx, path+".copy")
	assert.True(t, err != nil || says != "")
	assert.Error(t, Copy(ctx, filepath.Join(t.TempDir(), "none.db"), path+".x"))
}

// A backup a day, the last few of them; what is restored is what was there, and what was
// there before is kept.
func TestBackups(t *testing.T) {
	path := made(t, 1)
	first := time.Date(2026, 11, 20, 9, 0, 0, 0, time.UTC)
	for i := range 10 {
		require.NoError(t, BackUp(ctx, path, first.AddDate(0, 0, i), 7))
		require.NoError(t, BackUp(ctx, path, first.AddDate(0, 0, i).Add(time.Hour), 7), "one a day")
	}
	wrong := filepath.Join(path+".backups", "2031-01-01.db")
	require.NoError(t, os.WriteFile(wrong, []byte("of a clock that was wrong"), 0o600))
	require.NoError(t, BackUp(ctx, path, first.AddDate(0, 0, 9), 7))
	require.Len(t, Backups(path), 8, "it pushes none out")
	require.NoError(t, os.Remove(wrong))
	all := Backups(path)
	require.Len(t, all, 7)
	assert.Equal(t, "2026-11-29", all[0].Day.Format(day))
	assert.Equal(t, "2026-11-23", all[6].Day.Format(day))

	f, err := Open(ctx, path, tables(1))
	require.NoError(t, err)
	_, err = f.Writer.Exec(`DELETE FROM ta`)
	require.NoError(t, err)
	_, err = Restore(ctx, all[0].Path, path, tables(1))
	assert.True(t, DataFileInUse.Is(err), "%v", err)
	require.NoError(t, f.Close())
	before, err := Restore(ctx, all[0].Path, path, tables(1))
	require.NoError(t, err)
	count := func(path string) (n int) {
		db, err := look(ctx, path)
		require.NoError(t, err)
		defer db.Close()
		require.NoError(t, db.QueryRow(`SELECT COUNT(*) FROM ta`).Scan(&n))
		return n
	}
	assert.Equal(t, []int{1, 0}, []int{count(path), count(before)})

	sum := prints(t, path)
	broken := filepath.Join(t.TempDir(), "x.db")
	require.NoError(t, os.WriteFile(broken, []byte("no backup"), 0o600))
	for from, want := range map[string]fault.Code{broken: BackupUnreadable.Code,
		filepath.Join(t.TempDir(), "none"): BackupUnreadable.Code, made(t, 3): DataFileNewer.Code} {
		_, err = Restore(ctx, from, path, tables(1))
		assert.True(t, fault.Is(err, want), "%s: %v", from, err)
	}
	assert.Equal(t, sum, prints(t, path))
	fresh := filepath.Join(t.TempDir(), "new", "inktally.db")
	before, err = Restore(ctx, all[0].Path, fresh, tables(1))
	require.NoError(t, err)
	assert.Empty(t, before)
	assert.Equal(t, 1, count(fresh))
}

// A backup with what this program did not make, without what it made, or with a gap in its versions is not put in the
// place of a file that is whole.
func TestStrangeBackups(t *testing.T) {
	path := made(t, 3)
	sum := prints(t, path)
	for name, do := range map[string]string{
		"a trigger": `CREATE TRIGGER spy AFTER INSERT ON ta BEGIN DELETE FROM ta; END`, "a view": `CREATE VIEW v AS SELECT 1`,
		"a table": `CREATE TABLE more (x)`, "a column": `ALTER TABLE ta ADD COLUMN y TEXT`, "no table": `DROP TABLE tb`,
		"another table": `DROP TABLE tb; CREATE VIEW tb AS SELECT 1 AS x`, "an index": `CREATE INDEX i ON ta (x)`,
		"a gap":         `DELETE FROM goose_db_version WHERE version_id = 2`,
		"an older file": `DROP TABLE tc; DELETE FROM goose_db_version WHERE version_id = 3`,
	} {
		from := made(t, 3)
		db, err := sql.Open("sqlite", from)
		require.NoError(t, err)
		_, err = db.Exec(do)
		require.NoError(t, err)
		require.NoError(t, db.Close())
		says, err := Strange(ctx, from, tables(3))
		require.NoError(t, err)
		before, err := Restore(ctx, from, path, tables(3))
		if name == "an older file" {
			assert.Empty(t, says)
			require.NoError(t, err)
			assert.NotEmpty(t, before)
			f, err := Open(ctx, path, tables(3))
			require.NoError(t, err, "it was brought up to date before")
			require.NoError(t, f.Close())
			path = made(t, 3)
			sum = prints(t, path)
			continue
		}
		assert.True(t, BackupUnreadable.Is(err), "%s: %v", name, err)
		assert.Equal(t, sum, prints(t, path), "%s: nothing is changed or left", name)
		assert.Equal(t, name != "a gap", says != "", "%s: %s", name, says)
	}
	says, err := Strange(ctx, path, tables(3))
	require.NoError(t, err)
	assert.Empty(t, says)
}

// What was written is on the disk before it is answered for.
func TestWritesAreOnTheDisk(t *testing.T) {
	f, err := Open(ctx, made(t, 1), tables(1))
	require.NoError(t, err)
	defer f.Close()
	var full int
	require.NoError(t, f.Writer.QueryRow(`PRAGMA synchronous`).Scan(&full))
	assert.Equal(t, 2, full)
}
