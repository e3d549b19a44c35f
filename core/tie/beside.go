package tie

import (
	"slices"
	"strings"
)

// standsBy keeps that two words stand side by side in a phrase, a few of each.
func (f *finder) standsBy(a, b string) {
	for word, beside := range map[string]string{a: ". " + b, b: a + " ."} {
		if list := f.beside[word]; len(list) < mostBeside && !slices.Contains(list, beside) {
			f.beside[word] = append(list, beside)
		}
	}
}

// mostBeside bounds how many neighbors of a word are kept.
const mostBeside = 40

// besideMeant finds the word of the client's that an ordinary or a known word is a slip of: one beside a
// word that stands beside the meant one in a service (sceptic pumping).
func (f *finder) besideMeant(w string) string {
	if len(w) < minSlip || f.isOwn(w) || w[0] <= '9' || f.Act(w) {
		return ""
	}
	for n := len(w) - 1; n <= len(w)+1; n++ {
		for _, c := range f.meant[n] {
			if !f.isOwn(c) || !oneSlip(w, c) || f.Stem(c) == f.Stem(w) || f.uses[c].searches < f.uses[w].searches {
				continue
			}
			if f.besidePlace(w, c) {
				return c
			}
		}
	}
	return ""
}

// shortForms are words with their short forms.
var shortForms = map[string]string{"hr": "hour", "hrs": "hours", "mt": "mount", "st": "saint", "ft": "fort"}

// short parts 24hr and returns what a short form means, where that stands in the book too or is one
// of the client's words.
func (f *finder) short(w string) ([]string, bool) {
	if digits := strings.TrimRight(w, "hours"); digits != w && digits != "" &&
		strings.Trim(digits, "0123456789") == "" {
		switch w[len(digits):] {
		case "hr", "hrs", "hour", "hours":
			return []string{digits, "hour"}, true
		}
	}
	means := shortForms[w]
	if means == "" || f.isOwn(w) || f.uses[means].phrases == 0 && !f.isOwn(means) {
		return nil, false
	}
	return []string{means}, true
}
