package place

import (
	"regexp"
	"strings"
)

// Postcode is a code of the post as somebody types it, whole or its first part.
type Postcode struct {
	// Country is the code of two letters of the country whose form it has.
	Country string
	// Area is the part that names an area: the letters of a British one, the first two signs of any
	// other (rule 3.6).
	Area string
	// Tokens is how many tokens it is written as.
	Tokens int
}

var (
	britishOutward  = regexp.MustCompile(`^([a-z]{1,2})[0-9][0-9a-z]?$`)
	britishInward   = regexp.MustCompile(`^[0-9][a-z]{2}$`)
	britishWhole    = regexp.MustCompile(`^([a-z]{1,2})[0-9][0-9a-z]?[0-9][a-z]{2}$`)
	zipCode         = regexp.MustCompile(`^[0-9]{5}$`)
	canadianForward = regexp.MustCompile(`^[abceghj-nprstvxy][0-9][a-z]$`)
	canadianLocal   = regexp.MustCompile(`^[0-9][a-z][0-9]$`)
	irishKey        = regexp.MustCompile(`^[ac-fhknprtv-y][0-9][0-9w]$`)
	irishWhole      = regexp.MustCompile(`^[ac-fhknprtv-y][0-9][0-9w][0-9ac-fhknprtv-y]{4}$`)
	irishSecond     = regexp.MustCompile(`^[0-9ac-fhknprtv-y]{4}$`)
	fourDigits      = regexp.MustCompile(`^[0-9]{4}$`)
	aYear           = regexp.MustCompile(`^(?:19[5-9]|20[1-3])[0-9]$`)
	canadianWhole   = regexp.MustCompile(`^[abceghj-nprstvxy][0-9][a-z][0-9][a-z][0-9]$`)
)

// fiveDigits and digitsFour are the countries whose postcodes are so many digits; of four, those that are
// years are none.
var (
	fiveDigits = map[string]bool{"FR": true, "DE": true, "ES": true}
	digitsFour = map[string]bool{"AU": true, "NZ": true}
)

// britishAreas are the letters that British postcodes begin with.
var britishAreas = func() map[string]bool {
	out := map[string]bool{}
	for _, area := range strings.Fields(
		`ab al b ba bb bd bh bl bn br bs bt ca cb cf ch cm co cr ct cv cw da dd de dg dh dl dn dt dy e ec eh en ex fk fy
		g gl gu ha hd hg hp hr hs hu hx ig im ip iv je ka kt kw ky l la ld le ll ln ls lu m me mk ml n ne ng nn np
		nr nw ol ox pa pe ph pl po pr
		rg rh rm s sa se sg sk sl sm sn so sp sr ss st sw sy ta td tf tn tq tr ts tw ub w wa wc wd wf wn wr ws wv
		yo ze`) {
		out[area] = true
	}
	return out
}()

// PostcodeAt reads a postcode that begins with the first token; false for none.
// Codes are told by their form for a country; without one the British, American and Canadian are.
func PostcodeAt(tokens []string, country string) (Postcode, bool) {
	if len(tokens) == 0 {
		return Postcode{}, false
	}
	first, second := tokens[0], ""
	if len(tokens) > 1 {
		second = tokens[1]
	}
	is := func(c string) bool { return country == "" || country == c || country == "IE" && c == "GB" }
	switch {
	case is("GB") && matchArea(britishWhole, first) != "":
		return Postcode{"GB", matchArea(britishWhole, first), 1}, true
	case is("GB") && matchArea(britishOutward, first) != "":
		n := 1
		if britishInward.MatchString(second) {
			n = 2
		}
		return Postcode{"GB", matchArea(britishOutward, first), n}, true
	case country == "IE" && irishWhole.MatchString(first):
		return Postcode{"IE", first[:2], 1}, true
	case country == "IE" && irishKey.MatchString(first) && irishSecond.MatchString(second):
		return Postcode{"IE", first[:2], 2}, true
	case is("US") && zipCode.MatchString(first):
		return Postcode{"US", first[:2], 1}, true
	case fiveDigits[country] && zipCode.MatchString(first), digitsFour[country] && fourDigits.MatchString(first) &&
		!aYear.MatchString(first):
		return Postcode{country, first[:2], 1}, true
	case is("CA") && canadianWhole.MatchString(first):
		return Postcode{"CA", first[:2], 1}, true
	case is("CA") && canadianForward.MatchString(first):
		n := 1
		if canadianLocal.MatchString(second) {
			n = 2
		}
		return Postcode{"CA", first[:2], n}, true
	}
	return Postcode{}, false
}

func matchArea(form *regexp.Regexp, token string) string {
	if m := form.FindStringSubmatch(token); m != nil && britishAreas[m[1]] {
		return m[1]
	}
	return ""
}
