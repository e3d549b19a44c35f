package survey

import (
	"context"

	"inktally/core/page"
	"inktally/internal/fetch"
)

// Plain reads pages and keeps none.
type Plain struct{ *fetch.Fetcher }

// Page reads a document with its style sheets, without them lightly.
func (p Plain) Page(ctx context.Context, doc fetch.Document, lightly bool) (*page.Page, error) {
	src := page.Source{URL: doc.URL, ContentType: doc.ContentType, Robots: doc.Robots}
	if !lightly {
		src.Sheets = p.Sheets(ctx, doc)
	}
	return page.Read(doc.Body, src), nil
}
