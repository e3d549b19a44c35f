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
	for _, form := range []struct {
		country string
		read    func(first, second string) (area string, tokens int)
	}{{"GB", britishCode}, {"IE", irishCode}, {"US", americanCode}, {country, digitCode(country)},
		{"CA", canadianCode}} {
		local := country == form.country || country == "IE" && form.country == "GB"
		if !local && (country != "" || form.country == "IE") {
			continue
		}
		if area, n := form.read(first, second); area != "" {
			return Postcode{form.country, area, n}, true
		}
	}
	return Postcode{}, false
}

func britishCode(first, second string) (string, int) {
	if area := matchArea(britishWhole, first); area != "" {
		return area, 1
	}
	return matchArea(britishOutward, first), withSecond(britishInward, second)
}

func irishCode(first, second string) (string, int) {
	switch {
	case irishWhole.MatchString(first):
		return first[:2], 1
	case irishKey.MatchString(first) && irishSecond.MatchString(second):
		return first[:2], 2
	}
	return "", 0
}

func americanCode(first, _ string) (string, int) {
	if !zipCode.MatchString(first) {
		return "", 0
	}
	return first[:2], 1
}

// digitCode reads the codes of the countries that write digits alone.
func digitCode(country string) func(first, second string) (string, int) {
	return func(first, _ string) (string, int) {
		five := fiveDigits[country] && zipCode.MatchString(first)
		if !five && !(digitsFour[country] && fourDigits.MatchString(first) && !aYear.MatchString(first)) {
			return "", 0
		}
		return first[:2], 1
	}
}

func canadianCode(first, second string) (string, int) {
	switch {
	case canadianWhole.MatchString(first):
		return first[:2], 1
	case canadianForward.MatchString(first):
		return first[:2], withSecond(canadianLocal, second)
	}
	return "", 0
}

// withSecond returns how many tokens a code is, by whether its second part follows.
func withSecond(form *regexp.Regexp, second string) int {
	if form.MatchString(second) {
		return 2
	}
	return 1
}

func matchArea(form *regexp.Regexp, token string) string {
	if m := form.FindStringSubmatch(token); m != nil && britishAreas[m[1]] {
		return m[1]
	}
	return ""
}
