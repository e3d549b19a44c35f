package app

import (
	"context"
	"fmt"
	"regexp"
	"slices"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/target"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// PageDraft is what is told of one of a client's pages.
type PageDraft struct {
	URL string `json:"url" required:"false" maxLength:"2000" doc:"Empty for a page that is to be made"`
	// Kind is empty where the address is to tell it, with the service and place.
	Kind    target.Kind `json:"kind" required:"false" enum:",home,service,area,about,contact,gallery,article,other"`
	Service string      `json:"service" required:"false" maxLength:"200"`
	Place   string      `json:"place" required:"false" maxLength:"200"`
}

func pageInfo(p store.Page) PageInfo {
	return PageInfo{ID: p.ID, Kind: p.Kind, URL: p.URL, Service: p.Service, Place: p.Place}
}

// AddPage adds a page to a client. What is not told of it is guessed by its
// address; it takes the place of one that was planned for the same. A page that
// is there already is an error.
func (a *App) AddPage(ctx context.Context, client int64, d PageDraft) (PageInfo, error) {
	var added store.Page
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		l, err := loadBook(tx, client)
		if err != nil {
			return err
		}
		p, err := l.page(store.Page{ClientID: client}, d)
		if err != nil {
			return err
		}
		for _, planned := range l.Pages {
			if planned.URL == "" && p.URL != "" && planned.Kind == p.Kind && planned.Service == p.Service && planned.Place == p.Place {
				p.ID = planned.ID
				added = p
				return tx.UpdatePage(p)
			}
		}
		p.ID, err = tx.AddPage(p)
		added = p
		return err
	})
	return pageInfo(added), err
}

// UpdatePage changes the address of a page and what it is for.
func (a *App) UpdatePage(ctx context.Context, client, id int64, d PageDraft) (PageInfo, error) {
	var changed store.Page
	err := a.db.Write(ctx, func(tx *store.Tx) error {
		l, err := loadBook(tx, client)
		if err != nil {
			return err
		}
		had, err := tx.Page(client, id)
		if err != nil {
			return err
		}
		if changed, err = l.page(had, d); err != nil {
			return err
		}
		return tx.UpdatePage(changed)
	})
	return pageInfo(changed), err
}

// page puts a draft on a page, and checks it.
func (l *loaded) page(p store.Page, d PageDraft) (store.Page, error) {
	wasHome := p.Kind == target.Home
	p.URL, p.Kind, p.Service, p.Place = "", d.Kind, text.Collapse(d.Service), text.Collapse(d.Place)
	home, _ := place.Home(l.Places)
	if d.URL != "" {
		address, err := fetch.Address(d.URL)
		if err != nil {
			return p, invalid(err)
		}
		p.URL = address
		if p.Kind == "" {
			p.Kind, p.Service, p.Place = site.Guess(address, "", "", home.Name, phrase.NewSorter(l.ground()))
		}
	}
	for _, other := range l.Pages {
		if other.ID != p.ID && p.URL != "" && other.URL == p.URL {
			return p, Invalid{"this page is there already"}
		}
	}
	if p.Place == home.Name {
		p.Place = ""
	}
	switch {
	case wasHome != (p.Kind == target.Home):
		return p, Invalid{"a client has one home page: say what else this page is for"}
	case p.Service != "" && !slices.ContainsFunc(l.Services, func(s phrase.Service) bool { return s.Name == p.Service }):
		return p, Invalid{fmt.Sprintf("%q is none of the services", p.Service)}
	case p.Place != "" && !slices.ContainsFunc(l.Places, func(at place.Place) bool { return at.Name == p.Place }):
		return p, Invalid{fmt.Sprintf("%q is none of the places", p.Place)}
	case p.Kind == target.Service && p.Service == "":
		return p, Invalid{"say which service the page is for"}
	case p.Kind == target.Area && p.Place == "":
		return p, Invalid{"say which place the page is for"}
	case p.URL == "" && p.Kind != target.Home && p.Service == "" && p.Place == "":
		return p, Invalid{"give the page an address, or say what it is for"}
	}
	return p, nil
}

// seems tells what a page is for by its last reading, where neither its address
// nor a person told it; nil for nothing.
func (a *App) seems(ctx context.Context, p store.Page, r store.Reading) (*PageDraft, error) {
	if p.Kind != target.Other || p.Service != "" || p.Place != "" {
		return nil, nil
	}
	read, err := a.pageOf(ctx, r)
	if err != nil {
		return nil, err
	}
	var l loaded
	if err := a.db.Read(ctx, func(tx *store.Tx) error { l, err = loadBook(tx, p.ClientID); return err }); err != nil {
		return nil, err
	}
	h1 := ""
	for _, h := range read.Headings {
		if h.Level == 1 {
			h1 = h.Text
			break
		}
	}
	home, _ := place.Home(l.Places)
	d := PageDraft{}
	name := regexp.MustCompile(`(?i)` + regexp.QuoteMeta(l.Client.Name)) // says what the firm does, not the page
	d.Kind, d.Service, d.Place = site.Guess(p.URL, name.ReplaceAllString(read.Title, ""), name.ReplaceAllString(h1, ""), home.Name, phrase.NewSorter(l.ground()))
	if d.Kind != target.Service && d.Kind != target.Area {
		return nil, nil
	}
	return &d, nil
}

// TakePageOff takes a page off a client; it can be brought back with what was
// said of its targets. The home page stays.
func (a *App) TakePageOff(ctx context.Context, client, id int64) error {
	return a.db.Write(ctx, func(tx *store.Tx) error {
		p, err := tx.Page(client, id)
		if err != nil {
			return err
		}
		if p.Kind == target.Home {
			return Invalid{"the home page stays; its address can be emptied"}
		}
		return tx.TakePageOff(client, id)
	})
}

// BringPageBack brings a page back that was taken off.
func (a *App) BringPageBack(ctx context.Context, client, id int64) error {
	return a.db.Write(ctx, func(tx *store.Tx) error { return tx.BringPageBack(client, id) })
}
