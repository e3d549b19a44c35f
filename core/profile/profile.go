// Package profile reads what a home page says of its business: name, phone, town, trade.
//
// In go the page and the phrase that the business is to be found for; out comes a Profile.
package profile

import (
	"regexp"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/structured"
	"inktally/core/text"
)

// Profile is what a home page says of its business; what it says nothing of is
// empty.
type Profile struct {
	Name, Phone, Trade string
	Town               place.Place
	// Service is what a phrase names beside the town.
	Service string
	// Address and Hours are as structured data has them.
	Address, Hours string
}

// Of reads the name, the phone and the town of a business out of its
// home page - its structured data, else its title, its text and its footer -
// and the town and the service out of the phrase that it is to be found for.
func Of(p *page.Page, typed string) Profile {
	d := p.Details()
	var b structured.Business
	if len(d.Businesses) > 0 {
		b = d.Businesses[0]
	}
	out := Profile{Name: text.Collapse(b.Name), Phone: b.Phone, Address: text.Collapse(b.Address),
		Hours: text.Collapse(strings.Join(b.Hours, "; "))}
	if out.Name == "" && p.URL != "" {
		out.Name = firmName(p)
	}
	if out.Phone == "" && len(d.Phones) > 0 {
		out.Phone = d.Phones[0].Number
	}
	out.Town = townOf(p, b.Address, typed)
	out.Service = withoutTown(typed, out.Town)
	out.Trade = tradeOf(b.Type, out.Service)
	return out
}

// firmName returns the part of the title, of an h1 or of a line of the footer that
// the address has words of; empty if none has.
func firmName(p *page.Page) string {
	candidates := []string{p.Title, p.H1()}
	for i := range p.Blocks {
		if b := &p.Blocks[i]; !b.Hidden && (b.Region == page.Footer || b.Region == page.Banner) && b.Words <= 12 {
			candidates = append(candidates, p.Text(i))
		}
	}
	label, _, _ := strings.Cut(lineup.Domain(p.URL), ".")
	for _, c := range candidates {
		if name := strings.Trim(copyright.ReplaceAllString(lineup.NameOf(c, p.URL), ""), " ,.·"); name != "" &&
			name != label {
			return name
		}
	}
	return ""
}

// copyright is what stands before a firm's name in a footer.
var copyright = regexp.MustCompile(`(?i)^(?:©|\(c\)|copyright)?[\s\d–-]*`)

// townOf finds the town of a business: of the towns with a state in its address
// and its text the one that the phrase names, else that of the address, else the
// most frequent; else the end of the phrase that the page has with capitals.
func townOf(p *page.Page, address, typed string) place.Place {
	tokens := text.Tokens(typed)
	counts := map[place.Town]int{}
	var order []place.Town
	find := func(s string, weight int) {
		for m := place.TownState.FindStringSubmatchIndex(s); m != nil; m = place.TownState.FindStringSubmatchIndex(s) {
			at, ok := place.TownBefore(s[m[2]:m[3]], s[m[4]:m[5]])
			if !ok {
				s = s[m[4]:] // what looked like a state may be the town
				continue
			}
			s = s[m[1]:]
			if counts[at] == 0 {
				order = append(order, at)
			}
			counts[at] += weight
			if place.Index(tokens, text.Tokens(at.Name)) >= 0 {
				counts[at] += 1000 // the phrase names it
			}
		}
	}
	find(address, 100)
	for i := range p.Blocks {
		if !p.Blocks[i].Hidden {
			find(p.Text(i), 1)
		}
	}
	if len(order) == 0 {
		return place.Place{Name: capitalized(p, tokens)}
	}
	most := slices.MaxFunc(order, func(a, b place.Town) int { return counts[a] - counts[b] })
	return place.Place{Name: most.Name, State: most.State}
}

// capitalized returns the longest end or start of a phrase that the page writes with
// capitals wherever it stands, also inside a sentence, where ordinary words have
// none: a name, most likely the town's.
func capitalized(p *page.Page, tokens []string) string {
	for n := min(3, len(tokens)-1); n >= 1; n-- {
		for _, part := range [][]string{tokens[len(tokens)-n:], tokens[:n]} {
			if name := nameOf(p.Scan(), part); name != "" {
				return name
			}
		}
	}
	return ""
}

// insideSentence is what stands before a word inside a sentence.
var insideSentence = regexp.MustCompile(`[\pL,] $`)

// nameOf returns how a text writes words, empty if they are no name in it.
func nameOf(scan *text.Scan, words []string) string {
	name, inside := "", false
	for i := 0; i+len(words) <= len(scan.Tokens); i++ {
		if !standsAt(scan, i, words) {
			continue
		}
		for k := range words {
			first, _ := utf8.DecodeRuneInString(scan.Text[scan.Start(i+k):])
			if !unicode.IsUpper(first) {
				return ""
			}
		}
		start := scan.Start(i)
		name = scan.Text[start:scan.End(i+len(words)-1)]
		inside = inside || insideSentence.MatchString(scan.Text[max(0, start-8):start])
	}
	if !inside {
		return ""
	}
	return text.Collapse(name)
}

func standsAt(scan *text.Scan, i int, words []string) bool {
	for k, w := range words {
		if scan.Folded(i+k) != w {
			return false
		}
	}
	return true
}

// withoutTown returns a phrase less its town and state.
func withoutTown(typed string, town place.Place) string {
	tokens := place.OneForm(text.Tokens(typed), []place.Place{town})
	at := place.Index(tokens, town.Tokens())
	if at < 0 {
		return ""
	}
	rest := append(slices.Clone(tokens[:at]), tokens[at+len(town.Tokens()):]...)
	for len(rest) > 0 && text.Small(rest[len(rest)-1]) {
		rest = rest[:len(rest)-1]
	}
	return strings.Join(rest, " ")
}

// inCapitals are the words of a name such as HomeAndConstructionBusiness.
var inCapitals = regexp.MustCompile(`\p{Lu}\p{Ll}+`)

// tradeOf returns the trade that structured data names, else the service.
func tradeOf(kind, service string) string {
	var words []string
	for _, w := range inCapitals.FindAllString(kind, -1) {
		words = append(words, strings.ToLower(w))
	}
	trade := strings.Join(words, " ")
	switch trade {
	case "", "local business", "organization", "store", "professional service", "home and construction business",
		"corporation":
		return service
	}
	return trade
}
