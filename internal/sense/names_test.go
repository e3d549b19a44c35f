//go:build sense

package sense

import (
	"fmt"
	"slices"
	"strings"

	"inktally/core/plan"
	"inktally/core/site"
	"inktally/internal/view"
)

// weak are the small words by which two names are told apart only for machines.
var weak = map[string]bool{"in": true, "of": true, "the": true, "a": true, "de": true, "la": true,
	"le": true,
	"du": true, "and": true, "et": true, "near": true}

// stem returns the words of a file name without its ending and small words.
func stem(name string) string {
	if dot := strings.LastIndexByte(name, '.'); dot > 0 {
		name = name[:dot]
	}
	return strings.Join(slices.DeleteFunc(plain(name), func(w string) bool { return weak[w] }), " ")
}

// renamed are the images that are to get another name, or to be added.
func (c *client) renamed(bad func(view.ImageRow) bool) (out []string) {
	for _, r := range c.images {
		if r.Wanted != "" && bad(r) {
			out = append(out, fmt.Sprintf("%s: %s -> %s", c.called(r.Page), r.Now, r.Wanted))
		}
	}
	return out
}

// What images are called, and what is said of them.
var nameChecks = []check{
	{"no name, title, h1 or subhead holds a word that nobody knows or a slip", func(c *client) []string {
		strange := func(s string) bool {
			return slices.ContainsFunc(plain(s), func(w string) bool { return c.strange[w] })
		}
		return append(c.renamed(func(r view.ImageRow) bool { return strange(r.Wanted) }),
			c.parts(func(_ view.Target, p view.Part) bool { return strange(p.Pencil) }, view.PartKind(plan.Title),
				view.PartKind(plan.H1), view.PartKind(plan.Subhead), view.PartKind(plan.Alt))...)
	}},
	{"no two images get names that are alike but for small words", func(c *client) []string {
		var names []string
		c.renamed(func(r view.ImageRow) bool {
			names = append(names, stem(r.Wanted))
			return false
		})
		return twice(names)
	}},
	{"what stands on half of the pages is no image to rename", func(c *client) []string {
		on := map[string]map[string]bool{}
		for _, r := range c.images {
			if on[r.Now] == nil {
				on[r.Now] = map[string]bool{}
			}
			on[r.Now][r.Page] = true
		}
		read := 0
		for _, p := range c.site.Pages {
			if p.Words != nil {
				read++
			}
		}
		return c.renamed(func(r view.ImageRow) bool { return r.Now != "" && read >= 4 && 2*len(on[r.Now]) >= read })
	}},
	{"images of about, contact, gallery, article and other pages keep their names", func(c *client) []string {
		return c.renamed(func(r view.ImageRow) bool {
			own := c.page(r.Page)
			return site.Kind(own.Kind) != site.Home && !site.Kind(own.Kind).ForOneSubject()
		})
	}},
	{"an image of a service page is named after no other service", func(c *client) []string {
		return c.renamed(func(r view.ImageRow) bool {
			own := c.page(r.Page)
			return site.Kind(own.Kind) == site.Service && !holdsAny(r.Wanted, c.forms(own.Service))
		})
	}},
	{"each service page's camera and counter names are mended", func(c *client) (bad []string) {
		for _, p := range c.plan.Pages {
			if site.Kind(p.Page.Kind) != site.Service || p.Page.URL == "" {
				continue
			}
			poor, named := 0, 0
			for _, r := range c.images {
				if r.Page == p.Key && (r.Verdict == "camera" || r.Verdict == "counter" || r.Verdict == "machine") {
					poor++
				}
				if r.Page == p.Key && (r.Wanted != "" || r.Verdict == "carries") {
					named++
				}
			}
			if poor > 0 && named == 0 {
				bad = append(bad, p.Page.URL)
			}
		}
		return bad
	}},
	{"a name that holds a service keeps its words", func(c *client) []string {
		return c.renamed(func(r view.ImageRow) bool {
			return slices.ContainsFunc(c.ground.Services, func(s view.Service) bool {
				return slices.ContainsFunc(append([]string{s.Name}, s.Words...), func(form string) bool {
					return len(plain(form)) > 1 && holds(stem(r.Now), form) && !holds(r.Wanted, form)
				})
			})
		})
	}},
	{"a plain name of words that no list explains stays", func(c *client) []string {
		return c.renamed(func(r view.ImageRow) bool { return r.Verdict == "plain" && !c.explains(r.Now) })
	}},
	{"an alt that is there stays, whatever is added", func(c *client) (bad []string) {
		for _, r := range c.images {
			if len(plain(r.AltNow)) > 1 && r.AltWanted != "" && !strings.Contains(r.AltWanted, r.AltNow) {
				bad = append(bad, fmt.Sprintf("%s: %q -> %q", r.Now, r.AltNow, r.AltWanted))
			}
		}
		return bad
	}},
	{"no alt is a bare phrase", func(c *client) (bad []string) {
		for _, r := range c.images {
			bare := slices.ContainsFunc(c.phrases, func(p string) bool {
				return slices.Equal(plain(p), plain(r.AltWanted))
			})
			if r.AltWanted != "" && bare {
				bad = append(bad, fmt.Sprintf("%s: %q", r.Now+r.Wanted, r.AltWanted))
			}
		}
		return bad
	}},
	{"no name, title or heading holds a postcode", func(c *client) []string {
		long := func(s string) bool {
			return slices.ContainsFunc(plain(s), func(w string) bool {
				return len(w) >= 4 && strings.Trim(w,
					"0123456789") == ""
			})
		}
		return append(c.renamed(func(r view.ImageRow) bool { return long(r.Wanted) }),
			c.parts(func(_ view.Target, p view.Part) bool { return long(p.Pencil) }, view.PartKind(plan.Title),
				view.PartKind(plan.H1), view.PartKind(plan.Subhead))...)
	}},
}
