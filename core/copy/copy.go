// Package copy holds what is proposed for a client's page in the client's own language: headings,
// descriptions, sentences that carry a phrase, what is said of an image (rules 10.1, 10.3).
//
// In goes the tag of a language, out come its texts; a language without any gets the bare phrase.
package copy

import (
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/text"
)

// Places in texts that are filled with what is known of a client.
const (
	Phrase = "{phrase}"
	Firm   = "{firm}"
	Town   = "{town}"
	Towns  = "{towns}"
	Phone  = "{phone}"
)

// Heading is one of the standing sections: its key, the same in all languages, and its heading.
type Heading struct{ Key, Heading string }

// Texts are those of a language.
type Texts struct {
	// Standing are the sections that stand on a page where rivals share too few (rule 10.1).
	Standing []Heading
	// Services heads a list of services, with {town}; Questions, Towns and About, with {firm}, the sections of
	// these names.
	Services, Questions, Towns, About string
	// Descriptions are whole meta descriptions (rule 9.2), Plain those for want of a better one; Sentences carry
	// a phrase word for word where it reads badly by itself.
	Descriptions, Plain, Sentences []string
	// Calls are the words that a call to act begins with (rule 11).
	Calls []string
	// Picture is a blank for what an image shows; And stands between the last two of a list.
	Picture, And string
}

// languages are those that there are texts for, by the first part of their tags.
var languages = map[string]Texts{"en": english, "fr": french, "de": german, "es": spanish}

// Languages returns the tags of the languages that have texts.
func Languages() []string { return []string{"en", "fr", "de", "es"} }

// Of returns the texts of a language by its tag; those of one that has none say the bare phrase, under
// headings in English.
func Of(tag string) Texts {
	base, _, _ := strings.Cut(strings.ToLower(tag), "-")
	if base == "" {
		base = "en"
	}
	if t, ok := languages[base]; ok {
		return t
	}
	return Texts{Standing: english.Standing, Services: english.Services, Questions: english.Questions,
		Towns: english.Towns, About: english.About, Descriptions: []string{Phrase + ". " + Firm + ", " + Phone + "."},
		Picture: english.Picture, And: ","}
}

// Fill puts what is known into a text; it is not ok where the text asks for something that is not known.
func Fill(pattern string, known map[string]string) (filled string, ok bool) {
	for _, name := range []string{Phrase, Firm, Town, Towns, Phone} {
		if !strings.Contains(pattern, name) {
			continue
		}
		if known[name] == "" {
			return "", false
		}
		pattern = strings.ReplaceAll(pattern, name, known[name])
	}
	return text.Collapse(strings.ReplaceAll(pattern, "..", ".")), true
}

// Describe returns the description of the n-th page, of those that can be filled and are not longer than most
// characters; empty if none can.
func (t Texts) Describe(n int, known map[string]string, most int) string {
	for _, patterns := range [][]string{t.Descriptions, t.Plain} {
		var fit []string
		for _, pattern := range patterns {
			if filled, ok := Fill(pattern, known); ok && utf8.RuneCountInString(filled) <= most {
				fit = append(fit, filled)
			}
		}
		if len(fit) > 0 {
			return fit[n%len(fit)]
		}
	}
	return ""
}

// List writes names one after another: Ostrey, Quillby and Pell Crossing.
func (t Texts) List(names []string) string {
	last := len(names) - 1
	if last < 1 {
		return strings.Join(names, "")
	}
	between := " " + t.And + " "
	if t.And == "," {
		between = ", "
	}
	return strings.Join(slices.Clone(names[:last]), ", ") + between + names[last]
}
