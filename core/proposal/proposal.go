// Package proposal writes what is proposed whole for a page: its title, description, h1 and address
// (rules 9.2, 10.3).
//
// In go a phrase and what is known of the client and the page; out come texts that say the phrase.
package proposal

import (
	"net/url"
	"path"
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/copy"
	"inktally/core/imagename"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// How long a proposed title and description may be, in characters (rule 9.2).
const (
	longestTitle       = 60
	longestDescription = 155
	manyTowns          = 3 // from how many a description names some
)

// Page is what is known of a page and its client.
type Page struct {
	Language phrase.Language
	// Texts are those of the client's language.
	Texts copy.Texts
	// Places are those that are written with capitals.
	Places []place.Place
	// Firm is the business with its telephone, Services all names of what it sells, Towns its communities.
	Firm, Phone string
	Services    []string
	Towns       []string
	// URL is the address of the page, empty for one to make; Turn tells it apart from the client's others.
	URL  string
	Turn int
}

// H1 returns the phrase as it stands in a text.
func (p Page) H1(says string) string { return place.Capitals(says, p.Places, true) }

// Title returns the phrase, the state and the name, as much of it as there is room for: a name that is too long
// is shortened to its brand words before it goes.
func (p Page) Title(says string) string {
	if title := p.Texts.Title(p.known(p.H1(says), p.state(says)), longestTitle); title != "" {
		return title
	}
	return p.H1(says)
}

// known tells what is known of the client and the page for its texts, with a phrase as it is to be said.
func (p Page) known(spoken, state string) copy.Known {
	return func(blank string) string {
		switch blank {
		case copy.Phrase:
			return spoken
		case copy.State:
			return state
		case copy.Firm:
			return p.Firm
		case copy.Brand:
			return p.brand()
		case copy.Phone:
			return p.Phone
		case copy.Towns:
			if len(p.Towns) >= manyTowns {
				return p.Texts.List(p.Towns[:manyTowns])
			}
		}
		return ""
	}
}

// Both returns a title or an H1 that says two phrases, the second one because the page is found by it today; it is not
// ok where they do not fit (rule 9.2).
func (p Page) Both(says, kept, between string) (both string, ok bool) {
	both = p.H1(says) + between + p.H1(kept)
	return both, utf8.RuneCountInString(both) <= longestTitle
}

// brand returns the name of the firm without the words of its services at its end: Brindle & Ash.
func (p Page) brand() string {
	ofServices := map[string]bool{}
	for _, form := range p.Services {
		for _, t := range text.Tokens(form) {
			ofServices[p.Language.Stem(t)] = true
		}
	}
	words := strings.Fields(p.Firm)
	for len(words) > 1 && ofServices[p.Language.Stem(strings.Join(text.Tokens(words[len(words)-1]), ""))] {
		words = words[:len(words)-1]
	}
	return strings.TrimRight(strings.Join(words, " "), " &,-")
}

// state returns the abbreviation of the state, for a phrase that ends in its town.
func (p Page) state(says string) string {
	tokens := text.Tokens(says)
	for _, at := range p.Places {
		name := at.Tokens()
		short, known := place.StateAbbreviation(at.State)
		if known && len(name) > 0 && len(tokens) >= len(name) && slices.Equal(tokens[len(tokens)-len(name):], name) {
			return strings.ToUpper(short)
		}
	}
	return ""
}

// Description returns one of the language's sentences about the phrase, another on each page.
func (p Page) Description(says string) string {
	spoken, state := p.H1(says), p.state(says)
	if state != "" {
		spoken += ", " + state
	}
	return p.Texts.Describe(p.Turn, p.known(spoken, state), longestDescription)
}

// Address returns the path that the page gets: that of today with its last part anew, or one of its own.
func (p Page) Address(says string) string {
	slug := imagename.Slug(says)
	u, err := url.Parse(p.URL)
	switch {
	case slug == "":
		return ""
	case err != nil || strings.Trim(u.Path, "/") == "" || u.RawQuery != "":
		return "/" + slug + "/"
	}
	folder, end := path.Dir(strings.TrimSuffix(u.Path, "/")), path.Ext(u.Path)
	if strings.HasSuffix(u.Path, "/") {
		end = "/"
	}
	return strings.TrimSuffix(folder, "/") + "/" + slug + end
}
