package phrase

import (
	"inktally/core/place"
	"inktally/core/text"
)

// Corrections are what the user corrected of words and phrases; they go before
// the rules.
type Corrections struct {
	// Ties are words that mean the same.
	Ties Ties
	// With names, for a phrase, another one with whose family it stands, or
	// itself if it stands alone; both as their tokens, parted by spaces.
	With map[string]string
	// Small are small words beside those of the language.
	Small []string
	// Near are the ways to ask for what is near; all of them are one place.
	Near []string
	// Read are words that are read as others: a slip of spelling as the word that is
	// meant, drainfield as drain field. They are tokens.
	Read map[string][]string
}

// Ties are words that are taken as one: each stands for the first of its group
// (rule 3.5).
type Ties [][]string

// tie puts ties over the stems of a language.
func (l *Language) tie(ties Ties) {
	stands := map[string]string{}
	for _, group := range ties {
		first := text.Tokens(group[0])
		if len(first) != 1 {
			continue
		}
		for _, word := range group[1:] {
			if tokens := text.Tokens(word); len(tokens) == 1 {
				stands[l.Stem(tokens[0])] = l.Stem(first[0])
				l.tied = append(l.tied, tokens[0])
			}
		}
	}
	if len(stands) == 0 {
		return
	}
	plain := l.Stem
	l.Stem = func(token string) string {
		stem := plain(token)
		if other, ok := stands[stem]; ok {
			return other
		}
		return stem
	}
}

// spellingsAsTies takes other spellings of places word by word, if they
// have as many words as the name.
func spellingsAsTies(places []place.Place) (ties Ties) {
	for _, p := range places {
		name := p.Tokens()
		for _, form := range p.Forms()[1:] {
			if len(form) != len(name) {
				continue
			}
			for i := range form {
				if form[i] != name[i] {
					ties = append(ties, []string{name[i], form[i]})
				}
			}
		}
	}
	return ties
}

// family returns the family of a phrase: by its words, or where the user put it.
func (l Language) family(p Phrase) string {
	own := p.folded()
	with, ok := l.corrections.With[own]
	switch {
	case !ok:
		return p.byRule()
	case l.corrections.With[with] == with: // that one stands alone
		return "=" + with
	}
	return read(with, l).byRule()
}

// Admit lets the words that stand for others through a filter of stems.
func (l Language) Admit(filter *text.StemFilter) {
	for _, word := range l.tied {
		filter.Add(word, l.English)
	}
}
