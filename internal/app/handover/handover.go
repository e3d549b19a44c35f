// Package handover takes the pages that the bookmark hands over from a tab: it
// checks that they come from a bookmark of this file, finds what a page may be, and
// keeps it as what the user says.
package handover

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"errors"
	"net/url"
	"strings"

	"inktally/core/brought"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/reading"
	"inktally/core/results"
	"inktally/core/site"
	"inktally/internal/app/ground"
	applineup "inktally/internal/app/lineups"
	"inktally/internal/app/readings"
	"inktally/internal/bookmark"
	"inktally/internal/fetch"
	"inktally/internal/store"
	"inktally/internal/store/workspace"
	"inktally/internal/study"
	"inktally/internal/tables"
	"inktally/internal/view"
)

// Received takes pages from tabs.
type Received struct {
	DB       *store.DB
	Readings *readings.Readings
	Studies  *study.Studies
	Ground   *ground.Ground
	Lineup   *applineup.Lineup
}

const keySetting = "bookmark_key"

// Bookmark returns the address of the bookmark, with bookmark.Origin for the program's.
func (r *Received) Bookmark(ctx context.Context) (string, error) {
	key, err := r.key(ctx)
	return bookmark.Address(key), err
}

// Prepare makes what bookmarks of this file are known by, if that was not made yet.
func (r *Received) Prepare(ctx context.Context) error {
	_, err := r.key(ctx)
	if !errors.Is(err, store.ErrNotFound) {
		return err
	}
	return r.DB.Write(ctx, func(tx *store.Tx) error { return workspace.SetSetting(tx, keySetting, rand.Text()) })
}

// key returns what bookmarks of this file are known by.
func (r *Received) key(ctx context.Context) (key string, err error) {
	err = r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		key, err = workspace.Setting(tx, keySetting)
		return err
	})
	return key, err
}

// check refuses what no bookmark of this file handed over, and what is no page.
func (r *Received) check(ctx context.Context, p view.Handed) error {
	key, err := r.key(ctx)
	if err != nil {
		return err
	}
	if subtle.ConstantTimeCompare([]byte(key), []byte(p.Key)) != 1 {
		return NotOurBookmark.New()
	}
	if len(p.HTML) > fetch.MaxBody {
		return readings.PastedTooLarge.New(fetch.MaxBody >> 20)
	}
	if strings.TrimSpace(p.HTML) == "" {
		return readings.NothingPasted.New()
	}
	if p.Origin != "null" && p.Origin != originOf(p.URL) {
		return OtherOrigin.New(originOf(p.URL), p.Origin)
	}
	return nil
}

func originOf(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return ""
	}
	if u.Scheme != "http" && u.Scheme != "https" {
		return "null"
	}
	return u.Scheme + "://" + u.Host
}

// Look returns what a page that was handed over may be; nothing of it is kept.
func (r *Received) Look(ctx context.Context, handed view.Handed) (*view.Recognized, error) {
	if err := r.check(ctx, handed); err != nil {
		return nil, err
	}
	out := &view.Recognized{Clients: []view.RecognizedClient{}}
	p := page.Read([]byte(handed.HTML), page.Source{URL: handed.URL, ContentType: "text/html; charset=utf-8",
		Rendered: true})
	found := results.Read([]byte(handed.HTML), results.Source{URL: handed.URL, ContentType: "text/html; charset=utf-8"})
	out.Title, out.Words, out.Entries, out.Query = p.Title, p.Words.Seen, len(found.Entries), queryOf(handed.URL)
	out.Tables = tablesOf(handed.HTML)
	domain := lineup.Domain(handed.URL)
	var names []store.ShelfRow
	err := r.DB.Read(ctx, func(tx *store.Tx) (err error) {
		names, err = tx.Names()
		return err
	})
	for _, name := range names {
		if err != nil {
			return nil, err
		}
		var k *study.Study
		k, err = r.Studies.Of(ctx, name.ID)
		if errors.Is(err, store.ErrNotFound) { // it was deleted meanwhile
			err = nil
			continue
		}
		if err == nil {
			out.Clients = append(out.Clients, recognizedFor(k.Known, handed.URL, domain))
		}
	}
	if err != nil {
		return nil, err
	}
	out.As = guess(out)
	return out, nil
}

// tablesOf counts the tables of figures and labelled numbers of a page.
func tablesOf(html string) (n int) {
	list, err := tables.Page([]byte(html))
	if err != nil {
		return 0
	}
	for _, t := range list {
		if brought.Guess(t.Rows).Kind != brought.NoKind {
			n++
		}
	}
	return n
}

// queryOf returns what an address asks a search engine for, empty for nothing.
func queryOf(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return ""
	}
	for _, name := range []string{"q", "query", "search", "p"} {
		if q := u.Query().Get(name); q != "" && len(q) < 200 {
			return q
		}
	}
	return ""
}

func recognizedFor(k *study.Known, address, domain string) view.RecognizedClient {
	out := view.RecognizedClient{ID: k.Client.ID, Name: k.Client.Name, Pages: []view.PageInfo{}}
	for _, p := range k.Pages {
		out.Pages = append(out.Pages, ground.PageInfo(p))
		if site.SameAddress(p.URL, address) {
			out.PageID = p.ID
		}
		out.Own = out.Own || p.URL != "" && lineup.Domain(p.URL) == domain
	}
	for _, e := range k.SearchRivals() {
		out.Rival = out.Rival || domain != "" && lineup.Domain(e.URL) == domain
	}
	return out
}

// So many entries make a page of results, fewer if its address asks for something.
const (
	fewResults   = 6
	askedResults = 3
)

func guess(r *view.Recognized) view.HandedAs {
	for _, c := range r.Clients {
		switch {
		case c.Own:
			return view.HandedClientPage
		case c.Rival:
			return view.HandedRivalPage
		}
	}
	if r.Entries >= fewResults || r.Query != "" && r.Entries >= askedResults {
		return view.HandedResults
	}
	if r.Tables > 0 {
		return view.HandedFigures
	}
	return view.HandedRivalPage
}

// Keep keeps a page as one of the client's or as a rival's.
func (r *Received) Keep(ctx context.Context, id int64, handed view.Handed, as view.HandedAs, pageID int64) (view.Filed,
	error) {
	out := view.Filed{URL: handed.URL}
	if err := r.check(ctx, handed); err != nil {
		return out, err
	}
	address, err := fetch.Address(handed.URL)
	if err != nil {
		return out, err
	}
	key := address
	if as == view.HandedClientPage {
		if out.PageID, key, err = r.clientPage(ctx, id, pageID, address); err != nil {
			return out, err
		}
	} else if err := r.rivalPage(ctx, id, address); err != nil {
		return out, err
	}
	in := readings.Incoming{Source: reading.FromTab,
		Document: fetch.Document{URL: address, ContentType: "text/html; charset=utf-8", Body: []byte(handed.HTML)}}
	out.ReadingID, err = r.Readings.Keep(ctx, id, key, in)
	return out, err
}

// clientPage returns the client's page that a page was handed over for: the one that was
// told, that with its address, or a new one.
func (r *Received) clientPage(ctx context.Context, id, pageID int64, address string) (p int64, key string,
	err error) {
	k, err := r.Studies.Of(ctx, id)
	if err != nil {
		return 0, "", err
	}
	for _, p := range k.Pages {
		if p.ID == pageID || pageID == 0 && site.SameAddress(p.URL, address) {
			return p.ID, study.ReadingKey(p), nil
		}
	}
	if pageID != 0 {
		return 0, "", store.ErrNotFound
	}
	added, err := r.Ground.AddPage(ctx, id, view.PageDraft{URL: address})
	return added.ID, added.URL, err
}

// rivalPage makes a rival of a page, unless it is one of a rival's site already.
func (r *Received) rivalPage(ctx context.Context, id int64, address string) error {
	return r.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := r.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		for _, e := range k.SearchRivals() {
			if lineup.Domain(e.URL) == lineup.Domain(address) {
				return nil
			}
		}
		return applineup.AddRivals(tx, id, []string{address})
	})
}
