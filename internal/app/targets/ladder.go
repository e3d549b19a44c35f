package targets

import (
	"cmp"
	"context"

	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Ladder returns, for each rival beside a page, who leads on which front and what passes it.
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
		slots := len(sheet.FirstSlots(c.Page.Kind.ForOneSubject())) + 1
		rung := ladder.Of(r.Name, own, w.figures(c, r), c.Aim.Key, slots, w.Targets)
		out = append(out, w.rung(rung))
	}
	return out, nil
}

// figures returns what is known of a rival, of the client where there is none.
func (w *Worked) figures(c *study.Comparison, rival *study.Side) ladder.Figures {
	f := firm{column: c.Client.Column, domain: w.ownDomain(), found: w.Whole.Site,
		is: func(e store.Entry) bool { return e.Kind == lineup.Client }}
	if rival != nil {
		f = firm{column: rival.Column, domain: lineup.Domain(rival.Entry.URL)}
		f.found, _ = w.Whole.Rival(rival.Entry.URL)
		f.is = func(e store.Entry) bool { return lineup.Domain(e.URL) == f.domain }
	}
	out := ladder.Figures{}
	if rival == nil { // what the client does not have it has none of
		out[ladder.Words], out[ladder.Images], out[ladder.Slots], out[ladder.Pages] = 0, 0, 0, 0
	}
	f.onPages(c, out)
	w.elsewhere(f, out)
	return out
}

// firm is the client or a rival.
type firm struct {
	column *sheet.Column // of its page, nil if that is not there
	domain string
	found  *study.Site // its site, nil if it was not surveyed
	is     func(store.Entry) bool
}

// ownDomain returns the domain of the client's site; without one it is named *own*.
func (w *Worked) ownDomain() string {
	home, err := study.HomePage(w.Whole.Known.Pages)
	if err != nil || home.URL == "" {
		return "own"
	}
	return lineup.Domain(home.URL)
}

// onPages puts the figures of a firm's pages.
func (f firm) onPages(c *study.Comparison, out ladder.Figures) {
	if f.column != nil {
		out[ladder.Words], out[ladder.Images] = float64(f.column.Page.Words.Seen), float64(f.column.Carrying())
		delete(out, ladder.Slots)
		if first, ok := c.First(); ok {
			out[ladder.Slots] = float64(slotsOf(f.column, first.Key, c.Page.Kind))
		}
	}
	if f.found != nil {
		out[ladder.Pages] = float64(f.found.Subjects())
	}
}

// elsewhere puts the figures that come from elsewhere, and the reviews of the map pack.
func (w *Worked) elsewhere(f firm, out ladder.Figures) {
	for _, x := range w.Study.Standing {
		if front, ok := fronts[x.Figure]; ok && x.Domain == f.domain {
			out[front] = x.Value
		}
	}
	for _, e := range w.Whole.Known.Entries {
		if _, known := out[ladder.Reviews]; f.is(e) && !known && e.Part == lineup.Map && e.Reviews != nil {
			out[ladder.Reviews] = float64(*e.Reviews)
		}
	}
}

// fronts are those that figures from elsewhere are of.
var fronts = map[standing.Figure]ladder.Front{standing.Domains: ladder.Links, standing.Listings: ladder.Listings,
	standing.Reviews: ladder.Reviews, standing.FoundFor: ladder.FoundFor}

// slotsOf counts the slots that should have a family and do.
func slotsOf(column *sheet.Column, family string, kind site.Kind) int {
	n := 0
	for _, slot := range append(sheet.FirstSlots(kind.ForOneSubject()), sheet.Body) {
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
			says := w.Teller(t.Page).Instruct(t)
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
