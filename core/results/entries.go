package results

import (
	"slices"
	"strings"
	"unicode/utf8"

	"inktally/core/element"
	"inktally/core/lineup"

	"golang.org/x/net/html"
)

// block is what may be an entry: the units of one root.
type block struct {
	root   *html.Node
	lo, hi int // of its units
}

// read finds the entries of a page.
func (s *scan) read() (p Results) {
	blocks := s.blocks()
	var over mark // what was said over the entries that follow
	next := 0
	for _, b := range blocks {
		for i := next; i < b.lo; i++ {
			if m, ok := s.markOf(i, blocks); ok {
				over = m
			}
		}
		next = b.hi
		if over.section != nil && !within(b.root, over.section) {
			over = mark{}
		}
		if over.other || s.otherWithin(b) {
			continue
		}
		e, ok := s.entry(b, over.ad)
		switch {
		case ok:
			p.Entries = append(p.Entries, e)
		case e.Title != "":
			p.Unread = append(p.Unread, e.Title)
		}
	}
	return p
}

// mark is a heading or a label over entries: that they are paid for, or are no results
// at all. It holds for those in its section.
type mark struct {
	ad, other bool
	section   *html.Node
}

// markOf reads the unit i, which stands between entries, as a mark; it is not ok for
// other texts.
func (s *scan) markOf(i int, blocks []block) (m mark, ok bool) {
	u := s.units[i]
	label := isAdLabel(u.text)
	if u.labeled || len(strings.Fields(u.text)) > 6 || !u.heading && !label &&
		(u.link != nil || len(strings.Fields(u.text)) > 4) {
		return m, false
	}
	m = mark{ad: label, other: otherSections[fold(u.text)], section: u.node}
	for m.section != nil && !slices.ContainsFunc(blocks, func(b block) bool { return within(b.root, m.section) }) {
		m.section = m.section.Parent
	}
	// A heading of what is no result stands first in its section: where entries come
	// before it in there, those after it are entries again.
	astray := m.other && slices.ContainsFunc(blocks, func(b block) bool {
		return b.hi <= i && within(b.root, m.section)
	})
	return m, !astray
}

// otherWithin reports whether a block begins with the heading of what is no result.
func (s *scan) otherWithin(b block) bool {
	for _, u := range s.units[b.lo:min(b.lo+2, b.hi)] {
		if u.heading && (u.link == nil || s.out[u.link] == "") && otherSections[fold(u.text)] {
			return true
		}
	}
	return false
}

// blocks returns the roots of links that lead out, and of businesses that have none, in
// order and each once.
func (s *scan) blocks() []block {
	taken := map[*html.Node]bool{}
	var out []block
	take := func(root *html.Node) {
		if !taken[root] {
			taken[root] = true
			lo, hi := s.span(root)
			out = append(out, block{root, lo, hi})
		}
	}
	for _, u := range s.units {
		if u.link != nil && s.out[u.link] != "" {
			take(s.root(u.node))
		}
	}
	slices.SortStableFunc(out, func(a, b block) int { return a.lo - b.lo })
	s.extendBack(out)
	apart, next := slices.Clone(out), 0
	for i := range s.units {
		u := &s.units[i]
		for next < len(apart) && apart[next].hi <= i {
			next++
		}
		inside := next < len(apart) && i >= apart[next].lo
		if inside || !isRating(u.text) && phoneOf(u.text) == "" {
			continue
		}
		if root := s.root(u.node); len(s.found[root].domains) == 0 {
			take(root)
		}
	}
	slices.SortStableFunc(out, func(a, b block) int { return a.lo - b.lo })
	apart = out[:0]
	for _, b := range out {
		if n := len(apart); n == 0 || b.lo >= apart[n-1].hi {
			apart = append(apart, b)
		}
	}
	s.extend(apart)
	return apart
}

// span returns the units below a node.
func (s *scan) span(root *html.Node) (lo, hi int) { return s.found[root].lo, s.found[root].hi }

func within(n, root *html.Node) bool {
	for ; n != nil; n = n.Parent {
		if n == root {
			return true
		}
	}
	return false
}

// extend gives blocks that hold a title and nothing else what follows them: some pages
// put the parts of an entry side by side.
func (s *scan) extend(blocks []block) {
	for i := range blocks {
		b := &blocks[i]
		shown := 0
		for _, u := range s.units[b.lo:b.hi] {
			if !u.labeled && domainOf(u.text) == "" {
				shown++
			}
		}
		if shown > 1 {
			continue
		}
		end := len(s.units)
		if i+1 < len(blocks) {
			end = blocks[i+1].lo
		}
		for b.hi < end && sibling(s.units[b.hi].node, b.root) && !s.units[b.hi].heading {
			b.hi++
		}
	}
}

// extendBack gives blocks that hold a link without a title what stands before them.
func (s *scan) extendBack(blocks []block) {
	for i := range blocks {
		b := &blocks[i]
		if s.titleOf(s.units[b.lo:b.hi]) != "" {
			continue
		}
		start := 0
		if i > 0 {
			start = blocks[i-1].hi
		}
		for b.lo > start && sibling(s.units[b.lo-1].node, b.root) {
			b.lo--
		}
	}
}

// sibling reports whether a node stands below the parent of another one.
func sibling(n, beside *html.Node) bool { return beside.Parent != nil && within(n, beside.Parent) }

const (
	// A text from so many characters on is a snippet.
	snippetLetters = 45
	// localWithPage is the score from which a block that leads to a page is a firm on the map
	// (rule 6.6): a phone and a button, directions or call, count for two, a snippet against it
	// as much; rating, reviews, hours, years count for one.
	localWithPage   = 3
	pointsOfPhone   = 2
	pointsOfButton  = 2
	pointsOfSnippet = 2
)

// entry makes an entry of a block; it is not ok for what is none.
func (s *scan) entry(b block, ad bool) (e Entry, ok bool) {
	units := s.units[b.lo:b.hi]
	t := textsOf(units)
	ad = ad || t.ad
	e.URL, e.Domain = s.targetOf(units)
	e.Title = s.titleOf(units)
	f := factsOf(t.all)
	local := t.local(f, e.URL != "")
	switch {
	case e.Title == "":
		return e, false
	case local >= localWithPage || e.URL == "" && local >= 1:
		e.Part = Map
		if ad {
			e.Part = MapSponsored
		}
		e.Phone, e.Years = f.phone, f.years
	case e.URL == "":
		return Entry{}, false
	case ad:
		e.Part = Paid
	default:
		e.Part = Organic
		if e.Domain == "" || !s.tellsMore(units, e) {
			return Entry{}, false // a link in a footer or a menu
		}
	}
	e.Rating, e.Reviews = f.rating, f.reviews
	return e, true
}

// texts are those of a block.
type texts struct {
	all []string // with the numbers that its links call
	// snippet is how many characters its longest text has, generics how many of its links say
	// what every result says: directions, call.
	snippet, generics int
	ad                bool
}

func textsOf(units []unit) (t texts) {
	for _, u := range units {
		t.all = append(t.all, u.text)
		t.ad = t.ad || isAdLabel(u.text)
		if u.link != nil && isGeneric(u.text) {
			t.generics++
			if called, ok := strings.CutPrefix(element.Attr(u.link, "href"), "tel:"); ok {
				t.all = append(t.all, called)
			}
		}
		if domainOf(u.text) == "" && !u.labeled {
			t.snippet = max(t.snippet, utf8.RuneCountInString(u.text))
		}
	}
	return t
}

// local scores how much a block is a firm on a map and not a page: each fact that a map
// profile has counts for it, what page results have against it.
func (t texts) local(f facts, leads bool) int {
	snippet := leads && t.snippet >= snippetLetters && f.phone == ""
	return pointsOfPhone*boolInt(f.phone != "") + boolInt(f.rating != nil) + boolInt(f.reviews != nil) +
		pointsOfButton*min(1, t.generics) + boolInt(f.hours) + boolInt(f.years != nil && t.snippet < 2*snippetLetters) -
		pointsOfSnippet*boolInt(snippet) - boolInt(leads && t.generics == 0)
}

// tellsMore reports whether a block says more than its title: a snippet, or the address.
func (s *scan) tellsMore(units []unit, e Entry) bool {
	return slices.ContainsFunc(units, func(u unit) bool {
		return u.text != e.Title && (domainOf(u.text) != "" || utf8.RuneCountInString(u.text) >= snippetLetters/2)
	})
}

// targetOf returns where a block leads: the target of its heading, else of its first link.
func (s *scan) targetOf(units []unit) (target, domain string) {
	for _, heading := range []bool{true, false} {
		for _, u := range units {
			if u.link != nil && s.out[u.link] != "" && (u.heading || !heading) {
				return s.out[u.link], lineup.Domain(s.out[u.link])
			}
		}
	}
	for _, u := range units {
		if d := domainOf(u.text); d != "" {
			return "", lineup.Domain("https://" + d)
		}
	}
	return "", ""
}

// titleOf returns the title of a block: its heading, else the text of a link that leads out
// and names something, else its first text.
func (s *scan) titleOf(units []unit) string {
	named := func(u unit) bool {
		return !u.labeled && !isAdLabel(u.text) && !isGeneric(u.text) && domainOf(u.text) == "" && !isRating(u.text) &&
			hasWord(u.text)
	}
	linked := slices.ContainsFunc(units, func(u unit) bool { return u.link != nil && s.out[u.link] != "" && named(u) })
	for _, u := range units {
		// Over a link that names something a heading without one is that of a section.
		if u.heading && named(u) && (!linked || u.link != nil) {
			return u.text
		}
	}
	for _, u := range units {
		if u.link != nil && s.out[u.link] != "" && named(u) {
			return u.text
		}
	}
	for _, u := range units {
		if named(u) {
			return u.text
		}
	}
	return ""
}

func boolInt(b bool) int {
	if b {
		return 1
	}
	return 0
}
