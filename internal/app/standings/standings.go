// Package standings has the use cases of what comes from elsewhere: figures, links, listings and map profiles are
// shown beside the rivals', brought, and judged (rule 13).
package standings

import (
	"cmp"
	"context"
	"slices"
	"time"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/core/text"
	"inktally/internal/app/merge"
	"inktally/internal/source"
	"inktally/internal/store"
	"inktally/internal/store/elsewhere"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
	show "inktally/internal/view/stood"
	"inktally/internal/wording"
	"inktally/internal/wording/standings"
)

// Standing shows and keeps what comes from elsewhere.
type Standing struct {
	DB      *store.DB
	Studies *study.Studies
	Judged  *stood.Standings
	// Sources are asked for figures; none is none.
	Sources []source.Figures
	Now     func() time.Time
}

// of returns a client's study and its standing.
func (s *Standing) of(ctx context.Context, id int64) (*study.Study, *stood.Standing, error) {
	k, err := s.Studies.Of(ctx, id)
	if err != nil {
		return nil, nil, err
	}
	judged, err := s.Judged.Of(ctx, k)
	return k, judged, err
}

// Get returns what comes from elsewhere of a client and its rivals.
func (s *Standing) Get(ctx context.Context, id int64) (*show.Standing, error) {
	k, judged, err := s.of(ctx, id)
	if err != nil {
		return nil, err
	}
	out := shown(k, judged)
	out.Asks = len(s.Sources) > 0
	return out, nil
}

// shown shows a standing.
func shown(k *study.Study, s *stood.Standing) *show.Standing {
	t := table{k: k, s: s}
	out := &show.Standing{Sites: sites(s.Sites), Groups: t.groups(), Known: t.known(), Notes: t.notes(), Hours: s.Hours,
		Searches: s.Searches, Targets: []show.StandingTarget{}, Sources: []show.ImportedFigures{}}
	if len(s.Names) > 0 {
		out.NameSearch = s.Names[0].ID
	}
	for _, target := range s.Targets {
		shown := t.target(target, shownParts)
		out.Targets = append(out.Targets, shown)
		out.Minutes += target.Minutes
		out.Gain += target.Gain
	}
	for _, i := range k.Standing.Imports {
		out.Sources = append(out.Sources, show.ImportedFigures{ID: i.ID, Name: i.Name, Source: i.Source, On: i.On})
	}
	return out
}

func sites(list []stood.Site) []show.StandingSite {
	out := []show.StandingSite{}
	for _, site := range list {
		out = append(out, show.StandingSite{Domain: site.Domain, Name: site.Name, Own: site.Own, Chain: site.Chain,
			Organic: site.Organic, Map: site.Map})
	}
	return out
}

// Type keeps a figure of a site as a person types it; without a value the newest is forgotten. was is what it was when
// the change began, nil if that is not known: then it is refused where it changed meanwhile.
func (s *Standing) Type(ctx context.Context, id int64, domain string, d show.FigureTyped, was *view.FigureWas) (
	*show.Standing, error) {
	on, err := s.day(d.TakenOn)
	if err != nil {
		return nil, err
	}
	err = s.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := s.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		if !slices.ContainsFunc(stood.SitesOf(k), func(o stood.Site) bool { return o.Domain == domain }) {
			return store.ErrNotFound
		}
		v := standing.Value{Site: domain, Figure: standing.Figure(d.Figure), Scope: standing.Scope(d.Scope),
			Name: text.Collapse(d.Name), Source: text.Collapse(d.Source), On: on}
		newest := newestOf(k.Standing.Figures, v)
		if was != nil {
			if _, err := merge.Merge(fault.SiteFigure, was.Value, valueOf(newest), d.Value, written); err != nil {
				return err
			}
		}
		if d.Value != nil {
			v.Amount, v.Scale = *d.Value, scaleOf(v.Figure, *d.Value)
			return elsewhere.PutFigure(tx, id, elsewhere.Typed, v)
		}
		if newest == nil {
			return nil
		}
		return elsewhere.ForgetFigure(tx, id, newest.Value)
	})
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

// newestOf returns the newest of a figure that was kept, nil for none.
func newestOf(values []standing.Value, of standing.Value) *standing.Now {
	for _, n := range standing.Newest(values) {
		if n.Same(of) {
			return &n
		}
	}
	return nil
}

func valueOf(n *standing.Now) *float64 {
	if n == nil {
		return nil
	}
	return &n.Amount
}

// scaleOf returns what a strength can be at most by its amount, 100 or 1,000; 0 for what is no strength.
func scaleOf(f standing.Figure, amount float64) float64 {
	switch {
	case f != standing.Strength:
		return 0
	case amount <= 100:
		return 100
	}
	return 1000
}

// written writes a figure for a sentence.
func written(value *float64) string {
	if value == nil {
		return ""
	}
	return wording.Figure(*value)
}

// TypeFact keeps a fact of the map profile of a site.
func (s *Standing) TypeFact(ctx context.Context, id int64, domain string, f show.FactTyped) (*show.Standing, error) {
	err := s.DB.Write(ctx, func(tx *store.Tx) error {
		k, err := s.Studies.In(ctx, tx, id)
		if err != nil {
			return err
		}
		if !slices.ContainsFunc(stood.SitesOf(k), func(o stood.Site) bool { return o.Domain == domain }) {
			return store.ErrNotFound
		}
		fact := elsewhere.Fact{Site: domain, Field: mapprofile.Field(f.Field), On: s.Now()}
		if f.Value != nil {
			fact.Value = text.Collapse(*f.Value)
			return elsewhere.PutFact(tx, id, elsewhere.Typed, fact)
		}
		for _, had := range k.Standing.Facts {
			if had.Site == domain && had.Field == fact.Field {
				if err := elsewhere.ForgetFact(tx, id, had); err != nil {
					return err
				}
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

// Say keeps what is said of parts of targets.
func (s *Standing) Say(ctx context.Context, id int64, list []show.PartSaid) (*show.Standing, error) {
	err := s.DB.Write(ctx, func(tx *store.Tx) error {
		if _, err := tx.Client(id); err != nil {
			return err
		}
		for _, p := range list {
			err := elsewhere.Say(tx, id, standing.Ref{Kind: standing.Kind(p.Kind), Key: p.Key},
				elsewhere.Said{State: standing.State(p.State), At: s.Now()})
			if err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return nil, err
	}
	return s.Get(ctx, id)
}

func (s *Standing) day(typed string) (time.Time, error) {
	if typed == "" {
		return s.Now(), nil
	}
	on, err := time.Parse(time.DateOnly, typed)
	if err != nil || on.After(s.Now().AddDate(0, 0, 1)) {
		return on, fault.DayBad.New(typed)
	}
	return on, nil
}

// from words where a figure is from: who says so, and when.
func from(who string, on time.Time) string {
	return standings.From(cmp.Or(who, "typed"), on)
}

// domainOf returns the domain that is meant by what a row or a person calls a site.
func domainOf(spoken string) string { return lineup.Domain("https://" + spoken) }
