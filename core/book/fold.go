package book

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/phrase"
)

// fold puts families of one need under the one with the most counted searches
// (rule 3.10): those that are equal without their words of hiring, near me read as
// the home town. Each stays a family of its own.
func fold(families []Family, in Input) {
	rows := map[string][]int{}
	var order []string
	for i := range families {
		f := &families[i]
		f.RowGain, f.RowVolume = f.Gain, f.Volume
		if !f.Kept || !f.Intent.Hires() || f.Service == "" || f.Waits() {
			continue
		}
		need := in.Judge.Need(f.Lead().Text, in.Home)
		if rows[need] == nil {
			order = append(order, need)
		}
		rows[need] = append(rows[need], i)
	}
	for _, need := range order {
		row := rows[need]
		if len(row) < 2 {
			continue
		}
		slices.SortStableFunc(row, func(a, b int) int {
			x, y := &families[a], &families[b]
			return cmp.Or(compareBool(x.Near, y.Near), cmp.Compare(y.Volume, x.Volume), plainer(x, y))
		})
		lead := &families[row[0]]
		for _, i := range row[1:] {
			f := &families[i]
			if f.apart() {
				continue
			}
			f.Under = lead.Key
			lead.Also = append(lead.Also, f.Key)
			lead.RowGain += f.Gain * in.Rules.AlsoShare
			lead.RowVolume += f.Volume * in.Rules.AlsoShare
		}
	}
}

// plainer orders families that are searched for alike: those without near me and without a word of hiring first,
// then those of the fewest words, of the fewest letters, and those that the book had first (rule 3.10).
func plainer(a, b *Family) int {
	x, y := a.Lead().Text, b.Lead().Text
	return cmp.Or(compareBool(a.Near, b.Near), compareBool(a.urges, b.urges),
		cmp.Compare(len(strings.Fields(x)), len(strings.Fields(y))), cmp.Compare(len(x), len(y)),
		typedFirst(a.typed(), b.typed()))
}

// apart reports whether the user parted a family from another by hand, or typed it for a
// page: it stays a row of its own.
func (f *Family) apart() bool {
	return slices.ContainsFunc(f.Members, func(m Phrase) bool {
		return m.Typed > 0 || m.With != "" && m.With == phrase.Fold(m.Text)
	})
}

// Member is what a page must say besides its lead, in the order of words in which
// people type it (rule 9.3).
type Member struct {
	Phrase
	// Wanted reports whether a member is typed often enough to stand exactly on the page.
	Wanted bool
	// Also reports whether it is the lead of a family that is folded under the row (rule 3.10).
	Also bool
	// Share is its part of the volume of the row, as far as it is counted (rules 7.3,
	// 12.2).
	Share float64
}

// ByKey are families by their keys.
func ByKey(families []Family) map[string]*Family {
	out := make(map[string]*Family, len(families))
	for i := range families {
		out[families[i].Key] = &families[i]
	}
	return out
}

// MembersOf returns the further members of a family's row, those searched for most
// first; others is with what share members beside the lead count. A phrase with near me
// is never asked for in a text.
func MembersOf(f *Family, byKey map[string]*Family, rules Rules, slips map[string]bool, others float64) []Member {
	var out []Member
	row := f.Volume
	lead := 0
	if v := f.Lead().Volume; v != nil {
		lead = *v
	}
	for _, m := range f.Members[1:] {
		out = append(out, Member{Phrase: m})
	}
	for _, key := range f.Also {
		folded := byKey[key]
		if folded == nil {
			continue
		}
		row += rules.AlsoShare * folded.Volume
		if !folded.Near {
			out = append(out, Member{Phrase: folded.Lead(), Also: true})
		}
	}
	slices.SortStableFunc(out, func(a, b Member) int { return cmp.Compare(figure(b.Volume), figure(a.Volume)) })
	wanted := 0
	for i := range out {
		m := &out[i]
		enough := m.Volume != nil && *m.Volume >= rules.MemberSearches &&
			float64(*m.Volume)*100 >= float64(lead)*rules.MemberPercent
		if enough && !f.Near && wanted < rules.Members && !hasSlip(m.Text, slips) {
			m.Wanted = true
			wanted++
		}
		share := others
		if m.Also {
			share = rules.AlsoShare
		}
		if m.Volume != nil && row > 0 {
			m.Share = min(1, share*float64(*m.Volume)/row)
		}
	}
	return out
}
