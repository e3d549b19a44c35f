// Package brought reads the tables of figures that people bring from elsewhere: totals of sites, lists of links,
// listings in directories, map profiles (rule 13). What a table is and what its columns are is told by their headings,
// in the languages known, and by what stands in them; a person can say otherwise before anything of it is kept.
//
// In go the rows of a table; out come a Layout and, by it, what was Taken and what was left out.
package brought

import "slices"

// Kind is what a table has.
type Kind string

// The kinds.
const (
	Totals   Kind = "totals"   // a site a row, its figures in columns
	Links    Kind = "links"    // a link a row
	Listings Kind = "listings" // a directory a row, of one business
	Grid     Kind = "grid"     // a directory a row, a business a column
	Profiles Kind = "profiles" // a map profile a row
	Pairs    Kind = "pairs"    // a fact a row, of one business
	NoKind   Kind = "none"
)

// Kinds returns all of them.
func Kinds() []Kind { return []Kind{Totals, Links, Listings, Grid, Profiles, Pairs, NoKind} }

// Column is what a column has.
type Column string

// The columns.
const (
	Other Column = ""
	Site  Column = "site" // the address, domain or name of a site or business

	StrengthOfPage Column = "strength_page"
	StrengthOfSite Column = "strength_site"
	DomainsOfPage  Column = "domains_page"
	DomainsOfSite  Column = "domains_site"
	LinksOfPage    Column = "links_page"
	LinksOfSite    Column = "links_site"
	FoundFor       Column = "found_for"
	Visits         Column = "visits"
	Rating         Column = "rating"
	Reviews        Column = "reviews"
	Photos         Column = "photos"
	ListingsOf     Column = "listings"
	Day            Column = "day"

	LinkPage   Column = "link_page"
	LinkDomain Column = "link_domain"
	LinkTitle  Column = "link_title"
	Anchor     Column = "anchor"
	FirstSeen  Column = "first_seen"
	LastSeen   Column = "last_seen"
	Followed   Column = "followed"
	NotFollow  Column = "nofollow"
	Lost       Column = "lost"
	LinksFrom  Column = "links_from"
	Target     Column = "target"
	Language   Column = "language"

	Directory    Column = "directory"
	BusinessName Column = "business"
	Address      Column = "address"
	Town         Column = "town"
	State        Column = "state"
	Postcode     Column = "postcode"
	Phone        Column = "phone"
	BusinessSite Column = "business_site"
	Hours        Column = "hours"
	IsListed     Column = "listed"
	ListingPage  Column = "listing_page"

	Category    Column = "category"
	Description Column = "description"
	Areas       Column = "areas"
	Services    Column = "services"
	Founded     Column = "founded"
	Attributes  Column = "attributes"
	LastPost    Column = "last_post"
	Recent      Column = "reviews_90"
	Answered    Column = "answered"
	Claimed     Column = "claimed"
	PhotoNames  Column = "photo_names"
)

// Layout is how a table is read.
type Layout struct {
	Kind Kind
	// Heading is the place of the row that names the columns, from 0; -1 for none. Rows before it are no part of the
	// table.
	Heading int
	// Columns are what the columns have; in Pairs what the rows have, a fact each.
	Columns []Column
	// Names are the headings as they stand, empty without one; in Pairs what the rows begin with.
	Names []string
}

// at returns where a column is, -1 for nowhere.
func (l Layout) at(c Column) int {
	for i, have := range l.Columns {
		if have == c {
			return i
		}
	}
	return -1
}

// body returns the rows of the table.
func (l Layout) body(rows [][]string) [][]string { return rows[min(len(rows), l.Heading+1):] }

// Columns returns what the columns of a table of a kind can have.
func Columns(k Kind) []Column {
	out := []Column{Other}
	kinds := []Kind{k}
	if k == Pairs {
		kinds = []Kind{Totals, Profiles}
	}
	if k == Grid {
		return append(out, Directory, Site)
	}
	for _, kind := range kinds {
		for _, h := range headings[kind] {
			for _, c := range []Column{h.column, h.ofPage} {
				if c != Other && !slices.Contains(out, c) {
					out = append(out, c)
				}
			}
		}
	}
	return out
}
