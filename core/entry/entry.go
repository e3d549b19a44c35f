// Package entry is what a page of search results says of one result (rule 6.6): its part and
// place, its name and address, and the facts of a business, whoever's page it is.
//
// In go the short texts of a result, in nine languages; out come ratings, counts of reviews,
// telephone numbers, years in trade, addresses that are shown, and labels for what is paid for.
package entry

import (
	"strings"
	"unicode"
)

// Part is the part of a results page that an entry stands in.
type Part string

// The parts.
const (
	Paid         Part = "paid"
	Map          Part = "map"
	MapSponsored Part = "map-sponsored"
	Organic      Part = "organic"
)

// Parts returns all of them.
func Parts() []Part { return []Part{Paid, Map, MapSponsored, Organic} }

// Entry is an entry of a results page. What the page does not say is empty or nil.
type Entry struct {
	Part Part
	// Position counts inside the part, from 1; 0 for what is paid or sponsored.
	Position int
	Title    string
	// URL is the real target, taken out of a link that redirects.
	URL string
	// Domain is the registrable domain of the target, or the one that is shown.
	Domain  string
	Rating  *float64
	Reviews *int
	// Phone is as it stands on the page, Years how long the business says that it
	// is in trade.
	Phone string
	Years *int
}

// SnippetLetters is from how many characters on a text is a snippet.
const SnippetLetters = 45

// One returns 1 for what holds, else 0.
func One(holds bool) int {
	if holds {
		return 1
	}
	return 0
}

// Digits returns the digits of a text.
func Digits(s string) string {
	return strings.Map(func(r rune) rune {
		if r < '0' || r > '9' {
			return -1
		}
		return r
	}, s)
}

// HasWord reports whether a text holds a letter or a digit.
func HasWord(s string) bool {
	return strings.ContainsFunc(s, func(r rune) bool { return unicode.IsLetter(r) || unicode.IsDigit(r) })
}

// HasLetter reports whether a text holds a letter.
func HasLetter(s string) bool { return strings.ContainsFunc(s, unicode.IsLetter) }
