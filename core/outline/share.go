package outline

import (
	"cmp"
	"slices"
)

// What sections to write hold at least and at most (rule 10.1).
const (
	leastWords   = 60 // of any section
	leastListed  = 20 // of a service in a list
	mostListed   = 50
	besideLead   = 3 // sections that a page has beside its lead
	enoughRivals = 2 // that have a section about the firm or the towns, where it is no home page
)

// group returns the kind with which a kind of section shares its part of the words: all about the page's subject
// do.
func (k SectionKind) group() SectionKind {
	if k == AspectText || k == StandingText {
		return ServiceText
	}
	return k
}

// of returns the part that a group of sections gets together, in percent.
func (s Shares) of(group SectionKind) float64 {
	switch group {
	case LeadSection:
		return s.Lead
	case ServiceText:
		return s.Services
	case Questions:
		return s.Questions
	case Towns:
		return s.Places
	case AboutFirm:
		return s.About
	}
	return 0
}

// share shares out what is to write (rule 10.1): by the shares of the writer's figure, less what a section holds,
// scaled to what is to write. Of the lead what exceeds its bound goes to the others, services that would get too
// little become a list, what is too short goes to the lead, whose bound holds in the end too.
func (o *outliner) share(list []Section) []Section {
	if !o.need(list) {
		return list
	}
	o.boundLead(list)
	list = o.listed(list)
	toLead(list)
	o.boundLead(list)
	byTens(list, o.p.ToWrite)
	return list
}

// boundLead gives what exceeds the lead's bound to the other sections, if there are any.
func (o *outliner) boundLead(list []Section) {
	lead := find(list, LeadSection)
	if lead < 0 {
		return
	}
	if over := list[lead].share - float64(o.y.SliceWords); over > 0 && o.spread(list, lead, over) {
		list[lead].share -= over
	}
}

// need works out what each section needs of what is to write, and reports whether there is any.
func (o *outliner) need(list []Section) bool {
	shares := o.y.Shares
	counts, all := map[SectionKind]float64{}, 0.0
	for _, s := range list {
		if k := s.Kind.group(); !s.Dropped && shares.of(k) > 0 {
			if counts[k]++; counts[k] == 1 {
				all += shares.of(k)
			}
		}
	}
	sum := 0.0
	for i := range list {
		s := &list[i]
		s.share = 0
		if k := s.Kind.group(); !s.Dropped && shares.of(k) > 0 {
			s.share = max(0, shares.of(k)/all/counts[k]*float64(o.p.Writer)-float64(s.Holds))
		}
		sum += s.share
	}
	if o.p.ToWrite == 0 || all == 0 {
		return false
	}
	if sum == 0 { // each holds what it should: the lead gets what there is
		list[max(0, find(list, LeadSection))].share, sum = 1, 1
	}
	for i := range list {
		list[i].share *= float64(o.p.ToWrite) / sum
	}
	return true
}

// find returns the first section of a kind that is not dropped, else the first of any, -1 for none.
func find(list []Section, kind SectionKind) int {
	at := slices.IndexFunc(list, func(s Section) bool { return s.Kind == kind && !s.Dropped })
	if at < 0 && kind == LeadSection {
		at = slices.IndexFunc(list, func(s Section) bool { return !s.Dropped })
	}
	return at
}

// spread gives words to the other sections that get some, in proportion, and reports whether there are any.
func (o *outliner) spread(list []Section, but int, words float64) bool {
	sum := 0.0
	for i := range list {
		if i != but {
			sum += list[i].share
		}
	}
	for i := range list {
		if i != but && sum > 0 {
			list[i].share += words * list[i].share / sum
		}
	}
	return sum > 0
}

// listed makes one section of those services that would get too few words for one each; what the list leaves
// goes to the others. One that the user said something of, or that stands on the page, stays by itself.
func (o *outliner) listed(list []Section) []Section {
	short := func(s Section) bool {
		_, said := o.p.Edits.Sections[s.Key]
		return s.Kind == ServiceText && !s.There && !s.Dropped && !said && s.share > 0 && s.share < leastWords
	}
	first, sum := slices.IndexFunc(list, short), 0.0
	if first < 0 {
		return list
	}
	var names []string
	for _, s := range list {
		if short(s) {
			names, sum = append(names, s.Subject), sum+s.share
		}
	}
	names = o.byGain(names)[:min(len(names), int(sum/leastListed))]
	words := min(sum, mostListed*float64(len(names)))
	if words < leastWords { // too few for a list: they go where all that is short goes
		return list
	}
	one := Section{Key: "services", Kind: ServiceList, Subjects: names, share: words}
	list = slices.Insert(slices.DeleteFunc(list, short), first, one)
	at := slices.IndexFunc(list, func(s Section) bool { return s.Key == one.Key })
	if !o.spread(list, at, sum-words) {
		list[at].share = sum
	}
	return list
}

// byGain returns services in the order in which the page's families name them, the others behind them.
func (o *outliner) byGain(names []string) []string {
	rank := map[string]int{}
	for i, f := range o.p.Families {
		if _, ok := rank[f.Service]; !ok {
			rank[f.Service] = i - len(o.p.Families)
		}
	}
	slices.SortStableFunc(names, func(a, b string) int { return cmp.Compare(rank[a], rank[b]) })
	return names
}

// toLead gives the words of sections that are too short to the lead, those of the shortest first. Where the lead is
// too short itself the longest takes its words.
func toLead(list []Section) {
	lead := find(list, LeadSection)
	for {
		at := -1
		for i, s := range list {
			if i != lead && s.share > 0 && s.share < leastWords && (at < 0 || s.share < list[at].share) {
				at = i
			}
		}
		if at < 0 {
			break
		}
		list[lead].share += list[at].share
		list[at].share = 0
	}
	if lead < 0 || list[lead].share >= leastWords {
		return
	}
	longest := lead
	for i, s := range list {
		if s.share > list[longest].share {
			longest = i
		}
	}
	if longest != lead {
		list[longest].share += list[lead].share
		list[lead].share = 0
	}
}

// byTens rounds down to tens; the tens that are left go one each to the other sections than the lead, in page order,
// and the odd words behind them.
func byTens(list []Section, toWrite int) {
	const ten, hair = 10, 1e-6
	left := toWrite
	var others []int
	lead := find(list, LeadSection)
	for i := range list {
		s := &list[i]
		s.Words = int((s.share+hair)/ten) * ten
		left -= s.Words
		if i != lead && s.Words > 0 {
			others = append(others, i)
		}
	}
	if len(others) == 0 && lead >= 0 {
		others = []int{lead}
	}
	for n := 0; left > 0 && len(others) > 0; n++ {
		give := min(ten, left)
		list[others[n%len(others)]].Words += give
		left -= give
	}
}
