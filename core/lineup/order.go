package lineup

import "slices"

// Ranked reports whether two entries stand in one ranking: the same part, and neither is paid
// for where the other is not.
func Ranked(a, b Entry) bool { return a.Part == b.Part && a.Sponsored == b.Sponsored }

// Move puts an entry to another position of its part. Where one stands there already, those
// between take each other's positions, so that all positions and gaps stay and moving it back
// undoes it.
func Move(entries []Entry, i, to int) {
	from, step := entries[i].Position, -1
	if to < from {
		step = 1
	}
	between := func(p int) bool { return step == 1 && p >= to && p < from || step == -1 && p > from && p <= to }
	places, taken := []int{from}, false
	for k, e := range entries {
		if k != i && Ranked(e, entries[i]) && between(e.Position) {
			places = append(places, e.Position)
			taken = taken || e.Position == to
		}
	}
	if taken {
		slices.Sort(places)
		for k := range entries {
			e := &entries[k]
			if k != i && Ranked(*e, entries[i]) && between(e.Position) {
				e.Position = places[slices.Index(places, e.Position)+step]
			}
		}
	}
	entries[i].Position = to
}

// Insert makes room for an entry at its position: those that stand there and right behind go
// down by one; a gap takes up the rest.
func Insert(entries []Entry, i int) {
	var later []int
	for k, e := range entries {
		if k != i && Ranked(e, entries[i]) && e.Position >= entries[i].Position {
			later = append(later, k)
		}
	}
	slices.SortFunc(later, func(a, b int) int { return entries[a].Position - entries[b].Position })
	at := entries[i].Position
	for _, k := range later {
		if entries[k].Position > at {
			return
		}
		at++
		entries[k].Position = at
	}
}
