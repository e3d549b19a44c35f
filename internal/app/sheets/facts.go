package sheets

import (
	"context"

	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/internal/view"
)

// MadeOf lists the words that a page of the sheet is made of, the client's for
// entry 0, and what its rivals share.
func (s *Sheet) MadeOf(ctx context.Context, id, pageID, entry int64) (*view.MadeOf, error) {
	c, err := s.compare(ctx, id, pageID)
	if err != nil {
		return nil, err
	}
	side, err := c.Entry(entry)
	if err != nil {
		return nil, err
	}
	out := &view.MadeOf{Sequences: []view.Sequence{}, Shared: []view.SharedWords{}}
	if side.Column != nil {
		if side.Column.Page.Words.Copy > sheet.MostCounted {
			out.Counted = sheet.MostCounted
		}
		for _, q := range sheet.MadeOf(side.Column.Page) {
			out.Sequences = append(out.Sequences,
				view.Sequence{Text: place.CapitalsOfPart(q.Text, c.Named), Words: q.Words, Count: q.Count,
					Rate: q.Rate})
		}
	}
	var own *page.Page
	if c.Client.Column != nil {
		own = c.Client.Column.Page
	}
	var rivals []*page.Page
	for _, r := range c.Counted() {
		rivals = append(rivals, r.Column.Page)
	}
	judge := c.Judge()
	for _, q := range sheet.SharedByRivals(own, rivals) {
		out.Shared = append(out.Shared, view.SharedWords{Text: place.CapitalsOfPart(q.Text, c.Named), Rivals: q.Rivals,
			Median: q.Median, Own: q.Own,
			Missing: q.Missing, Named: judge.Names(q.Text)})
	}
	return out, nil
}

// Facts shows all there is on a page of the sheet, the client's for entry 0.
func (s *Sheet) Facts(ctx context.Context, id, pageID, entry int64) (*view.PageFacts, error) {
	_, side, err := s.readSide(ctx, id, pageID, entry)
	if err != nil {
		return nil, err
	}
	return view.PageFactsOf(side.Column.Page), nil
}
