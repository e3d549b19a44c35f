package results

import (
	"strings"
	"unicode/utf8"

	"inktally/core/element"
	"inktally/core/entry"
	"inktally/core/text"
	"inktally/core/wrapped"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// unit is a text that belongs together: that of the smallest element with text of
// its own, parted at line breaks.
type unit struct {
	text string
	node *html.Node
	// link is the link that it stands in, nil for none; heading reports whether it is, or
	// stands in, a heading.
	link    *html.Node
	heading bool
	// linked is the text of a link that is only a part of it, empty where it is all of it.
	linked string
	// labeled reports whether a text is not shown: a label for those who cannot see.
	labeled bool
}

// name is what a unit calls what its link leads to: the text of the link, where that is a part.
func (u unit) name() string {
	if u.linked != "" {
		return u.linked
	}
	return u.text
}

// inProse reports whether the link of a unit is a few words in a text.
func (u unit) inProse() bool {
	return u.linked != "" && !strings.HasPrefix(u.text, u.linked) && !entry.IsGeneric(u.linked) &&
		entry.DomainOf(u.linked) == "" &&
		2*utf8.RuneCountInString(u.linked) < utf8.RuneCountInString(u.text)
}

// address returns the domain of the address that a unit shows, beside a link in it too; empty for
// none.
func (u unit) address() string {
	if d := entry.DomainOf(u.text); d != "" || u.linked == "" {
		return d
	}
	return entry.DomainOf(strings.TrimSpace(strings.TrimSuffix(u.text, u.linked)))
}

// reader gathers the units of a page in order.
type reader struct {
	units []unit
	links wrapped.Links
	out   map[*html.Node]string // what acts as a link, with where it leads: empty for the page's own
	depth int
}

// maxDepth and maxUnits bound what is looked at of a page.
const (
	maxDepth = 400
	maxUnits = 60_000
)

// never are elements that hold no text of the page.
var never = map[atom.Atom]bool{atom.Script: true, atom.Style: true, atom.Noscript: true,
	atom.Head: true, atom.Svg: true,
	atom.Select: true, atom.Textarea: true, atom.Option: true, atom.Iframe: true, atom.Object: true, atom.Canvas: true,
	atom.Button: false}

// breaking are elements that stand on lines of their own.
var breaking = map[atom.Atom]bool{atom.P: true, atom.Div: true, atom.Li: true, atom.Ul: true, atom.Ol: true,
	atom.Dl: true, atom.Dt: true, atom.Dd: true,
	atom.Table: true, atom.Tr: true, atom.Td: true, atom.Th: true, atom.Tbody: true, atom.H1: true, atom.H2: true,
	atom.H3: true, atom.H4: true,
	atom.H5: true, atom.H6: true, atom.Section: true, atom.Article: true, atom.Header: true, atom.Footer: true,
	atom.Main: true, atom.Nav: true,
	atom.Aside: true, atom.Form: true, atom.Hr: true, atom.Br: true, atom.Pre: true, atom.Blockquote: true,
	atom.Figure: true}

func hidden(n *html.Node) bool {
	for _, a := range n.Attr {
		switch {
		case a.Key == "hidden":
			return true
		case a.Key == "style":
			style := strings.ReplaceAll(strings.ToLower(a.Val), " ", "")
			if strings.Contains(style, "display:none") || strings.Contains(style, "visibility:hidden") {
				return true
			}
		}
	}
	return false
}

func isHeading(n *html.Node) bool {
	switch n.DataAtom {
	case atom.H1, atom.H2, atom.H3, atom.H4, atom.H5, atom.H6:
		return true
	}
	return element.Attr(n, "role") == "heading"
}

// skipped reports whether an element holds nothing that stands on the page: a box that is
// folded, and a copy of links for the eye alone. A root that was drawn in does.
func skipped(n *html.Node) bool {
	if n.DataAtom == atom.Template {
		return element.Attr(n, "shadowrootmode") == ""
	}
	return never[n.DataAtom] || hidden(n) || n.DataAtom == atom.Details ||
		(element.Attr(n, "aria-hidden") == "true" || n.DataAtom == atom.Sup) && holdsLink(n)
}

func holdsLink(n *html.Node) bool {
	if n.DataAtom == atom.A {
		return true
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if holdsLink(c) {
			return true
		}
	}
	return false
}

// inner returns the link that the content of an element stands in: the element, where it acts
// as one, but for one of the page's own in one that leads out.
func (r *reader) inner(n, link *html.Node) *html.Node {
	target, acts := r.links.Acting(n)
	if !acts || target == "" && link != nil && r.out[link] != "" {
		return link
	}
	r.out[n] = target
	return n
}

// walk gathers the units below an element, within a link and a heading.
func (r *reader) walk(n *html.Node, link *html.Node, heading bool) {
	if r.depth++; r.depth > maxDepth || len(r.units) > maxUnits {
		r.depth--
		return
	}
	defer func() { r.depth-- }()
	if n.Type == html.ElementNode {
		if skipped(n) {
			return
		}
		link = r.inner(n, link)
		heading = heading || isHeading(n)
		if label := labelOf(n); label != "" {
			r.units = append(r.units, unit{text: text.Collapse(label), node: n, link: link, labeled: true})
		}
	}
	r.children(n, link, heading)
}

// labelOf returns what an element is called for those who cannot see it, where that tells
// something of an entry; empty for nothing.
func labelOf(n *html.Node) string {
	label := element.Attr(n, "aria-label")
	if n.DataAtom == atom.A || len(label) >= 120 {
		label = ""
	}
	if alt := element.Attr(n, "alt"); label == "" && n.DataAtom == atom.Img && entry.IsAdLabel(alt) {
		label = alt
	}
	return label
}

// children gathers the units in an element: of what stands between line breaks one with text
// of its own is a unit.
func (r *reader) children(n, link *html.Node, heading bool) {
	for c := n.FirstChild; c != nil; {
		if breaks(c) {
			r.walk(c, link, heading)
			c = c.NextSibling
			continue
		}
		start, own := c, false
		for c != nil && !breaks(c) {
			own = own || c.Type == html.TextNode && entry.HasWord(c.Data)
			c = c.NextSibling
		}
		if own {
			r.run(start, c, n, link, heading)
			continue
		}
		for k := start; k != c; k = k.NextSibling {
			if k.Type == html.ElementNode {
				r.walk(k, link, heading)
			}
		}
	}
}

// run makes one unit of nodes that stand on one line.
func (r *reader) run(from, to, parent, link *html.Node, heading bool) {
	var b strings.Builder
	u := unit{node: parent, link: link, heading: heading}
	for k := from; k != to; k = k.NextSibling {
		r.collect(k, &b, &u)
	}
	if u.text = text.Collapse(b.String()); u.linked == u.text {
		u.linked = ""
	}
	if u.text != "" {
		r.units = append(r.units, u)
	}
}

// collect adds the text of a node; the links in it are links of the page too.
func (r *reader) collect(n *html.Node, b *strings.Builder, u *unit) {
	switch {
	case n.Type == html.TextNode:
		b.WriteString(n.Data)
	case n.Type != html.ElementNode || skipped(n):
	default:
		if link := r.inner(n, u.link); link != u.link && (u.link == nil || r.out[u.link] == "") && u.linked == "" {
			u.link, u.linked = link, text.Collapse(wrapped.TextOf(n))
		}
		u.heading = u.heading || isHeading(n)
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			r.collect(c, b, u)
		}
	}
}

// breaks reports whether a node ends a line, or holds something that does.
func breaks(n *html.Node) bool {
	if n.Type != html.ElementNode {
		return false
	}
	if breaking[n.DataAtom] || strings.Contains(n.Data, "-") {
		return true
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if breaks(c) {
			return true
		}
	}
	return false
}
