// Package documents is the stop at which the work is handed to those who do it: the
// brief of a page, on paper and as a file.
package documents

import (
	"context"
	"fmt"
	"time"

	"inktally/core/handoff"
	"inktally/core/imagename"
	core "inktally/core/page"
	"inktally/internal/app/sheets"
	"inktally/internal/app/targets"
	"inktally/internal/export"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view/told"
	"inktally/internal/wording"
)

// Handoff makes documents.
type Handoff struct {
	Plan *targets.Plan
	Now  func() time.Time
}

// document is a brief with what words it.
type document struct {
	handoff.Brief
	page   *study.Comparison
	teller wording.Teller
	unit   wording.Unit
}

// Brief returns the brief of a page for the screen.
func (h *Handoff) Brief(ctx context.Context, client, pageID int64) (*told.Brief, error) {
	d, err := h.brief(ctx, client, study.PageKey(store.Page{ID: pageID}))
	if err != nil {
		return nil, err
	}
	words := sheets.WordCase(d.page)
	b := told.BriefOf(d.teller, d.Brief, d.unit)
	b.Client, b.Page, b.Date, b.Lead = d.page.Known.Client.Name, sheets.PageInfo(d.page), h.Now(), d.lead()
	b.Words.Now, b.Words.Evidence = words.Seen, wording.WordReason(d.Words, words)
	return b, nil
}

// BriefFile returns the brief of a page as Markdown, with a name for the file.
func (h *Handoff) BriefFile(ctx context.Context, client, pageID int64) (name string, markdown []byte, err error) {
	return h.BriefOf(ctx, client, study.PageKey(store.Page{ID: pageID}))
}

// BriefOf returns the brief of a page by its key in the plan, one to make too, as Markdown.
func (h *Handoff) BriefOf(ctx context.Context, client int64, key string) (name string, markdown []byte, err error) {
	d, err := h.brief(ctx, client, key)
	if err != nil {
		return "", nil, err
	}
	of, firm, words := d.page.Page, d.page.Known.Client.Name, sheets.WordCase(d.page)
	name = wording.PageName(of.Kind, of.Service, of.Place, of.URL)
	b := export.Brief{Title: wording.BriefTitle(name, firm), URL: d.page.Page.URL, Lead: d.lead(), Date: h.Now(),
		Words: export.Says(wording.BriefWords(d.Words, words.Seen)), Why: wording.WordReason(d.Words, words),
		Note: wording.UnitNote(d.unit), StaysTitle: wording.StaysTitle}
	for _, s := range d.Sections {
		section := export.BriefSection{Title: wording.Where(s.Where)}
		for _, l := range s.Lines {
			says := d.teller.BriefLine(l)
			section.Items = append(section.Items, export.BriefItem{Name: wording.LineName(l), Heads: l.Heads(),
				Says: export.Says(says.Instruction), Now: says.Note,
				Takes: wording.Takes(d.unit, l.Part.Gain, l.Part.Minutes)})
		}
		b.Sections = append(b.Sections, section)
	}
	for _, s := range d.Stays {
		b.Stays = append(b.Stays, wording.Stays(s))
	}
	return imagename.Slug(fmt.Sprintf("brief %s %s", firm, name)) + ".md", export.BriefMarkdown(&b), nil
}

func (h *Handoff) brief(ctx context.Context, client int64, key string) (*document, error) {
	w, err := h.Plan.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	page, ok := w.Pages[key]
	if !ok {
		return nil, store.ErrNotFound
	}
	var now *core.Page
	if own := page.Aim.Client; own != nil {
		now = own.Page
	}
	return &document{Brief: handoff.BriefOf(&w.Plan.Plan, key, now), page: page, teller: w.Teller(key),
		unit: w.Unit()}, nil
}

// lead returns the first phrase of the page, empty for none.
func (d *document) lead() string {
	first, ok := d.page.First()
	if !ok {
		return ""
	}
	return d.page.Display(first.Text)
}
