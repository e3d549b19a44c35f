package store

// Setting returns a setting of the file, ErrNotFound if it was never made.
func (t *Tx) Setting(name string) (value string, err error) {
	err = t.one(`SELECT value FROM settings WHERE name = ?`, []any{name}, &value)
	return value, err
}

// SetSetting keeps a setting of the file.
func (t *Tx) SetSetting(name, value string) error {
	_, err := t.exec(none, `INSERT OR REPLACE INTO settings (name, value) VALUES (?, ?)`, name, value)
	return err
}
