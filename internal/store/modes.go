package store

import (
	"inktally/core/reading"
)

// ReadMode is how a page of a client is to be read.
type ReadMode struct {
	Mode reading.Mode
	// IgnoreRobots lets the page be read although its robots.txt asks programs
	// not to.
	IgnoreRobots bool
}

// IgnoreRobots lets a page be read although its robots.txt asks programs not to.
func (t *Tx) IgnoreRobots(client int64, url string) error {
	_, err := t.exec(of(client, FacetReadings), `INSERT INTO read_modes (client_id, url, ignore_robots) VALUES (?, ?, 1)
		ON CONFLICT (client_id, url) DO UPDATE SET ignore_robots = 1`, client, url)
	return err
}

// SetMode keeps how a page is to be read.
func (t *Tx) SetMode(client int64, url string, mode reading.Mode) error {
	_, err := t.exec(of(client, FacetReadings), `INSERT INTO read_modes (client_id, url, mode) VALUES (?, ?, ?)
		ON CONFLICT (client_id, url) DO UPDATE SET mode = excluded.mode`, client, url, mode)
	return err
}

// ReadModes returns how the pages of a client are to be read, by address.
func (t *Tx) ReadModes(client int64) (map[string]ReadMode, error) {
	type row struct {
		url string
		ReadMode
	}
	rows, err := All(t, func(r Scanner, v *row) error { return r.Scan(&v.url, &v.Mode, &v.ReadMode.IgnoreRobots) },
		`SELECT url, mode, ignore_robots FROM read_modes WHERE client_id = ?`, client)
	out := make(map[string]ReadMode, len(rows))
	for _, r := range rows {
		out[r.url] = r.ReadMode
	}
	return out, err
}
