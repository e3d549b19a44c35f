// Package sheets is the stop at which the client's page stands beside its
// rivals', measured, with the evidence of every figure.
package sheets

import (
	"context"

	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/internal/app/ground"
	"inktally/internal/study"
	"inktally/internal/view"
	"inktally/internal/wording"
)

// Sheet shows measured pages.
type Sheet struct{ Studies *study.Studies }

// comparison is a page of a client beside its rivals', as the sheet shows it.
type comparison struct{ *study.Comparison }

func (s *Sheet) compare(ctx context.Context, id, pageID int64) (comparison, error) {
	known, err := s.Studies.Of(ctx, id)
	if err != nil {
		return comparison{}, err
	}
	c, err := known.Compare(ctx, pageID)
	return comparison{c}, err
}

// readSide returns the comparison of a page and the one of its sides that is asked
// for, the client's for entry 0. It must have been read.
func (s *Sheet) readSide(ctx context.Context, id, pageID, entry int64) (comparison, *study.Side, error) {
	c, err := s.compare(ctx, id, pageID)
	if err != nil {
		return c, nil, err
	}
	side, err := c.Entry(entry)
	if err == nil && side.Column == nil {
		err = PageNotReadYet.New()
	}
	return c, side, err
}

// Get measures a page and its rivals for the sheet.
func (s *Sheet) Get(ctx context.Context, id, pageID int64) (*view.Sheet, error) {
	c, err := s.compare(ctx, id, pageID)
	if err != nil {
		return nil, err
	}
	out := &view.Sheet{Page: PageInfo(c.Comparison), Families: c.families(), Columns: []view.Column{},
		Target: c.target()}
	own := c.column(c.Client)
	own.Role = "client"
	c.propose(own.Images)
	out.Columns = append(out.Columns, own)
	if c.Draft != nil {
		draft := c.column(c.Draft)
		draft.Role, draft.EntryID, draft.Standing = "draft", study.DraftEntry, wording.NotLive
		out.Columns = append(out.Columns, draft)
	}
	aside := map[int64]bool{}
	counted := c.Counted()
	for _, i := range c.Words.SetAside {
		aside[counted[i].Entry.ID] = true
	}
	for _, r := range c.Rivals {
		v := c.column(r)
		v.Role, v.EntryID, v.Standing = "rival", r.Entry.ID, wording.Standing(r.Entry.Part, r.Entry.Position)
		v.SetAside, v.Unlike = aside[r.Entry.ID], r.URL != "" && !c.Like(r)
		v.None, v.Like, v.Chosen = r.URL == "" && r.Entry.URL != "", wording.Like(r.Beside.Reason), r.Beside.Chosen
		if m := c.Words.MarkOf; m >= 0 && counted[m] == r {
			out.Target.MarkOf = len(out.Columns)
		}
		out.Columns = append(out.Columns, v)
	}
	return out, nil
}

// PageInfo shows a page with its figures.
func PageInfo(c *study.Comparison) view.PageInfo {
	info := ground.PageInfo(c.Page)
	if own := c.Client.Column; own != nil {
		info.Words = &own.Page.Words.Seen
	}
	if c.Client.Column != nil || c.Page.Kind.HasWordTarget() {
		info.ToWrite = &c.Words.ToWrite
	}
	return info
}

func (c comparison) families() []view.Family {
	out := []view.Family{}
	for _, f := range c.Families {
		family := view.Family{Key: f.Key, Lead: f.Lead().Text, Gain: f.RowGain, Near: f.Near,
			Members: []view.FamilyMember{{Text: f.Lead().Text, Searches: f.Lead().Volume}}}
		for _, m := range c.Members[f.Key] {
			family.Members = append(family.Members,
				view.FamilyMember{Text: m.Text, Searches: m.Volume, Wanted: m.Wanted, Also: m.Also})
		}
		out = append(out, family)
	}
	return out
}

func (c comparison) column(side *study.Side) view.Column {
	v := view.Column{Name: side.Name, URL: side.URL, Failure: view.FailureOf(side.Failed),
		Families: []view.FamilyPlacement{},
		Headings: []view.Heading{}, Images: []view.Image{}, Warnings: []view.Warning{}, Redirects: []string{},
		Mode: view.ReadMode(side.Mode)}
	if side.Column == nil {
		return v
	}
	r := side.Reading
	v.ReadingID, v.TakenAt, v.Source, v.RobotsIgnored = r.ID, view.When(r.TakenAt), view.Source(r.Source),
		r.RobotsIgnored
	v.Redirects = append(v.Redirects, r.Redirects...)
	v.Note = view.FailureOf(r.Note)
	v.Measured(side.Column)
	v.Own = side.Own
	v.Families = v.Families[:len(c.Families)] // what is folded under them stands in their rows
	for i, f := range c.Families {
		at := &v.Families[i]
		at.Members = append(at.Members, view.Slots(side.Column.Phrase(f.Lead().Text).Exact))
		for _, m := range c.Members[f.Key] {
			at.Members = append(at.Members, view.Slots(side.Column.Phrase(m.Text).Exact))
		}
	}
	return v
}

// propose puts the proposed names of the targets on the client's images.
func (c comparison) propose(images []view.Image) {
	for _, t := range c.Targets() {
		for _, p := range t.Parts {
			if p.Kind == plan.ImageName && !p.Adds() && p.Image.At < len(images) {
				images[p.Image.At].Proposal = p.Image.Wanted
			}
		}
	}
}

func (c comparison) target() view.SheetTarget {
	y := c.Yardstick.Target
	t := view.SheetTarget{Words: view.WordTargetOf(c.Words), Wanted: []view.WantedSlots{},
		Carrying: y.Carrying(c.Page.Kind), MarkOf: -1,
		Beat: wording.Beat(c.Words.Figures)}
	headed := map[string]bool{} // families that get the heading of a section
	for _, x := range c.Targets() {
		for _, p := range x.Parts {
			headed[p.Family()] = headed[p.Family()] || p.Kind == plan.Subhead
			if p.Kind == plan.H1 {
				t.H1 = c.Display(p.Says())
			}
		}
	}
	for i, f := range c.Aim.Families {
		wanted := view.WantedSlots{Family: f.Key, Slots: []view.SlotCode{}}
		for _, slot := range y.Wanted(c.Page.Kind, i, c.Words.Target) {
			if i > 0 && headed[f.Key] {
				slot = sheet.Subheads
			}
			wanted.Slots = append(wanted.Slots, view.SlotCode(slot.String()))
		}
		t.Wanted = append(t.Wanted, wanted)
	}
	return t
}

// WordCase returns what the evidence of the word target of a page speaks of.
func WordCase(c *study.Comparison) wording.WordCase {
	w := wording.WordCase{HasPage: c.Client.Column != nil, HasURL: c.Page.URL != ""}
	if w.HasPage {
		w.Seen = c.Client.Column.Page.Words.Seen
	}
	for _, r := range c.Counted() {
		w.Names = append(w.Names, r.Name)
		w.Words = append(w.Words, r.Column.Page.Words.Seen)
	}
	return w
}
