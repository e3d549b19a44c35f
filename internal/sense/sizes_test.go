//go:build sense

package sense

import (
	"fmt"
	"strings"

	"inktally/core/plan"
	"inktally/core/site"
	"inktally/internal/view"
)

// atLeast is the least that is asked for as a section (rule 10.1), perSubhead how many words of the
// target a subhead needs (9.3).
const (
	atLeast    = 60
	perSubhead = 120
)

// subheads returns how many are asked for on a page.
func (c *client) subheads(page string) (n int) {
	for _, x := range c.plan.Targets {
		for _, part := range x.Parts {
			if x.Page == page && part.Kind == view.PartKind(plan.Subhead) {
				n++
			}
		}
	}
	return n
}

// How large the pieces are.
var sizeChecks = []check{
	{"nobody is asked for a section of under 60 words", func(c *client) []string {
		return c.lines(func(x view.Target) bool {
			return x.Words > 0 && x.Words < atLeast && c.outlines[x.Page].Words.ToWrite >= atLeast
		})
	}},
	{"a page's sections have words by tens, but for one", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			odd := 0
			for _, s := range c.outlines[p.Key].Sections {
				if s.Words%10 != 0 {
					odd++
				}
			}
			if odd > 1 {
				bad = append(bad, fmt.Sprintf("%s: %d odd sections", c.called(p.Key), odd))
			}
		}
		return bad
	}},
	{"no more subheads than one for each 120 words", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			n := c.subheads(p.Key)
			if most := max(1, c.outlines[p.Key].Words.Target/perSubhead); n > most {
				bad = append(bad, fmt.Sprintf("%s: %d subheads, %d fit", c.called(p.Key), n, most))
			}
		}
		return bad
	}},
	{"a page that has enough words gets no new subheads but its first phrase's", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			if n := c.subheads(p.Key); c.outlines[p.Key].Words.Hold && n > 2 {
				bad = append(bad, fmt.Sprintf("%s: %d new subheads", c.called(p.Key), n))
			}
		}
		return bad
	}},
	{"no heading stands twice on a page", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			var headings []string
			for _, s := range c.outlines[p.Key].Sections {
				if !s.Dropped && s.Heading != "" {
					headings = append(headings, strings.ToLower(s.Heading))
				}
			}
			for _, h := range twice(headings) {
				bad = append(bad, c.called(p.Key)+": "+h)
			}
		}
		return bad
	}},
	{"a section of questions names its questions", func(c *client) (bad []string) {
		for _, x := range c.plan.Targets {
			if x.Key == "slice: questions" || strings.HasPrefix(x.Key, "slice: questions ") {
				all := x.Before + x.Pencil + x.After + x.Evidence
				for _, p := range x.Parts {
					all += p.Pencil + p.Note + p.After
				}
				if !strings.Contains(all, "?") && !holdsAny(all, c.outlines[x.Page].Questions) {
					bad = append(bad, c.says(x))
				}
			}
		}
		return bad
	}},
	{"sections about the firm and the towns stand on the home page, or where two rivals have them",
		func(c *client) (bad []string) {
			for _, p := range c.plan.Pages {
				if site.Kind(p.Page.Kind) == site.Home {
					continue
				}
				for _, s := range c.outlines[p.Key].Sections {
					if (s.Kind == "about" || s.Kind == "towns") && !s.There && s.Words > 0 && s.Have < 2 {
						bad = append(bad, c.called(p.Key)+": "+s.Heading)
					}
				}
			}
			return bad
		}},
	{"no section is a town that is an ordinary word", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			for _, s := range c.outlines[p.Key].Sections {
				for _, at := range c.ground.Places {
					if strings.EqualFold(s.Heading, at.Name) && s.Words > 0 {
						bad = append(bad, c.called(p.Key)+": "+s.Heading)
					}
				}
			}
		}
		return bad
	}},
}
