// Package contact finds telephone numbers in texts.
package contact

import (
	"regexp"
	"strings"
	"sync"

	"github.com/nyaruka/phonenumbers"
	"golang.org/x/text/language"
)

// Phone is a telephone number on a page.
type Phone struct {
	// Number is as it stands in the text.
	Number string
	// Linked reports whether a link calls it: click to call.
	Linked bool
}

// phoneText are numbers as they stand in texts: of ten digits in three groups,
// with the country before them, or of the country with a 0 before them.
var phoneText = regexp.MustCompile(`(?:\+?1[-. ])?(?:\(\d{3}\)\s?|\b\d{3}[-. ])\d{3}[-. ]\d{4}\b` +
	`|\+[1-9]\d{0,2}[-. ]?(?:\(0\))?[-. ()\d]{6,16}\d\b|\(?\b0\d{2,5}\)?[-. /][-. \d]{4,12}\d\b`)

// List gathers the numbers of a page, each once.
type List struct {
	region func() string   // of numbers without a country
	linked map[string]bool // whether a link calls it
	seen   map[string]bool
	found  []Phone
	left   int // texts that are still looked at
}

// mostTried is how many texts of a page are tried as numbers: each costs what a paragraph does, and no page that
// somebody wrote has as many.
const mostTried = 5_000

// NewList returns a list without numbers. lang is the language tag of the page,
// called are the numbers that its links call.
func NewList(lang string, called []string) *List {
	l := &List{region: sync.OnceValue(func() string { return regionOf(lang) }), linked: map[string]bool{},
		seen: map[string]bool{}, left: mostTried}
	for _, typed := range called {
		if number, ok := l.number(typed); ok {
			l.linked[number] = true
		}
	}
	return l
}

// Found returns the numbers that were found, in their order.
func (l *List) Found() []Phone { return l.found }

// regionOf returns the country of a language tag, the United States if it names none.
func regionOf(tag string) string {
	parsed, err := language.Parse(tag)
	if region, confidence := parsed.Region(); err == nil && confidence == language.Exact {
		return region.String()
	}
	return "US"
}

// Find adds the numbers of a text.
func (l *List) Find(text string) {
	if l.left <= 0 {
		return
	}
	for _, typed := range phoneText.FindAllString(text, l.left) {
		if number, ok := l.number(typed); ok && !l.seen[number] {
			l.seen[number] = true
			l.found = append(l.found, Phone{Number: strings.TrimSpace(typed), Linked: l.linked[number]})
		}
	}
}

// number returns a number in its international form (E.164); it is not ok for digits
// that can be none.
func (l *List) number(typed string) (string, bool) {
	if l.left--; l.left < 0 {
		return "", false
	}
	parsed, err := phonenumbers.Parse(typed, l.region())
	if err != nil || !phonenumbers.IsPossibleNumber(parsed) {
		return "", false
	}
	return phonenumbers.Format(parsed, phonenumbers.E164), true
}

// Scheme parts an address at its scheme, which is in lower case; without one
// it is empty.
func Scheme(href string) (scheme, rest string) {
	href = strings.TrimSpace(href)
	scheme, rest, found := strings.Cut(href, ":")
	if !found || strings.ContainsAny(scheme, "/?#") {
		return "", href
	}
	return strings.ToLower(scheme), rest
}
