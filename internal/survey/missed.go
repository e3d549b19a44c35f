package survey

import (
	"net/http"
	"slices"
	"strings"

	"inktally/core/site"
)

// mostMissed bounds how many pages are told that were not read.
const mostMissed = 100

// missed returns the pages of the site that are known and were not read, by address. What is not there is
// none of them.
func (c *crawler) missed() []site.Missed {
	var out []site.Missed
	for _, t := range c.known {
		one := site.Missed{URL: t.address, Status: t.status}
		switch {
		case t.refused:
			one.Reason = site.Refused
		case t.failed && !t.soft && t.status != http.StatusNotFound && t.status != http.StatusGone:
			one.Reason = site.Failed
		case t.waits && !t.asked:
			one.Reason = site.LeftOut
		default:
			continue
		}
		out = append(out, one)
	}
	slices.SortFunc(out, func(a, b site.Missed) int { return strings.Compare(a.URL, b.URL) })
	return out[:min(len(out), mostMissed)]
}
