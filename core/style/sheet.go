// Package style works out what the style sheets of a page say of its text:
// which boxes are shown, which end a block, which keep their lines
// (rules 1.2, 1.3). In go the sources of the sheets and, one by one, the
// elements of a page; out comes a Style for each.
//
// Only the few properties that matter to text are kept of a sheet. Rules hold
// as in a browser on a screen of 1280x800.
package style

import (
	"github.com/andybalholm/cascadia"
	"golang.org/x/net/html"
)

const (
	maxRules  = 20000 // of one sheet that are looked at
	maxNested = 64    // selectors that one nested rule may stand for
)

// rule is one selector with the declarations that matter here.
type rule struct {
	selector    cascadia.Sel
	ancestors   Ancestry // what it asks of them
	set         *declarations
	specificity uint64 // as it stands in a priority
	order       uint64 // within its sheet
	layer       string // its cascade layer, empty for none
}

// Sheet holds the rules of one style sheet, found by what the last part of
// their selector asks for. It is not changed after it was parsed.
type Sheet struct {
	byID, byClass, byTag map[string][]*rule
	any                  []*rule
	count                int
	vars                 bool     // some value that matters holds a var()
	layers               []string // in the order in which they are first named
	imports              []Import
}

// Import is an @import that holds on the screen.
type Import struct {
	Address string // as the sheet gives it
	layer   string
}

// Imports returns the sheets that this one asks for, in their order.
func (s *Sheet) Imports() []Import { return s.imports }

// Parse parses a style sheet; what cannot be parsed is left out.
func Parse(source string) *Sheet {
	s := &Sheet{byID: map[string][]*rule{}, byClass: map[string][]*rule{}, byTag: map[string][]*rule{}}
	r := reader{sheet: s, tokens: tokens(source)}
	r.rules()
	return s
}

func (s *Sheet) nameLayer(layer string) {
	for _, have := range s.layers {
		if have == layer {
			return
		}
	}
	s.layers = append(s.layers, layer)
}

// addRule adds a selector with its declarations.
func (s *Sheet) addRule(selector string, set *declarations, layer string) {
	for _, v := range variants(selector) {
		sel, err := cascadia.Parse(v.selector)
		if err != nil || s.count == maxRules {
			continue
		}
		s.count++
		parts := compounds(v.selector)
		s.file(&parts[len(parts)-1], &rule{
			selector: sel, ancestors: wanted(parts), set: set, layer: layer, order: uint64(s.count),
			specificity: v.specificity(sel),
		})
	}
}

// file puts a rule where it is found again by its last compound.
func (s *Sheet) file(last *compound, r *rule) {
	switch {
	case last.id != "":
		s.byID[last.id] = append(s.byID[last.id], r)
	case len(last.classes) > 0:
		name := last.classes[len(last.classes)-1]
		s.byClass[name] = append(s.byClass[name], r)
	case last.tag != "":
		s.byTag[last.tag] = append(s.byTag[last.tag], r)
	default:
		s.any = append(s.any, r)
	}
}

// each calls f with every rule that matches an element below the ancestors up.
func (s *Sheet) each(n *html.Node, id, class string, up *Ancestry, f func(*rule)) {
	try := func(rules []*rule) {
		for _, r := range rules {
			if up.holds(&r.ancestors) && r.selector.Match(n) {
				f(r)
			}
		}
	}
	try(s.any)
	try(s.byTag[n.Data])
	if id != "" {
		try(s.byID[id])
	}
	for class != "" {
		var name string
		name, class = NextClass(class)
		if name != "" {
			try(s.byClass[name])
		}
	}
}
