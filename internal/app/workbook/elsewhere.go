package workbook

import (
	"context"
	"strings"

	"inktally/internal/app/standings"
	"inktally/internal/export"
)

// standing is all figures of the client and its rivals that come from elsewhere, each with its source and day and what
// it was before.
func (w *Workbook) standing(ctx context.Context, client int64) ([]export.Sheet, error) {
	s, err := w.Standing.Get(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, g := range s.Groups {
		for _, r := range g.Rows {
			for i, c := range r.Cells {
				if c.Text == "" {
					continue
				}
				var value any = c.Text
				if c.Value != nil {
					value = *c.Value
				}
				target := r.Target
				if i > 0 {
					target = ""
				}
				site := s.Sites[i]
				rows = append(rows, []any{g.Name, r.Name, site.Name, yes(site.Chain), value, c.Source, target})
				for _, f := range c.Former {
					rows = append(rows, []any{g.Name, r.Name, site.Name, yes(site.Chain), f.Value,
						"before: " + f.Source + ", " + f.On.Format("2006-01-02"), nil})
				}
			}
		}
	}
	var work [][]any
	for _, t := range s.Targets {
		for _, p := range t.Parts {
			work = append(work, []any{t.Says, p.Says, positive(p.Gain), positive(p.Minutes), yes(p.Fits),
				string(p.State)})
		}
	}
	out := sheet("Standing", rows,
		"group 13 | figure 30 | whose 28 | whole country 13 | value 14 | source 40 | target 24")
	return append(out, sheet("Standing to do", work,
		"work 44 | what to do 70 | gain, visits/mo from the map (estimate) 18 | minutes 9 | "+
			"fits the hours 13 | state 10")...), nil
}

// links are the domains that link to rivals or to the client, by what is to be done about them.
func (w *Workbook) links(ctx context.Context, client int64) ([]export.Sheet, error) {
	var rows [][]any
	for _, verdict := range []string{"get", "listing", "doubtful", "leave", "own"} {
		for from := 0; len(rows) <= export.MostRows; {
			d, err := w.Standing.Domains(ctx, client, verdict, from)
			if err != nil {
				return nil, err
			}
			for _, l := range d.List {
				rows = append(rows, []any{l.Name, linkVerdicts[verdict], l.Why, l.KindIs, l.Page, l.Title, l.Anchor,
					l.Ask, strings.Join(l.Rivals, ", "), positive(l.Minutes), string(l.State)})
			}
			if from += standings.MostDomains; from >= d.Total {
				break
			}
		}
	}
	return sheet("Links", rows,
		"site 30 | what to do 16 | why 50 | what it is 22 | page that links 46 | its title 40 | "+
			"link text 26 | link text to ask for 26 | links to 34 | minutes 9 | state 9"), nil
}

var linkVerdicts = map[string]string{"get": "ask for a link", "listing": "get listed", "doubtful": "doubtful",
	"leave": "leave out", "own": "your own, doubtful"}

// listings are directories by business, each field beside what should stand there.
func (w *Workbook) listings(ctx context.Context, client int64) ([]export.Sheet, error) {
	l, err := w.Standing.Listings(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, e := range l.Listed {
		if len(e.Checks) == 0 {
			rows = append(rows, []any{e.Name, "listed, not checked", nil, nil, nil, nil, e.Page})
		}
		for _, c := range e.Checks {
			rows = append(rows, []any{e.Name, strings.ReplaceAll(string(c.Verdict), "_", " "), c.Name, c.Theirs, c.Own,
				c.Note, e.Page})
		}
	}
	for _, e := range l.Missing {
		rows = append(rows, []any{e.Name, "add", nil, nil, nil, "lists " + strings.Join(e.Rivals, ", "), nil})
	}
	return sheet("Listings", rows,
		"directory 26 | state 18 | field 12 | stands there 44 | should stand there 44 | note 44 | "+
			"page 44"), nil
}

// profile is the client's map profile, fact by fact.
func (w *Workbook) profile(ctx context.Context, client int64) ([]export.Sheet, error) {
	p, err := w.Standing.Profile(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, i := range p.Items {
		if p.Known > 0 {
			rows = append(rows, []any{i.Name, string(i.State), i.Theirs, i.Wants})
		}
	}
	return sheet("Map profile", rows,
		"fact 26 | state 10 | stands there 50 | what to do 60"), nil
}
