package style

import "strings"

// truth is the outcome of a condition; what a browser does not know is
// neither true nor false, and so is what is said not to be it.
type truth int8

const (
	no truth = iota
	yes
	unknown
)

func of(b bool) truth {
	if b {
		return yes
	}
	return no
}

// condition evaluates brackets joined by not, and, or, as @media and @supports
// have them. leaf evaluates what stands in a pair of brackets, or a call.
func condition(fields []string, leaf func(string) truth) truth {
	return within(fields, leaf, 0)
}

func within(fields []string, leaf func(string) truth, depth int) truth {
	if depth == maxBrackets {
		return unknown
	}
	if len(fields) == 2 && fields[0] == "not" {
		if t := operand(fields[1], leaf, depth); t != unknown {
			return 1 - t
		}
		return unknown
	}
	if len(fields)%2 == 0 {
		return unknown
	}
	result := operand(fields[0], leaf, depth)
	for i := 1; i < len(fields); i += 2 {
		next := operand(fields[i+1], leaf, depth)
		switch {
		case fields[i] != fields[1]:
			return unknown // and beside or
		case fields[i] == "and":
			result = both(result, next)
		case fields[i] == "or":
			result = either(result, next)
		default:
			return unknown
		}
	}
	return result
}

func operand(s string, leaf func(string) truth, depth int) truth {
	inner, rest, ok := cutCall(s)
	if !ok || rest != "" {
		return leaf(s)
	}
	inner = strings.TrimSpace(inner)
	if strings.HasPrefix(inner, "(") || strings.HasPrefix(inner, "not ") || strings.HasPrefix(inner, "not(") {
		return within(fields(inner), leaf, depth+1)
	}
	return leaf(inner)
}

func both(a, b truth) truth {
	if a == no || b == no {
		return no
	}
	return max(a, b)
}

func either(a, b truth) truth {
	if a == yes || b == yes {
		return yes
	}
	return max(a, b)
}

// fields parts a text at its blanks, but not within brackets; a closing
// bracket ends a field.
func fields(s string) []string {
	var out []string
	depth, from := 0, 0
	end := func(at int) {
		if f := strings.TrimSpace(s[from:at]); f != "" {
			out = append(out, f)
		}
		from = at
	}
	for i := range len(s) {
		switch {
		case s[i] == '(':
			depth++
		case s[i] == ')':
			if depth--; depth == 0 {
				end(i + 1)
			}
		case isBlank(s[i]) && depth == 0:
			end(i)
		}
	}
	end(len(s))
	return out
}
