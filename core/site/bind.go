package site

import (
	"maps"
	"slices"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Binder binds texts to the services and places of a client: those of its own pages,
// and those of rivals, who call the same service by other words.
type Binder struct {
	lang     phrase.Language
	home     string
	services []bound
	places   []placeForm        // the longest names first: North Tarn before Tarn
	weights  map[string]float64 // by stem: what it tells of one service
	acts     actWords
	towns    Towns // of a gazetteer, nil if there is none
}

// bound is a service with its forms as stems.
type bound struct {
	name  string
	forms [][]string
	acts  map[int]bool // of all its forms: what is done to a thing that a form names alone
}

// placeForm is a place by one of its forms.
type placeForm struct {
	name string
	form []string
}

// NewBinder makes a binder of a client's services and places; acts are the general words
// of acts, as intent.Lists has them.
func NewBinder(lang phrase.Language, services []intent.Service, acts []string) *Binder {
	b := &Binder{lang: lang, weights: map[string]float64{}, acts: newActWords(lang, acts)}
	if home, ok := place.Home(lang.Places); ok {
		b.home = home.Name
	}
	for _, p := range lang.Places {
		for _, form := range p.Forms() {
			if len(form) > 0 {
				b.places = append(b.places, placeForm{p.Name, form})
			}
		}
	}
	slices.SortStableFunc(b.places, func(a, b placeForm) int { return len(b.form) - len(a.form) })
	for _, s := range services {
		one := bound{name: s.Name, acts: map[int]bool{}}
		seen := map[string]bool{}
		for _, form := range s.Forms() {
			var stems []string
			for _, t := range lang.Reads(text.Tokens(form)) {
				if !lang.Small(t) {
					stems = append(stems, lang.Stem(t))
					seen[lang.Stem(t)] = true
				}
			}
			if len(stems) > 0 {
				one.forms = append(one.forms, stems)
				maps.Copy(one.acts, b.acts.parted(stems).acts)
			}
		}
		for stem := range seen {
			b.weights[stem]++
		}
		b.services = append(b.services, one)
	}
	for stem, n := range b.weights {
		b.weights[stem] = 1 / n // a word that all services share tells none of them
	}
	return b
}

// enough is the share of a form's telling words that must stand in a text.
const enough = 0.5

// Service returns the service that a text names, empty for none and for several alike: the
// one of which the most telling words stand in it.
func (b *Binder) Service(s string) string {
	said := b.saying(s)
	best, second, name := 0.0, 0.0, ""
	var bestForm, secondForm []string
	for _, service := range b.services {
		score := 0.0
		var of []string
		for _, form := range service.forms {
			if n := b.score(form, service.acts, said); n > score {
				score, of = n, form
			}
		}
		switch {
		case score > best:
			best, second, name = score, best, service.name
			bestForm, secondForm = of, bestForm
		case score > second:
			second, secondForm = score, of
		}
	}
	if best == 0 || best == second || second >= 1 && apart(bestForm, secondForm) {
		return ""
	}
	return name
}

// apart reports whether two forms that stand whole in a text name two things: none of them holds all
// of the other.
func apart(a, b []string) bool {
	outside := func(a, b []string) bool {
		return slices.ContainsFunc(a, func(stem string) bool { return !slices.Contains(b, stem) })
	}
	return outside(a, b) && outside(b, a)
}

// saying is what a text says, as stems: all of them, what is done to which thing, and
// whether it names a thing that none of the services have.
type saying struct {
	has    map[string]bool
	work   work
	others bool
}

func (b *Binder) saying(s string) saying {
	out := saying{has: map[string]bool{}}
	var stems []string
	for _, t := range b.lang.Reads(b.withoutPlaces(text.Tokens(s))) {
		stem := b.lang.Stem(t)
		out.has[stem] = true
		if b.lang.Small(t) || fillers[t] {
			continue
		}
		stems = append(stems, stem)
		_, act := b.acts[stem]
		out.others = out.others || !act && b.weights[stem] == 0
	}
	out.work = b.acts.parted(stems)
	return out
}

// score returns how much of a form of a service a text says, 0 for too little. Another act
// is another service; an act alone is one only where its thing goes without saying.
func (b *Binder) score(form []string, acts map[int]bool, said saying) float64 {
	w := b.acts.parted(form)
	if len(w.acts) == 0 {
		w.acts = acts
	}
	if len(w.acts) > 0 && len(said.work.acts) > 0 && !w.shares(said.work) {
		return 0
	}
	held, all, things, common := 0.0, 0.0, 0, true
	for _, stem := range form {
		weight := b.weights[stem]
		all += weight
		act, isAct := b.acts[stem]
		if said.has[stem] || isAct && said.work.acts[act] {
			held += weight
			if !isAct {
				things++
			}
		}
		common = common && (isAct || weight < 1 || len(b.services) == 1)
	}
	if things == 0 && (said.others || len(w.thing) > 0 && !common) {
		return 0 // an act binds by itself only where no other thing is named
	}
	if share := held / all; share > enough || share == enough && !said.others {
		// Of two forms that stand whole the one with more words tells more.
		return share + held/100
	}
	return 0
}

// Services returns all services that texts name, each once, in their order.
func (b *Binder) Services(texts []string) (out []string) {
	seen := map[string]bool{}
	for _, t := range texts {
		if s := b.Service(t); s != "" && !seen[s] {
			seen[s] = true
			out = append(out, s)
		}
	}
	return out
}

// Places returns the client's places that a text names, each once.
func (b *Binder) Places(s string) (out []string) {
	tokens := text.Tokens(s)
	taken := make([]bool, len(tokens))
	for _, p := range b.places {
		at := place.Index(tokens, p.form)
		if at < 0 || taken[at] {
			continue
		}
		for i := range p.form {
			taken[at+i] = true
		}
		if !slices.Contains(out, p.name) {
			out = append(out, p.name)
		}
	}
	return out
}

// times counts how often a text names a place.
func (b *Binder) times(s, name string) (n int) {
	tokens := text.Tokens(s)
	for i := 0; i < len(tokens); i++ {
		for _, p := range b.places {
			if p.name == name && i+len(p.form) <= len(tokens) && slices.Equal(tokens[i:i+len(p.form)], p.form) {
				n++
				i += len(p.form) - 1
				break
			}
		}
	}
	return n
}

// withoutPlaces takes the client's places and their states out of tokens.
func (b *Binder) withoutPlaces(tokens []string) (out []string) {
	for i := 0; i < len(tokens); {
		n := 0
		for _, p := range b.places {
			if len(p.form) > n && len(p.form) <= len(tokens)-i && slices.Equal(tokens[i:i+len(p.form)], p.form) {
				n = len(p.form)
			}
		}
		if n == 0 {
			out = append(out, tokens[i])
			n = 1
		}
		i += n
	}
	return out
}
