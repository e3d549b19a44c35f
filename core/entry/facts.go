package entry

import (
	"regexp"
	"strconv"
	"strings"

	"inktally/core/contact"
)

// Figures as they are written: a count in groups of exactly three digits, with a letter for
// thousands or without; a rating up to 5 with one decimal at most.
const (
	CountForm = `(\d{1,3}(?:[.,'’ \x{a0}\x{202f}\x{2009}]\d{3})+|\d+(?:[.,]\d)?(?:[  \x{a0}]?(?:[kKmM]\b|[tT]sd\.?|mil\b))|\d+)`
	scoreForm = `([0-5](?:[.,]\d)?)`
	// wordForm is a word for what people say of a firm.
	wordForm = `(?:reviews?|ratings?|votes?|opinions?|people|testimonials?|rezension(?:en)?|bewertung(?:en)?|meinung(?:en)?|` +
		`stimmen?|urteile?|avis|notes?|votants?|commentaires?|reseñas?|opiniones|opinión|valoraciones|votos|comentarios|` +
		`recensioni|recensione|valutazioni|giudizi|voti|pareri|recensies?|beoordeling(?:en)?|stemmen|omdömen|anmeldelser|` +
		`avaliações|opiniões|opinie|opinii|hodnocení|arvostelua)`
)

var (
	// A rating stands before its scale or its stars, behind them, or behind a word at the
	// beginning of a short text.
	ratingText = regexp.MustCompile(`(?i)(?:^|[^\d.,/])` + scoreForm + `\s*(?:/\s*5(?:\D|$)|(?:out )?of (?:5|five)|` +
		`von 5|sur 5|de 5|su 5|van 5|av 5|z 5|stars?|stern(?:en?|e)?\b|étoiles?|estrellas|estrelas|stelle|sterren|[★☆⭐])`)
	ratingBehind = regexp.MustCompile(`[★☆⭐]+\s*([0-5][.,]\d)(?:[^\d.,%]|$)`)
	ratingBare   = regexp.MustCompile(`(?i)^\W*([0-5][.,]\d)(?:\s*$|\s*[(·•|–—★-]|\s+(?:\p{L}{1,6}\s+)?(?:` +
		CountForm + `\s*` + wordForm + `))`)
	rated = regexp.MustCompile(
		`^\P{L}*\p{L}+(?:\s\p{L}+)?\s?:?\s*([0-5][.,]\d)(?:\s*$|\s*[(·•|/–—★-]|\s+\p{L}{1,5}\s)`)
	ratedWord = regexp.MustCompile(
		`(?i)(?:rated|rating|bewertung|bewertet|note|nota|valoración|valutazione|punteggio|beoordeling)\D{0,12}` +
			scoreForm + `(?:[^\d.,]|$)`)

	counted   = regexp.MustCompile(`(?i)(?:^|[^\d.,])` + CountForm + `\+?\s*(?:\p{L}+ )?` + wordForm + `(?:\P{L}|$)`)
	bracketed = regexp.MustCompile(`\(\s*` + CountForm + `\+?\s*[^()\d]*\)(?:\s*[^\s\d]|\s*$|\s+\D)`)
	trade     = regexp.MustCompile(
		`(?i)(?:^|[^\d.,-])(\d{1,3})\s*\+?\s*(?:years?|yrs?|jahren?|ans|années|años|anni|jaar|anos|år)(?:\P{L}|$)`)
	noTrade = regexp.MustCompile(
		`(?i)\b(ago|warranty|guarantee|garanti[ea]|garanzia|garantía|vor \d|il y a|hace|fa|geleden|old|alt|age|apr|financing)\b`)
	phoneLike = regexp.MustCompile(`\+?\(?\d[\d\s().\-/]{6,}\d`)
	unrated   = regexp.MustCompile(
		`(?i)\b(no reviews|no ratings|not rated|keine rezensionen|keine bewertungen|aucun avis|sin reseñas|sin opiniones|nessuna recensione|geen reviews|geen beoordelingen)\b`)
	hoursWords = regexp.MustCompile(
		`(?i)(?:^|\P{L})(open|opens|closed|closes|shut|shuts|open 24|round the clock|all hours|geöffnet|geschlossen|öffnet|schließt|ouvert|fermé|ouvre|ferme|abierto|cerrado|abre|cierra|aperto|chiuso|apre|chiude|geopend|gesloten|opent|sluit)(?:\P{L}|$)`)
)

// Facts are what the texts of an entry say of a business.
type Facts struct {
	Rating  *float64
	Reviews *int
	Phone   string
	Years   *int
	Hours   bool
}

// FactsOf gathers the facts of texts, the first of each kind. A count of reviews stands with the
// rating or in the texts right after it; of a firm without one anywhere.
func FactsOf(texts []string) (f Facts) {
	for i, t := range texts {
		if f.Rating == nil {
			if r, ok := RatingOf(t); ok {
				f.Rating = &r
				f.Reviews = reviewsAfter(texts[i:min(len(texts), i+4)])
			}
		}
		if f.Phone == "" {
			f.Phone = PhoneOf(t)
		}
		if f.Years == nil {
			f.Years = yearsOf(t)
		}
		f.Hours = f.Hours || hoursWords.MatchString(t)
	}
	return f
}

// reviewsAfter returns the count of reviews in texts of which the first holds the rating, nil for
// none.
func reviewsAfter(texts []string) *int {
	for _, t := range texts {
		if n, ok := reviewsOf(t); ok && len(t) < 200 {
			return &n
		}
	}
	return nil
}

// factLetters is how long a text is at most that says a fact of a business.
const factLetters = 400

// RatingOf returns the rating that a text gives.
func RatingOf(s string) (float64, bool) {
	if len(s) > factLetters || !strings.ContainsAny(s, "12345") {
		return 0, false
	}
	forms := []*regexp.Regexp{ratingText, ratingBehind, ratingBare, ratedWord}
	if len(s) < 60 {
		forms = append(forms, rated)
	}
	for _, form := range forms {
		if m := form.FindStringSubmatch(s); m != nil {
			n, err := strconv.ParseFloat(strings.Replace(m[1], ",", ".", 1), 64)
			return n, err == nil && n >= 1 && n <= 5
		}
	}
	return 0, false
}

// IsUnrated reports whether a text says that nobody rated a firm.
func IsUnrated(s string) bool { return unrated.MatchString(s) }

// LeadsWithRating reports whether a text begins with a rating.
func LeadsWithRating(s string) bool { return ratingBare.MatchString(s) }

// IsRating reports whether a text begins with a rating, or holds one with its scale.
func IsRating(s string) bool {
	if len(s) > 160 {
		return false
	}
	_, ok := RatingOf(s)
	return ok || len(s) < 60 && unrated.MatchString(s)
}

// reviewsOf returns how many reviews a text counts: 1,204 or 1.2K, before the word for them or in
// brackets.
func reviewsOf(s string) (int, bool) {
	if !strings.ContainsAny(s, "0123456789") {
		return 0, false
	}
	for _, form := range []*regexp.Regexp{counted, bracketed} {
		if m := form.FindStringSubmatch(s); m != nil {
			return Amount(m[1])
		}
	}
	return 0, false
}

// grouped is a number in groups of three digits.
var grouped = regexp.MustCompile(`^\d{1,3}(?:\D\d{3})+$`)

// Amount returns the number that a count is.
func Amount(s string) (int, bool) {
	if grouped.MatchString(s) {
		s = Digits(s)
	}
	digits := strings.TrimRight(strings.Replace(s, ",", ".", 1), " \u00a0.kKmMtTsdil")
	n, err := strconv.ParseFloat(digits, 64)
	if err != nil {
		return 0, false
	}
	switch unit := strings.ToLower(strings.Trim(s, " \u00a0.,0123456789")); unit {
	case "k", "tsd", "mil":
		n *= 1000
	case "m":
		n *= 1_000_000
	}
	return int(n + .5), n < 1e9
}

// PhoneOf returns the telephone number that a text holds, as it stands there.
func PhoneOf(s string) string {
	if len(s) > factLetters || !manyDigits(s) {
		return ""
	}
	list := contact.NewList("", nil)
	list.Find(s)
	if found := list.Found(); len(found) > 0 {
		return found[0].Number
	}
	for _, m := range phoneLike.FindAllString(s, -1) {
		m = strings.TrimSpace(m)
		digits := len(Digits(m))
		if digits >= 8 && digits <= 15 && strings.ContainsAny(m, " -/.") &&
			strings.ContainsAny(m[:1], "+(0123456789") && !datelike.MatchString(m) {
			return m
		}
	}
	return ""
}

// manyDigits reports whether a text has as many digits as a telephone number has.
func manyDigits(s string) bool { return len(Digits(s)) >= 7 }

var datelike = regexp.MustCompile(`^\d{1,4}[./-]\d{1,2}[./-]\d{1,4}`)

// yearsOf returns for how many years a business says that it is in trade, nil where it does not:
// a year of founding and a warranty are none.
func yearsOf(s string) *int {
	if len(s) > 120 || !strings.ContainsAny(s, "0123456789") {
		return nil
	}
	m := trade.FindStringSubmatch(s)
	if m == nil || noTrade.MatchString(s) {
		return nil
	}
	n, err := strconv.Atoi(m[1])
	if err != nil || n == 0 {
		return nil
	}
	return &n
}
