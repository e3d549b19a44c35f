package results

import (
	"regexp"
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/cues"
	"inktally/core/lineup"
	"inktally/core/text"
)

// fromText reads a copied text: entries by the addresses that stand beside their
// titles, businesses by their ratings and numbers.
func fromText(s string) (p Results) {
	scan, _ := text.ScanText(s)
	p.Language = cues.Language(scan)
	lines := linesOf(s)
	starts := make([]bool, len(lines)) // lines that begin an entry
	var found []lineEntry
	below := titlesBelow(lines)
	for i := range lines {
		if domainOf(lines[i]) == "" {
			continue
		}
		if e, ok := beside(lines, i, below); ok {
			found = append(found, e)
			starts[e.lo] = true
		}
	}
	for i := range lines {
		if e, ok := business(lines, i, found); ok {
			found = append(found, e)
			starts[e.lo] = true
		}
	}
	slices.SortFunc(found, func(a, b lineEntry) int { return a.lo - b.lo })
	for k, e := range found {
		end := len(lines)
		if k+1 < len(found) {
			end = found[k+1].lo
		}
		p.Entries = append(p.Entries, e.entry(lines, end))
	}
	return p
}

// lineEntry is an entry among lines: it begins at lo, its title is at title, its
// address at address, -1 for none.
type lineEntry struct{ lo, title, address int }

func linesOf(s string) []string {
	var out []string
	for line := range strings.Lines(s) {
		out = append(out, text.Collapse(line))
	}
	return out
}

// beside finds the title of an address: the line above it, or the one below it where the
// name of the site stands above, as most addresses of the text have it.
func beside(lines []string, at int, below bool) (lineEntry, bool) {
	e := lineEntry{lo: at, title: -1, address: at}
	above := at - 1
	named := above >= 0 && namesSite(lines[above], domainOf(lines[at]))
	switch {
	case (below || named) && titleBelow(lines, at):
		e.title = at + 1
		if above >= 0 && (named || titleLike(lines[above]) && len(strings.Fields(lines[above])) <= 5) {
			e.lo = above
		}
	case named && above > 0 && titleLike(lines[above-1]):
		e.title, e.lo = above-1, above-1
	case above >= 0 && titleLike(lines[above]):
		e.title, e.lo = above, above
	case at+1 < len(lines) && titleLike(lines[at+1]):
		e.title = at + 1
	default:
		return e, false
	}
	if e.lo > 0 && isAdLabel(lines[e.lo-1]) {
		e.lo--
	}
	return e, true
}

// titleBelow reports whether an address has a title below it and a snippet below that.
func titleBelow(lines []string, at int) bool {
	next := at + 2
	for next < len(lines) && isRating(lines[next]) {
		next++
	}
	return at+1 < len(lines) && titleLike(lines[at+1]) && !strings.HasSuffix(lines[at+1], "…") && next < len(lines) &&
		snippetLike(lines[next])
}

// titlesBelow reports whether most titles of a text stand below their addresses.
func titlesBelow(lines []string) bool {
	below, all := 0, 0
	for i, line := range lines {
		if domainOf(line) != "" {
			all++
			below += boolInt(titleBelow(lines, i))
		}
	}
	return 2*below > all
}

// namesSite reports whether a line is the name of the site of a domain.
func namesSite(line, domain string) bool {
	name := strings.ReplaceAll(fold(line), " ", "")
	flat := strings.NewReplacer(".", "", "-", "").Replace(domain)
	return len(name) > 2 && len(strings.Fields(line)) <= 4 && strings.Contains(flat, name)
}

func titleLike(line string) bool {
	n := utf8.RuneCountInString(line)
	return n > 2 && n <= 120 && hasWord(line) && domainOf(line) == "" && !isAdLabel(line) && !isGeneric(line) &&
		!isRating(line) && !strings.HasSuffix(line, ".")
}

func snippetLike(line string) bool {
	return utf8.RuneCountInString(line) >= snippetLetters || strings.HasSuffix(line, ".") ||
		strings.HasSuffix(line, "…")
}

// leadingRating is a rating at the beginning of a line, as it stands under the name of a
// business.
var leadingRating = regexp.MustCompile(`^[1-5][.,]\d(\D|$)`)

// business finds a business by the rating or the lack of one below its name.
func business(lines []string, at int, found []lineEntry) (lineEntry, bool) {
	if !leadingRating.MatchString(lines[at]) &&
		!(utf8.RuneCountInString(lines[at]) < 40 && unrated.MatchString(lines[at])) {
		return lineEntry{}, false
	}
	if at == 0 || !titleLike(lines[at-1]) && utf8.RuneCountInString(lines[at-1]) < 3 {
		return lineEntry{}, false
	}
	if slices.ContainsFunc(found, func(e lineEntry) bool { return e.title == at-1 || e.address == at-1 }) {
		return lineEntry{}, false // a rating in an entry of the web
	}
	e := lineEntry{lo: at - 1, title: at - 1, address: -1}
	if e.lo > 0 && isAdLabel(lines[e.lo-1]) {
		e.lo--
	}
	return e, true
}

// entry makes an entry of the lines from its beginning to the next one's.
func (l lineEntry) entry(lines []string, end int) Entry {
	e := Entry{Title: lines[l.title], Part: Organic}
	ad := isAdLabel(lines[l.lo])
	body := lines[l.lo:end]
	if gap := slices.Index(lines[l.title+1:end], ""); gap >= 0 {
		body = lines[l.lo : l.title+1+gap]
	}
	if l.address >= 0 {
		e.Domain = lineup.Domain("https://" + domainOf(lines[l.address]))
		ad = ad || l.lo > 0 && isAdLabel(lines[l.lo-1])
		if ad {
			e.Part = Paid
		}
		f := factsOf(body)
		e.Rating, e.Reviews = f.rating, f.reviews
		return e
	}
	f := factsOf(body)
	e.Part, e.Rating, e.Reviews, e.Phone, e.Years = Map, f.rating, f.reviews, f.phone, f.years
	if ad {
		e.Part = MapSponsored
	}
	return e
}
