// Package site knows what the pages of a client's site are for.
//
// In go what a page says of itself - its address, title and h1 - and what is
// known of the client; out come its kind, its service and its place
// (rules 5.1, 9.1).
package site

import (
	"maps"
	"net/url"
	"path"
	"slices"
	"strings"
	"unicode"

	"inktally/core/text"
)

// Slug returns what the path of an address says, as words; empty for a home page.
func Slug(address string) string {
	u, err := url.Parse(address)
	if err != nil {
		return ""
	}
	p := strings.TrimSuffix(u.Path, path.Ext(u.Path))
	if last := path.Base(p); last == "index" || last == "default" || last == "home" {
		p = path.Dir(p)
	}
	if picked, ok := pickedBy(u); ok {
		p += " " + picked // the script that shows it says nothing of it
	}
	return strings.Join(text.Tokens(p), " ")
}

// pickedBy returns the words of the parameters that pick a page, else that it is a page all the same; not
// ok for an address without any.
func pickedBy(u *url.URL) (words string, ok bool) {
	query, _ := pageQuery(u.RawQuery)
	values, err := url.ParseQuery(query)
	if err != nil || len(values) == 0 {
		return "", false
	}
	for _, name := range slices.Sorted(maps.Keys(values)) {
		if v := values.Get(name); strings.ContainsFunc(v, unicode.IsLetter) {
			words += " " + v
		}
	}
	if words == "" {
		words = query
	}
	return words, true
}
