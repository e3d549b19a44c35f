package results

import (
	"strings"

	"inktally/core/entry"
	"inktally/core/lineup"
	"inktally/core/text"
	"inktally/core/wrapped"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// group puts the parts of entries that stand side by side into elements of their own: what
// follows one of several headings, or terms, of a parent up to the next one. After it an entry
// is an element on every page.
func group(n *html.Node, l wrapped.Links, depth int) {
	if depth > maxDepth {
		return
	}
	counts := map[atom.Atom]int{}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if isHead(c) {
			counts[c.DataAtom]++
		}
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if counts[c.DataAtom] > 1 && isHead(c) {
			c = wrap(n, c, l)
		} else if c.Type == html.ElementNode && !skipped(c) {
			group(c, l, depth+1)
		}
	}
}

func isHead(n *html.Node) bool {
	return n.Type == html.ElementNode && (n.DataAtom == atom.Dt || isHeading(n))
}

// wrap puts a heading with what belongs to it into an element, and returns that.
func wrap(parent, head *html.Node, l wrapped.Links) *html.Node {
	first := head
	for p := head.PrevSibling; p != nil && (blank(p) || leadsOn(p, head, l) && !overAll(p)); p = p.PrevSibling {
		if !blank(p) {
			first = p
		}
	}
	end := head.NextSibling
	for end != nil && !isHead(end) && end.DataAtom != atom.Hr && !leadsOn(end, nextHead(end), l) {
		end = end.NextSibling
	}
	box := &html.Node{Type: html.ElementNode, Data: "entry-" + head.Data} // like heads, like entries
	parent.InsertBefore(box, first)
	for c := first; c != end; {
		next := c.NextSibling
		parent.RemoveChild(c)
		box.AppendChild(c)
		c = next
	}
	return box
}

// nextHead returns the heading after a node that nothing but labels and addresses part from it, nil
// for none.
func nextHead(n *html.Node) *html.Node {
	for k, c := 0, n.NextSibling; c != nil && k < 4; c = c.NextSibling {
		if isHead(c) {
			return c
		}
		if !blank(c) {
			k++
		}
	}
	return nil
}

func blank(n *html.Node) bool {
	return n.Type == html.CommentNode || n.Type == html.TextNode && strings.TrimSpace(n.Data) == ""
}

// leadsOn reports whether a node belongs to the heading after it: a label for what is paid for, or
// the address that the heading leads to.
func leadsOn(n, head *html.Node, l wrapped.Links) bool {
	if head == nil || n.Type != html.ElementNode || isHead(n) {
		return false
	}
	said := text.Collapse(wrapped.TextOf(n))
	if len(said) > 160 {
		return false
	}
	if entry.IsAdLabel(said) && entry.DomainOf(said) == "" {
		return true
	}
	d := entry.DomainOf(said)
	return d != "" && lineup.Domain("https://"+d) == lineup.Domain(firstTarget(head, l))
}

// fewHeads is how many entries a label may stand over that is the first and only one beside them.
const fewHeads = 5

// overAll reports whether a label stands over all entries beside it: the first of its parent, where
// no other one is, and there are few.
func overAll(n *html.Node) bool {
	heads, labels := 0, 0
	for c := n.Parent.FirstChild; c != nil; c = c.NextSibling {
		if c.Type == html.ElementNode && !isHead(c) && !strings.HasPrefix(c.Data, "entry-") {
			labels += entry.One(entry.IsAdLabel(text.Collapse(wrapped.TextOf(c))))
		}
		if heads += entry.One(isHead(c) || strings.HasPrefix(c.Data, "entry-")); heads > fewHeads || labels > 1 {
			return false
		}
	}
	before := n.PrevSibling
	for before != nil && blank(before) {
		before = before.PrevSibling
	}
	return before == nil && labels == 1 && heads > 1 && heads <= fewHeads
}

// firstTarget returns where the first link in a node leads that leads out, empty for none.
func firstTarget(n *html.Node, l wrapped.Links) string {
	if n.Type == html.ElementNode {
		if target, ok := l.Acting(n); ok && target != "" {
			return target
		}
	}
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if target := firstTarget(c, l); target != "" {
			return target
		}
	}
	return ""
}
