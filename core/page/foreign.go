package page

import (
	"inktally/core/element"
	"inktally/core/style"

	"golang.org/x/net/html"
)

// foreign handles an SVG or MathML element: text stands in SVG text elements,
// HTML in foreignObject, and all of MathML's tokens are text.
func (w *walker) foreign(n *html.Node, parent *context) {
	if element.NeverForeign(n.Data) {
		return
	}
	a := readAttributes(n)
	a.hidden = false // an attribute of HTML alone
	ctx := *parent
	ctx.node = n
	ctx.invisible = ctx.invisible && element.Attr(n, "visibility") != "visible" ||
		element.Attr(n, "visibility") == "hidden"
	breaks := w.style(n, &a, parent, &ctx)
	if element.Attr(n, "display") == "none" {
		ctx.hidden = true
	}
	ctx.svg = n.Namespace == "svg" && n.Data != "foreignObject"
	ends := false
	switch {
	case n.Namespace == "svg" && n.Data == "svg":
		ends = breaks && !ctx.hidden
	case n.Namespace == "svg" && n.Data == "text":
		ctx.svgText, ends = true, true
	case n.Data == "foreignObject":
		ctx.svgText, ends = false, true
		ctx.display = style.Block
	case n.Namespace == "math" && n.Data != "math":
		ends = true // each is a box of its own kind
	}
	if ends {
		w.breakBlock(&ctx)
	}
	if n.Data == "switch" {
		w.firstChild(n, &ctx)
	} else {
		w.walk(n, &ctx)
	}
	if ends {
		w.breakBlock(&ctx)
	}
}

// firstChild walks the one child that a switch shows.
func (w *walker) firstChild(n *html.Node, ctx *context) {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type == html.ElementNode {
			w.node(c, ctx)
			return
		}
	}
}
