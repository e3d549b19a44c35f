package page

import (
	"strings"

	"github.com/andybalholm/cascadia"
	"github.com/tdewolff/parse/v2"
	"github.com/tdewolff/parse/v2/css"
	"golang.org/x/net/html"
)

// maxRules bounds the rules of one page that are looked at.
const maxRules = 20000

// rule is one selector with the declarations that matter here.
type rule struct {
	selector cascadia.Sel
	decls    []declaration
	priority uint64 // specificity, then order
}

// stylesheet holds the rules of a page, found by what the last part of their
// selector asks for.
type stylesheet struct {
	byID, byClass, byTag map[string][]*rule
	any                  []*rule
	count                int
}

func newStylesheet() *stylesheet {
	return &stylesheet{byID: map[string][]*rule{}, byClass: map[string][]*rule{}, byTag: map[string][]*rule{}}
}

// add parses source and adds its rules behind those that are there.
func (s *stylesheet) add(source string) {
	p := css.NewParser(parse.NewInputString(source), false)
	r := sheetReader{sheet: s, parser: p}
	for s.count < maxRules {
		grammar, _, data := p.Next()
		if grammar == css.ErrorGrammar && !p.HasParseError() {
			return
		}
		r.take(grammar, data)
	}
}

// sheetReader is the state of one add.
type sheetReader struct {
	sheet     *stylesheet
	parser    *css.Parser
	skip      []bool // for each open at-rule: whether what is in it counts
	selectors []string
	decls     []declaration
}

func (r *sheetReader) take(grammar css.GrammarType, data []byte) {
	switch grammar {
	case css.BeginAtRuleGrammar:
		r.skip = append(r.skip, r.skipped() || !atRuleHolds(string(data), joined(r.parser.Values())))
	case css.EndAtRuleGrammar:
		if len(r.skip) > 0 {
			r.skip = r.skip[:len(r.skip)-1]
		}
	case css.QualifiedRuleGrammar, css.BeginRulesetGrammar:
		r.selectors = append(r.selectors, splitSelectors(r.parser.Values())...)
	case css.DeclarationGrammar:
		if d, ok := parseDeclaration(string(data), r.parser.Values()); ok {
			r.decls = append(r.decls, d)
		}
	case css.EndRulesetGrammar:
		if len(r.decls) > 0 && !r.skipped() {
			for _, selector := range r.selectors {
				r.sheet.addRule(selector, r.decls)
			}
		}
		r.selectors, r.decls = nil, nil
	}
}

func (r *sheetReader) skipped() bool { return len(r.skip) > 0 && r.skip[len(r.skip)-1] }

// atRuleHolds tells whether the rules inside an at-rule count.
func atRuleHolds(name, prelude string) bool {
	switch strings.ToLower(name) {
	case "@media":
		return mediaMatches(prelude)
	case "@supports":
		return !strings.HasPrefix(strings.ToLower(strings.TrimSpace(prelude)), "not")
	case "@layer":
		return true
	}
	return false
}

func joined(tokens []css.Token) string {
	var b strings.Builder
	for _, t := range tokens {
		b.Write(t.Data)
	}
	return b.String()
}

// splitSelectors splits a list of selectors at its commas.
func splitSelectors(tokens []css.Token) []string {
	var out []string
	depth, from := 0, 0
	for i, t := range tokens {
		switch t.TokenType {
		case css.FunctionToken, css.LeftParenthesisToken, css.LeftBracketToken:
			depth++
		case css.RightParenthesisToken, css.RightBracketToken:
			depth--
		case css.CommaToken:
			if depth == 0 {
				out = append(out, joined(tokens[from:i]))
				from = i + 1
			}
		}
	}
	return append(out, joined(tokens[from:]))
}

func (s *stylesheet) addRule(selector string, decls []declaration) {
	sel, err := cascadia.Parse(strings.TrimSpace(selector))
	if err != nil {
		return
	}
	s.count++
	sp := sel.Specificity()
	r := &rule{
		selector: sel, decls: decls,
		priority: clamp(sp[0])<<52 | clamp(sp[1])<<42 | clamp(sp[2])<<32 | uint64(s.count),
	}
	kind, name := rightmost(selector)
	switch kind {
	case '#':
		s.byID[name] = append(s.byID[name], r)
	case '.':
		s.byClass[name] = append(s.byClass[name], r)
	case 'a':
		name = strings.ToLower(name)
		s.byTag[name] = append(s.byTag[name], r)
	default:
		s.any = append(s.any, r)
	}
}

func clamp(n int) uint64 { return uint64(min(n, 1023)) }

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

// style is the outcome of the cascade for one element: a value for each
// property that is set.
type style struct {
	set   [propCount]bool
	value [propCount]uint8
	by    [propCount]uint64
}

const (
	priorityImportant = 1 << 63
	priorityInline    = 1 << 62
)

func (st *style) apply(decls []declaration, priority uint64) {
	for _, d := range decls {
		by := priority
		if d.important {
			by |= priorityImportant
		}
		if !st.set[d.property] || by >= st.by[d.property] {
			st.set[d.property], st.value[d.property], st.by[d.property] = true, d.value, by
		}
	}
}

// match applies all rules that match an element.
func (s *stylesheet) match(st *style, n *html.Node, id, class string) {
	if s.count == 0 {
		return
	}
	s.try(st, n, s.any)
	s.try(st, n, s.byTag[n.Data])
	if id != "" {
		s.try(st, n, s.byID[id])
	}
	for class != "" {
		var name string
		name, class = nextField(class)
		if name != "" {
			s.try(st, n, s.byClass[name])
		}
	}
}

func (s *stylesheet) try(st *style, n *html.Node, rules []*rule) {
	for _, r := range rules {
		if r.selector.Match(n) {
			st.apply(r.decls, r.priority)
		}
	}
}

// nextField parts the first field off a list parted by white space.
func nextField(s string) (field, rest string) {
	s = strings.TrimLeft(s, " \t\n\r\f")
	if at := strings.IndexAny(s, " \t\n\r\f"); at >= 0 {
		return s[:at], s[at+1:]
	}
	return s, ""
}
