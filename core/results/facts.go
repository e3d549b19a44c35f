package results

import (
	"regexp"
	"strconv"
	"strings"

	"inktally/core/contact"
)

var (
	// A rating is a figure up to 5 with one decimal, or one before its scale or its stars.
	ratingText = regexp.MustCompile(
		`(?i)(?:^|[^\d.,/])([0-5](?:[.,]\d)?)\s*(?:/\s*5|(?:out )?of 5|von 5|sur 5|de 5|su 5|van 5|stars?|sterne|étoiles?|estrellas|stelle|sterren|★)`)
	ratingBare = regexp.MustCompile(`^\W*([0-5][.,]\d)(?:\D|$)`)
	rated      = regexp.MustCompile(
		`(?i)(?:rated|rating|bewertung|note|nota|valoración|valutazione)\D{0,3}([0-5](?:[.,]\d)?)(?:\D|$)`)
	counted = regexp.MustCompile(
		`(?i)(\d[\d.,   ’']*\d|\d)\s?([km]|tsd\.?|mil)?\+?\s*(?:[a-z]+ )?(?:reviews?|ratings?|votes?|rezensionen|rezension|bewertungen|bewertung|avis|reseñas?|opiniones|valoraciones|recensioni|recensies|beoordelingen|omdömen|anmeldelser)`)
	bracketed = regexp.MustCompile(`\(\s*(\d[\d.,   ’']*\d|\d)\s?([kKmM])?\+?\s*[^()\d]*\)`)
	trade     = regexp.MustCompile(`(?i)(\d{1,3})\s*\+?\s*(?:years?|yrs?|jahren?|ans|années|años|anni|jaar|anos)\b`)
	thousands = regexp.MustCompile(`^\d{1,3}(?:[.,   ’']\d{3})+$`)
	phoneLike = regexp.MustCompile(`\+?\(?\d[\d\s().\-/]{6,}\d`)
	unrated   = regexp.MustCompile(
		`(?i)\b(no reviews|keine rezensionen|keine bewertungen|aucun avis|sin reseñas|nessuna recensione|geen reviews)\b`)
	hoursWords = regexp.MustCompile(
		`(?i)\b(open|opens|closed|closes|open 24|geöffnet|geschlossen|öffnet|schließt|ouvert|fermé|ouvre|ferme|abierto|cerrado|abre|cierra|aperto|chiuso|geopend|gesloten)\b`)
)

// facts are what the texts of an entry say of a business.
type facts struct {
	rating  *float64
	reviews *int
	phone   string
	years   *int
	hours   bool
}

// factsOf gathers the facts of texts, the first of each kind.
func factsOf(texts []string) (f facts) {
	joined := strings.Join(texts, " ")
	for i, t := range texts {
		if f.rating == nil {
			if r, ok := ratingOf(t); ok {
				f.rating = &r
				if n, ok := reviewsOf(strings.Join(texts[i:min(len(texts), i+4)], " ")); ok {
					f.reviews = &n
				}
			}
		}
		if f.phone == "" {
			f.phone = phoneOf(t)
		}
		if f.years == nil {
			f.years = yearsOf(t)
		}
		f.hours = f.hours || hoursWords.MatchString(t)
	}
	if f.rating != nil && f.reviews == nil {
		if n, ok := reviewsOf(joined); ok {
			f.reviews = &n
		}
	}
	return f
}

// ratingOf returns the rating that a text gives.
func ratingOf(s string) (float64, bool) {
	for _, form := range []*regexp.Regexp{ratingText, rated, ratingBare} {
		if m := form.FindStringSubmatch(s); m != nil {
			n, err := strconv.ParseFloat(strings.Replace(m[1], ",", ".", 1), 64)
			return n, err == nil && n >= 1 && n <= 5
		}
	}
	return 0, false
}

// isRating reports whether a text begins with a rating, or holds one with its scale.
func isRating(s string) bool {
	if len(s) > 160 {
		return false
	}
	_, ok := ratingOf(s)
	return ok || len(s) < 60 && unrated.MatchString(s)
}

// reviewsOf returns how many reviews a text counts: 1,204 or 1.2K, in brackets or before the
// word for them.
func reviewsOf(s string) (int, bool) {
	for _, form := range []*regexp.Regexp{counted, bracketed} {
		if m := form.FindStringSubmatch(s); m != nil {
			return amount(m[1], m[2])
		}
	}
	return 0, false
}

func amount(digits, unit string) (int, bool) {
	digits = strings.TrimSpace(digits)
	if thousands.MatchString(digits) {
		digits = strings.NewReplacer(".", "", ",", "", " ", "", "\u00a0", "", "\u202f", "", "’", "", "'",
			"").Replace(digits)
	}
	n, err := strconv.ParseFloat(strings.Replace(digits, ",", ".", 1), 64)
	if err != nil {
		return 0, false
	}
	switch strings.ToLower(strings.TrimSuffix(unit, ".")) {
	case "k", "tsd", "mil":
		n *= 1000
	case "m":
		n *= 1_000_000
	}
	return int(n + .5), n < 1e9
}

// phoneOf returns the telephone number that a text holds, as it stands there.
func phoneOf(s string) string {
	if len(s) > 400 || !manyDigits(s) {
		return ""
	}
	list := contact.NewList("", nil)
	list.Find(s)
	if found := list.Found(); len(found) > 0 {
		return found[0].Number
	}
	for _, m := range phoneLike.FindAllString(s, -1) {
		m = strings.TrimSpace(m)
		digits := len(digitsOf(m))
		if digits >= 8 && digits <= 15 && strings.ContainsAny(m, " -/.") &&
			strings.ContainsAny(m[:1], "+(0123456789") && !datelike.MatchString(m) {
			return m
		}
	}
	return ""
}

// manyDigits reports whether a text has as many digits as a telephone number has.
func manyDigits(s string) bool { return len(digitsOf(s)) >= 7 }

var datelike = regexp.MustCompile(`^\d{1,4}[./-]\d{1,2}[./-]\d{1,4}`)

// yearsOf is for how many years a business says that it is in trade.
func yearsOf(s string) *int {
	if len(s) > 160 {
		return nil
	}
	m := trade.FindStringSubmatch(s)
	if m == nil {
		return nil
	}
	n, err := strconv.Atoi(m[1])
	if err != nil || n == 0 || strings.Contains(strings.ToLower(s), " ago") {
		return nil
	}
	return &n
}
