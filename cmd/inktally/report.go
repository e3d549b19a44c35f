package main

import (
	"fmt"
	"io"
	"strings"
	"text/tabwriter"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/sheet"
)

// report is what measure prints; its shape is kept.
type report struct {
	URL         string          `json:"url"`
	Title       string          `json:"title"`
	Description string          `json:"description"`
	Lang        string          `json:"lang"`
	Words       page.Words      `json:"words"`
	Headings    []reportHeading `json:"headings"`
	Images      []reportImage   `json:"images"`
	Phrases     []reportPhrase  `json:"phrases"`
	Warnings    []page.Warning  `json:"warnings"`
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
	Phrase string      `json:"phrase"`
	Exact  sheet.Slots `json:"exact"`
	Loose  sheet.Slots `json:"loose"`
}

func reportOf(c *sheet.Column, q *sheet.Question) report {
	p := c.Page
	r := report{URL: p.URL, Title: p.Title, Description: p.Description, Lang: p.Lang, Words: p.Words,
		Headings: []reportHeading{}, Images: []reportImage{}, Phrases: []reportPhrase{}, Warnings: []page.Warning{}}
	for _, h := range p.Headings {
		r.Headings = append(r.Headings, reportHeading{h.Level, h.Text, h.Words})
	}
	for i, img := range p.Images {
		r.Images = append(r.Images, reportImage{img.Src, img.File, img.Alt, img.Hidden, c.Verdicts[i]})
	}
	for i, placed := range c.Phrases {
		r.Phrases = append(r.Phrases, reportPhrase{q.Phrases[i], placed.Exact, placed.Loose})
	}
	r.Warnings = append(r.Warnings, p.Warnings...)
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
		for slot := sheet.Title; slot <= sheet.Elsewhere; slot++ {
			if e, l := p.Exact.In(slot), p.Loose.In(slot); e+l > 0 {
				fmt.Fprintf(w, "  %s\t%5d\t%5d\n", strings.ReplaceAll(slot.String(), "_", " "), e, l)
			}
		}
		fmt.Fprintf(w, "  in all visible text\t%5d\t%5d\n", p.Exact.Total, p.Loose.Total)
	}
	fmt.Fprintf(w, "\nheadings\twords\t\n")
	for _, h := range r.Headings {
		fmt.Fprintf(w, "  %sh%d %s\t%5d\t\n", strings.Repeat("  ", h.Level-1), h.Level, shortened(h.Text), h.Words)
	}
	fmt.Fprintf(w, "\nimages\tverdict\talt\n")
	for _, i := range r.Images {
		alt := "no alt"
		if i.Alt != nil {
			alt = shortened(*i.Alt)
		}
		fmt.Fprintf(w, "  %s\t%s\t%s\n", shortened(i.File), i.Verdict, alt)
	}
	for _, warning := range r.Warnings {
		fmt.Fprintf(w, "\nwarning: %s\n", warning)
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
