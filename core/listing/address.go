package listing

import (
	"regexp"
	"slices"
	"strings"

	"inktally/core/place"
	"inktally/core/text"
)

// postal is an address as it is compared: its postcode, its unit, and all other words in their short forms, sorted.
type postal struct {
	code, more string // more are the four more digits of a ZIP
	unit       string
	words      []string
}

// sameAddress holds an address against that of the business. A hidden one agrees with none.
func (b Business) sameAddress(theirs string) (Verdict, Note) {
	is := b.postal(theirs)
	switch {
	case b.Hidden && len(is.words) == 0:
		return Agrees, NoNote
	case b.Hidden:
		return Differs, NoNote
	case len(is.words) == 0:
		return NotThere, NoNote
	case b.Address == "":
		return NotAsked, NoNote
	}
	want := b.postal(b.Address)
	switch {
	case want.code != is.code || !slices.Equal(want.words, is.words):
		return Differs, NoNote
	case want.unit != is.unit && want.unit != "" && is.unit != "":
		return Differs, NoNote
	case want.unit != is.unit:
		return Agrees, UnitMissing
	case want.more != is.more:
		return Agrees, LongZIP
	}
	return Agrees, NoNote
}

var (
	american = regexp.MustCompile(`\b(\d{5})(?:-?(\d{4}))?\s*$`)
	digits   = regexp.MustCompile(`(?:^|[\s,])((?:[A-Z]{1,2}-)?\d{4,5})(?:[\s,]|$)()`)
	british  = regexp.MustCompile(`(?i)\b([A-Z]{1,2}\d[A-Z\d]?)\s*(\d[A-Z]{2})\b`)
	canadian = regexp.MustCompile(`(?i)\b([A-Z]\d[A-Z])\s*(\d[A-Z]\d)\b`)
)

// codeOf returns the form of the postcodes of a country.
func codeOf(country string) *regexp.Regexp {
	switch country {
	case "", "US":
		return american
	case "GB", "IE":
		return british
	case "CA":
		return canadian
	}
	return digits
}

// nations stand at the end of an address.
var nations = regexp.MustCompile(`(?i)[\s,
]+(?:usa|u\.s\.a\.|united states(?: of america)?|uk|united kingdom|england|scotland|wales|` +
	`great britain|ireland|canada|deutschland|germany|france|españa|spain|italia|italy|nederland|australia|new zealand)\.?\s*$`)

// unit is a suite, a flat, a unit with its number.
var unit = regexp.MustCompile(`(?i)(?:^|[\s,
(])(?:(?:suite|ste|unit|apt|apartment|flat|office|room|rm|bldg|building|bureau|` +
	`app|local)\.?\s*#?|#)\s*([a-z]?\d+[a-z]?|[a-z])\b`)

// postal reads an address.
func (b Business) postal(address string) (p postal) {
	address = text.Collapse(address)
	if len(address) > mostLetters {
		address = address[:mostLetters]
	}
	address = nations.ReplaceAllString(address, "")
	if m := codeOf(b.Country).FindStringSubmatchIndex(address); m != nil {
		first, second := address[m[2]:m[3]], ""
		if m[4] >= 0 {
			second = address[m[4]:m[5]]
		}
		p.code = strings.ToLower(first)
		if form := codeOf(b.Country); form == british || form == canadian {
			p.code += strings.ToLower(second)
		} else {
			p.more = second
		}
		address = address[:m[0]] + " " + address[m[1]:]
	}
	if m := unit.FindStringSubmatchIndex(address); m != nil {
		p.unit = strings.ToLower(address[m[2]:m[3]])
		address = address[:m[0]] + " " + address[m[1]:]
	}
	p.words = b.shortened(text.Tokens(address))
	slices.Sort(p.words)
	return p
}

// mostLetters is how much of an address is looked at.
const mostLetters = 400

// shortened returns words in their short forms, states as they are abbreviated, counties of Britain and Ireland left
// out.
func (b Business) shortened(tokens []string) (out []string) {
	for i := 0; i < len(tokens); i++ {
		if n, short := b.state(tokens[i:]); n > 0 && i > 0 {
			if short != "" {
				out = append(out, short)
			}
			i += n - 1
			continue
		}
		t := tokens[i]
		if b.Country == "DE" || b.Country == "AT" || b.Country == "CH" {
			t = strings.NewReplacer("ae", "a", "oe", "o", "ue", "u").Replace(t)
			if stem, ok := strings.CutSuffix(t, "strasse"); ok {
				t = stem + "str"
			}
		}
		if short, ok := streetWords[t]; ok {
			t = short
		}
		out = append(out, t)
	}
	return out
}

// state returns how many tokens name a state, and its short form; a county of Britain or Ireland has none, for it need
// not stand in an address.
func (b Business) state(tokens []string) (n int, short string) {
	for n = min(3, len(tokens)); n > 0; n-- {
		for _, r := range place.Regions(strings.Join(tokens[:n], " ")) {
			if b.Country != "" && r.Country != b.Country {
				continue
			}
			if r.Country == "GB" || r.Country == "IE" {
				return n, ""
			}
			if len(r.Short) > 0 {
				return n, strings.ToLower(r.Short[0])
			}
		}
	}
	return 0, ""
}

// streetWords are words of streets and their short forms.
var streetWords = func() map[string]string {
	out := map[string]string{}
	for _, list := range []string{
		"st street saint strt", "ave avenue av", "rd road", "blvd boulevard bd boul", "ln lane", "dr drive", "ct court",
		"pl place", "sq square", "ter terrace", "pkwy parkway pky", "hwy highway", "cir circle", "trl trail",
		"cres crescent",
		"rte route rt", "mt mount", "ft fort", "fl floor etage", "n north nord", "s south sud", "e east est",
		"w west ouest",
		"ne northeast", "nw northwest", "se southeast", "sw southwest", "str strasse", "pl platz", "c calle",
		"av avenida",
		"ch chemin", "ste sainte", "1 first", "2 second", "3 third", "4 fourth", "5 fifth",
	} {
		words := strings.Fields(list)
		for _, w := range words[1:] {
			out[w] = words[0]
		}
	}
	return out
}()
