// Package linked finds the style sheets that a page asks for, in the order in which they
// count (rule 1.2), and makes the addresses in a page absolute.
//
// In go the tree of a page, its address and the texts of the sheets that were brought; out
// come addresses, and the cascade of its sheets.
package linked

import (
	"net/url"
	"strings"

	"inktally/core/element"
	"inktally/core/style"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Resolve returns an absolute address; it works on paths of files as well.
func Resolve(base, ref string) string {
	r, err := url.Parse(strings.TrimSpace(ref))
	if err != nil {
		return ref
	}
	b, err := url.Parse(base)
	if err != nil {
		return ref
	}
	r.Fragment = ""
	return b.ResolveReference(r).String()
}

// Base returns what the addresses in a page are relative to: its own address, or what it
// says instead.
func Base(doc *html.Node, address string) string {
	base := address
	var find func(n *html.Node) bool
	find = func(n *html.Node) bool {
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			if c.Type != html.ElementNode {
				continue
			}
			if c.DataAtom == atom.Base && element.Attr(c, "href") != "" {
				base = Resolve(base, element.Attr(c, "href"))
				return true
			}
			if (c.DataAtom == atom.Html || c.DataAtom == atom.Head) && find(c) {
				return true
			}
		}
		return false
	}
	find(doc)
	return base
}

// Sheets returns the addresses of the style sheets that a page asks for, in their order:
// linked ones that count on the screen, and those that its style elements import.
func Sheets(doc *html.Node, address string) []string {
	var out []string
	base := Base(doc, address)
	eachStyle(doc, func(n *html.Node) {
		if n.DataAtom == atom.Link {
			if at := Resolve(base, element.Attr(n, "href")); !strings.HasPrefix(at, "data:") {
				out = append(out, at)
			}
			return
		}
		for _, i := range style.Parse(n.FirstChild.Data).Imports() {
			out = append(out, Resolve(base, i.Address))
		}
	})
	return out
}

// Imports returns the addresses of the sheets that a style sheet imports.
func Imports(source, address string) []string {
	if !strings.Contains(strings.ToLower(source), "@import") {
		return nil
	}
	var out []string
	for _, i := range style.Parse(source).Imports() {
		out = append(out, Resolve(address, i.Address))
	}
	return out
}

// eachStyle calls f with every style and link element that counts on the
// screen, in document order.
func eachStyle(n *html.Node, f func(*html.Node)) {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type != html.ElementNode || c.DataAtom == atom.Noscript || c.DataAtom == atom.Template {
			continue
		}
		switch {
		case c.DataAtom == atom.Style:
			if c.FirstChild != nil && style.MediaMatches(element.Attr(c, "media")) && cssType(element.Attr(c, "type")) {
				f(c)
			}
			continue
		case c.DataAtom == atom.Link:
			if isSheet(c) {
				f(c)
			}
			continue
		}
		eachStyle(c, f)
	}
}

// isSheet reports whether a link to a style sheet counts: alternate, disabled and
// preloaded ones do not.
func isSheet(n *html.Node) bool {
	rel, disabled := "", false
	for i := range n.Attr {
		switch n.Attr[i].Key {
		case "rel":
			rel = " " + strings.ToLower(strings.Join(strings.Fields(n.Attr[i].Val), " ")) + " "
		case "disabled":
			disabled = true
		}
	}
	return strings.Contains(rel, " stylesheet ") && !strings.Contains(rel, " alternate ") && !disabled &&
		element.Attr(n, "href") != "" && cssType(element.Attr(n, "type")) &&
		style.MediaMatches(element.Attr(n, "media"))
}

func cssType(t string) bool { return t == "" || strings.EqualFold(t, "text/css") }
