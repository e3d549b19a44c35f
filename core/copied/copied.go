// Package copied reads a page of search results that was copied as text (rule 6.6): its tables by
// their headings, its entries by the addresses that stand beside their titles, its businesses by
// their ratings and numbers.
package copied

import (
	"slices"
	"strconv"
	"strings"

	"inktally/core/entry"
)

// Read returns the entries of a copied text, in order.
func Read(s string) (entries []entry.Entry) {
	c := copied{lines: linesOf(s)}
	found := c.tables()
	c.paragraphs()
	c.layout()
	found = append(found, c.entries()...)
	slices.SortStableFunc(found, func(a, b lineEntry) int { return a.lo - b.lo })
	for k, e := range found {
		if e.row != nil {
			entries = append(entries, *e.row)
			continue
		}
		end := c.ends[max(e.title, e.address)]
		if k+1 < len(found) {
			end = min(end, found[k+1].lo)
		}
		entries = append(entries, c.entry(e, end))
	}
	return entries
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
	row                *entry.Entry
}

// paragraphs parts the text at empty lines, and lists before each of their numbers.
func (c *copied) paragraphs() {
	next := 1
	for i := range c.lines {
		m := numbered.FindStringSubmatch(c.lines[i].text)
		if m != nil && m[1] == strconv.Itoa(next) && titleLike(m[2]) && !c.lines[i].gone {
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
		c.shown[i+1] = c.shown[i] + entry.One(c.isAddress(i))
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
		named += entry.One(i > 0 && namesSite(c.lines[i-1].text, c.lines[i].domain))
		below += entry.One(c.titleBelow(i))
		after += entry.One(i > 1 && snippetLike(c.lines[i-1].text) && c.titleLike(i-2))
		_, ok := c.loneBefore(i - 1)
		lone += entry.One(ok)
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
	for next < len(c.lines) && entry.IsRating(c.lines[next].text) {
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
