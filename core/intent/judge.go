package intent

import (
	"slices"
	"strings"

	"inktally/core/gazetteer"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Judge judges phrases for one client. It may be shared between goroutines
// where its language may.
type Judge struct {
	*vocabulary
	lang     phrase.Language
	own      map[string]bool    // by stem: words of the trade and the states, known ones too
	service  map[string]bool    // by stem: words of the client's services
	verdicts map[string]Verdict // by word in the singular
	names    names
	forms    []form
	done     map[string][]act // by service
	jobs     map[string]float64
	typed    map[string]bool   // words of the services as they are written
	guesses  map[string]string // words that likely mean others
	places   []listed

	towns   *gazetteer.Gazetteer
	regions []place.Region // the client's own
	country string         // the client's, empty if it is not known
	area    string         // of the client's postcode, empty if it is not known
	// district is the first part of the client's postcode.
	district string
}

// NewJudge prepares a judge for a client.
func NewJudge(g Ground) *Judge {
	j := &Judge{vocabulary: vocabularyOf(g.Language, g.Lists), lang: g.Language, own: map[string]bool{},
		service:  map[string]bool{},
		verdicts: map[string]Verdict{}, done: map[string][]act{}, jobs: map[string]float64{}, typed: map[string]bool{},
		guesses: g.Guesses, towns: g.Towns}
	if j.towns == nil {
		j.towns = gazetteer.New(nil)
	}
	j.learn(g.Trade)
	j.learnServices(g.Services)
	j.learnTrade(g)
	j.learnPlaces(g)
	j.learnNames(g)
	for w, verdict := range g.Verdicts {
		for _, t := range text.Tokens(w) {
			j.verdicts[singular(t)] = verdict
			if verdict == Ours {
				j.service[j.lang.Stem(t)] = true
				j.forms = append(j.forms, form{thing: []string{j.lang.Stem(t)}, rank: len(g.Services)})
			}
		}
	}
	return j
}

// learn makes the words of a text known ones.
func (j *Judge) learn(s string) {
	for _, t := range text.Tokens(s) {
		j.own[j.lang.Stem(t)] = true
	}
}

// isListed reports whether a stem stands in some list.
func (j *Judge) isListed(stem string) bool { return j.known[stem] || j.own[stem] }

// learnServices takes in the words of the services.
func (j *Judge) learnServices(services []Service) {
	for rank, service := range services {
		j.jobs[service.Name] = service.Worth
		for _, words := range service.Forms() {
			f := j.formOf(service.Name, rank, words)
			if len(f.thing) == 0 && len(f.acts) == 0 {
				continue
			}
			j.forms = append(j.forms, f)
			j.done[service.Name] = append(j.done[service.Name], f.acts...)
			for _, stem := range f.thing {
				j.service[stem] = true
			}
			for _, t := range text.Tokens(words) {
				j.typed[t] = true
			}
		}
	}
}

// learnTrade takes the client's trade as one more word for its main service: who
// upholsters is asked for upholstery.
func (j *Judge) learnTrade(g Ground) {
	if len(g.Services) == 0 {
		return
	}
	f := j.formOf(g.Services[0].Name, 0, g.Trade)
	f.thing = slices.DeleteFunc(f.thing, func(stem string) bool { return j.generic[stem] })
	if len(f.thing) == 0 && len(f.acts) == 0 {
		return
	}
	f.trade = true
	j.forms = append(j.forms, f)
	for _, stem := range f.thing {
		j.service[stem] = true
	}
}

// learnPlaces takes in the client's places with their states, and where they are.
func (j *Judge) learnPlaces(g Ground) {
	for _, p := range g.Language.Places {
		for _, form := range p.Forms() {
			if len(form) > 0 {
				j.places = append(j.places, listed{p.Name, form})
			}
		}
		j.regions = append(j.regions, place.Regions(p.State)...)
		for _, form := range p.StateForms() {
			j.learn(strings.Join(form, " "))
		}
		if j.country == "" || p.Home {
			if c := p.Country(); c != "" {
				j.country = c
			}
		}
	}
	slices.SortStableFunc(j.places, func(a, b listed) int { return len(b.words) - len(a.words) })
	tokens := text.Tokens(g.Postcode)
	for i := range tokens { // a state may stand before it
		if code, ok := place.PostcodeAt(tokens[i:], j.country); ok && j.area == "" {
			j.area, j.district = code.Area, tokens[i]
		}
	}
	if home, ok := place.Home(g.Language.Places); ok && j.district != "" {
		j.places = append(j.places, listed{home.Name, []string{j.district}})
	}
}

// splitEntry parts the words of an entry that has several.
func splitEntry(entry string) []string { return strings.Split(entry, ",") }

// read reads a phrase word by word: ties first, then places and what is near
// (rule 3.5).
func (j *Judge) read(s string) (words []word, judged Judgement) {
	tokens := j.lang.Reads(text.Tokens(s))
	for i, t := range tokens {
		if meant, ok := j.guesses[t]; ok {
			tokens = slices.Clone(tokens)
			tokens[i] = meant
		}
	}
	words = make([]word, len(tokens))
	for i, t := range tokens {
		w := &words[i]
		w.text, w.singular, w.stem, w.small = t, singular(t), j.lang.Stem(t), j.lang.Small(t)
		w.verdict = j.verdicts[w.singular]
		w.listed = j.isListed(w.stem)
		w.known = w.listed || w.verdict != "" || j.service[w.stem] || j.names.telling[w.singular]
	}
	judged = Judgement{Unfamiliar: []string{}}
	judged.Place = j.takePlaces(words)
	for _, l := range j.near {
		if lo := index(words, l.words); lo >= 0 {
			judged.Near = true
			for i := lo; i < lo+len(l.words); i++ {
				words[i].role = nearMe
			}
		}
	}
	return words, judged
}

// takePlaces marks the client's places in a phrase, with the states that follow
// them, and returns the first of those with the longest name.
func (j *Judge) takePlaces(words []word) (name string) {
	tokens := texts(words)
	for _, p := range j.places {
		lo := place.Index(tokens, p.words)
		if lo < 0 || slices.ContainsFunc(words[lo:lo+len(p.words)], word.taken) {
			continue
		}
		if name == "" {
			name = p.text
		}
		hi := lo + len(p.words)
		for _, own := range j.lang.Places {
			for _, form := range own.StateForms() {
				if hi == lo+len(p.words) && len(form) > 0 && startsWith(words[hi:], form) {
					hi += len(form)
				}
			}
		}
		for i := lo; i < hi; i++ {
			words[i].role = ownPlace
		}
	}
	return name
}

// index returns where the words of a list stand in a phrase, -1 if they do not.
func index(words []word, entry []string) int {
	for i := 0; i+len(entry) <= len(words); i++ {
		found := true
		for k, w := range entry {
			if words[i+k].singular != w || words[i+k].taken() {
				found = false
				break
			}
		}
		if found {
			return i
		}
	}
	return -1
}

// Act reports whether a token is one of an act's words.
func (j *Judge) Act(token string) bool {
	a, ok := j.acts.byStem[j.lang.Stem(token)]
	return ok && a != anyWork
}

// Town reports whether a token is the name of a town of the client's country.
func (j *Judge) Town(token string) bool {
	return slices.ContainsFunc(j.towns.Named([]string{token}), func(t gazetteer.Town) bool {
		return j.country == "" || t.Country == j.country
	})
}

// Need returns what a phrase asks for without its words of hiring, near me read as the
// home town: phrases of one need are one row of a book (rule 3.10).
func (j *Judge) Need(s, home string) string {
	words, judged := j.read(s)
	at := judged.Place
	if at == "" && judged.Near {
		at = home
	}
	about, hiring := j.about(words), j.ofHiring(words)
	var stems []string
	for i, w := range words {
		doer := j.acts.doers[w.stem] && !j.ownDoer(w.stem, words, about)
		if !w.taken() && !w.small && !hiring[i] && !doer {
			stems = append(stems, w.stem)
		}
	}
	slices.Sort(stems)
	return strings.Join(slices.Compact(stems), " ") + "|" + at
}

// ofHiring reports which words are of hiring.
func (j *Judge) ofHiring(words []word) []bool {
	out := make([]bool, len(words))
	for _, l := range j.hire {
		if lo := index(words, l.words); lo >= 0 {
			for i := lo; i < lo+len(l.words); i++ {
				out[i] = true
			}
		}
	}
	return out
}

// Urges reports whether a phrase holds a word of hiring: the best, cheap, in an emergency.
func (j *Judge) Urges(s string) bool {
	words, _ := j.read(s)
	return slices.Contains(j.ofHiring(words), true)
}
