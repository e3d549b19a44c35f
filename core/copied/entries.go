package copied

import (
	"regexp"
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/entry"
	"inktally/core/lineup"
)

// entries returns the entries that have an address, and the businesses.
func (c *copied) entries() (found []lineEntry) {
	titles, webs := map[int]bool{}, map[int]lineEntry{} // by their titles, by their paragraphs
	for i := range c.lines {
		if !c.isAddress(i) {
			continue
		}
		if e, ok := c.beside(i); ok && !titles[e.title] {
			found = append(found, e)
			titles[e.title], webs[c.starts[i]] = true, e
		}
	}
	for i := range c.lines {
		if e, ok := c.business(i, titles, webs); ok {
			found = append(found, e)
		}
	}
	slices.SortStableFunc(found, func(a, b lineEntry) int { return a.lo - b.lo })
	c.sponsors(found)
	return found
}

// beside finds the title of an address.
func (c *copied) beside(at int) (lineEntry, bool) {
	e := lineEntry{lo: at, title: -1, address: at}
	var above []int // the lines of the paragraph over the address, but for labels and buttons
	runOn := c.addresses(at) > 1 && !c.lists
	for i := c.starts[at]; i < at && !runOn; i++ {
		if !c.lines[i].label && !c.lines[i].button {
			above = append(above, i)
		}
	}
	switch {
	case runOn:
		e = c.runOn(at)
	case len(above) == 0:
		c.underNothing(&e)
	case len(above) == 1:
		c.underOne(&e, above[0])
	default:
		if i := slices.IndexFunc(above, c.titleLike); i >= 0 {
			e.title, e.lo = above[i], above[i]
		}
	}
	if e.title < 0 {
		return e, false
	}
	c.labeled(&e)
	return e, true
}

// underNothing finds the title of an address that is the first line of its paragraph: the line that stands
// by itself before it, where titles do so, else the one below it.
func (c *copied) underNothing(e *lineEntry) {
	if title, ok := c.loneBefore(e.address); ok && c.lone {
		e.title, e.lo = title, title
	} else if c.titleLike(e.address + 1) {
		e.title = e.address + 1
	}
}

// underOne finds the title of an address with one line over it: that line, or where it is the name of the
// site, the line below or the one that stands by itself before.
func (c *copied) underOne(e *lineEntry, above int) {
	title, lone := c.loneBefore(above)
	at := e.address
	named := namesSite(c.lines[above].text, c.lines[at].domain) || c.named || c.lines[at].trail
	switch {
	case named && c.titleBelow(at) && (c.below || !lone):
		e.title, e.lo = at+1, above
	case lone && (c.lone || named):
		e.title, e.lo = title, title
	case titleLike(c.lines[above].text):
		e.title, e.lo = above, above
	}
}

// labeled tells whether an entry is said to be paid for: over it, in it, or beside its address.
func (c *copied) labeled(e *lineEntry) {
	at := e.address
	for i := e.lo; i >= max(0, e.lo-1); i-- {
		if c.lines[i].label && (i == e.lo || c.starts[e.lo] <= i) {
			e.ad, e.lo = true, i
		}
	}
	for i := e.lo; i < at; i++ {
		e.ad = e.ad || c.lines[i].label
	}
	e.ad = e.ad || entry.IsAdBeside(c.lines[at].text)
}

// runOn finds the title of an address in a text without empty lines: the line above it, or the one
// below it where the name of the site stands above, as most addresses of the text have it.
func (c *copied) runOn(at int) lineEntry {
	e := lineEntry{lo: at, title: -1, address: at}
	above := at - 1
	named := above >= 0 && namesSite(c.lines[above].text, c.lines[at].domain)
	switch {
	case c.after && above > 0 && snippetLike(c.lines[above].text) && c.titleLike(above-1):
		e.title, e.lo = above-1, above-1
	case (c.below || named) && !c.after && c.titleBelow(at):
		e.title = at + 1
		if above >= 0 && (named || c.titleLike(above) && len(strings.Fields(c.lines[above].text)) <= 5) {
			e.lo = above
		}
	case (named || c.named && len(strings.Fields(c.lines[max(above, 0)].text)) <= 4) && c.titleLike(above-1):
		e.title, e.lo = above-1, above-1
	case c.titleLike(above):
		e.title, e.lo = above, above
	case c.titleLike(at + 1):
		e.title = at + 1
	}
	return e
}

// sponsors marks what stands under a label for several: the entries after it, up to a line that
// stands by itself.
func (c *copied) sponsors(found []lineEntry) {
	for i, l := range c.lines {
		if !l.label || !entry.SeveralAds(l.text) {
			continue
		}
		for k := range found {
			if found[k].lo < i || found[k].row != nil {
				continue
			}
			if k > 0 && found[k-1].lo >= i && c.headingBetween(found[k-1].title, found[k].lo) {
				break
			}
			found[k].ad = true
		}
	}
}

// headingBetween reports whether between two entries a paragraph of one line stands.
func (c *copied) headingBetween(from, to int) bool {
	for i := c.ends[from]; i < to; i++ {
		if c.lines[i].text != "" && c.starts[i] == i && c.ends[i] == i+1 {
			return true
		}
	}
	return false
}

// namesSite reports whether a line is the name of the site of a domain.
func namesSite(line, domain string) bool {
	whole := entry.Fold(line)
	flat := strings.NewReplacer(".", "", "-", "").Replace(domain)
	for _, name := range []string{whole, strings.ReplaceAll(whole, " and ", " ")} {
		name = strings.ReplaceAll(name, " ", "")
		if len(name) > 2 && len(strings.Fields(line)) <= 4 && strings.Contains(flat, name) {
			return true
		}
	}
	return false
}

func titleLike(line string) bool {
	n := utf8.RuneCountInString(line)
	return n > 2 && n <= 120 && entry.HasWord(line) && entry.DomainOf(line) == "" && !entry.IsAdLabel(line) &&
		!entry.IsGeneric(line) &&
		!entry.IsRating(line) && !strings.HasSuffix(line, ".")
}

func snippetLike(line string) bool {
	return utf8.RuneCountInString(line) >= entry.SnippetLetters || strings.HasSuffix(line, ".") ||
		strings.HasSuffix(line, "…")
}

// leadingRating is a rating at the beginning of a line, as it stands under the name of a
// business.
var leadingRating = regexp.MustCompile(`^\W*[1-5][.,]\d(\D|$)`)

// rates reports whether a line says what people say of a firm, or that nobody does.
func (l *line) rates() bool {
	n := utf8.RuneCountInString(l.text)
	return !l.gone && l.domain == "" && (leadingRating.MatchString(l.text) || n < 60 && entry.IsRating(l.text) ||
		n < 40 && entry.IsUnrated(l.text))
}

// mayName reports whether a line may be the name of a firm that looks like no title.
func (l *line) mayName() bool {
	return utf8.RuneCountInString(l.text) > 2 && l.domain == "" && !l.label && !snippetLike(l.text)
}

// business finds a business by the rating or the lack of one below its name.
func (c *copied) business(at int, titles map[int]bool, webs map[int]lineEntry) (lineEntry, bool) {
	if !c.lines[at].rates() {
		return lineEntry{}, false
	}
	name := at - 1
	if name >= 0 && c.lines[name].label {
		name--
	}
	if name < 0 || !c.titleLike(name) && !c.lines[name].mayName() {
		return lineEntry{}, false
	}
	if web, ok := webs[c.starts[at]]; titles[name] || ok && at > web.lo && !c.crowded(at) {
		return lineEntry{}, false // a rating in an entry of the web
	}
	e := lineEntry{lo: name, title: name, address: -1, ad: name < at-1}
	if e.lo > 0 && c.lines[e.lo-1].label {
		e.lo--
		e.ad = true
	}
	return e, true
}

// longEntry is how many lines an entry has at most.
const longEntry = 7

// crowded reports whether a paragraph holds several addresses, or more lines than an entry has.
func (c *copied) crowded(at int) bool {
	return c.ends[at]-c.starts[at] > longEntry || c.addresses(at) > 1
}

// addresses returns how many addresses the paragraph of a line shows.
func (c *copied) addresses(at int) int {
	return c.shown[max(c.ends[at], c.starts[at])] - c.shown[c.starts[at]]
}

// entry makes an entry of the lines from its beginning to the next one's.
func (c *copied) entry(l lineEntry, end int) entry.Entry {
	e := entry.Entry{Title: c.lines[l.title].text, Part: entry.Organic}
	if c.lists && c.lines[l.title].marked {
		e.Title = numbered.FindStringSubmatch(e.Title)[2]
	}
	var body []string
	for _, line := range c.lines[l.lo:max(end, l.lo)] {
		if _, beside, ok := strings.Cut(line.text, " "); ok && line.domain != "" && entry.DomainOf(line.text) == "" {
			body = append(body, strings.TrimLeft(beside, "-–·| ")) // what is said behind an address
		} else if line.text != "" {
			body = append(body, line.text)
		}
	}
	f := entry.FactsOf(body)
	e.Rating, e.Reviews = f.Rating, f.Reviews
	switch {
	case l.address < 0:
		e.Part, e.Phone, e.Years = entry.Map, f.Phone, f.Years
		if l.ad {
			e.Part = entry.MapSponsored
		}
	default:
		e.URL, e.Domain = c.address(l.address)
		if l.ad {
			e.Part, e.Phone, e.Years = entry.Paid, f.Phone, f.Years
		}
	}
	return e
}

// whole is an address that is shown as it is.
var whole = regexp.MustCompile(`^https?://[^\s›»]+$`)

// address returns the address of a line, where it is shown whole, and its domain.
func (c *copied) address(i int) (address, domain string) {
	l := c.lines[i]
	if l.domain == "" {
		return "", ""
	}
	if whole.MatchString(l.text) && strings.Count(l.text, "/") > 2 {
		address = l.text
	}
	return address, lineup.Domain("https://" + l.domain)
}
