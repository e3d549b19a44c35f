// Package figures keeps what a client's user brings of sites from elsewhere, each
// figure with its source and day.
package figures

import (
	"context"
	"slices"
	"time"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/standing"
	"inktally/core/text"
	"inktally/internal/app/merge"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Standing keeps figures of sites.
type Standing struct {
	DB      *store.DB
	Studies *study.Studies
	Now     func() time.Time
}

// site is one that figures can be brought for.
type site struct {
	domain, name string
	own, chain   bool
	rating       *float64
	reviews      *int
}

// sites returns the client's and its rivals', chains too.
func sites(k *study.Known) (out []site) {
	home, _ := study.HomePage(k.Pages)
	own := site{domain: lineup.Domain(home.URL), name: k.Client.Name, own: true}
	if own.domain == "" {
		own.domain = "own" // it has no site yet, and reviews all the same
	}
	entries := k.Entries
	rate := func(s *site) {
		for _, e := range entries {
			if e.Part == lineup.Map && (lineup.Domain(e.URL) == s.domain || s.own && e.Kind == lineup.Client) &&
				e.Rating != nil {
				s.rating, s.reviews = e.Rating, e.Reviews
			}
		}
	}
	rate(&own)
	out = append(out, own)
	list := k.SearchRivals()
	for _, e := range entries {
		if e.Kind == lineup.Chain && !e.Paying() {
			list = append(list, e)
		}
	}
	for _, e := range list {
		s := site{domain: lineup.Domain(e.URL), name: e.Name, chain: e.Kind == lineup.Chain}
		if s.domain == "" || slices.ContainsFunc(out, func(o site) bool { return o.domain == s.domain }) {
			continue
		}
		rate(&s)
		out = append(out, s)
	}
	return out
}

// Get returns the figures of the client's site and of its rivals'.
func (s *Standing) Get(ctx context.Context, id int64) ([]view.SiteFigures, error) {
	out := []view.SiteFigures{}
	k, err := s.Studies.Of(ctx, id)
	if err != nil {
		return out, err
	}
	for _, of := range sites(k.Known) {
		row := view.SiteFigures{Domain: of.domain, Name: of.name, Own: of.own, Chain: of.chain, MapRating: of.rating,
			MapReviews: of.reviews, Figures: []view.SiteFigure{}}
		for _, f := range k.Standing {
			if f.Domain == of.domain {
				row.Figures = append(row.Figures,
					view.SiteFigure{Figure: view.FigureCode(f.Figure), Value: f.Value, Scale: f.Scale, Source: f.Source,
						TakenOn: f.TakenOn})
			}
		}
		out = append(out, row)
	}
	return out, nil
}

// Set keeps a figure of a site; without a value it is forgotten. was is what it was when the
// change began, nil if that is not known: then it is refused where it changed meanwhile.
func (s *Standing) Set(ctx context.Context, id int64, domain string, d view.FigureDraft, was *view.FigureWas) (
	[]view.SiteFigures, error) {
	on, err := s.day(d.TakenOn)
	if err != nil {
		return nil, err
	}
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := s.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		if !slices.ContainsFunc(sites(k.Known), func(o site) bool { return o.domain == domain }) {
			return store.ErrNotFound
		}
		if was != nil {
			if _, err := merge.Merge(fault.SiteFigure, was.Value, valueOf(k.Standing, domain, d.Figure), d.Value,
				written); err != nil {
				return err
			}
		}
		if d.Value == nil {
			return tx.DeleteSiteFigure(id, domain, standing.Figure(d.Figure))
		}
		return tx.SetSiteFigure(id, store.SiteFigure{Domain: domain, Figure: standing.Figure(d.Figure), Value: *d.Value,
			Scale: text.Collapse(d.Scale), Source: text.Collapse(d.Source), TakenOn: on})
	})
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

// valueOf returns the value of a figure of a site, nil if it has none.
func valueOf(known []store.SiteFigure, domain string, figure view.FigureCode) *float64 {
	for _, f := range known {
		if f.Domain == domain && f.Figure == standing.Figure(figure) {
			return &f.Value
		}
	}
	return nil
}

// written writes a figure for a sentence.
func written(value *float64) string {
	if value == nil {
		return ""
	}
	return wording.Figure(*value)
}

// Paste keeps the figures of a small table: a row for each site, told by its address or
// its name. Rows of other sites are named.
func (s *Standing) Paste(ctx context.Context, id int64, table, source, day string) (*view.FiguresPasted, error) {
	on, err := s.day(day)
	if err != nil {
		return nil, err
	}
	rows := standing.Read(table)
	if len(rows) == 0 {
		return nil, NoFigures.New()
	}
	out := &view.FiguresPasted{Unknown: []string{}}
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := s.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		list := sites(k.Known)
		for _, row := range rows {
			i := slices.IndexFunc(list, func(o site) bool { return standing.Belongs(row, o.domain, o.name) })
			if i < 0 {
				out.Unknown = append(out.Unknown, row.Name)
				continue
			}
			for figure, value := range row.Figures {
				out.Kept++
				err := tx.SetSiteFigure(id,
					store.SiteFigure{Domain: list[i].domain, Figure: figure, Value: value,
						Source: text.Collapse(source), TakenOn: on})
				if err != nil {
					return err
				}
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	out.Sites, err = s.Get(ctx, id)
	return out, err
}

func (s *Standing) day(typed string) (time.Time, error) {
	if typed == "" {
		return s.Now(), nil
	}
	on, err := time.Parse(time.DateOnly, typed)
	if err != nil || on.After(s.Now().AddDate(0, 0, 1)) {
		return on, DayBad.New(typed)
	}
	return on, nil
}
