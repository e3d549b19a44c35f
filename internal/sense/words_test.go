//go:build sense

package sense

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/plan"
	"inktally/internal/view"
)

// english are words that stand in no proposal in another language.
var english = []string{"the", "and", "about", "people", "ask", "what", "towns", "we", "serve",
	"call", "by",
	"works", "also", "with", "from", "our", "how", "when", "first"}

// proposals are what is to be written on pages, and the headings of outlines.
func (c *client) proposals() (out []string) {
	c.parts(func(_ view.Target, p view.Part) bool {
		out = append(out, p.Pencil)
		return false
	}, view.PartKind(plan.Title), view.PartKind(plan.H1), view.PartKind(plan.Description),
		view.PartKind(plan.Subhead),
		view.PartKind(plan.Alt))
	for _, o := range c.outlines {
		for _, s := range o.Sections {
			if !s.There {
				out = append(out, s.Heading)
			}
		}
		out = append(out, o.Frames...)
	}
	return out
}

// How it is said.
var wordChecks = []check{
	{"nothing is English on pages of another language", func(c *client) (bad []string) {
		if strings.HasPrefix(c.ground.Language, "en") || c.ground.Language == "" {
			return nil
		}
		for _, s := range c.proposals() {
			if slices.ContainsFunc(plain(s), func(w string) bool { return slices.Contains(english, w) }) {
				bad = append(bad, s)
			}
		}
		return bad
	}},
	{"no title begins with a superlative", func(c *client) []string {
		return c.parts(func(_ view.Target, p view.Part) bool {
			words := plain(p.Pencil)
			return len(words) > 0 && slices.Contains([]string{"best", "top", "cheap", "cheapest", "meilleur",
				"meilleure",
				"beste", "mejor"}, words[0])
		}, view.PartKind(plan.Title), view.PartKind(plan.H1))
	}},
	{"no line is a label without meaning", func(c *client) (bad []string) {
		for url, b := range c.briefs {
			for _, l := range strings.Split(b, "\n") {
				for _, empty := range []string{"This:", "first phrase 1 time", "at least 100 words", "beat it by",
					"the first section, under the H1"} {
					if strings.Contains(l, empty) {
						bad = append(bad, url+": "+l)
					}
				}
			}
		}
		return append(bad, c.lines(func(x view.Target) bool {
			return strings.Contains(x.Before+x.Pencil+x.After+x.Evidence, "beat it by") ||
				strings.Contains(x.Pencil, "under the H1")
		})...)
	}},
	{"no sentence speaks of typing or searching", func(c *client) (bad []string) {
		for _, s := range c.proposals() {
			if slices.ContainsFunc(plain(s), func(w string) bool {
				return slices.Contains([]string{"type", "typed", "types", "search", "searched", "searches", "tapez",
					"recherche"}, w)
			}) {
				bad = append(bad, s)
			}
		}
		return bad
	}},
	{"the evidence of a slice is its own, not its page's sum again", func(c *client) (bad []string) {
		said := map[string]int{}
		for _, x := range c.plan.Targets {
			if x.Kind != view.TargetKind(plan.Slice) {
				continue
			}
			key := x.Page + "\n" + x.Evidence
			if said[key]++; said[key] == 3 {
				bad = append(bad, fmt.Sprintf("%s: %s", c.called(x.Page), x.Evidence))
			}
		}
		return bad
	}},
	{"the plan is told in up to three imperatives", func(c *client) []string {
		if n := len(c.recap); len(c.plan.Targets) > 0 && (n == 0 || n > 3) {
			return []string{fmt.Sprintf("%d imperatives", n)}
		}
		return nil
	}},
}
