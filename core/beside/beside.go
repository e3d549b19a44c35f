// Package beside finds what a page lacks that its rivals' pages have: testimonials and a call to act (rule 11).
//
// In go a page and the comparable pages of its rivals; out come findings.
package beside

import (
	"inktally/core/finding"
	"inktally/core/page"
)

// Lacks returns what a page lacks and half of its rivals' pages or more have.
func Lacks(own *page.Page, rivals []*page.Page) (out []finding.Finding) {
	for _, of := range []struct {
		lack finding.Type
		has  func(*page.Page) bool
	}{
		{finding.NoTestimonial, func(p *page.Page) bool { return p.Details().Testimonials > 0 }},
		{finding.NoCallToAct, (*page.Page).CallsToAct},
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
