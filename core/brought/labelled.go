package brought

import (
	"strings"

	"inktally/core/text"
)

// Labelled finds the labelled numbers in the texts of a page, one after another as they stand: a label and its number
// side by side, or both in one text. Whether labels stand before their numbers or behind is told by which way more of
// them are known.
func Labelled(texts []string) [][]string {
	before, behind := [][]string{}, [][]string{}
	knownBefore, knownBehind := 0, 0
	for i, s := range texts {
		if label, number, ok := inOne(s); ok {
			before, behind = append(before, []string{label, number}), append(behind, []string{label, number})
			continue
		}
		if _, ok := figure(strings.TrimSuffix(s, "%")); !ok {
			continue
		}
		if i > 0 && isLabel(texts[i-1]) {
			before = append(before, []string{texts[i-1], s})
			knownBefore += one(factOf(texts[i-1], s) != Other)
		}
		if i+1 < len(texts) && isLabel(texts[i+1]) {
			behind = append(behind, []string{texts[i+1], s})
			knownBehind += one(factOf(texts[i+1], s) != Other)
		}
	}
	if knownBehind > knownBefore {
		return behind
	}
	return before
}

func one(b bool) int {
	if b {
		return 1
	}
	return 0
}

const (
	labelWords   = 6
	labelLetters = 60
)

// isLabel reports whether a text can be the label of a number: a few words, none of them a figure.
func isLabel(s string) bool {
	if strings.HasSuffix(s, ".") || strings.HasSuffix(s, "!") || strings.HasSuffix(s, "?") {
		return false
	}
	if len(s) > labelLetters {
		return false
	}
	tokens := text.Tokens(s)
	_, number := figure(s)
	return len(tokens) > 0 && len(tokens) <= labelWords && !number
}

// inOne reads a label and its number from one text: Backlinks: 1,212 or 88 reviews.
func inOne(s string) (label, number string, ok bool) {
	if len(s) > labelLetters {
		return "", "", false
	}
	words := strings.Fields(s)
	if len(words) < 2 || len(words) > labelWords {
		return "", "", false
	}
	for _, c := range []struct {
		number string
		label  []string
	}{{words[len(words)-1], words[:len(words)-1]}, {words[0], words[1:]}} {
		label := strings.TrimRight(strings.Join(c.label, " "), ": ")
		if _, isNumber := figure(c.number); isNumber && factOf(label, c.number) != Other {
			return label, c.number, true
		}
	}
	return "", "", false
}
