// Package lineup reads the result of a search: what each entry is, which of
// them are the rivals to beat and which high positions no business holds
// (MEASURES 6).
//
// In go entries with what is known of their pages; out come kinds with their
// evidence and the entries that are taken.
package lineup

import (
	"fmt"
	"net/url"
	"regexp"
	"strings"

	"inktally/core/page"

	"golang.org/x/net/publicsuffix"
)

// Part is a part of a search result.
type Part string

// The parts of a result; Typed are pages that the user brought.
const (
	Paid    Part = "paid"
	Map     Part = "map"
	Organic Part = "organic"
	Typed   Part = "typed"
)

// Kind is what an entry is (MEASURES 6.1).
type Kind string

// The kinds that are told apart.
const (
	Client      Kind = "client"
	Directory   Kind = "directory"
	ListArticle Kind = "list article"
	Business    Kind = "business"
)

// Most is how many rivals are taken by themselves (MEASURES 6.2).
const Most = 4

// Entry is one result of a search.
type Entry struct {
	Part      Part
	Position  int
	Sponsored bool
	Name      string
	URL       string
	Kind      Kind
	// Reason is the evidence for the kind, or why an entry is not taken.
	Reason string
	Taken  bool
}

// Domain returns the registrable domain of an address, the host where it has
// none, empty for what is no address.
func Domain(address string) string {
	u, err := url.Parse(address)
	if err != nil || u.Hostname() == "" {
		return ""
	}
	host := strings.TrimPrefix(strings.ToLower(u.Hostname()), "www.")
	if domain, err := publicsuffix.EffectiveTLDPlusOne(host); err == nil {
		return domain
	}
	return host
}

var listTitle = regexp.MustCompile(`(?i)\b(?:best|top)\s+\d+\b|^\d+\s+(?:best|top)\b`)

// directoryListings is how many businesses make a directory of a page.
const directoryListings = 5

// Judge tells the kind of an entry by its evidence. read is the entry's page,
// nil where it was not read.
func Judge(e Entry, clientDomain string, read *page.Page) (Kind, string) {
	switch {
	case clientDomain != "" && Domain(e.URL) == clientDomain:
		return Client, "the client"
	case listTitle.MatchString(e.Name):
		return ListArticle, fmt.Sprintf("title says “%s”", listTitle.FindString(e.Name))
	}
	if read != nil {
		if n := Listings(read); n >= directoryListings {
			return Directory, fmt.Sprintf("lists %d businesses", n)
		}
	}
	return Business, ""
}

var phoneNumber = regexp.MustCompile(`(?:\(\d{3}\)\s?|\b\d{3}[-. ])?\b\d{3}[-. ]\d{4}\b`)

// Listings counts the businesses that a page lists, by their phone numbers.
func Listings(p *page.Page) int {
	seen := map[string]bool{}
	for i := range p.Blocks {
		if p.Blocks[i].Hidden {
			continue
		}
		for _, n := range phoneNumber.FindAllString(p.Text(i), -1) {
			seen[n] = true
		}
	}
	return len(seen)
}

// Take marks the rivals that are taken by themselves: the map pack in order,
// then organic businesses, none that is paid or sponsored, each firm once
// (MEASURES 6.2).
func Take(entries []Entry) {
	taken := map[string]bool{}
	for _, part := range []Part{Map, Organic} {
		for i := range entries {
			e := &entries[i]
			if e.Part != part || e.Sponsored || e.Kind != Business {
				continue
			}
			domain := Domain(e.URL)
			switch {
			case domain == "":
				e.Reason = "has no site"
			case taken[domain]:
				e.Reason = "taken from the map pack"
			case len(taken) == Most:
				e.Reason = fmt.Sprintf("beyond the first %d", Most)
			default:
				e.Taken = true
				taken[domain] = true
			}
		}
	}
	for i := range entries {
		switch e := &entries[i]; {
		case e.Part == Paid:
			e.Reason = "paid"
		case e.Sponsored:
			e.Reason = "sponsored"
		}
	}
}

// Open tells whether an entry leaves a high position to be had: an organic
// one to five that no business holds (MEASURES 6.4).
func Open(e Entry) bool {
	return e.Part == Organic && e.Position <= 5 && e.Kind != Business && e.Kind != Client
}
