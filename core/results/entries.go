package results

import (
	"net/url"
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/element"
	"inktally/core/entry"
	"inktally/core/lineup"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

const (
	// localWithPage is the score from which a block that leads to a page is a firm on the map
	// (rule 6.6): a phone and a button, directions or call, count for two, a snippet against it
	// as much; rating, reviews, hours, years count for one.
	localWithPage   = 3
	pointsOfPhone   = 2
	pointsOfButton  = 2
	pointsOfSnippet = 2
)

// candidate is a block with what is known of it before its part is decided.
type candidate struct {
	block
	entry       entry.Entry
	facts       entry.Facts
	ad          bool // it is told to be paid for
	leads       bool // it has a link to a page
	local       int  // how much it is a firm on a map
	snippet     bool
	address     bool   // an address is shown
	shape       string // of its title
	where       string // the shape of its root, with its parent's identity
	unreadTitle string
}

// candidate reads a block.
func (s *scan) candidate(b block, ad bool) candidate {
	units := s.units[b.lo:b.hi]
	t := s.textsOf(b)
	c := candidate{block: b, ad: ad || t.ad, facts: t.facts(), snippet: t.snippet >= entry.SnippetLetters/2,
		address: t.shown}
	e := &c.entry
	e.URL, e.Domain = s.targetOf(units)
	c.leads = e.URL != "" || slices.ContainsFunc(units, func(u unit) bool { return s.vague[u.link] })
	c.local = t.local(c.facts, c.leads)
	at := s.titleAt(b.lo, b.hi)
	if c.isLocal() {
		if named := s.nameAt(b.lo, b.hi); named >= 0 {
			at = named
		}
	}
	if at >= 0 {
		e.Title, c.shape = s.units[at].name(), s.shape[at]
	}
	e.Rating, e.Reviews = c.facts.Rating, c.facts.Reviews
	return c
}

// isLocal reports whether a block by itself is a firm on a map.
func (c candidate) isLocal() bool {
	return c.local >= localWithPage || !c.leads && c.local >= 1
}

// texts are those of a block.
type texts struct {
	all    []string
	called string // the number that a link calls
	// snippet is how many characters its longest text has, buttons how many of its links say
	// what every result says: directions, call.
	snippet, buttons int
	ad, shown        bool
}

// facts returns what the texts say of a business; where none shows a number, the one that a link
// calls.
func (t texts) facts() entry.Facts {
	f := entry.FactsOf(t.all)
	if called, err := url.PathUnescape(t.called); f.Phone == "" && err == nil && len(entry.Digits(called)) > 6 {
		f.Phone = strings.TrimSpace(called)
	}
	return f
}

func (s *scan) textsOf(b block) (t texts) {
	for i := b.lo; i < b.hi; i++ {
		u := s.units[i]
		t.all = append(t.all, u.text)
		t.ad = t.ad || s.isAd(i)
		if u.link != nil {
			if called, ok := strings.CutPrefix(element.Attr(u.link, "href"), "tel:"); ok {
				t.called, t.buttons = called, t.buttons+1
			} else if s.isButton(i) {
				t.buttons++
			}
			t.ad = t.ad || strings.Contains(element.Attr(u.link, "rel"), "sponsored")
		}
		shown := u.address() != ""
		t.shown = t.shown || shown && (u.link == nil || s.titleAt(i, i+1) < 0)
		if !shown && !u.labeled {
			t.snippet = max(t.snippet, utf8.RuneCountInString(u.text))
		}
	}
	return t
}

// isAd reports whether the unit i says that what stands beside it is paid for; a link on another
// site says so by the word alone, or where it holds the title too.
func (s *scan) isAd(i int) bool {
	u := &s.units[i]
	if s.leads(u) == "" {
		return entry.IsAdLabel(u.text)
	}
	beside := !u.heading && s.shared(i) && (s.headed(i) || s.inLinks[entry.Fold(u.text)] > 1)
	return entry.IsAdWord(u.text) || entry.IsAdBeside(u.text) && u.address() != "" ||
		beside && entry.IsAdLabel(u.text)
}

// isButton reports whether the unit i is a link that stands with every result.
func (s *scan) isButton(i int) bool {
	u := &s.units[i]
	return entry.IsGeneric(u.text) || u.link != nil && s.buttons[s.shape[i]]
}

// local scores how much a block is a firm on a map and not a page: each fact that a map
// profile has counts for it, what page results have against it.
func (t texts) local(f entry.Facts, leads bool) int {
	snippet := leads && t.snippet >= entry.SnippetLetters && f.Phone == ""
	return pointsOfPhone*entry.One(f.Phone != "") + entry.One(f.Rating != nil) + entry.One(f.Reviews != nil) +
		pointsOfButton*min(1, t.buttons) + entry.One(f.Hours) + entry.One(f.Years != nil &&
		t.snippet < 2*entry.SnippetLetters) -
		pointsOfSnippet*entry.One(snippet) - entry.One(leads && t.buttons == 0)
}

// targetOf returns where a block leads: the target of its heading, else of its first link.
func (s *scan) targetOf(units []unit) (target, domain string) {
	for _, heading := range []bool{true, false} {
		for i := range units {
			to := s.leads(&units[i])
			switch {
			case to == "" || heading && !units[i].heading:
			case s.vague[units[i].link]:
				return "", lineup.Domain(to)
			default:
				return to, lineup.Domain(to)
			}
		}
	}
	for _, u := range units {
		if d := u.address(); d != "" {
			return "", lineup.Domain("https://" + d)
		}
	}
	return "", ""
}

// named reports whether the unit i may be the name of something.
func (s *scan) named(i int) bool {
	u := &s.units[i]
	return !u.labeled && !s.isAd(i) && !s.isButton(i) && u.address() == "" && !entry.IsRating(u.text) &&
		entry.HasLetter(u.name()) && !(len(u.text) < 60 && entry.PhoneOf(u.text) != "")
}

func (s *scan) titleOf(lo, hi int) string {
	if at := s.titleAt(lo, hi); at >= 0 {
		return s.units[at].name()
	}
	return ""
}

// titleAt returns the unit that is the title of a block: its heading, else the text of a link that
// leads out and names something, else its first text; -1 for none.
func (s *scan) titleAt(lo, hi int) int {
	leads := func(i int) bool { return s.leads(&s.units[i]) != "" }
	linked := false
	for i := lo; i < hi && !linked; i++ {
		linked = leads(i) && s.named(i)
	}
	for i := lo; i < hi; i++ {
		// Over a link that names something a heading without one is that of a section.
		if s.units[i].heading && s.named(i) && (!linked || s.units[i].link != nil) {
			return i
		}
	}
	for _, anchored := range []bool{true, false} {
		for i := lo; i < hi; i++ {
			if leads(i) && s.named(i) && !s.sources[s.shape[i]] && (!anchored || anchor(s.units[i].node)) {
				return i
			}
		}
	}
	return s.nameAt(lo, hi)
}

// nameAt returns the first unit of a block that names something, a heading before others; -1 for
// none.
func (s *scan) nameAt(lo, hi int) int {
	first := -1
	for i := lo; i < hi; i++ {
		if s.named(i) && !entry.IsMark(s.units[i].text) {
			if s.units[i].heading {
				return i
			}
			if first < 0 {
				first = i
			}
		}
	}
	return first
}

// anchor reports whether a node is, holds or stands in a link of the page's text.
func anchor(n *html.Node) bool {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.DataAtom == atom.A {
			return true
		}
	}
	for ; n != nil; n = n.Parent {
		if n.DataAtom == atom.A {
			return true
		}
	}
	return false
}

// mark is a heading or a label over entries: that they are paid for, or are no results
// at all. It holds for those in its section.
type mark struct {
	ad, other bool
	section   *html.Node
}

// sections tell of the elements around blocks where the first of them ends.
type sections map[*html.Node]int

func sectionsOf(blocks []block) sections {
	out := sections{}
	for _, b := range blocks {
		for n := b.root; n != nil; n = n.Parent {
			if end, ok := out[n]; !ok || b.hi < end {
				out[n] = b.hi
			}
		}
	}
	return out
}

// markOf reads the unit i, which stands between entries, as a mark; it is not ok for
// other texts.
func (s *scan) markOf(i int, around sections) (m mark, ok bool) {
	u := s.units[i]
	label := entry.IsAdLabel(u.text)
	if u.labeled || len(strings.Fields(u.text)) > 6 || !u.heading && !label &&
		(u.link != nil || len(strings.Fields(u.text)) > 4) {
		return m, false
	}
	m = mark{ad: label, other: entry.IsOther(u.text), section: u.node}
	for m.section != nil && around[m.section] == 0 {
		m.section = m.section.Parent
	}
	// A heading of what is no result stands first in its section: where entries come
	// before it in there, those after it are entries again.
	astray := m.other && m.section != nil && around[m.section] <= i
	return m, !astray
}

// otherWithin reports whether a block begins with the heading of what is no result.
func (s *scan) otherWithin(b block) bool {
	for _, u := range s.units[b.lo:min(b.lo+2, b.hi)] {
		if u.heading && (u.link == nil || s.out[u.link] == "") && entry.IsOther(u.text) {
			return true
		}
	}
	return false
}
