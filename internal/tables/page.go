package tables

import (
	"bytes"
	"strings"

	"inktally/core/brought"
	"inktally/core/decode"
	"inktally/core/table"
	"inktally/core/text"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Page reads the tables and the labelled numbers of a page as a tab shows it, and nothing else of it.
func Page(body []byte) ([]Table, error) {
	if len(body) > MaxFile {
		return nil, ListTooLarge.New(MaxFile >> 20)
	}
	return page(body)
}

func page(body []byte) ([]Table, error) {
	root, err := html.Parse(bytes.NewReader(decode.Page(body, "text/html")))
	if err != nil {
		return nil, NoTable.New().Because(err)
	}
	var out []Table
	var texts []string
	letters := 0
	walk(root, func(n *html.Node) bool {
		switch {
		case n.Type == html.TextNode:
			if s := text.Collapse(n.Data); s != "" && letters < maxSheet {
				texts = append(texts, s)
				letters += len(s)
			}
		case n.Type != html.ElementNode:
		case silent[n.DataAtom]:
			return false
		case n.DataAtom == atom.Table && !holdsTable(n):
			if t := tableOf(n); len(t.Rows) > 1 && len(out) < mostTables {
				out = append(out, t)
			}
			return false
		}
		return true
	})
	if pairs := brought.Labelled(texts); len(pairs) > 0 {
		out = append(out, Table{Name: "labelled numbers", Rows: pairs})
	}
	if len(out) == 0 {
		return nil, NoTable.New()
	}
	return out, nil
}

// silent are elements whose text is none.
var silent = map[atom.Atom]bool{atom.Script: true, atom.Style: true, atom.Template: true, atom.Noscript: true,
	atom.Select: true,
	atom.Svg:    true, atom.Head: true}

// parts are elements that part the words before them from those in them.
var parts = map[atom.Atom]bool{atom.Br: true, atom.Div: true, atom.P: true, atom.Li: true, atom.Dd: true, atom.Dt: true,
	atom.H1: true, atom.H2: true, atom.H3: true, atom.H4: true, atom.Small: true, atom.Section: true}

// walk goes through the nodes of a tree in their order, without recursion: pages nest without end. into tells whether
// what is below a node is looked at.
func walk(root *html.Node, into func(*html.Node) bool) {
	for n := root; n != nil; {
		if into(n) && n.FirstChild != nil {
			n = n.FirstChild
			continue
		}
		for n != root && n.NextSibling == nil {
			n = n.Parent
		}
		if n == root {
			return
		}
		n = n.NextSibling
	}
}

// holdsTable reports whether there is a table inside a table: then the outer one arranges.
func holdsTable(n *html.Node) (holds bool) {
	walk(n, func(c *html.Node) bool {
		holds = holds || c != n && c.DataAtom == atom.Table
		return !holds
	})
	return holds
}

// tableOf reads a table of a page; a cell over several columns stands in the first of them.
func tableOf(n *html.Node) (t Table) {
	var row []string
	flush := func() {
		if c := collapsed(row); c != nil && len(t.Rows) < table.MaxRows {
			t.Rows = append(t.Rows, c)
		}
		row = nil
	}
	walk(n, func(c *html.Node) bool {
		switch c.DataAtom {
		case atom.Caption:
			t.Name = textOf(c)
			return false
		case atom.Tr:
			flush()
		case atom.Td, atom.Th:
			row = append(row, textOf(c))
			for i := spanOf(c); i > 1 && len(row) < table.MaxColumns; i-- {
				row = append(row, "")
			}
			return false
		}
		return true
	})
	flush()
	return t
}

func spanOf(n *html.Node) int {
	for _, a := range n.Attr {
		if a.Key == "colspan" && len(a.Val) == 1 && a.Val[0] > '1' && a.Val[0] <= '9' {
			return int(a.Val[0] - '0')
		}
	}
	return 1
}

// textOf returns the text below a node. A link whose text is cut short by the page stands with its address.
func textOf(n *html.Node) string {
	var b strings.Builder
	href := ""
	walk(n, func(c *html.Node) bool {
		if c.Type == html.TextNode {
			b.WriteString(c.Data)
		}
		if parts[c.DataAtom] {
			b.WriteByte(' ')
		}
		if c.DataAtom == atom.A && href == "" {
			for _, a := range c.Attr {
				if a.Key == "href" && strings.HasPrefix(a.Val, "http") {
					href = a.Val
				}
			}
		}
		return c.Type != html.ElementNode || !silent[c.DataAtom]
	})
	s := text.Collapse(b.String())
	if href != "" && (strings.HasSuffix(s, "…") || strings.HasSuffix(s, "...")) && strings.ContainsAny(s, "/.") {
		return href
	}
	return s
}
