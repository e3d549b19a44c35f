package table

import (
	"strconv"
	"strings"
	"unicode/utf8"

	"inktally/core/text"
)

// Number reads a number as lists write it: 1300, 1,300, 1.3K, 2M, 10-100 (its
// middle), < 10. Dashes and words are none.
func Number(s string) (int, bool) {
	n, ok := Decimal(s)
	return int(n + .5), ok
}

// signs part the thousands of a figure.
var signs = strings.NewReplacer(" ", "", "\u00a0", "", "\u202f", "", "'", "")

// factors are what stands behind a figure and what it multiplies it by.
var factors = []struct {
	suffix string
	factor float64
}{{"k", 1e3}, {"m", 1e6}, {"%", 1}}

// Decimal reads a figure as lists write it, with decimals: 1,300, 1.2K, 4,8, 10–100 as the middle of the two.
func Decimal(s string) (float64, bool) {
	s = strings.ToLower(strings.TrimSpace(strings.Trim(strings.TrimSpace(s), "<>~≈+")))
	for _, dash := range []string{"–", "—", " to "} {
		s = strings.ReplaceAll(s, dash, "-")
	}
	if low, high, ok := strings.Cut(s, "-"); ok && low != "" && high != "" {
		a, okA := Decimal(low)
		b, okB := Decimal(high)
		return (a + b) / 2, okA && okB && b >= a
	}
	factor := 1.0
	for _, f := range factors {
		if rest, ok := strings.CutSuffix(s, f.suffix); ok {
			s, factor = strings.TrimSpace(rest), f.factor
			break
		}
	}
	s = signs.Replace(s)
	if comma := strings.LastIndexByte(s, ','); comma >= 0 {
		if len(s)-comma-1 == 3 && strings.IndexByte(s, '.') < comma || strings.Count(s, ",") > 1 ||
			strings.Contains(s, ".") {
			s = strings.ReplaceAll(s, ",", "")
		} else {
			s = strings.Replace(s, ",", ".", 1)
		}
	}
	n, err := strconv.ParseFloat(s, 64)
	if err != nil || n < 0 || n*factor > 1e9 || s == "" || s[0] == '+' || strings.ContainsAny(s, "xein") {
		return 0, false
	}
	return n * factor, true
}

// Row is a phrase of a list with its figures, nil if there are none.
type Row struct {
	Phrase                       string
	Volume, Difficulty, Position *int
	Address                      string
	// Area is where the volume was counted, as the list has it.
	Area string
	// Visits are those that the source itself says the phrase brings a month, nil if it says nothing.
	Visits *float64
}

// Refused is a row that was not taken.
type Refused struct {
	// Line is the row in the list, from 1.
	Line   int
	Text   string
	Reason Refusal
}

// Refusal is why a row was not taken.
type Refusal string

// The refusals.
const (
	NoPhrase    Refusal = "no_phrase"
	NoWord      Refusal = "no_word"
	ManyWords   Refusal = "many_words"   // more than MaxWords
	ManyLetters Refusal = "many_letters" // more than MaxLetters
	IsAddress   Refusal = "is_address"
	IsNumber    Refusal = "is_number"
)

// Refusals returns all of them.
func Refusals() []Refusal {
	return []Refusal{NoPhrase, NoWord, ManyWords, ManyLetters, IsAddress, IsNumber}
}

// Take takes the phrases of a list by its layout. What cannot be taken is told
// with its reason.
func Take(rows [][]string, l Layout) (taken []Row, refused []Refused, err error) {
	phraseAt := -1
	for c, role := range l.Roles {
		if role == Phrase {
			phraseAt = c
		}
	}
	if phraseAt < 0 {
		return nil, nil, NoPhraseColumn.New()
	}
	for i, cells := range rows {
		if i == 0 && l.Heading {
			continue
		}
		if phraseAt >= len(cells) || cells[phraseAt] == "" {
			refused = append(refused, Refused{i + 1, strings.Join(cells[:min(len(cells), 3)], " "), NoPhrase})
			continue
		}
		row := Row{Phrase: clean(cells[phraseAt])}
		if reason := unfit(row.Phrase); reason != "" {
			refused = append(refused, Refused{i + 1, short(cells[phraseAt]), reason})
			continue
		}
		for c, role := range l.Roles {
			if c < len(cells) {
				row.set(role, cells[c])
			}
		}
		taken = append(taken, row)
	}
	return taken, refused, nil
}

func (r *Row) set(role Role, cell string) {
	number, ok := Decimal(cell)
	n := int(number + .5)
	switch {
	case role == Address:
		r.Address = cell
	case role == Area:
		r.Area = cell
	case !ok:
	case role == Volume:
		r.Volume = &n
	case role == Difficulty:
		n = min(n, 100)
		r.Difficulty = &n
	case role == Visits:
		r.Visits = &number
	case role == Position && n > 0:
		r.Position = &n
	}
}

// clean returns a phrase without the signs that lists put around it: quotes, the
// brackets of match types, and what would make a formula of it.
func clean(s string) string {
	s = strings.Trim(s, "\"'[]“”")
	return text.Collapse(strings.TrimLeft(s, "=+-@"))
}

// unfit returns why a text cannot be a phrase, empty if it can.
func unfit(s string) Refusal {
	switch {
	case len(text.Tokens(s)) == 0:
		return NoWord
	case strings.Contains(s, "://"):
		return IsAddress
	case len(strings.Fields(s)) > MaxWords:
		return ManyWords
	case utf8.RuneCountInString(s) > MaxLetters:
		return ManyLetters
	}
	if _, ok := Number(s); ok {
		return IsNumber
	}
	return ""
}

func short(s string) string {
	if r := []rune(s); len(r) > 80 {
		return string(r[:80]) + "…"
	}
	return s
}
