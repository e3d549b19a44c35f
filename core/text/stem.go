package text

import (
	"strings"

	"github.com/kljensen/snowball/english"
	"github.com/kljensen/snowball/french"
	"github.com/kljensen/snowball/hungarian"
	"github.com/kljensen/snowball/norwegian"
	"github.com/kljensen/snowball/russian"
	"github.com/kljensen/snowball/spanish"
	"github.com/kljensen/snowball/swedish"
)

// Stemmer turns a token into its stem (MEASURES 2.5).
type Stemmer func(token string) string

// StemmerFor returns the stemmer of a language tag such as "en-US". A language
// without one keeps its tokens; without a tag the language is English.
func StemmerFor(lang string) Stemmer {
	primary, _, _ := strings.Cut(strings.ToLower(lang), "-")
	switch primary {
	case "", "en":
		return stemEnglish
	case "fr":
		return func(t string) string { return french.Stem(t, true) }
	case "es":
		return func(t string) string { return spanish.Stem(t, true) }
	case "ru":
		return func(t string) string { return russian.Stem(t, true) }
	case "sv":
		return func(t string) string { return swedish.Stem(t, true) }
	case "no", "nb", "nn":
		return func(t string) string { return norwegian.Stem(t, true) }
	case "hu":
		return func(t string) string { return hungarian.Stem(t, true) }
	}
	return func(t string) string { return t }
}

// English tells whether a language tag means English or nothing.
func English(lang string) bool {
	primary, _, _ := strings.Cut(strings.ToLower(lang), "-")
	return primary == "" || primary == "en"
}

// stemEnglish is Snowball English; tokens with digits stay as they are.
func stemEnglish(token string) string {
	if strings.ContainsAny(token, "0123456789") {
		return token
	}
	return english.Stem(token, true)
}

// SmallFor returns what tells the small words of a language: those of MEASURES
// 2.6 for English, the stop words that come with its stemmer for others. A
// language without a stemmer has none.
func SmallFor(lang string) func(token string) bool {
	primary, _, _ := strings.Cut(strings.ToLower(lang), "-")
	switch primary {
	case "", "en":
		return Small
	case "fr":
		// The list knows neither les nor à without its accent.
		return func(t string) bool { return t == "les" || t == "a" || french.IsStopWord(t) }
	case "es":
		return spanish.IsStopWord
	case "ru":
		return russian.IsStopWord
	case "sv":
		return swedish.IsStopWord
	case "no", "nb", "nn":
		return norwegian.IsStopWord
	case "hu":
		return hungarian.IsStopWord
	}
	return func(string) bool { return false }
}

// Small tells whether a folded token is a small word of English (MEASURES 2.6).
func Small(token string) bool {
	switch token {
	case "a", "an", "and", "at", "by", "for", "from", "in", "near", "of", "on",
		"or", "our", "the", "to", "with", "your":
		return true
	}
	return false
}
