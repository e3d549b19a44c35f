package page

import "golang.org/x/net/html"

// cascade is all style sheets of a page in their order.
type cascade struct {
	sheets []*sheet
	layers map[string]uint64 // rank by name, from 1
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
}

// apply puts declarations in, where nothing stronger stands.
func (st *style) apply(decls []declaration, layer, rest uint64) {
	for _, d := range decls {
		by := layer<<layerShift | rest
		if d.important {
			by = priorityImportant | (noLayer-layer)<<layerShift | rest
		}
		if !st.set[d.property] || by >= st.by[d.property] {
			st.set[d.property], st.value[d.property], st.by[d.property] = true, d.value, by
		}
	}
}

// applyInline puts the declarations of a style attribute in.
func (st *style) applyInline(decls []declaration) {
	for _, d := range decls {
		by := uint64(priorityInline)
		if d.important {
			by |= priorityImportant
		}
		if !st.set[d.property] || by >= st.by[d.property] {
			st.set[d.property], st.value[d.property], st.by[d.property] = true, d.value, by
		}
	}
}

// match applies all rules that match an element.
func (c *cascade) match(st *style, n *html.Node, id, class string) {
	for i, s := range c.sheets {
		s.each(n, id, class, func(r *rule) {
			st.apply(r.decls, c.rank(r.layer), r.specificity|uint64(i)<<sheetShift|r.order)
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
