package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"io/fs"
	"os"
	"os/signal"
	"path/filepath"
	"slices"
	"strings"
	"text/tabwriter"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/text"
	"inktally/internal/fetch"

	"github.com/spf13/cobra"
)

func measureCommand() *cobra.Command {
	var phrases, services, places []string
	var asJSON, overrule bool
	var address string
	cmd := &cobra.Command{
		Use:   "measure [--json] [--phrase P]... FILE|FOLDER|URL|-",
		Short: "Measures a page, or every page below a folder",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt)
			defer stop()
			q, err := questionOf(phrases, services, places)
			if err != nil {
				return err
			}
			files, err := savedPages(args[0])
			if err != nil {
				return err
			}
			m := measuring{question: q, address: address, asJSON: asJSON, overrule: overrule, out: cmd.OutOrStdout(), in: cmd.InOrStdin()}
			for _, file := range files {
				if err := m.one(ctx, file); err != nil {
					return err
				}
			}
			return nil
		},
	}
	cmd.Flags().BoolVar(&asJSON, "json", false, "print JSON")
	cmd.Flags().BoolVar(&overrule, "overrule", false, "read a page although its robots.txt asks programs not to")
	cmd.Flags().StringArrayVar(&phrases, "phrase", nil, "a phrase of the page; may be given more than once")
	cmd.Flags().StringArrayVar(&services, "service", nil, "a service that the business sells, for the image names")
	cmd.Flags().StringArrayVar(&places, "place", nil, `a place of the business, such as "Tarn Harbor, ME"; the first is the home town`)
	cmd.Flags().StringVar(&address, "url", "", "the address of a saved page")
	return cmd
}

// measuring is what is asked of each page.
type measuring struct {
	question *sheet.Question
	address  string
	asJSON   bool
	overrule bool
	out      io.Writer
	in       io.Reader
	cache    page.SheetCache
}

// one measures one page and prints what it finds.
func (m *measuring) one(ctx context.Context, from string) error {
	doc, src, err := bringIn(ctx, from, m.in, m.overrule)
	if err != nil {
		return err
	}
	src.URL, src.ContentType, src.Cache = doc.URL, doc.ContentType, &m.cache
	if m.address != "" {
		src.URL = m.address
	}
	p := page.Read(doc.Body, src)
	if slices.Contains(p.Warnings, page.NotHTML) {
		return fmt.Errorf("%s is not a web page", from)
	}
	r := reportOf(sheet.Measure(p, m.question), m.question)
	if m.asJSON {
		return json.NewEncoder(m.out).Encode(r)
	}
	return r.table(m.out)
}

// savedPages are the pages that an argument names: those below a folder, or
// the one that it is.
func savedPages(from string) ([]string, error) {
	if info, err := os.Stat(from); err != nil || !info.IsDir() {
		return []string{from}, nil
	}
	var files []string
	err := filepath.WalkDir(from, func(name string, d fs.DirEntry, err error) error {
		if err == nil && d.Type().IsRegular() && (strings.HasSuffix(name, ".html") || strings.HasSuffix(name, ".htm")) {
			files = append(files, name)
		}
		return err
	})
	if err == nil && len(files) == 0 {
		err = fmt.Errorf("the folder %s holds no saved page", from)
	}
	return files, err
}

func questionOf(phrases, services, places []string) (*sheet.Question, error) {
	q := &sheet.Question{Phrases: phrases, Services: services}
	for _, p := range phrases {
		if len(text.Tokens(p)) == 0 {
			return nil, fmt.Errorf("the phrase %q holds no word", p)
		}
	}
	for i, s := range places {
		p := place.Parse(s)
		p.Home = i == 0
		q.Places = append(q.Places, p)
	}
	q.Place, _ = place.Home(q.Places)
	return q, nil
}

// bringIn reads a page with its style sheets from the web or from a file, or
// a page alone from standard input.
func bringIn(ctx context.Context, from string, in io.Reader, overrule bool) (doc fetch.Document, src page.Source, err error) {
	if from == "-" {
		doc, err = fetch.Stream("standard input", in)
		doc.URL = ""
		return doc, src, err
	}
	if _, err := os.Stat(from); err != nil && strings.Contains(from, ":") {
		address, err := fetch.Address(from)
		if err != nil {
			return doc, src, err
		}
		web := fetch.New(fetch.Options{})
		if doc, err = web.Get(ctx, address, overrule); err != nil {
			return doc, src, err
		}
		src.Sheets = web.Sheets(ctx, doc)
		return doc, src, nil
	}
	if doc, err = fetch.File(from); err != nil {
		return doc, src, err
	}
	src.Base, src.Sheets = fetch.FileBase(doc), fetch.FileSheets(doc)
	return doc, src, nil
}

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
