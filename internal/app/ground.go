package app

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/target"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// Business is what a person tells of a client (G1 to G3).
type Business struct {
	Name     string `json:"name" maxLength:"200" doc:"The business; empty takes the site's name"`
	Trade    string `json:"trade" maxLength:"200"`
	Phone    string `json:"phone" maxLength:"100"`
	HomePage string `json:"home_page" maxLength:"2000" doc:"Address of the home page; empty where there is none yet"`
	// Services are what the client sells; the first is its main service.
	Services []phrase.Service `json:"services" maxItems:"200" doc:"What the client sells; the first is its main service"`
	Places   []place.Place    `json:"places" maxItems:"200"`
	Phrases  []string         `json:"phrases" maxItems:"1000" doc:"The phrases of the home page; the first is its lead"`
	// Language is that of the phrases; empty is English.
	Language string `json:"language" required:"false" maxLength:"20" doc:"Of the phrases: en; empty is English"`
	// Customers are those who come of a hundred visits, Money the sign of what
	// a job brings.
	Customers float64 `json:"customers" required:"false" minimum:"0" maximum:"100" doc:"Customers that come of a hundred visits, 0 where that is not known"`
	Money     string  `json:"money" required:"false" maxLength:"8" doc:"The sign of what a job brings"`
}

// Ground is what is known of a client.
type Ground struct {
	ID int64 `json:"id"`
	Business
	Pages []PageInfo `json:"pages"`
}

// PageInfo is one of the client's pages.
type PageInfo struct {
	ID   int64       `json:"id"`
	Kind target.Kind `json:"kind"`
	URL  string      `json:"url" doc:"Empty where there is no page yet"`
	// Service and Place are what it is for; empty is none of its own, and the
	// home town.
	Service string `json:"service"`
	Place   string `json:"place"`
	// Words are the words seen of its last reading, null where it was not read.
	Words *int `json:"words"`
	// ToWrite is what its word target asks for, null where it is not known.
	ToWrite *int `json:"to_write"`
	// Seems is what its title and h1 name where nothing else tells what it is
	// for, null where they do not either (MEASURES 5.1).
	Seems *PageDraft `json:"seems"`
}

// clean checks what was told and brings it in order. The errors are sentences.
func (g Business) clean() (Business, error) {
	g.Name, g.Trade, g.Phone = text.Collapse(g.Name), text.Collapse(g.Trade), text.Collapse(g.Phone)
	if strings.TrimSpace(g.HomePage) != "" {
		address, err := fetch.Address(g.HomePage)
		if err != nil {
			return g, invalid(err)
		}
		g.HomePage = address
	} else {
		g.HomePage = ""
	}
	var err error
	if g.Phrases, err = wordLists(g.Phrases, "phrase"); err != nil {
		return g, err
	}
	if g.Services, err = cleanServices(g.Services); err != nil {
		return g, err
	}
	if g.Places, err = cleanPlaces(g.Places); err != nil {
		return g, err
	}
	if g.Language = strings.ToLower(strings.TrimSpace(g.Language)); g.Language == "" {
		g.Language = "en"
	}
	g.Money = text.Collapse(g.Money)
	if g.Name == "" {
		g.Name = lineup.Domain(g.HomePage)
	}
	if g.Name == "" {
		return g, Invalid{"a client needs a name or an address"}
	}
	return g, nil
}

// cleanServices brings services in order. Words behind a comma of the name are
// other words for it.
func cleanServices(services []phrase.Service) ([]phrase.Service, error) {
	out := []phrase.Service{}
	for _, s := range services {
		words, err := wordLists(strings.Split(s.Name+","+strings.Join(s.Words, ","), ","), "service")
		if err != nil {
			return nil, err
		}
		if s.Worth < 0 {
			return nil, Invalid{fmt.Sprintf("a job of %q cannot be worth less than nothing", s.Name)}
		}
		if len(words) == 0 || slices.ContainsFunc(out, func(o phrase.Service) bool { return strings.EqualFold(o.Name, words[0]) }) {
			continue
		}
		out = append(out, phrase.Service{Name: words[0], Words: words[1:], Worth: s.Worth})
	}
	return out, nil
}

// cleanPlaces brings places in order; the first is the home town where none is
// named.
func cleanPlaces(places []place.Place) ([]place.Place, error) {
	out := []place.Place{}
	for _, p := range places {
		var err error
		p.Name, p.State = text.Collapse(p.Name), text.Collapse(p.State)
		if p.Name == "" && p.State == "" {
			continue
		}
		if len(p.Tokens()) == 0 {
			return nil, Invalid{fmt.Sprintf("the place %q holds no word", p.Name)}
		}
		if p.Spellings, err = wordLists(strings.Split(strings.Join(p.Spellings, ","), ","), "spelling"); err != nil {
			return nil, err
		}
		out = append(out, p)
	}
	if len(out) > 0 && !slices.ContainsFunc(out, func(p place.Place) bool { return p.Home }) {
		out[0].Home = true
	}
	return out, nil
}

// wordLists collapses each line and drops doubles and empty ones; a line of
// nothing but signs is an error.
func wordLists(lines []string, what string) ([]string, error) {
	out := []string{}
	for _, line := range lines {
		line = text.Collapse(line)
		if line == "" || slices.ContainsFunc(out, func(o string) bool { return strings.EqualFold(o, line) }) {
			continue
		}
		if len(text.Tokens(line)) == 0 {
			return nil, Invalid{fmt.Sprintf("the %s %q holds no word", what, line)}
		}
		if len([]rune(line)) > 200 {
			return nil, Invalid{fmt.Sprintf("a %s is longer than 200 characters", what)}
		}
		out = append(out, line)
	}
	return out, nil
}

// NewClient adds a client with a home page.
func (a *App) NewClient(ctx context.Context, g Business) (Ground, error) {
	g, err := g.clean()
	if err != nil {
		return Ground{}, err
	}
	var id int64
	err = a.db.Write(ctx, func(tx *store.Tx) (err error) {
		id, err = tx.AddClient(g.client(0, a.now()))
		if err != nil {
			return err
		}
		if _, err := tx.AddPage(store.Page{ClientID: id, Kind: target.Home, URL: g.HomePage}); err != nil {
			return err
		}
		return saveLists(tx, id, g)
	})
	if err != nil {
		return Ground{}, err
	}
	return a.Ground(ctx, id)
}

func (g Business) client(id int64, created time.Time) store.Client {
	return store.Client{ID: id, Name: g.Name, Trade: g.Trade, Phone: g.Phone, Language: g.Language, Customers: g.Customers, Money: g.Money, CreatedAt: created}
}

func saveLists(tx *store.Tx, id int64, g Business) error {
	for _, p := range g.Phrases {
		// What is written for stands in the book too.
		if _, _, err := tx.PutPhrase(id, folded(p), phrase.BookPhrase{Text: strings.ToLower(p)}); err != nil {
			return err
		}
	}
	if err := tx.SetServices(id, g.Services); err != nil {
		return err
	}
	if err := tx.SetPlaces(id, g.Places); err != nil {
		return err
	}
	return tx.SetPhrases(id, g.Phrases)
}

// SaveGround replaces what is known of a client.
func (a *App) SaveGround(ctx context.Context, id int64, g Business) (Ground, error) {
	g, err := g.clean()
	if err != nil {
		return Ground{}, err
	}
	err = a.db.Write(ctx, func(tx *store.Tx) error {
		err := tx.UpdateClient(g.client(id, time.Time{}))
		if err != nil {
			return err
		}
		had, err := tx.Ground(id)
		if err != nil {
			return err
		}
		if err := followPages(tx, had, g); err != nil {
			return err
		}
		home, err := homePage(tx, id)
		if err != nil {
			return err
		}
		if err := tx.SetPageURL(home.ID, g.HomePage); err != nil {
			return err
		}
		return saveLists(tx, id, g)
	})
	if err != nil {
		return Ground{}, err
	}
	return a.Ground(ctx, id)
}

// followPages gives pages the new names of their services and places.
func followPages(tx *store.Tx, had store.Ground, g Business) error {
	services := renamed(had.Services, g.Services, func(s phrase.Service) string { return s.Name })
	places := renamed(had.Places, g.Places, func(p place.Place) string { return p.Name })
	for _, p := range had.Pages {
		service, ofService := services[p.Service]
		place, ofPlace := places[p.Place]
		if ofService {
			p.Service = service
		}
		if ofPlace {
			p.Place = place
		}
		if ofService || ofPlace {
			if err := tx.UpdatePage(p); err != nil {
				return err
			}
		}
	}
	return nil
}

// renamed tells which names were changed: those that are gone and have a new
// one in their row.
func renamed[T any](had, now []T, name func(T) string) map[string]string {
	holds := func(list []T, n string) bool {
		return slices.ContainsFunc(list, func(x T) bool { return name(x) == n })
	}
	out := map[string]string{}
	for i := range min(len(had), len(now)) {
		if was, is := name(had[i]), name(now[i]); !holds(now, was) && !holds(had, is) {
			out[was] = is
		}
	}
	return out
}

func homePage(tx *store.Tx, client int64) (store.Page, error) {
	pages, err := tx.Pages(client)
	if err != nil {
		return store.Page{}, err
	}
	for _, p := range pages {
		if p.Kind == target.Home {
			return p, nil
		}
	}
	return store.Page{}, store.ErrNotFound
}

// Ground returns what is known of a client.
func (a *App) Ground(ctx context.Context, id int64) (g Ground, err error) {
	var known store.Ground
	var readings map[string]store.Reading
	err = a.db.Read(ctx, func(tx *store.Tx) error {
		if known, err = tx.Ground(id); err != nil {
			return err
		}
		readings, err = tx.LatestReadings(id)
		return err
	})
	if err != nil {
		return g, err
	}
	g = Ground{ID: id, Pages: []PageInfo{}, Business: Business{Name: known.Client.Name, Trade: known.Client.Trade,
		Phone: known.Client.Phone, Services: known.Services, Places: known.Places, Phrases: known.Phrases,
		Language: known.Client.Language, Customers: known.Client.Customers, Money: known.Client.Money}}
	for _, p := range known.Pages {
		info := pageInfo(p)
		if r, ok := readings[readingKey(p)]; ok {
			info.Words = seenOf(r)
			if info.Seems, err = a.seems(ctx, p, r); err != nil {
				return g, err
			}
		}
		if s, err := a.studyFor(ctx, id, p.ID, false); err == nil {
			info.ToWrite = &s.words.ToWrite
		}
		g.Pages = append(g.Pages, info)
		if p.Kind == target.Home {
			g.HomePage = p.URL
		}
	}
	return g, nil
}

// DeleteClient deletes a client and all that belongs to it.
func (a *App) DeleteClient(ctx context.Context, id int64) error {
	a.stopClient(ctx, id)
	return a.db.Write(ctx, func(tx *store.Tx) error { return tx.DeleteClient(id) })
}
