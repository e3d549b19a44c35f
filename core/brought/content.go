package brought

import (
	"net/url"
	"regexp"
	"strconv"
	"strings"
	"time"
	"unicode"

	"inktally/core/lineup"
	"inktally/core/table"
)

// content is what stands in a column.
type content uint8

const (
	anything content = iota
	numbers
	stars // numbers up to 5
	dates
	flags
	words
	sites     // domains, addresses or names
	addresses // of pages
)

// column is what the cells of a column are.
type column struct {
	filled, numbers, dates, flags, addresses, domains, letters int
	highest                                                    float64
}

func (c *column) add(cell string) {
	if cell == "" || isNone(cell) {
		return
	}
	c.filled++
	c.letters += len(cell)
	if _, ok := dayOf(cell, false); ok {
		c.dates++
	}
	if n, ok := figure(cell); ok {
		c.numbers++
		c.highest = max(c.highest, n)
	}
	if _, ok := flag(cell); ok {
		c.flags++
	}
	switch host, path := pageOf(cell); {
	case host != "" && path:
		c.addresses++
	case host != "":
		c.domains++
	}
}

// is reports whether a column holds what a heading wants; an empty one holds anything.
func (c *column) is(want content) bool {
	most := func(n int) bool { return 2*n > c.filled }
	if c.filled == 0 {
		return true
	}
	switch want {
	case numbers:
		return most(c.numbers)
	case stars:
		return most(c.numbers) && c.highest <= 5
	case dates:
		return most(c.dates)
	case flags:
		return most(c.flags)
	case words:
		return !most(c.numbers)
	case sites:
		return !most(c.numbers) && !most(c.dates)
	case addresses:
		return most(c.addresses + c.domains)
	}
	return true
}

// isNone reports whether a cell says that there is nothing.
func isNone(cell string) bool {
	switch cell {
	case "-", "–", "—", "n/a", "N/A", "null", "NULL", "None":
		return true
	}
	return false
}

var grouped = regexp.MustCompile(`^\d{1,3}([., \x{a0}\x{202f}'’]\d{3})+$`)

// figure reads a figure as tables write it: 1,212 and 1.212 are a thousand and some, 1.4K is 1,400, 4,8 is 4.8.
func figure(cell string) (float64, bool) {
	if n, err := strconv.Atoi(cell); err == nil && cell[0] != '-' && cell[0] != '+' && n < 1e9 {
		return float64(n), true
	}
	if grouped.MatchString(cell) {
		cell = strings.Map(func(r rune) rune {
			if r >= '0' && r <= '9' {
				return r
			}
			return -1
		}, cell)
	}
	return table.Decimal(cell)
}

// flagWords are words of a cell that says yes or no.
var flagWords = map[string]bool{"yes": true, "true": true, "1": true, "y": true, "x": true, "✓": true, "✔": true,
	"ja": true, "oui": true,
	"sí": true, "si": true, "listed": true, "found": true, "live": true, "follow": true, "dofollow": true,
	"do follow":   true,
	"eingetragen": true, "vorhanden": true, "claimed": true, "verified": true, "active": true, "present": true,
	"no": false, "false": false, "0": false, "n": false, "✗": false, "✘": false, "nein": false, "non": false,
	"nee":        false,
	"not listed": false, "not found": false, "missing": false, "nofollow": false, "no follow": false, "ugc": false,
	"sponsored": false, "unclaimed": false, "fehlt": false, "absent": false}

// flag reads a cell that says yes or no.
func flag(cell string) (yes, ok bool) {
	yes, ok = flagWords[strings.ToLower(strings.TrimSpace(cell))]
	return yes, ok
}

// pageOf returns the domain of an address, and whether it is that of a page: with a path behind it. A name of one word
// is none.
func pageOf(cell string) (domain string, path bool) {
	if strings.ContainsAny(cell, " \t@") || len(cell) > 4000 || !strings.Contains(cell, ".") {
		return "", false
	}
	spoken := cell
	if !strings.Contains(spoken, "://") {
		spoken = "https://" + spoken
	}
	u, err := url.Parse(spoken)
	if err != nil || u.Scheme != "http" && u.Scheme != "https" || !isHost(u.Hostname()) {
		return "", false
	}
	return lineup.Domain(spoken), strings.Trim(u.Path, "/") != "" || u.RawQuery != "" || strings.Contains(cell, "://")
}

// isHost reports whether a text is the name of a host: labels of letters and digits, the last of letters.
func isHost(s string) bool {
	labels := strings.Split(s, ".")
	last := labels[len(labels)-1]
	if len(labels) < 2 || len(last) < 2 || strings.ContainsFunc(last,
		func(r rune) bool { return !unicode.IsLetter(r) }) &&
		!strings.HasPrefix(last, "xn--") {
		return false
	}
	for _, l := range labels {
		if l == "" || l[0] == '-' || l[len(l)-1] == '-' || strings.ContainsFunc(l, func(r rune) bool {
			return r != '-' && r != '_' && !unicode.IsLetter(r) && !unicode.IsDigit(r)
		}) {
			return false
		}
	}
	return true
}

var (
	numbered = regexp.MustCompile(`^(\d{1,2})([./-])(\d{1,2})[./-](\d{4}|\d{2})(?:[ ,T].*)?$`)
	layouts  = []string{time.DateOnly, "2006/01/02", "2006.01.02", "Jan 2, 2006", "January 2, 2006", "2 Jan 2006",
		"2 January 2006",
		"Jan 2 2006", "2-Jan-2006", "2-Jan-06", "20060102"}
)

// dayOf reads a day. dayFirst is how two numbers before a year are read where they could be either.
func dayOf(cell string, dayFirst bool) (time.Time, bool) {
	if len(cell) < 6 || len(cell) > 40 {
		return time.Time{}, false
	}
	if m := numbered.FindStringSubmatch(cell); m != nil {
		a, _ := strconv.Atoi(m[1])
		b, _ := strconv.Atoi(m[3])
		year, _ := strconv.Atoi(m[4])
		if year < 100 {
			year += 2000
		}
		if dayFirst || m[2] == "." || a > 12 {
			a, b = b, a
		}
		at := time.Date(year, time.Month(a), b, 0, 0, 0, 0, time.UTC)
		return at, int(at.Month()) == a && at.Day() == b && plausible(at)
	}
	if len(cell) > 10 && cell[4] == '-' && (cell[10] == 'T' || cell[10] == ' ') {
		cell = cell[:10]
	}
	for _, l := range layouts {
		if at, err := time.Parse(l, cell); err == nil {
			return at, plausible(at)
		}
	}
	return time.Time{}, false
}

func plausible(at time.Time) bool { return at.Year() >= 1990 && at.Year() <= 2100 }

// dayIsFirst reports whether the days of a column have the day before the month: if any of them can be read in no other
// way, or the headings are not English.
func dayIsFirst(cells []string, foreign bool) bool {
	for _, cell := range cells {
		m := numbered.FindStringSubmatch(cell)
		if m == nil {
			continue
		}
		a, _ := strconv.Atoi(m[1])
		b, _ := strconv.Atoi(m[3])
		if a > 12 || b > 12 {
			return a > 12
		}
	}
	return foreign
}
