package targets

import (
	"context"

	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/internal/store"
	"inktally/internal/view"
)

// Outline shows the sections that a page should have.
func (p *Plan) Outline(ctx context.Context, client int64, page string) (*view.Outline, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	if _, err := w.Page(page); err != nil {
		return nil, err
	}
	return w.outline(page), nil
}

// SetOutline keeps what the user changed of an outline, all of it. was are the edits that the
// change was made from, nil if that is not known: what was changed elsewhere meanwhile stays,
// and where both changed one thing it is refused with both.
func (p *Plan) SetOutline(ctx context.Context, client int64, page string, e outline.Edits,
	was *outline.Edits) (*view.Outline, error) {
	w, err := p.Work(ctx, client)
	if err != nil {
		return nil, err
	}
	err = p.DB.Write(ctx, func(tx *store.Tx) error {
		row, err := w.row(tx, page)
		if err != nil {
			return err
		}
		kept, err := tx.Outlines(client)
		if err != nil {
			return err
		}
		if was != nil {
			if e, err = w.merged(page, *was, kept[row], e); err != nil {
				return err
			}
		}
		return tx.SetOutline(client, row, e)
	})
	if err != nil {
		return nil, err
	}
	return p.Outline(ctx, client, page)
}

func (w *Worked) outline(page string) *view.Outline {
	c, words, teller := w.Pages[page], w.Words[page], w.Teller(page)
	edits := w.Edits(page)
	out := &view.Outline{Page: page, Words: view.WordTargetOf(words), Sections: []view.OutlineSection{},
		Alone:     edits.Alone,
		Questions: append([]string{}, c.Aim.Topics.Questions...), Frames: []string{}, Edits: view.OutlineEditsOf(edits)}
	if first, ok := c.First(); ok {
		out.First = c.Display(first.Text)
		out.Frames = append(out.Frames, w.frames()...)
	}
	for _, s := range w.Outlines[page] {
		edit, changed := edits.Sections[s.Key]
		shown := view.OutlineSection{Key: s.Key, Kind: view.SectionKind(s.Kind), Heading: teller.Section(s),
			There: s.There && !s.Renamed, Renamed: s.Renamed,
			Holds: s.Holds, Words: s.Words, Fixed: s.Fixed, Dropped: s.Dropped, Added: changed &&
				edit.Added, Have: s.Have, Rivals: s.Rivals,
			Families: []view.SectionFamily{}}
		for _, key := range s.Families {
			shown.Families = append(shown.Families, w.sectionFamily(page, key))
		}
		out.Sections = append(out.Sections, shown)
	}
	return out
}

// frames returns sentences that carry a phrase, in the client's language.
func (w *Worked) frames() []string {
	known := w.Whole.Known
	return known.Yardstick.Target.Copy.Of(known.Client.Language).Sentences
}

// sectionFamily returns a family that a section carries: where it stands, and where it is wanted.
func (w *Worked) sectionFamily(page, key string) view.SectionFamily {
	c := w.Pages[page]
	out := view.SectionFamily{Key: key, Slots: []view.SlotCode{}}
	for _, f := range c.Aim.Families {
		if f.Key == key {
			out.Phrase, out.Gain = c.Display(f.Text), f.Gain
		}
	}
	if c.Aim.Client != nil {
		placed := view.PlacementOf(c.Aim.Client.Family(key))
		out.Placement = &placed
	}
	for i := range w.Targets {
		for _, p := range w.Targets[i].Parts {
			if rule := plan.PartRuleOf(p.Kind); w.Targets[i].Page == page && p.Family() == key && rule.Places &&
				p.Choice.State != plan.Dropped {
				out.Slots = append(out.Slots, view.SlotCode(rule.Slot.String()))
			}
		}
	}
	return out
}
