// Package element answers what everybody asks of an element of a page: its attributes, and
// whether it can hold text.
package element

import (
	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Attr returns the value of an attribute, empty for one that is absent.
func Attr(n *html.Node, key string) string {
	value, _ := Lookup(n, key)
	return value
}

// Lookup returns the value of an attribute, and whether it is there.
func Lookup(n *html.Node, key string) (value string, found bool) {
	for i := range n.Attr {
		if n.Attr[i].Key == key {
			return n.Attr[i].Val, true
		}
	}
	return "", false
}

// NeverText reports whether the content of an element is never text (rule 1.2).
func NeverText(a atom.Atom) bool {
	switch a {
	case atom.Script, atom.Style, atom.Template, atom.Noscript, atom.Canvas, atom.Head, atom.Iframe,
		atom.Object, atom.Audio, atom.Video, atom.Noembed, atom.Noframes, atom.Textarea, atom.Select,
		atom.Datalist, atom.Progress, atom.Meter, atom.Rp, atom.Title, atom.Colgroup, atom.Area, atom.Base,
		atom.Link, atom.Meta, atom.Param, atom.Input, atom.Source, atom.Track, atom.Embed, atom.Wbr:
		return true
	}
	return false
}

// NeverForeign reports whether the content of an SVG or MathML element is never text (rule 1.2).
func NeverForeign(name string) bool {
	switch name {
	case "title", "desc", "metadata", "defs", "symbol", "style", "script", "clipPath", "mask", "pattern",
		"marker", "linearGradient", "radialGradient", "filter", "annotation", "annotation-xml":
		return true
	}
	return false
}
