package place

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// Capitals writes words as they would stand in a text: places and their states
// with their capitals, and with first the first letter large too.
func Capitals(words string, places []Place, first bool) string {
	for _, p := range places {
		for _, name := range append([]string{p.Name}, p.Spellings...) {
			words = capitalize(words, name)
		}
		if p.State != "" && p.Name != "" {
			words = capitalize(words, p.Name+" "+p.State)
			if long, ok := StateName(p.State); ok {
				words = capitalize(words, p.Name+" "+long)
			}
			if short, ok := StateAbbreviation(p.State); ok {
				words = capitalize(words, p.Name+" "+short)
			}
		}
	}
	letters := []rune(words)
	if first && len(letters) > 0 {
		return strings.ToUpper(string(letters[0])) + string(letters[1:])
	}
	return words
}

// CapitalsOfPart writes words that are cut out of a text like Capitals does, and
// what they hold of a place's name at their ends with its capitals too: the
// "tarn" of "chimney sweep in tarn", where Tarn Harbor is a place.
func CapitalsOfPart(words string, places []Place) string {
	words = Capitals(words, places, false)
	for _, p := range places {
		name := strings.Fields(p.Name)
		for n := len(name) - 1; n > 0; n-- {
			if first := strings.Join(name[:n], " "); strings.HasSuffix(" "+words, " "+strings.ToLower(first)) {
				words = words[:len(words)-len(first)] + first
			}
			if last := strings.Join(name[n:], " "); strings.HasPrefix(words+" ", strings.ToLower(last)+" ") {
				words = last + words[len(last):]
			}
		}
	}
	return words
}

// capitalize writes a name as it is wherever it stands as whole words.
func capitalize(words, name string) string {
	if name == "" || len(words) < len(name) {
		return words
	}
	for i := 0; i+len(name) <= len(words); i++ {
		if !strings.EqualFold(words[i:i+len(name)], name) {
			continue
		}
		before, _ := utf8.DecodeLastRuneInString(words[:i])
		after, _ := utf8.DecodeRuneInString(words[i+len(name):])
		if !inWord(before) && !inWord(after) {
			words = words[:i] + name + words[i+len(name):]
			i += len(name) - 1
		}
	}
	return words
}

// inWord reports whether a rune is a letter or a number.
func inWord(r rune) bool { return r != utf8.RuneError && (unicode.IsLetter(r) || unicode.IsNumber(r)) }
