package target

import (
	"maps"
	"strings"
)

// Adopt reads choices that were kept by older programs, which named a target by
// the text of its phrase: they are put under the key of the family that the
// phrase is of. What was said under the key itself goes first.
func Adopt(choices map[string]Choice, familyOf func(phrase string) (key string, ok bool)) map[string]Choice {
	out := maps.Clone(choices)
	for kept, choice := range choices {
		kind, of, found := strings.Cut(kept, ": ")
		if !found {
			continue
		}
		family, ok := familyOf(of)
		if today := partKey(PartKind(kind), family); ok && today != kept {
			if _, said := choices[today]; !said {
				out[today] = choice
			}
		}
	}
	return out
}
