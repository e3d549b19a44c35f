package phrasebook

import (
	"context"
	"slices"

	"inktally/core/lineup"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/reach"
	"inktally/core/table"
	"inktally/internal/store"
	"inktally/internal/study/reached"
	"inktally/internal/view"
	"inktally/internal/view/told"
)

// maxFound bounds the phrases that are shown.
const maxFound = 20_000

// Found compares what the sites of a client and its rivals are found for.
func (b *Book) Found(ctx context.Context, id int64) (*told.Found, error) {
	s, err := b.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	r := reached.Of(s)
	out := &told.Found{Sites: []told.FoundSite{}, Rows: []told.FoundPhrase{}, Total: len(r.Rows)}
	judge := s.Judge()
	for i := range r.All {
		of := &r.All[i]
		site := siteOf(of)
		if of.Known {
			site.Sums = told.FoundSumsOf(reach.Sum(of.Phrases, judge), of.Reach,
				told.WorthOf(reached.Worth(s, of.Services)))
			site.Pages = told.FoundPagesOf(reach.Pages(r.Rows, i))
		}
		out.Sites = append(out.Sites, site)
	}
	if own := r.Client(); own.Known {
		after := reach.AimedOf(own.Reach, s.Families())
		missed := reach.Missed(r.Rows, r.Own())
		out.Missed, out.Aimed, out.AimedWorth = &missed, &after.Hire, told.WorthOf(reached.Worth(s, after.Services))
	}
	had := map[string]bool{}
	for _, p := range s.Phrases {
		had[phrase.Fold(p.Text)] = true
	}
	for i := range r.Rows[:min(len(r.Rows), maxFound)] {
		row := &r.Rows[i]
		out.Rows = append(out.Rows, told.FoundPhraseOf(row, r.Own(), had[phrase.Fold(row.Text)]))
	}
	return out, nil
}

// siteOf shows a site, and where what is known of it is from.
func siteOf(s *reached.Site) told.FoundSite {
	out := told.FoundSite{Site: s.Domain, Name: s.Name, Role: string(s.Role), Chain: s.Chain, Searches: s.Searches,
		Pages: []told.FoundPage{}}
	if s.List != nil {
		out.Source, out.TakenAt = s.List.Source, view.When(s.List.TakenAt)
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
	s, err := b.Studies.Of(ctx, client)
	if err != nil {
		return err
	}
	known := map[string]reach.Phrase{}
	for _, l := range s.Found {
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
	return nil
}

// foundRows returns what a site is found for as rows of a list.
func foundRows(found []reach.Phrase) (rows []table.Row) {
	for _, f := range found {
		r := table.Row{Phrase: f.Text, Volume: f.Volume, Difficulty: f.Difficulty, Area: string(f.Area)}
		if f.Position > 0 {
			r.Position = &f.Position
		}
		rows = append(rows, r)
	}
	return rows
}

// foundIn returns the phrases of a list as those that a site is found for.
func foundIn(list listOfSite, home place.Place) []reach.Phrase {
	out := make([]reach.Phrase, 0, len(list.rows))
	for _, r := range list.rows {
		f := reach.Phrase{Text: r.Phrase, Volume: r.Volume, Difficulty: r.Difficulty, Address: r.Address,
			Visits: r.Visits, Area: list.areaOf(r, home)}
		if r.Position != nil {
			f.Position = *r.Position
		}
		out = append(out, f)
	}
	return reach.Unique(out)
}
