package results

import (
	"fmt"
	"strings"

	"inktally/core/entry"

	"golang.org/x/net/html"
)

// read finds the entries of a page. A result is one of a run of like siblings: which part it
// stands in is decided for the run, not for the block (rule 6.6).
func (s *scan) read() (p Results) {
	list := s.candidates()
	for _, run := range runsOf(list) {
		s.decide(list, run)
	}
	main, named := mainOf(list), map[string]int{}
	for _, c := range list {
		if c.entry.Part == entry.Map {
			named[nameOf(c.entry.Title)]++
		}
	}
	for i, c := range list {
		switch {
		case c.entry.Title == "" || c.entry.Part == entry.Map && shownAgain(list, i, named):
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

// shownAgain reports whether a firm stands on the map by itself that stands in a run of others, or
// alone, once more: a box about one firm. named counts the firms by their names.
func shownAgain(list []candidate, at int, named map[string]int) bool {
	like := func(i int) bool { return i >= 0 && i < len(list) && list[i].where == list[at].where }
	return named[nameOf(list[at].entry.Title)] > 1 && !like(at-1) && !like(at+1)
}

// nameOf returns a title as it is compared, without what counts it.
func nameOf(title string) string {
	if m := counting.FindStringSubmatch(title); m != nil {
		title = m[3]
	}
	return entry.Fold(title)
}

// candidates reads the blocks of a page, but for those of what is no result.
func (s *scan) candidates() []candidate {
	blocks := s.blocks()
	asked, around := s.questions(blocks), sectionsOf(blocks)
	paths := map[*html.Node]string{}
	var list []candidate
	var over mark // what was said over the entries that follow
	next := 0
	for _, b := range blocks {
		for i := next; i < b.lo; i++ {
			if m, ok := s.markOf(i, around); ok {
				over = m
			}
		}
		next = b.hi
		if over.section != nil && !within(b.root, over.section) {
			over = mark{}
		}
		if over.other || s.otherWithin(b) || inside(b.root, asked) {
			continue
		}
		c := s.candidate(b, over.ad)
		c.where = fmt.Sprintf("%p %s", b.root.Parent, pathOf(b.root, paths))
		list = append(list, c)
	}
	return list
}

// inside reports whether a node is, or stands in, one of a set.
func inside(n *html.Node, set map[*html.Node]bool) bool {
	for ; n != nil; n = n.Parent {
		if set[n] {
			return true
		}
	}
	return false
}

// questions returns the boxes of related questions: the smallest elements that hold two texts or
// more that ask and lead nowhere, and no entries of their own.
func (s *scan) questions(blocks []block) map[*html.Node]bool {
	roots, titled := map[*html.Node]bool{}, map[*html.Node]int{} // blocks with titles in each element
	for _, b := range blocks {
		roots[b.root] = true
		if !s.titleShaped(b) {
			continue
		}
		for n := b.root.Parent; n != nil; n = n.Parent {
			titled[n]++
		}
	}
	boxes := map[*html.Node]bool{}
	last := -1
	for i := range s.units {
		u := &s.units[i]
		if u.labeled || s.leads(u) != "" || !strings.HasSuffix(strings.TrimSpace(u.text), "?") {
			continue
		}
		if last >= 0 {
			box := common(s.units[last].node, u.node)
			if box != nil && titled[box] < 2 && !inside(box.Parent, roots) {
				boxes[box] = true
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
		e.Part = entry.Map
		if c.ad {
			e.Part = entry.MapSponsored
		}
		if at := s.nameAt(c.lo, c.hi); at >= 0 {
			e.Title = s.units[at].name()
		}
		e.Phone, e.Years = c.facts.Phone, c.facts.Years
	case e.URL == "" && e.Domain == "":
	case c.ad:
		e.Part, e.Phone, e.Years = entry.Paid, c.facts.Phone, c.facts.Years
	default:
		e.Part = entry.Organic
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
		if c.entry.Part == entry.Organic {
			counts[c.shape]++
			if n := counts[c.shape]; n > k.count || n == k.count && c.shape < k.shape {
				k.shape, k.count = c.shape, n
			}
		}
	}
	snippets, addresses := 0, 0
	for _, c := range list {
		if c.entry.Part == entry.Organic && c.shape == k.shape {
			snippets, addresses = snippets+entry.One(c.snippet), addresses+entry.One(c.address)
		}
	}
	k.snippet, k.address = 2*snippets > k.count, 2*addresses > k.count
	return k
}

// accepts reports whether an entry is one: one of the web says more than its title, a snippet or
// the address, and where it is not like the others all that they say.
func (k kind) accepts(c candidate) bool {
	if c.entry.Part != entry.Organic {
		return true
	}
	if c.entry.Domain == "" || !c.snippet && !c.address {
		return false // a link in a footer or a menu
	}
	return k.count < 3 || c.shape == k.shape || (c.snippet || !k.snippet) && (c.address || !k.address)
}
