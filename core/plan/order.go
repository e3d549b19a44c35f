package plan

import (
	"slices"
	"strings"

	"inktally/core/order"
	"inktally/core/outline"
)

// order puts targets into the order of work (rule 12.4).
func (y Rules) order(all []Target, pages map[string]*Aim) []Target {
	all = slices.Clone(all)
	slices.SortFunc(all, func(a, b Target) int { return tie(pages, &a, &b) })
	at := make(map[Ref]int, len(all))
	for i := range all {
		at[all[i].Ref()] = i
	}
	items := make([]order.Item, len(all))
	for i := range all {
		t := &all[i]
		items[i] = order.Item{Page: t.Page, Kind: t.turn(), Opens: t.opens, Rank: t.Rank, Minutes: t.Minutes,
			Words: t.ToWrite()}
		for _, ref := range t.Needs {
			if n, ok := at[ref]; ok {
				items[i].Needs = append(items[i].Needs, n)
			}
		}
	}
	short := map[string]int{}
	for key, p := range pages {
		short[key] = y.Words.Guideline(p.Kind).Low
		if p.there() {
			short[key] -= p.seen()
		}
	}
	out := make([]Target, 0, len(all))
	for _, i := range order.Of(items, order.Rules{SlicePercent: y.SlicePercent, Short: short}) {
		out = append(out, all[i])
	}
	return out
}

// turn returns how a target is put into the order.
func (t *Target) turn() order.Kind {
	switch {
	case t.Choice.State == Dropped && t.Kind == NewPage:
		return order.DroppedPage
	case t.Choice.State == Dropped:
		return order.Dropped
	case t.First:
		return order.Hides
	case t.Kind == Fix:
		return order.Fix
	case t.Kind == CutBack:
		return order.Cut
	case t.Kind == Placing:
		return order.Placing
	case t.Kind == Slice && (t.Section.Kind == outline.AboutFirm || t.Section.Kind == outline.Towns):
		return order.Standing
	case t.Kind == Slice:
		return order.Slice
	}
	return order.Other
}

// tie orders targets of equal gain per hour: home, service, area; by address; by key.
func tie(pages map[string]*Aim, a, b *Target) int {
	if a.Page != b.Page {
		pa, pb := pages[a.Page], pages[b.Page]
		if pa != nil && pb != nil {
			return comparePages(pa, pb)
		}
		return strings.Compare(a.Page, b.Page)
	}
	return strings.Compare(a.Key, b.Key)
}

// Front is what targets are told by to an owner (rule 12.4).
type Front string

// The fronts.
const (
	WordsFront   Front = "words"
	PhrasesFront Front = "phrases"
	ImagesFront  Front = "images"
	PagesFront   Front = "pages"
)

// Fronts returns all of them.
func Fronts() []Front { return []Front{WordsFront, PhrasesFront, ImagesFront, PagesFront} }
