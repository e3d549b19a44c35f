package targets

import (
	"cmp"
	"context"

	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/standing"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Ladder tells, for each rival beside a page, who leads on which front and what passes it.
func (p *Plan) Ladder(ctx context.Context, id int64, page string) ([]view.Rung, error) {
	w, err := p.Work(ctx, id)
	if err != nil {
		return nil, err
	}
	c, err := w.Page(cmp.Or(page, w.Home()))
	if err != nil {
		return nil, err
	}
	own := w.figures(c, nil)
	out := []view.Rung{}
	for _, r := range c.Counted() {
		rung := ladder.Of(r.Name, own, w.figures(c, r), c.Aim.Key, len(plan.FirstSlots(c.Page.Kind))+1, w.Targets)
		out = append(out, w.rung(rung))
	}
	return out, nil
}

// figures are what is known of a rival, of the client where there is none.
func (w *Worked) figures(c *study.Comparison, rival *study.Side) ladder.Figures {
	out := ladder.Figures{}
	column, domain := c.Client.Column, "own"
	if home, err := study.HomePage(w.Whole.Known.Pages); err == nil && home.URL != "" {
		domain = lineup.Domain(home.URL)
	}
	found, surveyed := w.Whole.Site, w.Whole.Site != nil
	if rival != nil {
		column, domain = rival.Column, lineup.Domain(rival.Entry.URL)
		found, surveyed = w.Whole.Rival(rival.Entry.URL)
	}
	if column != nil {
		out[ladder.Words], out[ladder.Images] = float64(column.Page.Words.Seen), float64(column.Carrying())
		if first, ok := c.First(); ok {
			out[ladder.Slots] = float64(slotsOf(column, first.Key, c.Page.Kind))
		}
	} else if rival == nil {
		out[ladder.Words], out[ladder.Images], out[ladder.Slots] = 0, 0, 0
	}
	if surveyed || rival == nil {
		n := 0
		if surveyed {
			n = found.Subjects()
		}
		out[ladder.Pages] = float64(n)
	}
	for _, f := range w.Study.Standing {
		if front, ok := elsewhere[f.Figure]; ok && f.Domain == domain {
			out[front] = f.Value
		}
	}
	for _, e := range w.Whole.Known.Entries {
		own := rival == nil && e.Kind == lineup.Client || rival != nil && lineup.Domain(e.URL) == domain
		if _, known := out[ladder.Reviews]; own && !known && e.Part == lineup.Map && e.Reviews != nil {
			out[ladder.Reviews] = float64(*e.Reviews)
		}
	}
	return out
}

// elsewhere are the fronts that figures from elsewhere are of.
var elsewhere = map[standing.Figure]ladder.Front{standing.Domains: ladder.Links, standing.Listings: ladder.Listings,
	standing.Reviews: ladder.Reviews, standing.FoundFor: ladder.FoundFor}

// slotsOf counts the slots that should have a family and do.
func slotsOf(column *sheet.Column, family string, kind site.Kind) int {
	n := 0
	for _, slot := range append(plan.FirstSlots(kind), sheet.Body) {
		if column.Family(family).Exact.In(slot) > 0 {
			n++
		}
	}
	return n
}

// rung shows a rung.
func (w *Worked) rung(r ladder.Rung) view.Rung {
	out := view.Rung{Name: r.Name, Minutes: r.Minutes, Steps: []view.RungStep{}, Targets: []view.RungTarget{},
		Short: []string{}, Left: []string{}}
	for _, s := range r.Steps {
		step := view.RungStep{Front: view.LadderFront(s.Front), Name: wording.LadderFront(s.Front),
			Leader: view.LadderLeader(s.Leader), Content: s.Front.Content()}
		if s.OwnKnown {
			step.Own = &s.Own
		}
		if s.TheirsKnown {
			step.Theirs = &s.Theirs
		}
		out.Steps = append(out.Steps, step)
	}
	for _, ref := range r.Targets {
		if t, err := w.Find(ref.String()); err == nil {
			says := w.teller(t.Page).Instruct(t)
			out.Targets = append(out.Targets,
				view.RungTarget{ID: ref.String(), Page: t.Page, Says: join(says.Before, says.Pencil, says.After),
					Minutes: t.Minutes})
		}
	}
	for _, f := range r.Short {
		out.Short = append(out.Short, wording.LadderFront(f))
	}
	for _, f := range r.Left {
		out.Left = append(out.Left, wording.LadderFront(f))
	}
	return out
}
