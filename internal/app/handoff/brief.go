// Package handoff is the stop at which the work is handed to those who do it: the
// brief of a page, on paper and as a file.
package handoff

import (
	"context"
	"fmt"
	"strings"
	"time"

	"inktally/core/plan"
	"inktally/internal/app/sheets"
	"inktally/internal/app/targets"
	"inktally/internal/export"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Handoff makes documents.
type Handoff struct {
	Plan *targets.Plan
	Now  func() time.Time
}

// Brief makes the brief of a page. Dropped targets are left out.
func (h *Handoff) Brief(ctx context.Context, client, pageID int64) (*view.Brief, error) {
	w, err := h.Plan.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	key := study.PageKey(store.Page{ID: pageID})
	c, ok := w.Pages[key]
	if !ok {
		return nil, store.ErrNotFound
	}
	shown := w.Show()
	b := &view.Brief{Client: c.Known.Client.Name, Page: sheets.PageInfo(c), Date: h.Now(), Unit: shown.Unit,
		UnitNote: shown.UnitNote,
		Sections: []view.BriefSection{}}
	if first, ok := c.First(); ok {
		b.Lead = c.Display(first.Text)
	}
	t, words := c.Words, sheets.WordCase(c)
	b.Words = view.BriefWords{Now: words.Seen, Target: t.Target, ToWrite: t.ToWrite, Writer: t.Writer, Hold: t.Hold,
		Evidence: wording.WordEvidence(t, words)}
	for _, where := range plan.Wheres() {
		section := view.BriefSection{Part: view.BriefPart(where), Title: wording.Where(where), Lines: []view.Part{}}
		for _, x := range shown.Targets {
			if x.Page == key && x.Choice.State != view.TargetState(plan.Dropped) {
				section.Lines = append(section.Lines, lines(x, where)...)
			}
		}
		if len(section.Lines) > 0 {
			b.Sections = append(b.Sections, section)
		}
	}
	return b, nil
}

// lines are the parts of a target that stand in a part of the brief.
func lines(t view.Target, where plan.Where) (out []view.Part) {
	for _, p := range t.Parts {
		if p.Choice.State == view.TargetState(plan.Dropped) || plan.PartRuleOf(plan.PartKind(p.Kind)).Where != where {
			continue
		}
		if plan.PartKind(p.Kind) == plan.Words && plan.Kind(t.Kind) == plan.Slice {
			p.Pencil = t.Pencil
		}
		if plan.PartKind(p.Kind) == plan.Repair {
			p.Note = t.Evidence
		}
		out = append(out, p)
	}
	return out
}

// Markdown writes a brief as Markdown.
func Markdown(b *view.Brief) string {
	var out strings.Builder
	fmt.Fprintf(&out, "# Brief: %s page of %s\n\n", b.Page.Kind, export.MarkdownText(b.Client))
	if b.Page.URL != "" {
		fmt.Fprintf(&out, "URL: %s  \n", export.MarkdownLink(b.Page.URL))
	}
	if b.Lead != "" {
		fmt.Fprintf(&out, "First phrase: %s  \n", export.MarkdownText(b.Lead))
	}
	fmt.Fprintf(&out, "Written on %s\n\n## Words\n\n", b.Date.Format("January 2, 2006"))
	if b.Words.Hold {
		fmt.Fprintf(&out, "%s: the page has enough. The work is where the phrases stand.\n",
			wording.Count(b.Words.Now, "word", ""))
	} else {
		fmt.Fprintf(&out, "%s now, %s wanted: **%s to write**. Hand in %s of copy; the rest are menus and footers.\n",
			wording.Count(b.Words.Now, "word", ""), wording.Number(b.Words.Target), wording.Number(b.Words.ToWrite),
			wording.Count(b.Words.Writer, "word", ""))
	}
	fmt.Fprintf(&out, "\nWhy: %s\n", export.MarkdownText(b.Words.Evidence))
	for _, s := range b.Sections {
		fmt.Fprintf(&out, "\n## %s\n\n", s.Title)
		for _, t := range s.Lines {
			line(&out, t, wording.Unit(b.Unit))
		}
	}
	fmt.Fprintf(&out, "\n%s\n", b.UnitNote)
	return out.String()
}

// line writes a part of a target as an item to tick off.
func line(out *strings.Builder, p view.Part, unit wording.Unit) {
	says := p.Name + ":"
	for _, piece := range []string{export.MarkdownText(p.Before), bold(export.MarkdownText(p.Pencil)),
		export.MarkdownText(p.After)} {
		if piece != "" {
			says += " " + piece
		}
	}
	takes := wording.Duration(p.Minutes)
	if p.Gain > 0 {
		takes = wording.Gain(unit, p.Gain) + " · " + takes
	}
	fmt.Fprintf(out, "- [ ] %s  \n", says)
	if p.Note != "" {
		fmt.Fprintf(out, "  %s  \n", export.MarkdownText(p.Note))
	}
	fmt.Fprintf(out, "  %s\n", takes)
}

func bold(s string) string {
	if s == "" {
		return ""
	}
	return "**" + s + "**"
}
