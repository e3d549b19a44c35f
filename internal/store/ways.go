package store

import "database/sql"

// Way is how a page of a client is to be read.
type Way struct {
	// Way is "served" or "browser", empty where it was left to the program.
	Way string
	// Overruled lets the page be read although its site asks programs not to.
	Overruled bool
}

// Overrule lets a page be read although its site asks programs not to.
func (t *Tx) Overrule(client int64, url string) error {
	_, err := t.exec(`INSERT OR IGNORE INTO overrules (client_id, url) VALUES (?, ?)`, client, url)
	return err
}

// SetWay keeps how a page is to be read; empty leaves it to the program.
func (t *Tx) SetWay(client int64, url, way string) error {
	if way == "" {
		_, err := t.exec(`DELETE FROM ways WHERE client_id = ? AND url = ?`, client, url)
		return err
	}
	_, err := t.exec(`INSERT OR REPLACE INTO ways (client_id, url, way) VALUES (?, ?, ?)`, client, url, way)
	return err
}

// Ways returns how the pages of a client are to be read, by address.
func (t *Tx) Ways(client int64) (map[string]Way, error) {
	type row struct {
		url string
		way Way
	}
	rows, err := all(t, func(r *sql.Rows, v *row) error { return r.Scan(&v.url, &v.way.Way, &v.way.Overruled) },
		`SELECT url, MAX(way), MAX(overruled) FROM (
			SELECT client_id, url, way, 0 AS overruled FROM ways UNION ALL SELECT client_id, url, '', 1 FROM overrules)
		WHERE client_id = ? GROUP BY url`, client)
	out := make(map[string]Way, len(rows))
	for _, r := range rows {
		out[r.url] = r.way
	}
	return out, err
}
