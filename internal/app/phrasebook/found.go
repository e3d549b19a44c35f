package phrasebook

import (
	"context"
	"slices"

	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/table"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

// maxFound bounds the phrases that are shown.
const maxFound = 20_000

// Found compares what the sites of a client and its rivals are found for.
func (b *Book) Found(ctx context.Context, id int64) (*view.Found, error) {
	k, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	var lists []store.FoundList
	err = b.DB.Read(ctx, func(tx *store.Tx) (err error) {
		lists, err = tx.FoundLists(id)
		return err
	})
	if err != nil {
		return nil, err
	}
	judge, of := k.Judge(), sites(k.Known)
	bySite := make([][]book.FoundPhrase, len(of))
	for _, list := range lists {
		at := slices.IndexFunc(of, func(s view.FoundSite) bool { return s.Site == list.Site })
		if at < 0 { // a rival that was dismissed since
			at = len(of)
			of = append(of, view.FoundSite{Site: list.Site, Name: list.Site, Role: "other"})
			bySite = append(bySite, nil)
		}
		of[at].Sums = view.FoundSumsOf(book.SumFound(list.Phrases, judge, k.Yardstick.Visits))
		of[at].Source, of[at].TakenAt = list.Source, view.When(list.TakenAt)
		bySite[at] = list.Phrases
	}
	rows := book.CompareFound(bySite, judge)
	out := &view.Found{Sites: of, Rows: []view.FoundPhrase{}, Total: len(rows)}
	had := map[string]bool{}
	for _, p := range k.Phrases {
		had[phrase.Fold(p.Text)] = true
	}
	for _, r := range rows[:min(len(rows), maxFound)] {
		out.Rows = append(out.Rows, view.FoundPhrase{Text: r.Text, Intent: view.IntentCode(r.Intent),
			Service: r.Service, Volume: r.Volume,
			Positions: r.Positions, InBook: had[phrase.Fold(r.Text)]})
	}
	return out, nil
}

// sites returns those of the client and of its rivals, each once.
func sites(k *study.Known) []view.FoundSite {
	out := []view.FoundSite{}
	add := func(name, url, role string) {
		domain := lineup.Domain(url)
		if domain != "" && !slices.ContainsFunc(out, func(s view.FoundSite) bool { return s.Site == domain }) {
			out = append(out, view.FoundSite{Site: domain, Name: name, Role: role})
		}
	}
	for _, p := range k.Pages {
		add(k.Client.Name, p.URL, "client")
	}
	for _, e := range k.RivalEntries() {
		add(e.Name, e.URL, "rival")
	}
	return out
}

// owns reports whether a site is that of one of the client's pages.
func owns(pages []store.Page, site string) bool {
	return slices.ContainsFunc(pages, func(p store.Page) bool { return lineup.Domain(p.URL) == site })
}

// figures gives phrases the searches and difficulties that the lists of what
// sites are found for have of them.
func (b *Book) figures(ctx context.Context, client int64, rows []table.Row) error {
	var lists []store.FoundList
	err := b.DB.Read(ctx, func(tx *store.Tx) (err error) {
		lists, err = tx.FoundLists(client)
		return err
	})
	known := map[string]book.FoundPhrase{}
	for _, l := range lists {
		for _, f := range l.Phrases {
			if key := phrase.Fold(f.Text); f.Volume != nil && known[key].Volume == nil {
				known[key] = f
			}
		}
	}
	for i := range rows {
		f := known[phrase.Fold(rows[i].Phrase)]
		rows[i].Volume, rows[i].Difficulty = f.Volume, f.Difficulty
	}
	return err
}

// foundRows returns what a site is found for as rows of a list.
func foundRows(found []book.FoundPhrase) (rows []table.Row) {
	for _, f := range found {
		r := table.Row{Phrase: f.Text, Volume: f.Volume, Difficulty: f.Difficulty}
		if f.Position > 0 {
			r.Position = &f.Position
		}
		rows = append(rows, r)
	}
	return rows
}

// foundIn returns the phrases of a list as those that a site is found for.
func foundIn(rows []table.Row) []book.FoundPhrase {
	out := make([]book.FoundPhrase, 0, len(rows))
	for _, r := range rows {
		f := book.FoundPhrase{Text: r.Phrase, Volume: r.Volume, Difficulty: r.Difficulty, Address: r.Address}
		if r.Position != nil {
			f.Position = *r.Position
		}
		out = append(out, f)
	}
	return book.UniqueFound(out)
}
