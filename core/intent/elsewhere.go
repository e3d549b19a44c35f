package intent

import (
	"slices"
	"strings"

	"inktally/core/gazetteer"
	"inktally/core/lexicon"
	"inktally/core/place"
)

// A town of another country counts from this size on, and from so many letters.
const (
	farSize    = 100_000
	farLetters = 5
	// ordinarySize is the size from which a town counts whose name is an ordinary word: nobody means the
	// Walls of Mississippi by signs of mice in walls.
	ordinarySize = 5_000
)

// elsewhere returns the other place that a phrase names: a state or a county that
// is not the client's, a postcode of another area, a town of the gazetteer
// (rules 3.6, 5.4). It is empty for none.
func (j *Judge) elsewhere(phrase []word) (code ReasonCode, at string) {
	if at := j.region(phrase); at != "" {
		return OtherState, at
	}
	if at := j.county(phrase); at != "" {
		return OtherState, at
	}
	if at := j.postcode(phrase); at != "" {
		return OtherPostcode, at
	}
	if !slices.ContainsFunc(phrase, func(w word) bool { return w.role == ownPlace }) {
		if at := j.town(phrase); at != "" {
			return OtherTown, at
		}
	}
	return "", ""
}

// region finds a state, a province, a county or a nation that is none of the client's.
func (j *Judge) region(phrase []word) string {
	for i := range phrase {
		for n := min(4, len(phrase)-i); n > 0; n-- {
			run := phrase[i : i+n]
			if slices.ContainsFunc(run, word.taken) {
				continue
			}
			typed := joined(run)
			if j.otherRegion(typed, run, phrase, i) {
				return typed
			}
			if s, ok := strings.CutSuffix(typed, "s"); ok && len(s) > 4 && j.otherRegion(s, run, phrase, i) {
				return typed // typed as a plural
			}
		}
	}
	return ""
}

func (j *Judge) otherRegion(typed string, run, phrase []word, at int) bool {
	if nation := place.Nation(typed); nation != "" && len(typed) > 2 {
		return j.country != "" && nation != j.country && !run[0].small
	}
	for _, r := range place.Regions(typed) {
		if j.ownRegion(r) {
			return false
		}
		if j.isRegion(r, typed, run, phrase, at) {
			return true
		}
	}
	return false
}

// isRegion reports whether a run of words, as it was typed, names a region.
func (j *Judge) isRegion(r place.Region, typed string, run, phrase []word, at int) bool {
	alone := len(run) == 1
	short := func(s string) bool { return strings.EqualFold(s, typed) }
	switch {
	case alone && !short(r.Name) && slices.ContainsFunc(r.Short, short):
		return j.abbreviates(r, run[0], phrase, at)
	case alone && (run[0].listed || j.service[run[0].stem]):
		return false
	case !alone || r.Country != "GB" && r.Country != "IE":
		return true
	}
	// The names of counties are ordinary words and surnames elsewhere.
	near := j.country == r.Country || j.country == "IE"
	return near && (!lexicon.English(typed) || j.atPlaceOf(phrase, at, at+1))
}

// abbreviates reports whether a word is the abbreviation of a region: at the end of
// a phrase, and where it is an ordinary word or a small one only behind a word that
// may be a town's name.
func (j *Judge) abbreviates(r place.Region, w word, phrase []word, at int) bool {
	if at == 0 || w.small || j.country != "" && j.country != r.Country && r.Country != "US" {
		return false
	}
	before := phrase[at-1]
	if foreignSmall[w.text] && (at != len(phrase)-1 || len(j.towns.Named([]string{before.text})) == 0) {
		return false // couvreur de toit is none of Delaware
	}
	town := before.unknown() || len(j.towns.Named([]string{before.text})) > 0 && !before.listed &&
		!j.service[before.stem]
	if len(w.text) > 2 {
		return !w.listed && !lexicon.English(w.text)
	}
	if at != len(phrase)-1 {
		return town && !lexicon.English(w.text)
	}
	return town || !lexicon.English(w.text) && !w.listed && j.country == r.Country
}

// foreignSmall are abbreviations of states that are small words of other languages.
var foreignSmall = map[string]bool{"de": true, "la": true, "al": true, "mi": true, "ma": true, "pa": true, "co": true}

func (j *Judge) ownRegion(r place.Region) bool {
	return slices.ContainsFunc(j.regions, func(own place.Region) bool { return own.Name == r.Name })
}

// county finds a county by the word itself: Hamilton County, where it is none of
// the client's places.
func (j *Judge) county(phrase []word) string {
	for i := 1; i < len(phrase); i++ {
		if phrase[i].text == "county" && !phrase[i].taken() && !phrase[i-1].taken() && !phrase[i-1].small &&
			!phrase[i-1].listed && !j.service[phrase[i-1].stem] {
			return joined(phrase[i-1 : i+1])
		}
	}
	return ""
}

// postcode finds a postcode of another area than the client's.
func (j *Judge) postcode(phrase []word) string {
	if j.area == "" {
		return ""
	}
	for i := range phrase {
		if phrase[i].taken() || phrase[i].listed || j.service[phrase[i].stem] {
			continue
		}
		if code, ok := place.PostcodeAt(texts(phrase[i:]), j.country); ok && code.Area != j.area {
			return joined(phrase[i : i+code.Tokens])
		}
	}
	return ""
}

// town finds a town of the gazetteer.
func (j *Judge) town(phrase []word) string {
	tokens := texts(phrase)
	for i := range phrase {
		for n := j.towns.Longest(tokens[i:]); n > 0; n-- {
			if j.mayName(phrase, i, i+n) &&
				slices.ContainsFunc(j.towns.Named(tokens[i:i+n]), func(t gazetteer.Town) bool {
					return j.counts(t, phrase, i, i+n)
				}) {
				return joined(phrase[i : i+n])
			}
		}
	}
	return ""
}

// mayName reports whether words may name a town at all: none of them is one of the
// client's services or stands in a list, unless there are others beside it.
func (j *Judge) mayName(phrase []word, lo, hi int) bool {
	telling := false
	for _, w := range phrase[lo:hi] {
		if w.taken() || j.service[w.stem] {
			return false
		}
		telling = telling || !w.listed && !w.small
	}
	return telling && !phrase[lo].small
}

// counts reports whether a town of that name is meant. A name that is an ordinary
// word too, or of three letters, counts only where the name of a place stands.
func (j *Judge) counts(t gazetteer.Town, phrase []word, lo, hi int) bool {
	own := j.country == "" || t.Country == j.country
	letters := len(joined(phrase[lo:hi]))
	if !own && (t.Size < farSize || letters < farLetters) {
		return false
	}
	if j.country == "" && t.Size < farSize/5 {
		return false
	}
	if hi-lo > 1 {
		return !allEnglish(phrase[lo:hi]) || j.atPlaceOf(phrase, lo, hi)
	}
	if letters <= 3 || lexicon.English(phrase[lo].text) {
		return t.Size >= ordinarySize && j.atPlaceOf(phrase, lo, hi)
	}
	return true
}

// atPlaceOf reports whether the name of a place stands there: behind in, before a
// state, or at the end of the phrase right behind a service.
func (j *Judge) atPlaceOf(phrase []word, lo, hi int) bool {
	if lo > 0 && phrase[lo-1].text == "in" {
		return true
	}
	if hi < len(phrase) && len(place.Regions(joined(phrase[hi:]))) > 0 {
		return true
	}
	return hi == len(phrase) && lo > 0 && (j.service[phrase[lo-1].stem] || j.isAct(phrase[lo-1].stem))
}

func allEnglish(run []word) bool {
	return !slices.ContainsFunc(run, func(w word) bool { return !lexicon.English(w.text) })
}

func joined(run []word) string { return strings.Join(texts(run), " ") }

func texts(run []word) []string {
	out := make([]string, len(run))
	for i, w := range run {
		out[i] = w.text
	}
	return out
}
