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

	"inktally/core/intent"
	"inktally/core/text"
)

// kindWords tell pages that carry no service.
var kindWords = []struct {
	kind  Kind
	words []string
}{
	{About, []string{"about", "team", "history", "story"}},
	{Contact, []string{"contact", "directions", "quote", "estimate", "appointment"}},
	{Gallery, []string{"gallery", "photos", "portfolio", "projects"}},
	{Article, []string{"blog", "news", "article", "articles", "faq", "tips"}},
}

// Guess returns what a page is for by its address and, if it was read, its
// title and h1: of several services and places the one that all of them name.
// service and place are empty for none of its own, and for the home town.
func Guess(address, title, h1, home string, judge *intent.Judge) (kind Kind, service, place string) {
	slug := Slug(address)
	if slug == "" && title == "" && h1 == "" {
		return Home, "", ""
	}
	service, place = agreed(judge, slug, title, h1)
	if place == home {
		place = ""
	}
	words := text.Tokens(slug)
	for _, k := range kindWords {
		for _, w := range words {
			for _, want := range k.words {
				if w == want {
					return k.kind, "", ""
				}
			}
		}
	}
	switch {
	case place != "":
		return Area, service, place
	case service != "":
		return Service, service, ""
	}
	return Other, "", ""
}

// agreed returns the one service and the one place that the texts name: if they
// name different ones there is none.
func agreed(judge *intent.Judge, texts ...string) (service, place string) {
	services, places := map[string]bool{}, map[string]bool{}
	for _, t := range texts {
		judged := judge.Of(t)
		if judged.Service != "" {
			services[judged.Service], service = true, judged.Service
		}
		if judged.Place != "" {
			places[judged.Place], place = true, judged.Place
		}
	}
	if len(services) > 1 {
		service = ""
	}
	if len(places) > 1 {
		place = ""
	}
	return service, place
}

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
