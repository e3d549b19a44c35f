// Package order puts the targets of a plan into the order of work (rule 12.4): what hides a page first; then
// each time what brings most for an hour, so that words are not starved; fixes behind the placing of their page.
//
// In go items, a target each, in the order in which ties are broken; out come their indices in the order of work.
package order

import (
	"math"
	"slices"
)

// Item is what the order goes by of a target.
type Item struct {
	// Page is the key of its page, Kind how it is put into the order.
	Page string
	Kind Kind
	// Opens reports that it frees the other targets of its page: it is its first placing.
	Opens bool
	// Rank is what it may bring, Minutes what it takes, Words how many it adds to its page.
	Rank, Minutes float64
	Words         int
	// Needs are the indices of the items that it waits for.
	Needs []int
}

// Kind is how an item is put into the order.
type Kind int

// The kinds of items.
const (
	// Other is any other, by what it brings for an hour.
	Other Kind = iota
	// Hides comes before all others.
	Hides
	// Fix follows the placing of its page, Cut stands right before the first one.
	Fix
	Cut
	Placing
	// Slice may go before what brings more as long as its page is short of words; Standing is one about the firm or
	// the towns, which may not.
	Slice
	Standing
	// Dropped comes last, DroppedPage too; what waits for the first waits no more.
	Dropped
	DroppedPage
)

// Rules are those of the order.
type Rules struct {
	// SlicePercent of the minutes ordered since what hides pages go to slices before all else.
	SlicePercent float64
	// Short is how many words a page is below its guideline, by its key.
	Short map[string]int
}

const (
	// shortFix is up to how many minutes a fix follows the first placing of its page, not the last of all.
	shortFix = 5
	// leastOfBest is what part of the gain an hour of the best a slice must bring to go before it.
	leastOfBest = 0.1
)

// Of returns the indices of items in the order of work.
func Of(items []Item, rules Rules) []int {
	w := &work{items: items, rules: rules, done: make([]bool, len(items)), placings: map[string]int{},
		written: map[string]int{}}
	var dropped []int
	for i, item := range items {
		switch item.Kind {
		case Dropped, DroppedPage:
			dropped = append(dropped, i)
			w.done[i] = item.Kind == Dropped // nothing waits for what is not wanted
		case Hides:
			w.out = append(w.out, i)
		case Fix:
			w.fixes = append(w.fixes, i)
		case Cut:
			w.cuts = append(w.cuts, i)
		case Placing:
			w.placings[item.Page]++
			w.left = append(w.left, i)
		case Other, Slice, Standing:
			w.left = append(w.left, i)
		}
	}
	for _, i := range w.out {
		w.done[i] = true
	}
	for {
		at := w.next()
		if at < 0 {
			break
		}
		w.put(at)
	}
	w.fixes = w.emit(w.fixes, func(Item) bool { return true })
	w.cuts = w.emit(w.cuts, func(Item) bool { return true })
	return slices.Concat(w.out, w.left, dropped) // left are those of pages that are not wanted
}

// work is the state of one ordering.
type work struct {
	items []Item
	rules Rules

	out               []int
	left, fixes, cuts []int // that wait for their time
	done              []bool
	placings          map[string]int // by page
	written           map[string]int // words, by page
	minutes, inSlices float64        // ordered since what hides pages
}

// put puts one of what is left into the order, with what is to be done right before and right after it.
func (w *work) put(at int) {
	i := w.left[at]
	item := w.items[i]
	w.left = slices.Delete(w.left, at, at+1)
	if item.Rank == 0 { // before all that shows no gain
		w.fixes = w.emit(w.fixes, func(Item) bool { return true })
	}
	if item.Opens {
		w.cuts = w.emit(w.cuts, func(c Item) bool { return c.Page == item.Page })
	}
	w.do(i)
	if item.Kind != Placing {
		return
	}
	w.fixes = w.emit(w.fixes, func(f Item) bool { return f.Page == item.Page && f.Minutes <= shortFix })
	if !slices.ContainsFunc(w.left, func(o int) bool { return w.items[o].Kind == Placing }) {
		w.fixes = w.emit(w.fixes, func(f Item) bool { return w.placings[f.Page] > 0 })
	}
}

// emit puts those of a list into the order that are due, and returns the others.
func (w *work) emit(list []int, due func(Item) bool) (others []int) {
	for _, i := range list {
		if !due(w.items[i]) {
			others = append(others, i)
			continue
		}
		w.do(i)
	}
	return others
}

func (w *work) do(i int) {
	item := w.items[i]
	w.out, w.done[i] = append(w.out, i), true
	w.minutes += item.Minutes
	if item.Kind == Slice || item.Kind == Standing {
		w.inSlices += item.Minutes
		w.written[item.Page] += item.Words
	}
}

// next returns where in what is left the item stands that is worth doing next, -1 if none is free.
func (w *work) next() int {
	best, slice, gainful := -1, -1, false
	for at, i := range w.left {
		item := w.items[i]
		if slices.ContainsFunc(item.Needs, func(n int) bool { return !w.done[n] }) {
			continue
		}
		gainful = gainful || item.Rank > 0
		if w.better(at, best) {
			best = at
		}
		isShort := w.written[item.Page] < w.rules.Short[item.Page]
		if item.Kind == Slice && item.Rank > 0 && isShort && w.better(at, slice) {
			slice = at
		}
	}
	if gainful && slice >= 0 && w.inSlices < w.minutes*w.rules.SlicePercent/100 &&
		w.perHour(slice) >= w.perHour(best)*leastOfBest {
		return slice
	}
	return best
}

// better reports whether one brings more an hour than another of what is left.
func (w *work) better(at, than int) bool {
	if than < 0 {
		return true
	}
	a, b := w.perHour(at), w.perHour(than)
	return a > b && math.Abs(a-b) > 1e-9
}

func (w *work) perHour(at int) float64 {
	item := w.items[w.left[at]]
	if item.Minutes <= 0 {
		return 0
	}
	return item.Rank * 60 / item.Minutes
}
