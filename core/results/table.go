package results

import (
	"slices"
	"strconv"
	"strings"

	"inktally/core/lineup"
	"inktally/core/table"
)

// columns are the words of headings by what their column holds.
var columns = []struct {
	field string
	words []string
}{
	{"part", []string{"part", "type", "section", "kind"}}, {"position", []string{"position", "rank", "pos", "place", "no"}},
	{"reviews", []string{"reviews", "review count", "number of reviews", "votes"}}, {"rating", []string{"rating", "stars", "score"}},
	{"title", []string{"title", "name", "business", "firm", "company"}}, {"url", []string{"url", "website", "site", "link", "address", "web"}},
	{"domain", []string{"domain", "host"}}, {"phone", []string{"phone", "telephone", "tel"}}, {"years", []string{"years", "years in business", "in business"}},
	{"sponsored", []string{"sponsored", "ad", "paid"}},
}

// fromTable reads a table with headings in the trade's words.
func fromTable(body []byte) (Page, bool) {
	rows, err := table.Parse(body)
	if err != nil || len(rows) < 2 {
		return Page{}, false
	}
	at := map[string]int{}
	for c, cell := range rows[0] {
		folded := " " + fold(cell) + " "
		for _, column := range columns {
			named := slices.ContainsFunc(column.words, func(w string) bool { return strings.Contains(folded, " "+w+" ") })
			if named && !has(at, column.field) {
				at[column.field] = c
				break
			}
		}
	}
	if !has(at, "title") && !has(at, "url") || len(at) < 2 {
		return Page{}, false
	}
	var p Page
	for _, row := range rows[1:] {
		cell := func(field string) string {
			if c, ok := at[field]; ok && c < len(row) {
				return strings.TrimSpace(row[c])
			}
			return ""
		}
		e := Entry{Title: cell("title"), URL: cell("url"), Domain: cell("domain"), Phone: cell("phone"), Part: partOf(cell("part"), cell("sponsored"))}
		if e.URL != "" && !strings.Contains(e.URL, "://") {
			e.URL = "https://" + e.URL
		}
		if e.URL != "" {
			e.Domain = lineup.Domain(e.URL)
		}
		if n, err := strconv.ParseFloat(strings.Replace(cell("rating"), ",", ".", 1), 64); err == nil && n > 0 && n <= 5 {
			e.Rating = &n
		}
		if n, ok := table.Number(cell("reviews")); ok && cell("reviews") != "" {
			e.Reviews = &n
		}
		if n, ok := table.Number(cell("years")); ok && cell("years") != "" {
			e.Years = &n
		}
		if e.Title == "" && e.URL == "" {
			p.Unread = append(p.Unread, strings.Join(row, " "))
			continue
		}
		p.Entries = append(p.Entries, e)
	}
	return p, len(p.Entries) > 0
}

func has(at map[string]int, field string) bool {
	_, ok := at[field]
	return ok
}

// partOf is the part that a table names; what names none is organic.
func partOf(said, sponsored string) Part {
	folded := " " + fold(said) + " "
	holds := func(words ...string) bool {
		for _, w := range words {
			if strings.Contains(folded, " "+w+" ") {
				return true
			}
		}
		return false
	}
	paid := holds("paid", "ad", "ads", "sponsored") || sponsored != "" && sponsored != "0" && !strings.EqualFold(sponsored, "no") && !strings.EqualFold(sponsored, "false")
	switch {
	case holds("map", "pack", "local", "places") && paid:
		return MapSponsored
	case holds("map", "pack", "local", "places"):
		return Map
	case paid:
		return Paid
	}
	return Organic
}
