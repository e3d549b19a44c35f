// Package intent judges what somebody who types a phrase wants (rule 3.6).
//
// In go what is known of a client - its services, places, names, the lists of
// words and the user's verdicts - and phrases; out comes a Judgement of each,
// with the reason as a code.
package intent

import (
	"slices"
	"strings"

	"inktally/core/gazetteer"
	"inktally/core/phrase"
	"inktally/core/place"
)

// Intent is what somebody who types a phrase wants (rule 3.6).
type Intent string

// The intents, in the order in which they are tried.
const (
	Brand      Intent = "brand"
	Elsewhere  Intent = "elsewhere"
	Question   Intent = "question"
	NotOffered Intent = "not_offered"
	Unsure     Intent = "unsure"
	Hire       Intent = "hire"
	Broad      Intent = "broad"
)

// Intents returns all of them, in the order in which they are tried.
func Intents() []Intent {
	return []Intent{Brand, Elsewhere, Question, NotOffered, Unsure, Hire, Broad}
}

// Hires reports whether an intent counts as that of somebody ready to hire: what is
// unsure counts so until it is told.
func (i Intent) Hires() bool { return i == Hire || i == Unsure }

// Ground is what is known of a client when intents are told.
type Ground struct {
	Language phrase.Language
	// Services are the client's, the main one first.
	Services []Service
	// Names are those of the client and its rivals.
	Names []string
	// Trade is the client's trade, whose words make no brand.
	Trade string
	// Postcode is the client's, empty if it is not known.
	Postcode string
	// Towns tell other places; nil for none.
	Towns *gazetteer.Gazetteer
	// Guesses are words that likely mean others: a phrase is judged by what is meant,
	// though it stands in a family of its own until they are tied.
	Guesses map[string]string
	// Verdicts are what the user said of single words.
	Verdicts map[string]Verdict
	Lists    Lists
}

// Verdict is what the user said of a word; it holds for its plural too, not for
// other forms.
type Verdict string

// The verdicts on words.
const (
	FirmWord Verdict = "firm"
	// MakerWord is a brand of goods that the client works on: hire beside an act,
	// brand alone.
	MakerWord    Verdict = "maker"
	PlaceWord    Verdict = "elsewhere"
	Ours         Verdict = "ours"
	NotOurs      Verdict = "not_ours"
	OrdinaryWord Verdict = "ordinary"
)

// Verdicts returns all of them.
func Verdicts() []Verdict {
	return []Verdict{FirmWord, MakerWord, PlaceWord, NotOurs, OrdinaryWord, Ours}
}

// Judgement is the intent of a phrase with its reason.
type Judgement struct {
	Intent Intent
	Reason Reason
	// Unfamiliar are the words that nothing is known of.
	Unfamiliar []string
	// Service and Place are the client's own that the phrase names, empty for
	// none; Near reports whether it asks for what is close to the searcher.
	Service string
	Place   string
	Near    bool
}

// Job returns what one job of a service brings, 0 if that is not known.
func (j *Judge) Job(service string) float64 { return j.jobs[service] }

// Language returns what the phrases of the client are read with.
func (j *Judge) Language() phrase.Language { return j.lang }

// Known reports whether a token is one of the client's own words or stands in a list.
func (j *Judge) Known(token string) bool {
	stem := j.lang.Stem(token)
	return j.isListed(stem) || j.service[stem] || j.lang.Small(token) || j.verdicts[singular(token)] != "" ||
		j.names.telling[singular(token)]
}

// Of judges a phrase: the first intent that holds.
func (j *Judge) Of(typed string) Judgement {
	words, judged := j.read(typed)
	for _, w := range words {
		if w.unknown() {
			judged.Unfamiliar = append(judged.Unfamiliar, w.text)
		}
	}
	about := j.about(words)
	about = j.ofMaker(words, about)
	judged.Service = about.service
	judged.Intent, judged.Reason = j.decide(typed, words, about, judged)
	return judged
}

// Names reports whether a text names a service or a place of the client.
func (j *Judge) Names(text string) bool {
	judged := j.Of(text)
	return judged.Service != "" || judged.Place != ""
}

// judged returns the first word that has a verdict, empty for none.
func (j *Judge) judged(words []word, v Verdict) string {
	for _, w := range words {
		if w.verdict == v && !w.taken() {
			return w.text
		}
	}
	return ""
}

func (j *Judge) decide(typed string, words []word, about about, judged Judgement) (Intent, Reason) {
	firm := j.ofFirm(words, about)
	if firm.Code != "" && firm.Code != MakerAlone {
		return Brand, firm
	}
	if why := j.ofOtherPlace(words); why.Code != "" {
		return Elsewhere, why
	}
	if why := j.asks(typed, words, about); why.Code != "" {
		return Question, why
	}
	if why := j.notOffered(words, about); why.Code != "" {
		return NotOffered, why
	}
	if firm.Code != "" {
		return Brand, firm
	}
	if maker := j.likelyMaker(words, about); maker != "" && (judged.Place != "" || judged.Near) {
		return Unsure, Reason{UnknownWord, []string{maker, maker}}
	}
	if len(about.thing) == 0 && !about.whole {
		return Broad, Reason{Code: NoService}
	}
	return j.ready(words, about, judged)
}

// ofFirm returns why a phrase names a firm; without a code it does not.
func (j *Judge) ofFirm(words []word, about about) Reason {
	if t := j.judged(words, FirmWord); t != "" {
		return Reason{NamesFirm, []string{t}}
	}
	if t := j.brand(words); t != "" {
		return Reason{NamesFirm, []string{t}}
	}
	if t := j.ending(words); t != "" {
		return Reason{FirmEnding, []string{t}}
	}
	if t := j.judged(words, MakerWord); t != "" && !about.whole {
		return Reason{MakerAlone, []string{t}}
	}
	return Reason{}
}

// ofOtherPlace returns which other place a phrase names.
func (j *Judge) ofOtherPlace(words []word) Reason {
	tokens := make([]string, len(words)) // of the client's own places too: the user said so
	for i, w := range words {
		tokens[i] = w.singular
	}
	for _, l := range j.aside {
		if place.Index(tokens, l.words) >= 0 {
			return Reason{OtherPlace, []string{l.text}}
		}
	}
	if t := j.judged(words, PlaceWord); t != "" {
		return Reason{OtherPlace, []string{t}}
	}
	if code, at := j.elsewhere(words); code != "" {
		return Reason{code, []string{at}}
	}
	return Reason{}
}

// notOffered returns why nobody could be hired for what a phrase asks.
func (j *Judge) notOffered(words []word, about about) Reason {
	if t := j.judged(words, NotOurs); t != "" {
		return Reason{OtherThing, []string{t}}
	}
	for _, l := range j.goods {
		if at := index(words, l.words); at >= 0 && !j.ofForm(words, at, len(l.words)) {
			return Reason{Goods, []string{l.text}}
		}
	}
	if t := j.isFree(words, about); t != "" {
		return Reason{Goods, []string{t}}
	}
	if about.refused != "" && !about.whole {
		return Reason{OtherAct, []string{about.refused, about.service}}
	}
	if len(about.thing) == 0 {
		if thing, ok := j.headOf(words); ok {
			return Reason{OtherThing, []string{thing}}
		}
	}
	return Reason{}
}

// ofForm reports whether words of goods belong to a form of a service that stands
// whole in the phrase: who clears brush is not asked for a brush.
func (j *Judge) ofForm(words []word, at, n int) bool {
	return slices.ContainsFunc(j.forms, func(f form) bool {
		if !held(f.thing, words) {
			return false
		}
		acts, _ := j.asked(words, f.thing)
		whole := len(f.acts) == 0 || slices.ContainsFunc(acts, func(a askedAct) bool {
			return slices.Contains(f.acts, a.act)
		})
		for _, w := range words[at : at+n] {
			a, ok := j.acts.byStem[w.stem]
			if !slices.Contains(f.thing, w.stem) && !(ok && slices.Contains(f.acts, a)) {
				return false
			}
		}
		return whole
	})
}

// ready reports whether somebody is ready to hire: a whole service with a place, near
// me or a word of hiring. A word that nothing is known of makes it unsure, and
// without a place it is not ready.
func (j *Judge) ready(words []word, about about, judged Judgement) (Intent, Reason) {
	service := serviceOf(words, about, judged)
	placed := about.whole || about.alone && j.sold(about.thing) && (len(about.thing) > 1 || len(judged.Unfamiliar) == 0)
	code, at := ServiceIn, judged.Place
	if at == "" && judged.Near {
		code, at = ServiceNear, "near me"
	}
	if at != "" && placed {
		if len(judged.Unfamiliar) > 0 {
			return Unsure, Reason{UnknownWord, []string{judged.Unfamiliar[0], service}}
		}
		return Hire, Reason{code, []string{at, service}}
	}
	wish := j.wish(words, about)
	if maker := j.judged(words, MakerWord); maker != "" && about.whole && !about.alone {
		wish = maker // who works on its goods is hired, wherever (rule 3.6)
	}
	switch known := len(judged.Unfamiliar) == 0; {
	case wish != "" && known:
		return Hire, Reason{ServiceToHire, []string{wish, service}}
	case at != "":
		return Broad, Reason{PartOfService, []string{at, service}}
	case wish == "":
		return Broad, Reason{ServiceAlone, []string{service}}
	}
	return Broad, Reason{UnknownAlone, []string{judged.Unfamiliar[0]}}
}

// serviceOf returns what a phrase names of a service: the service, else a word of its thing, else what is not
// known.
func serviceOf(words []word, about about, judged Judgement) string {
	if about.service != "" {
		return about.service
	}
	for i := len(words) - 1; i >= 0; i-- {
		if slices.Contains(about.thing, words[i].stem) {
			return words[i].text
		}
	}
	return strings.Join(judged.Unfamiliar, " ")
}

// wish returns the word of hiring in a phrase. Beside a thing alone the words of
// shopping do not count: the best boiler is bought, a boiler company is hired.
func (j *Judge) wish(words []word, about about) string {
	for _, w := range words {
		if j.acts.doers[w.stem] && !w.taken() && !slices.Contains(about.thing, w.stem) &&
			!j.ownDoer(w.stem, words, about) {
			return w.text
		}
	}
	wish := find(words, j.hire)
	if !about.whole && shopping[wish] {
		return ""
	}
	return wish
}

// ownDoer reports whether a doer belongs to a form of a service that stands in a phrase:
// the service of boiler service, but not the contractor of roofing contractor.
func (j *Judge) ownDoer(stem string, words []word, about about) bool {
	if asked, _ := j.asked(words, about.thing); len(asked) > 0 || j.firm[stem] {
		return false
	}
	return slices.ContainsFunc(j.forms, func(f form) bool { return f.doer == stem && held(f.thing, words) })
}

// shopping are words of hiring that goods are sought with as well.
var shopping = func() map[string]bool {
	out := map[string]bool{}
	for _, w := range []string{"best", "top", "top rated", "affordable", "cheap", "inexpensive", "low cost", "good",
		"recommended", "trusted",
		"meilleur", "meilleure", "pas cher", "bon marché", "abordable", "beste", "bester", "bestes", "günstig",
		"günstige", "günstiger", "billig",
		"mejor", "mejores", "barato", "económico", "bueno"} {
		out[w] = true
	}
	return out
}()

// find returns the first entry of a list that stands in a phrase.
func find(words []word, list []listed) string {
	for _, l := range list {
		if index(words, l.words) >= 0 {
			return l.text
		}
	}
	return ""
}
