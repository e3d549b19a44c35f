// Package standing has what is known of sites from elsewhere: links, listings, reviews,
// as the consultant brings them.
//
// In goes a small table as somebody copied it; out come figures by site.
package standing

import (
	"encoding/csv"
	"strconv"
	"strings"

	"inktally/core/lineup"
	"inktally/core/text"
)

// Figure names a figure of a site.
type Figure string

// The figures.
const (
	Links     Figure = "links"
	Domains   Figure = "referring_domains"
	Strength  Figure = "strength" // the source's own, with its scale
	Listings  Figure = "listings"
	Reviews   Figure = "reviews"
	Rating    Figure = "rating"
	Photos    Figure = "photos"
	FoundFor  Figure = "phrases_found_for"
	VisitsMo  Figure = "visits"
	noFigure  Figure = ""
	mostRows         = 200
	mostBytes        = 100_000
	mostCells        = 30
)

// Figures returns all of them, in the order in which they are shown.
func Figures() []Figure {
	return []Figure{Links, Domains, Strength, Listings, Reviews, Rating, Photos, FoundFor, VisitsMo}
}

// headings are words of column headings, the longest of a figure's first: referring domains
// before links.
var headings = []struct {
	figure Figure
	words  []string
}{
	{Domains, []string{"referring domains", "linking domains", "ref domains", "linking sites", "linking websites",
		"root domains"}},
	{VisitsMo, []string{"visits", "traffic", "visitors"}},
	{FoundFor, []string{"phrases found for", "phrases", "keywords", "found for"}},
	{Listings, []string{"listings", "citations", "directories"}},
	{Reviews, []string{"reviews", "review count", "ratings count"}},
	{Rating, []string{"rating", "stars", "average rating"}},
	{Photos, []string{"photos", "pictures", "images"}},
	{Strength, []string{"strength", "authority", "score", "rank", "rating of the domain"}},
	{Links, []string{"backlinks", "links", "inbound links"}},
}

// Row are the figures of a site of a table.
type Row struct {
	// Name is what the row calls the site: its address, its domain or its name.
	Name    string
	Figures map[Figure]float64
}

// Read reads a small table: a heading for each column, a site for each row, parted by tabs,
// semicolons or commas. It is empty for what is none.
func Read(table string) []Row {
	if len(table) > mostBytes {
		return nil
	}
	r := csv.NewReader(strings.NewReader(strings.TrimSpace(table)))
	r.Comma, r.FieldsPerRecord, r.LazyQuotes, r.TrimLeadingSpace = separator(table), -1, true, true
	records, err := r.ReadAll()
	if err != nil || len(records) < 2 {
		return nil
	}
	columns := make([]Figure, min(len(records[0]), mostCells))
	seen := map[Figure]bool{}
	for i := range columns {
		if f := figureOf(records[0][i]); f != noFigure && !seen[f] {
			columns[i], seen[f] = f, true
		}
	}
	var out []Row
	for _, record := range records[1:min(len(records), mostRows)] {
		row := Row{Figures: map[Figure]float64{}}
		for i, cell := range record[:min(len(record), len(columns))] {
			n, ok := number(cell)
			switch {
			case columns[i] != noFigure && ok:
				row.Figures[columns[i]] = n
			case columns[i] == noFigure && row.Name == "":
				row.Name = text.Collapse(cell)
			}
		}
		if row.Name != "" && len(row.Figures) > 0 {
			out = append(out, row)
		}
	}
	return out
}

func separator(table string) rune {
	first, _, _ := strings.Cut(strings.TrimSpace(table), "\n")
	for _, sign := range []rune{'\t', ';', ','} {
		if strings.ContainsRune(first, sign) {
			return sign
		}
	}
	return ','
}

func figureOf(heading string) Figure {
	spoken := " " + strings.Join(text.Tokens(heading), " ") + " "
	for _, h := range headings {
		for _, w := range h.words {
			if strings.Contains(spoken, " "+w+" ") {
				return h.figure
			}
		}
	}
	return noFigure
}

// number reads a figure as tables write it: 1,200, 1.2K, 4.7.
func number(cell string) (float64, bool) {
	cell = strings.ToLower(strings.ReplaceAll(text.Collapse(cell), " ", ""))
	times := 1.0
	switch {
	case strings.HasSuffix(cell, "k"):
		times, cell = 1e3, strings.TrimSuffix(cell, "k")
	case strings.HasSuffix(cell, "m"):
		times, cell = 1e6, strings.TrimSuffix(cell, "m")
	}
	if comma := strings.LastIndexByte(cell, ','); comma >= 0 {
		if len(cell)-comma == 4 && !strings.Contains(cell[comma:], ".") || strings.Contains(cell, ".") &&
			strings.LastIndexByte(cell, '.') > comma {
			cell = strings.ReplaceAll(cell, ",", "")
		} else {
			cell = strings.ReplaceAll(cell, ",", ".")
		}
	}
	n, err := strconv.ParseFloat(cell, 64)
	return n * times, err == nil && n >= 0 && n < 1e12
}

// Belongs reports whether a row of a table is about a site: by its domain, else by its name.
func Belongs(row Row, domain, name string) bool {
	spoken := row.Name
	if !strings.Contains(spoken, "://") {
		spoken = "http://" + spoken
	}
	if !strings.Contains(row.Name, " ") && lineup.Domain(spoken) == domain && domain != "" {
		return true
	}
	key := func(s string) string { return strings.Join(text.Tokens(s), " ") }
	return key(name) != "" && key(row.Name) == key(name)
}
