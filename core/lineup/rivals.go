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
func (r Rules) Take(entries []Entry) { r.TakeMore(entries, 0) }

// TakeMore marks the rivals among the entries from an index on, which join those before them: what was
// decided of these stays, and only the seats that are left are filled.
func (r Rules) TakeMore(entries []Entry, from int) {
	taken := map[string]bool{}
	var phones []string
	for _, e := range entries[:from] {
		if domain := Domain(e.URL); e.Taken && domain != "" && e.Part != Typed {
			taken[domain] = true
			phones = append(phones, e.Phone)
		}
	}
	for _, i := range r.candidates(entries) {
		if i < from {
			continue
		}
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
	for i := from; i < len(entries); i++ {
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
// client, each firm once, by its domain: with the page that the user typed for it, where there is one, at
// its place in the search. Firms that were only typed come last.
func (r Rules) Rivals(entries []Entry) []int {
	var list []int
	for i, e := range entries {
		if e.Taken && e.URL != "" && !e.Paying() {
			list = append(list, i)
		}
	}
	r.sort(list, entries)
	at := map[string]int{} // by the domain of a firm
	out := list[:0]
	for _, i := range list {
		domain := cmp.Or(Domain(entries[i].URL), entries[i].URL)
		had, ok := at[domain]
		switch {
		case !ok:
			at[domain] = len(out)
			out = append(out, i)
		case entries[i].Part == Typed && entries[out[had]].Part != Typed:
			out[had] = i
		}
	}
	return out
}

// Offer is who may take a seat whose page cannot be read: the seat stays until somebody adds the page by
// hand, or takes the next one (rule 6.2).
type Offer struct{ Unread, Next int }

// Offers returns for the rivals of which unread is true, in order, who is next; each is offered once.
func (r Rules) Offers(entries []Entry, unread func(Entry) bool) []Offer {
	had := map[string]bool{}
	for _, e := range entries {
		if e.Taken {
			had[Domain(e.URL)] = true
		}
	}
	var next []int
	for _, i := range r.candidates(entries) {
		e := entries[i]
		if domain := Domain(e.URL); domain != "" && !had[domain] && e.Kind == Business && !unread(e) &&
			e.Reason.Code != DismissedByHand {
			had[domain] = true
			next = append(next, i)
		}
	}
	var out []Offer
	for _, i := range r.Rivals(entries) {
		if unread(entries[i]) && len(out) < len(next) {
			out = append(out, Offer{i, next[len(out)]})
		}
	}
	return out
}

// InPack reports whether an entry is a map rival: a firm of the pack, whose reviews, listings and profile
// are compared, with a site or without (rule 6.2).
func (r Rules) InPack(e Entry) bool {
	return e.Part == Map && !e.Sponsored && e.Position <= r.Pack && (e.Kind == Business || e.Kind == Chain)
}

// Changed returns how many of the rivals among some entries are no rivals among others.
func (r Rules) Changed(from, to []Entry) (changed, of int) {
	stay := map[string]bool{}
	for _, i := range r.Rivals(to) {
		stay[Domain(to[i].URL)] = true
	}
	rivals := r.Rivals(from)
	for _, i := range rivals {
		if !stay[Domain(from[i].URL)] {
			changed++
		}
	}
	return changed, len(rivals)
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
