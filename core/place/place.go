package place

import (
	"slices"
	"strings"

	"inktally/core/text"
)

// Place is a town or a community.
type Place struct {
	Name string
	// Spellings are other ways to write it: Tarn Harbour, T. Harbor.
	Spellings []string
	// State is the state's name or abbreviation, empty when it is not known.
	State string
	// Home reports whether it is the client's home town.
	Home bool
}

// Parse reads "Tarn Harbor, ME" or "Tarn Harbor, Maine" or "Tarn Harbor".
func Parse(s string) Place {
	name, state, _ := strings.Cut(s, ",")
	p := Place{Name: text.Collapse(name), State: text.Collapse(state)}
	if p.State != "" {
		return p
	}
	fields := strings.Fields(p.Name)
	if n := len(fields); n > 1 && len(fields[n-1]) == 2 && fields[n-1] == strings.ToUpper(fields[n-1]) {
		if _, ok := StateName(fields[n-1]); ok {
			p.Name, p.State = strings.Join(fields[:n-1], " "), fields[n-1]
		}
	}
	return p
}

// Tokens returns the tokens of the place's name.
func (p Place) Tokens() []string { return text.Tokens(p.Name) }

// Forms returns the tokens of the place's name and of its other spellings, those
// with mount, saint and the like each in both ways to write them (rule 3.5).
func (p Place) Forms() [][]string {
	forms := [][]string{p.Tokens()}
	for _, s := range p.Spellings {
		if tokens := text.Tokens(s); len(tokens) > 0 {
			forms = append(forms, tokens)
		}
	}
	for _, form := range forms {
		if bare := withoutKind(form); bare != nil {
			forms = append(forms, bare)
		}
	}
	for _, form := range forms {
		if other, ok := otherWay(form); ok {
			forms = append(forms, other)
		}
	}
	return forms
}

// withoutKind returns a name without what kind of place it is, which may be left out: Brantwick
// Township, City of Ostrey, Sorrel County (rule 3.6); nil where it does not say.
func withoutKind(name []string) []string {
	n := len(name)
	switch {
	case n > 2 && name[1] == "of" && (name[0] == "city" || name[0] == "town" || name[0] == "village" ||
		name[0] == "township"):
		return name[2:]
	case n > 1 && (name[n-1] == "township" || name[n-1] == "county" || name[n-1] == "twp"):
		return name[:n-1]
	}
	return nil
}

// ways are the two ways to write words of places' names.
var ways = map[string]string{"saint": "st", "sainte": "ste", "mount": "mt", "fort": "ft", "heights": "hts",
	"st": "saint", "ste": "sainte", "mt": "mount", "ft": "fort", "hts": "heights",
	"north": "n", "south": "s", "east": "e", "west": "w"}

// otherWay writes a name in the other way; false if it has one only.
func otherWay(tokens []string) ([]string, bool) {
	out, changed := slices.Clone(tokens), false
	for i, t := range tokens {
		if other := ways[t]; other != "" {
			out[i], changed = other, true
		}
	}
	return out, changed
}

// StateForms returns the forms of the place's state as tokens: its name and
// its abbreviation if it is one of the known states.
func (p Place) StateForms() [][]string {
	if strings.TrimSpace(p.State) == "" {
		return nil
	}
	forms := [][]string{text.Tokens(p.State)}
	if name, ok := StateName(p.State); ok {
		forms = append(forms, text.Tokens(name))
	}
	if abbreviation, ok := StateAbbreviation(p.State); ok {
		forms = append(forms, text.Tokens(abbreviation))
	}
	return forms
}

// OneForm brings the place that tokens name into one form: other spellings give
// way to the name, and the state right after it is left out (rule 3.5).
// Of several places the one with the longest form is taken.
func OneForm(tokens []string, places []Place) []string {
	best, lo, hi := -1, 0, 0
	for i, p := range places {
		for _, form := range p.Forms() {
			if at := Index(tokens, form); at >= 0 && len(form) > hi-lo {
				best, lo, hi = i, at, at+len(form)
			}
		}
	}
	if best < 0 {
		return tokens
	}
	return slices.Concat(tokens[:lo], places[best].Tokens(), places[best].withoutState(tokens[hi:]))
}

// withoutState takes the place's state from the beginning of tokens.
func (p Place) withoutState(tokens []string) []string {
	for _, form := range p.StateForms() {
		if len(form) > 0 && len(tokens) >= len(form) && slices.Equal(tokens[:len(form)], form) {
			return tokens[len(form):]
		}
	}
	return tokens
}

// Index returns where part stands in tokens, -1 when it does not.
func Index(tokens, part []string) int {
	if len(part) == 0 {
		return -1
	}
	for i := 0; i+len(part) <= len(tokens); i++ {
		if slices.Equal(tokens[i:i+len(part)], part) {
			return i
		}
	}
	return -1
}

// Home returns the home town, else the first place.
func Home(places []Place) (Place, bool) {
	for _, p := range places {
		if p.Home {
			return p, true
		}
	}
	if len(places) > 0 {
		return places[0], true
	}
	return Place{}, false
}
