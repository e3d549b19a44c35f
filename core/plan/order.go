package plan

import (
	"cmp"
	"math"
	"slices"
	"strings"
)

// order puts targets into the order of work (rule 12.4): fixes; then each time the free
// one of most gain per hour, words not starved; last what shows no gain. What was dropped
// stands at the end.
func (y Rules) order(all []Target, pages map[string]*Aim) []Target {
	w := worker{y: y, pages: pages, done: map[Ref]bool{}, written: map[string]int{}}
	tie := func(a, b Target) int { return w.tie(&a, &b) }
	var out, left, dropped []Target
	for _, t := range all {
		switch {
		case t.Choice.State == Dropped:
			dropped = append(dropped, t)
			if t.Kind != NewPage { // nothing waits for what is not wanted
				w.done[t.Ref()] = true
			}
		case t.First:
			out = append(out, t)
		default:
			left = append(left, t)
		}
	}
	slices.SortFunc(out, tie)
	slices.SortFunc(left, tie)
	for len(left) > 0 {
		at := w.next(left)
		if at < 0 {
			break
		}
		w.do(&left[at])
		out = append(out, left[at])
		left = slices.Delete(left, at, at+1)
	}
	slices.SortFunc(dropped, tie)
	return slices.Concat(out, left, dropped) // left are those of pages that are not wanted
}

// worker is the state of one ordering.
type worker struct {
	y       Rules
	pages   map[string]*Aim
	done    map[Ref]bool
	written map[string]int // words by page
	minutes float64        // ordered since the fixes
	sliced  float64        // of them in slices
}

// tie orders targets of equal gain per hour: home, service, area; by address; by key.
func (w *worker) tie(a, b *Target) int {
	if a.Page != b.Page {
		pa, pb := w.pages[a.Page], w.pages[b.Page]
		if pa != nil && pb != nil {
			return comparePages(pa, pb)
		}
		return strings.Compare(a.Page, b.Page)
	}
	return strings.Compare(a.Key, b.Key)
}

// next returns the index of the target that is worth doing next, among those in the order of
// ties; -1 if none is free.
func (w *worker) next(left []Target) int {
	best, slice, gainful := -1, -1, false
	better := func(i, than int) bool {
		if than < 0 {
			return true
		}
		a, b := left[i].PerHour(), left[than].PerHour()
		return a > b && math.Abs(a-b) > 1e-9
	}
	for i := range left {
		t := &left[i]
		if !w.free(t) {
			continue
		}
		gainful = gainful || t.Rank > 0
		if better(i, best) {
			best = i
		}
		if t.Kind == Slice && t.Rank > 0 && w.below(t.Page) && better(i, slice) {
			slice = i
		}
	}
	if gainful && slice >= 0 && w.sliced < w.minutes*w.y.SlicePercent/100 {
		return slice
	}
	return best
}

func (w *worker) free(t *Target) bool {
	return !slices.ContainsFunc(t.Needs, func(ref Ref) bool { return !w.done[ref] })
}

// below reports whether the words of a page, with those ordered so far, are below its guideline.
func (w *worker) below(page string) bool {
	p := w.pages[page]
	if p == nil {
		return false
	}
	seen := 0
	if p.there() {
		seen = p.seen()
	}
	return seen+w.written[page] < w.y.Words.Guideline(p.Kind).Low
}

func (w *worker) do(t *Target) {
	w.done[t.Ref()] = true
	w.minutes += t.Minutes
	if t.Kind == Slice {
		w.sliced += t.Minutes
		w.written[t.Page] += t.words()
	}
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

// Telling puts targets into the order of telling: by front, the one with the largest gain
// first, and in it those of most gain first. What was dropped is not told.
func Telling(list []Target) []Target {
	gains := map[Front]float64{}
	var out []Target
	for _, t := range list {
		if t.Choice.State != Dropped {
			gains[t.Kind.Front()] += t.Rank
			out = append(out, t)
		}
	}
	slices.SortStableFunc(out, func(a, b Target) int {
		fa, fb := a.Kind.Front(), b.Kind.Front()
		return cmp.Or(cmp.Compare(gains[fb], gains[fa]),
			cmp.Compare(slices.Index(Fronts(), fa), slices.Index(Fronts(), fb)), cmp.Compare(b.Rank, a.Rank))
	})
	return out
}
