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

// What page gets a phrase, and what is told of pages as such.
var pageChecks = []check{
	{"a title, h1 or address names its page's own service", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool {
			own := c.page(x.Page)
			return site.Kind(own.Kind) == site.Service && !holdsAny(p.Pencil, c.forms(own.Service))
		}, view.PartKind(plan.Title), view.PartKind(plan.H1), view.PartKind(plan.Address))
	}},
	{"a title, h1 or address names no service that is not its page's", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool {
			own := c.page(x.Page)
			if site.Kind(own.Kind) != site.Service {
				return false
			}
			return slices.ContainsFunc(c.ground.Services, func(s view.Service) bool {
				return s.Name != own.Service && holds(c.withoutFirm(p.Pencil), s.Name) && !holdsAny(own.Service,
					[]string{s.Name}) &&
					!slices.ContainsFunc(c.forms(own.Service), func(form string) bool { return holds(form, s.Name) })
			})
		}, view.PartKind(plan.Title), view.PartKind(plan.H1), view.PartKind(plan.Address))
	}},
	{"a title, h1 or address names its page's own town", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool { return !holds(p.Pencil, c.town(c.page(x.Page))) },
			view.PartKind(plan.Title), view.PartKind(plan.H1))
	}},
	{"two pages are never asked to hold one family", func(c *client) []string {
		var families []string
		for _, x := range c.plan.Targets {
			if x.Kind == view.TargetKind(plan.Placing) {
				families = append(families, x.Family)
			}
		}
		return twice(families)
	}},
	{"what leads on, or is a second copy, is only redirected or merged", func(c *client) []string {
		copies := map[string]bool{}
		for _, f := range c.site.Findings {
			if f.Type == "second_copy" {
				copies[f.URL] = true
			}
		}
		return c.lines(func(x view.Target) bool {
			return copies[c.page(x.Page).URL] && x.Kind != view.TargetKind(plan.Redirect)
		})
	}},
	{"no page is redirected to itself", func(c *client) []string {
		return c.lines(func(x view.Target) bool {
			from, to, ok := strings.Cut(strings.TrimPrefix(x.Before, "Redirect "), " to ")
			return x.Kind == view.TargetKind(plan.Redirect) && (!ok || from == to || from == "/" && holds(to, "home"))
		})
	}},
	{"about, contact, gallery and article pages get no phrase and no section", func(c *client) []string {
		return c.lines(func(x view.Target) bool {
			own := c.page(x.Page)
			return own.URL != "" && site.Kind(own.Kind) != site.Home && !site.Kind(own.Kind).ForOneSubject() &&
				(x.Kind == view.TargetKind(plan.Placing) || x.Kind == view.TargetKind(plan.Slice))
		})
	}},
	{"a town that is wrong in a title, h1, address or alt is replaced, not moved", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool { return !holds(p.Before, c.town(c.page(x.Page))) },
			view.PartKind(plan.WrongPlace))
	}},
	{"a page that is to be redirected or merged gets no other work but fixes", func(c *client) []string {
		gone := map[string]bool{}
		c.lines(func(x view.Target) bool {
			gone[x.Page] = gone[x.Page] || x.Kind == view.TargetKind(plan.Merge) ||
				x.Kind == view.TargetKind(plan.Redirect)
			return false
		})
		return c.lines(func(x view.Target) bool {
			return gone[x.Page] && x.Kind != view.TargetKind(plan.Merge) && x.Kind != view.TargetKind(plan.Redirect) &&
				x.Kind != view.TargetKind(plan.Fix)
		})
	}},
	{"a page is linked from another one, by words of what it is for", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool {
			from := c.page(x.Page)
			return p.Pencil == "" || from.URL != "" && strings.Contains(p.Before, " "+from.URL+" ")
		}, view.PartKind(plan.AddLink))
	}},
	{"each directory is asked for once", func(c *client) []string {
		var names []string
		c.parts(func(_ view.Target, p view.Part) bool {
			names = append(names, p.Before)
			return false
		}, view.PartKind(plan.Listing))
		return twice(names)
	}},
	{"every service has a page, or is planned as one", func(c *client) (bad []string) {
		for i, s := range c.ground.Services {
			planned := i == 0 || slices.ContainsFunc(c.plan.Pages, func(p view.PlanPage) bool {
				return p.Page.Service == s.Name
			})
			if !planned {
				bad = append(bad, s.Name+" has no page and none is planned")
			}
		}
		return bad
	}},
	{"no two pages get one title, h1 or description", func(c *client) []string {
		var texts []string
		c.parts(func(_ view.Target, p view.Part) bool {
			texts = append(texts, p.Name+": "+p.Pencil)
			return false
		}, view.PartKind(plan.Title), view.PartKind(plan.H1), view.PartKind(plan.Description))
		return twice(texts)
	}},
	{"descriptions are of several sentences", func(c *client) []string {
		shapes := map[string]int{}
		n := 0
		c.parts(func(x view.Target, p view.Part) bool {
			own := c.page(x.Page)
			shape := strings.ToLower(p.Pencil)
			for _, cut := range slices.Concat(plain(c.town(own)), plain(own.Service), plain(x.Pencil)) {
				shape = strings.ReplaceAll(shape, cut, "")
			}
			shapes[strings.Join(strings.Fields(shape), " ")]++
			n++
			return false
		}, view.PartKind(plan.Description))
		if n >= 3 && len(shapes) < min(n, 3) {
			return []string{fmt.Sprintf("%d descriptions of %d shapes", n, len(shapes))}
		}
		return nil
	}},
	{"a changed address comes with its slug and its redirect", func(c *client) []string {
		return c.parts(func(x view.Target, p view.Part) bool {
			all := p.Before + p.Pencil + p.After + p.Note
			return !strings.Contains(all, "/") || c.page(x.Page).URL != "" && !strings.Contains(all, "redirect")
		}, view.PartKind(plan.Address))
	}},
}
