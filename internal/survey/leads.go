package survey

import (
	"inktally/core/page"
	"inktally/core/site"
)

// leadsOn makes known where a page leads by itself, and reports whether it does: such a one is no page.
func (c *crawler) leadsOn(t *target, at string, p *page.Page) bool {
	refresh := p.Details().Refresh
	if refresh == "" {
		return false
	}
	to := resolved(at, refresh)
	next := c.add(to, "", t.menu, "")
	if next == nil || next == t {
		return false
	}
	c.mu.Lock()
	defer c.mu.Unlock()
	key := site.BareAddress(at)
	c.leads[key], t.final = site.BareAddress(to), key
	if !next.waits && !next.asked {
		c.enqueue(next, t.menu)
	}
	return true
}

// mostLeads bounds how often a page is followed that leads on.
const mostLeads = 5

// led returns the page that an address leads to in the end, both bare.
func (c *crawler) led(key string) string {
	for range mostLeads {
		to, ok := c.leads[key]
		if !ok {
			break
		}
		key = to
		if t := c.known[key]; t != nil && t.final != "" {
			key = t.final
		}
	}
	return key
}
