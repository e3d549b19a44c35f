package results

import "strconv"

func itoa(n int) string { return strconv.Itoa(n) }

// tables reads the tables of a copied text: lines of like cells under a line of headings that are
// known. Their lines are taken out of it.
func (c *copied) tables() (found []lineEntry) {
	for i := 0; i < len(c.lines); i++ {
		cells := c.lines[i].cells
		if len(cells) < 3 {
			continue
		}
		fields := guessed(cells)
		at := columnsAt(fields)
		if len(at) < 3 || !has(at, TitleField) && !has(at, URLField) {
			continue
		}
		end := i + 1
		for end < len(c.lines) && len(c.lines[end].cells) >= len(cells)-1 && len(c.lines[end].cells) > 2 {
			e := entryOf(tableRow{c.lines[end].cells, at})
			if !has(at, PartField) && (has(at, PhoneField) || has(at, RatingField)) {
				e.Part = Map // firms with what the map says of them
			}
			if e.Title != "" || e.URL != "" {
				found = append(found, lineEntry{lo: end, title: end, address: -1, row: &e})
			}
			end++
		}
		for k := i; k < end; k++ {
			c.lines[k].gone = true
		}
		i = end - 1
	}
	return found
}

// columnsAt returns where the fields stand, each once.
func columnsAt(fields []Field) map[Field]int {
	at := map[Field]int{}
	for c, field := range fields {
		if field != NoField && !has(at, field) {
			at[field] = c
		}
	}
	return at
}

// pluralAds are labels for what is paid for that stand over several entries.
var pluralAds = set(`ads;sponsors;sponsored results;sponsored links;sponsored listings;advertisements;paid results;
anzeigen;gesponserte ergebnisse;annonces;liens sponsorises;resultats sponsorises;anuncios;
resultados patrocinados;annunci;risultati sponsorizzati;advertenties;gesponsorde resultaten`)

// severalAds reports whether a label stands over several entries.
func severalAds(label string) bool { return pluralAds[fold(label)] }
