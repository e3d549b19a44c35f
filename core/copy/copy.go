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
	State  = "{state}"
	// Brand is the name of the firm without the words of its services at its end.
	Brand = "{brand}"
)

// blanks returns all of them.
func blanks() []string { return []string{Phrase, Firm, Town, Towns, Phone, State, Brand} }

// Heading is one of the standing sections: its key, the same in all languages, and its heading.
type Heading struct{ Key, Heading string }

// Texts are those of a language.
type Texts struct {
	// Standing are the sections that stand on a page where rivals share too few (rule 10.1).
	Standing [4]Heading
	// Services heads a list of services, with {town}; Questions, Towns and About, with {firm}, the sections of
	// these names.
	Services, Questions, Towns, About string
	// Titles are whole titles (rule 9.2), of which a page gets the first that can be filled and fits.
	Titles []string
	// Descriptions are whole meta descriptions (rule 9.2), Short those where none of these fits; Sentences carry
	// a phrase word for word where it reads badly by itself.
	Descriptions, Short, Sentences []string
	// Superlatives stand in no title, H1 or URL that is proposed (rule 9.2).
	Superlatives []string
	// Calls are the words that a call to act begins with (rule 11).
	Calls []string
	// Picture is a blank for what an image shows; And stands between the last two of a list.
	Picture, And string
}

// Known tells what a blank is filled with, nothing where that is not known. It is asked only for what a text asks for.
type Known func(blank string) string

// One knows one blank alone.
func One(name, value string) Known {
	return func(blank string) string {
		if blank != name {
			return ""
		}
		return value
	}
}

// Fill puts what is known into a text; it is not ok where the text asks for something that is not known.
func Fill(pattern string, known Known) (filled string, ok bool) {
	for _, name := range blanks() {
		if !strings.Contains(pattern, name) {
			continue
		}
		value := known(name)
		if value == "" {
			return "", false
		}
		pattern = strings.ReplaceAll(pattern, name, value)
	}
	return text.Collapse(strings.ReplaceAll(pattern, "..", ".")), true
}

// Modest returns a phrase without the superlatives of the language: nobody believes them of a firm that says them.
func (t Texts) Modest(phrase string) string {
	return strings.Join(slices.DeleteFunc(strings.Fields(phrase), func(word string) bool {
		return slices.Contains(t.Superlatives, strings.Join(text.Tokens(word), ""))
	}), " ")
}

// Title returns the first title that can be filled and is not longer than most characters; empty if there is none.
func (t Texts) Title(known Known, most int) string {
	for _, pattern := range t.Titles {
		if filled, ok := Fill(pattern, known); ok && utf8.RuneCountInString(filled) <= most {
			return filled
		}
	}
	return ""
}

// Describe returns the description of the n-th page, of those that can be filled and are not longer than most
// characters; empty if none can.
func (t Texts) Describe(n int, known Known, most int) string {
	for _, patterns := range [][]string{t.Descriptions, t.Short} {
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
