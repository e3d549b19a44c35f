package page

import "strings"

// ancestry is a set of the classes and ids of an element's ancestors, each by
// one bit. It may hold what is not there, but never misses what is.
type ancestry [2]uint64

// add adds the classes and the id of an element.
func (a *ancestry) add(id, class string) {
	if id != "" {
		a.name(id)
	}
	for class != "" {
		var name string
		name, class = nextField(class)
		a.name(name)
	}
}

func (a *ancestry) name(name string) {
	h := uint32(2166136261)
	for i := range len(name) {
		h = (h ^ uint32(name[i])) * 16777619
	}
	a[h>>6&1] |= 1 << (h & 63)
}

// holds tells whether all of want may be there.
func (a *ancestry) holds(want *ancestry) bool {
	return a[0]&want[0] == want[0] && a[1]&want[1] == want[1]
}

// wanted are the classes and ids that a selector asks of ancestors: those of
// the compounds behind which a blank or > stands. What is not so simple asks
// for nothing.
func wanted(selector string) (want ancestry) {
	if strings.ContainsAny(selector, "()[]\\\"'") {
		return want
	}
	for selector != "" {
		end := strings.IndexAny(selector, combinators)
		if end < 0 {
			break
		}
		compound, rest := selector[:end], strings.TrimLeft(selector[end:], combinators)
		if between := selector[end : len(selector)-len(rest)]; !strings.ContainsAny(between, "+~") {
			compound, _, _ = strings.Cut(compound, ":")
			for at := strings.IndexAny(compound, ".#"); at >= 0; at = strings.IndexAny(compound, ".#") {
				compound = compound[at+1:]
				name := compound
				if next := strings.IndexAny(compound, ".#"); next >= 0 {
					name = compound[:next]
				}
				want.name(name)
			}
		}
		selector = rest
	}
	return want
}
