package phrase

import (
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// Intent is what somebody who types a phrase wants (MEASURES 3.6).
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
	Name string `json:"name"`
	// Words are other words for it: chimney cleaning, for a chimney sweep.
	Words []string `json:"words,omitempty"`
	// Worth is what one job brings, 0 where that is not known.
	Worth float64 `json:"worth,omitempty" doc:"What one job brings, 0 where it is not known"`
}

// Forms are all words for the service, its name first.
func (s Service) Forms() []string { return append([]string{s.Name}, s.Words...) }

// Ground is what is known of a client when intents are told.
type Ground struct {
	Language Language
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
	WordOfBrand   Verdict = "brand"
	WordOfService Verdict = "service"
	WordOfPlace   Verdict = "elsewhere"
	WordOrdinary  Verdict = "ordinary"
)

// Told is the intent of a phrase with its reason.
type Told struct {
	Intent Intent `json:"intent" enum:"hire,research,brand,elsewhere,broad"`
	// Reason are the words that decided, empty for broad.
	Reason string `json:"reason" doc:"The words that decided"`
	// Unfamiliar are the words that stand in no list.
	Unfamiliar []string `json:"unfamiliar"`
	// Service and Place are the client's own that the phrase names, empty for
	// none; Near tells one that asks for what is close to the searcher.
	Service string `json:"service"`
	Place   string `json:"place"`
	Near    bool   `json:"near"`
	// Slips are words that may be others with a letter wrong: the word, and the
	// known one.
	Slips []Slip `json:"slips,omitempty"`
}

// Slip is a word that may be another one with a letter wrong.
type Slip struct {
	Word  string `json:"word"`
	Meant string `json:"meant"`
}

// Tell tells the intent of a phrase: the first that holds.
func (s *Sorter) Tell(phrase string) Told {
	tokens := text.Tokens(phrase)
	stems, words := make([]string, len(tokens)), make([]string, len(tokens))
	told := Told{Unfamiliar: []string{}}
	service := ""
	for i, t := range tokens {
		stems[i], words[i] = s.lang.Stem(t), singular(t)
		if s.words[stems[i]]&isKnown == 0 && !s.lang.Small(t) {
			if meant := s.meant(t); meant != "" {
				stems[i], words[i] = s.lang.Stem(meant), singular(meant)
				told.Slips = append(told.Slips, Slip{t, meant})
			}
		}
		if s.words[stems[i]]&isService != 0 && service == "" {
			service = t
		}
	}
	state := s.state(tokens, stems)
	for i, t := range tokens {
		if s.words[stems[i]]&isKnown == 0 && !s.lang.Small(t) && !state.covers(i) && t[0] > '9' {
			told.Unfamiliar = append(told.Unfamiliar, t)
		}
	}
	told.Service, told.Place = s.serviceOf(stems), find(words, s.places)
	told.Near = find(words, s.near) != ""
	if told.Service != "" {
		service = told.Service
	}
	told.Intent, told.Reason = s.decide(phrase, tokens, stems, words, service, state)
	return told
}

// Names tells whether a text names a service or a place of the client.
func (s *Sorter) Names(text string) bool {
	told := s.Tell(text)
	return told.Service != "" || told.Place != ""
}

func (s *Sorter) decide(phrase string, tokens, stems, words []string, service string, state span) (Intent, string) {
	if t := s.first(tokens, stems, isBrand); t != "" {
		return Brand, t
	}
	if state.hi > state.lo {
		return Elsewhere, strings.Join(tokens[state.lo:state.hi], " ")
	}
	if at := find(words, s.aside); at != "" {
		return Elsewhere, at
	}
	if t := s.first(tokens, stems, isAside); t != "" {
		return Elsewhere, t
	}
	if why := s.asks(phrase, stems, words); why != "" {
		return Research, why
	}
	if find(words, s.goods) != "" || service == "" {
		return Broad, ""
	}
	for _, list := range [][]listed{s.places, s.near, s.hire} {
		if at := find(words, list); at != "" {
			return Hire, at + " + " + service
		}
	}
	return Broad, ""
}

// serviceOf names the service whose words a phrase holds most of.
func (s *Sorter) serviceOf(stems []string) (name string) {
	best := 0.0
	for _, f := range s.forms {
		held, telling := 0, false
		for _, want := range f.stems {
			for _, have := range stems {
				if have == want {
					held++
					telling = telling || s.words[want]&isService != 0
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

// asks tells why a phrase is a question or one of somebody who wants to know.
func (s *Sorter) asks(phrase string, stems, words []string) string {
	if strings.HasSuffix(strings.TrimSpace(phrase), "?") {
		return "?"
	}
	if len(stems) > 0 && s.words[stems[0]]&isQuestion != 0 && !s.seeksFirm(words) {
		return strings.Fields(phrase)[0]
	}
	if s.compares(stems, words) {
		return "best … for"
	}
	for _, l := range s.research {
		at := place.Index(words, l.words)
		if at < 0 || l.text == "cost" && at > 0 && words[at-1] == "low" {
			continue // low cost is no research
		}
		return l.text
	}
	return ""
}

// seeksFirm tells a question of somebody who looks for a firm here: who sweeps
// chimneys near me, where can I get gutters cleaned in a town that is served.
func (s *Sorter) seeksFirm(words []string) bool {
	return (words[0] == "who" || words[0] == "where") && (find(words, s.places) != "" || find(words, s.near) != "")
}

// compares tells what is the best of something for something: the best brush
// for a chimney, the best time to sweep one. The best of a service is none.
func (s *Sorter) compares(stems, words []string) bool {
	at := slices.Index(words, "best")
	if at < 0 || at+1 == len(words) {
		return false
	}
	rest := words[at+1:]
	return (slices.Contains(rest, "for") || slices.Contains(rest, "to")) && s.words[stems[at+1]]&isService == 0
}

// first returns the first word with a meaning.
func (s *Sorter) first(tokens, stems []string, m meaning) string {
	for i := range stems {
		if s.words[stems[i]]&m != 0 {
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
