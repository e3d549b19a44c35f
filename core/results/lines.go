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

// fromText reads a copied text (rule 6.6): its tables by their headings, its entries by the
// addresses that stand beside their titles, its businesses by their ratings and numbers.
func fromText(s string) (p Results) {
	scan, _ := text.ScanText(s)
	p.Language = cues.Language(scan)
	c := copied{lines: linesOf(s)}
	found := c.tables()
	c.paragraphs()
	c.layout()
	found = append(found, c.entries()...)
	slices.SortStableFunc(found, func(a, b lineEntry) int { return a.lo - b.lo })
	for k, e := range found {
		if e.row != nil {
			p.Entries = append(p.Entries, *e.row)
			continue
		}
		end := c.ends[max(e.title, e.address)]
		if k+1 < len(found) {
			end = min(end, found[k+1].lo)
		}
		p.Entries = append(p.Entries, c.entry(e, end))
	}
	return p
}

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
	for raw := range strings.Lines(s) {
		l := line{text: text.Collapse(raw)}
		for cell := range strings.SplitSeq(strings.Trim(raw, "\r\n"), "\t") {
			l.cells = append(l.cells, text.Collapse(cell))
		}
		if l.domain = addressOfLine(raw); l.domain == "" {
			l.trail = folders.MatchString(l.text)
		}
		l.label = isAdLabel(strings.TrimLeft(l.text, "•·*- ")) && l.domain == ""
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
		l.button = isGeneric(l.text) || short && counts[l.text] > 2 && !isRating(l.text) && !names[l.text]
	}
	return out
}

// addressOfLine returns the domain of a line that shows an address, what is said of it behind it
// or not; empty for none.
func addressOfLine(raw string) string {
	s := text.Collapse(raw)
	if d := domainOf(s); d != "" {
		return d
	}
	for _, sign := range []string{" - ", " – ", " · ", " | ", " ("} {
		if before, after, ok := strings.Cut(s, sign); ok && isRating(after) {
			if d := domainOf(before); d != "" {
				return d
			}
		}
	}
	first, rest, _ := strings.Cut(s, " ")
	if d := domainOf(first); d != "" && isRating(rest) {
		return d
	}
	return ""
}

// copied is a copied text.
type copied struct {
	lines  []line
	starts []int // the paragraph of each line begins here
	ends   []int // and ends here
	shown  []int // how many addresses are shown before each line
	lists  bool
	// named reports whether the name of the site stands over its address, below whether titles
	// stand below their addresses, lone whether they stand by themselves before them.
	named, below, lone bool
	// after reports whether addresses stand after the snippets.
	after bool
}

// lineEntry is an entry among lines: it begins at lo, its title is at title, its
// address at address, -1 for none. One of a table is read already.
type lineEntry struct {
	lo, title, address int
	ad                 bool
	row                *Entry
}

// paragraphs parts the text at empty lines, and lists before each of their numbers.
func (c *copied) paragraphs() {
	next := 1
	for i := range c.lines {
		m := numbered.FindStringSubmatch(c.lines[i].text)
		if m != nil && m[1] == itoa(next) && titleLike(m[2]) && !c.lines[i].gone {
			c.lines[i].marked = true
			next++
		}
	}
	c.lists = next > 2
	c.starts, c.ends = make([]int, len(c.lines)), make([]int, len(c.lines))
	start := 0
	for i, l := range c.lines {
		if l.text == "" || l.gone || c.lists && l.marked {
			start = i
		}
		if l.text == "" || l.gone {
			start = i + 1
		}
		c.starts[i] = min(start, i)
	}
	c.shown = make([]int, len(c.lines)+1)
	for i := range c.lines {
		c.shown[i+1] = c.shown[i] + boolInt(c.isAddress(i))
	}
	end := len(c.lines)
	for i := len(c.lines) - 1; i >= 0; i-- {
		if c.lines[i].text == "" || c.lines[i].gone {
			end = i
		}
		c.ends[i] = max(end, i)
		if c.lists && c.lines[i].marked {
			end = i
		}
	}
}

// layout tells how most entries of the text are laid out.
func (c *copied) layout() {
	named, below, lone, after, all := 0, 0, 0, 0, 0
	for i := range c.lines {
		if !c.isAddress(i) {
			continue
		}
		all++
		named += boolInt(i > 0 && namesSite(c.lines[i-1].text, c.lines[i].domain))
		below += boolInt(c.titleBelow(i))
		after += boolInt(i > 1 && snippetLike(c.lines[i-1].text) && c.titleLike(i-2))
		_, ok := c.loneBefore(i - 1)
		lone += boolInt(ok)
	}
	c.named, c.below, c.lone, c.after = 2*named > all, 2*below > all, 3*lone > all, 2*after > all
}

func (c *copied) isAddress(i int) bool {
	return !c.lines[i].gone && (c.lines[i].domain != "" || c.lines[i].trail)
}

func (c *copied) titleLike(i int) bool {
	return i >= 0 && i < len(c.lines) && !c.lines[i].button && !c.lines[i].label && !c.lines[i].trail &&
		!c.lines[i].gone &&
		c.lines[i].domain == "" && titleLike(c.lines[i].text)
}

// titleBelow reports whether an address has a title below it and a snippet below that.
func (c *copied) titleBelow(at int) bool {
	next := at + 2
	for next < len(c.lines) && isRating(c.lines[next].text) {
		next++
	}
	return c.titleLike(at+1) && !strings.HasSuffix(c.lines[at+1].text, "…") && next < len(c.lines) &&
		snippetLike(c.lines[next].text)
}

// loneBefore returns the title that stands by itself before the paragraph of a line, where that
// line is the first of it, but for a label.
func (c *copied) loneBefore(i int) (title int, ok bool) {
	if i < 0 || c.starts[i] != i {
		return 0, false
	}
	k := i - 1
	for k >= 0 && c.lines[k].text == "" {
		k--
	}
	if k < 0 || k == i-1 || !c.titleLike(k) || c.starts[k] != k && !(c.starts[k] == k-1 && c.lines[k-1].label) {
		return 0, false
	}
	return k, true
}

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
		if title, ok := c.loneBefore(at); ok && c.lone {
			e.title, e.lo = title, title
		} else if c.titleLike(at + 1) {
			e.title = at + 1
		}
	case len(above) == 1:
		title, lone := c.loneBefore(above[0])
		named := namesSite(c.lines[above[0]].text, c.lines[at].domain) || c.named || c.lines[at].trail
		switch {
		case named && c.titleBelow(at) && (c.below || !lone):
			e.title, e.lo = at+1, above[0]
		case lone && (c.lone || named):
			e.title, e.lo = title, title
		case titleLike(c.lines[above[0]].text):
			e.title, e.lo = above[0], above[0]
		}
	default:
		for _, i := range above {
			if c.titleLike(i) {
				e.title, e.lo = i, i
				break
			}
		}
	}
	if e.title < 0 {
		return e, false
	}
	for i := e.lo; i >= max(0, e.lo-1); i-- {
		if c.lines[i].label && (i == e.lo || c.starts[e.lo] <= i) {
			e.ad, e.lo = true, i
		}
	}
	for i := e.lo; i < at; i++ {
		e.ad = e.ad || c.lines[i].label
	}
	e.ad = e.ad || isAdBeside(c.lines[at].text)
	return e, true
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
	case named && c.titleLike(above-1):
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
		if !l.label || !severalAds(l.text) {
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
	name := strings.ReplaceAll(strings.ReplaceAll(fold(line), " and ", " "), " ", "")
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
var leadingRating = regexp.MustCompile(`^\W*[1-5][.,]\d(\D|$)`)

// business finds a business by the rating or the lack of one below its name.
func (c *copied) business(at int, titles map[int]bool, webs map[int]lineEntry) (lineEntry, bool) {
	l := c.lines[at]
	rated := leadingRating.MatchString(l.text) || isRating(l.text) && utf8.RuneCountInString(l.text) < 60
	if l.gone || l.domain != "" || !rated &&
		!(utf8.RuneCountInString(l.text) < 40 && unrated.MatchString(l.text)) {
		return lineEntry{}, false
	}
	name := at - 1
	if name >= 0 && c.lines[name].label {
		name--
	}
	if name < 0 || !c.titleLike(name) && (utf8.RuneCountInString(c.lines[name].text) < 3 ||
		c.lines[name].domain != "" ||
		c.lines[name].label || snippetLike(c.lines[name].text)) {
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
func (c *copied) entry(l lineEntry, end int) Entry {
	e := Entry{Title: c.lines[l.title].text, Part: Organic}
	if c.lists && c.lines[l.title].marked {
		e.Title = numbered.FindStringSubmatch(e.Title)[2]
	}
	var body []string
	for _, line := range c.lines[l.lo:max(end, l.lo)] {
		if _, beside, ok := strings.Cut(line.text, " "); ok && line.domain != "" && domainOf(line.text) == "" {
			body = append(body, strings.TrimLeft(beside, "-–·| ")) // what is said behind an address
		} else if line.text != "" {
			body = append(body, line.text)
		}
	}
	f := factsOf(body)
	e.Rating, e.Reviews = f.rating, f.reviews
	switch {
	case l.address < 0:
		e.Part, e.Phone, e.Years = Map, f.phone, f.years
		if l.ad {
			e.Part = MapSponsored
		}
	default:
		e.URL, e.Domain = c.address(l.address)
		if l.ad {
			e.Part, e.Phone, e.Years = Paid, f.phone, f.years
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
