package style

// Ancestry is a set of the classes and ids of an element's ancestors, each by
// one bit. It may hold what is not there, but never misses what is.
type Ancestry [2]uint64

// Add adds the classes and the id of an element.
func (a *Ancestry) Add(id, class string) {
	if id != "" {
		a.name(id)
	}
	for class != "" {
		var name string
		name, class = NextClass(class)
		a.name(name)
	}
}

func (a *Ancestry) name(name string) {
	h := uint32(2166136261)
	for i := range len(name) {
		h = (h ^ uint32(name[i])) * 16777619
	}
	a[h>>6&1] |= 1 << (h & 63)
}

// holds reports whether all of want may be there.
func (a *Ancestry) holds(want *Ancestry) bool {
	return a[0]&want[0] == want[0] && a[1]&want[1] == want[1]
}

// wanted returns the classes and ids that a selector asks of ancestors: those of
// the compounds behind which a blank or > stands.
func wanted(parts []compound) (want Ancestry) {
	for _, c := range parts {
		if c.then != ' ' && c.then != '>' {
			continue
		}
		if c.id != "" {
			want.name(c.id)
		}
		for _, class := range c.classes {
			want.name(class)
		}
	}
	return want
}
