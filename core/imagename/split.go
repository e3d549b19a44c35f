package imagename

import (
	"slices"
	"strings"
	"unicode"
)

// split parts a name at hyphens, underscores and other signs, at changes of
// case and between letters and digits; runs of letters are parted into known
// words (rule 4.2).
func split(name string, known map[string]bool) []string {
	var out []string
	for _, run := range runs(name) {
		lowered := strings.ToLower(run)
		if known[lowered] {
			out = append(out, lowered)
		} else if parts := segment(lowered, known); parts != nil {
			out = append(out, parts...)
		} else {
			out = append(out, lowered)
		}
	}
	return out
}

// runs parts a name into runs of letters of one word and runs of digits.
func runs(name string) []string {
	var out []string
	letters := []rune(name)
	from := 0
	flush := func(to int) {
		if to > from {
			out = append(out, string(letters[from:to]))
		}
	}
	for i, r := range letters {
		switch {
		case !unicode.IsLetter(r) && !unicode.IsDigit(r) && !unicode.IsMark(r):
			flush(i)
			from = i + 1
		case i > from && boundary(letters, i):
			flush(i)
			from = i
		}
	}
	flush(len(letters))
	return out
}

// boundary reports whether a new run begins at letter i.
func boundary(l []rune, i int) bool {
	a, b := l[i-1], l[i]
	if unicode.IsDigit(a) != unicode.IsDigit(b) {
		return true
	}
	if unicode.IsLower(a) && unicode.IsUpper(b) {
		return true
	}
	return unicode.IsUpper(a) && unicode.IsUpper(b) && i+1 < len(l) && unicode.IsLower(l[i+1])
}

// segment parts a run into known words, nil when they do not explain all of
// it. A plural s may follow a word.
func segment(run string, known map[string]bool) []string {
	if len(known) == 0 || len(run) > 80 {
		return nil
	}
	// back[i] is where the last word of run[:i] begins, -1 when none fits.
	var back [81]int8
	for i := range back {
		back[i] = -1
	}
	for j := 0; j < len(run); j++ {
		if j > 0 && back[j] < 0 {
			continue
		}
		for i := j + 2; i <= len(run); i++ {
			if back[i] < 0 && (known[run[j:i]] || i-j > 3 && run[i-1] == 's' && known[run[j:i-1]]) {
				back[i] = int8(j)
			}
		}
	}
	if back[len(run)] < 0 {
		return nil
	}
	var out []string
	for i := len(run); i > 0; i = int(back[i]) {
		out = append(out, run[back[i]:i])
	}
	slices.Reverse(out)
	return out
}
