// Package intent judges what somebody who types a phrase wants (rule 3.6).
//
// In go what is known of a client - its services, places, names, the lists of
// words and the user's verdicts - and phrases; out comes a Judgement of each,
// with the reason as a code.
package intent

import (
	"slices"
	"strings"

	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/text"
)

// Intent is what somebody who types a phrase wants (rule 3.6).
type Intent string

// The intents, in the order in which they are tried.
const (
	Brand     Intent = "brand"
	Elsewhere Intent = "elsewhere"
	Research  Intent = "research"
	Hire      Intent = "hire"
	Broad     Intent = "broad"
)

// Service is what the client sells, with the words that people use for it.
type Service struct {
	Name string
	// Words are other words for it: chimney cleaning, for a chimney sweep.
	Words []string
	// Worth is what one job brings, 0 if that is not known.
	Worth float64
}

// Forms are all words for the service, its name first.
func (s Service) Forms() []string { return append([]string{s.Name}, s.Words...) }

// Ground is what is known of a client when intents are told.
type Ground struct {
	Language phrase.Language
	Services []Service
	// Names are those of the client and its rivals.
	Names []string
	// Trade is the client's trade, whose words make no brand.
	Trade string
	// Verdicts are what the user said of single words.
	Verdicts map[string]Verdict
	Lists    Lists
}

// Verdict is what the user said of a word that stands in no list.
type Verdict string

// The verdicts on words.
const (
	FirmWord     Verdict = "brand"
	ServiceWord  Verdict = "service"
	PlaceWord    Verdict = "elsewhere"
	OrdinaryWord Verdict = "ordinary"
)

// Verdicts are all of them.
func Verdicts() []Verdict { return []Verdict{FirmWord, ServiceWord, PlaceWord, OrdinaryWord} }

// Reason is why a phrase has its intent: a code, and the words that decided.
type Reason struct {
	Code ReasonCode
	// Words are as the phrase or the client has them; how many there are depends
	// on the code.
	Words []string
}

// ReasonCode names a reason.
type ReasonCode string

// The reasons, and what their words are.
const (
	NamesFirm     ReasonCode = "names_firm"        // the word of the name
	OtherState    ReasonCode = "other_state"       // the state
	OtherPlace    ReasonCode = "other_place"       // the place
	AsksQuestion  ReasonCode = "asks_question"     // the word that asks
	Compares      ReasonCode = "compares"          // none
	WantsToKnow   ReasonCode = "wants_to_know"     // the word of the list
	ServiceIn     ReasonCode = "service_in_place"  // the place, the service
	ServiceNear   ReasonCode = "service_near"      // the words for near, the service
	ServiceToHire ReasonCode = "service_with_hire" // the hire word, the service
	Goods         ReasonCode = "goods"             // the word of the list
	NoService     ReasonCode = "no_service"        // none
	ServiceAlone  ReasonCode = "service_alone"     // the service
)

// ReasonCodes are all of them.
func ReasonCodes() []ReasonCode {
	return []ReasonCode{NamesFirm, OtherState, OtherPlace, AsksQuestion, Compares, WantsToKnow, ServiceIn, ServiceNear, ServiceToHire,
		Goods, NoService, ServiceAlone}
}

// Intents are all of them, in the order in which they are tried.
func Intents() []Intent { return []Intent{Brand, Elsewhere, Research, Hire, Broad} }

// Judgement is the intent of a phrase with its reason.
type Judgement struct {
	Intent Intent
	Reason Reason
	// Unfamiliar are the words that stand in no list.
	Unfamiliar []string
	// Service and Place are the client's own that the phrase names, empty for
	// none; Near tells one that asks for what is close to the searcher.
	Service string
	Place   string
	Near    bool
	// Slips are words that may be others with a letter wrong.
	Slips []Slip
}

// Slip is a word that may be another one, Meant, with a letter wrong.
type Slip struct{ Word, Meant string }

// Job is what one job of a service brings, 0 if that is not known.
func (j *Judge) Job(service string) float64 { return j.jobs[service] }

// Language is what the phrases of the client are read with.
func (j *Judge) Language() phrase.Language { return j.lang }

// Of judges a phrase: the first intent that holds.
func (j *Judge) Of(phrase string) Judgement {
	tokens := text.Tokens(phrase)
	stems, words := make([]string, len(tokens)), make([]string, len(tokens))
	told := Judgement{Unfamiliar: []string{}}
	service := ""
	for i, t := range tokens {
		stems[i], words[i] = j.lang.Stem(t), singular(t)
		if j.words[stems[i]]&isKnown == 0 && !j.lang.Small(t) {
			if meant := j.meant(t); meant != "" {
				stems[i], words[i] = j.lang.Stem(meant), singular(meant)
				told.Slips = append(told.Slips, Slip{t, meant})
			}
		}
		if j.words[stems[i]]&isService != 0 && service == "" {
			service = t
		}
	}
	state := j.state(tokens, stems)
	for i, t := range tokens {
		if j.words[stems[i]]&isKnown == 0 && !j.lang.Small(t) && !state.covers(i) && t[0] > '9' {
			told.Unfamiliar = append(told.Unfamiliar, t)
		}
	}
	told.Service, told.Place = j.serviceOf(stems), find(words, j.places)
	told.Near = find(words, j.near) != ""
	if told.Service != "" {
		service = told.Service
	}
	told.Intent, told.Reason = j.decide(phrase, tokens, stems, words, service, state)
	return told
}

// Names tells whether a text names a service or a place of the client.
func (j *Judge) Names(text string) bool {
	told := j.Of(text)
	return told.Service != "" || told.Place != ""
}

func (j *Judge) decide(phrase string, tokens, stems, words []string, service string, state span) (Intent, Reason) {
	if t := j.first(tokens, stems, isBrand); t != "" {
		return Brand, Reason{NamesFirm, []string{t}}
	}
	if state.hi > state.lo {
		return Elsewhere, Reason{OtherState, []string{strings.Join(tokens[state.lo:state.hi], " ")}}
	}
	if at := find(words, j.aside); at != "" {
		return Elsewhere, Reason{OtherPlace, []string{at}}
	}
	if t := j.first(tokens, stems, isAside); t != "" {
		return Elsewhere, Reason{OtherPlace, []string{t}}
	}
	if why := j.asks(phrase, stems, words); why.Code != "" {
		return Research, why
	}
	if word := find(words, j.goods); word != "" {
		return Broad, Reason{Goods, []string{word}}
	}
	if service == "" {
		return Broad, Reason{Code: NoService}
	}
	for _, hire := range []struct {
		list []listed
		code ReasonCode
	}{{j.places, ServiceIn}, {j.near, ServiceNear}, {j.hire, ServiceToHire}} {
		if at := find(words, hire.list); at != "" {
			return Hire, Reason{hire.code, []string{at, service}}
		}
	}
	return Broad, Reason{ServiceAlone, []string{service}}
}

// serviceOf names the service whose words a phrase holds most of.
func (j *Judge) serviceOf(stems []string) (name string) {
	best := 0.0
	for _, f := range j.forms {
		held, telling := 0, false
		for _, want := range f.stems {
			for _, have := range stems {
				if have == want {
					held++
					telling = telling || j.words[want]&isService != 0
					break
				}
			}
		}
		// Of two services with as many words held, the one that has fewer others.
		if score := float64(held) - float64(len(f.stems)-held)/10; telling && score > best {
			best, name = score, f.service
		}
	}
	return name
}

// asks tells why a phrase is a question or one of somebody who wants to know;
// without a code it is neither.
func (j *Judge) asks(phrase string, stems, words []string) Reason {
	if strings.HasSuffix(strings.TrimSpace(phrase), "?") {
		return Reason{AsksQuestion, []string{"?"}}
	}
	if len(stems) > 0 && j.words[stems[0]]&isQuestion != 0 && !j.seeksFirm(words) {
		return Reason{AsksQuestion, []string{strings.Fields(phrase)[0]}}
	}
	if j.compares(stems, words) {
		return Reason{Code: Compares}
	}
	for _, l := range j.research {
		at := place.Index(words, l.words)
		if at < 0 || l.text == "cost" && at > 0 && words[at-1] == "low" {
			continue // low cost is no research
		}
		return Reason{WantsToKnow, []string{l.text}}
	}
	return Reason{}
}

// seeksFirm tells a question of somebody who looks for a firm here: who sweeps
// chimneys near me, where can I get gutters cleaned in a town that is served.
func (j *Judge) seeksFirm(words []string) bool {
	return (words[0] == "who" || words[0] == "where") && (find(words, j.places) != "" || find(words, j.near) != "")
}

// compares tells what is the best of something for something: the best brush
// for a chimney, the best time to sweep one. The best of a service is none.
func (j *Judge) compares(stems, words []string) bool {
	at := slices.Index(words, "best")
	if at < 0 || at+1 == len(words) {
		return false
	}
	rest := words[at+1:]
	return (slices.Contains(rest, "for") || slices.Contains(rest, "to")) && j.words[stems[at+1]]&isService == 0
}

// first returns the first word with a meaning.
func (j *Judge) first(tokens, stems []string, m meaning) string {
	for i := range stems {
		if j.words[stems[i]]&m != 0 {
			return tokens[i]
		}
	}
	return ""
}

// find returns the first entry of a list that stands in a phrase.
func find(words []string, list []listed) string {
	for _, l := range list {
		if place.Index(words, l.words) >= 0 {
			return l.text
		}
	}
	return ""
}
