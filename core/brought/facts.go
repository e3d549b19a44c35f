package brought

import (
	"strconv"
	"strings"
	"time"

	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/core/text"
)

// listedFields are the fields of a listing by their columns.
var listedFields = map[Column]listing.Field{BusinessName: listing.Name, Address: listing.Address, Phone: listing.Phone,
	BusinessSite: listing.Site, Hours: listing.Hours}

// listing takes a row of a directory.
func (t *taker) listing(row []string) Reason {
	e := Entry{Entry: listing.Entry{Directory: cut(t.cell(row, Directory)), Firm: cut(t.cell(row, BusinessName)),
		Listed: listing.IsListed, Page: cut(t.cell(row, ListingPage)), Phone: cut(t.cell(row, Phone)),
		Hours: cut(t.cell(row, Hours)),
		Site:  cut(t.cell(row, BusinessSite)), Address: cut(t.address(row))}}
	if isSum(e.Directory) {
		return IsSum
	}
	if listing.Key(e.Directory) == "" {
		if e.Directory, _ = pageOf(e.Page); e.Directory == "" {
			return NoSite
		}
	}
	if yes, ok := flag(t.cell(row, IsListed)); ok && !yes {
		e.Listed = listing.IsNot
	} else if e.Firm+e.Page+e.Phone+e.Address == "" && !ok {
		e.Listed = listing.IsNot // a directory of which nothing is told
	}
	t.out.Listings = append(t.out.Listings, e)
	return ""
}

// address puts the parts of an address together.
func (t *taker) address(row []string) string {
	address := t.cell(row, Address)
	end := strings.TrimSpace(t.cell(row, State) + " " + t.cell(row, Postcode))
	for _, part := range []string{t.cell(row, Town), end} {
		if part != "" && !strings.Contains(text.Collapse(address), part) {
			address = strings.TrimPrefix(address+", "+part, ", ")
		}
	}
	return address
}

// gridRow takes a row of a directory and whether it lists each business.
func (t *taker) gridRow(row []string) Reason {
	directory := t.cell(row, Directory)
	switch {
	case isSum(directory):
		return IsSum
	case listing.Key(directory) == "":
		return NoSite
	}
	found := false
	for i, c := range t.layout.Columns {
		if c != Site || i >= len(row) || i >= len(t.layout.Names) {
			continue
		}
		e := Entry{Site: t.layout.Names[i], Entry: listing.Entry{Directory: cut(directory), Listed: listing.IsNot}}
		yes, ok := flag(row[i])
		if !ok && row[i] != "" && !isNone(row[i]) {
			continue
		}
		if yes {
			e.Listed = listing.IsListed
		}
		found = true
		t.out.Listings = append(t.out.Listings, e)
	}
	if !found {
		return NoFigure
	}
	return ""
}

// fields are the facts of a profile by their columns. What is counted of it - reviews, rating, photos - are figures.
var fields = map[Column]mapprofile.Field{Category: mapprofile.Category, Description: mapprofile.Description,
	Hours: mapprofile.Hours,
	Phone: mapprofile.Phone, BusinessSite: mapprofile.Site, Address: mapprofile.Address, Areas: mapprofile.Areas,
	Services: mapprofile.Services, Founded: mapprofile.Founded, Attributes: mapprofile.Attributes,
	LastPost: mapprofile.LastPost,
	Recent:   mapprofile.Recent, Answered: mapprofile.Answered, Claimed: mapprofile.Claimed,
	PhotoNames: mapprofile.PhotoNames,
	Site:       mapprofile.Name}

// profile takes a row of a map profile.
func (t *taker) profile(row []string) Reason {
	site := t.cell(row, Site)
	switch {
	case isSum(site):
		return IsSum
	case len(text.Tokens(site)) == 0:
		return NoSite
	}
	found := false
	for i, c := range t.layout.Columns {
		if i < len(row) && c != Site && t.said(site, c, t.name(i), row[i], t.dayFirst[i]) {
			found = true
		}
	}
	if !found {
		return NoFigure
	}
	if domain, _ := pageOf(site); domain == "" { // the row calls it as the profile does
		t.out.Facts = append(t.out.Facts, Fact{Site: site, Field: mapprofile.Name, Value: site})
	}
	return ""
}

// pair takes a row of a fact and its value; at is its place in the table.
func (t *taker) pair(row []string, at int) Reason {
	if at >= len(t.layout.Columns) || len(row) < 2 || !t.said("", t.layout.Columns[at], t.name(at), row[1], false) {
		return NoFigure
	}
	return ""
}

// name returns a heading of the table.
func (t *taker) name(at int) string {
	if at < len(t.layout.Names) {
		return t.layout.Names[at]
	}
	return ""
}

// said takes a fact or a figure of a business; it is false for what is neither.
func (t *taker) said(site string, c Column, name, cell string, dayFirst bool) bool {
	if of, ok := figuresOf[c]; ok {
		n, ok := figure(cell)
		if !ok {
			return false
		}
		if of.figure != standing.Strength {
			name = ""
		}
		t.out.Totals = append(t.out.Totals, Total{Site: site, Figure: of.figure, Scope: of.scope, Name: name, Value: n})
		return true
	}
	f, ok := fields[c]
	if !ok {
		return false
	}
	value, ok := t.fact(f, cell, dayFirst)
	if ok {
		t.out.Facts = append(t.out.Facts, Fact{Site: site, Field: f, Value: value})
	}
	return ok
}

// fact reads the value of a fact in the form in which it is kept: figures without signs, days as 2026-08-02. A cell
// without anything is not known, one that says that there is nothing is empty.
func (t *taker) fact(f mapprofile.Field, cell string, dayFirst bool) (value string, ok bool) {
	cell = cut(text.Collapse(cell))
	if cell == "" {
		return "", false
	}
	if isNone(cell) {
		return "", true
	}
	switch f {
	case mapprofile.Recent, mapprofile.Answered:
		n, ok := figure(cell)
		return strconv.FormatFloat(n, 'f', -1, 64), ok
	case mapprofile.LastPost:
		at, ok := dayOf(cell, dayFirst)
		return at.Format(time.DateOnly), ok
	case mapprofile.Claimed, mapprofile.There:
		yes, ok := flag(cell)
		if !yes {
			return "", ok
		}
		return "yes", ok
	}
	return cell, true
}

// foreignHeadings are words that only headings of other languages than English have.
var foreignHeadings = list(`domaine,domain referent,premiere,derniere,liens,titre,texte,zuerst,ziel,seite,erstmals,
fecha,primera,ultima,
enlaces,dominio,prima,titolo,avis,bewertungen,datum,eerst,laatst`)

// Foreign reports whether headings are not English: then a day stands before its month.
func Foreign(names []string) bool {
	for _, n := range names {
		if overlaps(text.Tokens(n), foreignHeadings) {
			return true
		}
	}
	return false
}
