package results

import (
	"slices"
	"strconv"
	"strings"

	"inktally/core/lineup"
	"inktally/core/table"
)

// Field is what a column of a table holds.
type Field string

// The fields; NoField is a column that is not read.
const (
	NoField        Field = ""
	PartField      Field = "part"
	PositionField  Field = "position"
	TitleField     Field = "title"
	URLField       Field = "url"
	DomainField    Field = "domain"
	RatingField    Field = "rating"
	ReviewsField   Field = "reviews"
	PhoneField     Field = "phone"
	YearsField     Field = "years"
	SponsoredField Field = "sponsored"
)

// Fields returns all of them.
func Fields() []Field {
	return []Field{NoField, PartField, PositionField, RatingField, ReviewsField, TitleField, URLField, DomainField,
		PhoneField, YearsField, SponsoredField}
}

// columns are the words of headings by what their column holds.
var columns = []struct {
	field Field
	words []string
}{
	{PartField, []string{"part", "type", "section", "kind"}},
	{PositionField, []string{"position", "rank", "pos", "place", "no"}},
	{ReviewsField, []string{"reviews", "review count", "number of reviews", "votes"}},
	{RatingField, []string{"rating", "stars", "score"}},
	{TitleField, []string{"title", "name", "business", "firm", "company"}},
	{URLField, []string{"url", "website", "site", "link", "address", "web"}},
	{DomainField, []string{"domain", "host"}}, {PhoneField, []string{"phone", "telephone", "tel"}},
	{YearsField, []string{"years", "years in business", "in business"}},
	{SponsoredField, []string{"sponsored", "ad", "paid"}},
}

// guessed returns what the columns hold by their headings, each field once.
func guessed(heading []string) []Field {
	out := make([]Field, len(heading))
	for c, cell := range heading {
		folded := " " + fold(cell) + " "
		for _, column := range columns {
			named := slices.ContainsFunc(column.words, func(w string) bool {
				return strings.Contains(folded, " "+w+" ")
			})
			if named && !slices.Contains(out, column.field) {
				out[c] = column.field
				break
			}
		}
	}
	return out
}

// fromTable reads a table with headings in the trade's words, or with columns that a
// person told. It is not ok for what is none.
func fromTable(body []byte, source Source) (Results, bool) {
	rows, err := table.Parse(body)
	if err != nil || len(rows) < 2 || len(rows[0]) < 2 {
		return Results{}, false
	}
	p := Results{Heading: rows[0], Columns: guessed(rows[0])}
	if source.Columns != nil {
		p.Columns = source.Columns
	}
	at := map[Field]int{}
	for c, field := range p.Columns {
		if field != NoField && !has(at, field) {
			at[field] = c
		}
	}
	if !has(at, TitleField) && !has(at, URLField) || len(at) < 2 && source.Columns == nil {
		return p, source.Table || source.Columns != nil
	}
	p.placed = has(at, PositionField)
	for _, row := range rows[1:] {
		e := entryOf(tableRow{row, at})
		if e.Title == "" && e.URL == "" {
			p.Unread = append(p.Unread, strings.Join(row, " "))
			continue
		}
		p.Entries = append(p.Entries, e)
	}
	return p, len(p.Entries) > 0 || source.Table || source.Columns != nil
}

// tableRow is a row of a table whose columns hold fields.
type tableRow struct {
	cells []string
	at    map[Field]int
}

// text returns what the row has of a field, empty for nothing.
func (r tableRow) text(field Field) string {
	if c, ok := r.at[field]; ok && c < len(r.cells) {
		return strings.TrimSpace(r.cells[c])
	}
	return ""
}

// number returns a whole number of the row, nil for none.
func (r tableRow) number(field Field) *int {
	n, ok := table.Number(r.text(field))
	if !ok || r.text(field) == "" {
		return nil
	}
	return &n
}

// rating returns the rating of the row, from above 0 to 5, nil for none.
func (r tableRow) rating() *float64 {
	n, err := strconv.ParseFloat(strings.Replace(r.text(RatingField), ",", ".", 1), 64)
	if err != nil || n <= 0 || n > 5 {
		return nil
	}
	return &n
}

// entryOf makes an entry of a row.
func entryOf(r tableRow) Entry {
	e := Entry{Title: r.text(TitleField), URL: r.text(URLField), Domain: r.text(DomainField),
		Phone: r.text(PhoneField), Part: partOf(r.text(PartField), r.text(SponsoredField)),
		Rating: r.rating(), Reviews: r.number(ReviewsField), Years: r.number(YearsField)}
	if n := r.number(PositionField); n != nil {
		e.Position = *n
	}
	if e.URL != "" {
		if !strings.Contains(e.URL, "://") {
			e.URL = "https://" + e.URL
		}
		e.Domain = lineup.Domain(e.URL)
	}
	return e
}

func has(at map[Field]int, field Field) bool {
	_, ok := at[field]
	return ok
}

// partOf returns the part that a table names; what names none is organic.
func partOf(spoken, sponsored string) Part {
	folded := " " + fold(spoken) + " "
	holds := func(words ...string) bool {
		for _, w := range words {
			if strings.Contains(folded, " "+w+" ") {
				return true
			}
		}
		return false
	}
	paid := holds("paid", "ad", "ads", "sponsored") || sponsored != "" && sponsored != "0" &&
		!strings.EqualFold(sponsored, "no") && !strings.EqualFold(sponsored, "false")
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
