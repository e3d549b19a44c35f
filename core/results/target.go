package results

import (
	"encoding/base64"
	"net/url"
	"strings"

	"inktally/core/lineup"
)

// links knows where the links of a page lead: to the page's own site, or out.
type links struct {
	base *url.URL
	own  string // the registrable domain of the page's site, empty if it is not known
}

// target returns the real target of a link on another site, empty for one of the page's
// own and for what is no address. A link that redirects names it in its query.
func (l links) target(href string) string {
	href = strings.TrimSpace(href)
	u, err := url.Parse(href)
	if err != nil || href == "" || strings.HasPrefix(href, "#") {
		return ""
	}
	relative := !u.IsAbs() && u.Host == ""
	if l.base != nil {
		u = l.base.ResolveReference(u)
	}
	web := u.Scheme == "http" || u.Scheme == "https" || u.Scheme == "" && u.Host != ""
	if !web && !relative {
		return ""
	}
	own := relative || l.own != "" && lineup.Domain(u.String()) == l.own
	if inner := innerTarget(u, own); inner != "" {
		return inner
	}
	if own || u.Host == "" {
		return ""
	}
	if u.Scheme == "" {
		u.Scheme = "https"
	}
	return u.String()
}

// innerTarget returns the address that a link carries in its query, plain or as base64.
// One of a site of its own is taken only where the link does nothing else.
func innerTarget(u *url.URL, own bool) string {
	query := u.Query()
	for _, values := range query {
		for _, v := range values {
			for _, candidate := range []string{v, decoded(v)} {
				inner, err := url.Parse(candidate)
				if err != nil || inner.Host == "" || inner.Scheme != "http" && inner.Scheme != "https" ||
					!strings.Contains(inner.Host, ".") {
					continue
				}
				if own || passes(u.Path) {
					return candidate
				}
			}
		}
	}
	if !own {
		return ""
	}
	// Some carry it in the path: /go/https://shop.example/
	for _, scheme := range []string{"https:/", "http:/"} {
		if at := strings.Index(u.Path, "/"+scheme); at >= 0 {
			rest := strings.TrimLeft(u.Path[at+1+len(scheme):], "/")
			if strings.Contains(rest, ".") {
				return scheme + "/" + rest
			}
		}
	}
	return ""
}

// passes reports whether a path only passes on: go, click, redirect.
func passes(path string) bool {
	last := strings.ToLower(strings.Trim(path[strings.LastIndex(path, "/")+1:], "/"))
	for _, word := range []string{"go", "click", "redirect", "redir", "out", "away", "link", "url", "track", "visit",
		"r"} {
		if last == word {
			return true
		}
	}
	return false
}

// decoded returns an address that is written as base64, empty for none.
func decoded(v string) string {
	if len(v) < 12 {
		return ""
	}
	for _, enc := range []*base64.Encoding{base64.RawURLEncoding, base64.RawStdEncoding} {
		if out, err := enc.DecodeString(strings.TrimRight(v, "=")); err == nil &&
			strings.HasPrefix(string(out), "http") {
			return string(out)
		}
	}
	return ""
}
