package results

import (
	"regexp"
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

// columns are the words of headings by what their column holds, the surest first.
var columns = []struct {
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

// headingRows bounds where a table's headings are looked for.
const headingRows = 20

// fromHeading returns the rows of a table from that of its headings on: the one with most words
// that are known, the first of these.
func fromHeading(rows [][]string) [][]string {
	best, most := 0, 1
	for i, row := range rows[:min(len(rows)-1, headingRows)] {
		if n := len(columnsAt(guessed(row))); n > most {
			best, most = i, n
		}
	}
	return rows[best:]
}

// byContent finds by their cells the columns that their headings do not tell: addresses, telephone
// numbers, ratings.
func byContent(fields []Field, rows [][]string) {
	if slices.ContainsFunc(fields, func(f Field) bool { return f == URLField || f == DomainField }) &&
		slices.Contains(fields, PhoneField) && slices.Contains(fields, RatingField) || len(columnsAt(fields)) == 0 {
		return
	}
	tests := []struct {
		field Field
		holds func(cell string) bool
	}{
		{URLField, func(cell string) bool { return webAddress(cell) != nil || domainOf(cell) != "" }},
		{PhoneField, func(cell string) bool { return len(cell) < 24 && phoneOf(cell) != "" }},
		{RatingField, func(cell string) bool { return ratingBare.MatchString(cell) }},
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
		if c < len(row) && hasWord(row[c]) {
			filled++
			held += boolInt(holds(strings.TrimSpace(row[c])))
		}
	}
	return filled, held
}

// like reports whether most rows under the headings have as many cells as these.
func like(rows [][]string) bool {
	full, filled := 0, 0
	for _, row := range rows[1:] {
		filled += boolInt(strings.TrimSpace(strings.Join(row, "")) != "")
		full += boolInt(len(row) >= len(rows[0])-1)
	}
	return 3*full >= 2*filled
}

// fromTable reads a table with headings in the trade's words, or with columns that a
// person told. It is not ok for what is none.
func fromTable(body []byte, source Source) (Results, bool) {
	rows, err := table.Parse(body)
	if err != nil || len(rows) < 2 || len(rows[0]) < 2 {
		return Results{}, false
	}
	rows = fromHeading(rows)
	p := Results{Heading: rows[0], Columns: guessed(rows[0])}
	if source.Columns != nil {
		p.Columns = source.Columns
	} else {
		byContent(p.Columns, rows[1:])
	}
	at := columnsAt(p.Columns)
	if source.Columns == nil && !source.Table && !like(rows) {
		return Results{}, false // a text with a table in it
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
	cell := r.text(field)
	if n, ok := table.Number(cell); ok && cell != "" {
		return &n
	}
	if m := countCell.FindStringSubmatch(cell); m != nil {
		if n, ok := amount(m[1]); ok {
			return &n
		}
	}
	return nil
}

// countCell is a cell that begins with a count: 1.2K, 9 years.
var countCell = regexp.MustCompile(`^\W*` + countForm + `(?:\P{L}|$)`)

// rating returns the rating of the row, from above 0 to 5, nil for none.
func (r tableRow) rating() *float64 {
	cell := r.text(RatingField)
	n, err := strconv.ParseFloat(strings.Replace(cell, ",", ".", 1), 64)
	if spoken, ok := ratingOf(cell); err != nil && ok {
		n, err = spoken, nil
	}
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
	e.URL = tableAddress(e.URL)
	if e.URL != "" {
		e.Domain = lineup.Domain(e.URL)
	}
	return e
}

// tableAddress returns the address of a cell, the innermost where it carries one, empty for none.
func tableAddress(cell string) string {
	if u := webAddress(cell); u != nil {
		return links{}.target(cell)
	}
	if domainOf(cell) == "" {
		return ""
	}
	if strings.ContainsAny(cell, " ›»") {
		return "https://" + domainOf(cell)
	}
	return links{}.target("https://" + cell)
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
