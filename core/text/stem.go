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
	"hu": hungarian.Stem, "it": italian.Stem, "nb": norwegian.Stem, "nl": dutch.Stem, "nn": norwegian.Stem,
	"no": norwegian.Stem,
	"pt": portuguese.Stem, "ro": romanian.Stem, "ru": russian.Stem, "sv": swedish.Stem, "tr": turkish.Stem,
}

// StemmerFor returns the stemmer of a language tag such as "en-US". A language
// without one keeps its tokens; without a tag the language is English.
func StemmerFor(tag string) Stemmer {
	if tag == "" {
		tag = "en"
	}
	base := Base(tag)
	stem, ok := snowball[base]
	if !ok {
		return func(token string) string { return token }
	}
	return func(token string) string {
		if strings.ContainsAny(token, "0123456789") {
			return token
		}
		if regular, ok := irregular[token]; ok && base == "en" {
			token = regular
		}
		env := snowballstem.NewEnv(token)
		stem(env)
		return env.Current()
	}
}

// irregular are plurals of English that share no ending with their singular, and
// words that two countries write in two ways (rule 2.5).
var irregular = map[string]string{
	"mice": "mouse", "lice": "louse", "geese": "goose", "feet": "foot", "teeth": "tooth", "men": "man",
	"women": "woman", "children": "child",
	"oxen": "ox", "leaves": "leaf", "knives": "knife", "shelves": "shelf", "wolves": "wolf", "calves": "calf",
	"halves": "half", "loaves": "loaf",
	"scarves": "scarf", "hooves": "hoof", "thieves": "thief", "wives": "wife", "lives": "life", "elves": "elf",
	"roofs": "roof", "rooves": "roof",
	"colour": "color", "colours": "color", "grey": "gray", "centre": "center", "centres": "center",
	"licence": "license", "licences": "license",
	"aluminium": "aluminum", "mould": "mold", "moulds": "mold", "moulding": "molding", "tyre": "tire", "tyres": "tire",
	"kerb": "curb", "kerbs": "curb",
	"plough": "plow", "ploughing": "plowing", "harbour": "harbor", "harbours": "harbor", "jewellery": "jewelry",
	"fibreglass": "fiberglass",
	"woollen":    "woolen", "neighbour": "neighbor", "neighbours": "neighbor", "labour": "labor",
	"catalogue": "catalog",
	"cheque":    "check",
	"storey":    "story", "storeys": "story", "metre": "meter", "litre": "liter", "programme": "program",
	"vapour": "vapor", "odour": "odor", "odours": "odor",
}
