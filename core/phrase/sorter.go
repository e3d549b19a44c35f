package phrase

import (
	"slices"
	"strings"

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

// Sorter tells the intents of phrases. It may be shared between goroutines
// where its language may.
type Sorter struct {
	lang     Language
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

// NewSorter prepares a sorter for a client.
func NewSorter(g Ground) *Sorter {
	s := &Sorter{lang: g.Language, words: map[string]meaning{}, home: map[string]bool{}, jobs: map[string]float64{}}
	s.research = s.list(g.Lists.Research)
	s.hire = s.list(g.Lists.Hire)
	s.near = s.list(g.Lists.Near)
	s.goods = slices.DeleteFunc(s.list(g.Lists.Goods), func(l listed) bool { return ofServices(l, g.Services) })
	s.aside = s.list(g.Lists.Elsewhere)
	for _, w := range g.Lists.Question {
		s.learn(w, isQuestion)
	}
	generic := s.stemSet(g.Lists.Generic)
	known := s.stemSet(append(g.Lists.Ordinary, g.Trade))
	s.learnServices(g.Services, known, generic)
	s.learnPlaces(g.Language.Places, known)
	s.learnNames(g.Names, known, generic)
	for _, set := range []map[string]bool{known, generic, s.stemSet(pronouns)} {
		for stem := range set {
			s.words[stem] |= isKnown
		}
	}
	for word, verdict := range g.Verdicts {
		s.take(word, verdict)
	}
	return s
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
func (s *Sorter) learnServices(services []Service, known, generic map[string]bool) {
	for _, service := range services {
		s.jobs[service.Name] = service.Worth
		for _, words := range service.Forms() {
			own := form{service: service.Name}
			for _, t := range text.Tokens(words) {
				stem := s.lang.Stem(t)
				own.stems = append(own.stems, stem)
				if s.lang.Small(t) {
					continue
				}
				known[stem] = true
				if generic[stem] {
					s.learn(t, 0)
				} else {
					s.learn(t, isService)
				}
			}
			s.forms = append(s.forms, own)
		}
	}
}

// learnPlaces takes in the client's places and their states.
func (s *Sorter) learnPlaces(places []place.Place, known map[string]bool) {
	for _, p := range places {
		for _, form := range p.Forms() {
			s.places = append(s.places, s.listed(p.Name, form))
		}
		for _, form := range append(p.StateForms(), p.Forms()...) {
			for _, t := range form {
				known[s.lang.Stem(t)] = true
			}
		}
		for _, form := range p.StateForms() {
			s.home[strings.Join(form, " ")] = true
		}
	}
}

// pronouns and the like say nothing of what is searched for.
var pronouns = []string{"i you it my me we they this that these those not no so if as but be been get need want make go there here it's own every"}

// learnNames makes brand words of the words of names that are neither of the
// services, nor of places, nor of the trade, nor ordinary.
func (s *Sorter) learnNames(names []string, known, generic map[string]bool) {
	for _, name := range names {
		for _, t := range text.Tokens(name) {
			if stem := s.lang.Stem(t); !s.lang.Small(t) && !known[stem] && !generic[stem] && len(t) > 1 {
				s.learn(t, isBrand)
			}
		}
	}
}

// take puts a verdict of the user over what is known of a word.
func (s *Sorter) take(word string, verdict Verdict) {
	for _, t := range text.Tokens(word) {
		stem := s.lang.Stem(t)
		s.words[stem] = isKnown
		switch verdict {
		case WordOfBrand:
			s.words[stem] |= isBrand
		case WordOfService:
			s.words[stem] |= isService
		case WordOfPlace:
			s.words[stem] |= isAside
		}
	}
}

func (s *Sorter) learn(word string, m meaning) {
	for _, t := range text.Tokens(word) {
		s.words[s.lang.Stem(t)] |= m | isKnown
		s.tokens = append(s.tokens, t)
	}
}

// list prepares a list; its words are known ones.
func (s *Sorter) list(entries []string) []listed {
	var out []listed
	for _, e := range entries {
		if l := s.listed(e, text.Tokens(e)); len(l.words) > 0 {
			out = append(out, l)
		}
	}
	return out
}

// listed prepares an entry of a list.
func (s *Sorter) listed(says string, tokens []string) listed {
	l := listed{text: says}
	for _, t := range tokens {
		s.words[s.lang.Stem(t)] |= isKnown
		s.tokens = append(s.tokens, t)
		l.words = append(l.words, singular(t))
	}
	return l
}

func (s *Sorter) stemSet(words []string) map[string]bool {
	out := map[string]bool{}
	for _, w := range words {
		for _, t := range text.Tokens(w) {
			out[s.lang.Stem(t)] = true
		}
	}
	return out
}
