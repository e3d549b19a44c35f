package elsewhere

import (
	"fmt"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/internal/store"
	"inktally/internal/store/kept"
	"inktally/internal/store/packed"

	"github.com/fxamacker/cbor/v2"
)

// ListKind is what a list has.
type ListKind string

// The kinds of lists.
const (
	OfLinks    ListKind = "links"
	OfListings ListKind = "listings"
)

// List is a list that was brought, without its rows.
type List struct {
	ID   int64
	Kind ListKind
	// Site is the domain that it is of, Source who says so, On the day.
	Site, Source string
	On           time.Time
	// Fields are those that a list of listings has columns for.
	Fields []listing.Field
	// Counted is how many domains link by it, or how many directories list the business.
	Counted int
}

func lists(tx *store.Tx, client int64) ([]List, error) {
	return store.All(tx, func(r store.Scanner, l *List) error {
		return r.Scan(&l.ID, &l.Kind, &l.Site, &l.Source, (*day)(&l.On), (*kept.List[listing.Field])(&l.Fields),
			&l.Counted)
	}, `SELECT id, kind, site, source, taken_on, fields, counted FROM standing_lists
		WHERE client_id = ? ORDER BY taken_on, id`,
		client)
}

// linkRow is a link as it is kept: CBOR, its fields by their place. A new field is added at the end.
type linkRow struct {
	_                           struct{} `cbor:",toarray"`
	Domain, Page, Title, Anchor string
	OfPage, OfSite, OfSite2     *float32
	FirstSeen                   int64 // seconds, 0 for none
	NotFollowed, Lost           bool
	Links                       int
	Language                    string
}

// listingRow is a listing as it is kept.
type listingRow struct {
	_                           struct{} `cbor:",toarray"`
	Directory, Firm             string
	Listed                      listing.Listed
	Page                        string
	Address, Phone, Hours, Site string
}

func strengthOf(v *float32) backlink.Strength {
	if v == nil {
		return backlink.Strength{}
	}
	return backlink.Strength{Value: *v, Known: true}
}

func valueOf(s backlink.Strength) *float32 {
	if !s.Known {
		return nil
	}
	return &s.Value
}

// PutLinks keeps a list of links in place of that of the same site, day and source.
func PutLinks(tx *store.Tx, client, brought int64, l List, rows []backlink.Row) error {
	out := make([]linkRow, len(rows))
	domains := map[string]bool{}
	for i, r := range rows {
		out[i] = linkRow{Domain: r.Domain, Page: r.Page, Title: r.Title, Anchor: r.Anchor, OfPage: valueOf(r.OfPage),
			OfSite: valueOf(r.OfSite[0]), OfSite2: valueOf(r.OfSite[1]), NotFollowed: r.NotFollowed, Lost: r.Lost,
			Links: r.Links, Language: r.Language}
		if !r.FirstSeen.IsZero() {
			out[i].FirstSeen = r.FirstSeen.Unix()
		}
		if !r.Lost {
			domains[r.Domain] = true
		}
	}
	l.Kind, l.Counted = OfLinks, len(domains)
	return put(tx, client, brought, l, out)
}

// PutListings keeps a list of listings in place of that of the same site, day and source.
func PutListings(tx *store.Tx, client, brought int64, l List, rows []listing.Entry) error {
	out := make([]listingRow, len(rows))
	directories := map[string]bool{}
	for i, r := range rows {
		out[i] = listingRow{Directory: r.Directory, Firm: r.Firm, Listed: r.Listed, Page: r.Page, Address: r.Address,
			Phone: r.Phone, Hours: r.Hours, Site: r.Site}
		if r.Listed != listing.IsNot {
			directories[listing.Key(r.Directory)] = true
		}
	}
	l.Kind, l.Counted = OfListings, len(directories)
	return put(tx, client, brought, l, out)
}

func put[T any](tx *store.Tx, client, brought int64, l List, rows []T) error {
	body, err := cbor.Marshal(rows)
	if err != nil {
		return fmt.Errorf("pack a list: %w", err)
	}
	return tx.Put(client, store.FacetStanding, `INSERT OR REPLACE INTO standing_lists
		(client_id, kind, site, source, taken_on, fields, counted, body, import_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		client, l.Kind, l.Site, l.Source, l.On.Format(time.DateOnly), kept.List[listing.Field](l.Fields), l.Counted,
		packed.Text(body), of(brought))
}

// Links returns the rows of a list of links.
func Links(tx *store.Tx, id int64) ([]backlink.Row, error) {
	rows, err := rowsOf[linkRow](tx, id)
	out := make([]backlink.Row, len(rows))
	for i, r := range rows {
		out[i] = backlink.Row{Domain: r.Domain, Page: r.Page, Title: r.Title, Anchor: r.Anchor,
			OfPage: strengthOf(r.OfPage),
			OfSite: [2]backlink.Strength{strengthOf(r.OfSite), strengthOf(r.OfSite2)}, NotFollowed: r.NotFollowed,
			Lost: r.Lost, Links: r.Links, Language: r.Language}
		if r.FirstSeen != 0 {
			out[i].FirstSeen = time.Unix(r.FirstSeen, 0).UTC()
		}
	}
	return out, err
}

// Listings returns the rows of a list of listings.
func Listings(tx *store.Tx, id int64) ([]listing.Entry, error) {
	rows, err := rowsOf[listingRow](tx, id)
	out := make([]listing.Entry, len(rows))
	for i, r := range rows {
		out[i] = listing.Entry{Directory: r.Directory, Firm: r.Firm, Listed: r.Listed, Page: r.Page, Address: r.Address,
			Phone: r.Phone, Hours: r.Hours, Site: r.Site}
	}
	return out, err
}

func rowsOf[T any](tx *store.Tx, id int64) (rows []T, err error) {
	var body []byte
	if err := tx.One(`SELECT body FROM standing_lists WHERE id = ?`, []any{id}, &body); err != nil {
		return nil, err
	}
	if body, err = packed.TextOf(body); err != nil {
		return nil, fmt.Errorf("unpack a list: %w", store.ErrDamaged)
	}
	mode, _ := cbor.DecOptions{MaxArrayElements: 1 << 20}.DecMode()
	if err := mode.Unmarshal(body, &rows); err != nil {
		return nil, fmt.Errorf("unpack a list: %w", store.ErrDamaged)
	}
	return rows, nil
}
