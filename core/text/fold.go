package text

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// CutFold parts a text at the first place where another one stands, whatever its case. An
// empty one stands nowhere.
func CutFold(s, sub string) (before, after string, found bool) {
	if sub == "" {
		return s, "", false
	}
	for start := range s {
		if n, ok := prefixFold(s[start:], sub); ok {
			return s[:start], s[start+n:], true
		}
	}
	return s, "", false
}

// WithoutFold takes another text out of one wherever it stands, whatever its case.
func WithoutFold(s, sub string) string {
	var out strings.Builder
	for {
		before, after, found := CutFold(s, sub)
		out.WriteString(before)
		if !found {
			return out.String()
		}
		s = after
	}
}

// prefixFold reports whether a text begins with another one, and how many of its bytes that
// are: a letter may have more of them in one case than in the other.
func prefixFold(s, prefix string) (n int, ok bool) {
	for _, want := range prefix {
		r, size := utf8.DecodeRuneInString(s[n:])
		if size == 0 || r != want && unicode.ToLower(r) != unicode.ToLower(want) {
			return 0, false
		}
		n += size
	}
	return n, true
}
