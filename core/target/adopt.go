package target

import "maps"

// Adopt reads choices that were kept by older programs, which named a target by
// the text of its phrase: they are put under the key of the family that the
// phrase is of. What was said under the key itself goes first.
func Adopt(choices map[string]Choice, familyOf func(phrase string) (key string, ok bool)) map[string]Choice {
	out := maps.Clone(choices)
	for kept, choice := range choices {
		if today := Today(kept, familyOf); today != kept {
			if _, said := choices[today]; !said {
				out[today] = choice
			}
		}
	}
	return out
}

// Today is the key that a program of today has for one that an older program kept.
func Today(kept string, familyOf func(phrase string) (key string, ok bool)) string {
	kind, of := ReadKey(kept)
	if family, ok := familyOf(of); of != "" && ok {
		return partKey(PartKind(kind), family)
	}
	return kept
}
