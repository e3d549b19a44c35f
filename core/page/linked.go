package page

import (
	"bytes"

	"inktally/core/decode"
	"inktally/core/linked"

	"golang.org/x/net/html"
)

// Linked returns the addresses of the style sheets that a page asks for, in their order.
// Whoever brings them hands their texts (decode.Sheet) to Read as Source.Sheets, under the
// same addresses.
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
	return linked.Sheets(doc, src.base())
}

// base returns what relative addresses start from, before the page has said otherwise.
func (src *Source) base() string {
	if src.Base != "" {
		return src.Base
	}
	return src.URL
}

// styles adds the sheets of the page to its cascade.
func (w *walker) styles(doc *html.Node, src *Source) {
	missing := linked.Collector{Texts: src.Sheets, Cache: src.Cache}.Collect(doc, src.base(), &w.sheet)
	if missing > 0 && src.Sheets != nil {
		w.page.Warnings = append(w.page.Warnings, SheetMissing)
	}
}
