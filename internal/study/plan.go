package study

import (
	"context"
	"maps"
	"reflect"

	"inktally/core/imagename"
	"inktally/core/outline"
	"inktally/core/plan"
	"inktally/core/site"
	"inktally/core/yardstick"
	"inktally/internal/store"
)

// Plan is the plan of a client with what it was worked out from.
type Plan struct {
	plan.Plan
	Whole *Whole
	// Pages are the client's by their keys.
	Pages map[string]*Comparison
	// From is what the targets were worked out from.
	From plan.Study
}

// Plan works out the plan of a client.
func (s *Study) Plan(ctx context.Context) (*Plan, error) {
	return s.plan.Get(ctx, func(ctx context.Context) (*Plan, error) {
		whole, err := s.Whole(ctx)
		if err != nil {
			return nil, err
		}
		return s.planOf(whole, s.Said), nil
	})
}

// PlanBefore works out the plan as it was before the client's pages were read the last time,
// nil if none of them was read twice; nothing is said of its targets. The pages that there are
// and those of rivals are today's.
func (s *Study) PlanBefore(ctx context.Context) (*Plan, error) {
	whole, err := s.Known.wholeBefore.Get(ctx, s.makeWholeBefore)
	if err != nil || whole == nil {
		return nil, err
	}
	s.Known.mu.Lock()
	defer s.Known.mu.Unlock()
	if had := s.Known.planBefore; had == nil || !reflect.DeepEqual(had.outlines, s.Said.Outlines) {
		said := store.SaidOf{Outlines: s.Said.Outlines, ToMake: s.Said.ToMake}
		s.Known.planBefore = &planBefore{said.Outlines, s.planOf(whole, said)}
	}
	return s.Known.planBefore.plan, nil
}

// planBefore is the plan of before, which the user's outlines decide on.
type planBefore struct {
	outlines map[int64]outline.Edits
	plan     *Plan
}

// makeWholeBefore measures all pages as they were before they were read the last time, nil if
// none of them was read twice.
func (k *Known) makeWholeBefore(ctx context.Context) (*Whole, error) {
	latest, found := maps.Clone(k.Latest), false
	for _, p := range k.Pages {
		if r, ok := k.Before[ReadingKey(p)]; ok {
			latest[ReadingKey(p)], found = r, true
		}
	}
	if !found {
		return nil, nil
	}
	return k.wholeWith(ctx, latest)
}

// wholeWith measures all pages by other readings than the last ones.
func (k *Known) wholeWith(ctx context.Context, readings map[string]store.Reading) (*Whole, error) {
	if _, err := k.Whole(ctx); err != nil { // whose sites stay judged as they are
		return nil, err
	}
	return k.variant(func(k *Known) { k.Latest = readings }).Whole(ctx)
}

// PlanWith works out the plan as it was when earlier readings of the client's own pages were the last ones, nil where
// all of them are those of today; nothing is said of its targets, and all else is today's.
func (s *Study) PlanWith(ctx context.Context, earlier map[string]store.Reading) (*Plan, error) {
	latest, other := maps.Clone(s.Latest), false
	for _, p := range s.Pages {
		key := ReadingKey(p)
		if r, ok := earlier[key]; ok && r.ID != latest[key].ID {
			latest[key], other = r, true
		}
	}
	if !other {
		return nil, nil
	}
	whole, err := s.wholeWith(ctx, latest)
	if err != nil {
		return nil, err
	}
	return s.planOf(whole, store.SaidOf{Outlines: s.Said.Outlines, ToMake: s.Said.ToMake}), nil
}

// PlanAs works out the plan with the figures of another yardstick.
func (s *Study) PlanAs(ctx context.Context, y yardstick.Yardstick) (*Plan, error) {
	if _, err := s.Whole(ctx); err != nil { // whose sites stay judged as they are
		return nil, err
	}
	whole, err := s.As(y).Whole(ctx)
	if err != nil {
		return nil, err
	}
	return s.planOf(whole, s.Said), nil
}

func (s *Study) planOf(whole *Whole, said store.SaidOf) *Plan {
	s.from.made.Plans.Add(1)
	p := &Plan{Whole: whole, Pages: map[string]*Comparison{}}
	p.From = plan.Study{Findings: whole.Findings, Choices: map[plan.Ref]plan.Choice{}}
	keys := s.keys(whole)
	for _, o := range said.Own {
		if key, ok := keys[o.PageID]; ok {
			p.From.Own = append(p.From.Own,
				plan.Own{ID: o.ID, Page: key, Text: o.Text, Gain: o.Gain, Minutes: o.Minutes})
		}
	}
	for _, c := range said.Choices {
		if key, ok := keys[c.PageID]; ok {
			p.From.Choices[plan.Ref{Page: key, Key: c.Key}] = c.Choice
		}
	}
	var towns []string // that have or will have pages of their own
	for _, c := range whole.Pages {
		if c.Aim.Kind == site.Area {
			towns = append(towns, c.Aim.Place)
		}
		p.Pages[c.Aim.Key] = c
		p.From.Pages = append(p.From.Pages, s.Aim(c))
		plan.Adopt(p.From.Choices, &c.Aim)
	}
	for i := range p.From.Pages {
		if home := &p.From.Pages[i]; home.Kind == site.Home {
			home.Wishes = imagename.WithoutTowns(home.Wishes, towns)
		}
	}
	p.Plan = whole.Known.Yardstick.Target.Plan(p.From)
	return p
}

// keys returns the names of pages in the plan, by their rows.
func (s *Study) keys(whole *Whole) map[int64]string {
	keys := map[int64]string{}
	for _, p := range s.Said.ToMake {
		keys[p.ID] = Purpose(p)
	}
	for _, p := range whole.Known.Pages {
		keys[p.ID] = PageKey(p)
	}
	return keys
}

// Aim returns what the targets of a page are worked out from, with what was said of its outline:
// before it was made, where nothing was since.
func (s *Study) Aim(c *Comparison) plan.Aim {
	page := c.Aim
	page.Headings = c.headings
	page.Edits = s.Said.Outlines[s.Row(c)]
	if page.Formerly != "" && len(page.Edits.Sections)+len(page.Edits.Order) == 0 {
		page.Edits = s.Said.Outlines[s.toMake(c)]
	}
	return page
}

// Row returns the row of a page of the plan: of one to make that of what was said of it, 0 if
// nothing was.
func (s *Study) Row(c *Comparison) int64 {
	if c.Page.ID != 0 {
		return c.Page.ID
	}
	return s.toMake(c)
}

// toMake returns the row of what was said of a page before it was made, 0 if nothing was.
func (s *Study) toMake(c *Comparison) int64 {
	for _, row := range s.Said.ToMake {
		if Purpose(row) == Purpose(c.Page) {
			return row.ID
		}
	}
	return 0
}

// Edits returns what the user changed of the outline of a page.
func (p *Plan) Edits(page string) outline.Edits {
	for i := range p.From.Pages {
		if p.From.Pages[i].Key == page {
			return p.From.Pages[i].Edits
		}
	}
	return outline.Edits{}
}

// Page finds a page of the plan, store.ErrNotFound for none.
func (p *Plan) Page(key string) (*Comparison, error) {
	c, ok := p.Pages[key]
	if !ok {
		return nil, store.ErrNotFound
	}
	return c, nil
}

// Find finds a target by its name, store.ErrNotFound for none.
func (p *Plan) Find(name string) (*plan.Target, error) {
	for i := range p.Targets {
		if p.Targets[i].Ref().String() == name {
			return &p.Targets[i], nil
		}
	}
	return nil, store.ErrNotFound
}

// Home returns the key of the client's home page, empty for none.
func (p *Plan) Home() string {
	for _, c := range p.Whole.Pages {
		if c.Page.Kind == site.Home {
			return c.Aim.Key
		}
	}
	return ""
}
