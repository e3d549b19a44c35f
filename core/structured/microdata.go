package structured

import (
	"strings"

	"inktally/core/element"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// microdata reads items into the shape that JSON-LD has.
type microdata struct {
	label func(*html.Node) string // the text of an element
}

// item reads the element of an item and what is in it.
func (m microdata) item(n *html.Node, depth int) map[string]any {
	kind := element.Attr(n, "itemtype")
	o := map[string]any{"@type": kind[strings.LastIndexByte(kind, '/')+1:]}
	if depth <= maxDataDepth {
		m.properties(n, o, depth)
	}
	return o
}

// properties gathers the properties of the item o below n.
func (m microdata) properties(n *html.Node, o map[string]any, depth int) {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type != html.ElementNode {
			continue
		}
		_, item := element.Lookup(c, "itemscope")
		for _, name := range strings.Fields(element.Attr(c, "itemprop")) {
			var value any
			if item {
				value = m.item(c, depth+1)
			} else {
				value = m.value(c)
			}
			if have, ok := o[name].([]any); ok {
				o[name] = append(have, value)
			} else {
				o[name] = []any{value}
			}
		}
		if !item {
			m.properties(c, o, depth)
		}
	}
}

// value returns the value of a property's element by the HTML standard.
func (m microdata) value(n *html.Node) string {
	switch n.DataAtom {
	case atom.Meta:
		return element.Attr(n, "content")
	case atom.A, atom.Link, atom.Area:
		return element.Attr(n, "href")
	case atom.Img, atom.Iframe, atom.Video, atom.Audio, atom.Embed, atom.Source:
		return element.Attr(n, "src")
	case atom.Time:
		if at, ok := element.Lookup(n, "datetime"); ok {
			return at
		}
	}
	// A value in an attribute of its own beats the text.
	if content, ok := element.Lookup(n, "content"); ok {
		return content
	}
	return m.label(n)
}
