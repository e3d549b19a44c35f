package main

import (
	"fmt"
	"io"
	"strings"
	"text/tabwriter"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// report is what measure prints; its shape is kept.
type report struct {
	URL         string          `json:"url"`
	Title       string          `json:"title"`
	Description string          `json:"description"`
	Lang        string          `json:"lang"`
	Words       view.Words      `json:"words"`
	Headings    []reportHeading `json:"headings"`
	Images      []reportImage   `json:"images"`
	Phrases     []reportPhrase  `json:"phrases"`
	Warnings    []string        `json:"warnings"`
}

type reportHeading struct {
	Level int    `json:"level"`
	Text  string `json:"text"`
	Words int    `json:"words"`
}

type reportImage struct {
	Src     string            `json:"src"`
	File    string            `json:"file"`
	Alt     *string           `json:"alt"`
	Hidden  bool              `json:"hidden"`
	Verdict imagename.Verdict `json:"verdict"`
}

type reportPhrase struct {
	Phrase string     `json:"phrase"`
	Exact  view.Slots `json:"exact"`
	Loose  view.Slots `json:"loose"`
	counts sheet.Placement
}

func reportOf(c *sheet.Column) report {
	p := c.Page
	r := report{URL: p.URL, Title: p.Title, Description: p.Description, Lang: p.Lang, Words: view.WordsOf(p.Words),
		Headings: []reportHeading{}, Images: []reportImage{}, Phrases: []reportPhrase{}, Warnings: []string{}}
	for _, h := range p.Headings {
		r.Headings = append(r.Headings, reportHeading{h.Level, h.Text, h.Words})
	}
	for i, img := range p.Images {
		r.Images = append(r.Images, reportImage{img.Src, img.File, img.Alt, img.Hidden, c.Verdicts[i]})
	}
	for i, placed := range c.Phrases {
		r.Phrases = append(r.Phrases, reportPhrase{c.Criteria.Phrases[i], view.Slots(placed.Exact),
			view.Slots(placed.Loose), placed})
	}
	for _, w := range p.Warnings {
		r.Warnings = append(r.Warnings, string(w))
	}
	return r
}

// table prints a short readable form.
func (r report) table(out io.Writer) error {
	w := tabwriter.NewWriter(out, 0, 4, 2, ' ', 0)
	fmt.Fprintf(w, "%s\n%s\n\n", r.Title, r.URL)
	fmt.Fprintf(w, "words seen\t%6d\t%s\n", r.Words.Seen, strokes(r.Words.Seen))
	fmt.Fprintf(w, "copy words\t%6d\t%s\n", r.Words.Copy, strokes(r.Words.Copy))
	fmt.Fprintf(w, "hidden words\t%6d\t%s\n", r.Words.Hidden, strokes(r.Words.Hidden))
	for _, p := range r.Phrases {
		fmt.Fprintf(w, "\n%s\texact\tloose\n", p.Phrase)
		for _, slot := range sheet.AllSlots() {
			if e, l := p.counts.Exact.In(slot), p.counts.Loose.In(slot); e+l > 0 {
				fmt.Fprintf(w, "  %s\t%5d\t%5d\n", wording.Slot(slot.String()), e, l)
			}
		}
		fmt.Fprintf(w, "  in all visible text\t%5d\t%5d\n", p.Exact.Total, p.Loose.Total)
	}
	fmt.Fprintf(w, "\nheadings\twords\t\n")
	for _, h := range r.Headings {
		fmt.Fprintf(w, "  %sH%d %s\t%5d\t\n", strings.Repeat("  ", h.Level-1), h.Level, shortened(h.Text), h.Words)
	}
	fmt.Fprintf(w, "\nimages\tfile name\talt text\n")
	for _, i := range r.Images {
		alt := "no alt text"
		if i.Alt != nil {
			alt = shortened(*i.Alt)
		}
		fmt.Fprintf(w, "  %s\t%s\t%s\n", shortened(i.File), wording.Verdict(i.Verdict, i.File), alt)
	}
	for _, warning := range r.Warnings {
		fmt.Fprintf(w, "\nwarning: %s\n", wording.Warning(page.Warning(warning)))
	}
	return w.Flush()
}

// strokes writes a number of words as tally strokes: one for each hundred,
// every fifth across the four before it.
func strokes(words int) string {
	bundles, rest := words/500, words%500/100
	if bundles > 12 {
		return strings.Repeat("||||\u0337 ", 12) + "…"
	}
	return strings.TrimSpace(strings.Repeat("||||\u0337 ", bundles) + strings.Repeat("|", rest))
}

func shortened(s string) string {
	if r := []rune(s); len(r) > 60 {
		return string(r[:59]) + "…"
	}
	return s
}
