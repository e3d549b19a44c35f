// Package wrapped finds where the links of a page lead (rule 6.6): to its own site, or out, to the
// address that they carry in another one, once or several times: in its query, its path, its
// fragment, plain, encoded or as base64.
package wrapped

import (
	"encoding/base64"
	"net/url"
	"regexp"
	"slices"
	"strings"

	"inktally/core/element"
	"inktally/core/lineup"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Links knows where the links of a page lead: to the page's own site, or out (rule 6.6).
type Links struct {
	base *url.URL
	own  map[string]bool // the registrable domains of the page's site
	// passing are hosts whose links carry addresses of several others: they only pass on.
	passing map[string]bool
}

// wrapped bounds how often an address is taken out of another one.
const wrapped = 6

// Target returns the real target of a link on another site, empty for one of the page's
// own and for what is no address. An address in an address is taken out, the innermost.
func (l Links) Target(href string) string {
	u := l.resolve(href)
	if u == nil {
		return ""
	}
	own := l.isOwn(u)
	for range wrapped {
		inner := innerTarget(u)
		if inner == nil || !own && !l.passing[u.Hostname()] && !passes(u.Path) {
			break
		}
		u, own = inner, l.isOwn(inner)
	}
	if target := clean(u); !own && Address(target) != nil {
		return target
	}
	return ""
}

// resolve returns a link's address as the page's own site has it, nil for what is none.
func (l Links) resolve(href string) *url.URL {
	href = strings.TrimSpace(href)
	u, err := url.Parse(href)
	if err != nil || href == "" || strings.HasPrefix(href, "#") {
		return nil
	}
	if l.base != nil {
		u = l.base.ResolveReference(u)
	}
	if u.Scheme == "" && u.Host != "" {
		u.Scheme = "https"
	}
	if u.Scheme != "" && u.Scheme != "http" && u.Scheme != "https" {
		return nil
	}
	return u
}

// isOwn reports whether an address is of the page's own site; one without a host is.
func (l Links) isOwn(u *url.URL) bool { return u.Host == "" || l.own[lineup.Domain(u.String())] }

// clean returns an address without what only follows a visitor, and without a mark of a text.
func clean(u *url.URL) string {
	out := *u
	if at := strings.Index(out.Fragment, ":~:"); at >= 0 {
		out.Fragment, out.RawFragment = out.Fragment[:at], ""
	}
	if out.RawQuery != "" {
		kept := slices.DeleteFunc(strings.Split(out.RawQuery, "&"), func(pair string) bool {
			name, _, _ := strings.Cut(strings.ToLower(pair), "=")
			return strings.HasPrefix(name, "utm_") || strings.HasSuffix(name, "clid")
		})
		out.RawQuery = strings.Join(kept, "&")
	}
	return out.String()
}

// innerTarget returns the address that another one carries: in its query, its fragment or its
// path, plain, encoded again or as base64; nil for none.
func innerTarget(u *url.URL) *url.URL {
	for _, form := range []string{u.RawQuery, u.Fragment, u.RawFragment} {
		values, _ := url.ParseQuery(strings.TrimPrefix(form, "!"))
		for _, name := range sortedKeys(values) {
			for _, v := range values[name] {
				if inner := addressIn(v); inner != nil {
					return inner
				}
			}
		}
	}
	for part := range strings.SplitSeq(u.EscapedPath(), "/") {
		if inner := addressIn(part); inner != nil {
			return inner
		}
	}
	// Some carry it as it stands: /go/https://shop.example/
	for _, scheme := range []string{"https:/", "http:/"} {
		if at := strings.Index(u.Path, "/"+scheme); at >= 0 {
			rest := strings.TrimLeft(u.Path[at+1+len(scheme):], "/")
			if u.RawQuery != "" {
				rest += "?" + u.RawQuery
			}
			return addressIn(scheme + "/" + rest)
		}
	}
	return nil
}

func sortedKeys(values url.Values) []string {
	keys := make([]string, 0, len(values))
	for k := range values {
		keys = append(keys, k)
	}
	slices.Sort(keys)
	return keys
}

// addressIn returns the address that a value is, after any decoding; nil for none.
func addressIn(v string) *url.URL {
	for range wrapped {
		for _, candidate := range []string{v, base64Text(v)} {
			if u := Address(candidate); u != nil {
				return u
			}
		}
		decoded, err := url.PathUnescape(v)
		if err != nil || decoded == v {
			return nil
		}
		v = decoded
	}
	return nil
}

// Address returns a text as an address of the web, nil for what is none.
func Address(s string) *url.URL {
	if strings.HasPrefix(s, "//") {
		s = "https:" + s
	}
	u, err := url.Parse(strings.TrimSpace(s))
	if err != nil || u.Scheme != "http" && u.Scheme != "https" || !strings.Contains(strings.Trim(u.Host, "."), ".") {
		return nil
	}
	return u
}

// passWords are what the last part of a path says that only passes on.
var passWords = map[string]bool{"go": true, "click": true, "redirect": true, "redir": true, "out": true, "away": true,
	"link": true, "url": true, "track": true, "visit": true, "jump": true, "leave": true, "exit": true, "goto": true}

// passes reports whether a path only passes on: go, click, redirect, or a letter or two.
func passes(path string) bool {
	path = strings.Trim(path, "/")
	last := strings.ToLower(path[strings.LastIndex(path, "/")+1:])
	last, _, _ = strings.Cut(last, ".")
	return passWords[last] || last != "" && len(last) <= 2
}

// base64Text returns the address that is written as base64, empty for none.
func base64Text(v string) string {
	if len(v) < 12 {
		return ""
	}
	v = strings.TrimRight(v, "=")
	for _, enc := range []*base64.Encoding{base64.RawURLEncoding, base64.RawStdEncoding} {
		if out, err := enc.DecodeString(v); err == nil && strings.HasPrefix(string(out), "http") {
			return string(out)
		}
	}
	return ""
}

// quoted is an address between quotes, as a script has it.
var quoted = regexp.MustCompile(`['"]((?:https?:)?/[^'"\s]+)['"]`)

// picture are keys and endings of what is drawn and leads nowhere.
var picture = regexp.MustCompile(
	`(?i)src|img|image|icon|thumb|poster|bg|\.(?:png|jpe?g|gif|svg|webp|avif|ico|css|js)(?:\?|$)`)

// Acting returns where an element leads that acts as a link: by its address, else by another
// attribute. A link of the page's own has no target; it is not ok for what is no link.
func (l Links) Acting(n *html.Node) (target string, ok bool) {
	switch n.DataAtom {
	case atom.Body, atom.Html, atom.Form, atom.Img, atom.Link, atom.Base, atom.Main, atom.Input:
		return "", false
	}
	href := strings.TrimSpace(element.Attr(n, "href"))
	if n.DataAtom == atom.A || n.DataAtom == atom.Area {
		if ok = href != ""; ok {
			if target = l.Target(href); target != "" {
				return target, true
			}
		}
	}
	role := element.Attr(n, "role") == "link"
	for _, a := range n.Attr {
		if held := addressOf(a, role); held != "" {
			if target = l.Target(held); target != "" {
				return target, true
			}
		}
	}
	return "", ok || role
}

// addressOf returns the address that an attribute may hold of an element, role of one that acts as a link;
// empty for none.
func addressOf(a html.Attribute, role bool) string {
	named := strings.HasPrefix(a.Key, "data-") || a.Key == "target" || a.Key == "to" || a.Key == "href" ||
		a.Key == "url" || a.Key == "onclick"
	if !named && !role || picture.MatchString(a.Key) || picture.MatchString(a.Val) {
		return ""
	}
	held := a.Val
	if m := quoted.FindStringSubmatch(held); m != nil {
		held = m[1]
	}
	if !strings.HasPrefix(held, "/") && Address(held) == nil {
		return ""
	}
	return held
}
