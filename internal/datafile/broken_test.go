package datafile

import (
	"database/sql"
	"os"
	"path/filepath"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A program that was ended while it wrote into a file without a write-ahead log, as one that is
// new or of an older program is, leaves a journal: the next start takes back what was half written,
// and so does whatever looks into the file.
func TestHalfWritten(t *testing.T) {
	for name, do := range map[string]func(t *testing.T, path string){
		"started": func(*testing.T, string) {},
		"copied": func(t *testing.T, path string) {
			require.NoError(t, Copy(ctx, path, path+".copy"))
		},
		"checked": func(t *testing.T, path string) {
			says, err := Damage(ctx, path)
			require.NoError(t, err)
			assert.Empty(t, says)
		},
	} {
		t.Run(name, func(t *testing.T) {
			path := killedFile(t)
			do(t, path)
			f, err := Open(ctx, path, tables(2))
			require.NoError(t, err)
			defer f.Close()
			var texts string
			require.NoError(t, f.Reader.QueryRowContext(ctx, `SELECT GROUP_CONCAT(x) FROM ta`).Scan(&texts))
			assert.Equal(t, "kept", texts)
		})
	}
}

// What a killed program had begun to copy is taken away by the next one; what is none of ours stays.
func TestUnfinishedCopies(t *testing.T) {
	path := made(t, 1)
	require.NoError(t, os.MkdirAll(folder(path), 0o700))
	ours := []string{path + ".version-1.77.part", path + ".before-2026-11-26-101500.9.part", path + ".restored.8.part",
		filepath.Join(folder(path), "2026-11-26.db.5.part")}
	others := []string{path + ".mine.part", path + ".version-1",
		filepath.Join(filepath.Dir(path), "other.db.version-1.3.part"), filepath.Join(folder(path), "2026-11-25.db")}
	for _, name := range append(slices.Clone(ours), others...) {
		require.NoError(t, os.WriteFile(name, []byte("half"), 0o600))
	}
	f, err := Open(ctx, path, tables(1))
	require.NoError(t, err)
	require.NoError(t, f.Close())
	for _, name := range ours {
		assert.NoFileExists(t, name)
	}
	for _, name := range others {
		assert.FileExists(t, name)
	}
}

// A backup that is put in the place of a half written file stays what it is: nothing that belonged
// to the other one is written into it.
func TestRestoreOverHalfWritten(t *testing.T) {
	for name, damage := range map[string]func(path string){"readable": func(string) {}, "damaged": func(path string) {
		_ = os.WriteFile(path, []byte("no file of ours"), 0o600)
	}} {
		t.Run(name, func(t *testing.T) {
			path, from := killedFile(t), made(t, 2)
			damage(path)
			f, err := Open(ctx, from, tables(2))
			require.NoError(t, err)
			_, err = f.Writer.Exec(`UPDATE ta SET x = 'of the backup'`)
			require.NoError(t, err)
			require.NoError(t, f.Close())
			before, err := Restore(ctx, from, path, tables(2))
			require.NoError(t, err)
			assert.FileExists(t, before)
			f, err = Open(ctx, path, tables(2))
			require.NoError(t, err)
			defer f.Close()
			var texts string
			require.NoError(t, f.Reader.QueryRowContext(ctx, `SELECT GROUP_CONCAT(x) FROM ta`).Scan(&texts))
			assert.Equal(t, "of the backup", texts)
			says, err := Damage(ctx, path)
			require.NoError(t, err)
			assert.Empty(t, says)
		})
	}
}

// killedFile returns a file as it lies there after a kill in the midst of a transaction.
func killedFile(t *testing.T) string {
	t.Helper()
	path := made(t, 2)
	db, err := sql.Open("sqlite", "file:"+path+"?_pragma=journal_mode(DELETE)&_pragma=cache_size(1)")
	require.NoError(t, err)
	defer db.Close()
	tx, err := db.BeginTx(ctx, nil)
	require.NoError(t, err)
	defer func() { _ = tx.Rollback() }()
	_, err = tx.ExecContext(ctx, `UPDATE ta SET x = 'half'`)
	require.NoError(t, err)
	for range 50 {
		_, err = tx.ExecContext(ctx, `INSERT INTO ta (x) VALUES (HEX(RANDOMBLOB(4000)))`)
		require.NoError(t, err)
	}
	killed := filepath.Join(t.TempDir(), "inktally.db")
	for _, end := range []string{"", "-journal"} {
		raw, err := os.ReadFile(path + end)
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(killed+end, raw, 0o600))
	}
	return killed
}
