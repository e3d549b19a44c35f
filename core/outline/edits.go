package outline

import (
	"maps"
	"slices"
)

// apply puts what the user changed on the sections of an outline: their order, their
// headings, those added and those dropped.
func (e Edits) apply(list []Section) []Section {
	for _, key := range slices.Sorted(maps.Keys(e.Sections)) {
		edit := e.Sections[key]
		at := slices.IndexFunc(list, func(s Section) bool { return s.Key == key })
		if at < 0 {
			if !edit.Added {
				continue // what it was said of is no more
			}
			list = append(list, Section{Key: key, Kind: AddedText})
			at = len(list) - 1
		}
		s := &list[at]
		s.Dropped = edit.Dropped
		if edit.Heading != "" {
			s.Heading, s.Renamed = edit.Heading, true
		}
	}
	return e.order(list)
}

// order puts the sections into the user's order. One that the user has not seen yet
// keeps its place behind the one before it.
func (e Edits) order(list []Section) []Section {
	if len(e.Order) == 0 {
		return list
	}
	out := make([]Section, 0, len(list))
	before := map[string][]Section{} // new ones by the key of the one before them
	last := ""
	for _, s := range list {
		if slices.Contains(e.Order, s.Key) {
			last = s.Key
			continue
		}
		before[last] = append(before[last], s)
	}
	out = append(out, before[""]...)
	for _, key := range e.Order {
		at := slices.IndexFunc(list, func(s Section) bool { return s.Key == key })
		if at < 0 || slices.ContainsFunc(out, func(s Section) bool { return s.Key == key }) {
			continue
		}
		out = append(out, list[at])
		out = append(out, before[key]...)
	}
	return out
}

// setWords puts the words that the user set. The rest makes up for them, in proportion,
// unless the user said that it does not.
func (e Edits) setWords(list []Section, toWrite int) {
	set, others := 0, 0
	for i := range list {
		s := &list[i]
		if words := e.Sections[s.Key].Words; words != nil && !s.Dropped {
			s.Words, s.Fixed = max(0, *words), true
			set += s.Words
		} else {
			others += s.Words
		}
	}
	if set == 0 && !slices.ContainsFunc(list, func(s Section) bool { return s.Fixed }) || e.Alone || others == 0 {
		return
	}
	left, at := max(0, toWrite-set), -1
	rest := left
	for i := range list {
		s := &list[i]
		if s.Fixed || s.Words == 0 {
			continue
		}
		if at < 0 || s.Kind == LeadSection {
			at = i
		}
		s.Words = s.Words * left / others / 10 * 10
		rest -= s.Words
	}
	if at >= 0 {
		list[at].Words += rest
	}
}
