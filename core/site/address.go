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

// PageAddress returns an address without what makes no page of its own: its fragment, its
// user and the parameters that only follow a visitor or sort. It is not ok for what a survey takes for no
// page (rule 11): searches, calendars, print views, files, paths that go in circles.
func PageAddress(u *url.URL) (string, bool) {
	web := u.Scheme == "http" || u.Scheme == "https"
	query, ok := pageQuery(u.RawQuery)
	if !web || !ok || len(u.Path) > 300 || strings.Count(u.Path, "/") > 12 ||
		notPages.MatchString(u.Path) || files.MatchString(u.Path) || repeats(u.Path) {
		return "", false
	}
	page := url.URL{Scheme: u.Scheme, Host: u.Host, Path: path.Clean("/" + u.Path), RawQuery: query}
	if strings.HasSuffix(u.Path, "/") && page.Path != "/" {
		page.Path += "/"
	}
	return page.String(), true
}

// Parameters of an address: those that only follow a visitor, sort or print are dropped; one of those that
// search or page through something is no page.
var (
	droppedParameter = regexp.MustCompile(
		`(?i)^(utm_\w+|\w*clid|gad_\w+|_g[al]|mc_\w+|fb_\w+|ref|referrer|source|src|campaign|trk|track\w*|aff\w*|s?sid|sess\w*|phpsessid|jsessionid|token|nonce|sort\w*|order\w*|dir|print\w*|format|view_?mode|theme|fontsize|v|ver|rnd|t|ts|nocache|highlight|from)$`)
	trapParameter = regexp.MustCompile(
		`(?i)^(q|s|query|search\w*|keyword\w*|date|day|week|month|year|cal\w*|replyto\w*|add-to-cart|action|do|share|filter\w*|min\w*|max\w*|offset|start|limit|per_?page|paged|redirect\w*|return\w*|url|login|preview|attachment_id|feed|amp|download)$`)
)

// What picks a page is short, and there is little of it.
const (
	pickLetters = 40
	mostPicks   = 3
)

// pageQuery returns the parameters of a query that pick a page, in the order of their names. It is not ok
// for one that leads into a search, a calendar or the like.
func pageQuery(raw string) (string, bool) {
	if raw == "" {
		return "", true
	}
	values, err := url.ParseQuery(raw)
	if err != nil {
		return "", false
	}
	for name, list := range values {
		switch {
		case droppedParameter.MatchString(name):
			delete(values, name)
		case trapParameter.MatchString(name) || len(list) > 1 || len(list[0]) > pickLetters:
			return "", false
		case list[0] == "" && strings.Trim(name, "0123456789") == "":
			delete(values, name) // a stamp against caches
		}
	}
	return values.Encode(), len(values) <= mostPicks
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
	bare := BareHost(u.Host) + strings.TrimSuffix(u.EscapedPath(), "/")
	if query, _ := pageQuery(u.RawQuery); query != "" {
		bare += "?" + query
	}
	return bare
}

// BareHost returns a host without www.
func BareHost(host string) string { return strings.TrimPrefix(strings.ToLower(host), "www.") }

// PathOf returns the path of an address with what is asked for, as a person names a page of a site: /masonry/.
func PathOf(address string) string {
	u, err := url.Parse(address)
	if err != nil || u.RequestURI() == "" {
		return address
	}
	return u.RequestURI()
}
