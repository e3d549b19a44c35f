package store

import (
	"context"
	"database/sql"
	"path/filepath"
	"testing"

	"inktally/core/intent"

	"github.com/pressly/goose/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A file of an older program keeps what it holds: services that were lines of
// words become services with other words, and lines again on the way back.
func TestOlderFile(t *testing.T) {
	ctx, file := context.Background(), filepath.Join(t.TempDir(), "old.db")
	raw, err := sql.Open("sqlite", "file:"+file)
	require.NoError(t, err)
	dir := Migrations()
	provider, err := goose.NewProvider(goose.DialectSQLite3, raw, dir)
	require.NoError(t, err)
	_, err = provider.UpTo(ctx, 5)
	require.NoError(t, err)
	_, err = raw.Exec(`INSERT INTO clients (id, name, created_at) VALUES (7, 'Brindle', '2026-11-25T00:00:00Z');
		INSERT INTO services (client_id, position, name) VALUES (7, 0, 'chimney sweep, chimney cleaning, flue cleaning'), (7, 1, 'masonry repair');
		INSERT INTO places (client_id, position, name, state, home) VALUES (7, 0, 'Tarn Harbor', 'ME', 1)`)
	require.NoError(t, err)
	require.NoError(t, raw.Close())

	db, err := Open(ctx, file)
	require.NoError(t, err)
	var g Ground
	require.NoError(t, db.Read(ctx, func(tx *Tx) (err error) { g, err = tx.Ground(7); return err }))
	assert.Equal(t, []intent.Service{{Name: "chimney sweep", Words: []string{"chimney cleaning", "flue cleaning"}},
		{Name: "masonry repair"}}, g.Services)
	assert.Equal(t, "en", g.Client.Language)
	assert.Empty(t, g.Places[0].Spellings)
	require.NoError(t, db.Close())

	raw, err = sql.Open("sqlite", "file:"+file)
	require.NoError(t, err)
	defer raw.Close()
	provider, err = goose.NewProvider(goose.DialectSQLite3, raw, dir)
	require.NoError(t, err)
	_, err = provider.DownTo(ctx, 5)
	require.NoError(t, err)
	var name string
	require.NoError(t, raw.QueryRow(`SELECT name FROM services WHERE position = 0`).Scan(&name))
	assert.Equal(t, "chimney sweep, chimney cleaning, flue cleaning", name)
}
