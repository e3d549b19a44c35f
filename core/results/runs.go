package results

import (
	"fmt"
	"slices"
	"strings"

	"golang.org/x/net/html"
)

// read finds the entries of a page. A result is one of a run of like siblings: which part it
// stands in is decided for the run, not for the block (rule 6.6).
func (s *scan) read() (p Results) {
	list := s.candidates()
	for _, run := range runsOf(list) {
		s.decide(list, run)
	}
	main := mainOf(list)
	for i, c := range list {
		switch {
		case c.entry.Title == "" || c.entry.Part == Map && shownAgain(list, i):
		case c.entry.Part == "" || !main.accepts(c):
			if c.unreadTitle != "" {
				p.Unread = append(p.Unread, c.unreadTitle)
			}
		default:
			p.Entries = append(p.Entries, c.entry)
		}
	}
	return p
}

// shownAgain reports whether a firm stands on the map by itself that stands in a run of others too,
// or before it: a box about one firm.
func shownAgain(list []candidate, at int) bool {
	alone := func(i int) bool {
		return !(i > 0 && list[i-1].where == list[i].where || i+1 < len(list) && list[i+1].where == list[i].where)
	}
	name := nameOf(list[at].entry.Title)
	return slices.ContainsFunc(list, func(c candidate) bool {
		return c.entry.Part == Map && c.lo != list[at].lo && nameOf(c.entry.Title) == name
	}) && alone(at)
}

// nameOf returns a title as it is compared, without what counts it.
func nameOf(title string) string {
	if m := counting.FindStringSubmatch(title); m != nil {
		title = m[3]
	}
	return fold(title)
}

// candidates reads the blocks of a page, but for those of what is no result.
func (s *scan) candidates() []candidate {
	blocks := s.blocks()
	asked := s.questions(blocks)
	paths := map[*html.Node]string{}
	var list []candidate
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
		if over.other || s.otherWithin(b) || slices.ContainsFunc(asked, func(n *html.Node) bool { return within(b.root, n) }) {
			continue
		}
		c := s.candidate(b, over.ad)
		c.where = fmt.Sprintf("%p %s", b.root.Parent, pathOf(b.root, paths))
		list = append(list, c)
	}
	return list
}

// questions returns the boxes of related questions: the smallest elements that hold two texts or
// more that ask and lead nowhere, and no title of an entry of their own kind beside them.
func (s *scan) questions(blocks []block) (boxes []*html.Node) {
	last := -1
	for i := range s.units {
		u := &s.units[i]
		if u.labeled || s.leads(u) != "" || !strings.HasSuffix(strings.TrimSpace(u.text), "?") {
			continue
		}
		if last >= 0 {
			box := common(s.units[last].node, u.node)
			inside := 0
			for _, b := range blocks {
				inside += boolInt(within(b.root, box) && b.root != box && s.titleShaped(b))
			}
			if box != nil && inside < 2 && !slices.ContainsFunc(blocks, func(b block) bool { return within(box, b.root) && b.root != box }) {
				boxes = append(boxes, box)
			}
		}
		last = i
	}
	return boxes
}

// titleShaped reports whether the title of a block is of a shape that titles have.
func (s *scan) titleShaped(b block) bool {
	at := s.titleAt(b.lo, b.hi)
	return at >= 0 && s.titled[s.shape[at]]
}

// common returns the smallest element around two nodes.
func common(a, b *html.Node) *html.Node {
	for n := a; n != nil; n = n.Parent {
		if within(b, n) {
			return n
		}
	}
	return nil
}

// runsOf returns the runs of a list: like siblings one after another.
func runsOf(list []candidate) (runs [][]int) {
	for i := range list {
		if n := len(runs); n > 0 && i > 0 && list[i].where == list[i-1].where {
			runs[n-1] = append(runs[n-1], i)
			continue
		}
		runs = append(runs, []int{i})
	}
	return runs
}

// decide gives the entries of a run their part: a run is of the map where most of what is not
// paid for in it are firms. An ad outside such a run is paid.
func (s *scan) decide(list []candidate, run []int) {
	firms, pages := 0, 0
	for _, i := range run {
		if c := list[i]; c.isLocal() {
			firms++
		} else if !c.ad {
			pages++
		}
	}
	for _, i := range run {
		c := &list[i]
		onMap := c.isLocal() && (firms > pages || pages < 3) || firms > 2*pages && firms > 1 && c.local > 0
		s.part(c, onMap, firms)
	}
}

// part gives an entry its part.
func (s *scan) part(c *candidate, onMap bool, firms int) {
	e := &c.entry
	switch {
	case onMap && !(c.ad && firms < 2):
		e.Part = Map
		if c.ad {
			e.Part = MapSponsored
		}
		if at := s.nameAt(c.lo, c.hi); at >= 0 {
			e.Title = s.units[at].name()
		}
		e.Phone, e.Years = c.facts.phone, c.facts.years
	case e.URL == "" && e.Domain == "":
	case c.ad:
		e.Part, e.Phone, e.Years = Paid, c.facts.phone, c.facts.years
	default:
		e.Part = Organic
		c.unreadTitle = ""
	}
}

// kind is how the main run of a page's results looks.
type kind struct {
	shape            string
	count            int
	snippet, address bool // most have one
}

// mainOf returns how most of the results of the web look.
func mainOf(list []candidate) (k kind) {
	counts := map[string]int{}
	for _, c := range list {
		if c.entry.Part == Organic {
			counts[c.shape]++
			if n := counts[c.shape]; n > k.count || n == k.count && c.shape < k.shape {
				k.shape, k.count = c.shape, n
			}
		}
	}
	snippets, addresses := 0, 0
	for _, c := range list {
		if c.entry.Part == Organic && c.shape == k.shape {
			snippets, addresses = snippets+boolInt(c.snippet), addresses+boolInt(c.address)
		}
	}
	k.snippet, k.address = 2*snippets > k.count, 2*addresses > k.count
	return k
}

// accepts reports whether an entry is one: one of the web says more than its title, a snippet or
// the address, and where it is not like the others all that they say.
func (k kind) accepts(c candidate) bool {
	if c.entry.Part != Organic {
		return true
	}
	if c.entry.Domain == "" || !c.snippet && !c.address {
		return false // a link in a footer or a menu
	}
	return k.count < 3 || c.shape == k.shape || (c.snippet || !k.snippet) && (c.address || !k.address)
}
