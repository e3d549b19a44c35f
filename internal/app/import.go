package app

import (
	"bytes"
	"context"
	"fmt"
	"slices"
	"strings"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/table"
	"inktally/core/text"
	"inktally/internal/store"

	"github.com/xuri/excelize/v2"
)

// MaxList is the largest list that is read.
const MaxList = 20 << 20

// shownRows are those of a list that are shown before it is taken.
const shownRows = 8

// Preview is a list before it is taken: how it was understood.
type Preview struct {
	Rows   [][]string   `json:"rows" doc:"The first rows"`
	Total  int          `json:"total" doc:"How many rows there are, the heading too"`
	Layout table.Layout `json:"layout"`
	// Sites are those that a list of what is found may be of, Site the one that
	// this list is likely to be of; empty for a list of phrases for the book.
	Sites []FoundSite `json:"sites" doc:"The sites that the list may be of"`
	Site  string      `json:"site" doc:"The site whose found-for list it seems to be, empty for a list for the book"`
}

// Report tells what became of a list.
type Report struct {
	// ImportID is 0 where nothing was taken; by it the import is undone.
	ImportID int64           `json:"import_id"`
	Added    int             `json:"added"`
	Found    int             `json:"found" doc:"Phrases that sites are found for"`
	Joined   int             `json:"joined" doc:"Phrases that were there already and took the figures"`
	Refused  []table.Refused `json:"refused" doc:"The first that were not taken, with the reason"`
	RefusedN int             `json:"refused_total"`
}

// shownRefused bounds the refused rows that a report lists.
const shownRefused = 100

// listOf reads a list: XLSX by how it begins, else text.
func listOf(body []byte) ([][]string, error) {
	if len(body) > MaxList {
		return nil, Invalid{fmt.Sprintf("the list is larger than %d MB", MaxList>>20)}
	}
	if !bytes.HasPrefix(body, []byte("PK\x03\x04")) {
		rows, err := table.Parse(body)
		if err != nil {
			return nil, invalid(err)
		}
		return rows, nil
	}
	return sheetRows(body)
}

// maxUnzipped bounds what a workbook may unfold to.
const maxUnzipped = 200 << 20

// sheetRows reads the first sheet of a workbook that holds anything. Formulas
// are not worked out: what the file keeps as their value is taken.
func sheetRows(body []byte) ([][]string, error) {
	f, err := excelize.OpenReader(bytes.NewReader(body), excelize.Options{UnzipSizeLimit: maxUnzipped, UnzipXMLSizeLimit: maxUnzipped / 4})
	if err != nil {
		return nil, Invalid{"this workbook cannot be read"}
	}
	defer f.Close()
	for _, name := range f.GetSheetList() {
		rows, err := f.Rows(name)
		if err != nil {
			continue
		}
		var out [][]string
		for rows.Next() && len(out) < table.MaxRows {
			cells, err := rows.Columns()
			if err != nil {
				break
			}
			row := make([]string, 0, min(len(cells), table.MaxColumns))
			filled := false
			for _, cell := range cells[:min(len(cells), table.MaxColumns)] {
				cell = text.Collapse(cell)
				filled = filled || cell != ""
				row = append(row, cell)
			}
			if filled {
				out = append(out, row)
			}
		}
		_ = rows.Close()
		if len(out) > 0 {
			return out, nil
		}
	}
	return nil, Invalid{"the workbook holds nothing"}
}

// PreviewList shows how a list is understood before it is taken.
func (a *App) PreviewList(ctx context.Context, client int64, name string, body []byte) (*Preview, error) {
	rows, err := listOf(body)
	if err != nil {
		return nil, err
	}
	p := &Preview{Rows: rows[:min(len(rows), shownRows)], Total: len(rows), Layout: table.Guess(rows)}
	err = a.db.Read(ctx, func(tx *store.Tx) error {
		l := loaded{}
		if l.Ground, err = tx.Ground(client); err != nil {
			return err
		}
		p.Sites, err = l.sites(tx)
		return err
	})
	if err != nil {
		return nil, err
	}
	p.Site = siteOf(name, rows, p.Layout, p.Sites)
	return p, nil
}

// siteOf tells which of the sites a list is likely to be of: the one that most
// of its addresses are of, else the one that its name names. Without positions
// it is a list of phrases.
func siteOf(name string, rows [][]string, layout table.Layout, sites []FoundSite) string {
	if !slices.Contains(layout.Roles, table.Position) {
		return ""
	}
	at := slices.Index(layout.Roles, table.Address)
	best, most := "", 0
	for _, s := range sites {
		n := 0
		for _, row := range rows {
			if at >= 0 && at < len(row) && lineup.Domain(row[at]) == s.Site {
				n++
			}
		}
		if n*2 > len(rows) && n > most {
			best, most = s.Site, n
		}
		if best == "" && strings.Contains(strings.ToLower(name), s.Site) {
			best = s.Site
		}
	}
	return best
}

// ImportList takes the phrases of a list into a client's book, or where site
// names one, as what that site is found for; the client's own go into its book
// too. layout says what the columns hold; nil takes what is guessed.
func (a *App) ImportList(ctx context.Context, client int64, name string, body []byte, layout *table.Layout, site string) (*Report, error) {
	rows, err := listOf(body)
	if err != nil {
		return nil, err
	}
	if layout == nil {
		guess := table.Guess(rows)
		layout = &guess
	}
	taken, refused, err := table.Take(rows, *layout)
	if err != nil {
		return nil, invalid(err)
	}
	report := &Report{Refused: refused[:min(len(refused), shownRefused)], RefusedN: len(refused)}
	if report.Refused == nil {
		report.Refused = []table.Refused{}
	}
	return report, a.put(ctx, client, name, []listOfSite{{site, taken}}, report)
}

// listOfSite is a list of phrases, of what a site is found for where it names
// one.
type listOfSite struct {
	site string
	rows []table.Row
}

// put takes rows into a client's book and keeps how to undo it.
func (a *App) put(ctx context.Context, client int64, name string, lists []listOfSite, report *Report) error {
	return a.db.Write(ctx, func(tx *store.Tx) error {
		l := loaded{}
		var err error
		if l.Ground, err = tx.Ground(client); err != nil {
			return err
		}
		i := store.Import{Name: name, TakenAt: a.now()}
		var rows []table.Row
		for _, list := range lists {
			if list.site == "" {
				rows = append(rows, list.rows...)
				continue
			}
			found := store.FoundList{Site: list.site, Source: name, TakenAt: i.TakenAt, Phrases: foundIn(list.rows)}
			if len(found.Phrases) == 0 {
				continue
			}
			if l.owns(list.site) {
				rows = append(rows, foundRows(found.Phrases)...)
			}
			id, err := tx.AddFoundList(client, found)
			if err != nil {
				return err
			}
			i.Found = append(i.Found, id)
			report.Found += len(found.Phrases)
		}
		changed := map[int64]bool{}
		for _, r := range rows {
			e := phrase.BookPhrase{Text: strings.ToLower(r.Phrase), Volume: r.Volume, Difficulty: r.Difficulty, Position: r.Position}
			id, before, err := tx.PutPhrase(client, folded(r.Phrase), e)
			switch {
			case err != nil:
				return err
			case before == nil:
				i.Added = append(i.Added, id)
				changed[id] = true // it goes as a whole when this is undone
			default:
				report.Joined++
				if !changed[id] {
					changed[id] = true
					i.Changed = append(i.Changed, *before)
				}
			}
		}
		report.Added = len(i.Added)
		if len(i.Added)+len(i.Changed)+len(i.Found) == 0 {
			return nil
		}
		id, err := tx.AddImport(client, i)
		report.ImportID = id
		return err
	})
}

// folded is the same for phrases that differ in signs and case only.
func folded(phrase string) string { return strings.Join(text.Tokens(phrase), " ") }

// UndoImport takes back what an import did. Only the last one can be: a later
// one may have changed the same phrases.
func (a *App) UndoImport(ctx context.Context, client, id int64) error {
	return a.db.Write(ctx, func(tx *store.Tx) error {
		i, err := tx.Import(client, id)
		if err != nil {
			return err
		}
		last, err := tx.Imports(client, 1)
		if err != nil {
			return err
		}
		if last[0].ID != id {
			return Invalid{fmt.Sprintf("take back the later lists first: the last one is %q", last[0].Name)}
		}
		for _, phrase := range i.Added {
			if err := tx.DeletePhrase(client, phrase); err != nil {
				return err
			}
		}
		for _, list := range i.Found {
			if err := tx.DeleteFoundList(client, list); err != nil {
				return err
			}
		}
		for _, before := range i.Changed {
			if err := tx.RestorePhrase(client, before); err != nil {
				return err
			}
		}
		return tx.DeleteImport(client, id)
	})
}

// Candidates makes phrases of a client's services, places and patterns, those
// left out that its book has already.
func (a *App) Candidates(ctx context.Context, client int64) ([]string, error) {
	var l loaded
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		l, err = loadBook(tx, client)
		return err
	})
	if err != nil {
		return nil, err
	}
	had := map[string]bool{}
	for _, e := range l.entries {
		had[e.Text] = true
	}
	g := l.ground()
	out := []string{}
	for _, c := range phrase.Candidates(g.Services, g.Language, phrase.Patterns, states) {
		if !had[c] {
			out = append(out, c)
		}
	}
	return out, nil
}

// states gives both forms of a state, empty where it is not known.
func states(s string) (short, long string) {
	short, _ = place.StateAbbreviation(s)
	long, _ = place.StateName(s)
	return short, long
}

// AddPhrases takes typed phrases, one a line, or candidates into a client's
// book, with the figures that lists of what sites are found for have of them.
func (a *App) AddPhrases(ctx context.Context, client int64, phrases []string) (*Report, error) {
	rows := make([][]string, 0, len(phrases))
	for _, p := range phrases {
		rows = append(rows, []string{p})
	}
	taken, refused, err := table.Take(rows, table.Layout{Roles: []table.Role{table.Phrase}})
	if err != nil {
		return nil, invalid(err)
	}
	if err := a.figures(ctx, client, taken); err != nil {
		return nil, err
	}
	report := &Report{Refused: append([]table.Refused{}, refused[:min(len(refused), shownRefused)]...), RefusedN: len(refused)}
	return report, a.put(ctx, client, "typed", []listOfSite{{rows: taken}}, report)
}
