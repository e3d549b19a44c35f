package style

import (
	"strings"

	"github.com/andybalholm/cascadia"
)

// splitList splits a text at the commas that stand in no brackets.
func splitList(list string) []string {
	var out []string
	depth, from := 0, 0
	for i := 0; i < len(list); i++ {
		switch list[i] {
		case '(', '[':
			depth++
		case ')', ']':
			depth--
		case '\\':
			i++
		case ',':
			if depth == 0 {
				out = append(out, strings.TrimSpace(list[from:i]))
				from = i + 1
			}
		}
	}
	return append(out, strings.TrimSpace(list[from:]))
}

// nest writes the selectors of a nested rule as they would stand outside.
func nest(parents, selectors []string) []string {
	var out []string
	for _, s := range selectors {
		for _, p := range parents {
			if len(out) == maxNested {
				return out
			}
			put := unnest(s, p)
			if put == s {
				put = p + " " + s
			}
			if len(put) <= maxSelector {
				out = append(out, put)
			}
		}
	}
	return out
}

// unnest puts the outer selector in for each & of one.
func unnest(selector, outer string) string {
	if !strings.Contains(selector, "&") {
		return selector
	}
	var b strings.Builder
	for i := 0; i < len(selector); i++ {
		switch {
		case selector[i] == '\\' && i+1 < len(selector):
			b.WriteString(selector[i : i+2])
			i++
		case selector[i] == '&':
			if b.Len() > maxSelector {
				return b.String() // too long by now
			}
			b.WriteString(outer)
		default:
			b.WriteByte(selector[i])
		}
	}
	return b.String()
}

// variant is a selector without :is and :where.
type variant struct {
	selector string
	// weighs is the selector whose specificity counts: with the heaviest of
	// each :is, and without :where. Empty if it is the selector itself.
	weighs string
}

// variants writes a selector with :is or :where as several without.
func variants(selector string) []variant {
	var done []variant
	open := []variant{{selector: selector}}
	for len(open) > 0 && len(done)+len(open) <= maxNested {
		v := open[0]
		open = open[1:]
		if at, name := firstList(v.selector); at < 0 {
			done = append(done, v)
		} else {
			open = append(open, v.expand(at, name)...)
		}
	}
	return done
}

// expand writes a selector once for each part of the list name(...) at byte
// at.
func (v variant) expand(at int, name string) []variant {
	end := closing(v.selector, at+len(name))
	if end < 0 {
		return nil
	}
	before, list, after := v.selector[:at], v.selector[at:end+1], v.selector[end+1:]
	parts := splitList(list[len(name)+1 : len(list)-1])
	weighs := v.weighs
	if weighs == "" {
		weighs = v.selector
	}
	weighs = strings.Replace(weighs, list, weight(name, parts, alone(before, after)), 1)
	var out []variant
	for _, part := range parts {
		if strings.TrimSpace(before) != "" && strings.ContainsAny(part, combinators) {
			part = ":not(:not(" + part + "))" // a chain holds beside what stands before
		}
		out = append(out, variant{joint(before, part) + after, weighs})
	}
	return out
}

// combinators part the compounds of a selector.
const combinators = " >+~"

// weight returns what stands for a list where specificity is counted: the heaviest
// part of :is, nothing for :where.
func weight(name string, parts []string, alone bool) string {
	switch {
	case name != ":where":
		return heavy(parts)
	case alone:
		return "*"
	}
	return ""
}

// joint joins a part to what stands before it. A tag stands first in its
// compound.
func joint(before, part string) string {
	from := strings.LastIndexAny(before, combinators) + 1
	if startsWithTag(part) && from < len(before) {
		return before[:from] + part + before[from:]
	}
	return before + part
}

// alone reports whether nothing else stands in a compound, so that its being
// taken away would leave none.
func alone(before, after string) bool {
	return (before == "" || strings.ContainsAny(before[len(before)-1:], combinators)) &&
		(after == "" || strings.ContainsAny(after[:1], combinators))
}

// firstList finds the first :is or :where of a selector.
func firstList(selector string) (at int, name string) {
	at = -1
	for _, n := range []string{":is", ":where", ":matches", ":-webkit-any"} {
		if i := strings.Index(selector, n+"("); i >= 0 && (at < 0 || i < at) {
			at, name = i, n
		}
	}
	return at, name
}

// closing finds the bracket that closes the one at open, -1 if none does.
func closing(s string, open int) int {
	depth := 0
	for i := open; i < len(s); i++ {
		switch s[i] {
		case '(':
			depth++
		case ')':
			if depth--; depth == 0 {
				return i
			}
		}
	}
	return -1
}

func startsWithTag(s string) bool {
	return s != "" && (s[0] >= 'a' && s[0] <= 'z' || s[0] >= 'A' && s[0] <= 'Z')
}

// heavy returns the part of a list with the highest specificity.
func heavy(parts []string) string {
	best, weight := "", cascadia.Specificity{}
	for _, p := range parts {
		if sel, err := cascadia.Parse(p); err == nil && (best == "" || weight.Less(sel.Specificity())) {
			best, weight = p, sel.Specificity()
		}
	}
	return best
}

// specificity returns the place of a variant's weight in a priority.
func (v variant) specificity(sel cascadia.Sel) uint64 {
	sp := sel.Specificity()
	if v.weighs != "" {
		sp = cascadia.Specificity{}
		if w, err := cascadia.Parse(v.weighs); err == nil {
			sp = w.Specificity()
		}
	}
	return clamp(sp[0], 63)<<48 | clamp(sp[1], 1023)<<38 | clamp(sp[2], 255)<<30
}

func clamp(n, most int) uint64 { return uint64(min(n, most)) }
