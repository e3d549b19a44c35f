package site

import (
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// Towns finds the towns of a gazetteer that tokens name, as the program writes them.
type Towns func(tokens []string) []string

// Knows lets the binder tell pages for towns that are none of the client's places, and returns it.
func (b *Binder) Knows(towns Towns) *Binder {
	b.towns = towns
	return b
}

// elsewhere returns the town that a page is for though it is none of the client's places,
// empty for none: a town with its state in the h1 or the title, else a town of the
// gazetteer that both the address and the h1 or title name.
func (b *Binder) elsewhere(clues Clues) string {
	last := LastOf(clues.URL)
	says := []string{clues.H1, titleOwn(clues.Title)}
	if len(b.Places(last)) > 0 || slices.ContainsFunc(says, func(s string) bool { return len(b.Places(s)) > 0 }) {
		return ""
	}
	for _, s := range says {
		if m := place.TownState.FindStringSubmatch(s); m != nil {
			if at, ok := place.TownBefore(m[1], m[2]); ok && len(place.Regions(m[2])) > 0 {
				if name := b.barely(at.Name); name != "" {
					return name
				}
			}
		}
	}
	if b.towns == nil {
		return ""
	}
	for _, town := range b.towns(text.Tokens(last)) {
		if slices.ContainsFunc(says, func(s string) bool { return slices.Contains(b.towns(text.Tokens(s)), town) }) {
			return town
		}
	}
	return ""
}

// barely returns the name of a town without the words of services that stand before it.
func (b *Binder) barely(name string) string {
	fields := strings.Fields(name)
	for len(fields) > 0 {
		stem := b.lang.Stem(strings.Join(text.Tokens(fields[0]), ""))
		if _, act := b.acts[stem]; !act && b.weights[stem] == 0 {
			break
		}
		fields = fields[1:]
	}
	return strings.Join(fields, " ")
}
