package lineup

import (
	"cmp"
	"slices"
	"strings"
)

// Join gives the entries of a later page of results, or of a longer list of the map, their positions in
// the search that they continue, and returns those that join it (rule 6.5). Where the list holds entries of
// the search, it goes on from the last of them; a page that holds none follows what was looked at of its part.
func Join(search, more []Entry, looked map[Part]int) (joining []int) {
	for _, part := range []Part{Paid, Map, Organic} {
		for _, sponsored := range []bool{true, false} {
			in := func(e Entry) bool { return e.Part == part && e.Sponsored == sponsored }
			joining = append(joining, join(search, more, in, looked[part])...)
		}
	}
	return joining
}

// Continues reports whether a page of results of the same phrase is one that continues a search: it has no map, and
// most of its organic entries are none of the search; or it is a map that holds all of the search's and more.
func Continues(search, more []Entry) bool {
	shared, counts := map[Part]int{}, map[Part]int{}
	had := map[Part]int{}
	for _, e := range search {
		if !e.Paying() {
			had[e.Part]++
		}
	}
	for _, m := range more {
		if m.Paying() {
			continue
		}
		counts[m.Part]++
		if slices.ContainsFunc(search, func(e Entry) bool {
			return e.Part == m.Part && !e.Paying() && sameResult(e, m)
		}) {
			shared[m.Part]++
		}
	}
	if counts[Organic] > 0 {
		return had[Organic] > 0 && counts[Map] == 0 && 2*shared[Organic] < counts[Organic]
	}
	return had[Map] > 0 && shared[Map] == had[Map] && counts[Map] > shared[Map]
}

// join lets the entries of one ranking join a search.
func join(search, more []Entry, in func(Entry) bool, looked int) (joining []int) {
	had := oneRanking{positions: map[int]bool{}, last: looked}
	for _, e := range search {
		if in(e) {
			had.entries = append(had.entries, e)
			had.positions[e.Position], had.last = true, max(had.last, e.Position)
		}
	}
	var fresh []int
	shift, shared := 0, false
	for i, m := range more {
		if !in(m) {
			continue
		}
		if at := had.find(m); at >= 0 {
			shift, shared = had.entries[at].Position-m.Position, true
		} else {
			fresh = append(fresh, i)
		}
	}
	slices.SortStableFunc(fresh, func(a, b int) int { return cmp.Compare(more[a].Position, more[b].Position) })
	if !shared && len(fresh) > 0 && more[fresh[0]].Position <= had.last {
		shift = had.last - more[fresh[0]].Position + 1
	}
	for _, i := range fresh {
		if had.find(more[i]) >= 0 {
			continue // the list has it twice
		}
		more[i].Position = had.free(more[i].Position + shift)
		had.entries = append(had.entries, more[i])
		joining = append(joining, i)
	}
	return joining
}

// oneRanking is the entries of one part, with the positions that are taken.
type oneRanking struct {
	entries   []Entry
	positions map[int]bool
	last      int
}

func (r *oneRanking) find(e Entry) int {
	return slices.IndexFunc(r.entries, func(had Entry) bool { return sameResult(had, e) })
}

// free takes a position, or the next one that nobody has.
func (r *oneRanking) free(position int) int {
	for position = max(position, 1); r.positions[position]; {
		position++
	}
	r.positions[position] = true
	return position
}

// sameResult reports whether two entries of a part are one: by their addresses, of the map by their sites, numbers
// or names.
func sameResult(a, b Entry) bool {
	if a.Part != Map {
		return a.URL != "" && strings.TrimSuffix(a.URL, "/") == strings.TrimSuffix(b.URL, "/")
	}
	return SameNumber(a.Phone, b.Phone) || a.Name != "" && strings.EqualFold(a.Name, b.Name) ||
		a.URL != "" && Domain(a.URL) == Domain(b.URL)
}
