// Package beside finds what a page lacks that its rivals' pages have: testimonials and a call to act (rule 11).
//
// In go a page, the comparable pages of its rivals and the words that call to act in its language; out come findings.
package beside

import (
	"slices"

	"inktally/core/finding"
	"inktally/core/page"
	"inktally/core/text"
)

// Lacks returns what a page lacks and half of its rivals' pages or more have.
func Lacks(own *page.Page, rivals []*page.Page, calls []string) (out []finding.Finding) {
	for _, of := range []struct {
		lack finding.Type
		has  func(*page.Page) bool
	}{
		{finding.NoTestimonial, func(p *page.Page) bool { return p.Details().Testimonials > 0 }},
		{finding.NoCallToAct, func(p *page.Page) bool { return CallsToAct(p, calls) }},
	} {
		have := 0
		for _, r := range rivals {
			if of.has(r) {
				have++
			}
		}
		if have > 0 && have*2 >= len(rivals) && !of.has(own) {
			out = append(out, finding.Finding{Type: of.lack, URL: own.URL, Have: have, Of: len(rivals)})
		}
	}
	return out
}

// CallsToAct reports whether a page asks its visitor to do something: by a telephone number (one that is no link is a
// fix of its own), a form to fill in, or a short visible text that begins with one of the words given, link and button
// among them.
func CallsToAct(p *page.Page, calls []string) bool {
	if d := p.Details(); d.Forms > 0 || len(d.Phones) > 0 {
		return true
	}
	for i := range p.Blocks {
		if b := &p.Blocks[i]; !b.Hidden && b.Words <= longestCall && begins(p.Text(i), calls) {
			return true
		}
	}
	return slices.ContainsFunc(p.LinkList(), func(l page.LinkFact) bool { return !l.Hidden && begins(l.Text, calls) })
}

// longestCall is how many words a text may have that calls to act.
const longestCall = 25

// begins reports whether a text begins with one of the words, each of one token or more.
func begins(s string, calls []string) bool {
	tokens := text.Tokens(s)
	return slices.ContainsFunc(calls, func(call string) bool {
		words := text.Tokens(call)
		return len(words) > 0 && len(tokens) >= len(words) && slices.Equal(tokens[:len(words)], words)
	})
}
