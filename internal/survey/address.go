package survey

import (
	"net/url"
	"strconv"
	"strings"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/site"
)

// pageAddress returns the address of a page of the site. It is not ok for what is none, or of
// another site.
func (c *crawler) pageAddress(address string) (string, bool) {
	u, err := url.Parse(strings.TrimSpace(address))
	if err != nil || lineup.Domain(address) != c.domain {
		return "", false
	}
	if !sameHost(u.Hostname(), c.domain) && !sameHost(u.Hostname(), c.host) {
		return "", false // a shop or a blog on a host of its own is another site
	}
	return site.PageAddress(u)
}

// sameHost reports whether a host is another one with www or without.
func sameHost(host, other string) bool {
	return other != "" && site.BareHost(host) == site.BareHost(other)
}

func resolved(base, ref string) string {
	b, err := url.Parse(base)
	if err != nil {
		return ref
	}
	r, err := b.Parse(strings.TrimSpace(ref))
	if err != nil {
		return ref
	}
	return r.String()
}

// statusOf returns the status that a site answered with.
func statusOf(f *fault.Fault) int {
	n, _ := strconv.Atoi(f.Params["status"])
	return n
}

func hostOf(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return ""
	}
	return u.Hostname()
}
