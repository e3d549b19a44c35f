package store

import (
	"database/sql"
	"strings"
	"time"

	"inktally/core/intent"
	"inktally/core/place"
	"inktally/core/site"
)

// Client is one business.
type Client struct {
	ID        int64
	Name      string
	Trade     string
	Phone     string
	Hours     float64 // to spend on targets
	Language  string  // of its phrases: en
	Customers float64 // who come of a hundred visits, 0 if that is not known
	Money     string  // the sign of its money
	Postcode  string  // of its address, empty if it is not known
	// Lists are its lists of words, nil for the standard ones.
	Lists     *intent.Lists
	CreatedAt time.Time
}

// Page is one of a client's own pages. Without a URL it is not there yet.
type Page struct {
	ID       int64
	ClientID int64
	Kind     site.Kind
	URL      string
	// Service and Place are what it is for; empty is none of its own, and the
	// home town.
	Service, Place string
	// ByHand tells that a person said what it is for; Surveyed that a survey added it.
	ByHand, Surveyed bool
}

// Ground is what is known of a client.
type Ground struct {
	Client   Client
	Services []intent.Service
	Places   []place.Place
	// Typed are the phrases that were typed for pages, in their order.
	Typed []TypedPhrase
	Pages []Page
}

const clientColumns = `id, name, trade, phone, hours, language, customers, money, postcode, lists, created_at`

func scanClient(scan func(...any) error, c *Client) error {
	var created, lists string
	err := scan(&c.ID, &c.Name, &c.Trade, &c.Phone, &c.Hours, &c.Language, &c.Customers, &c.Money, &c.Postcode, &lists, &created)
	if err != nil {
		return err
	}
	c.CreatedAt = parseStamp(created)
	c.Lists, err = parseLists(lists, c.Language)
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
	return t.insert(`INSERT INTO clients (name, trade, phone, language, customers, money, postcode, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
		c.Name, c.Trade, c.Phone, c.Language, c.Customers, c.Money, c.Postcode, stamp(c.CreatedAt))
}

// UpdateClient changes what is told of a client, but for its hours and lists.
func (t *Tx) UpdateClient(c Client) error {
	return t.change(`UPDATE clients SET name = ?, trade = ?, phone = ?, language = ?, customers = ?, money = ?, postcode = ? WHERE id = ?`,
		c.Name, c.Trade, c.Phone, c.Language, c.Customers, c.Money, c.Postcode, c.ID)
}

// SetHours sets the hours to spend on a client's targets.
func (t *Tx) SetHours(client int64, hours float64) error {
	return t.change(`UPDATE clients SET hours = ? WHERE id = ?`, hours, client)
}

// DeleteClient deletes a client and all that belongs to it.
func (t *Tx) DeleteClient(id int64) error {
	if err := t.change(`DELETE FROM clients WHERE id = ?`, id); err != nil {
		return err
	}
	_, err := t.exec(`DELETE FROM sheets WHERE id NOT IN (SELECT sheet_id FROM reading_sheets)`)
	return err
}

// Ground returns all that is known of a client.
func (t *Tx) Ground(id int64) (g Ground, err error) {
	if g.Client, err = t.Client(id); err != nil {
		return g, err
	}
	g.Services, err = all(t, func(r *sql.Rows, s *intent.Service) error {
		var words string
		err := r.Scan(&s.Name, &words, &s.Worth)
		s.Words = split(words)
		return err
	}, `SELECT name, words, worth FROM services WHERE client_id = ? ORDER BY position`, id)
	if err != nil {
		return g, err
	}
	if g.Typed, err = t.TypedPhrases(id); err != nil {
		return g, err
	}
	if g.Places, err = t.Places(id); err != nil {
		return g, err
	}
	g.Pages, err = t.Pages(id)
	return g, err
}

// Places returns the places of a client in their order.
func (t *Tx) Places(client int64) ([]place.Place, error) {
	return all(t, func(r *sql.Rows, p *place.Place) error {
		var spellings string
		err := r.Scan(&p.Name, &p.State, &p.Home, &spellings)
		p.Spellings = split(spellings)
		return err
	}, `SELECT name, state, home, spellings FROM places WHERE client_id = ? ORDER BY position`, client)
}

// split parts what is kept in one field by commas.
func split(s string) []string {
	if s == "" {
		return nil
	}
	return strings.Split(s, ", ")
}

// SetServices replaces the services of a client. Their words hold no comma.
func (t *Tx) SetServices(client int64, services []intent.Service) error {
	if _, err := t.exec(`DELETE FROM services WHERE client_id = ?`, client); err != nil {
		return err
	}
	for i, s := range services {
		_, err := t.exec(`INSERT INTO services (client_id, position, name, words, worth) VALUES (?, ?, ?, ?, ?)`,
			client, i, s.Name, strings.Join(s.Words, ", "), s.Worth)
		if err != nil {
			return err
		}
	}
	return nil
}

// TypedPhrase is a phrase that was typed for a page (rule 9.1).
type TypedPhrase struct {
	Page int64
	Text string
}

// TypedPhrases returns the phrases that were typed for a client's pages.
func (t *Tx) TypedPhrases(client int64) ([]TypedPhrase, error) {
	return all(t, func(r *sql.Rows, p *TypedPhrase) error { return r.Scan(&p.Page, &p.Text) },
		`SELECT COALESCE(page_id, 0), text FROM phrases WHERE client_id = ? ORDER BY position`, client)
}

// SetTyped replaces the phrases that were typed for a page.
func (t *Tx) SetTyped(client, page int64, texts []string) error {
	if _, err := t.exec(`DELETE FROM phrases WHERE client_id = ? AND page_id = ?`, client, page); err != nil {
		return err
	}
	for i, text := range texts {
		_, err := t.exec(`INSERT INTO phrases (client_id, page_id, position, text) VALUES (?, ?, ?, ?)`, client, page, i, text)
		if err != nil {
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
		_, err := t.exec(`INSERT INTO places (client_id, position, name, state, home, spellings) VALUES (?, ?, ?, ?, ?, ?)`,
			client, i, p.Name, p.State, p.Home, strings.Join(p.Spellings, ", "))
		if err != nil {
			return err
		}
	}
	return nil
}

const pageColumns = `id, client_id, kind, url, service, place, by_hand, surveyed`

// Pages returns the pages of a client, the home page first.
func (t *Tx) Pages(client int64) ([]Page, error) {
	return all(t, func(r *sql.Rows, p *Page) error { return r.Scan(p.fields()...) },
		`SELECT `+pageColumns+` FROM pages WHERE client_id = ? AND gone = 0 ORDER BY kind <> 'home', id`, client)
}

func (p *Page) fields() []any {
	return []any{&p.ID, &p.ClientID, &p.Kind, &p.URL, &p.Service, &p.Place, &p.ByHand, &p.Surveyed}
}

// Page returns a page of a client.
func (t *Tx) Page(client, id int64) (p Page, err error) {
	err = t.one(`SELECT `+pageColumns+` FROM pages WHERE client_id = ? AND id = ? AND gone = 0`, []any{client, id}, p.fields()...)
	return p, err
}

// AddPage adds a page to a client and returns its id.
func (t *Tx) AddPage(p Page) (int64, error) {
	return t.insert(`INSERT INTO pages (client_id, kind, url, service, place, by_hand, surveyed) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		p.ClientID, p.Kind, p.URL, p.Service, p.Place, p.ByHand, p.Surveyed)
}

// UpdatePage changes the address of a page and what it is for.
func (t *Tx) UpdatePage(p Page) error {
	return t.change(`UPDATE pages SET kind = ?, url = ?, service = ?, place = ?, by_hand = ?, surveyed = ? WHERE client_id = ? AND id = ?`,
		p.Kind, p.URL, p.Service, p.Place, p.ByHand, p.Surveyed, p.ClientID, p.ID)
}

// TakePageOff takes a page off a client; what was said of its targets is kept.
func (t *Tx) TakePageOff(client, id int64) error {
	return t.change(`UPDATE pages SET gone = 1 WHERE client_id = ? AND id = ? AND gone = 0`, client, id)
}

// BringPageBack brings a page back that was taken off.
func (t *Tx) BringPageBack(client, id int64) error {
	return t.change(`UPDATE pages SET gone = 0 WHERE client_id = ? AND id = ? AND gone = 1`, client, id)
}

// What a survey took off may come back by one; what a person did, by a person.
const goneBySurvey = 2

// DropPage takes a page off a client because its site has it no more.
func (t *Tx) DropPage(client, id int64) error {
	return t.change(`UPDATE pages SET gone = ? WHERE client_id = ? AND id = ?`, goneBySurvey, client, id)
}

// ReturnPage brings back a page that its site has again.
func (t *Tx) ReturnPage(p Page) error {
	if err := t.UpdatePage(p); err != nil {
		return err
	}
	return t.change(`UPDATE pages SET gone = 0 WHERE client_id = ? AND id = ?`, p.ClientID, p.ID)
}

// RemovedPages returns the pages that were taken off a client; Surveyed ones may
// come back by a survey.
func (t *Tx) RemovedPages(client int64) ([]Page, error) {
	return all(t, func(r *sql.Rows, p *Page) error {
		var gone int
		err := r.Scan(append(p.fields(), &gone)...)
		p.Surveyed = gone == goneBySurvey
		return err
	}, `SELECT `+pageColumns+`, gone FROM pages WHERE client_id = ? AND gone > 0`, client)
}

// SetPageURL changes the address of a page.
func (t *Tx) SetPageURL(id int64, url string) error {
	return t.change(`UPDATE pages SET url = ? WHERE id = ?`, url, id)
}

// SetLists changes a client's lists of words; nil brings back the standard ones.
func (t *Tx) SetLists(client int64, lists *intent.Lists) error {
	kept, err := writeLists(lists)
	if err != nil {
		return err
	}
	return t.change(`UPDATE clients SET lists = ? WHERE id = ?`, kept, client)
}
