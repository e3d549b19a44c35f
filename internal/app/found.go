package app

import (
	"context"
	"slices"
	"time"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/table"
	"inktally/core/visits"
	"inktally/internal/store"
)

// Found is what the client's site and its rivals' are found for, side by side
// (MEASURES 7.5).
type Found struct {
	Sites []FoundSite `json:"sites" doc:"The client's first, then the rivals' in order"`
	// Rows are the phrases, bounded; Total is how many there are.
	Rows  []FoundPhrase `json:"rows" doc:"Those with the most searches first"`
	Total int           `json:"total"`
}

// FoundSite is a site with what its list comes to.
type FoundSite struct {
	Site string `json:"site" doc:"Its registrable domain"`
	Name string `json:"name"`
	Role string `json:"role" enum:"client,rival,other"`
	// Sums are null where no list of the site was brought.
	Sums    *phrase.FoundSums `json:"sums"`
	Source  string            `json:"source" doc:"The file or the source that it is from"`
	TakenAt *time.Time        `json:"taken_at"`
}

// FoundPhrase is a phrase with the positions of the sites.
type FoundPhrase struct {
	phrase.FoundRow
	InBook bool `json:"in_book" doc:"Whether the client's book has it"`
}

// maxFound bounds the phrases that are shown.
const maxFound = 20_000

// Found compares what the sites of a client and its rivals are found for.
func (a *App) Found(ctx context.Context, client int64) (*Found, error) {
	var l loaded
	var lists []store.FoundList
	var sites []FoundSite
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		if l, err = loadBook(tx, client); err != nil {
			return err
		}
		if sites, err = l.sites(tx); err != nil {
			return err
		}
		lists, err = tx.FoundLists(client)
		return err
	})
	if err != nil {
		return nil, err
	}
	sorter := phrase.NewSorter(l.ground())
	bySite := make([][]phrase.FoundPhrase, len(sites))
	for _, list := range lists {
		at := slices.IndexFunc(sites, func(s FoundSite) bool { return s.Site == list.Site })
		if at < 0 { // a rival that was set aside since
			at = len(sites)
			sites = append(sites, FoundSite{Site: list.Site, Name: list.Site, Role: "other"})
			bySite = append(bySite, nil)
		}
		sums := phrase.SumFound(list.Phrases, sorter, visits.Standard())
		sites[at].Sums, sites[at].Source, sites[at].TakenAt = &sums, list.Source, when(list.TakenAt)
		bySite[at] = list.Phrases
	}
	rows := phrase.CompareFound(bySite, sorter)
	out := &Found{Sites: sites, Rows: []FoundPhrase{}, Total: len(rows)}
	had := map[string]bool{}
	for _, e := range l.entries {
		had[folded(e.Text)] = true
	}
	for _, r := range rows[:min(len(rows), maxFound)] {
		out.Rows = append(out.Rows, FoundPhrase{r, had[folded(r.Text)]})
	}
	return out, nil
}

// sites are those of the client and of the rivals that were taken, each once.
func (l *loaded) sites(tx *store.Tx) ([]FoundSite, error) {
	out := []FoundSite{}
	add := func(name, url, role string) {
		domain := lineup.Domain(url)
		if domain != "" && !slices.ContainsFunc(out, func(s FoundSite) bool { return s.Site == domain }) {
			out = append(out, FoundSite{Site: domain, Name: name, Role: role})
		}
	}
	for _, p := range l.Pages {
		add(l.Client.Name, p.URL, "client")
	}
	entries, err := tx.Entries(l.Client.ID)
	for _, e := range rivals(entries) {
		add(e.Name, e.URL, "rival")
	}
	return out, err
}

// owns tells whether a site is the client's own.
func (l *loaded) owns(site string) bool {
	return slices.ContainsFunc(l.Pages, func(p store.Page) bool { return lineup.Domain(p.URL) == site })
}

// figures gives phrases the searches and difficulties that the lists of what
// sites are found for have of them.
func (a *App) figures(ctx context.Context, client int64, rows []table.Row) error {
	var lists []store.FoundList
	err := a.db.Read(ctx, func(tx *store.Tx) (err error) {
		lists, err = tx.FoundLists(client)
		return err
	})
	known := map[string]phrase.FoundPhrase{}
	for _, l := range lists {
		for _, f := range l.Phrases {
			if key := folded(f.Text); f.Volume != nil && known[key].Volume == nil {
				known[key] = f
			}
		}
	}
	for i := range rows {
		f := known[folded(rows[i].Phrase)]
		rows[i].Volume, rows[i].Difficulty = f.Volume, f.Difficulty
	}
	return err
}

// foundRows are what a site is found for as rows of a list.
func foundRows(found []phrase.FoundPhrase) (rows []table.Row) {
	for _, f := range found {
		r := table.Row{Phrase: f.Text, Volume: f.Volume, Difficulty: f.Difficulty}
		if f.Position > 0 {
			r.Position = &f.Position
		}
		rows = append(rows, r)
	}
	return rows
}

// foundIn are the phrases of a list as those that a site is found for.
func foundIn(rows []table.Row) []phrase.FoundPhrase {
	out := make([]phrase.FoundPhrase, 0, len(rows))
	for _, r := range rows {
		f := phrase.FoundPhrase{Text: r.Phrase, Volume: r.Volume, Difficulty: r.Difficulty, Address: r.Address}
		if r.Position != nil {
			f.Position = *r.Position
		}
		out = append(out, f)
	}
	return phrase.UniqueFound(out)
}
