// Package named tells whether texts name what a client offers and where, as entries of searches and links are told by
// it (rules 6.1, 13.2).
//
// In goes what is known of a client; out come functions of a text.
package named

import (
	"inktally/core/place"
	"inktally/core/text"
	"inktally/internal/study"
)

// Place reports whether a text names a place of the client; nil as long as it has none.
func Place(k *study.Known) func(string) bool {
	if len(k.Places) == 0 {
		return nil
	}
	return func(s string) bool {
		tokens := text.Tokens(s)
		for _, p := range k.Places {
			for _, form := range p.Forms() {
				if place.Index(tokens, form) >= 0 {
					return true
				}
			}
		}
		return false
	}
}

// Service reports whether a text has a word of a service of the client; nil as long as it
// has none.
func Service(k *study.Known) func(string) bool {
	if len(k.Services) == 0 {
		return nil
	}
	lang := k.Language()
	stems := map[string]bool{}
	for _, s := range k.Services {
		for _, form := range s.Forms() {
			for _, t := range text.Tokens(form) {
				if !lang.Small(t) {
					stems[lang.Stem(t)] = true
				}
			}
		}
	}
	return func(s string) bool {
		for _, t := range text.Tokens(s) {
			if stems[lang.Stem(t)] {
				return true
			}
		}
		return false
	}
}
