package page

import (
	"regexp"
	"strings"
)

// Phone is a telephone number on a page.
type Phone struct {
	// Number is as it stands in the text.
	Number string
	// Linked tells that a link calls it: click to call.
	Linked bool
}

var phoneText = regexp.MustCompile(`(?:\+?1[-. ])?(?:\(\d{3}\)\s?|\b\d{3}[-. ])\d{3}[-. ]\d{4}\b`)

// phoneList gathers the numbers of a page, each once.
type phoneList struct {
	linked map[string]bool // by digits: whether a link calls it
	seen   map[string]bool
	found  []Phone
}

func (p *Page) phoneList() *phoneList {
	l := &phoneList{linked: map[string]bool{}, seen: map[string]bool{}}
	for i := range p.Links {
		if scheme, rest := schemeOf(p.Links[i].Href); scheme == "tel" {
			l.linked[digits(rest)] = true
		}
	}
	return l
}

// find adds the numbers of a text.
func (l *phoneList) find(text string) {
	for _, number := range phoneText.FindAllString(text, -1) {
		key := digits(number)
		if !l.seen[key] {
			l.seen[key] = true
			l.found = append(l.found, Phone{Number: number, Linked: l.linked[key]})
		}
	}
}

// digits are those of a number, without the country's 1.
func digits(number string) string {
	var b strings.Builder
	for i := range len(number) {
		if number[i] >= '0' && number[i] <= '9' {
			b.WriteByte(number[i])
		}
	}
	only := b.String()
	if len(only) == 11 {
		only = strings.TrimPrefix(only, "1")
	}
	return only
}

// schemeOf parts an address at its scheme, which is in lower case; without one
// it is empty.
func schemeOf(href string) (scheme, rest string) {
	href = strings.TrimSpace(href)
	scheme, rest, found := strings.Cut(href, ":")
	if !found || strings.ContainsAny(scheme, "/?#") {
		return "", href
	}
	return strings.ToLower(scheme), rest
}
