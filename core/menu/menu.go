// Package menu reads the menus of a page as trees.
//
// In go the elements that hold menus; out come their entries with those below them.
package menu

import (
	"strings"

	"inktally/core/element"
	"inktally/core/text"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Item is an entry of a menu with those below it.
type Item struct {
	Text string
	// Address is empty for an entry that only opens those below it.
	Address string
	Items   []Item
}

// maxMenu bounds the entries of the menus of a page.
const maxMenu = 1000

// reader reads the menus of one page.
type reader struct {
	absolute func(href string) string
	left     int // entries that are still taken
}

// Read reads the menus of a page, those without entries left out: hidden entries too, for
// most are folded until they are pointed at. absolute returns the address of a link.
func Read(menus []*html.Node, absolute func(href string) string) [][]Item {
	out := [][]Item{}
	r := reader{absolute: absolute, left: maxMenu}
	for _, n := range menus {
		if items := r.items(n); len(items) > 0 {
			out = append(out, items)
		}
	}
	return out
}

// items reads the entries below n: list items with what is nested in
// them, and links outside any list.
func (r *reader) items(n *html.Node) (items []Item) {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type != html.ElementNode || r.left <= 0 {
			continue
		}
		switch c.DataAtom {
		case atom.Li:
			if item := r.entry(c); item.Text != "" {
				items = append(items, item)
			} else {
				items = append(items, item.Items...)
			}
		case atom.A:
			if at, ok := element.Lookup(c, "href"); ok {
				if label := Label(c); label != "" {
					r.left--
					items = append(items, Item{Text: label, Address: r.absolute(at), Items: []Item{}})
				}
			}
		default:
			items = append(items, r.items(c)...)
		}
	}
	return items
}

// entry reads a list item: its own link or words, and the lists in it.
func (r *reader) entry(li *html.Node) Item {
	item := Item{Items: []Item{}}
	r.left--
	var walk func(n *html.Node)
	walk = func(n *html.Node) {
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			switch {
			case c.Type == html.TextNode:
				if item.Text == "" {
					item.Text = text.Collapse(c.Data)
				}
			case c.Type != html.ElementNode:
			case c.DataAtom == atom.Ul || c.DataAtom == atom.Ol:
				item.Items = append(item.Items, r.items(c)...)
			case c.DataAtom == atom.A && item.Address == "":
				if at, ok := element.Lookup(c, "href"); ok {
					item.Text, item.Address = Label(c), r.absolute(at)
				}
			case c.DataAtom == atom.A && r.left > 0:
				r.left--
				item.Items = append(item.Items,
					Item{Text: Label(c), Address: r.absolute(element.Attr(c, "href")), Items: []Item{}})
			case element.NeverText(c.DataAtom) || c.DataAtom == atom.A:
			default:
				walk(c)
			}
		}
	}
	walk(li)
	return item
}

// Label returns the text of a link, else what its label or image says.
func Label(a *html.Node) string {
	var b strings.Builder
	alt := element.Attr(a, "aria-label")
	var walk func(n *html.Node)
	walk = func(n *html.Node) {
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			switch {
			case c.Type == html.TextNode:
				b.WriteString(c.Data)
			case c.Type == html.ElementNode && c.DataAtom == atom.Img && alt == "":
				alt = element.Attr(c, "alt")
			case c.Type == html.ElementNode && !element.NeverText(c.DataAtom) && c.Namespace == "":
				b.WriteByte(' ')
				walk(c)
			}
		}
	}
	walk(a)
	if label := text.Collapse(b.String()); label != "" {
		return label
	}
	return text.Collapse(alt)
}
