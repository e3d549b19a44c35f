// Package agreement holds a page as it was read against what a browser says of
// it: words seen, headings, image names, and the counts of the page's own most
// frequent phrases.
package agreement

import (
	"fmt"
	"slices"
	"sort"
	"strings"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/sheet"
	"inktally/core/text"
	"inktally/e2e/browser"
)

// Result is what was compared on a page and how it differs.
type Result struct {
	// Cause is what differs, empty if all agrees; Detail shows where.
	Cause, Detail string
	// Words, Headings, Images and Found are how much was compared; Found counts
	// occurrences of phrases.
	Words, Headings, Images, Found int
}

// Causes are what can differ, in the order in which it is looked at.
var Causes = []string{"words", "headings", "image names", "phrase counts"}

// Compare holds a page against what the browser says of it. Words may differ
// by so many percent.
func Compare(p *page.Page, facts browser.Facts, percent int) Result {
	r := Result{Words: text.Words(facts.Text), Headings: len(facts.Headings), Images: len(facts.Images)}
	heads, names, shown := []string{}, []string{}, []string{}
	for _, h := range p.Headings {
		heads = append(heads, fmt.Sprint(h.Level, " ", h.Text))
	}
	for _, i := range p.Images {
		if !i.Background {
			names = append(names, i.File)
		}
	}
	for _, h := range facts.Headings {
		shown = append(shown, fmt.Sprint(h.Level, " ", h.Text))
	}
	there, here := counts(p, facts.Text)
	for _, n := range there {
		r.Found += n
	}
	switch diff := r.Words - p.Words.Seen; {
	case max(diff, -diff)*100 > r.Words*percent:
		r.Cause, r.Detail = Causes[0], fmt.Sprintf("browser %d, here %d: %s", r.Words, p.Words.Seen,
			firstWord(facts.Text, p))
	case !slices.Equal(heads, shown):
		r.Cause, r.Detail = Causes[1], firstOf(shown, heads)
	case !slices.Equal(names, facts.Images):
		r.Cause, r.Detail = Causes[2], firstOf(facts.Images, names)
	case !slices.Equal(there, here):
		r.Cause, r.Detail = Causes[3], fmt.Sprintf("browser %v, here %v of %q", there, here, frequent(facts.Text))
	}
	return r
}

// counts counts the most frequent phrases of a page, exact and loose, in the
// text that the browser shows and in the page as it was read.
func counts(p *page.Page, shown string) (there, here []int) {
	phrases := frequent(shown)
	if len(phrases) == 0 {
		return nil, nil
	}
	criteria := sheet.NewCriteria(sheet.Asked{
		Phrases: phrases, Language: phrase.LanguageOf(p.Lang, nil, phrase.Corrections{})})
	// The cells of a table stand on one line, parted by tabs.
	plain := page.Read([]byte(strings.ReplaceAll(shown, "\t", "\n")),
		page.Source{ContentType: "text/plain; charset=utf-8"})
	of := func(p *page.Page) (out []int) {
		for _, placed := range sheet.Measure(p, criteria).Phrases {
			out = append(out, placed.Exact.Total, placed.Loose.Total)
		}
		return out
	}
	return of(plain), of(p)
}

const phrasesCounted = 5

// frequent returns the sequences of two words that occur most often in a text.
func frequent(shown string) []string {
	times := map[string]int{}
	for _, line := range strings.FieldsFunc(shown, func(r rune) bool { return r == '\n' || r == '\t' }) {
		tokens := text.Tokens(line)
		for i := 1; i < len(tokens); i++ {
			times[tokens[i-1]+" "+tokens[i]]++
		}
	}
	var list []string
	for s := range times {
		list = append(list, s)
	}
	sort.Slice(list, func(i, j int) bool {
		if a, b := times[list[i]], times[list[j]]; a != b {
			return a > b
		}
		return list[i] < list[j]
	})
	return list[:min(len(list), phrasesCounted)]
}

// firstWord shows where the texts part.
func firstWord(shown string, p *page.Page) string {
	var here []string
	for i := range p.Blocks {
		if !p.Blocks[i].Hidden {
			here = append(here, strings.Fields(p.Text(i))...)
		}
	}
	there := strings.Fields(shown)
	for i := range min(len(here), len(there)) {
		if here[i] != there[i] {
			return fmt.Sprintf("%q, here %q", there[max(0, i-2):min(len(there), i+4)],
				here[max(0, i-2):min(len(here), i+4)])
		}
	}
	return "one ends before the other"
}

func firstOf(there, here []string) string {
	for i := range max(len(there), len(here)) {
		var a, b string
		if i < len(there) {
			a = there[i]
		}
		if i < len(here) {
			b = here[i]
		}
		if a != b {
			return fmt.Sprintf("browser %q, here %q", a, b)
		}
	}
	return ""
}
