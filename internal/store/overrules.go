package store

import "database/sql"

// Overrule lets a page be read although its site asks programs not to.
func (t *Tx) Overrule(client int64, url string) error {
	_, err := t.exec(`INSERT OR IGNORE INTO overrules (client_id, url) VALUES (?, ?)`, client, url)
	return err
}

// Overruled returns the addresses that were overruled for a client.
func (t *Tx) Overruled(client int64) (map[string]bool, error) {
	list, err := all(t, func(r *sql.Rows, url *string) error { return r.Scan(url) }, `SELECT url FROM overrules WHERE client_id = ?`, client)
	out := make(map[string]bool, len(list))
	for _, url := range list {
		out[url] = true
	}
	return out, err
}
