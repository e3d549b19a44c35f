package site

import (
	"net/url"
	"path"
	"regexp"
	"strings"
)

// notPages are paths that hold no page of their own: what a program lists, prints, or
// feeds to others, and calendars without an end.
var notPages = regexp.MustCompile(
	`(?i)/(print|printable|feed|rss|tag|tags|category|categories|author|archive|archives|page/\d+|calendar|wp-[a-z]+|cdn-cgi|cart|checkout|login|search)(/|$)` +
		`|/\d{4}/\d{1,2}(/\d{1,2})?/?$|/\d{4}-\d{2}(-\d{2})?/?$|;[a-z]*sessionid=|/(amp|embed)/?$|/print(able)?\.\w{2,5}$`)

// files are extensions of what is no page.
var files = regexp.MustCompile(
	`(?i)\.(jpe?g|png|gif|webp|avif|svg|ico|pdf|docx?|xlsx?|zip|gz|mp[34]|webm|mov|css|js|json|xml|txt|woff2?|ttf|ics|vcf)$`)

// PageAddress returns an address without what makes no page of its own: its fragment and its
// user. It is not ok for what a survey takes for no page (rule 11): query strings, sessions,
// calendars, print views, files, paths that go in circles.
func PageAddress(u *url.URL) (string, bool) {
	web := u.Scheme == "http" || u.Scheme == "https"
	if !web || u.RawQuery != "" || len(u.Path) > 300 || strings.Count(u.Path, "/") > 12 ||
		notPages.MatchString(u.Path) || files.MatchString(u.Path) || repeats(u.Path) {
		return "", false
	}
	page := url.URL{Scheme: u.Scheme, Host: u.Host, Path: path.Clean("/" + u.Path)}
	if strings.HasSuffix(u.Path, "/") && page.Path != "/" {
		page.Path += "/"
	}
	return page.String(), true
}

// repeats reports whether a path goes in circles: /a/b/a/b/a/b.
func repeats(p string) bool {
	seen := map[string]int{}
	for part := range strings.SplitSeq(p, "/") {
		if part != "" {
			if seen[part]++; seen[part] > 2 {
				return true
			}
		}
	}
	return false
}

// SameAddress reports whether two addresses are those of one page: with www or without, by http or https, with a
// slash at the end or none.
func SameAddress(a, b string) bool { return a != "" && b != "" && BareAddress(a) == BareAddress(b) }

// BareAddress returns the same for all ways to write the address of one page.
func BareAddress(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return address
	}
	return BareHost(u.Host) + strings.TrimSuffix(u.EscapedPath(), "/")
}

// BareHost returns a host without www.
func BareHost(host string) string { return strings.TrimPrefix(strings.ToLower(host), "www.") }
