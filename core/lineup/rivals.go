package lineup

import (
	"cmp"
	"slices"
)

// chainOrganic is up to which organic position a chain is taken by itself (rule 6.2).
const chainOrganic = 3

// Take marks the rivals that are taken by themselves (rule 6.2): the first organic
// business, then the first places of the map pack, of them firms that stand in the organic
// results too first, then organic businesses in order; none that is paid for, each firm
// once.
func (r Rules) Take(entries []Entry) {
	taken := map[string]bool{}
	var phones []string
	for _, i := range r.candidates(entries) {
		e := &entries[i]
		same := func(phone string) bool { return SameNumber(phone, e.Phone) }
		switch domain := Domain(e.URL); {
		case domain == "":
			e.Reason = Reason{Code: HasNoSite}
		case taken[domain] || slices.ContainsFunc(phones, same):
			e.Reason = Reason{Code: TakenAlready}
		case e.Kind == Chain && (e.Part != Organic || e.Position > chainOrganic):
			// What it is says why: it is proposed, with its page for this place.
		case e.Part == Map && e.Position > r.Pack:
			e.Reason = Reason{Code: BeyondPack, Number: r.Pack}
		case len(taken) == r.Most:
			e.Reason = Reason{Code: BeyondMost, Number: r.Most}
		default:
			e.Taken = true
			taken[domain] = true
			phones = append(phones, e.Phone)
		}
	}
	for i := range entries {
		switch e := &entries[i]; {
		case e.Part == Paid:
			e.Reason = Reason{Code: IsPaid}
		case e.Sponsored:
			e.Reason = Reason{Code: IsSponsored}
		}
	}
}

// candidates returns the businesses that nobody paid for, in the order in which they
// are taken.
func (r Rules) candidates(entries []Entry) []int {
	var list []int
	for i, e := range entries {
		if (e.Part == Map || e.Part == Organic) && !e.Paying() && (e.Kind == Business || e.Kind == Chain) {
			list = append(list, i)
		}
	}
	r.sort(list, entries)
	return list
}

// Rivals returns the entries taken, in the order in which they stand beside the
// client, each firm once, by its domain; those that the user typed come last.
func (r Rules) Rivals(entries []Entry) []int {
	var list []int
	for i, e := range entries {
		if e.Taken && e.URL != "" && !e.Paying() {
			list = append(list, i)
		}
	}
	r.sort(list, entries)
	seen := map[string]bool{}
	return slices.DeleteFunc(list, func(i int) bool {
		domain := cmp.Or(Domain(entries[i].URL), entries[i].URL)
		had := seen[domain]
		seen[domain] = true
		return had
	})
}

// sort orders entries: the first organic business, firms in both parts, the map pack, organic ones, typed
// ones; within each by position.
func (r Rules) sort(list []int, entries []Entry) {
	k := r.ranking(entries)
	slices.SortStableFunc(list, func(a, b int) int {
		return cmp.Or(cmp.Compare(k.rank(entries[a]), k.rank(entries[b])),
			cmp.Compare(entries[a].Position, entries[b].Position))
	})
}

// ranking is in which order the parts of a lineup are taken.
type ranking struct {
	rules   Rules
	organic map[string]bool // the domains of the first organic results
	// first is the first organic business, inPack whether it stands in the pack too.
	first  Entry
	inPack bool
}

func (r Rules) ranking(entries []Entry) ranking {
	k := ranking{rules: r, organic: map[string]bool{}}
	for _, e := range entries {
		if e.Part != Organic {
			continue
		}
		if e.Position <= r.Organic {
			k.organic[Domain(e.URL)] = true
		}
		if e.Kind == Business && e.URL != "" && (k.first.URL == "" || e.Position < k.first.Position) {
			k.first = e
		}
	}
	k.inPack = slices.ContainsFunc(entries, func(e Entry) bool {
		return !e.Sponsored && k.packed(e) && k.isFirst(e)
	})
	return k
}

// packed reports whether an entry stands among the places of the pack that count.
func (k ranking) packed(e Entry) bool { return e.Part == Map && e.Position <= k.rules.Pack }

// isFirst reports whether an entry is of the first organic business.
func (k ranking) isFirst(e Entry) bool {
	return k.first.URL != "" && e.URL != "" &&
		(Domain(e.URL) == Domain(k.first.URL) || SameNumber(e.Phone, k.first.Phone))
}

func (k ranking) rank(e Entry) int {
	switch {
	case k.isFirst(e) && (k.packed(e) || e.Part == Organic && !k.inPack):
		return 0
	case k.packed(e) && e.URL != "" && k.organic[Domain(e.URL)]:
		return 1
	case e.Part == Map:
		return 2
	case e.Part == Organic:
		return 3
	}
	return 4
}

// openUpTo is the last organic position that is worth having (rule 6.4).
const openUpTo = 5

// Open reports whether an entry leaves a high position to be had: an organic one
// that no business holds (rule 6.4).
func Open(e Entry) bool {
	return e.Part == Organic && e.Position <= openUpTo && e.Kind != Business && e.Kind != Client && e.Kind != Chain
}
