package backlink

import (
	"strings"

	"golang.org/x/net/publicsuffix"
)

// doubt returns why a domain is doubtful, first that holds (rule 13.2).
func doubt(f *found, best Row, g Ground, w *words, weak bool, burst int) (Reason, bool) {
	if weak {
		return Reason{Code: WeakSite, Number: f.strongest()}, true
	}
	if f.most > mostOf {
		return Reason{Code: ManyLinks, Number: float64(f.most)}, true
	}
	if lang := w.foreign(best); lang != "" {
		return Reason{Code: ForeignWords, Quote: lang}, true
	}
	if end := ending(f.name); end != "" && g.Country != "" && end != country(g.Country) {
		return Reason{Code: ForeignEnd, Quote: "." + end}, true
	}
	for _, r := range f.rows {
		if a, b := r.OfSite[0], r.OfSite[1]; a.Known && b.Known && max(a.Value-b.Value, b.Value-a.Value) > apart {
			return Reason{Code: FarApart, Number: float64(max(a.Value-b.Value, b.Value-a.Value))}, true
		}
	}
	if burst > 0 {
		return Reason{Code: Burst, Number: float64(burst)}, true
	}
	return Reason{}, false
}

// open are endings of countries that sites of all countries have, eu that of many.
var open = map[string]bool{"io": true, "co": true, "me": true, "tv": true, "ai": true, "eu": true}

// ending returns the ending of a domain if it is that of one country, empty else.
func ending(domain string) string {
	suffix, managed := publicsuffix.PublicSuffix(domain)
	end := suffix[strings.LastIndexByte(suffix, '.')+1:]
	if !managed || len(end) != 2 || open[end] {
		return ""
	}
	return end
}

// country returns the ending of the sites of a country.
func country(code string) string {
	if code == "GB" {
		return "uk"
	}
	return strings.ToLower(code)
}
