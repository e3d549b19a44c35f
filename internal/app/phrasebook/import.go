package phrasebook

import (
	"cmp"
	"context"
	"slices"
	"strings"

	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/table"
	"inktally/core/visits"
	"inktally/internal/store"
	"inktally/internal/study/reached"
	"inktally/internal/tables"
	"inktally/internal/view"
)

// MaxList is the largest list that is read.
const MaxList = 20 << 20

// shownRows are those of a list that are shown before it is taken.
const shownRows = 8

// shownRefused bounds the refused rows that a report lists.
const shownRefused = 100

// listOf reads a list: the first table of a file that has any.
func listOf(body []byte) ([][]string, error) {
	if len(body) > MaxList {
		return nil, tables.ListTooLarge.New(MaxList >> 20)
	}
	return tables.First(body)
}

// PreviewList shows how a list is understood before it is imported.
func (b *Book) PreviewList(ctx context.Context, id int64, name string, body []byte) (*view.Preview, error) {
	rows, err := listOf(body)
	if err != nil {
		return nil, err
	}
	layout := table.Guess(rows)
	p := &view.Preview{Rows: rows[:min(len(rows), shownRows)], Total: len(rows), Layout: view.LayoutOf(layout)}
	s, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	p.Sites = []string{}
	for _, site := range reached.List(s) {
		if site.Role != reached.Other {
			p.Sites = append(p.Sites, site.Domain)
		}
	}
	p.Site = likelySite(name, rows, layout, p.Sites)
	return p, nil
}

// likelySite returns which of the sites a list is likely to be of: the one that most
// of its addresses are of, else the one that its name names. Without positions
// it is a list of phrases.
func likelySite(name string, rows [][]string, layout table.Layout, sites []string) string {
	if !slices.Contains(layout.Roles, table.Position) {
		return ""
	}
	at := slices.Index(layout.Roles, table.Address)
	best, most := "", 0
	for _, s := range sites {
		n := 0
		for _, row := range rows {
			if at >= 0 && at < len(row) && lineup.Domain(row[at]) == s {
				n++
			}
		}
		if n*2 > len(rows) && n > most {
			best, most = s, n
		}
		if best == "" && strings.Contains(strings.ToLower(name), s) {
			best = s
		}
	}
	return best
}

// ImportList takes the phrases of a list into a client's book, or if site names
// one, as what that site is found for; the client's own go into its book too.
// layout says what the columns hold; nil takes what is guessed.
func (b *Book) ImportList(ctx context.Context, client int64, name string, body []byte, layout *view.Layout, site string,
	area visits.Area) (*view.Report, error) {
	rows, err := listOf(body)
	if err != nil {
		return nil, err
	}
	holds := table.Guess(rows)
	if layout != nil {
		holds = layout.Core()
	}
	taken, refused, err := table.Take(rows, holds)
	if err != nil {
		return nil, err
	}
	report := &view.Report{Refused: view.RefusedOf(refused, shownRefused), RefusedN: len(refused)}
	return report, b.put(ctx, client, name, []listOfSite{{site, taken, area}}, report)
}

// phrasesIn returns the phrases of a list with the area of their volumes.
func phrasesIn(list listOfSite, home place.Place) (out []book.Phrase) {
	for _, r := range list.rows {
		p := book.Phrase{Text: strings.ToLower(r.Phrase), Volume: r.Volume, Difficulty: r.Difficulty,
			Position: r.Position}
		p.Area = list.areaOf(r, home)
		out = append(out, p)
	}
	return out
}

// areaOf returns where the volume of a row was counted: as the row says, else the list.
func (l listOfSite) areaOf(r table.Row, home place.Place) visits.Area {
	if r.Volume == nil {
		return ""
	}
	return cmp.Or(table.AreaOf(r.Area, home), l.area)
}

// listOfSite is a list of phrases, of what a site is found for if it names
// one.
type listOfSite struct {
	site string
	rows []table.Row
	area visits.Area // of its volumes, where a row says nothing else
}

// put takes rows into a client's book and keeps how to undo it.
func (b *Book) put(ctx context.Context, client int64, name string, lists []listOfSite, report *view.Report) error {
	return b.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := b.Studies.In(ctx, tx, client)
		if err != nil {
			return err
		}
		if err := keepFirsts(tx, k.Known); err != nil {
			return err
		}
		pages, home := k.Pages, k.Home()
		i := store.Import{Name: name, TakenAt: b.Now()}
		var rows []book.Phrase
		for _, list := range lists {
			if list.site == "" {
				rows = append(rows, phrasesIn(list, home)...)
				continue
			}
			found := store.FoundList{Site: list.site, Source: name, TakenAt: i.TakenAt, Phrases: foundIn(list, home)}
			if len(found.Phrases) == 0 {
				continue
			}
			if owns(pages, list.site) {
				rows = append(rows, phrasesIn(listOfSite{rows: foundRows(found.Phrases)}, home)...)
			}
			id, err := tx.AddFoundList(client, found)
			if err != nil {
				return err
			}
			i.Found = append(i.Found, id)
			report.Found += len(found.Phrases)
		}
		if err := putRows(tx, client, rows, &i, report); err != nil {
			return err
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

// putRows puts rows among the phrases of a book.
func putRows(tx *store.Tx, client int64, rows []book.Phrase, i *store.Import, report *view.Report) error {
	changed := map[int64]bool{}
	for _, p := range rows {
		id, before, err := tx.PutPhrase(client, phrase.Fold(p.Text), p)
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
	return nil
}

// UndoImport takes back what an import did. Only the last one can be: a later
// one may have changed the same phrases.
func (b *Book) UndoImport(ctx context.Context, client, id int64) error {
	return b.DB.Write(ctx, func(tx *store.Tx) error {
		i, err := tx.Import(client, id)
		if err != nil {
			return err
		}
		last, err := tx.Imports(client, 1)
		if err != nil {
			return err
		}
		if last[0].ID != id {
			return ImportNotLast.New(last[0].Name)
		}
		for _, added := range i.Added {
			if err := tx.DeletePhrase(client, added); err != nil {
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
func (b *Book) Candidates(ctx context.Context, id int64) ([]string, error) {
	k, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	had := map[string]bool{}
	for _, p := range k.Phrases {
		had[p.Text] = true
	}
	out := []string{}
	for _, c := range book.Candidates(k.Services, k.Places, book.Patterns) {
		if !had[c] {
			out = append(out, c)
		}
	}
	return out, nil
}

// AddPhrases takes typed phrases, one a line, or candidates into a client's
// book, with the figures that lists of what sites are found for have of them.
func (b *Book) AddPhrases(ctx context.Context, client int64, phrases []string) (*view.Report, error) {
	rows := make([][]string, 0, len(phrases))
	for _, p := range phrases {
		rows = append(rows, []string{p})
	}
	taken, refused, err := table.Take(rows, table.Layout{Roles: []table.Role{table.Phrase}})
	if err != nil {
		return nil, err
	}
	if err := b.figures(ctx, client, taken); err != nil {
		return nil, err
	}
	report := &view.Report{Refused: view.RefusedOf(refused, shownRefused), RefusedN: len(refused)}
	return report, b.put(ctx, client, "typed", []listOfSite{{rows: taken}}, report)
}
