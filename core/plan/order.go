package plan

import (
	"math"
	"slices"
	"strings"

	"inktally/core/outline"
)

// order puts targets into the order of work (rule 12.4): what hides a page; then each time the free
// one of most gain per hour, words not starved; last what shows no gain. Fixes follow the placing of
// their page. What was dropped stands at the end.
func (y Rules) order(all []Target, pages map[string]*Aim) []Target {
	w := worker{y: y, pages: pages, done: map[Ref]bool{}, written: map[string]int{}, placings: map[string]int{}}
	var left, dropped []Target
	for _, t := range all {
		switch {
		case t.Choice.State == Dropped:
			dropped = append(dropped, t)
			if t.Kind != NewPage { // nothing waits for what is not wanted
				w.done[t.Ref()] = true
			}
		case t.First:
			w.out = append(w.out, t)
		case t.Kind == Fix:
			w.fixes = append(w.fixes, t)
		case t.Kind == CutBack:
			w.cuts = append(w.cuts, t)
		default:
			left = append(left, t)
			if t.Kind == Placing {
				w.placings[t.Page]++
			}
		}
	}
	for _, list := range [][]Target{w.out, w.fixes, w.cuts, left, dropped} {
		slices.SortFunc(list, func(a, b Target) int { return w.tie(&a, &b) })
	}
	for len(left) > 0 {
		at := w.next(left)
		if at < 0 {
			break
		}
		t := left[at]
		left = slices.Delete(left, at, at+1)
		w.put(t, !slices.ContainsFunc(left, func(o Target) bool { return o.Kind == Placing }))
	}
	w.fixes = w.emit(w.fixes, func(*Target) bool { return true })
	w.cuts = w.emit(w.cuts, func(*Target) bool { return true })
	return slices.Concat(w.out, left, dropped) // left are those of pages that are not wanted
}

// shortFix is up to how many minutes a fix follows the first placing of its page (rule 12.4).
const shortFix = 5

// put puts a target into the order, with what is to be done right before and right after it; last reports that
// no placing is left behind it.
func (w *worker) put(t Target, last bool) {
	if t.Rank == 0 { // before all that shows no gain
		w.fixes = w.emit(w.fixes, func(*Target) bool { return true })
	}
	if t.opens {
		w.cuts = w.emit(w.cuts, func(c *Target) bool { return c.Page == t.Page })
	}
	w.out = append(w.out, t)
	w.do(&t)
	if t.Kind != Placing {
		return
	}
	w.fixes = w.emit(w.fixes, func(f *Target) bool { return f.Page == t.Page && f.Minutes <= shortFix })
	if last {
		w.fixes = w.emit(w.fixes, func(f *Target) bool { return w.placings[f.Page] > 0 })
	}
}

// emit puts those of a list into the order that are due, and returns the others.
func (w *worker) emit(list []Target, due func(*Target) bool) (others []Target) {
	for i := range list {
		if !due(&list[i]) {
			others = append(others, list[i])
			continue
		}
		w.out = append(w.out, list[i])
		w.do(&list[i])
	}
	return others
}

// worker is the state of one ordering.
type worker struct {
	y       Rules
	pages   map[string]*Aim
	done    map[Ref]bool
	written map[string]int // words by page
	minutes float64        // ordered since what hides pages
	sliced  float64        // of them in slices

	out         []Target
	fixes, cuts []Target       // that wait for their time
	placings    map[string]int // by page
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
		if t.Kind == Slice && t.Rank > 0 && w.below(t.Page) && better(i, slice) &&
			t.Section.Kind != outline.AboutFirm && t.Section.Kind != outline.Towns {
			slice = i
		}
	}
	if gainful && slice >= 0 && w.sliced < w.minutes*w.y.SlicePercent/100 &&
		left[slice].PerHour() >= left[best].PerHour()*leastOfBest {
		return slice
	}
	return best
}

// leastOfBest is what part of the gain an hour of the best a slice must bring to go before it (rule 12.4).
const leastOfBest = 0.1

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
