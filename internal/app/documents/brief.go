package documents

import (
	"context"
	"strconv"

	"inktally/core/handoff"
	"inktally/core/page"
	"inktally/internal/app/sheets"
	"inktally/internal/app/targets"
	"inktally/internal/paper"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/wording"
)

// document is a brief with what words it.
type document struct {
	handoff.Brief
	work   *targets.Worked
	page   *study.Comparison
	teller wording.Teller
	unit   wording.Unit
	bare   bool // without why, what it brings and what it takes
}

// briefPaper puts the brief of a page on paper.
func (h *Handoff) briefPaper(ctx context.Context, a Ask, p *paper.Paper) (about string, err error) {
	d, err := h.brief(ctx, a.Client, a.Page)
	if err != nil {
		return "", err
	}
	d.bare = a.Bare
	firm := d.page.Known.Client.Name
	p.Title, p.Lang = wording.BriefTitle(d.name(), firm), d.page.Known.Client.Language
	p.Under = append(d.under(), h.writtenOn())
	p.Blocks = d.blocks(1)
	if !a.Bare {
		p.Blocks = append(p.Blocks, paper.Text(paper.As(paper.Soft, wording.UnitNote(d.unit))))
	}
	return firm + " " + d.name(), nil
}

// briefsPaper puts the briefs of all pages on paper that a target asks anything of, each on sheets of its own.
func (h *Handoff) briefsPaper(ctx context.Context, a Ask, p *paper.Paper) (about string, err error) {
	w, err := h.Plan.Work(ctx, a.Client)
	if err != nil {
		return "", err
	}
	firm := w.Study.Client.Name
	p.Title, p.Lang = "Briefs: all pages of "+firm, w.Study.Client.Language
	p.Under = []string{h.writtenOn()}
	var list [][]paper.Run
	for _, c := range w.Whole.Pages {
		d := documentOf(w, c.Aim.Key)
		d.bare = a.Bare
		if len(d.Sections) == 0 {
			continue
		}
		list = append(list, paper.Says(d.name()))
		p.Blocks = append(p.Blocks, paper.Heading{Level: 1, Text: d.name(), NewPage: true})
		for _, u := range d.under() {
			p.Blocks = append(p.Blocks, paper.Text(paper.As(paper.Soft, u)))
		}
		p.Blocks = append(p.Blocks, d.blocks(2)...)
	}
	contents := paper.List{}
	for _, name := range list {
		contents.Items = append(contents.Items, paper.Item{Says: name})
	}
	p.Blocks = append([]paper.Block{contents}, p.Blocks...)
	if !a.Bare {
		p.Blocks = append(p.Blocks, paper.Text(paper.As(paper.Soft, wording.UnitNote(w.Unit()))))
	}
	return firm, nil
}

func (h *Handoff) writtenOn() string { return "Written on " + h.Now().Format("January 2, 2006") }

// name is what the page is called.
func (d *document) name() string {
	of := d.page.Page
	return wording.PageName(of.Kind, of.Service, of.Place, of.URL)
}

// under are the lines below the title of a brief.
func (d *document) under() (out []string) {
	if d.page.Page.URL != "" {
		out = append(out, d.page.Page.URL)
	}
	if lead := d.lead(); lead != "" {
		out = append(out, "First phrase: "+lead)
	}
	return out
}

// blocks are the parts of a brief, below headings of a level.
func (d *document) blocks(level int) []paper.Block {
	words := sheets.WordCase(d.page)
	says := wording.BriefWords(d.Words, words.Seen)
	out := []paper.Block{paper.Heading{Level: level, Text: "Words"}, paper.Text(instruction(says))}
	if d.Words.ToWrite > 0 {
		out = append(out, paper.Tally{{Name: d.name(), Words: words.Seen, Write: d.Words.ToWrite}})
	}
	if why := wording.WordReason(d.Words, words); why != "" && !d.bare {
		out = append(out, paper.Text(paper.As(paper.Soft, "Why: "+why)))
	}
	for _, s := range d.Sections {
		list := paper.List{Mark: paper.Box}
		for _, l := range s.Lines {
			list.Items = append(list.Items, d.item(l))
		}
		out = append(out, paper.Heading{Level: level, Text: wording.Where(s.Where)}, list)
	}
	if len(d.Stays) > 0 {
		list := paper.List{}
		for _, s := range d.Stays {
			list.Items = append(list.Items, paper.Item{Says: paper.Says(wording.Stays(s))})
		}
		out = append(out, paper.Heading{Level: level, Text: wording.StaysTitle}, list)
	}
	return out
}

// item is a line of a brief, to be ticked off.
func (d *document) item(l handoff.Line) paper.Item {
	says := d.teller.BriefLine(l)
	i := paper.Item{Inside: l.Inside(), Says: instruction(says.Instruction)}
	if !l.Heads() {
		i.Says = append(paper.Says(wording.LineName(l)+":"), i.Says...)
	}
	if !l.Inside() {
		i.Says = append(paper.As(paper.Strong, strconv.Itoa(l.No)), i.Says...)
	}
	for _, more := range d.reasons(l, says) {
		i.Under = append(i.Under, paper.As(paper.Soft, more))
	}
	return i
}

// reasons are the lines below a line of a brief: what there is now or what it is to say, what it brings and takes. A
// bare one has what a section is to say alone.
func (d *document) reasons(l handoff.Line, says wording.PartSays) (out []string) {
	takes := wording.Takes(d.unit, l.Part.Gain, l.Part.Minutes)
	if d.bare {
		takes = ""
		if !l.Heads() {
			says.Note = ""
		}
	}
	for _, more := range []string{says.Note, takes} {
		if more != "" {
			out = append(out, more)
		}
	}
	return out
}

// instruction writes an instruction, what is to be written in pencil.
func instruction(i wording.Instruction) []paper.Run {
	return []paper.Run{{Text: i.Before}, {Text: i.Pencil, Style: paper.Wanted}, {Text: i.After}}
}

func (h *Handoff) brief(ctx context.Context, client int64, key string) (*document, error) {
	w, err := h.Plan.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	if _, ok := w.Pages[key]; !ok {
		return nil, store.ErrNotFound
	}
	return documentOf(w, key), nil
}

// documentOf returns the brief of a page of a plan.
func documentOf(w *targets.Worked, key string) *document {
	of := w.Pages[key]
	return &document{Brief: handoff.BriefOf(&w.Plan.Plan, key, now(of)), work: w, page: of,
		teller: w.Teller(key), unit: w.Unit()}
}

// lead returns the first phrase of the page, empty for none.
func (d *document) lead() string {
	first, ok := d.page.First()
	if !ok {
		return ""
	}
	return d.page.Display(first.Text)
}

// now returns a page as it is, nil for one that is not there yet.
func now(c *study.Comparison) *page.Page {
	if c.Aim.Client == nil {
		return nil
	}
	return c.Aim.Client.Page
}
