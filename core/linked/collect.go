package linked

import (
	"encoding/base64"
	"net/url"
	"strings"

	"inktally/core/element"
	"inktally/core/style"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// Collector adds the sheets of a page to a cascade, those that they import before them.
type Collector struct {
	// Texts are those of linked sheets by their address, as Sheets and Imports name them.
	Texts map[string]string
	// Cache keeps parsed sheets between pages; it may be nil.
	Cache *style.Cache
}

// maxImports bounds how deep style sheets may import one another.
const maxImports = 8

// Collect adds the sheets of a page in their order; it returns how many of those that it
// links were not brought.
func (c Collector) Collect(doc *html.Node, address string, to *style.Cascade) (missing int) {
	base := Base(doc, address)
	eachStyle(doc, func(n *html.Node) {
		if n.DataAtom != atom.Link {
			c.add(c.Cache.Parse(n.FirstChild.Data), base, style.Import{}, 0, to)
			return
		}
		if !c.linked(style.Import{Address: Resolve(base, element.Attr(n, "href"))}, 0, to) {
			missing++
		}
	})
	return missing
}

// linked adds a sheet by its address; it reports whether the sheet was brought.
func (c Collector) linked(i style.Import, depth int, to *style.Cascade) bool {
	source, ok := c.Texts[i.Address]
	if !ok {
		source, ok = sheetInAddress(i.Address)
	}
	if !ok || depth > maxImports {
		return false
	}
	c.add(c.Cache.Parse(source), i.Address, i, depth, to)
	return true
}

// add adds what a sheet imports and then the sheet.
func (c Collector) add(s *style.Sheet, address string, by style.Import, depth int, to *style.Cascade) {
	for _, i := range s.Imports() {
		i.Address = Resolve(address, i.Address)
		c.linked(i.Within(by), depth+1, to)
	}
	to.Add(s, by)
}

// sheetInAddress returns a style sheet that its address holds itself: data:text/css.
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
