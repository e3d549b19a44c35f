package store

import (
	"database/sql"
	"strings"
	"time"

	"inktally/core/place"
	"inktally/core/target"
)

// Client is one business.
type Client struct {
	ID        int64
	Name      string
	Trade     string
	Phone     string
	Hours     float64 // to spend on targets
	CreatedAt time.Time
}

// Page is one of a client's own pages. Without a URL it is not there yet.
type Page struct {
	ID       int64
	ClientID int64
	Kind     target.Kind
	URL      string
}

// Ground is what is known of a client.
type Ground struct {
	Client   Client
	Services []string
	Places   []place.Place
	Phrases  []string
	Pages    []Page
}

const clientColumns = `id, name, trade, phone, hours, created_at`

func scanClient(scan func(...any) error, c *Client) error {
	var created string
	err := scan(&c.ID, &c.Name, &c.Trade, &c.Phone, &c.Hours, &created)
	c.CreatedAt = parseStamp(created)
	return err
}

// Clients returns all clients, the newest first.
func (t *Tx) Clients() ([]Client, error) {
	return all(t, func(r *sql.Rows, c *Client) error { return scanClient(r.Scan, c) },
		`SELECT `+clientColumns+` FROM clients ORDER BY id DESC`)
}

// Client returns a client.
func (t *Tx) Client(id int64) (c Client, err error) {
	err = scanClient(func(into ...any) error {
		return t.one(`SELECT `+clientColumns+` FROM clients WHERE id = ?`, []any{id}, into...)
	}, &c)
	return c, err
}

// AddClient adds a client and returns its id.
func (t *Tx) AddClient(c Client) (int64, error) {
	return t.insert(`INSERT INTO clients (name, trade, phone, created_at) VALUES (?, ?, ?, ?)`,
		c.Name, c.Trade, c.Phone, stamp(c.CreatedAt))
}

// UpdateClient changes the name, trade and phone of a client.
func (t *Tx) UpdateClient(c Client) error {
	return t.change(`UPDATE clients SET name = ?, trade = ?, phone = ? WHERE id = ?`, c.Name, c.Trade, c.Phone, c.ID)
}

// SetHours sets the hours to spend on a client's targets.
func (t *Tx) SetHours(client int64, hours float64) error {
	return t.change(`UPDATE clients SET hours = ? WHERE id = ?`, hours, client)
}

// DeleteClient deletes a client and all that belongs to it.
func (t *Tx) DeleteClient(id int64) error {
	return t.change(`DELETE FROM clients WHERE id = ?`, id)
}

// Ground returns all that is known of a client.
func (t *Tx) Ground(id int64) (g Ground, err error) {
	if g.Client, err = t.Client(id); err != nil {
		return g, err
	}
	text := func(r *sql.Rows, s *string) error { return r.Scan(s) }
	if g.Services, err = all(t, text, `SELECT name FROM services WHERE client_id = ? ORDER BY position`, id); err != nil {
		return g, err
	}
	if g.Phrases, err = all(t, text, `SELECT text FROM phrases WHERE client_id = ? ORDER BY position`, id); err != nil {
		return g, err
	}
	g.Places, err = all(t, func(r *sql.Rows, p *place.Place) error { return r.Scan(&p.Name, &p.State, &p.Home) },
		`SELECT name, state, home FROM places WHERE client_id = ? ORDER BY position`, id)
	if err != nil {
		return g, err
	}
	g.Pages, err = t.Pages(id)
	return g, err
}

// SetServices replaces the services of a client.
func (t *Tx) SetServices(client int64, names []string) error {
	return t.replace(client, `services (client_id, position, name)`, names)
}

// SetPhrases replaces the phrases of a client.
func (t *Tx) SetPhrases(client int64, texts []string) error {
	return t.replace(client, `phrases (client_id, position, text)`, texts)
}

func (t *Tx) replace(client int64, table string, values []string) error {
	name, _, _ := strings.Cut(table, " ")
	if _, err := t.exec(`DELETE FROM `+name+` WHERE client_id = ?`, client); err != nil {
		return err
	}
	for i, v := range values {
		if _, err := t.exec(`INSERT INTO `+table+` VALUES (?, ?, ?)`, client, i, v); err != nil {
			return err
		}
	}
	return nil
}

// SetPlaces replaces the places of a client.
func (t *Tx) SetPlaces(client int64, places []place.Place) error {
	if _, err := t.exec(`DELETE FROM places WHERE client_id = ?`, client); err != nil {
		return err
	}
	for i, p := range places {
		_, err := t.exec(`INSERT INTO places (client_id, position, name, state, home) VALUES (?, ?, ?, ?, ?)`,
			client, i, p.Name, p.State, p.Home)
		if err != nil {
			return err
		}
	}
	return nil
}

// Pages returns the pages of a client.
func (t *Tx) Pages(client int64) ([]Page, error) {
	return all(t, func(r *sql.Rows, p *Page) error { return r.Scan(&p.ID, &p.ClientID, &p.Kind, &p.URL) },
		`SELECT id, client_id, kind, url FROM pages WHERE client_id = ? ORDER BY id`, client)
}

// Page returns a page of a client.
func (t *Tx) Page(client, id int64) (p Page, err error) {
	err = t.one(`SELECT id, client_id, kind, url FROM pages WHERE client_id = ? AND id = ?`, []any{client, id},
		&p.ID, &p.ClientID, &p.Kind, &p.URL)
	return p, err
}

// AddPage adds a page to a client and returns its id.
func (t *Tx) AddPage(p Page) (int64, error) {
	return t.insert(`INSERT INTO pages (client_id, kind, url) VALUES (?, ?, ?)`, p.ClientID, p.Kind, p.URL)
}

// SetPageURL changes the address of a page.
func (t *Tx) SetPageURL(id int64, url string) error {
	return t.change(`UPDATE pages SET url = ? WHERE id = ?`, url, id)
}
