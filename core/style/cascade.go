package style

import (
	"strings"

	"golang.org/x/net/html"
)

// Cascade is all style sheets of a page in their order. It is not safe for
// concurrent use.
type Cascade struct {
	sheets []added
	root   layer
	ranked bool
	vars   bool // some value that matters holds a var()
}

// added is a sheet in its place.
type added struct {
	*Sheet
	within string // the layer that it was imported into
	ranks  map[string]uint64
}

// The parts of a priority: important declarations beat all others, then
// inline ones, then the later layer or none, then specificity, then order. Among
// important ones the earlier layer wins.
const (
	priorityImportant = 1 << 63
	priorityInline    = 1 << 62
	layerShift        = 54
	noLayer           = 255
	sheetShift        = 20
)

// Add puts a sheet behind those that are there, into the layer of the import
// that brought it.
func (c *Cascade) Add(s *Sheet, by Import) {
	c.root.name(by.layer)
	for _, name := range s.layers {
		c.root.name(join(by.layer, name))
	}
	if s.count > 0 {
		c.sheets = append(c.sheets, added{Sheet: s, within: by.layer})
		c.vars = c.vars || s.vars
	}
}

// Within returns an import as it counts when the importing sheet is imported itself.
func (i Import) Within(by Import) Import {
	i.layer = join(by.layer, i.layer)
	return i
}

// Empty reports whether no sheet has a rule.
func (c *Cascade) Empty() bool { return len(c.sheets) == 0 }

// layer is a cascade layer with those in it, in the order of their naming.
type layer struct {
	part   string
	inside []*layer
}

func join(outer, inner string) string {
	if outer == "" || inner == "" {
		return outer + inner
	}
	return outer + "." + inner
}

func (l *layer) name(full string) {
	if full == "" {
		return
	}
	part, rest, _ := strings.Cut(full, ".")
	for _, have := range l.inside {
		if have.part == part {
			have.name(rest)
			return
		}
	}
	made := &layer{part: part}
	l.inside = append(l.inside, made)
	made.name(rest)
}

// rank numbers the layers: those inside before the one around them.
func (l *layer) rank(full string, ranks map[string]uint64) {
	for _, in := range l.inside {
		name := join(full, in.part)
		in.rank(name, ranks)
		ranks[name] = min(uint64(len(ranks)+1), noLayer-1)
	}
}

// rank numbers the layers once all sheets are there.
func (c *Cascade) rank() {
	c.ranked = true
	ranks := map[string]uint64{"": noLayer}
	c.root.rank("", ranks)
	for i := range c.sheets {
		s := &c.sheets[i]
		s.ranks = ranks
		if s.within == "" {
			continue
		}
		s.ranks = map[string]uint64{}
		for _, name := range append(s.layers, "") {
			s.ranks[name] = ranks[join(s.within, name)]
		}
	}
}

// priority returns that of a rule in a layer.
func priority(layer, rest uint64, important bool) uint64 {
	if important {
		return priorityImportant | (noLayer-layer)<<layerShift | rest
	}
	return layer<<layerShift | rest
}

// Element is what the cascade asks of an element.
type Element struct {
	Node              *html.Node
	ID, Class, Inline string    // its attributes id, class and style
	Up                *Ancestry // its ancestors
	Vars              *Vars     // the custom properties of its parent
}

// Style returns the outcome of the cascade for e.
func (c *Cascade) Style(e Element) (st Style) {
	if !c.ranked {
		c.rank()
	}
	st.Vars = e.Vars
	for i := range c.sheets {
		s := &c.sheets[i]
		s.each(e.Node, e.ID, e.Class, e.Up, func(r *rule) {
			layer, rest := s.ranks[r.layer], r.specificity|uint64(i)<<sheetShift|r.order
			for _, d := range r.set.list {
				st.put(d, priority(layer, rest, d.important))
			}
			if c.vars {
				for _, v := range r.set.customs {
					st.putCustom(v, priority(layer, rest, v.important))
				}
			}
		})
	}
	waits := c.vars
	if e.Inline != "" {
		set := inline(e.Inline)
		for _, d := range set.list {
			st.put(d, priorityOfInline(d.important))
		}
		for _, v := range set.customs {
			st.putCustom(v, priorityOfInline(v.important))
		}
		waits = waits || set.waits()
	}
	if len(st.customs) > 0 {
		st.Vars = &Vars{e.Vars, st.customs}
	}
	if waits {
		st.settle(st.Vars)
	}
	return st
}

func priorityOfInline(important bool) uint64 {
	if important {
		return priorityInline | priorityImportant
	}
	return priorityInline
}

// NextClass parts the first name off a list parted by white space, as an
// attribute class holds it.
func NextClass(s string) (name, rest string) {
	for s != "" && isBlank(s[0]) {
		s = s[1:]
	}
	for i := range len(s) {
		if isBlank(s[i]) {
			return s[:i], s[i+1:]
		}
	}
	return s, ""
}

func isBlank(c byte) bool { return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\f' }
