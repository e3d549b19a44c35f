package plan

import (
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/place"
	"inktally/core/text"
)

// How long a proposed title and description may be, in characters (rule 9.2).
const (
	longestTitle       = 60
	longestDescription = 155
)

// proposal returns a whole title, description or h1 that says a phrase (rule 9.2), empty for
// other kinds.
func (b *builder) proposal(kind PartKind, phrase string) string {
	spoken := place.Capitals(phrase, b.places(), true)
	switch kind {
	case Title:
		return b.title(spoken, phrase)
	case Description:
		return b.description(spoken, phrase)
	case H1:
		return spoken
	}
	return ""
}

// places returns those that are written with capitals.
func (b *builder) places() []place.Place {
	if places := b.p.Criteria.Language().Places; len(places) > 0 {
		return places
	}
	return b.p.Named
}

// title returns the phrase, the state and the name, as much of it as there is room for.
func (b *builder) title(spoken, phrase string) string {
	state, name := b.state(phrase), ""
	if b.p.Topics.Firm != "" {
		name = " | " + b.p.Topics.Firm
	}
	for _, title := range []string{spoken + state + name, spoken + name, spoken + state} {
		if utf8.RuneCountInString(title) <= longestTitle {
			return title
		}
	}
	return spoken
}

// state returns the abbreviation of the state, behind a phrase that ends in its town.
func (b *builder) state(phrase string) string {
	tokens := text.Tokens(phrase)
	for _, p := range b.places() {
		name := p.Tokens()
		short, known := place.StateAbbreviation(p.State)
		if known && len(name) > 0 && len(tokens) >= len(name) && slices.Equal(tokens[len(tokens)-len(name):], name) {
			return ", " + strings.ToUpper(short)
		}
	}
	return ""
}

// description returns the phrase, who does it where, and how to get in touch.
func (b *builder) description(spoken, phrase string) string {
	sentence := spoken + b.state(phrase) + "."
	t := b.p.Topics
	more := []string{}
	switch {
	case t.Firm != "" && len(t.Towns) >= 3:
		more = append(more, " "+t.Firm+" also works in "+strings.Join(t.Towns[:2], ", ")+" and "+t.Towns[2]+".")
	case t.Firm != "":
		more = append(more, " By "+t.Firm+".")
	}
	if b.p.Phone != "" {
		more = append(more, " Call "+b.p.Phone+".")
	}
	for _, s := range more {
		if utf8.RuneCountInString(sentence+s) <= longestDescription {
			sentence += s
		}
	}
	return sentence
}
