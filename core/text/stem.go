package text

import (
	"strings"

	"github.com/blevesearch/snowballstem"
	"github.com/blevesearch/snowballstem/danish"
	"github.com/blevesearch/snowballstem/dutch"
	"github.com/blevesearch/snowballstem/english"
	"github.com/blevesearch/snowballstem/finnish"
	"github.com/blevesearch/snowballstem/french"
	"github.com/blevesearch/snowballstem/german"
	"github.com/blevesearch/snowballstem/hungarian"
	"github.com/blevesearch/snowballstem/italian"
	"github.com/blevesearch/snowballstem/norwegian"
	"github.com/blevesearch/snowballstem/portuguese"
	"github.com/blevesearch/snowballstem/romanian"
	"github.com/blevesearch/snowballstem/russian"
	"github.com/blevesearch/snowballstem/spanish"
	"github.com/blevesearch/snowballstem/swedish"
	"github.com/blevesearch/snowballstem/turkish"
)

// Stemmer turns a token into its stem (rule 2.5).
type Stemmer func(token string) string

// snowball are the stemmers by the language's code.
var snowball = map[string]func(*snowballstem.Env) bool{
	"da": danish.Stem, "de": german.Stem, "en": english.Stem, "es": spanish.Stem, "fi": finnish.Stem, "fr": french.Stem,
	"hu": hungarian.Stem, "it": italian.Stem, "nb": norwegian.Stem, "nl": dutch.Stem, "nn": norwegian.Stem, "no": norwegian.Stem,
	"pt": portuguese.Stem, "ro": romanian.Stem, "ru": russian.Stem, "sv": swedish.Stem, "tr": turkish.Stem,
}

// StemmerFor returns the stemmer of a language tag such as "en-US". A language
// without one keeps its tokens; without a tag the language is English.
func StemmerFor(tag string) Stemmer {
	if tag == "" {
		tag = "en"
	}
	stem, ok := snowball[Base(tag)]
	if !ok {
		return func(token string) string { return token }
	}
	return func(token string) string {
		if strings.ContainsAny(token, "0123456789") {
			return token
		}
		env := snowballstem.NewEnv(token)
		stem(env)
		return env.Current()
	}
}
