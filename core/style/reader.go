package style

import (
	"strings"

	"github.com/tdewolff/parse/v2"
	"github.com/tdewolff/parse/v2/css"
)

// maxDepth bounds how deep rules may stand inside one another.
const maxDepth = 64

// reader takes the tokens of a style sheet apart as CSS Syntax 3 has it: a
// block holds declarations, rules and at-rules in any order, and what is none
// of them is left out up to its end.
type reader struct {
	sheet  *Sheet
	tokens []css.Token
	at     int
}

// place is where rules stand.
type place struct {
	parents []string // the selectors of the rule around, none at the top
	layer   string
	depth   int
}

// tokens parts a source into its tokens, without comments.
func tokens(source string) []css.Token {
	var out []css.Token
	lexer := css.NewLexer(parse.NewInputString(source))
	for {
		kind, data := lexer.Next()
		switch kind {
		case css.ErrorToken:
			if lexer.Err() != nil {
				return out
			}
		case css.CommentToken:
		default:
			out = append(out, css.Token{TokenType: kind, Data: data})
		}
	}
}

// kind returns the type of the next token, ErrorToken at the end.
func (r *reader) kind() css.TokenType {
	if r.at >= len(r.tokens) || r.sheet != nil && r.sheet.count >= maxRules {
		return css.ErrorToken
	}
	return r.tokens[r.at].TokenType
}

// rules reads a whole sheet.
func (r *reader) rules() {
	for {
		switch r.kind() {
		case css.ErrorToken:
			return
		case css.WhitespaceToken, css.CDOToken, css.CDCToken:
			r.at++
		case css.AtKeywordToken:
			r.atRule(place{})
		default:
			r.rule(place{})
		}
	}
}

// block reads the rest of a block, behind its opening brace.
func (r *reader) block(in place) {
	var set declarations
	flush := func() {
		if !set.empty() {
			own := set
			for _, selector := range in.parents {
				r.sheet.addRule(selector, &own, in.layer)
			}
			r.sheet.vars = r.sheet.vars || own.waits()
			set = declarations{}
		}
	}
	defer flush()
	for {
		switch r.kind() {
		case css.ErrorToken:
			return
		case css.RightBraceToken:
			r.at++
			return
		case css.WhitespaceToken, css.SemicolonToken:
			r.at++
		case css.AtKeywordToken:
			flush()
			r.atRule(in)
		case css.IdentToken, css.CustomPropertyNameToken:
			if !r.declaration(&set) {
				flush()
				r.rule(in)
			}
		default:
			flush()
			r.rule(in)
		}
	}
}

// declaration reads name: value. If that is none it goes back and is false.
func (r *reader) declaration(set *declarations) bool {
	start, name := r.at, r.tokens[r.at]
	r.at++
	r.blanks()
	if r.kind() != css.ColonToken {
		r.at = start
		return false
	}
	r.at++
	from := r.at
	for {
		switch r.kind() {
		case css.ErrorToken, css.SemicolonToken, css.RightBraceToken:
			set.add(name, r.tokens[from:r.at])
			return true
		case css.LeftBraceToken:
			if name.TokenType != css.CustomPropertyNameToken {
				r.at = start // a rule such as a:hover {
				return false
			}
		}
		r.skip()
	}
}

// rule reads a selector list and its block.
func (r *reader) rule(in place) {
	from := r.at
	for {
		switch kind := r.kind(); {
		case kind == css.ErrorToken, kind == css.RightBraceToken && in.depth > 0:
			return
		case kind == css.SemicolonToken && in.depth > 0:
			r.at++
			return
		case kind == css.LeftBraceToken:
			selectors, ok := prepareList(joined(r.tokens[from:r.at]), len(in.parents) > 0)
			if in.parents != nil {
				selectors = nest(in.parents, selectors)
			}
			if !ok || len(selectors) == 0 || in.depth == maxDepth {
				r.skip()
				return
			}
			r.at++
			r.block(place{parents: selectors, layer: in.layer, depth: in.depth + 1})
			return
		}
		r.skip()
	}
}

// atRule reads an at-rule, with or without a block.
func (r *reader) atRule(in place) {
	name := strings.ToLower(string(r.tokens[r.at].Data))
	r.at++
	from := r.at
	for {
		switch kind := r.kind(); {
		case kind == css.ErrorToken, kind == css.RightBraceToken && in.depth > 0:
			r.statement(name, r.tokens[from:min(r.at, len(r.tokens))], in)
			return
		case kind == css.SemicolonToken:
			r.statement(name, r.tokens[from:r.at], in)
			r.at++
			return
		case kind == css.LeftBraceToken:
			inner, ok := r.enter(name, strings.TrimSpace(joined(r.tokens[from:r.at])), in)
			if !ok || in.depth == maxDepth {
				r.skip()
				return
			}
			r.at++
			r.block(inner)
			return
		}
		r.skip()
	}
}

// enter reports whether what stands in an at-rule counts, and where it is.
func (r *reader) enter(name, prelude string, in place) (place, bool) {
	in.depth++
	switch name {
	case "@media":
		return in, MediaMatches(prelude)
	case "@supports":
		return in, supported(prelude)
	case "@layer":
		if prelude == "" {
			prelude = "\x00" + string(rune('a'+len(r.sheet.layers)))
		}
		in.layer = in.within(prelude)
		r.sheet.nameLayer(in.layer)
		return in, true
	case "@scope":
		root, ok := strings.CutPrefix(prelude, "(")
		root, rest, closed := strings.Cut(root, ")")
		in.parents = []string{root}
		return in, ok && closed && rest == ""
	}
	return in, false // @container, whose size is not known, @keyframes, @font-face ...
}

// statement takes an at-rule without a block: @import, @layer a, b.
func (r *reader) statement(name string, values []css.Token, in place) {
	switch name {
	case "@layer":
		for _, layer := range strings.Split(joined(values), ",") {
			r.sheet.nameLayer(in.within(strings.TrimSpace(layer)))
		}
	case "@import":
		if i, ok := parseImport(values); ok && in.depth == 0 {
			r.sheet.imports = append(r.sheet.imports, i)
			if i.layer != "" {
				r.sheet.nameLayer(i.layer)
			}
		}
	}
}

// within returns the full name of a layer that is named here.
func (in place) within(layer string) string {
	if in.layer != "" {
		return in.layer + "." + layer
	}
	return layer
}

func (r *reader) blanks() {
	for r.kind() == css.WhitespaceToken {
		r.at++
	}
}

// skip goes behind the next token, and if it opens a bracket behind the one
// that closes it.
func (r *reader) skip() {
	var closers []css.TokenType
	for r.at < len(r.tokens) {
		kind := r.tokens[r.at].TokenType
		r.at++
		switch kind {
		case css.LeftBraceToken:
			closers = append(closers, css.RightBraceToken)
		case css.LeftBracketToken:
			closers = append(closers, css.RightBracketToken)
		case css.LeftParenthesisToken, css.FunctionToken:
			closers = append(closers, css.RightParenthesisToken)
		default:
			if len(closers) > 0 && kind == closers[len(closers)-1] {
				closers = closers[:len(closers)-1]
			}
		}
		if len(closers) == 0 {
			return
		}
	}
}

func joined(tokens []css.Token) string {
	var b strings.Builder
	for _, t := range tokens {
		b.Write(t.Data)
	}
	return b.String()
}

// parseImport reads url(x) or "x", a layer, supports() and a media query list.
// It is not ok if the import does not hold.
func parseImport(values []css.Token) (i Import, ok bool) {
	r := reader{tokens: values}
	for r.kind() != css.ErrorToken && i.Address == "" {
		from := r.at
		r.skip()
		t := values[from]
		switch {
		case t.TokenType == css.URLToken, t.TokenType == css.StringToken:
			i.Address = address(t)
		case t.TokenType == css.FunctionToken && strings.EqualFold(string(t.Data), "url("):
			i.Address = unquote(strings.TrimSuffix(joined(values[from+1:r.at]), ")"))
		}
	}
	rest := strings.TrimSpace(joined(values[r.at:]))
	if tail, is := cutWord(rest, "layer"); is {
		i.layer, rest = "\x00import "+i.Address, tail
		if name, after, is := cutCall(tail); is {
			i.layer, rest = strings.TrimSpace(name), after
		}
	}
	if tail, is := cutWord(rest, "supports"); is {
		if what, after, is := cutCall(tail); is {
			if !strings.HasPrefix(strings.TrimSpace(what), "(") && strings.Contains(what, ":") {
				what = "(" + what + ")"
			}
			if !supported(what) {
				return i, false
			}
			rest = after
		}
	}
	return i, i.Address != "" && MediaMatches(rest)
}

// cutWord cuts a word off the beginning, whatever its case.
func cutWord(s, word string) (rest string, ok bool) {
	s = strings.TrimSpace(s)
	if len(s) >= len(word) && strings.EqualFold(s[:len(word)], word) {
		return s[len(word):], true
	}
	return s, false
}

// cutCall cuts (...) off the beginning.
func cutCall(s string) (inner, rest string, ok bool) {
	if !strings.HasPrefix(s, "(") {
		return "", s, false
	}
	end := closing(s, 0)
	if end < 0 {
		return "", s, false
	}
	return s[1:end], strings.TrimSpace(s[end+1:]), true
}
