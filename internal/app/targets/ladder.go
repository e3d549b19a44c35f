package targets

import (
	"cmp"
	"context"
	"slices"

	"inktally/core/ladder"
	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/standing"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/study/stood"
	"inktally/internal/view"
	"inktally/internal/view/told"
	"inktally/internal/wording"
)

// Ladder returns, for each rival beside a page, who leads on which front, why, and what passes it.
func (p *Plan) Ladder(ctx context.Context, id int64, page string) (*told.Ladder, error) {
	w, err := p.Work(ctx, id)
	if err != nil {
		return nil, err
	}
	c, err := w.Page(cmp.Or(page, w.Home()))
	if err != nil {
		return nil, err
	}
	l := w.Ladder(c)
	out := &told.Ladder{Page: c.Aim.Key, Rungs: []told.Rung{}}
	if l.Enough {
		out.Enough = wording.EnoughGuideline(l.Guideline)
	}
	for _, r := range l.Rungs {
		out.Rungs = append(out.Rungs, w.rung(r, l.Places))
	}
	return out, nil
}

// Ladder is the rivals beside a page of the client.
type Ladder struct {
	Page  *study.Comparison
	Rungs []Rung
	// Places are how many the page's first phrase can have, Guideline is where that of its words starts; Enough reports
	// whether no rival has as many.
	Places, Guideline int
	Enough            bool
	// Own is where the client stands in the search of the page.
	Own ladder.Places
}

// Rung is a rival of a ladder.
type Rung struct {
	ladder.Rung
	Side   *study.Side
	Stands ladder.Places
	// Reason is why it leads, nil where it does not stand above the client.
	Reason *ladder.Reason
}

// Ladder holds the rivals beside a page against the client (rules 12.6, 14.3).
func (w *Worked) Ladder(c *study.Comparison) *Ladder {
	l := &Ladder{Page: c, Places: len(sheet.FirstSlots(c.Page.Kind.ForOneSubject())) + 1,
		Guideline: w.Whole.Known.Yardstick.Target.Words.Guideline(c.Page.Kind).Low}
	entries := w.Whole.Known.EntriesOf(w.Whole.Known.LineupOf(c.Page.ID).ID)
	l.Own = stands(entries, func(e store.Entry) bool { return e.Kind == lineup.Client })
	own, counted := w.figures(c, nil), c.Counted()
	var words []float64
	for _, r := range c.Rivals {
		domain := lineup.Domain(r.Entry.URL)
		figures := w.figures(c, r)
		if !slices.Contains(counted, r) { // its page is not known, or not comparable
			delete(figures, ladder.Words)
			delete(figures, ladder.Slots)
			delete(figures, ladder.Images)
		} else {
			words = append(words, figures[ladder.Words])
		}
		rung := Rung{Rung: ladder.Of(r.Name, own, figures, c.Aim.Key, l.Places, w.Targets), Side: r,
			Stands: stands(entries, func(e store.Entry) bool { return domain != "" && lineup.Domain(e.URL) == domain })}
		if rung.Stands.Above(l.Own) {
			reason := ladder.ReasonOf(rung.Steps, r.Entry.Kind == lineup.Chain, c.Aim.Key, w.Targets)
			rung.Reason = &reason
		}
		l.Rungs = append(l.Rungs, rung)
	}
	l.Enough = ladder.Enough(l.Guideline, words)
	return l
}

// stands returns where a firm stands among the entries of a search.
func stands(entries []store.Entry, is func(store.Entry) bool) (p ladder.Places) {
	for _, e := range entries {
		switch {
		case e.Paying() || !is(e):
		case e.Part == lineup.Organic && p.Organic == 0:
			p.Organic = e.Position
		case e.Part == lineup.Map && p.Map == 0:
			p.Map = e.Position
		}
	}
	return p
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

// ownDomain returns the domain of the client's site; without one it has a name of its own.
func (w *Worked) ownDomain() string {
	home, err := study.HomePage(w.Whole.Known.Pages)
	if err != nil || home.URL == "" {
		return stood.OwnDomain
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
	for _, x := range w.Study.Standing.Totals() {
		if front, ok := fronts[x.Figure]; ok && x.Site == f.domain && x.Scope == standing.OfSite {
			out[front] = x.Amount
		}
	}
	if f.domain == stood.OwnDomain { // to what is not there nobody links
		out[ladder.Links] = 0
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
func (w *Worked) rung(r Rung, places int) told.Rung {
	out := told.Rung{Name: r.Name, Entry: r.Side.Entry.ID, Minutes: r.Minutes, Steps: []told.RungStep{},
		Short: []string{}, Left: []string{}}
	for _, s := range r.Steps {
		step := told.RungStep{Front: view.LadderFront(s.Front), Name: wording.LadderFront(s.Front),
			Leader: view.LadderLeader(s.Leader), Content: s.Front.Content()}
		if s.OwnKnown {
			step.Own = &s.Own
		}
		if s.TheirsKnown {
			step.Theirs = &s.Theirs
		}
		out.Steps = append(out.Steps, step)
	}
	out.Targets = w.rungTargets(r.Targets)
	if r.Reason != nil {
		out.Reason = &told.Reason{Says: wording.Leads(*r.Reason, places),
			Fronts: []view.LadderFront{}, Fewer: r.Reason.Fewer, Unknown: []string{},
			Narrow: w.rungTargets(r.Reason.Narrow)}
		for _, s := range r.Reason.Leads {
			out.Reason.Fronts = append(out.Reason.Fronts, view.LadderFront(s.Front))
		}
		for _, f := range r.Reason.Unknown {
			out.Reason.Unknown = append(out.Reason.Unknown, wording.LadderFront(f))
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

// rungTargets shows targets of a rung.
func (w *Worked) rungTargets(refs []plan.Ref) []told.RungTarget {
	out := []told.RungTarget{}
	for _, ref := range refs {
		if t, err := w.Find(ref.String()); err == nil {
			out = append(out, told.RungTarget{ID: ref.String(), Page: t.Page, Name: w.Name(t.Page),
				Says: w.Teller(t.Page).Instruct(t).String(), Minutes: t.Minutes})
		}
	}
	return out
}
