package sheets

import (
	"context"

	"inktally/core/finding"
	"inktally/core/site"
	"inktally/internal/study"
	"inktally/internal/view"
)

// Overview returns all pages of a client at a glance: those that there are and those to make,
// each measured by its first phrase and beside the strongest comparable page.
func (s *Sheet) Overview(ctx context.Context, id int64) (*view.Overview, error) {
	known, err := s.Studies.Of(ctx, id)
	if err != nil {
		return nil, err
	}
	w, err := known.Whole(ctx)
	if err != nil {
		return nil, err
	}
	out := &view.Overview{Rows: []view.OverviewRow{}, Surveyed: w.Site != nil}
	for _, c := range w.Pages {
		row := comparison{c}.row()
		if c.Page.ID != 0 && w.Site != nil {
			row.Findings = findingsOf(w.Site, c.Page.URL)
		}
		row.Have, row.Known = c.Have, c.Sites
		out.Rows = append(out.Rows, row)
	}
	for _, e := range w.Known.RivalEntries() {
		if rival, ok := w.Rival(e.URL); ok {
			size := view.SiteSize{Name: e.Name, Pages: len(rival.Tree.Pages)}
			for _, p := range rival.Tree.Pages {
				size.Services += count(p.Kind == site.Service)
				size.Areas += count(p.Kind == site.Area)
			}
			out.Rivals = append(out.Rivals, size)
		}
	}
	return out, nil
}

func count(is bool) int {
	if is {
		return 1
	}
	return 0
}

func findingsOf(own *study.Site, url string) []view.Finding {
	out := []view.Finding{}
	for _, f := range own.Findings {
		if f.Type != finding.ServiceNoPage && site.SameAddress(f.URL, url) {
			out = append(out, view.FindingOf(f))
		}
	}
	return out
}

// row returns a page as the overview shows it.
func (c comparison) row() view.OverviewRow {
	row := view.OverviewRow{PageInfo: PageInfo(c.Comparison), Findings: []view.Finding{}, Wanted: []view.SlotCode{}}
	if c.Page.Kind.HasWordTarget() {
		row.ToWrite, row.Target = &c.Words.ToWrite, &c.Words.Target
	}
	for _, f := range c.Families {
		row.Gain += f.RowGain
	}
	if own := c.Client.Column; own != nil {
		row.Title, row.Images, row.Carrying = own.Page.Title, len(own.Page.Images), own.Carrying()
	}
	if first, ok := c.First(); ok {
		row.Phrase = first.Text
		for _, slot := range c.Yardstick.Target.Wanted(c.Page.Kind, 0, c.Words.Target) {
			row.Wanted = append(row.Wanted, view.SlotCode(slot.String()))
		}
		if own := c.Client.Column; own != nil {
			placed := view.PlacementOf(own.Families[0])
			row.Placement = &placed
		}
	}
	if counted := c.Counted(); c.Page.Kind.HasWordTarget() {
		for _, r := range counted {
			if seen := r.Column.Page.Words.Seen; row.Strongest == nil || seen > row.Strongest.Words {
				row.Strongest = &view.StrongestPage{EntryID: r.Entry.ID, Name: r.Name, URL: r.URL, Words: seen}
			}
		}
	}
	return row
}
