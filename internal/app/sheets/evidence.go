package sheets

import (
	"context"

	"inktally/core/fault"
	"inktally/core/sheet"
	"inktally/core/text"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Evidence shows a page of the sheet, the client's for entry 0, with the
// occurrences of a phrase marked. A phrase of the sheet stands for its family.
func (s *Sheet) Evidence(ctx context.Context, id, pageID, entry int64, phrase string) (*view.Evidence, error) {
	c, side, err := s.readSide(ctx, id, pageID, entry)
	if err != nil {
		return nil, err
	}
	p := side.Column.Page
	e := &view.Evidence{Name: side.Name, URL: side.URL, ReadingID: side.Reading.ID,
		TakenAt: view.When(side.Reading.TakenAt),
		Words:   view.WordsOf(p.Words), Across: []view.Across{}, Blocks: []view.Block{}, Labels: []view.Marked{}}
	var marks []sheet.Mark
	if e.Phrase = text.Collapse(phrase); e.Phrase != "" {
		if len(text.Tokens(e.Phrase)) == 0 {
			return nil, fault.PhraseNoWord.New(e.Phrase)
		}
		criteria, family := c.Criteria, ""
		if key, ok := criteria.FamilyOf(e.Phrase); ok {
			family, e.Family = key, key
		} else {
			criteria = criteria.For(e.Phrase)
			family = criteria.Families[0].Key
		}
		e.Placement = view.PlacementOf(sheet.Measure(p, criteria).Family(family))
		e.FindInPage = sheet.FindInPage(p, e.Phrase)
		marks = sheet.Marks(p, criteria, family)
		e.Across = c.across(criteria, family, e.Phrase)
	}
	e.Fill(p, marks)
	return e, nil
}

// across counts a family on every page of the sheet that was read.
func (c comparison) across(criteria *sheet.Criteria, family, phrase string) []view.Across {
	out := []view.Across{}
	for _, side := range append([]*study.Side{c.Client, c.Draft}, c.Rivals...) {
		if side == nil || side.Column == nil {
			continue
		}
		p := sheet.Measure(side.Column.Page, criteria).Family(family)
		out = append(out, view.Across{EntryID: side.Entry.ID, Name: side.Name, Exact: p.Exact.Total,
			Loose:      p.Loose.Total,
			FindInPage: sheet.FindInPage(side.Column.Page, phrase)})
	}
	return out
}
