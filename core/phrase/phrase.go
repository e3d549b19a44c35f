package phrase

import (
	"slices"
	"strings"
	"sync"

	"inktally/core/place"
	"inktally/core/text"
)

// Phrase is words that somebody types into a search.
type Phrase struct {
	Text string
	// Tokens are all its tokens, as they must stand for an exact occurrence.
	Tokens []string
	// Stems are the distinct stems of its content words, sorted. A state that
	// follows its town is left out: it may be missing (rule 3.2).
	Stems []string
	// NearMe reports whether it asks for what is near; it has no loose form.
	NearMe bool

	family string
}

// Family returns the key of the phrase's family: its content words and its place
// (rule 3.5). It is the same from run to run, as long as the client's
// language, places and ties are.
func (p Phrase) Family() string { return p.family }

// Language is what the phrases of one client are read with, and looked for in
// pages of whatever language: families are one thing (rule 3.5).
type Language struct {
	// Tag is that of the language (BCP 47).
	Tag string
	// Stem gives the stem of a token, that of the word that it is tied to where
	// the user tied it.
	Stem text.Stemmer
	// Small reports whether a word is small.
	Small   func(token string) bool
	English bool
	Places  []place.Place

	corrections Corrections
	near        [][]string // longest first
	// tied are the words that stand for others: they begin like no stem that is
	// looked for.
	tied []string
}

// LanguageOf returns what the phrases of a client are read with, by the tag of
// its language (BCP 47; empty is English).
func LanguageOf(tag string, places []place.Place, corrections Corrections) Language {
	l := Language{Tag: tag, Stem: text.StemmerFor(tag), Small: text.SmallFor(tag), English: text.English(tag),
		Places: places, corrections: corrections}
	if len(corrections.Small) > 0 {
		small, more := l.Small, text.Tokens(strings.Join(corrections.Small, " "))
		l.Small = func(token string) bool { return small(token) || slices.Contains(more, token) }
	}
	l.corrections.Read = followed(corrections.Read)
	l.tie(slices.Concat(corrections.Ties, spellingsAsTies(places)))
	for _, form := range corrections.Near {
		if tokens := text.Tokens(form); len(tokens) > 0 {
			l.near = append(l.near, tokens)
		}
	}
	slices.SortStableFunc(l.near, func(a, b []string) int { return len(b) - len(a) })
	return l
}

// longestChain is how many ties are followed one after another.
const longestChain = 5

// followed returns ties with each word read as what it means in the end: a slip of a doer as the act
// (rule 3.5).
func followed(read map[string][]string) map[string][]string {
	out := make(map[string][]string, len(read))
	for word, means := range read {
		for range longestChain {
			var next []string
			changed := false
			for _, t := range means {
				if more, ok := read[t]; ok && t != word && !slices.Contains(more, word) {
					next, changed = append(next, more...), true
				} else {
					next = append(next, t)
				}
			}
			if !changed {
				break
			}
			means = next
		}
		out[word] = means
	}
	return out
}

// HoldsBut reports whether a text holds a phrase, token by token, whatever small words stand in either (rule 9.2).
func (l Language) HoldsBut(held, phrase string) bool {
	content := func(s string) []string { return slices.DeleteFunc(text.Tokens(s), l.Small) }
	return place.Index(content(held), content(phrase)) >= 0
}

// Reads are tokens as they are read: slips and compounds as what they mean.
func (l Language) Reads(tokens []string) []string {
	for i, t := range tokens {
		if _, ok := l.corrections.Read[t]; !ok {
			continue
		}
		out := slices.Clone(tokens[:i])
		for _, t := range tokens[i:] {
			if as, ok := l.corrections.Read[t]; ok {
				out = append(out, as...)
			} else {
				out = append(out, t)
			}
		}
		return out
	}
	return tokens
}

// oneNear brings the ways to ask for what is near into one.
func (l Language) oneNear(tokens []string) []string {
	for _, form := range l.near {
		if at := place.Index(tokens, form); at >= 0 {
			return slices.Concat(tokens[:at], nearMe, tokens[at+len(form):])
		}
	}
	return tokens
}

var nearMe = []string{"near", "me"}

// Remembering returns the language with its stems remembered, for many phrases
// that have most of their words in common. It may be shared between goroutines.
func (l Language) Remembering() Language {
	stem, stems := l.Stem, &sync.Map{}
	l.Stem = func(token string) string {
		if s, ok := stems.Load(token); ok {
			return s.(string)
		}
		s := stem(token)
		stems.Store(token, s)
		return s
	}
	return l
}

// New reads a phrase.
func New(s string, lang Language) Phrase {
	p := read(s, lang)
	p.family = lang.family(p)
	return p
}

func read(s string, lang Language) Phrase {
	p := Phrase{Text: text.Collapse(s), Tokens: text.Tokens(s)}
	tokens := lang.oneNear(lang.Reads(inFull(p.Tokens)))
	p.NearMe = place.Index(tokens, nearMe) >= 0
	for _, t := range place.OneForm(tokens, lang.Places) {
		if !lang.Small(t) {
			p.Stems = append(p.Stems, lang.Stem(t))
		}
	}
	slices.Sort(p.Stems)
	p.Stems = slices.Compact(p.Stems)
	return p
}

// short are words of places' names that are written in two ways (rule 3.5), before
// the word that they belong to.
var short = map[string]string{"mt": "mount", "st": "saint", "ste": "sainte", "ft": "fort"}

// inFull writes them in full.
func inFull(tokens []string) []string {
	copied := false
	for i := 0; i+1 < len(tokens); i++ {
		if long := short[tokens[i]]; long != "" {
			if !copied {
				tokens, copied = slices.Clone(tokens), true
			}
			tokens[i] = long
		}
	}
	return tokens
}

// Empty reports whether a phrase is nothing but spaces and signs.
func (p Phrase) Empty() bool { return len(p.Tokens) == 0 }

// byRule returns the family of a phrase by its words (rule 3.5).
func (p Phrase) byRule() string {
	if len(p.Stems) == 0 {
		return "|" + p.folded()
	}
	key := strings.Join(p.Stems, " ")
	if p.NearMe {
		key += "|near me"
	}
	return key
}

// folded returns the same for phrases that differ in signs and case only.
func (p Phrase) folded() string { return strings.Join(p.Tokens, " ") }

// Fold returns the same for phrases that differ in signs and case only: their
// tokens, parted by spaces.
func Fold(phrase string) string { return strings.Join(text.Tokens(phrase), " ") }

// Family is phrases that mean the same search (rule 3.5).
type Family struct {
	// Key names the family wherever it is spoken of.
	Key string
	// Members are indices in the list that was grouped; the first is the lead.
	Members []int
}

// Families groups phrases. Families and their members keep the order in which
// they were given.
func Families(phrases []Phrase) []Family {
	var out []Family
	byKey := map[string]int{}
	for i, p := range phrases {
		at, ok := byKey[p.family]
		if !ok {
			at = len(out)
			byKey[p.family] = at
			out = append(out, Family{Key: p.family})
		}
		out[at].Members = append(out[at].Members, i)
	}
	return out
}
