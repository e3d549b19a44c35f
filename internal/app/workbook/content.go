package workbook

import (
	"cmp"
	"context"
	"strings"

	"inktally/internal/export"
	"inktally/internal/view"
)

// plan is the plan's parts in the order of work.
func (w *Workbook) plan(ctx context.Context, client int64) ([]export.Sheet, error) {
	p, err := w.Plan.Get(ctx, client)
	if err != nil {
		return nil, err
	}
	pages := map[string]string{}
	for _, page := range p.Pages {
		pages[page.Key] = pageName(page.Page)
	}
	gain := "gain, visits/mo (estimate)"
	if p.Unit == view.GainUnit("share") {
		gain = "gain, share in %"
	}
	var rows [][]any
	for i, t := range p.Targets {
		row := func(says, note string, gain, minutes float64, c view.Choice) {
			rows = append(rows, []any{i + 1, pages[t.Page], t.Name, says, note, positive(gain), positive(minutes),
				yes(t.Fits), said(t.Choice, c), cmp.Or(c.Reason, t.Choice.Reason)})
		}
		if len(t.Parts) == 0 {
			row(joined(t.Before, t.Pencil, t.After), t.Evidence, t.Gain, t.Minutes, view.Choice{})
		}
		for _, part := range t.Parts {
			row(joined(part.Before, cmp.Or(part.Choice.Value, part.Pencil), part.After), part.Note, part.Gain,
				part.Minutes, part.Choice)
		}
	}
	return sheet("Plan", rows,
		"order 7 | page 34 | target 16 | what to do 70 | what is there now 50 | "+gain+" 14 | minutes 9 | "+
			"fits the hours 13 | kept, changed, dropped 16 | why 24"), nil
}

// said is what the user said of a part, or of its target.
func said(target, part view.Choice) any {
	for _, c := range []view.Choice{part, target} {
		if c.State != "" && c.State != view.TargetState("open") {
			return string(c.State)
		}
	}
	return nil
}

func joined(texts ...string) string {
	return strings.Join(strings.Fields(strings.Join(texts, " ")), " ")
}

// pageName is what a page is told by: its address, else what it is for.
func pageName(p view.PageInfo) string {
	return cmp.Or(p.URL, joined(string(p.Kind), p.Service, p.Place)+" (to make)")
}

// pages are the client's pages and those to make, with where their phrases stand and whose comparable pages were
// measured.
func (w *Workbook) pages(ctx context.Context, client int64) ([]export.Sheet, error) {
	o, err := w.Sheet.Overview(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows, stands, rivals [][]any
	for _, r := range o.Rows {
		name := pageName(r.PageInfo)
		var best, words any
		if r.Strongest != nil {
			best, words = r.Strongest.Name, r.Strongest.Words
		}
		rows = append(rows, []any{name, string(r.Kind), r.Service, r.Place, r.Title, orNil(r.Words), orNil(r.Target),
			positive(r.Gain), r.Phrase, r.Images, r.Carrying, best, words, r.Have, r.Known})
		if r.ID == 0 {
			continue
		}
		s, err := w.Sheet.Get(ctx, client, r.ID)
		if err != nil {
			return nil, err
		}
		for _, c := range s.Columns {
			if c.ReadingID == 0 {
				continue
			}
			rivals = append(rivals, []any{name, c.Role, c.Name, c.URL, c.Title, c.Words.Seen, c.Words.Copy,
				orNil(c.Own), c.Words.Hidden, len(c.Headings), len(c.Images), c.Carrying, yes(c.SetAside),
				yes(c.Unlike), c.TakenAt.Format("2006-01-02")})
			for i, f := range c.Families {
				stands = append(stands, placed(name, s.Families[i].Lead, c, f.Placement))
			}
		}
	}
	out := sheet("Pages", rows, "page 40 | kind 9 | service 20 | place 16 | title 40 | words seen 11 | target 9 | "+
		"gain, visits/mo (estimate) 14 | first phrase 28 | images 8 | names with a phrase 12 | "+
		"best comparable page 24 | its words 10 | rivals with one 10 | rivals known 10")
	out = append(out, sheet("Comparison", rivals, "page 40 | whose 9 | name 26 | URL 40 | title 40 | words seen 11 | "+
		"copy words 11 | own words 11 | hidden words 11 | headings 10 | images 8 | names with a phrase 12 | "+
		"set aside 10 | another kind 11 | read on 11")...)
	return append(out, sheet("Placement", stands, "page 40 | phrase 28 | whose 9 | name 26 | title 8 | "+
		"description 11 | "+
		"URL 8 | H1 8 | subheads 9 | opening 9 | body 8 | links 8 | image names 8 | alt text 8 | elsewhere 10 | "+
		"all exact 10 | all loose 10")...), nil
}

// placed is where a phrase's family stands on a page, slot by slot: how often exactly, else whether loosely.
func placed(page, phrase string, c view.Column, p view.Placement) []any {
	e, l := p.Exact, p.Loose
	row := []any{page, phrase, c.Role, c.Name}
	for _, n := range [][2]int{{e.Title, l.Title}, {e.Description, l.Description}, {e.Address, l.Address}, {e.H1, l.H1},
		{e.Subheads, l.Subheads}, {e.Opening, l.Opening}, {e.Body, l.Body}, {e.Links, l.Links},
		{e.ImageNames, l.ImageNames}, {e.Alt, l.Alt}, {e.Elsewhere, l.Elsewhere}} {
		switch {
		case n[0] > 0:
			row = append(row, n[0])
		case n[1] > 0:
			row = append(row, "loose")
		default:
			row = append(row, nil)
		}
	}
	return append(row, e.Total, l.Total)
}

// phrases are those of the book, a phrase a row.
func (w *Workbook) phrases(ctx context.Context, client int64) ([]export.Sheet, error) {
	b, err := w.Book.Get(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, f := range b.Families {
		for i, m := range f.Members {
			row := []any{m.Text, f.Members[0].Text, orNil(m.Volume), string(m.Area), orNil(m.Difficulty),
				orNil(m.Position), string(f.Intent), cmp.Or(f.Choice.Reason, f.Why.Says), f.Service, f.Place, f.Carrier,
				nil, nil}
			if i == 0 && f.Under == "" {
				row[11], row[12] = positive(f.RowGain), positive(f.Worth)
			}
			rows = append(rows, row)
		}
	}
	return sheet("Phrases", rows,
		"phrase 36 | lead phrase 30 | searches/mo 12 | counted in 11 | difficulty 10 | position 9 | "+
			"intent 12 | why 44 | service 22 | place 16 | page 24 | gain, visits/mo (estimate) 14 | "+
			"worth/mo (estimate) 14"), nil
}

// images are those of the client's pages with the names that they should have.
func (w *Workbook) images(ctx context.Context, client int64) ([]export.Sheet, error) {
	n, err := w.Plan.Images(ctx, client)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, r := range n.Rows {
		rows = append(rows, []any{r.PageURL, r.Now, r.VerdictSays, r.Wanted, r.AltNow, r.AltWanted, yes(r.Dropped),
			yes(r.Hidden)})
	}
	return sheet("Images", rows,
		"page 40 | file name 34 | what it is 26 | better name 40 | alt text 34 | better alt text 44 | "+
			"stays 8 | hidden 8"), nil
}

// searches are the recorded searches, an entry a row.
func (w *Workbook) searches(ctx context.Context, client int64) ([]export.Sheet, error) {
	main, err := w.Lineup.Get(ctx, client, 0)
	if err != nil {
		return nil, err
	}
	var rows [][]any
	for _, r := range main.Recorded {
		l, err := w.Lineup.Get(ctx, client, r.ID)
		if err != nil {
			return nil, err
		}
		for _, e := range l.Entries {
			kind, why := string(e.Kind), e.Reason.Says
			if e.Hit != nil {
				kind, why = e.Hit.Says, ""
			}
			rows = append(rows, []any{l.Phrase, l.Place, r.RecordedAt.Format("2006-01-02"), string(e.Part), e.Position,
				e.Name, e.URL, strings.ReplaceAll(kind, "_", " "), why, yes(e.PageRival), yes(e.MapRival),
				orNil(e.Rating), orNil(e.Reviews), orNil(e.Words)})
		}
	}
	return sheet("Searches", rows,
		"phrase 28 | searched from 18 | on 11 | part 9 | position 9 | name 44 | URL 44 | "+
			"what it is 14 | why 34 | page rival 10 | map rival 10 | rating 8 | reviews 9 | words seen 11"), nil
}
