package results

import (
	"bytes"
	"net/url"
	"slices"
	"strings"

	"inktally/core/element"
	"inktally/core/lineup"
	"inktally/core/page"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// fromHTML reads a page of tags.
func fromHTML(body []byte, address string) Results {
	doc, err := html.Parse(bytes.NewReader(body))
	if err != nil {
		return Results{}
	}
	r := &reader{}
	r.walk(doc, nil, false)
	s := &scan{units: r.units, found: map[*html.Node]*below{}, out: map[*html.Node]string{}}
	s.links = linksOf(doc, r, address)
	for _, a := range r.links {
		if target := s.links.target(element.Attr(a, "href")); target != "" {
			s.out[a] = target
		}
	}
	s.measure()
	p := s.read()
	p.Language = page.Read(body, page.Source{ContentType: "text/html; charset=utf-8"}).Lang
	return p
}

// linksOf finds the address and the site of a page: as it says itself, else by a link
// near its beginning that is named like the site that it leads to.
func linksOf(doc *html.Node, r *reader, address string) links {
	spoken := address
	var find func(n *html.Node, depth int)
	find = func(n *html.Node, depth int) {
		if depth > 6 {
			return
		}
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			switch {
			case c.Type != html.ElementNode:
			case c.DataAtom == atom.Base && element.Attr(c, "href") != "":
				spoken = element.Attr(c, "href")
			case c.DataAtom == atom.Link && strings.EqualFold(element.Attr(c, "rel"), "canonical") && spoken == "":
				spoken = element.Attr(c, "href")
			case c.DataAtom == atom.Meta && element.Attr(c, "property") == "og:url" && spoken == "":
				spoken = element.Attr(c, "content")
			}
			find(c, depth+1)
		}
	}
	find(doc, 0)
	var l links
	if u, err := url.Parse(spoken); err == nil && u.Host != "" {
		l.base, l.own = u, lineup.Domain(spoken)
		return l
	}
	counts := map[string]int{}
	for _, a := range r.links {
		counts[lineup.Domain(element.Attr(a, "href"))]++
	}
	for _, a := range r.links[:min(len(r.links), 3)] {
		domain := lineup.Domain(element.Attr(a, "href"))
		name, _, _ := strings.Cut(domain, ".")
		if domain != "" && counts[domain] > 1 && strings.ReplaceAll(fold(textOf(a)), " ", "") == name {
			l.own = domain
			if u, err := url.Parse(element.Attr(a, "href")); err == nil {
				l.base = u
			}
			return l
		}
	}
	return l
}

func textOf(n *html.Node) string {
	if n.Type == html.TextNode {
		return n.Data
	}
	var b strings.Builder
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		b.WriteString(textOf(c))
		b.WriteByte(' ')
	}
	return b.String()
}

// below is what stands below an element, as far as it sets one entry apart from several.
type below struct {
	domains, phones, titles []string // two at most
	ratings                 int
	lo, hi                  int // of the units
}

func add(list []string, more ...string) []string {
	for _, m := range more {
		if len(list) < 2 && !slices.Contains(list, m) {
			list = append(list, m)
		}
	}
	return list
}

// one reports whether an element holds one entry at most.
func (b *below) one() bool {
	return len(b.domains) < 2 && len(b.phones) < 2 && len(b.titles) < 2 && b.ratings < 2
}

// scan looks for entries among the units of a page.
type scan struct {
	units []unit
	links links
	out   map[*html.Node]string // links that lead out, with their targets
	found map[*html.Node]*below
}

// measure returns for each element what stands below it, by its units.
func (s *scan) measure() {
	ratedAt := map[*html.Node]bool{}
	for i := range s.units {
		u := &s.units[i]
		var b below
		if u.link != nil {
			if target := s.out[u.link]; target != "" {
				b.domains = []string{lineup.Domain(target)}
				if u.heading {
					b.titles = []string{target}
				}
			}
		}
		if phone := phoneOf(u.text); phone != "" {
			b.phones = []string{digitsOf(phone)}
		}
		if isRating(u.text) && !ratedNear(u.node, ratedAt) {
			b.ratings = 1
			ratedAt[u.node] = true
		}
		for n := u.node; n != nil; n = n.Parent {
			at := s.found[n]
			if at == nil {
				at = &below{lo: i}
				s.found[n] = at
			}
			at.hi = i + 1
			at.domains, at.phones, at.titles = add(at.domains, b.domains...), add(at.phones, b.phones...),
				add(at.titles, b.titles...)
			at.ratings += b.ratings
		}
	}
}

// ratedNear reports whether a rating stands in, around or right beside another one: its
// label, its stars.
func ratedNear(n *html.Node, had map[*html.Node]bool) bool {
	for up, k := n, 0; up != nil && k < 3; up, k = up.Parent, k+1 {
		if had[up] {
			return true
		}
		for c := up.FirstChild; c != nil && k < 2; c = c.NextSibling {
			if had[c] {
				return true
			}
		}
	}
	return false
}

func digitsOf(s string) string {
	return strings.Map(func(r rune) rune {
		if r < '0' || r > '9' {
			return -1
		}
		return r
	}, s)
}

// root returns the largest element around a node that holds one entry.
func (s *scan) root(n *html.Node) *html.Node {
	for n.Parent != nil && n.Parent.DataAtom != atom.Body && n.Parent.DataAtom != atom.Html &&
		n.Parent.Type != html.DocumentNode {
		up := s.found[n.Parent]
		if up == nil || !up.one() {
			break
		}
		n = n.Parent
	}
	return n
}
