package documents

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"inktally/core/handoff"
	"inktally/internal/paper"
	"inktally/internal/study"
	"inktally/internal/telling"
	"inktally/internal/view"
	"inktally/internal/view/told"
	"inktally/internal/wording"
)

// Walk returns the walk-through of a client.
func (h *Handoff) Walk(ctx context.Context, client int64) (*told.Walk, error) {
	g, err := h.gather(ctx, client)
	if err != nil {
		return nil, err
	}
	edits, err := h.edits(ctx, client)
	if err != nil {
		return nil, err
	}
	out := &told.Walk{Client: g.walk.Client, Steps: []told.Step{}, Left: []told.LeftStep{},
		Order: edits.Keys(g.walk.Steps())}
	if g.page != nil {
		out.Page = g.page.Page.ID
	}
	out.Message = telling.Teller{Walk: &g.walk}.Message()
	for _, key := range out.Order {
		s := g.edited(client, key, edits.Steps[key])
		if edits.Steps[key].Dropped {
			out.Left = append(out.Left, told.LeftStep{Key: key, Head: s.Head})
			continue
		}
		out.Minutes += s.Minutes
		out.Steps = append(out.Steps, s)
	}
	return out, nil
}

// edited shows a step with what was changed of it.
func (g *gathering) edited(client int64, key string, e handoff.StepEdit) told.Step {
	s := told.Step{Kind: told.StepKind(handoff.OwnStep), Points: []string{}, Figures: []told.StepFigure{},
		Rows: []told.StepRow{}, Stills: []told.Still{}, Names: []told.Renamed{}, Lines: []string{},
		Map: []told.SearchEntry{}, List: []told.SearchEntry{}}
	if !e.Added {
		s = g.step(handoff.StepKind(key))
	}
	s.Key, s.Edited = key, !e.Added && (e.Head != "" || len(e.Points) > 0)
	if e.Head != "" {
		s.Head = e.Head
	}
	if len(e.Points) > 0 {
		s.Points = e.Points
	}
	if e.Picture {
		s.Picture = fmt.Sprintf("/api/clients/%d/walk/steps/%s/picture", client, key)
	}
	s.Minutes = telling.Minutes(append(slices.Clone(s.Points), s.Head)...)
	return s
}

// step shows a step of the walk-through.
func (g *gathering) step(kind handoff.StepKind) told.Step {
	says := telling.Teller{Walk: &g.walk}.Step(kind)
	s := told.Step{Kind: told.StepKind(kind), Head: says.Head, Points: says.Points,
		Minutes: telling.Minutes(append(says.Points, says.Head)...), Figures: []told.StepFigure{},
		Rows:   []told.StepRow{},
		Stills: []told.Still{}, Names: []told.Renamed{}, Lines: []string{}, Map: []told.SearchEntry{},
		List: []told.SearchEntry{}}
	for _, f := range g.walk.Figures(kind) {
		s.Figures = append(s.Figures, told.StepFigure{Of: string(f.Of), Says: telling.Figure(f), Value: f.Value,
			Pencil: f.Pencil,
			Proof:  told.ProofCode(f.Proof), Column: g.column(f.Entry)})
	}
	g.show(kind, &s)
	return s
}

// show puts what a step shows.
func (g *gathering) show(kind handoff.StepKind, s *told.Step) {
	switch kind {
	case handoff.Advantages:
		for _, a := range g.walk.Advantages {
			if a.Front == "" {
				s.Lines = append(s.Lines, telling.Detail(a.Detail))
			} else {
				s.Rows = append(s.Rows, told.StepRow{Name: telling.Front(a.Front), Role: "client", Value: a.Own,
					Own: wording.Number(int(a.Own)), Theirs: wording.Number(int(a.Best))})
			}
		}
	case handoff.WorthStep:
		s.Rows = worthRows(g.walk.Worth)
	case handoff.NextStep:
		if n := g.walk.Next; n.Open > 0 {
			s.Rows = []told.StepRow{{Name: "Jobs that fit into " + telling.Hours(n.Hours), Role: "client",
				Value: float64(n.Fit), Theirs: wording.Number(n.Fit) + " of " + wording.Number(n.Open)}}
		}
	case handoff.WordsStep:
		s.Rows = g.wordRows()
	case handoff.PhraseStep:
		s.Phrase, s.Stills = g.walk.Phrase.Phrase, g.stills()
	case handoff.ImagesStep:
		for _, r := range g.walk.Images.Names {
			s.Names = append(s.Names, told.Renamed(r))
		}
	case handoff.SearchStep:
		s.Phrase, s.Map, s.List = g.walk.Search.Phrase, results(g.walk.Search.Map), results(g.walk.Search.Organic)
	case handoff.RivalStep:
		s.Rows = g.rivalRows()
	default:
		g.showMore(kind, s)
	}
}

func (g *gathering) showMore(kind handoff.StepKind, s *told.Step) {
	switch kind {
	case handoff.PagesStep:
		s.Lines = g.walk.Pages.Make
	case handoff.Listed:
		for _, c := range []*handoff.Compared{g.walk.Reviews, g.walk.Listings} {
			if c != nil {
				s.Rows = append(s.Rows, g.compare(c.Own, &c.Best)...)
			}
		}
	case handoff.LinksStep:
		s.Rows = g.compare(g.walk.Links.Own, &g.walk.Links.Best)
	case handoff.VisitsStep:
		s.Rows = g.visitRows()
	case handoff.RecapStep:
		for _, m := range g.walk.Recap {
			s.Lines = append(s.Lines, m.Says)
		}
	}
}

// column returns which column of the sheet a rival has, 0 for the client's.
func (g *gathering) column(entry int64) int {
	if g.page == nil || entry == 0 {
		return 0
	}
	at := 1 + slices.IndexFunc(g.page.Rivals, func(r *study.Side) bool { return r.Entry.ID == entry })
	if at > 0 && g.page.Draft != nil {
		at++ // its column stands between the client's and the rivals'
	}
	return at
}

// wordRows are the words of the client's page, of the strongest rival's, and those that are wanted.
func (g *gathering) wordRows() []told.StepRow {
	w := g.walk.Words
	out := g.compare(w.Own, w.Best)
	out[0].Note = "your home page"
	return append(out, told.StepRow{Name: "What we will write", Note: "to " + wording.Number(w.Target), Role: "target",
		Value: float64(w.Own), Write: float64(w.ToWrite)})
}

// compare puts a figure of the client beside that of a rival, nil for none.
func (g *gathering) compare(own int, best *handoff.Firm) []told.StepRow {
	out := []told.StepRow{{Name: g.walk.Client, Role: "client", Value: float64(own)}}
	if best != nil {
		out = append(out, told.StepRow{Name: best.Name, Role: "rival", Value: float64(best.Figure), Entry: best.Entry,
			Note: telling.Stands(best.Places)})
	}
	return out
}

// rivalRows are the fronts of the rival that is told whole, both figures in words.
func (g *gathering) rivalRows() (out []told.StepRow) {
	r := g.walk.Rival
	for _, s := range r.Steps {
		if !s.OwnKnown && !s.TheirsKnown {
			continue
		}
		row := told.StepRow{Name: telling.Front(s.Front), Role: "rival", Value: s.Theirs, Entry: r.Entry,
			Own: "not known", Theirs: "not known"}
		if s.OwnKnown {
			row.Own = wording.Number(int(s.Own))
		}
		if s.TheirsKnown {
			row.Theirs = wording.Number(int(s.Theirs))
		}
		out = append(out, row)
	}
	return out
}

// worthRows are the customers, and the money that they bring.
func worthRows(w *handoff.WorthTold) []told.StepRow {
	out := []told.StepRow{{Name: "More customers a month", Note: "an estimate", Role: "target", Value: w.Customers,
		Theirs: telling.Few(w.Customers)}}
	if w.Most > 0 {
		money := func(n float64) string { return w.Money + wording.Number(int(math.Round(n))) }
		out = append(out, told.StepRow{Name: "A month, from half of them", Role: "target", Value: w.Least,
			Theirs: money(w.Least)},
			told.StepRow{Name: "A month, from all of them", Role: "target", Value: w.Most, Theirs: money(w.Most)})
	}
	return out
}

// visitRows are the visits of now, of the rival that gets most, and those at the aimed positions.
func (g *gathering) visitRows() []told.StepRow {
	v := g.walk.Visits
	out := []told.StepRow{{Name: g.walk.Client, Note: "now", Role: "client", Value: v.Now}}
	if v.Best != nil {
		out = append(out, told.StepRow{Name: v.Best.Name, Note: "now", Role: "rival", Value: v.BestVisits})
	}
	return append(out, told.StepRow{Name: "At the places we aim at", Note: "an estimate", Role: "target",
		Value: v.Aimed})
}

// stills are the kept pages of the client and of the rival that has the phrase most.
func (g *gathering) stills() []told.Still {
	out := []told.Still{}
	p := g.walk.Phrase
	add := func(side *study.Side, s handoff.Stands) {
		if side.Reading != nil && side.Column != nil {
			out = append(out, told.Still{Name: side.Name, Reading: side.Reading.ID, URL: side.URL, Found: s.Found,
				Slots: telling.Places(s.Slots)})
		}
	}
	add(g.page.Client, p.Own)
	if p.Rival != nil {
		if side, err := g.page.Entry(p.Rival.Entry); err == nil {
			add(side, *p.Rival)
		}
	}
	return out
}

func results(list []handoff.Result) []told.SearchEntry {
	out := []told.SearchEntry{}
	for _, r := range list {
		out = append(out, told.SearchEntry{Position: r.Position, Name: r.Name, Own: r.Own, Kind: view.EntryKind(r.Kind),
			Rival: r.Rival})
	}
	return out
}

// walkPaper puts the walk-through of a client on paper: what each step shows and what is said to it.
func (h *Handoff) walkPaper(ctx context.Context, client int64, p *paper.Paper) (about string, err error) {
	w, err := h.Walk(ctx, client)
	if err != nil {
		return "", err
	}
	p.Title, p.Under = w.Client, []string{fmt.Sprintf("Walk-through, %s, about %s to say",
		h.Now().Format("January 2, 2006"), wording.Count(int(math.Max(1, math.Round(w.Minutes))), "minute", ""))}
	for i := range w.Steps {
		s := &w.Steps[i]
		p.Blocks = append(p.Blocks, paper.Heading{Level: 1, Text: fmt.Sprintf("%d. %s", i+1,
			strings.ReplaceAll(s.Head, "\n", " "))})
		list := paper.List{}
		for _, line := range shown(s) {
			list.Items = append(list.Items, paper.Item{Says: paper.Says(line)})
		}
		if len(list.Items) > 0 {
			p.Blocks = append(p.Blocks, list)
		}
		for _, point := range s.Points {
			p.Blocks = append(p.Blocks, paper.Quote(paper.Says(point)))
		}
	}
	return w.Client, nil
}

// shown returns what a step shows, a line each.
func shown(s *told.Step) (out []string) {
	for _, r := range s.Rows {
		line := r.Name
		if r.Note != "" {
			line += " (" + r.Note + ")"
		}
		switch {
		case r.Own != "":
			out = append(out, fmt.Sprintf("%s: you %s, they %s", line, r.Own, r.Theirs))
		case r.Theirs != "":
			out = append(out, line+": "+r.Theirs)
		default:
			out = append(out, line+": "+wording.Number(int(math.Round(r.Value+r.Write))))
		}
	}
	for _, of := range s.Stills {
		out = append(out, fmt.Sprintf("%s: found %s", of.Name, wording.Count(of.Found, "time", "")))
	}
	for _, n := range s.Names {
		out = append(out, n.Now+" → "+n.Better)
	}
	for _, list := range [][]told.SearchEntry{s.Map, s.List} {
		for _, e := range list {
			line := fmt.Sprintf("%d: %s", e.Position, e.Name)
			if len(s.Map) > 0 && &list[0] == &s.Map[0] {
				line = "map " + line
			}
			out = append(out, line)
		}
	}
	if kind := handoff.StepKind(s.Kind); kind == handoff.RecapStep || kind == handoff.Advantages {
		return out // what is said has all of its lines
	}
	return append(out, s.Lines...)
}
