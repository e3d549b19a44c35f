package intent

import (
	"strings"

	"inktally/core/place"
)

// span is a range of tokens.
type span struct{ lo, hi int }

func (s span) covers(i int) bool { return i >= s.lo && i < s.hi }

// state finds a state that is none of the client's. An abbreviation counts at
// the end of a phrase, behind a word that may be a town's name.
func (j *Judge) state(tokens, stems []string) span {
	for i := range tokens {
		for n := 1; n <= 3 && i+n <= len(tokens); n++ {
			name := strings.Join(tokens[i:i+n], " ")
			if n == 1 {
				name = strings.TrimSuffix(name, "s") // typed as a plural
			}
			for _, form := range []string{name, strings.Join(tokens[i:i+n], " ")} {
				if full, ok := place.StateName(form); ok && len(form) > 2 && strings.EqualFold(full, form) && !j.home[form] {
					return span{i, i + n}
				}
			}
		}
	}
	last := len(tokens) - 1
	if last < 1 || len(tokens[last]) != 2 || j.home[tokens[last]] || j.words[stems[last]]&isKnown != 0 {
		return span{}
	}
	if _, ok := place.StateName(strings.ToUpper(tokens[last])); ok && j.words[stems[last-1]]&isKnown == 0 {
		return span{last, last + 1}
	}
	return span{}
}
