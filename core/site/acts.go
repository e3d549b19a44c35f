package site

import (
	"slices"
	"strings"

	"inktally/core/phrase"
	"inktally/core/text"
)

// actWords are the words of acts: what is done to a thing, by the stems of their
// forms. Forms of one act are one: cleaning and sweeping.
type actWords map[string]int

// newActWords takes in a general list of acts, an entry for each with its forms parted
// by commas (rule 3.6).
func newActWords(lang phrase.Language, list []string) actWords {
	a := actWords{}
	for i, entry := range list {
		for _, form := range strings.Split(entry, ",") {
			if tokens := text.Tokens(form); len(tokens) == 1 {
				a[lang.Stem(tokens[0])] = i
			}
		}
	}
	return a
}

// work is what the name of a service says: a thing, and what is done to it.
type work struct {
	thing []string
	acts  map[int]bool
}

// parted parts stems into thing and acts.
func (a actWords) parted(stems []string) work {
	w := work{acts: map[int]bool{}}
	for _, stem := range stems {
		if act, ok := a[stem]; ok {
			w.acts[act] = true
		} else {
			w.thing = append(w.thing, stem)
		}
	}
	slices.Sort(w.thing)
	return w
}

// shares reports whether two works have an act in common.
func (w work) shares(o work) bool {
	for act := range w.acts {
		if o.acts[act] {
			return true
		}
	}
	return false
}

// same reports whether two works are of the same thing with an act in common.
func (w work) same(o work) bool { return slices.Equal(w.thing, o.thing) && w.shares(o) }
