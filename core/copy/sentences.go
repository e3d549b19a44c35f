package copy

import (
	"slices"
	"strings"
)

// Sentences are those that carry a phrase word for word where it reads badly by itself, by language (Y).
type Sentences struct{ English, French, German, Spanish []string }

// StandardSentences returns those that everybody starts with.
func StandardSentences() Sentences {
	return Sentences{slices.Clone(english.Sentences), slices.Clone(french.Sentences), slices.Clone(german.Sentences),
		slices.Clone(spanish.Sentences)}
}

// Of returns those of a language by its tag, English for none, nothing for one that has none.
func (s Sentences) Of(tag string) []string {
	switch base, _, _ := strings.Cut(strings.ToLower(tag), "-"); base {
	case "", "en":
		return s.English
	case "fr":
		return s.French
	case "de":
		return s.German
	case "es":
		return s.Spanish
	}
	return nil
}
