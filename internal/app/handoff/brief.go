// Package handoff is the stop at which the work is handed to those who do it: the
// brief of a page, on paper and as a file.
package handoff

import (
	"context"
	"fmt"
	"strings"
	"time"

	"inktally/core/target"
	"inktally/internal/app/plan"
	"inktally/internal/app/sheet"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Handoff makes documents.
type Handoff struct {
	Sheet *sheet.Sheet
	Now   func() time.Time
}

// Brief makes the brief of a page. Dropped targets are left out.
func (h *Handoff) Brief(ctx context.Context, client, pageID int64) (*view.Brief, error) {
	c, err := h.Sheet.Compare(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	shown := plan.Of(c)
	b := &view.Brief{Client: c.Known.Client.Name, Page: shown.Page, Date: h.Now(), Unit: shown.Unit, UnitNote: wording.UnitNote(c.Unit),
		Sections: []view.BriefSection{}}
	if len(c.Leads) > 0 {
		b.Lead = c.Display(c.Leads[0].Text)
	}
	w, words := c.Words, c.WordCase()
	b.Words = view.BriefWords{Now: words.Seen, Target: w.Target, ToWrite: w.ToWrite, Writer: w.Writer, Hold: w.Hold,
		Evidence: wording.WordEvidence(w, words)}
	for _, part := range target.Parts() {
		section := view.BriefSection{Part: view.BriefPart(part), Title: wording.Part(part), Lines: []view.Target{}}
		for i, t := range c.Targets {
			if t.Choice.State != target.Dropped && target.RuleOf(t.Kind).Part == part {
				section.Lines = append(section.Lines, shown.Targets[i])
			}
		}
		if len(section.Lines) > 0 {
			b.Sections = append(b.Sections, section)
		}
	}
	return b, nil
}

// Markdown writes a brief as Markdown.
func Markdown(b *view.Brief) string {
	var out strings.Builder
	fmt.Fprintf(&out, "# Brief: %s page of %s\n\n", b.Page.Kind, b.Client)
	if b.Page.URL != "" {
		fmt.Fprintf(&out, "URL: <%s>  \n", b.Page.URL)
	}
	if b.Lead != "" {
		fmt.Fprintf(&out, "First phrase: %s  \n", b.Lead)
	}
	fmt.Fprintf(&out, "Written on %s\n\n## Words\n\n", b.Date.Format("January 2, 2006"))
	if b.Words.Hold {
		fmt.Fprintf(&out, "%s: the page has enough. The work is where the phrases stand.\n", wording.Count(b.Words.Now, "word", ""))
	} else {
		fmt.Fprintf(&out, "%s now, %s wanted: **%s to write**. Hand in %s of copy; the rest are menus and footers.\n",
			wording.Count(b.Words.Now, "word", ""), wording.Number(b.Words.Target), wording.Number(b.Words.ToWrite),
			wording.Count(b.Words.Writer, "word", ""))
	}
	fmt.Fprintf(&out, "\nWhy: %s\n", b.Words.Evidence)
	for _, s := range b.Sections {
		fmt.Fprintf(&out, "\n## %s\n\n", s.Title)
		for _, t := range s.Lines {
			line(&out, t, wording.Unit(b.Unit))
		}
	}
	fmt.Fprintf(&out, "\n%s\n", b.UnitNote)
	return out.String()
}

// line writes a target as an item to tick off.
func line(out *strings.Builder, t view.Target, unit wording.Unit) {
	says := t.Before
	if t.Pencil != "" {
		says += " **" + t.Pencil + "**"
	}
	if t.After != "" {
		says += " " + t.After
	}
	takes := wording.Duration(t.Minutes)
	if t.Gain > 0 {
		takes = wording.Gain(unit, t.Gain) + " · " + takes
	}
	fmt.Fprintf(out, "- [ ] %s  \n  %s  \n  %s\n", says, t.Evidence, takes)
}
