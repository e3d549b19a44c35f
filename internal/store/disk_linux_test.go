package store

import (
	"fmt"
	"os"
	"path/filepath"
	"syscall"
	"testing"

	"inktally/internal/datafile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// smallDisk returns a folder on a disk of its own of so many bytes; the test is left out where nobody may mount one.
func smallDisk(t *testing.T, bytes int) string {
	dir := t.TempDir()
	if err := syscall.Mount("tmpfs", dir, "tmpfs", 0, fmt.Sprint("size=", bytes)); err != nil {
		t.Skip("no disk can be mounted here: ", err)
	}
	t.Cleanup(func() { assert.NoError(t, syscall.Unmount(dir, 0)) })
	return dir
}

// fill fills a disk to the last byte.
func fill(t *testing.T, dir string) {
	file, err := os.OpenFile(filepath.Join(dir, "filler"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	require.NoError(t, err)
	defer file.Close()
	for _, step := range []int{1 << 16, 1 << 9, 1} {
		for err = nil; err == nil; _, err = file.Write(make([]byte, step)) {
			continue
		}
		assert.ErrorIs(t, err, syscall.ENOSPC)
	}
}

// rowsOf adds a client with so many rows of its own, which all change where it is deleted.
func rowsOf(t *testing.T, db *DB, rows int) (client int64) {
	write(t, db, func(tx *Tx) (err error) {
		client, err = tx.AddClient(Client{Name: "Brindle"})
		return err
	})
	for from := 0; from < rows; from += 2000 {
		write(t, db, func(tx *Tx) error {
			for i := from; i < from+2000; i++ {
				if _, err := tx.exec(none, `INSERT INTO book_phrases (client_id, folded, text) VALUES (?, ?, ?)`, client,
					fmt.Sprint(i), noise(80)); err != nil {
					return err
				}
			}
			return nil
		})
	}
	return client
}

// On a disk that is full to the last byte the file is opened, a client of more than the room held back is deleted, and
// what it took is given back.
func TestFullToTheLastByte(t *testing.T) {
	dir := smallDisk(t, 48<<20)
	path := filepath.Join(dir, "inktally.db")
	db, err := Open(t.Context(), path)
	require.NoError(t, err)
	client := rowsOf(t, db, 110_000)
	require.NoError(t, db.Close())
	before := size(t, path)
	require.Greater(t, before, int64(12<<20))
	fill(t, dir)

	db, err = Open(t.Context(), path)
	require.NoError(t, err, "with the room that was held back")
	assert.True(t, db.Short(), "and it is told")
	require.NoError(t, db.DeleteClient(t.Context(), client))
	assert.Less(t, size(t, path), before/8)
	write(t, db, func(tx *Tx) error { _, err := tx.AddClient(Client{Name: "Lowtide"}); return err })
	require.NoError(t, db.Close())

	require.NoError(t, os.Remove(filepath.Join(dir, "inktally.db.reserve")))
	fill(t, dir)
	_, err = Open(t.Context(), path)
	assert.True(t, datafile.NoRoomToOpen.Is(err), "%v", err)
	require.NoError(t, os.Remove(filepath.Join(dir, "filler")))
	db, err = Open(t.Context(), path)
	require.NoError(t, err)
	assert.False(t, db.Short())
	require.NoError(t, db.Close())
}
