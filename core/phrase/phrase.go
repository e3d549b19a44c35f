package phrase

import (
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// Phrase is words that somebody types into a search.
type Phrase struct {
	Text string
	// Tokens are all its tokens, as they must stand for an exact occurrence.
	Tokens []string
	// Stems are the distinct stems of its content words, sorted. A state that
	// follows its town is left out: it may be missing (MEASURES 3.2).
	Stems []string
	// NearMe tells that it asks for what is near; it has no loose form.
	NearMe bool
}

// Language is what phrases are read with: a stemmer and the known places.
type Language struct {
	Stem    text.Stemmer
	English bool
	Places  []place.Place
}

// LanguageOf returns what phrases of pages in a language are read with.
func LanguageOf(lang string, places []place.Place) Language {
	return Language{Stem: text.StemmerFor(lang), English: text.English(lang), Places: places}
}

// New reads a phrase.
func New(s string, lang Language) Phrase {
	p := Phrase{Text: text.Collapse(s), Tokens: text.Tokens(s)}
	p.NearMe = place.Index(p.Tokens, []string{"near", "me"}) >= 0
	for _, t := range place.StripState(p.Tokens, lang.Places) {
		if !text.Small(t) {
			p.Stems = append(p.Stems, lang.Stem(t))
		}
	}
	slices.Sort(p.Stems)
	p.Stems = slices.Compact(p.Stems)
	return p
}

// Empty tells a phrase of nothing but spaces and signs.
func (p Phrase) Empty() bool { return len(p.Tokens) == 0 }

// key is the same for all members of a family (MEASURES 3.5).
func (p Phrase) key() string {
	if len(p.Stems) == 0 {
		return "\x00" + strings.Join(p.Tokens, " ")
	}
	key := strings.Join(p.Stems, " ")
	if p.NearMe {
		key += "\x00near me"
	}
	return key
}

// Family is a list of phrases that mean the same search; the first is its
// lead.
type Family struct {
	// Members are indices in the list that was grouped.
	Members []int
}

// Families groups phrases (MEASURES 3.5). Families and their members keep the
// order in which they were given.
func Families(phrases []Phrase) []Family {
	var out []Family
	byKey := map[string]int{}
	for i, p := range phrases {
		at, ok := byKey[p.key()]
		if !ok {
			at = len(out)
			byKey[p.key()] = at
			out = append(out, Family{})
		}
		out[at].Members = append(out[at].Members, i)
	}
	return out
}
