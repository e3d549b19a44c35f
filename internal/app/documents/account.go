package documents

import (
	"context"
	"time"

	"inktally/core/account"
	"inktally/core/fault"
	"inktally/core/plan"
	"inktally/internal/paper"
	"inktally/internal/store"
	"inktally/internal/study/since"
	"inktally/internal/telling"
	"inktally/internal/wording"
)

// sinceDays is how long ago an account begins where no day is said.
const sinceDays = 30

// nextJobs is how many jobs an account ends with.
const nextJobs = 5

// since returns the day from which an account is given.
func (h *Handoff) since(a Ask) (time.Time, error) {
	if a.Since == "" {
		return h.Now().AddDate(0, 0, -sinceDays), nil
	}
	day, err := time.ParseInLocation(time.DateOnly, a.Since, h.Now().Location())
	if err != nil || day.After(h.Now()) {
		return day, fault.DayBad.New(a.Since)
	}
	return day, nil
}

// accountPaper puts on paper what was done and what moved since a day, and what is next (rule 15.3).
func (h *Handoff) accountPaper(ctx context.Context, a Ask, p *paper.Paper) (about string, err error) {
	day, err := h.since(a)
	if err != nil {
		return "", err
	}
	g, t, err := h.owner(ctx, a.Client)
	if err != nil {
		return "", err
	}
	p.Title = "Since " + day.Format("January 2, 2006") + ": " + g.walk.Client
	p.Under = []string{h.writtenOn()}
	done, twice, err := h.doneSince(ctx, g, day)
	if err != nil {
		return "", err
	}
	moved, err := since.Of(ctx, h.Plan.DB, g.Study, day)
	if err != nil {
		return "", err
	}
	p.Blocks = section(p.Blocks, telling.DoneTitle, doneBlocks(done, twice, telling.Ticked(moved.Ticked))...)
	p.Blocks = section(p.Blocks, telling.MovedTitle, movedBlocks(telling.Changes(moved))...)
	next := paper.List{Mark: paper.Box}
	for _, j := range t.Jobs[:min(nextJobs, len(t.Jobs))] {
		next.Items = append(next.Items, job(telling.Job(j, g.Teller(j.Page), g.Name(j.Page)), j.Minutes))
	}
	if len(next.Items) > 0 {
		p.Blocks = section(p.Blocks, telling.NextTitle, next)
	}
	return g.walk.Client, nil
}

// doneSince returns what was done on the client's pages, page by page; twice is false where there are no readings to
// compare.
func (h *Handoff) doneSince(ctx context.Context, g *gathering, day time.Time) (out []account.Done,
	twice bool, err error) {
	var readings map[string]store.Reading
	err = h.Plan.DB.Read(ctx, func(tx *store.Tx) (err error) {
		readings, err = tx.ReadingsAt(g.Study.Client.ID, account.EndOf(day))
		return err
	})
	if err != nil {
		return nil, false, err
	}
	list, err := g.DoneSince(ctx, readings)
	if err != nil || list == nil {
		return nil, false, err
	}
	at := map[string]int{}
	for _, d := range list {
		i, ok := at[d.Page]
		if !ok {
			i = len(out)
			at[d.Page] = i
			out = append(out, account.Done{Page: telling.Page(g.Teller(d.Page).Page, g.Name(d.Page)),
				Parts: map[plan.PartKind]int{}})
		}
		if out[i].Minutes += d.Minutes; d.Words > 0 {
			out[i].Words += d.Words
		} else {
			out[i].Parts[plan.PartKind(d.Kind)]++
		}
	}
	return out, true, nil
}

func doneBlocks(done []account.Done, twice bool, ticked []string) []paper.Block {
	list, minutes := paper.List{}, 0.0
	for _, d := range done {
		list.Items = append(list.Items, job(telling.Upper(telling.Done(d)), d.Minutes))
		minutes += d.Minutes
	}
	for _, says := range ticked {
		list.Items = append(list.Items, paper.Item{Says: paper.Says(says)})
	}
	var out []paper.Block
	switch {
	case !twice:
		out = paragraphs([]string{telling.NotRead})
	case len(done) == 0:
		out = paragraphs([]string{telling.NothingDone})
	}
	if len(list.Items) > 0 {
		out = append(out, list)
	}
	if minutes > 0 {
		says := "Together about " + wording.Duration(minutes) + " of work on the pages."
		out = append(out, paragraphs([]string{says})...)
	}
	return out
}

func movedBlocks(changes []telling.Change) []paper.Block {
	if len(changes) == 0 {
		return paragraphs([]string{telling.NothingMoved})
	}
	out := paper.Table{Head: []string{"What", "Then", "Now"}, Numbers: 1}
	for _, c := range changes {
		out.Rows = append(out.Rows, []paper.Cell{paper.Says(c.What), paper.Says(c.Then), paper.As(paper.Strong, c.Now)})
	}
	return []paper.Block{out}
}
