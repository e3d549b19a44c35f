package study

import (
	"cmp"
	"fmt"
	"strings"

	"inktally/core/book"
	"inktally/core/imagename"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/stats"
	"inktally/internal/store"
)

// phone returns the client's first number, as it was typed.
func phone(k *Known) string {
	first, _, _ := strings.Cut(k.Client.Phone, ",")
	return strings.TrimSpace(first)
}

// PageKey names a page of the client in its plan; Purpose is the name that it has before
// it is made.
func PageKey(p store.Page) string {
	if p.ID != 0 {
		return fmt.Sprintf("p%d", p.ID)
	}
	return Purpose(p)
}

// Purpose names a page by what it is for.
func Purpose(p store.Page) string {
	return fmt.Sprintf("%s: %s", p.Kind, cmp.Or(p.Service, p.Place))
}

// aim gathers what the targets of the page are worked out from.
func (c *Comparison) aim() {
	p := &c.Aim
	var rivals []string
	for _, r := range c.Counted() {
		rivals = append(rivals, r.Name)
	}
	*p = plan.Aim{Key: PageKey(c.Page), URL: c.Page.URL, Kind: c.Page.Kind, Service: c.Page.Service,
		Place:  c.Page.Place,
		Client: c.Client.Column, Criteria: c.Criteria, Wishes: c.wishes(), Frame: c.frame(),
		Topics: c.worked().topics.Page(c.Ground, c.Page, rivals)}
	if p.Client != nil && p.Client.Page.Details().UnderConstruction {
		p.Client = nil // as good as nothing there yet (rule 11)
	}
	if c.Page.ID != 0 && c.Page.Kind.ForOneSubject() {
		p.Formerly = Purpose(c.Page)
	}
	p.Named, p.Phone = c.Named, phone(c.Known)
	for _, r := range c.Counted() {
		p.Rivals = append(p.Rivals, r.Column)
	}
	for _, f := range c.Families {
		if !f.Near { // nobody writes "near me" into a text (rule 3.10); they stand last
			p.Families = append(p.Families, c.family(f))
		}
	}
	c.Words = c.Yardstick.Target.WordTargetOf(p)
}

func (c *Comparison) family(f book.Family) plan.Stake {
	out := plan.Stake{Key: f.Key, Text: f.Lead().Text, Service: f.Service, Place: f.Place, Gain: f.RowGain,
		Known: f.Volume > 0 || !f.Unknown || f.Uncounted > 0}
	if out.Place == c.Home().Name {
		out.Place = ""
	}
	if f.Position != nil {
		out.Position = *f.Position
	}
	for _, m := range c.Members[f.Key] {
		if m.Wanted {
			out.Members = append(out.Members, plan.Member{Text: m.Text, Searches: *m.Volume, Share: m.Share})
		}
	}
	return out
}

// First returns the page's first family; it is not ok if there is none.
func (c *Comparison) First() (plan.Stake, bool) {
	if len(c.Aim.Families) == 0 {
		return plan.Stake{}, false
	}
	return c.Aim.Families[0], true
}

// Targets returns those of the page by itself, in the order of a brief.
func (c *Comparison) Targets() []plan.Target {
	c.aimed.Do(func() { c.targets = c.Yardstick.Target.OfPage(&c.Aim, plan.NamesOf(c.Aim)) })
	return c.targets
}

// frame returns what a page to make will come with: the median of the site's pages (rule 8.6).
func (k *Known) frame() int {
	var frames []int
	for _, p := range k.Pages {
		if r, ok := k.Latest[ReadingKey(p)]; ok {
			frames = append(frames, r.Facts.Words.Frame())
		}
	}
	return int(stats.Median(frames))
}

// wishes returns what image names may say beyond the families (rule 4.3).
func (c *Comparison) wishes() []string {
	var towns []string
	for _, q := range c.Pages {
		if q.Kind == site.Area {
			towns = append(towns, q.Place)
		}
	}
	return imagename.Wishes(c.Page.Kind == site.Home, c.Page.Service, c.Page.Place, c.Services, c.Places, towns)
}
