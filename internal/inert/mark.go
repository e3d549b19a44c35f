package inert

import (
	"bytes"
	"slices"
	"strings"

	"inktally/core/decode"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// First is the id of the first occurrence that is marked.
const First = "marked-1"

// Marked returns the page, still, with the occurrences of a text marked as a browser finds them in a page: letters as
// typed, whatever their case.
func Marked(body []byte, contentType, typed string) ([]byte, error) {
	doc, err := html.Parse(bytes.NewReader(decode.Page(body, contentType)))
	if err != nil {
		return nil, err
	}
	calm(doc)
	m := marker{typed: strings.ToLower(strings.Join(strings.Fields(typed), " "))}
	if m.typed != "" {
		m.walk(doc)
	}
	var out bytes.Buffer
	err = html.Render(&out, doc)
	return out.Bytes(), err
}

// unmarked are elements whose text is not shown, or is no text that could hold a mark.
var unmarked = []atom.Atom{atom.Head, atom.Style, atom.Title, atom.Textarea, atom.Option, atom.Xmp, atom.Noembed,
	atom.Noframes, atom.Plaintext}

type marker struct {
	typed string
	found int
}

func (m *marker) walk(n *html.Node) {
	if n.Type == html.ElementNode && slices.Contains(unmarked, n.DataAtom) {
		return
	}
	for c := n.FirstChild; c != nil; {
		next := c.NextSibling
		if c.Type == html.TextNode {
			m.mark(n, c)
		} else {
			m.walk(c)
		}
		c = next
	}
}

// mark parts a text at what is looked for.
func (m *marker) mark(parent, text *html.Node) {
	data := text.Data
	lower := strings.ToLower(data)
	if len(lower) != len(data) { // a letter that is longer in small: the places would not be the same
		return
	}
	for {
		at := strings.Index(lower, m.typed)
		if at < 0 {
			break
		}
		end := at + len(m.typed)
		m.found++
		hit := &html.Node{Type: html.ElementNode, Data: "mark", DataAtom: atom.Mark,
			Attr: []html.Attribute{{Key: "style",
				Val: "background:#ffd84d;color:#16233b;outline:3px solid #16233b"}}}
		if m.found == 1 {
			hit.Attr = append(hit.Attr, html.Attribute{Key: "id", Val: First})
		}
		hit.AppendChild(&html.Node{Type: html.TextNode, Data: data[at:end]})
		parent.InsertBefore(&html.Node{Type: html.TextNode, Data: data[:at]}, text)
		parent.InsertBefore(hit, text)
		data, lower = data[end:], lower[end:]
	}
	text.Data = data
}
