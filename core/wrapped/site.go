package wrapped

import (
	"net/url"
	"regexp"
	"slices"
	"strings"

	"inktally/core/element"
	"inktally/core/entry"
	"inktally/core/lineup"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// savedFrom is what a browser writes over a page that it saves.
var savedFrom = regexp.MustCompile(`saved from url=\(\d+\)\s*(\S+)`)

// ownSite gathers what a page says of its own address, and where its links lead.
type ownSite struct {
	spoken []string // addresses that the page gives for itself, the surest first
	forms  []string // where its forms lead
	hrefs  []string
	title  string
	first  []string // the texts of its first links
	nodes  int
}

// maxNodes and maxDepth bound how much of a page is gone through for its own address.
const (
	maxNodes = 400_000
	maxDepth = 400
)

// gather goes through a page.
func (o *ownSite) gather(n *html.Node, depth int) {
	if o.nodes++; o.nodes > maxNodes || depth > maxDepth {
		return
	}
	switch {
	case n.Type == html.CommentNode:
		if m := savedFrom.FindStringSubmatch(n.Data); m != nil {
			o.spoken = append(o.spoken, m[1])
		}
	case n.Type != html.ElementNode:
	case n.DataAtom == atom.Base, n.DataAtom == atom.Link && strings.EqualFold(element.Attr(n, "rel"), "canonical"):
		o.spoken = append(o.spoken, element.Attr(n, "href"))
	case n.DataAtom == atom.Meta && element.Attr(n, "property") == "og:url":
		o.spoken = append(o.spoken, element.Attr(n, "content"))
	case n.DataAtom == atom.Form:
		o.forms = append(o.forms, element.Attr(n, "action"))
	case n.DataAtom == atom.Title && o.title == "":
		o.title = TextOf(n)
	case n.DataAtom == atom.A:
		if o.hrefs = append(o.hrefs, element.Attr(n, "href")); len(o.hrefs) <= 3 {
			o.first = append(o.first, TextOf(n))
		}
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		o.gather(c, depth+1)
	}
}

// Of finds the address and the site of a page: as it was told, as the page says itself,
// as its form has it; else the host that most links lead to, if the page is named like it or
// these links carry other addresses (rule 6.6).
func Of(doc *html.Node, address string) Links {
	var o ownSite
	o.gather(doc, 0)
	l := Links{own: map[string]bool{}, passing: map[string]bool{}}
	for _, spoken := range append(append([]string{address}, o.spoken...), o.forms...) {
		if u := Address(spoken); u != nil {
			l.own[lineup.Domain(u.String())] = true
			if l.base == nil {
				l.base = u
			}
		}
	}
	o.count(&l)
	return l
}

// count finds the hosts that pass on, and the page's own where it does not say so.
func (o *ownSite) count(l *Links) {
	counts, inner := map[string]int{}, map[string]map[string]bool{}
	for _, href := range o.hrefs {
		u := Address(href)
		if u == nil {
			continue
		}
		counts[lineup.Domain(u.String())]++
		if to := innerTarget(u); to != nil {
			if inner[u.Hostname()] == nil {
				inner[u.Hostname()] = map[string]bool{}
			}
			inner[u.Hostname()][lineup.Domain(to.String())] = true
		}
	}
	wraps := map[string]bool{}
	for host, domains := range inner {
		if len(domains) > 1 {
			l.passing[host] = true
			wraps[lineup.Domain("https://"+host)] = true
		}
	}
	if len(l.own) > 0 {
		return
	}
	names, best := o.names(), ""
	if slices.ContainsFunc(o.hrefs, func(href string) bool { return strings.HasPrefix(href, "/") }) {
		names = nil // its own links have no host: what has one leads out
	}
	for domain, n := range counts {
		name, _, _ := strings.Cut(domain, ".")
		like := wraps[domain] || names[strings.ReplaceAll(name, "-", "")]
		if like && n > 1 && (best == "" || n > counts[best] || n == counts[best] && domain < best) {
			best = domain
		}
	}
	if best != "" {
		l.own[best] = true
		l.base = &url.URL{Scheme: "https", Host: best, Path: "/"}
	}
}

// titleParts are what parts the name of a site from the rest of a title.
var titleParts = regexp.MustCompile(`\s[-–—|·»]\s|:\s|\s:\s`)

// names returns what the page's site may be called: a part of one or two words of its title, the
// text of one of its first links, or their first words.
func (o *ownSite) names() map[string]bool {
	out := map[string]bool{}
	for _, part := range append(titleParts.Split(o.title, -1), o.first...) {
		if words := strings.Fields(entry.Fold(part)); len(words) > 0 && len(words) <= 2 {
			out[words[0]], out[strings.Join(words, "")] = true, true
		}
	}
	return out
}

// TextOf returns all text below a node.
func TextOf(n *html.Node) string {
	if n.Type == html.TextNode {
		return n.Data
	}
	var b strings.Builder
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		b.WriteString(TextOf(c))
		b.WriteByte(' ')
	}
	return b.String()
}
