// Package cues reads off the words of a text what it may say - left-over text,
// years in trade, a telephone number, another language - so that the slow looks
// are only taken at what is worth one.
package cues

import (
	"inktally/core/text"
)

// Signal is a set of things that words may say.
type Signal uint16

// The signals. Those of languages count small words.
const (
	Filler   Signal = 1 << iota // left-over text
	Vague                       // a catch-all for the places around
	Years                       // years in trade
	Building                    // under construction
	english                     // a small word of the language, and so on
	spanish
	french
	german
	portuguese
	italian
	dutch
	swedish
	// Those that share words with the ones before; they are not told apart.
	norwegian
	danish
	afrikaans
	catalan
)

// spoken is a language that small words are known of, with its name in HTML.
type spoken struct {
	says Signal
	tag  string
}

var languages = []spoken{
	{english, "en"}, {spanish, "es"}, {french, "fr"}, {german, "de"},
	{portuguese, "pt"}, {italian, "it"}, {dutch, "nl"}, {swedish, "sv"},
	{norwegian, "no"}, {danish, "da"}, {afrikaans, "af"}, {catalan, "ca"},
}

// otherLanguage are those besides English that are told apart.
const otherLanguage = spanish | french | german | portuguese | italian | dutch | swedish

// alike are the languages whose small words do not tell them.
const alike = norwegian | danish | afrikaans | catalan

// signalWords are the words that give a signal.
var signalWords, signalKeys = signals(map[Signal]string{
	Filler:     "lorem dolor text edit insert placeholder visitors tagline sample",
	Vague:      "surrounding nearby neighboring neighbouring around close beyond",
	Years:      "since established est founded years",
	Building:   "construction coming launching built",
	english:    "the and of to we is for you with our are this that be your",
	spanish:    "el la los las una con para por que del como su y es más sus lo al",
	french:     "le la les des nous vous est dans pour une et du qui sur au avec par sont cette",
	german:     "der die das und ist wir sie nicht mit auch ein eine zu von für auf im werden oder bei sich kann den",
	portuguese: "os uma para com não por da do dos uns ao mais são em na",
	italian:    "il la che per sono della di una gli con nel è del dei alla anche",
	dutch:      "het een voor niet van en de zijn wij naar ook met te op dat aan",
	swedish:    "och att det som är för en vi på av till med den kan",
	norwegian:  "og det som er for en et vi på av til med den kan ikke har",
	danish:     "og det som er for en et vi på af til med den kan ikke har",
	afrikaans:  "die en van het nie is vir wat sy ons te op met",
	catalan:    "el la els les i per una amb del que és al com en",
})

func signals(words map[Signal]string) (map[string]Signal, *[text.Keys]bool) {
	byWord, keys := map[string]Signal{}, &[text.Keys]bool{}
	// A number may be one of a telephone.
	for first := byte('0'); first <= '9'; first++ {
		for second := range 256 {
			keys[text.KeyOf(string([]byte{first, byte(second)}))] = true
		}
		keys[text.KeyOf(string([]byte{first}))] = true
	}
	for s, list := range words {
		for _, w := range text.Tokens(list) {
			byWord[w] |= s
			keys[text.KeyOf(w)] = true
		}
	}
	return byWord, keys
}

// Signs are what the words of a text tell.
type Signs struct {
	says Signal
	// English and Others are how many small words of English and of other
	// languages there are.
	English, Others int
	// Phone reports whether its digits may be those of a telephone.
	Phone bool
}

// May reports whether a text may say something.
func (s Signs) May(what Signal) bool { return s.says&what != 0 }

// Of looks at the tokens from lo to hi once.
func Of(scan *text.Scan, lo, hi int) (s Signs) {
	at := func(i int) string {
		if i < lo || i >= hi {
			return ""
		}
		return scan.Folded(i)
	}
	for i := lo; i < hi; i++ {
		if !signalKeys[scan.Tokens[i].Key()] {
			continue
		}
		token := scan.Folded(i)
		if token[0] <= '9' {
			s.Phone = s.Phone || mayBePhone(token, at(i-1), at(i-2))
			continue
		}
		found := signalWords[token]
		if found&Years != 0 && !tellsYears(token, at(i-1), at(i+1)) ||
			found&Vague != 0 && !tellsArea(token, at(i-1), at(i+1)) {
			continue
		}
		s.says |= found
		switch {
		case found&english != 0:
			s.English++
		case found&otherLanguage != 0:
			s.Others++
		}
	}
	return s
}

// mayBePhone reports whether a number may end a phone's, with the two tokens before it.
func mayBePhone(token, before, first string) bool {
	return len(token) == 4 && numeric(before, 3) && numeric(first, 3) ||
		len(token) >= 5 || len(token) >= 3 && token[0] == '0'
}

// tellsArea reports whether a catch-all word stands beside one for places.
func tellsArea(token, before, after string) bool {
	return areaWords[after] || areaWords[before] || token == "beyond" && before == "and"
}

func numeric(token string, length int) bool {
	return len(token) == length && token[0] <= '9' && token[length-1] <= '9'
}

// tellsYears reports whether a word may do so where it stands: "since" and the
// like before a number, "years" behind one.
func tellsYears(token, before, after string) bool {
	if token != "years" {
		return after != "" && after[0] <= '9'
	}
	switch before {
	case "ten", "fifteen", "twenty", "thirty", "forty", "fifty":
		return true
	}
	return before != "" && before[0] <= '9'
}

// areaWords stand beside a word that makes them vague.
var areaWords = map[string]bool{
	"area": true, "areas": true, "communities": true, "cities": true, "city": true, "town": true, "towns": true,
	"village": true, "villages": true, "region": true, "regions": true, "community": true,
}
