package documents

import (
	"context"
	"strings"

	"inktally/core/handoff"
	"inktally/core/ladder"
	"inktally/internal/paper"
	"inktally/internal/telling"
	"inktally/internal/wording"
)

// owner returns the plan of a client as its owner needs it.
func (h *Handoff) owner(ctx context.Context, client int64) (*gathering, telling.OwnerTeller, error) {
	g, err := h.gather(ctx, client)
	if err != nil {
		return nil, telling.OwnerTeller{}, err
	}
	o := &handoff.Owner{Walk: &g.walk, Work: handoff.WorkOf(g.Targets), Jobs: g.fits}
	for _, r := range g.rivals.Rungs {
		o.Firms = append(o.Firms, handoff.FirmTold{Firm: *firm(r, 0), Steps: r.Steps, Reason: r.Reason})
	}
	for _, w := range o.Work {
		o.Minutes += w.Minutes
	}
	for _, b := range []handoff.Beyond{{Front: ladder.Reviews}, {Front: ladder.Listings}, {Front: ladder.Links}} {
		if c := g.compared(b.Front); c != nil && c.Own < c.Best.Figure {
			b.Compared = *c
			o.Beyond = append(o.Beyond, b)
		}
	}
	return g, telling.OwnerTeller{Teller: telling.Teller{Walk: &g.walk}, Owner: o, Places: g.rivals.Places}, nil
}

// mostJobs bounds the jobs that are told of a task, onePageJobs those of the plan on one page.
const mostJobs, onePageJobs = 8, 10

// ownerPaper puts the owner's plan on paper.
func (h *Handoff) ownerPaper(ctx context.Context, client int64, p *paper.Paper) (about string, err error) {
	g, t, err := h.owner(ctx, client)
	if err != nil {
		return "", err
	}
	p.Title, p.Under = "Plan for "+g.walk.Client, []string{h.writtenOn()}
	var ahead []string
	for _, a := range g.walk.Advantages {
		ahead = append(ahead, telling.Advantage(a))
	}
	p.Blocks = section(p.Blocks, telling.AheadTitle, bullets(ahead)...)
	p.Blocks = section(p.Blocks, telling.StandTitle, append(paragraphs(t.Stand()), g.tally()...)...)
	p.Blocks = section(p.Blocks, telling.OthersTitle, g.table(t)...)
	var why []paper.Item
	for _, f := range t.Firms {
		if says := t.Why(f); says != "" {
			why = append(why, paper.Item{Says: []paper.Run{{Text: f.Name + ":", Style: paper.Strong}, {Text: says}}})
		}
	}
	if len(why) > 0 {
		p.Blocks = section(p.Blocks, telling.WhyTitle, paper.List{Items: why})
	}
	p.Blocks = section(p.Blocks, telling.WorkTitle, g.work(t)...)
	p.Blocks = section(p.Blocks, telling.WorthTitle, paragraphs(t.Brings())...)
	var beyond []string
	for _, b := range t.Beyond {
		beyond = append(beyond, telling.Beyond(b))
	}
	if unknown := t.Unknown(); unknown != "" {
		beyond = append(beyond, unknown)
	}
	p.Blocks = section(p.Blocks, telling.BeyondTitle, bullets(beyond)...)
	p.Blocks = append(p.Blocks, besideList(t)...)
	p.Blocks = section(p.Blocks, telling.NextTitle, paragraphs(t.Step(handoff.NextStep).Points)...)
	return g.walk.Client, nil
}

// onePaper puts the owner's plan on one page: client and rivals in a small table, the first jobs that fit, the worth.
func (h *Handoff) onePaper(ctx context.Context, client int64, p *paper.Paper) (about string, err error) {
	g, t, err := h.owner(ctx, client)
	if err != nil {
		return "", err
	}
	p.Title, p.Small, p.Under = "Plan for "+g.walk.Client, true, []string{h.writtenOn()}
	stands := t.Stand()
	p.Blocks = append(p.Blocks, paragraphs(stands[:min(1, len(stands))])...)
	p.Blocks = append(p.Blocks, g.table(t)...)
	jobs := paper.List{Mark: paper.Box}
	for _, j := range t.Jobs[:min(onePageJobs, len(t.Jobs))] {
		jobs.Items = append(jobs.Items, job(telling.Job(j, g.Teller(j.Page), g.Name(j.Page)), j.Minutes))
	}
	if len(jobs.Items) > 0 {
		p.Blocks = section(p.Blocks, telling.JobsTitle+" for "+telling.Hours(g.walk.Next.Hours), jobs)
	} else {
		p.Blocks = append(p.Blocks, paragraphs(t.Step(handoff.NextStep).Points)...)
	}
	p.Blocks = append(p.Blocks, paragraphs([]string{strings.Join(t.Brings(), " ")})...)
	return g.walk.Client, nil
}

// section puts blocks under a heading; where there are none, the heading is left out.
func section(to []paper.Block, title string, blocks ...paper.Block) []paper.Block {
	if len(blocks) == 0 {
		return to
	}
	return append(append(to, paper.Heading{Level: 1, Text: title}), blocks...)
}

func paragraphs(texts []string) (out []paper.Block) {
	for _, t := range texts {
		out = append(out, paper.Text(paper.Says(t)))
	}
	return out
}

func bullets(texts []string) []paper.Block {
	if len(texts) == 0 {
		return nil
	}
	l := paper.List{}
	for _, t := range texts {
		l.Items = append(l.Items, paper.Item{Says: paper.Says(t)})
	}
	return []paper.Block{l}
}

// tally shows the words of the client's home page beside those of the best rival's.
func (g *gathering) tally() []paper.Block {
	w := g.walk.Words
	if w == nil || !w.There && w.ToWrite == 0 {
		return nil
	}
	rows := paper.Tally{{Name: "Words on your home page", Words: w.Own, Write: w.ToWrite}}
	if w.Best != nil {
		rows = append(rows, paper.TallyRow{Name: w.Best.Name, Words: w.Best.Figure, Rival: true})
	}
	return []paper.Block{rows}
}

// table shows the client and its rivals, a line each, with the fronts of which figures are known.
func (g *gathering) table(t telling.OwnerTeller) []paper.Block {
	fronts := t.Told()
	if len(t.Firms) == 0 || len(fronts) == 0 {
		return nil
	}
	out := paper.Table{Head: []string{telling.FirmTitle, telling.PlaceTitle}, Numbers: 2}
	for _, f := range fronts {
		out.Head = append(out.Head, telling.Short(f))
	}
	row := func(name string, stands ladder.Places, style paper.Style, figure func(ladder.Front) (float64, bool)) {
		cells := []paper.Cell{paper.As(style, name), paper.Says(telling.Stands(stands))}
		for _, f := range fronts {
			says := "not known"
			if n, known := figure(f); known {
				says = wording.Number(int(n))
			}
			cells = append(cells, paper.Says(says))
		}
		out.Rows = append(out.Rows, cells)
	}
	row(g.walk.Client, g.rivals.Own, paper.Strong, func(f ladder.Front) (float64, bool) {
		return handoff.Known(t.Firms[0].Steps, f, true)
	})
	for _, r := range t.Firms {
		row(r.Name, r.Places, paper.Plain, func(f ladder.Front) (float64, bool) {
			return handoff.Known(r.Steps, f, false)
		})
	}
	return []paper.Block{out}
}

// work shows what is done, task by task, with the hours that it takes.
func (g *gathering) work(t telling.OwnerTeller) (out []paper.Block) {
	if len(t.Work) == 0 {
		return nil
	}
	sum := paper.Table{Head: []string{"Work", "Jobs", "If you do it yourself"}, Numbers: 1}
	jobs := 0
	for _, w := range t.Work {
		jobs += w.Targets
		sum.Rows = append(sum.Rows, []paper.Cell{paper.Says(telling.Task(w.Task)),
			paper.Says(wording.Number(w.Targets)), paper.Says(wording.Duration(w.Minutes))})
	}
	sum.Rows = append(sum.Rows, []paper.Cell{paper.As(paper.Strong, "Together"),
		paper.As(paper.Strong, wording.Number(jobs)), paper.As(paper.Strong, wording.Duration(t.Minutes))})
	out = append(out, sum)
	for _, w := range t.Work {
		list := paper.List{}
		for _, j := range w.Jobs[:min(mostJobs, len(w.Jobs))] {
			list.Items = append(list.Items, job(telling.Work(w.Task, j, g.Teller(j.Page), g.Name(j.Page)), j.Minutes))
		}
		if more := w.Jobs[len(list.Items):]; len(more) > 0 {
			minutes := 0.0
			for _, j := range more {
				minutes += j.Minutes
			}
			list.Items = append(list.Items, job("and "+wording.Number(len(more))+" more", minutes))
		}
		out = append(out, paper.Heading{Level: 2, Text: telling.Task(w.Task)}, list)
	}
	return out
}

// job is a line of the work with the time that it takes.
func job(says string, minutes float64) paper.Item {
	return paper.Item{Says: []paper.Run{{Text: says}, {Text: "(" + wording.Duration(minutes) + ")", Style: paper.Soft}}}
}
