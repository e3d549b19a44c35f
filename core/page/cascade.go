package page

import "golang.org/x/net/html"

// cascade is all style sheets of a page in their order.
type cascade struct {
	sheets []*sheet
	layers map[string]uint64 // rank by name, from 1
	vars   bool              // some value that matters holds a var()
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

// add puts a sheet behind those that are there.
func (c *cascade) add(s *sheet) {
	for _, name := range s.layers {
		c.rank(name)
	}
	if s.count > 0 {
		c.sheets = append(c.sheets, s)
		c.vars = c.vars || s.vars
	}
}

func (c *cascade) rank(layer string) uint64 {
	if layer == "" {
		return noLayer
	}
	if r, ok := c.layers[layer]; ok {
		return r
	}
	if c.layers == nil {
		c.layers = map[string]uint64{}
	}
	r := min(uint64(len(c.layers)+1), noLayer-1)
	c.layers[layer] = r
	return r
}

func (c *cascade) empty() bool { return len(c.sheets) == 0 }

// style is the outcome of the cascade for one element: a value for each
// property that is set.
type style struct {
	set   [propCount]bool
	value [propCount]uint8
	by    [propCount]uint64
	// raw are the values that hold a var(), backgrounds the addresses of the
	// background images, customs the custom properties that are set here.
	raw         [propCount]string
	backgrounds []string
	customs     map[string]weighed
}

// weighed is the value of a custom property with its priority.
type weighed struct {
	value string
	by    uint64
}

// put sets a property where nothing stronger stands.
func (st *style) put(d declaration, by uint64) {
	if st.set[d.property] && by < st.by[d.property] {
		return
	}
	st.set[d.property], st.value[d.property], st.by[d.property] = true, d.value, by
	st.raw[d.property] = d.raw
	if d.property == propBackground {
		st.backgrounds = d.addresses
	}
}

// putCustom sets a custom property where nothing stronger stands.
func (st *style) putCustom(c custom, by uint64) {
	if st.customs == nil {
		st.customs = map[string]weighed{}
	}
	if have, ok := st.customs[c.name]; !ok || by >= have.by {
		st.customs[c.name] = weighed{c.value, by}
	}
}

// priority is that of a rule in a layer.
func priority(layer, rest uint64, important bool) uint64 {
	if important {
		return priorityImportant | (noLayer-layer)<<layerShift | rest
	}
	return layer<<layerShift | rest
}

// applyInline puts the declarations of a style attribute in.
func (st *style) applyInline(decls []declaration, customs []custom) {
	by := func(important bool) uint64 {
		if important {
			return priorityInline | priorityImportant
		}
		return priorityInline
	}
	for _, d := range decls {
		st.put(d, by(d.important))
	}
	for _, c := range customs {
		st.putCustom(c, by(c.important))
	}
}

// match applies all rules that match an element.
func (c *cascade) match(st *style, n *html.Node, id, class string, up *ancestry) {
	for i, s := range c.sheets {
		s.each(n, id, class, up, func(r *rule) {
			layer, rest := c.rank(r.layer), r.specificity|uint64(i)<<sheetShift|r.order
			for _, d := range r.decls {
				st.put(d, priority(layer, rest, d.important))
			}
			if c.vars {
				for _, v := range r.customs {
					st.putCustom(v, priority(layer, rest, v.important))
				}
			}
		})
	}
}

// nextField parts the first field off a list parted by white space.
func nextField(s string) (field, rest string) {
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
