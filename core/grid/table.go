// Package grid reads tables of search results (rule 6.6): the row of their headings wherever it
// stands, what their columns hold by these or by their cells, and an entry of each row.
package grid

import (
	"regexp"
	"slices"
	"strconv"
	"strings"

	"inktally/core/entry"
	"inktally/core/lineup"
	"inktally/core/table"
	"inktally/core/wrapped"
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

// known are the words of headings by what their column holds, the surest first.
var known = []struct {
	field Field
	words []string
}{
	{ReviewsField,
		words(`reviews;review count;votes;reviews count;ratings count;bewertungen;rezensionen;anzahl bewertungen;
avis;nombre d avis;resenas;opiniones;recensioni;beoordelingen`)},
	{RatingField,
		words(`rating;stars;score;sterne;note;wertung;bewertung;etoiles;valoracion;nota;puntuacion;valutazione;
stelle;sterren;waardering`)},
	{YearsField, words(`years;years in business;in business;yrs;jahre;ans;anos;anni;jaren`)},
	{PhoneField,
		words(`phone;telephone;tel;phone number;telefon;telefonnummer;rufnummer;telefono;telefoon;telephones`)},
	{SponsoredField, words(`sponsored;ad;paid;anzeige;gesponsert;sponsorise;patrocinado;sponsorizzato;gesponsord`)},
	{PartField,
		words(
			`part;type;section;kind;result type;block;teil;bereich;art;typ;partie;rubrique;seccion;tipo;sezione;soort`)},
	{PositionField, words(`position;rank;pos;place;no;nr;rang;platz;ranking;posicion;puesto;posizione;positie;#`)},
	{URLField, words(`url;website;site;link;address;web;landing page;page;web site;adresse;webseite;lien;enlace;sitio;
direccion;sito;indirizzo;pagina;webadresse`)},
	{DomainField, words(`domain;host;domaine;dominio;domein`)},
	{TitleField, words(`title;name;business;firm;company;listing;result;heading;titel;betrieb;firma;unternehmen;titre;
entreprise;nom;nombre;empresa;titulo;negocio;titolo;azienda;nome;naam;bedrijf;treffer`)},
}

func words(list string) []string {
	out := strings.Split(list, ";")
	for i := range out {
		out[i] = strings.TrimSpace(out[i])
	}
	return out
}

// Guessed returns what the columns hold by their headings, each field once.
func Guessed(heading []string) []Field {
	out := make([]Field, len(heading))
	for c, cell := range heading {
		folded := " " + entry.Fold(cell) + " "
		for _, column := range known {
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

// ColumnsAt returns where the fields stand, each once.
func ColumnsAt(fields []Field) map[Field]int {
	at := map[Field]int{}
	for c, field := range fields {
		if field != NoField && !Has(at, field) {
			at[field] = c
		}
	}
	return at
}

// headingRows bounds where a table's headings are looked for.
const headingRows = 20

// fromHeading returns the rows of a table from that of its headings on: the one with most words
// that are known, the first of these.
func fromHeading(rows [][]string) [][]string {
	best, most := 0, 1
	for i, row := range rows[:min(len(rows)-1, headingRows)] {
		if n := len(ColumnsAt(Guessed(row))); n > most {
			best, most = i, n
		}
	}
	return rows[best:]
}

// byContent finds by their cells the columns that their headings do not tell: addresses, telephone
// numbers, ratings.
func byContent(fields []Field, rows [][]string) {
	if slices.ContainsFunc(fields, func(f Field) bool { return f == URLField || f == DomainField }) &&
		slices.Contains(fields, PhoneField) && slices.Contains(fields, RatingField) || len(ColumnsAt(fields)) == 0 {
		return
	}
	tests := []struct {
		field Field
		holds func(cell string) bool
	}{
		{URLField, func(cell string) bool { return wrapped.Address(cell) != nil || entry.DomainOf(cell) != "" }},
		{PhoneField, func(cell string) bool { return len(cell) < 24 && entry.PhoneOf(cell) != "" }},
		{RatingField, func(cell string) bool { return entry.LeadsWithRating(cell) }},
	}
	for c := range fields {
		for _, t := range tests {
			if fields[c] != NoField || slices.Contains(fields, t.field) || t.field == URLField &&
				slices.Contains(fields, DomainField) {
				continue
			}
			if filled, held := countCells(rows, c, t.holds); held > 0 && 2*held > filled {
				fields[c] = t.field
			}
		}
	}
}

// countCells counts the cells of a column that hold something, and those that pass a test.
func countCells(rows [][]string, c int, holds func(string) bool) (filled, held int) {
	for _, row := range rows {
		if c < len(row) && entry.HasWord(row[c]) {
			filled++
			held += entry.One(holds(strings.TrimSpace(row[c])))
		}
	}
	return filled, held
}

// like reports whether most rows under the headings have as many cells as these.
func like(rows [][]string) bool {
	full, filled := 0, 0
	for _, row := range rows[1:] {
		filled += entry.One(strings.TrimSpace(strings.Join(row, "")) != "")
		full += entry.One(len(row) >= len(rows[0])-1)
	}
	return 3*full >= 2*filled
}

// Table is a table as it was read.
type Table struct {
	Entries []entry.Entry
	// Unread are rows that hold no entry, Heading is the row of the headings, Columns what each column
	// was read as.
	Unread  []string
	Heading []string
	Columns []Field
	// Placed reports whether the entries have the positions that the table has.
	Placed bool
}

// Read reads a table with headings in the trade's words, or with columns that a person told, nil
// for none. sure reports whether the text is known to be a table. It is not ok for what is none.
func Read(body []byte, columns []Field, sure bool) (Table, bool) {
	rows, err := table.Parse(body)
	if err != nil || len(rows) < 2 || len(rows[0]) < 2 {
		return Table{}, false
	}
	rows = fromHeading(rows)
	p := Table{Heading: rows[0], Columns: Guessed(rows[0])}
	if columns != nil {
		p.Columns = columns
	} else {
		byContent(p.Columns, rows[1:])
	}
	at := ColumnsAt(p.Columns)
	if columns == nil && !sure && !like(rows) {
		return Table{}, false // a text with a table in it
	}
	if !Has(at, TitleField) && !Has(at, URLField) || len(at) < 2 && columns == nil {
		return p, sure || columns != nil
	}
	p.Placed = Has(at, PositionField)
	for _, row := range rows[1:] {
		e := RowEntry(row, at)
		if e.Title == "" && e.URL == "" {
			p.Unread = append(p.Unread, strings.Join(row, " "))
			continue
		}
		p.Entries = append(p.Entries, e)
	}
	return p, len(p.Entries) > 0 || sure || columns != nil
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
	cell := r.text(field)
	if n, ok := table.Number(cell); ok && cell != "" {
		return &n
	}
	if m := countCell.FindStringSubmatch(cell); m != nil {
		if n, ok := entry.Amount(m[1]); ok {
			return &n
		}
	}
	return nil
}

// countCell is a cell that begins with a count: 1.2K, 9 years.
var countCell = regexp.MustCompile(`^\W*` + entry.CountForm + `(?:\P{L}|$)`)

// rating returns the rating of the row, from above 0 to 5, nil for none.
func (r tableRow) rating() *float64 {
	cell := r.text(RatingField)
	n, err := strconv.ParseFloat(strings.Replace(cell, ",", ".", 1), 64)
	if spoken, ok := entry.RatingOf(cell); err != nil && ok {
		n, err = spoken, nil
	}
	if err != nil || n <= 0 || n > 5 {
		return nil
	}
	return &n
}

// RowEntry returns the entry of a row whose columns hold fields.
func RowEntry(row []string, at map[Field]int) entry.Entry {
	r := tableRow{row, at}
	e := entry.Entry{Title: r.text(TitleField), URL: r.text(URLField), Domain: r.text(DomainField),
		Phone: r.text(PhoneField), Part: partOf(r.text(PartField), r.text(SponsoredField)),
		Rating: r.rating(), Reviews: r.number(ReviewsField), Years: r.number(YearsField)}
	if n := r.number(PositionField); n != nil {
		e.Position = *n
	}
	e.URL = tableAddress(e.URL)
	if e.URL != "" {
		e.Domain = lineup.Domain(e.URL)
	}
	return e
}

// tableAddress returns the address of a cell, the innermost where it carries one, empty for none.
func tableAddress(cell string) string {
	if u := wrapped.Address(cell); u != nil {
		return wrapped.Links{}.Target(cell)
	}
	if entry.DomainOf(cell) == "" {
		return ""
	}
	if strings.ContainsAny(cell, " ›»") {
		return "https://" + entry.DomainOf(cell)
	}
	return wrapped.Links{}.Target("https://" + cell)
}

// Has reports whether a field is one of a table.
func Has(at map[Field]int, field Field) bool {
	_, ok := at[field]
	return ok
}

// partOf returns the part that a table names; what names none is organic.
func partOf(spoken, sponsored string) entry.Part {
	folded := " " + entry.Fold(spoken) + " "
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
		return entry.MapSponsored
	case holds("map", "pack", "local", "places"):
		return entry.Map
	case paid:
		return entry.Paid
	}
	return entry.Organic
}
