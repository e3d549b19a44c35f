package survey

import (
	"context"
	"slices"
	"strings"

	"inktally/core/page"
	"inktally/core/site"
)

// link makes known what a page links to.
func (c *crawler) link(ctx context.Context, p *page.Page, from string) {
	links := p.LinkList()
	for i, l := range links[:min(len(links), mostLinks)] {
		if i%1000 == 0 && ctx.Err() != nil {
			return
		}
		if !l.Away {
			c.add(l.Address, l.Text, l.Region == page.Nav || l.Region == page.Banner, from)
		}
	}
}

// add makes an address of the site known, with the text of a link to it. It is nil for
// what is no page of the site.
func (c *crawler) add(address, label string, menu bool, from string) *target {
	if len(address) > longestURL {
		return nil
	}
	clean, ok := c.pageAddress(address)
	if !ok {
		return nil
	}
	label = cut(label)
	key := site.BareAddress(clean)
	c.mu.Lock()
	defer c.mu.Unlock()
	t := c.known[key]
	if t == nil && len(c.known) >= mostKnown {
		return nil
	}
	if t == nil {
		t = &target{address: strings.Clone(clean)}
		key = strings.Clone(key) // no part of a page's text
		c.known[key] = t
		if len(c.found) > 0 || from != "" {
			c.enqueue(t, menu)
		}
	}
	if list := map[bool]*[]string{true: &t.named, false: &t.labels}[menu]; label != "" &&
		!slices.Contains(*list, label) && len(*list) < mostLabels {
		*list = append(*list, strings.Clone(label))
	}
	t.menu = t.menu || menu
	if from != "" && from != key && !slices.Contains(t.from, from) {
		t.from = append(t.from, from)
	}
	return t
}

// enqueue puts what menus name before what texts do.
func (c *crawler) enqueue(t *target, menu bool) {
	t.waits, t.menu = true, t.menu || menu
	if menu {
		c.menus = append(c.menus, t)
	} else {
		c.texts = append(c.texts, t)
	}
}

// next takes what is to be visited next, nil where nothing is; the lock is held.
func (c *crawler) next() *target {
	queue := &c.menus
	if len(*queue) == 0 {
		queue = &c.texts
	}
	if len(*queue) == 0 {
		return nil
	}
	t := (*queue)[0]
	*queue = (*queue)[1:]
	t.waits = false
	return t
}

// waiting returns how many are to be visited; the lock is held.
func (c *crawler) waiting() int { return len(c.menus) + len(c.texts) }

// cut cuts the text of a link to what is kept of it.
func cut(label string) string {
	if len(label) > longestText {
		return strings.ToValidUTF8(label[:longestText], "")
	}
	return label
}
