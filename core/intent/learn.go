package intent

import (
	"slices"
	"strings"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// meaning is what a word can be.
type meaning uint16

const (
	isBrand meaning = 1 << iota
	isAside
	isQuestion
	isService // a word that tells a service by itself
	isKnown   // stands in some list
)

// Judge judges phrases for one client. It may be shared between goroutines
// where its language may.
type Judge struct {
	lang     phrase.Language
	words    map[string]meaning // by stem
	tokens   []string           // known tokens, for slips of spelling
	research []listed
	hire     []listed
	near     []listed
	goods    []listed
	places   []listed
	aside    []listed
	home     map[string]bool // the client's states, as tokens
	forms    []form
	jobs     map[string]float64 // what one job of a service brings
}

// form is one of the words for a service.
type form struct {
	service string
	stems   []string
}

// listed is an entry of a list, its words in the singular: an installer is no
// installation, so that stems would say too much.
type listed struct {
	text  string
	words []string
}

// singular is a word without the ending of the plural.
func singular(word string) string {
	if stem, ok := strings.CutSuffix(word, "ies"); ok && len(stem) > 1 {
		return stem + "y"
	}
	if stem, ok := strings.CutSuffix(word, "s"); ok && len(stem) > 2 && stem[len(stem)-1] != 's' {
		return stem
	}
	return word
}

// NewJudge prepares a judge for a client.
func NewJudge(g Ground) *Judge {
	j := &Judge{lang: g.Language, words: map[string]meaning{}, home: map[string]bool{}, jobs: map[string]float64{}}
	j.research = j.list(g.Lists.Research)
	j.hire = j.list(g.Lists.Hire)
	j.near = j.list(g.Lists.Near)
	j.goods = slices.DeleteFunc(j.list(g.Lists.Goods), func(l listed) bool { return ofServices(l, g.Services) })
	j.aside = j.list(g.Lists.Elsewhere)
	for _, w := range g.Lists.Question {
		j.learn(w, isQuestion)
	}
	generic := j.stemSet(g.Lists.Generic)
	known := j.stemSet(append(g.Lists.Ordinary, g.Trade))
	j.learnServices(g.Services, known, generic)
	j.learnPlaces(g.Language.Places, known)
	j.learnNames(g.Names, known, generic)
	for _, set := range []map[string]bool{known, generic, j.stemSet(pronouns)} {
		for stem := range set {
			j.words[stem] |= isKnown
		}
	}
	for word, verdict := range g.Verdicts {
		j.take(word, verdict)
	}
	return j
}

// ofServices tells an entry that stands in the client's own services: who
// clears brush is not asked for a brush.
func ofServices(l listed, services []Service) bool {
	for _, service := range services {
		for _, words := range service.Forms() {
			var own []string
			for _, t := range text.Tokens(words) {
				own = append(own, singular(t))
			}
			if place.Index(own, l.words) >= 0 {
				return true
			}
		}
	}
	return false
}

// learnServices makes words of services of those that tell one by themselves.
func (j *Judge) learnServices(services []Service, known, generic map[string]bool) {
	for _, service := range services {
		j.jobs[service.Name] = service.Worth
		for _, words := range service.Forms() {
			own := form{service: service.Name}
			for _, t := range text.Tokens(words) {
				stem := j.lang.Stem(t)
				own.stems = append(own.stems, stem)
				if j.lang.Small(t) {
					continue
				}
				known[stem] = true
				if generic[stem] {
					j.learn(t, 0)
				} else {
					j.learn(t, isService)
				}
			}
			j.forms = append(j.forms, own)
		}
	}
}

// learnPlaces takes in the client's places and their states.
func (j *Judge) learnPlaces(places []place.Place, known map[string]bool) {
	for _, p := range places {
		for _, form := range p.Forms() {
			j.places = append(j.places, j.listed(p.Name, form))
		}
		for _, form := range append(p.StateForms(), p.Forms()...) {
			for _, t := range form {
				known[j.lang.Stem(t)] = true
			}
		}
		for _, form := range p.StateForms() {
			j.home[strings.Join(form, " ")] = true
		}
	}
}

// pronouns and the like say nothing of what is searched for.
var pronouns = []string{"i you it my me we they this that these those not no so if as but be been get need want make go there here it's own every"}

// learnNames makes brand words of the words of names that are neither of the
// services, nor of places, nor of the trade, nor ordinary.
func (j *Judge) learnNames(names []string, known, generic map[string]bool) {
	for _, name := range names {
		for _, t := range text.Tokens(name) {
			if stem := j.lang.Stem(t); !j.lang.Small(t) && !known[stem] && !generic[stem] && len(t) > 1 {
				j.learn(t, isBrand)
			}
		}
	}
}

// take puts a verdict of the user over what is known of a word.
func (j *Judge) take(word string, verdict Verdict) {
	for _, t := range text.Tokens(word) {
		stem := j.lang.Stem(t)
		j.words[stem] = isKnown
		switch verdict {
		case FirmWord:
			j.words[stem] |= isBrand
		case ServiceWord:
			j.words[stem] |= isService
		case PlaceWord:
			j.words[stem] |= isAside
		}
	}
}

func (j *Judge) learn(word string, m meaning) {
	for _, t := range text.Tokens(word) {
		j.words[j.lang.Stem(t)] |= m | isKnown
		j.tokens = append(j.tokens, t)
	}
}

// list prepares a list; its words are known ones.
func (j *Judge) list(entries []string) []listed {
	var out []listed
	for _, e := range entries {
		if l := j.listed(e, text.Tokens(e)); len(l.words) > 0 {
			out = append(out, l)
		}
	}
	return out
}

// listed prepares an entry of a list.
func (j *Judge) listed(says string, tokens []string) listed {
	l := listed{text: says}
	for _, t := range tokens {
		j.words[j.lang.Stem(t)] |= isKnown
		j.tokens = append(j.tokens, t)
		l.words = append(l.words, singular(t))
	}
	return l
}

func (j *Judge) stemSet(words []string) map[string]bool {
	out := map[string]bool{}
	for _, w := range words {
		for _, t := range text.Tokens(w) {
			out[j.lang.Stem(t)] = true
		}
	}
	return out
}
