// Package workspace keeps what is of no client: settings of the file, and the towns that it adds to the gazetteer.
//
// It has the tables settings and towns.
package workspace

import "inktally/internal/store"

// Setting returns a setting of the file, store.ErrNotFound if it was never made.
func Setting(t *store.Tx, name string) (value string, err error) {
	err = t.One(`SELECT value FROM settings WHERE name = ?`, []any{name}, &value)
	return value, err
}

// SetSetting keeps a setting of the file.
func SetSetting(t *store.Tx, name, value string) error {
	return t.Put(store.Everyone, store.NoFacet, `INSERT OR REPLACE INTO settings (name, value) VALUES (?, ?)`, name, value)
}
