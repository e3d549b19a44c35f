package datafile

import (
	"database/sql"
	"os"
	"path/filepath"
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

// killedFile is a file as it lies there after a kill in the midst of a transaction.
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
