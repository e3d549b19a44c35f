package copied

import (
	"regexp"
	"strings"

	"inktally/core/entry"
	"inktally/core/text"
)

// line is a line of a copied text.
type line struct {
	text string // without white space around and runs of it
	// cells are what tabs part; domain is that of the address that it shows, trail reports whether
	// it is an address whose site has no domain.
	cells  []string
	domain string
	trail  bool
	// label reports whether it says that something is paid for, button whether it stands again and
	// again and names nothing.
	label, button bool
	marked        bool // it begins with a number of a list
	gone          bool // it was read already
}

// numbered is the number of a list in front of a title.
var numbered = regexp.MustCompile(`^\s*(\d{1,3})[.)]\s+(\S.*)$`)

// folders is an address whose site goes by its name: Noticeboard › groups › wending.
var folders = regexp.MustCompile(`^\S[^›»]{0,40}( [›»] [^\s›»]+){2,}$`)

func linesOf(s string) []line {
	var out []line
	counts := map[string]int{}
	for _, raw := range closed(strings.Split(s, "\n")) {
		l := line{text: text.Collapse(raw)}
		for cell := range strings.SplitSeq(strings.Trim(raw, "\r\n"), "\t") {
			l.cells = append(l.cells, text.Collapse(cell))
		}
		if l.domain = addressOfLine(raw); l.domain == "" {
			l.trail = folders.MatchString(l.text)
		}
		l.label = entry.IsAdLabel(strings.TrimLeft(l.text, "•·*- ")) && l.domain == ""
		counts[l.text]++
		out = append(out, l)
	}
	names := map[string]bool{} // what stands over an address or a rating names something
	for i := 1; i < len(out); i++ {
		if out[i].domain != "" || leadingRating.MatchString(out[i].text) {
			names[out[i-1].text] = true
		}
	}
	for i := range out {
		l := &out[i]
		short := len(strings.Fields(l.text)) <= 3 && !l.label && l.domain == ""
		l.button = entry.IsGeneric(l.text) || short && counts[l.text] > 2 && !entry.IsRating(l.text) && !names[l.text]
	}
	return out
}

// addressOfLine returns the domain of a line that shows an address, what is said of it behind it
// or not; empty for none.
func addressOfLine(raw string) string {
	s := text.Collapse(raw)
	if d := entry.DomainOf(s); d != "" {
		return d
	}
	for _, sign := range []string{" - ", " – ", " · ", " | ", " ("} {
		if before, after, ok := strings.Cut(s, sign); ok && entry.IsRating(after) {
			if d := entry.DomainOf(before); d != "" {
				return d
			}
		}
	}
	first, rest, _ := strings.Cut(s, " ")
	if d := entry.DomainOf(first); d != "" && entry.IsRating(rest) {
		return d
	}
	return ""
}
