package app

import (
	"context"
	"fmt"
	"strings"
	"time"

	"inktally/core/target"
)

// Brief is a page's targets as a writer needs them (H2).
type Brief struct {
	Client   string         `json:"client"`
	Page     PageInfo       `json:"page"`
	Date     time.Time      `json:"date"`
	Lead     string         `json:"lead"`
	Unit     string         `json:"unit" enum:"visits,share" doc:"What gains are in"`
	Words    BriefWords     `json:"words"`
	Sections []BriefSection `json:"sections"`
}

// BriefWords is the figure at the head of a brief.
type BriefWords struct {
	Now      int    `json:"now" doc:"Words seen now"`
	Target   int    `json:"target"`
	ToWrite  int    `json:"to_write"`
	Writer   int    `json:"writer" doc:"Copy to hand in: the target less menus and footers"`
	Hold     bool   `json:"hold"`
	Evidence string `json:"evidence"`
}

// BriefSection is a part of a brief.
type BriefSection struct {
	Title string       `json:"title"`
	Lines []TargetView `json:"lines"`
}

// Brief makes the brief of a page. Dropped targets are left out.
func (a *App) Brief(ctx context.Context, client, pageID int64) (*Brief, error) {
	s, err := a.study(ctx, client, pageID)
	if err != nil {
		return nil, err
	}
	v := s.view()
	b := &Brief{Client: s.ground.Client.Name, Page: v.Page, Date: a.now(), Unit: v.Unit, Sections: []BriefSection{}}
	if len(s.leads) > 0 {
		b.Lead = s.display(s.leads[0].Text)
	}
	w := s.words
	b.Words = BriefWords{Target: w.Target, ToWrite: w.ToWrite, Writer: w.Writer, Hold: w.Hold}
	if s.client.column != nil {
		b.Words.Now = s.client.column.Page.Words.Seen
		b.Words.Evidence = s.wordEvidence(target.Target{Subject: target.AboutWords, Words: &w})
	} else {
		b.Words.Evidence = s.wordEvidence(target.Target{Subject: target.AboutNewPage, Words: &w})
	}
	for _, part := range briefParts {
		section := BriefSection{Title: part.title}
		for _, t := range v.Targets {
			if t.Choice.State != target.Dropped && part.holds(t.Subject) {
				section.Lines = append(section.Lines, t)
			}
		}
		if len(section.Lines) > 0 {
			b.Sections = append(b.Sections, section)
		}
	}
	return b, nil
}

type briefPart struct {
	title    string
	subjects []target.Subject
}

var briefParts = []briefPart{
	{"The page", []target.Subject{target.AboutNewPage}},
	{"The head of the page", []target.Subject{target.AboutTitle, target.AboutDescription, target.AboutAddress, target.AboutH1}},
	{"The text", []target.Subject{target.AboutWords, target.AboutOpening, target.AboutSubhead, target.AboutBody}},
	{"The images", []target.Subject{target.AboutImageName, target.AboutAlt}},
}

func (p briefPart) holds(s target.Subject) bool {
	for _, have := range p.subjects {
		if have == s {
			return true
		}
	}
	return false
}

// Markdown writes the brief as Markdown.
func (b *Brief) Markdown() string {
	var out strings.Builder
	fmt.Fprintf(&out, "# Brief: %s page of %s\n\n", b.Page.Kind, b.Client)
	if b.Page.URL != "" {
		fmt.Fprintf(&out, "Address: <%s>  \n", b.Page.URL)
	}
	if b.Lead != "" {
		fmt.Fprintf(&out, "First phrase: %s  \n", b.Lead)
	}
	fmt.Fprintf(&out, "Written on %s\n\n## Words\n\n", b.Date.Format("2 January 2006"))
	switch {
	case b.Words.Hold:
		fmt.Fprintf(&out, "%s words: the page has enough. The work is where the phrases stand.\n", count(b.Words.Now))
	default:
		fmt.Fprintf(&out, "%s words now, %s wanted: **%s to write**. Hand in %s words of copy; the rest are menus and footers.\n",
			count(b.Words.Now), count(b.Words.Target), count(b.Words.ToWrite), count(b.Words.Writer))
	}
	fmt.Fprintf(&out, "\nWhy: %s\n", b.Words.Evidence)
	for _, s := range b.Sections {
		fmt.Fprintf(&out, "\n## %s\n\n", s.Title)
		for _, t := range s.Lines {
			t.markdown(&out, "- [ ] ", b.Unit)
		}
	}
	fmt.Fprintf(&out, "\n%s\n", unitNotes[b.Unit])
	return out.String()
}

// unitNotes tell what gains are, by their unit.
var unitNotes = map[string]string{
	"visits": "Gains are visits a month at the aimed positions; they are estimates.",
	"share":  "Gains are shares of what the page can win by its phrases; they are estimates.",
}

func (t TargetView) markdown(out *strings.Builder, bullet, unit string) {
	fmt.Fprintf(out, "%s%s", bullet, t.Before)
	if t.Pencil != "" {
		fmt.Fprintf(out, " **%s**", t.Pencil)
	}
	fmt.Fprintf(out, "  \n  %s  \n  %s\n", t.Evidence, effort(t.Gain, unit, t.Minutes))
}

// effort words the gain and the time of a target.
func effort(gain float64, unit string, minutes float64) string {
	took := Duration(minutes)
	if gain <= 0 {
		return took
	}
	return GainIn(unit, gain) + " · " + took
}

// GainIn writes a gain in its unit, with a decimal under ten.
func GainIn(unit string, gain float64) string {
	figure := fmt.Sprintf("%.0f", gain)
	if gain < 9.95 {
		figure = fmt.Sprintf("%.1f", gain)
	}
	if unit == "visits" {
		return "about " + figure + " visits a month"
	}
	return figure + " % of the gain"
}

// Duration writes minutes as hours and minutes.
func Duration(minutes float64) string {
	m := int(minutes + 0.5)
	switch {
	case m < 60:
		return fmt.Sprintf("%d min", m)
	case m%60 == 0:
		return fmt.Sprintf("%d h", m/60)
	}
	return fmt.Sprintf("%d h %02d", m/60, m%60)
}
