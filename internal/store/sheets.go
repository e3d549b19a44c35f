package store

import (
	"crypto/sha256"
	"encoding/hex"
	"fmt"

	"inktally/internal/store/packed"
)

// AddSheets keeps the style sheets of a reading, by address. A text that is
// there already is not kept twice.
func (t *Tx) AddSheets(reading int64, sheets map[string]string) error {
	for url, css := range sheets {
		sum := sha256.Sum256([]byte(css))
		hash := hex.EncodeToString(sum[:])
		if _, err := t.exec(none, `INSERT OR IGNORE INTO sheets (hash, css) VALUES (?, ?)`, hash,
			packed.Text([]byte(css))); err != nil {
			return err
		}
		_, err := t.exec(none,
			`INSERT INTO reading_sheets (reading_id, url, sheet_id) SELECT ?, ?, id FROM sheets WHERE hash = ?`,
			reading, url, hash)
		if err != nil {
			return err
		}
	}
	return nil
}

// ReadingSheets returns the style sheets of a reading by address.
func (t *Tx) ReadingSheets(reading int64) (map[string]string, error) {
	type row struct {
		url string
		css []byte
	}
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.url, &v.css) },
		`SELECT url, css FROM reading_sheets JOIN sheets ON sheets.id = sheet_id WHERE reading_id = ?`, reading)
	if err != nil {
		return nil, err
	}
	out := make(map[string]string, len(rows))
	for _, r := range rows {
		css, err := packed.TextOf(r.css)
		if err != nil {
			return nil, fmt.Errorf("%w: a style sheet of reading %d: %w", ErrDamaged, reading, err)
		}
		out[r.url] = string(css)
	}
	return out, nil
}
