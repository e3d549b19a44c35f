package page

import (
	"regexp"
	"strings"

	"github.com/andybalholm/cascadia"
	"github.com/tdewolff/parse/v2"
	"github.com/tdewolff/parse/v2/css"
	"golang.org/x/net/html"
)

const (
	maxRules  = 20000 // of one sheet that are looked at
	maxNested = 64    // selectors that one nested rule may stand for
)

// rule is one selector with the declarations that matter here.
type rule struct {
	selector    cascadia.Sel
	ancestors   ancestry // what it asks of them
	decls       []declaration
	customs     []custom
	specificity uint64 // as it stands in a priority
	order       uint64 // within its sheet
	layer       string // its cascade layer, empty for none
}

// sheet holds the rules of one style sheet, found by what the last part of
// their selector asks for. It is not changed after it was parsed.
type sheet struct {
	byID, byClass, byTag map[string][]*rule
	any                  []*rule
	count                int
	vars                 bool     // some value that matters holds a var()
	layers               []string // in the order in which they are first named
	imports              []importRule
}

// importRule is an @import that holds on the screen.
type importRule struct{ address, layer string }

// parseSheet parses a style sheet; what cannot be parsed is left out.
func parseSheet(source string) *sheet {
	s := &sheet{byID: map[string][]*rule{}, byClass: map[string][]*rule{}, byTag: map[string][]*rule{}}
	r := sheetReader{sheet: s, parser: css.NewParser(parse.NewInputString(source), false)}
	for s.count < maxRules {
		grammar, _, data := r.parser.Next()
		if grammar == css.ErrorGrammar && !r.parser.HasParseError() {
			break
		}
		r.take(grammar, data)
	}
	return s
}

// sheetReader is the state of one parseSheet.
type sheetReader struct {
	sheet  *sheet
	parser *css.Parser
	open   []atRule
	nested []ruleset
	// listed are the selectors before the last comma, where the parser hands
	// them out one by one.
	listed []string
}

// atRule is an at-rule that is open.
type atRule struct {
	skip  bool
	layer string
}

// ruleset is a rule that is open; rules may stand inside one another.
type ruleset struct {
	selectors []string
	decls     []declaration
	customs   []custom
}

func (r *sheetReader) take(grammar css.GrammarType, data []byte) {
	switch grammar {
	case css.AtRuleGrammar:
		r.statement(strings.ToLower(string(data)), r.parser.Values())
	case css.BeginAtRuleGrammar:
		r.open = append(r.open, r.enter(strings.ToLower(string(data)), joined(r.parser.Values())))
	case css.EndAtRuleGrammar:
		if len(r.open) > 0 {
			r.open = r.open[:len(r.open)-1]
		}
	case css.QualifiedRuleGrammar:
		r.listed = append(r.listed, splitSelectors(r.parser.Values())...)
	case css.BeginRulesetGrammar:
		selectors := append(r.listed, splitSelectors(r.parser.Values())...)
		r.listed = nil
		if len(r.nested) > 0 {
			selectors = nest(r.nested[len(r.nested)-1].selectors, selectors)
		}
		r.nested = append(r.nested, ruleset{selectors: selectors})
	case css.DeclarationGrammar:
		if n := len(r.nested); n > 0 {
			if d, ok := parseDeclaration(string(data), r.parser.Values()); ok {
				r.nested[n-1].decls = append(r.nested[n-1].decls, d)
				r.sheet.vars = r.sheet.vars || d.raw != ""
			}
		}
	case css.CustomPropertyGrammar:
		if n := len(r.nested); n > 0 {
			r.nested[n-1].customs = append(r.nested[n-1].customs, parseCustom(string(data), r.parser.Values()))
		}
	case css.EndRulesetGrammar:
		r.endRuleset()
	}
}

func (r *sheetReader) endRuleset() {
	if len(r.nested) == 0 {
		return
	}
	last := r.nested[len(r.nested)-1]
	r.nested = r.nested[:len(r.nested)-1]
	if len(last.decls)+len(last.customs) == 0 || r.at().skip {
		return
	}
	for _, selector := range last.selectors {
		r.sheet.addRule(selector, last, r.at().layer)
	}
}

// at is the at-rule that is open, the zero value outside all.
func (r *sheetReader) at() atRule {
	if len(r.open) == 0 {
		return atRule{}
	}
	return r.open[len(r.open)-1]
}

// statement takes an at-rule without a body: @import, @layer a, b.
func (r *sheetReader) statement(name string, values []css.Token) {
	switch name {
	case "@layer":
		for _, layer := range strings.Split(joined(values), ",") {
			r.sheet.nameLayer(r.within(strings.TrimSpace(layer)))
		}
	case "@import":
		if i, ok := parseImport(values); ok {
			r.sheet.imports = append(r.sheet.imports, i)
			if i.layer != "" {
				r.sheet.nameLayer(i.layer)
			}
		}
	}
}

// within is the full name of a layer that is named here.
func (r *sheetReader) within(layer string) string {
	if outer := r.at().layer; outer != "" {
		return outer + "." + layer
	}
	return layer
}

func (s *sheet) nameLayer(layer string) {
	for _, have := range s.layers {
		if have == layer {
			return
		}
	}
	s.layers = append(s.layers, layer)
}

// enter opens an at-rule: what is in it counts or not, and in which layer.
func (r *sheetReader) enter(name, prelude string) atRule {
	in := r.at()
	prelude = strings.TrimSpace(prelude)
	switch name {
	case "@media":
		in.skip = in.skip || !mediaMatches(prelude)
	case "@supports":
		in.skip = in.skip || strings.HasPrefix(strings.ToLower(prelude), "not")
	case "@container":
		in.skip = true // sizes are not known here
	case "@layer":
		if prelude == "" {
			prelude = "\x00" + string(rune('a'+len(r.sheet.layers)))
		}
		in.layer = r.within(prelude)
		r.sheet.nameLayer(in.layer)
	case "@scope", "@starting-style":
		in.skip = true
	default:
		in.skip = true
	}
	return in
}

// parseImport reads url(x) or "x", a layer and a media query list. It is not
// ok where the import does not hold.
func parseImport(values []css.Token) (importRule, bool) {
	var i importRule
	var rest strings.Builder
	inURL := 0
	for _, t := range values {
		switch {
		case i.address == "" && t.TokenType == css.URLToken:
			i.address = unquote(strings.TrimSuffix(string(t.Data)[len("url("):], ")"))
		case i.address == "" && t.TokenType == css.FunctionToken && strings.EqualFold(string(t.Data), "url("):
			inURL = 1
		case i.address == "" && t.TokenType == css.StringToken:
			i.address = unquote(string(t.Data))
		case inURL == 1 && t.TokenType == css.RightParenthesisToken:
			inURL = 2
		default:
			rest.Write(t.Data)
		}
	}
	media := strings.TrimSpace(rest.String())
	if tail, ok := strings.CutPrefix(strings.ToLower(media), "layer"); ok {
		i.layer = "\x00import " + i.address
		if name, after, ok := strings.Cut(strings.TrimPrefix(tail, "("), ")"); ok && strings.HasPrefix(tail, "(") {
			i.layer, tail = strings.TrimSpace(name), after
		}
		media = strings.TrimSpace(tail)
	}
	if strings.HasPrefix(strings.ToLower(media), "supports(") {
		media = "" // taken to hold
	}
	return i, i.address != "" && mediaMatches(media)
}

func joined(tokens []css.Token) string {
	var b strings.Builder
	for _, t := range tokens {
		b.Write(t.Data)
	}
	return b.String()
}

// fleeting are the pseudo-classes and -elements that no element has while
// nobody does anything.
var fleeting = regexp.MustCompile(`(?i)::|:(?:hover|focus|focus-visible|focus-within|active|visited|target|before|after|first-line|first-letter)\b`)

// addRule adds a selector with its declarations, unless it never matches.
func (s *sheet) addRule(selector string, set ruleset, layer string) {
	if !strings.Contains(selector, "(") && fleeting.MatchString(selector) {
		return
	}
	for _, v := range variants(selector) {
		sel, err := cascadia.Parse(v.selector)
		if err != nil {
			continue
		}
		s.count++
		s.file(rightmost(v.selector))(&rule{
			selector: sel, ancestors: wanted(v.selector), decls: set.decls, customs: set.customs, layer: layer, order: uint64(s.count), specificity: v.specificity(sel),
		})
	}
}

// file returns the function that puts a rule where it is found again.
func (s *sheet) file(kind byte, name string) func(*rule) {
	in := func(list map[string][]*rule, name string) func(*rule) {
		return func(r *rule) { list[name] = append(list[name], r) }
	}
	switch kind {
	case '#':
		return in(s.byID, name)
	case '.':
		return in(s.byClass, name)
	case 'a':
		return in(s.byTag, strings.ToLower(name))
	}
	return func(r *rule) { s.any = append(s.any, r) }
}

// rightmost tells what the last compound of a selector asks for: '#' an id,
// '.' a class, 'a' a tag, or '*' for what cannot be told so simply.
func rightmost(selector string) (kind byte, name string) {
	selector = strings.TrimSpace(selector)
	if strings.ContainsAny(selector, "()[]\\\"'") {
		return '*', ""
	}
	if at := strings.LastIndexAny(selector, " >+~\t\n\r"); at >= 0 {
		selector = selector[at+1:]
	}
	selector, _, _ = strings.Cut(selector, ":")
	if at := strings.LastIndexByte(selector, '#'); at >= 0 {
		name, _, _ = strings.Cut(selector[at+1:], ".")
		return '#', name
	}
	if at := strings.LastIndexByte(selector, '.'); at >= 0 {
		return '.', selector[at+1:]
	}
	if selector == "" || selector == "*" {
		return '*', ""
	}
	return 'a', selector
}

// each calls f with every rule that matches an element below the ancestors up.
func (s *sheet) each(n *html.Node, id, class string, up *ancestry, f func(*rule)) {
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
		name, class = nextField(class)
		if name != "" {
			try(s.byClass[name])
		}
	}
}
