package brought

import (
	"slices"
)

const (
	headingRows = 20  // in which the heading is looked for
	sampleRows  = 200 // by which a column is told
	mostColumns = 200
	fewLabels   = 3 // of a table of facts
)

// Guess tells what a table is and what its columns are. A table that is none of those that are known has NoKind.
func Guess(rows [][]string) Layout {
	best := Layout{Kind: NoKind, Heading: -1, Columns: make([]Column, widthOf(rows))}
	if len(rows) == 0 {
		return best
	}
	if l, ok := pairs(rows); ok {
		return l
	}
	most := 0
	for i := range rows[:min(len(rows), headingRows)] {
		if i+1 == len(rows) {
			break
		}
		columns := sample(rows[i+1:], len(best.Columns))
		for _, kind := range []Kind{Totals, Links, Listings, Profiles} {
			found, n := byHeading(kind, rows[i], columns)
			if n > most && complete(kind, found) {
				best, most = Layout{Kind: kind, Heading: i, Columns: found, Names: rows[i]}, n
			}
		}
	}
	if most < 2 {
		if l, ok := grid(rows); ok {
			return l
		}
		if found, ok := byContent(sample(rows, len(best.Columns))); ok && most == 0 {
			return Layout{Kind: Links, Heading: -1, Columns: found}
		}
	}
	return best
}

func widthOf(rows [][]string) (width int) {
	for _, row := range rows[:min(len(rows), sampleRows)] {
		width = max(width, min(len(row), mostColumns))
	}
	return width
}

// sample looks at the columns of rows.
func sample(rows [][]string, width int) []column {
	out := make([]column, width)
	for _, row := range rows[:min(len(rows), sampleRows)] {
		for i, cell := range row[:min(len(row), width)] {
			out[i].add(cell)
		}
	}
	return out
}

// byHeading tells the columns of a table of a kind by their headings; n is how many it knows. Of two columns with one
// meaning the first is read, but two strengths are two.
func byHeading(kind Kind, names []string, columns []column) (found []Column, n int) {
	found = make([]Column, len(columns))
	for i, name := range names[:min(len(names), len(found))] {
		for _, h := range named(kind, name) {
			if columns[i].is(h.holds) && room(found, h.column) {
				found[i] = h.column
				n++
				break
			}
		}
	}
	return found, n
}

// room reports whether a column may stand once more.
func room(found []Column, c Column) bool {
	n := 0
	for _, have := range found {
		if c != Other && have == c {
			n++
		}
	}
	return n == 0 || n == 1 && (c == StrengthOfSite || c == StrengthOfPage)
}

// complete reports whether a table of a kind has the columns that it cannot be without.
func complete(kind Kind, found []Column) bool {
	has := func(list ...Column) bool {
		return slices.ContainsFunc(list, func(c Column) bool { return slices.Contains(found, c) })
	}
	switch kind {
	case Totals:
		return has(Site) && has(StrengthOfPage, StrengthOfSite, DomainsOfPage, DomainsOfSite, LinksOfPage, LinksOfSite,
			FoundFor, Visits, Rating, Reviews, Photos, ListingsOf)
	case Links:
		return has(LinkPage, LinkDomain) &&
			has(Anchor, LinkTitle, FirstSeen, Followed, NotFollow, Target, StrengthOfSite, StrengthOfPage, LinksFrom)
	case Listings:
		return has(Directory) && has(BusinessName, Address, Phone, BusinessSite, Hours, IsListed, ListingPage)
	case Profiles:
		return has(Site) && has(Category, Description, Claimed, LastPost, Answered, Recent, Areas, Services,
			Attributes, Founded)
	}
	return false
}

// byContent tells the columns of a list of links without a heading: an address, a day, a figure up to 100, texts.
func byContent(columns []column) (found []Column, ok bool) {
	found = make([]Column, len(columns))
	take := func(c Column, is func(column) bool) bool {
		for i, col := range columns {
			if found[i] == Other && col.filled > 0 && is(col) {
				found[i] = c
				return true
			}
		}
		return false
	}
	page := take(LinkPage, func(c column) bool { return 2*c.addresses > c.filled })
	if !page && !take(LinkDomain, func(c column) bool { return 2*c.domains > c.filled }) {
		return found, false
	}
	day := take(FirstSeen, func(c column) bool { return 2*c.dates > c.filled })
	strength := take(StrengthOfSite, func(c column) bool { return 2*c.numbers > c.filled && c.highest <= 100 })
	text := func(c column) bool { return 2*c.numbers <= c.filled && 2*(c.addresses+c.dates) <= c.filled }
	anchor := take(Anchor, text)
	take(LinkTitle, text)
	return found, (day || strength) && anchor || page && anchor
}

// grid tells a table of directory by business: businesses in its heading, yes or no below.
func grid(rows [][]string) (Layout, bool) {
	for i, row := range rows[:min(len(rows)-1, headingRows)] {
		columns := sample(rows[i+1:], len(row))
		l := Layout{Kind: Grid, Heading: i, Columns: make([]Column, len(row)), Names: row}
		firms := 0
		for c := 1; c < len(row); c++ {
			if row[c] != "" && columns[c].filled > 0 && 3*columns[c].flags >= 2*columns[c].filled {
				l.Columns[c] = Site
				firms++
			}
		}
		if firms > 0 && len(row) > 1 && columns[0].is(words) && columns[0].filled > 0 {
			l.Columns[0] = Directory
			return l, true
		}
	}
	return Layout{}, false
}

// pairs tells a table of facts: what is told and what it is, a row each. Its columns are those of its rows.
func pairs(rows [][]string) (Layout, bool) {
	known, filled := 0, 0
	l := Layout{Kind: Pairs, Heading: -1}
	for _, row := range rows[:min(len(rows), mostColumns)] {
		c, name := Other, ""
		if len(row) == 2 && row[0] != "" {
			name = row[0]
			if c = factOf(row[0], row[1]); !room(l.Columns, c) {
				c = Other
			}
		}
		if len(row) >= 2 && row[0] != "" {
			filled++
			if c != Other {
				known++
			}
		}
		l.Columns, l.Names = append(l.Columns, c), append(l.Names, name)
	}
	return l, known >= fewLabels && 2*known >= filled
}

// factOf returns the fact or figure that a label names, if the value beside it is one of it.
func factOf(label, value string) Column {
	var cell column
	cell.add(value)
	best := Other
	for _, kind := range []Kind{Profiles, Totals} {
		for _, h := range named(kind, label) {
			switch {
			case cell.filled == 0 || !cell.is(h.holds) || h.column == Day:
			case h.column != Site:
				return h.column
			case best == Other:
				best = Site
			}
		}
	}
	return best
}
