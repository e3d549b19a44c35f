package intent

import (
	"cmp"
	"slices"
	"strings"

	"inktally/core/text"
)

// act numbers what can be done with a thing; doers and anything that is no act
// have numbers of their own, so that all of them fit one type.
type act int

// anyWork is the act of doers: a company, an engineer, service. Who offers to do
// anything with a thing is a company for it.
const anyWork act = 0

// acts knows the words of acts.
type acts struct {
	byStem map[string]act // of one word
	runs   []actRun       // of several
	doers  map[string]bool
	// puttingIn are the acts by which a thing comes to where it was not.
	puttingIn map[act]bool
}

// puttingIn are the first words of the acts by which a thing comes to where it was not.
var puttingIn = map[string]bool{"installation": true, "building": true, "construction": true, "einbau": true,
	"bau": true, "instalacion": true, "construccion": true}

type actRun struct {
	words []string
	act   act
}

// newActs takes in the lists of acts and doers; their words are known ones.
func newActs(stem text.Stemmer, lists Lists, known map[string]bool) acts {
	a := acts{byStem: map[string]act{}, doers: map[string]bool{}, puttingIn: map[act]bool{}}
	for i, entry := range lists.Acts {
		if tokens := text.Tokens(entry); len(tokens) > 0 && puttingIn[tokens[0]] {
			a.puttingIn[act(i+1)] = true
		}
		for _, word := range splitEntry(entry) {
			a.add(text.Tokens(word), act(i+1), stem, known)
		}
	}
	for _, d := range lists.Doers {
		for _, t := range text.Tokens(d) {
			a.doers[stem(t)], known[stem(t)] = true, true
		}
	}
	return a
}

// add takes in one way to name an act.
func (a *acts) add(tokens []string, n act, stem text.Stemmer, known map[string]bool) {
	stems := make([]string, len(tokens))
	for i, t := range tokens {
		stems[i] = stem(t)
	}
	switch {
	case len(stems) == 1:
		if _, had := a.byStem[stems[0]]; !had {
			a.byStem[stems[0]] = n
		}
		known[stems[0]] = true
	case len(stems) > 1:
		a.runs = append(a.runs, actRun{stems, n})
	}
}

// actOf returns the act that begins at a stem, and how many stems it is; 0 for none.
func (a acts) actOf(stems []string) (act, int) {
	for _, r := range a.runs {
		if len(stems) >= len(r.words) && slices.Equal(stems[:len(r.words)], r.words) {
			return r.act, len(r.words)
		}
	}
	if len(stems) > 0 {
		if act, ok := a.byStem[stems[0]]; ok {
			return act, 1
		}
		if a.doers[stems[0]] {
			return anyWork, 1
		}
	}
	return 0, 0
}

// form is one of the words for a service: what is done, and the thing that it is
// done to (chimney, sweep).
type form struct {
	service string
	rank    int // of the service: the main one is 0
	thing   []string
	acts    []act // none for a form that is a thing alone: gutters
	// doer is the word for who does it, where that is all that is said of it, and
	// the word itself of a form that is an act alone.
	doer string
	// trade reports whether it is the client's trade, and no word for a service.
	trade bool
}

// formOf parts a form of a service into thing and acts: the acts stand at its
// end (boiler repair), else at its beginning (réparation de toiture). Something
// is always left for the thing.
func (j *Judge) formOf(service string, rank int, words string) form {
	f := form{service: service, rank: rank}
	var stems []string
	for _, t := range j.lang.Reads(text.Tokens(words)) {
		if !j.lang.Small(t) {
			stems = append(stems, j.lang.Stem(t))
		}
	}
	f.thing = stems
	for n := len(f.thing) - 1; n > 0; n-- {
		if a, size := j.acts.actOf(f.thing[n:]); size == len(f.thing)-n {
			f.take(a, f.thing[n])
			f.thing = f.thing[:n]
		}
	}
	if len(f.acts) == 0 {
		for len(f.thing) > 1 {
			a, size := j.acts.actOf(f.thing)
			if size == 0 || size == len(f.thing) {
				break
			}
			f.take(a, f.thing[0])
			f.thing = f.thing[size:]
		}
	}
	// An act by itself is asked for in any of its forms: upholstery, an upholsterer.
	if a, size := j.acts.actOf(f.thing); len(f.thing) == 1 && size == 1 && a != anyWork && len(f.acts) == 0 {
		f.thing, f.acts, f.doer = nil, []act{a}, text.Tokens(words)[0]
	}
	return f
}

func (f *form) take(a act, word string) {
	f.acts = append(f.acts, a)
	if a == anyWork {
		f.doer = word
	}
}

// about is what a phrase says of the client's services.
type about struct {
	// service is the one that it names, empty for none.
	service string
	// thing are the stems of the thing that stands whole in it.
	thing []string
	// whole reports whether an act that is offered stands beside the thing, or that the
	// thing is all of a form.
	whole bool
	// alone reports whether a phrase is a thing without an act.
	alone bool
	// refused is the act that is not offered, as it was typed.
	refused string
}

// How much of a form stands in a phrase: its thing, that and who does it, that and what is done.
const (
	fitsThing = iota + 1
	fitsDoer
	fitsAct
)

func compareBool(a, b bool) int {
	switch {
	case a == b:
		return 0
	case a:
		return 1
	}
	return -1
}

// request is what a phrase asks to be done, and by whom.
type request struct {
	asked []askedAct
	doers []string
}

// fits returns how much of a form is asked for.
func (r request) fits(f form) int {
	switch {
	case slices.ContainsFunc(r.asked, func(a askedAct) bool { return slices.Contains(f.acts, a.act) }):
		return fitsAct
	case f.doer != "" && slices.Contains(r.doers, f.doer):
		return fitsDoer
	case len(r.asked) == 0 && len(f.acts) == 0:
		return fitsThing
	}
	return 0
}

// matching returns the forms whose thing stands whole in a phrase, and the longest of those things.
func (j *Judge) matching(words []word) (matched []form, longest []string) {
	for _, f := range j.forms {
		if held(f.thing, words) || len(f.thing) == 0 && j.does(f, words) {
			matched = append(matched, f)
			if len(f.thing) > len(longest) {
				longest = f.thing
			}
		}
	}
	return matched, longest
}

// about returns what a phrase says of the client's services: the longest of their
// things that stands whole in it, and whether what is to be done with it is offered.
func (j *Judge) about(words []word) about {
	var best about
	var matched []form
	if matched, best.thing = j.matching(words); len(matched) == 0 {
		return best
	}
	var r request
	r.asked, r.doers = j.asked(words, best.thing)
	best.alone = len(r.asked) == 0 && len(r.doers) == 0
	slices.SortStableFunc(matched, func(a, b form) int {
		return cmp.Or(cmp.Compare(len(b.thing), len(a.thing)), cmp.Compare(r.fits(b), r.fits(a)),
			compareBool(a.trade, b.trade), cmp.Compare(a.rank, b.rank))
	})
	best.service = matched[0].service
	for _, f := range matched {
		if r.fits(f) < fitsDoer && !j.offers(f, r.asked, len(r.doers) > 0) {
			continue
		}
		best.whole = true
		// The trade is the main service's only where no service has its words.
		had := f.trade && !matched[0].trade && r.fits(matched[0]) >= r.fits(f)
		if (r.fits(f) > 0 && len(f.thing) == len(best.thing) || len(r.asked) > 0) && !had {
			best.service = f.service
		}
		return best
	}
	if len(r.asked) > 0 {
		best.refused = r.asked[0].text
	}
	return best
}

// does reports whether the act that is all of a form is asked for: in a form of the
// same word, and beside no other act that its service does not do.
func (j *Judge) does(f form, words []word) bool {
	asked, _ := j.asked(words, nil)
	found := false
	for _, a := range asked {
		switch {
		case a.act == f.acts[0] && sameBeginning(f.doer, a.text):
			found = true
		case !slices.Contains(j.done[f.service], a.act):
			return false
		}
	}
	return found
}

// sameBeginning reports whether two words have one root: upholstery and upholsterer, tow and towing.
func sameBeginning(a, b string) bool {
	a, b = strings.TrimPrefix(a, "re"), strings.TrimPrefix(b, "re")
	n := min(4, len(a), len(b))
	return n >= 3 && a[:n] == b[:n]
}

// askedAct is an act of a phrase, as it was typed.
type askedAct struct {
	act  act
	text string
}

// asked returns the acts of a phrase beside a thing, and the doers that it names. A word of hiring that is
// spelled like an act is none: a certified arborist.
func (j *Judge) asked(words []word, thing []string) (asked []askedAct, doers []string) {
	stems := make([]string, len(words))
	for i, w := range words {
		stems[i] = w.stem
	}
	for i := 0; i < len(words); i++ {
		if words[i].taken() || slices.Contains(thing, stems[i]) || j.hiring[words[i].text] {
			continue
		}
		switch a, n := j.acts.actOf(stems[i:]); {
		case n == 0:
		case a == anyWork:
			doers = append(doers, stems[i])
		default:
			asked = append(asked, askedAct{a, words[i].text})
			i += n - 1
		}
	}
	return asked, doers
}

// offers reports whether the service of a form does what is asked for with its
// thing: an act of any of its words. A service whose words name no act may do
// anything; a doer goes with every service that does something.
func (j *Judge) offers(f form, asked []askedAct, doer bool) bool {
	done := j.done[f.service]
	if len(asked) == 0 {
		actual := slices.ContainsFunc(done, func(a act) bool { return a != anyWork })
		return doer && (actual || len(done) == 0) || !doer && len(f.acts) == 0
	}
	if len(done) == 0 {
		return true
	}
	return slices.ContainsFunc(asked, func(a askedAct) bool {
		return slices.Contains(done, a.act) || j.acts.puttingIn[a.act] && slices.ContainsFunc(done, func(d act) bool {
			return j.acts.puttingIn[d] // who installs walls builds them
		})
	})
}

// sold reports whether a thing is asked for by its name alone: where a service puts
// it in. Who only repairs washing machines sells none.
func (j *Judge) sold(thing []string) bool {
	return slices.ContainsFunc(j.forms, func(f form) bool {
		return slices.Equal(f.thing, thing) && slices.ContainsFunc(j.done[f.service], func(a act) bool {
			return j.acts.puttingIn[a]
		})
	})
}

// held reports whether all stems of a thing stand in a phrase.
func held(thing []string, words []word) bool {
	for _, want := range thing {
		if !slices.ContainsFunc(words, func(w word) bool { return w.stem == want && !w.taken() }) {
			return false
		}
	}
	return len(thing) > 0
}

// headOf reports whether a phrase has one word only of a thing of several, with
// another word before it: the machine of a coffee machine, where washing
// machines are repaired.
func (j *Judge) headOf(words []word) (other string, ok bool) {
	for i := 1; i < len(words); i++ {
		for _, f := range j.forms {
			last := len(f.thing) - 1
			if last > 0 && words[i].stem == f.thing[last] && !words[i].taken() && words[i-1].stem != f.thing[last-1] &&
				!words[i-1].known {
				return words[i-1].text + " " + words[i].text, true
			}
		}
	}
	return "", false
}
