package hours

import (
	"regexp"
	"strconv"
	"strings"
)

type kind uint8

const (
	dayName kind = iota
	clock
	dash
	allDay
	closed
	appointment
)

type half uint8

const (
	noHalf half = iota
	morning
	afternoon
)

// everyDay is the value of a word for all days.
const everyDay = 7

// token is a piece of a text of hours.
type token struct {
	kind  kind
	value int // the day, or the minutes of a time as they are written
	half  half
}

// minutes returns a time as minutes after midnight.
func (t token) minutes() int {
	switch {
	case t.half == afternoon && t.value < halfDay:
		return t.value + halfDay
	case t.half == morning && t.value >= halfDay:
		return t.value - halfDay
	}
	return t.value
}

// piece is what stands in a text of hours: what is open all day, an appointment, a time, a dash, a word.
var piece = regexp.MustCompile(
	`24\s*/\s*7|(?:open\s+)?24\s*(?:hours|hrs|h\b|stunden|heures|horas|ore|uur)|` +
		`(\d{1,2})(?:[:.h](\d{2})|h\b)?(?::\d{2})?\s*(a\.?m\b\.?|p\.?m\b\.?|uhr\b)?|[-–—]|\p{L}+\.?`)

// words are the words of hours, by what they are. Days are told by how they begin.
var words = map[string]token{
	"to": {kind: dash}, "until": {kind: dash}, "till": {kind: dash}, "through": {kind: dash}, "thru": {kind: dash},
	"bis": {kind: dash}, "à": {kind: dash}, "au": {kind: dash}, "a": {kind: dash}, "al": {kind: dash},
	"tot":    {kind: dash},
	"closed": {kind: closed}, "geschlossen": {kind: closed}, "fermé": {kind: closed}, "cerrado": {kind: closed},
	"chiuso": {kind: closed}, "gesloten": {kind: closed}, "ruhetag": {kind: closed},
	"appointment": {kind: appointment}, "vereinbarung": {kind: appointment}, "absprache": {kind: appointment},
	"rendez": {kind: appointment}, "cita": {kind: appointment}, "appuntamento": {kind: appointment},
	"afspraak": {kind: appointment},
	"daily":    {kind: dayName, value: everyDay}, "täglich": {kind: dayName, value: everyDay},
	"diario": {kind: dayName, value: everyDay}, "dagelijks": {kind: dayName, value: everyDay},
	"noon": {kind: clock, value: halfDay}, "midnight": {kind: clock, value: day},
}

// dayStarts are the beginnings of the names of the days, from Monday on, in the languages known.
var dayStarts = [7][]string{
	{"mon", "montag", "lun", "maan"}, {"tue", "dienst", "mar", "din"}, {"wed", "mitt", "mer", "mier", "miér", "woe"},
	{"thu", "donn", "jeu", "jue", "gio", "dond"}, {"fri", "frei", "ven", "vie", "vri"},
	{"sat", "sams", "sonnab", "sam", "sab", "sáb", "zat"}, {"sun", "sonn", "dim", "dom", "zon"},
}

// dayShort are the short forms of the days.
var dayShort = map[string]int{"mo": 0, "tu": 1, "di": 1, "we": 2, "mi": 2, "th": 3, "do": 3, "fr": 4, "sa": 5, "su": 6,
	"so": 6,
	"m":  0, "w": 2, "f": 4, "lu": 0, "ma": 1, "me": 2, "je": 3, "ju": 3, "gi": 3, "ve": 4, "vi": 4, "wo": 2, "vr": 4,
	"za": 5, "zo": 6}

// spanishDays are the days by one letter: L-V.
var spanishDays = map[string]int{"l": 0, "x": 2, "j": 3, "v": 4, "s": 5, "d": 6}

func tokensOf(s string) (out []token) {
	for _, m := range piece.FindAllStringSubmatch(s, -1) {
		switch {
		case m[1] != "":
			if t, ok := timeOf(m); ok {
				out = append(out, t)
			}
		case strings.Contains(m[0], "24"):
			out = append(out, token{kind: allDay})
		case strings.Trim(m[0], "-–—") == "":
			out = append(out, token{kind: dash})
		default:
			if t, ok := wordOf(strings.TrimSuffix(m[0], ".")); ok {
				out = append(out, t)
			}
		}
	}
	return out
}

// timeOf reads a time: 8, 8am, 08:00, 17h30, 9 Uhr.
func timeOf(m []string) (token, bool) {
	h, _ := strconv.Atoi(m[1])
	minutes, _ := strconv.Atoi(m[2])
	t := token{kind: clock, value: h*60 + minutes}
	switch {
	case strings.HasPrefix(m[3], "a"):
		t.half = morning
	case strings.HasPrefix(m[3], "p"):
		t.half = afternoon
	}
	return t, t.value <= day && minutes < 60
}

func wordOf(word string) (token, bool) {
	if t, ok := words[word]; ok {
		return t, true
	}
	for _, short := range []map[string]int{dayShort, spanishDays} {
		if d, ok := short[word]; ok {
			return token{kind: dayName, value: d}, true
		}
	}
	for d, starts := range dayStarts {
		for _, start := range starts {
			if strings.HasPrefix(word, start) && len(word) <= 12 {
				return token{kind: dayName, value: d}, true
			}
		}
	}
	return token{}, false
}
