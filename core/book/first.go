package book

import (
	"cmp"
	"slices"
)

// compareSearched orders rows by how much is searched for them, as far as it counts: first that of the most counted
// searches, ties without a word of hiring, as they were typed, then the plainest (rules 3.10, 9.2). It never looks at
// positions, so that a page that gets ahead keeps what it is for.
func compareSearched(a, b *Family) int {
	x, y := a.typed().Typed, b.typed().Typed
	return cmp.Or(compareBool(a.Near, b.Near), cmp.Compare(b.RowVolume, a.RowVolume), compareBool(a.urges, b.urges),
		compareBool(y > 0, x > 0), cmp.Compare(x, y), plainer(a, b))
}

// FirstFirst returns the families of a page with its first one before all others (rule 9.2): the one that was kept as
// such, else the row of the most counted searches. None that asks for what is near comes first.
func FirstFirst(families []Family, kept string) []Family {
	first := -1
	for i := range families {
		f := &families[i]
		switch {
		case f.Near:
		case f.Key == kept:
			first = i
		case first < 0 || families[first].Key != kept && compareSearched(f, &families[first]) < 0:
			first = i
		}
	}
	if first <= 0 {
		return families
	}
	return slices.Concat(families[first:first+1], families[:first], families[first+1:])
}

// Settled returns the key of the first of the families of a page, in their order, once newer figures are to leave it:
// the page was read, and something is searched for (rule 9.2). It is empty before.
func Settled(families []Family, read bool) string {
	if !read || len(families) == 0 || families[0].RowVolume == 0 {
		return ""
	}
	return families[0].Key
}

// mainFirst returns the key of the family that home holds in any case: of the rows of the main service in the home town
// the one that was kept as the home page's first, else that of the most counted searches (rule 9.1); empty if there is
// none.
func (c *carriers) mainFirst(families []Family, kept string) string {
	var first *Family
	for i := range families {
		f := &families[i]
		atHome := f.Place == "" || f.Place == c.home
		if !f.Kept || f.Waits() || f.Under != "" || f.Near || f.Service != c.main || !atHome {
			continue
		}
		if f.Key == kept {
			return kept
		}
		if first == nil || compareSearched(f, first) < 0 {
			first = f
		}
	}
	if first == nil {
		return ""
	}
	return first.Key
}
