package page

import (
	"strings"

	"inktally/core/cues"
	"inktally/core/element"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// structure is what the walk notes for the details.
type structure struct {
	canonical, robots   string
	refresh             string // the address that the page leads on to by itself
	forms, videos, maps int
	quotes              int
	data                []string     // JSON-LD
	dataBytes           int          // of all of it
	items               []*html.Node // outermost elements with microdata
	menus               []*html.Node // outermost elements of menus
}

// maxData bounds the structured data of a page that is kept.
const maxData = 1 << 20

// data keeps a script that holds structured data.
func (w *walker) data(n *html.Node) {
	s := &w.page.structure
	if n.FirstChild != nil && strings.EqualFold(strings.TrimSpace(element.Attr(n, "type")), "application/ld+json") &&
		s.dataBytes+len(n.FirstChild.Data) < maxData {
		s.data = append(s.data, n.FirstChild.Data)
		s.dataBytes += len(n.FirstChild.Data)
	}
}

// embedded counts videos and maps. A frame shows a map or a video if its
// address or title says so.
func (w *walker) embedded(n *html.Node) {
	s := &w.page.structure
	if n.DataAtom == atom.Video {
		s.videos++
		return
	}
	says := strings.ToLower(element.Attr(n, "src") + " " + element.Attr(n, "data-src") + " " + element.Attr(n, "title"))
	switch {
	case strings.Contains(says, "map"):
		s.maps++
	case strings.Contains(says, "video"), strings.Contains(says, "player"), strings.Contains(says, "/embed"):
		s.videos++
	}
}

// note counts forms and testimonials.
func (w *walker) note(n *html.Node, a *attributes, ctx *context) {
	s := &w.page.structure
	switch n.DataAtom {
	case atom.Form:
		if a.role != "search" && fields(n) > 0 {
			s.forms++
		}
	case atom.Blockquote:
		if !ctx.quoted {
			s.quotes++
			ctx.quoted = true
		}
	default:
		if a.class != "" && !ctx.quoted && cues.IsReview(a.class) {
			s.quotes++
			ctx.quoted = true
		}
	}
}

// fields counts what a form asks for, searches and hidden fields left out.
func fields(n *html.Node) int {
	count := 0
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type != html.ElementNode {
			continue
		}
		switch c.DataAtom {
		case atom.Textarea, atom.Select:
			count++
		case atom.Input:
			switch strings.ToLower(element.Attr(c, "type")) {
			case "search", "hidden", "submit", "button", "image", "reset":
			default:
				count++
			}
		}
		count += fields(c)
	}
	return count
}
