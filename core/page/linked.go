package page

import (
	"bytes"
	"encoding/base64"
	"net/url"
	"strings"

	"inktally/core/decode"
	"inktally/core/style"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// maxImports bounds how deep style sheets may import one another.
const maxImports = 8

// Linked returns the addresses of the style sheets that a page asks for, in
// their order: linked ones that count on the screen, and those that its style
// elements import. Whoever brings them hands their texts (decode.Sheet)
// to Read as Source.Sheets, under the same addresses.
func Linked(body []byte, src Source) []string {
	if plainText(src.ContentType) {
		return nil
	}
	body = decode.Page(body, src.ContentType)
	if looksBinary(body) || !mayHaveStyles(body) {
		return nil
	}
	doc, err := html.Parse(bytes.NewReader(body))
	if err != nil {
		return nil
	}
	var out []string
	base := baseOf(doc, src)
	eachStyle(doc, func(n *html.Node) {
		if n.DataAtom == atom.Link {
			if address := resolve(base, attr(n, "href")); !strings.HasPrefix(address, "data:") {
				out = append(out, address)
			}
			return
		}
		for _, i := range style.Parse(n.FirstChild.Data).Imports() {
			out = append(out, resolve(base, i.Address))
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
		out = append(out, resolve(address, i.Address))
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
			if c.FirstChild != nil && style.MediaMatches(attr(c, "media")) && cssType(attr(c, "type")) {
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

// isSheet tells a link to a style sheet that counts: alternate, disabled and
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
		attr(n, "href") != "" && cssType(attr(n, "type")) && style.MediaMatches(attr(n, "media"))
}

// baseOf is what the addresses in a page are relative to.
func baseOf(doc *html.Node, src Source) string {
	base := src.URL
	if src.Base != "" {
		base = src.Base
	}
	var find func(n *html.Node) bool
	find = func(n *html.Node) bool {
		for c := n.FirstChild; c != nil; c = c.NextSibling {
			if c.Type != html.ElementNode {
				continue
			}
			if c.DataAtom == atom.Base && attr(c, "href") != "" {
				base = resolve(base, attr(c, "href"))
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

// resolve makes an address absolute; it works on paths of files as well.
func resolve(base, ref string) string {
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

// collectStyles adds the sheets of a page in their order.
func (w *walker) collectStyles(doc *html.Node, src Source) {
	base := ""
	missing := 0
	eachStyle(doc, func(n *html.Node) {
		if n.DataAtom != atom.Link {
			s := src.Cache.Parse(n.FirstChild.Data)
			if len(s.Imports()) > 0 && base == "" {
				base = baseOf(doc, src)
			}
			w.addSheet(s, base, src, style.Import{}, 0)
			return
		}
		if base == "" {
			base = baseOf(doc, src)
		}
		if !w.addLinked(style.Import{Address: resolve(base, attr(n, "href"))}, src, 0) {
			missing++
		}
	})
	if missing > 0 && src.Sheets != nil {
		w.page.Warnings = append(w.page.Warnings, SheetMissing)
	}
}

// addLinked adds a sheet by its address; it is false if it could not be fetched.
func (w *walker) addLinked(i style.Import, src Source, depth int) bool {
	source, ok := src.Sheets[i.Address]
	if !ok {
		source, ok = sheetInAddress(i.Address)
	}
	if !ok || depth > maxImports {
		return false
	}
	w.addSheet(src.Cache.Parse(source), i.Address, src, i, depth)
	return true
}

// addSheet adds what a sheet imports and then the sheet.
func (w *walker) addSheet(s *style.Sheet, address string, src Source, by style.Import, depth int) {
	for _, i := range s.Imports() {
		i.Address = resolve(address, i.Address)
		w.addLinked(i.Within(by), src, depth+1)
	}
	w.sheet.Add(s, by)
}

// sheetInAddress is a style sheet that its address holds itself: data:text/css.
func sheetInAddress(address string) (string, bool) {
	rest, ok := strings.CutPrefix(address, "data:text/css")
	kind, body, comma := strings.Cut(rest, ",")
	if !ok || !comma {
		return "", false
	}
	if plain, err := url.PathUnescape(body); err == nil {
		body = plain
	}
	if strings.HasSuffix(kind, ";base64") {
		raw, err := base64.StdEncoding.DecodeString(body)
		return string(raw), err == nil
	}
	return body, true
}
