package site

import (
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
}

// bound is a service with its forms as stems.
type bound struct {
	name  string
	forms [][]string
}

// placeForm is a place by one of its forms.
type placeForm struct {
	name string
	form []string
}

// NewBinder makes a binder of a client's services and places.
func NewBinder(lang phrase.Language, services []intent.Service) *Binder {
	b := &Binder{lang: lang, weights: map[string]float64{}}
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
		one := bound{name: s.Name}
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

// Service is the service that a text names, empty for none and for several alike: the
// one of which the most telling words stand in it.
func (b *Binder) Service(s string) string {
	has := map[string]bool{}
	for _, t := range b.lang.Reads(text.Tokens(s)) {
		has[b.lang.Stem(t)] = true
	}
	best, second, name := 0.0, 0.0, ""
	for _, service := range b.services {
		score := 0.0
		for _, form := range service.forms {
			held, all := 0.0, 0.0
			for _, stem := range form {
				all += b.weights[stem]
				if has[stem] {
					held += b.weights[stem]
				}
			}
			if share := held / all; share >= enough {
				// Of two forms that stand whole the one with more words tells more.
				score = max(score, share+held/100)
			}
		}
		switch {
		case score > best:
			best, second, name = score, best, service.name
		case score > second:
			second = score
		}
	}
	if best == 0 || best == second {
		return ""
	}
	return name
}

// Services are all services that texts name, each once, in their order.
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

// Places are the client's places that a text names, each once.
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
