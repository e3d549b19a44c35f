package brought

import (
	"strings"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/core/text"
)

// Taken is what a table has.
type Taken struct {
	Totals   []Total
	Links    []Link
	Listings []Entry
	// Has are the fields of a listing that the table has columns for.
	Has   map[listing.Field]bool
	Facts []Fact
	// LeftOut are rows that nothing was taken from, in their order.
	LeftOut []LeftOut
}

// Total is a figure of a site.
type Total struct {
	// Site is as the row names it.
	Site   string
	Figure standing.Figure
	Scope  standing.Scope
	// Name is the source's own name of a strength.
	Name  string
	Value float64
	// On is the day that the row says, zero if it says none.
	On time.Time
}

// Link is a link of a list.
type Link struct {
	// Target is the domain that it leads to, empty if the list does not say.
	Target string
	backlink.Row
}

// Entry is a listing of a business.
type Entry struct {
	// Site is the business as a grid's heading names it, empty in other lists.
	Site string
	listing.Entry
}

// Fact is a fact of a map profile.
type Fact struct {
	// Site is the business as the row names it, empty for the one that the table is about.
	Site  string
	Field mapprofile.Field
	Value string
}

// LeftOut is a row that nothing was taken from.
type LeftOut struct {
	// Line is its place in the table, from 1; Text is the beginning of it.
	Line int
	Text string
	Why  Reason
}

// Reason is why a row was left out.
type Reason string

// The reasons.
const (
	IsSum    Reason = "is_sum"    // it adds up others
	NoSite   Reason = "no_site"   // it names no site, page or directory
	NoFigure Reason = "no_figure" // nothing of it could be read
	Again    Reason = "again"     // a row before it has the same
	SiteElse Reason = "site_else" // it is about a site that is neither the client's nor a rival's
)

// Reasons returns all of them.
func Reasons() []Reason { return []Reason{IsSum, NoSite, NoFigure, Again, SiteElse} }

// taker takes the rows of a table.
type taker struct {
	layout Layout
	out    Taken
	seen   map[string]bool
	// dayFirst tells how days are read, by their column.
	dayFirst map[int]bool
}

// Take takes the rows of a table by its layout.
func Take(rows [][]string, l Layout) Taken {
	t := &taker{layout: l, seen: map[string]bool{}, dayFirst: map[int]bool{}, out: Taken{Has: map[listing.Field]bool{}}}
	body := l.body(rows)
	t.readDays(body)
	if l.Kind == Links {
		t.out.Links = make([]Link, 0, len(body))
	}
	for _, c := range l.Columns {
		if f, ok := listedFields[c]; ok {
			t.out.Has[f] = true
		}
	}
	for i, row := range body {
		if why := t.take(row, i); why != "" {
			t.out.LeftOut = append(t.out.LeftOut, LeftOut{Line: l.Heading + 2 + i, Text: short(row), Why: why})
		}
	}
	return t.out
}

// readDays tells how the days of each column are written.
func (t *taker) readDays(body [][]string) {
	foreign := Foreign(t.layout.Names)
	for c, what := range t.layout.Columns {
		if what == Day || what == FirstSeen || what == LastSeen || what == LastPost {
			var cells []string
			for _, row := range body[:min(len(body), sampleRows)] {
				if c < len(row) {
					cells = append(cells, row[c])
				}
			}
			t.dayFirst[c] = dayIsFirst(cells, foreign)
		}
	}
}

// take takes a row, or returns why it is left out; at is its place below the heading.
func (t *taker) take(row []string, at int) Reason {
	switch t.layout.Kind {
	case Totals:
		return t.total(row)
	case Links:
		return t.link(row)
	case Listings:
		return t.listing(row)
	case Grid:
		return t.gridRow(row)
	case Profiles:
		return t.profile(row)
	case Pairs:
		return t.pair(row, at)
	}
	return NoFigure
}

// cell returns what a row has of a column.
func (t *taker) cell(row []string, c Column) string {
	if at := t.layout.at(c); at >= 0 && at < len(row) && !isNone(row[at]) {
		return row[at]
	}
	return ""
}

// day returns a day of a row.
func (t *taker) day(row []string, c Column) time.Time {
	at, _ := dayOf(t.cell(row, c), t.dayFirst[t.layout.at(c)])
	return at
}

// short returns the beginning of a row, for a person to know it by.
func short(row []string) string {
	s := []rune(text.Collapse(strings.Join(row, " ")))
	if len(s) > 80 {
		return string(s[:80]) + "…"
	}
	return string(s)
}

// sums are words of a row that adds up others.
var sums = map[string]bool{"total": true, "totals": true, "sum": true, "average": true, "all": true, "gesamt": true,
	"summe":    true,
	"ensemble": true, "somme": true, "suma": true, "totale": true, "totaal": true, "median": true}

func isSum(name string) bool {
	if len(name) > 20 {
		return false
	}
	tokens := text.Tokens(name)
	return len(tokens) > 0 && len(tokens) <= 2 && sums[tokens[0]]
}

// figuresOf are the figures of the columns of totals.
var figuresOf = map[Column]struct {
	figure standing.Figure
	scope  standing.Scope
}{
	StrengthOfPage: {standing.Strength, standing.OfPage}, StrengthOfSite: {standing.Strength, standing.OfSite},
	DomainsOfPage: {standing.Domains, standing.OfPage}, DomainsOfSite: {standing.Domains, standing.OfSite},
	LinksOfPage: {standing.Links, standing.OfPage}, LinksOfSite: {standing.Links, standing.OfSite},
	FoundFor: {standing.FoundFor, standing.OfSite}, Visits: {standing.VisitsMo, standing.OfSite},
	Rating: {standing.Rating, standing.OfSite}, Reviews: {standing.Reviews, standing.OfSite},
	Photos: {standing.Photos, standing.OfSite}, ListingsOf: {standing.Listings, standing.OfSite},
}

// total takes a row of a site and its figures.
func (t *taker) total(row []string) Reason {
	site := t.cell(row, Site)
	switch {
	case isSum(site):
		return IsSum
	case len(text.Tokens(site)) == 0:
		return NoSite
	}
	found := false
	for i, c := range t.layout.Columns {
		of, ok := figuresOf[c]
		if !ok || i >= len(row) || isNone(row[i]) {
			continue
		}
		n, ok := figure(row[i])
		if !ok {
			continue
		}
		total := Total{Site: site, Figure: of.figure, Scope: of.scope, Value: n, On: t.day(row, Day)}
		if of.figure == standing.Strength && i < len(t.layout.Names) {
			total.Name = t.layout.Names[i]
		}
		if key := strings.Join([]string{site, string(of.figure), string(of.scope), total.Name, total.On.String()},
			"\x00"); !t.seen[key] {
			t.seen[key], found = true, true
			t.out.Totals = append(t.out.Totals, total)
		}
	}
	if !found {
		return NoFigure
	}
	return ""
}
