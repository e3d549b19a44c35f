package store

import (
	"time"

	"inktally/core/intent"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/internal/store/kept"
)

// Client is one business.
type Client struct {
	ID        int64
	Name      string
	Trade     string
	Phone     string
	Language  string  // of its phrases: en
	Customers float64 // who come of a hundred visits, 0 if that is not known
	Money     string  // the sign of its money
	Postcode  string  // of its address, empty if it is not known
	// Address is its street address whole, Hidden whether it is not shown by choice, OpeningHours as they are written,
	// MorePhones are numbers beside the phone, parted by semicolons: as all should stand in listings (rule 13.3).
	Address      string
	Hidden       bool
	OpeningHours string
	MorePhones   string
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
	// ByHand reports whether a person said what it is for; Surveyed that a survey added it.
	ByHand, Surveyed bool
	// First is the key of the family that was kept as its first, empty if none was (rule 9.2).
	First string
}

// The states of a page of a client.
const (
	pageThere   = "there"
	pageRemoved = "removed" // by a person, who may restore it
	pageDropped = "dropped" // by a survey, which may find it again
	pageToMake  = "to_make" // something was said of it
)

// Ground is what is known of a client.
type Ground struct {
	Client   Client
	Services []intent.Service
	Places   []place.Place
	// Typed are the phrases that were typed for pages, in their order.
	Typed []TypedPhrase
	Pages []Page
}

// TypedFor returns the phrases that were typed for a page, in their order.
func (g Ground) TypedFor(page int64) []string {
	out := []string{}
	for _, t := range g.Typed {
		if t.Page == page {
			out = append(out, t.Text)
		}
	}
	return out
}

const clientColumns = `id, name, trade, phone, language, customers, money, postcode, street_address,
	address_hidden, opening_hours, more_phones, lists, created_at`

func scanClient(scan func(...any) error, c *Client) error {
	var lists string
	err := scan(&c.ID, &c.Name, &c.Trade, &c.Phone, &c.Language, &c.Customers, &c.Money, &c.Postcode,
		&c.Address, &c.Hidden, &c.OpeningHours, &c.MorePhones, &lists, (*kept.Time)(&c.CreatedAt))
	if err != nil {
		return err
	}
	c.Lists, err = kept.ReadLists(lists, c.Language)
	return err
}

// Clients returns all clients, the newest first.
func (t *Tx) Clients() ([]Client, error) {
	return All(t, func(r Scanner, c *Client) error { return scanClient(r.Scan, c) },
		`SELECT `+clientColumns+` FROM clients WHERE NOT going ORDER BY id DESC`)
}

// Client returns a client.
func (t *Tx) Client(id int64) (c Client, err error) {
	err = scanClient(func(into ...any) error {
		return t.one(`SELECT `+clientColumns+` FROM clients WHERE id = ? AND NOT going`, []any{id}, into...)
	}, &c)
	return c, err
}

// AddClient adds a client and returns its id.
func (t *Tx) AddClient(c Client) (int64, error) {
	return t.insert(none,
		`INSERT INTO clients (name, trade, phone, language, customers, money, postcode, street_address,
			address_hidden, opening_hours, more_phones, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		c.Name, c.Trade, c.Phone, c.Language, c.Customers, c.Money, c.Postcode, c.Address, c.Hidden, c.OpeningHours,
		c.MorePhones, kept.Time(c.CreatedAt))
}

// UpdateClient changes what is told of a client, but for its lists.
func (t *Tx) UpdateClient(c Client) error {
	return t.change(of(c.ID, FacetGround),
		`UPDATE clients SET name = ?, trade = ?, phone = ?, language = ?, customers = ?, money = ?, postcode = ?,
			street_address = ?, address_hidden = ?, opening_hours = ?, more_phones = ? WHERE id = ?`,
		c.Name, c.Trade, c.Phone, c.Language, c.Customers, c.Money, c.Postcode, c.Address, c.Hidden, c.OpeningHours,
		c.MorePhones, c.ID)
}

// Ground returns all that is known of a client.
func (t *Tx) Ground(id int64) (g Ground, err error) {
	if g.Client, err = t.Client(id); err != nil {
		return g, err
	}
	g.Services, err = All(t, func(r Scanner, s *intent.Service) error {
		return r.Scan(&s.Name, (*kept.List[string])(&s.Words), &s.Worth)
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
	return All(t, func(r Scanner, p *place.Place) error {
		return r.Scan(&p.Name, &p.State, &p.Home, (*kept.List[string])(&p.Spellings))
	}, `SELECT name, state, home, spellings FROM places WHERE client_id = ? ORDER BY position`, client)
}

// SetServices replaces the services of a client.
func (t *Tx) SetServices(client int64, services []intent.Service) error {
	if _, err := t.exec(of(client, FacetGround), `DELETE FROM services WHERE client_id = ?`, client); err != nil {
		return err
	}
	for i, s := range services {
		_, err := t.exec(of(client, FacetGround),
			`INSERT INTO services (client_id, position, name, words, worth) VALUES (?, ?, ?, ?, ?)`,
			client, i, s.Name, kept.List[string](s.Words), s.Worth)
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
	return All(t, func(r Scanner, p *TypedPhrase) error { return r.Scan(&p.Page, &p.Text) },
		`SELECT COALESCE(page_id, 0), text FROM phrases WHERE client_id = ? ORDER BY position`, client)
}

// SetTyped replaces the phrases that were typed for a page.
func (t *Tx) SetTyped(client, page int64, texts []string) error {
	if _, err := t.exec(of(client, FacetGround), `DELETE FROM phrases WHERE client_id = ? AND page_id = ?`, client,
		page); err != nil {
		return err
	}
	for i, text := range texts {
		_, err := t.exec(of(client, FacetGround),
			`INSERT INTO phrases (client_id, page_id, position, text) VALUES (?, ?, ?, ?)`, client, page, i, text)
		if err != nil {
			return err
		}
	}
	return nil
}

// SetPlaces replaces the places of a client.
func (t *Tx) SetPlaces(client int64, places []place.Place) error {
	if _, err := t.exec(of(client, FacetGround), `DELETE FROM places WHERE client_id = ?`, client); err != nil {
		return err
	}
	for i, p := range places {
		_, err := t.exec(of(client, FacetGround),
			`INSERT INTO places (client_id, position, name, state, home, spellings) VALUES (?, ?, ?, ?, ?, ?)`,
			client, i, p.Name, p.State, p.Home, kept.List[string](p.Spellings))
		if err != nil {
			return err
		}
	}
	return nil
}

const pageColumns = `id, client_id, kind, url, service, place, by_hand, surveyed, first_family`

// Pages returns the pages of a client, the home page first.
func (t *Tx) Pages(client int64) ([]Page, error) { return t.pages(client, pageThere) }

func (t *Tx) pages(client int64, state string) ([]Page, error) {
	return All(t, func(r Scanner, p *Page) error { return r.Scan(p.fields()...) },
		`SELECT `+pageColumns+` FROM pages WHERE client_id = ? AND state = ? ORDER BY kind <> 'home', id`, client,
		state)
}

// PagesToMake returns the pages to make of which something was said. Whether they are to be made
// is worked out.
func (t *Tx) PagesToMake(client int64) ([]Page, error) { return t.pages(client, pageToMake) }

// PageToMake returns the row of a page to make, which it adds if nothing was said of the page
// so far.
func (t *Tx) PageToMake(p Page) (id int64, err error) {
	t.note(of(p.ClientID, FacetSaid))
	err = t.one(`INSERT INTO pages (client_id, kind, service, place, state) VALUES (?, ?, ?, ?, ?)
		ON CONFLICT (client_id, kind, service, place) WHERE state = 'to_make' DO UPDATE SET state = state RETURNING id`,
		[]any{p.ClientID, p.Kind, p.Service, p.Place, pageToMake}, &id)
	return id, err
}

// RenameToMake lets a page to make be for another name of its service or place. Where something
// was said of that one too, both stay.
func (t *Tx) RenameToMake(p Page) error {
	t.note(of(p.ClientID, FacetReadings)) // its drafts
	_, err := t.exec(of(p.ClientID, FacetSaid),
		`UPDATE OR IGNORE pages SET service = ?, place = ? WHERE client_id = ? AND id = ? AND state = ?`,
		p.Service, p.Place, p.ClientID, p.ID, pageToMake)
	return err
}

func (p *Page) fields() []any {
	return []any{&p.ID, &p.ClientID, &p.Kind, &p.URL, &p.Service, &p.Place, &p.ByHand, &p.Surveyed, &p.First}
}

// Page returns a page of a client.
func (t *Tx) Page(client, id int64) (p Page, err error) {
	err = t.one(`SELECT `+pageColumns+` FROM pages WHERE client_id = ? AND id = ? AND state = ?`,
		[]any{client, id, pageThere}, p.fields()...)
	return p, err
}

// AddPage adds a page to a client and returns its id.
func (t *Tx) AddPage(p Page) (int64, error) {
	return t.insert(of(p.ClientID, FacetGround),
		`INSERT INTO pages (client_id, kind, url, service, place, by_hand, surveyed) VALUES (?, ?, ?, ?, ?, ?, ?)`,
		p.ClientID, p.Kind, p.URL, p.Service, p.Place, p.ByHand, p.Surveyed)
}

// UpdatePage changes the address of a page and what it is for.
func (t *Tx) UpdatePage(p Page) error {
	return t.change(of(p.ClientID, FacetGround),
		`UPDATE pages SET kind = ?, url = ?, service = ?, place = ?, by_hand = ?, surveyed = ?
			WHERE client_id = ? AND id = ?`,
		p.Kind, p.URL, p.Service, p.Place, p.ByHand, p.Surveyed, p.ClientID, p.ID)
}

// SetFirst keeps a family as the first of a page, by its key; an empty one leaves it to the rule.
func (t *Tx) SetFirst(client, page int64, family string) error {
	return t.change(of(client, FacetGround), `UPDATE pages SET first_family = ? WHERE client_id = ? AND id = ?`, family,
		client, page)
}

// TakePageOff takes a page off a client; what was said of its targets is kept.
func (t *Tx) TakePageOff(client, id int64) error {
	return t.setPageState(client, id, pageThere, pageRemoved)
}

// BringPageBack brings a page back that was taken off.
func (t *Tx) BringPageBack(client, id int64) error {
	return t.setPageState(client, id, pageRemoved, pageThere)
}

// DropPage takes a page off a client because its site has it no more.
func (t *Tx) DropPage(client, id int64) error {
	return t.setPageState(client, id, pageThere, pageDropped)
}

func (t *Tx) setPageState(client, id int64, from, to string) error {
	return t.change(of(client, FacetGround), `UPDATE pages SET state = ? WHERE client_id = ? AND id = ? AND state = ?`,
		to, client, id, from)
}

// ReturnPage brings back a page that its site has again.
func (t *Tx) ReturnPage(p Page) error {
	if err := t.UpdatePage(p); err != nil {
		return err
	}
	return t.setPageState(p.ClientID, p.ID, pageDropped, pageThere)
}

// RemovedPages returns the pages that were taken off a client; Surveyed ones may
// come back by a survey.
func (t *Tx) RemovedPages(client int64) ([]Page, error) {
	return All(t, func(r Scanner, p *Page) error {
		var state string
		err := r.Scan(append(p.fields(), &state)...)
		p.Surveyed = state == pageDropped
		return err
	}, `SELECT `+pageColumns+`, state FROM pages WHERE client_id = ? AND state IN (?, ?)`, client, pageRemoved,
		pageDropped)
}

// SetPageURL changes the address of a page of a client.
func (t *Tx) SetPageURL(client, id int64, url string) error {
	return t.change(of(client, FacetGround), `UPDATE pages SET url = ? WHERE id = ?`, url, id)
}

// SetLists changes a client's lists of words; nil brings back the standard ones.
func (t *Tx) SetLists(client int64, lists *intent.Lists) error {
	return t.change(of(client, FacetGround), `UPDATE clients SET lists = ? WHERE id = ?`, kept.Lists{Lists: lists},
		client)
}
