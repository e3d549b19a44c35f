package results

import (
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"inktally/core/entry"

	"github.com/stretchr/testify/assert"
)

// copier draws a results page as it is copied: lines of a page whose elements are gone.
type copier struct {
	maker
	order              int // title, name, address as they follow one another
	blank, gap         bool
	numbers, trails    bool
	labelLine, mapMark int
	lines              []string
}

func newCopier(seed uint64) *copier {
	c := &copier{maker: maker{Rand: rand.New(rand.NewPCG(seed, 11))}}
	c.lang = tongues[c.IntN(len(tongues))]
	c.order, c.blank, c.gap = c.IntN(5), c.IntN(4) != 0, c.IntN(3) == 0
	c.numbers, c.trails = c.IntN(5) == 0, c.coin()
	c.labelLine, c.mapMark = c.IntN(3), c.IntN(3)
	if !c.blank {
		c.gap = false
	}
	if c.numbers {
		c.order, c.blank, c.gap = 0, c.coin(), false
	}
	return c
}

func (c *copier) put(lines ...string) { c.lines = append(c.lines, lines...) }

func (c *copier) after() {
	if c.blank {
		c.put("")
	}
}

func (c *copier) web(n, place int, ad bool) {
	name := fmt.Sprintf("%s%s %d", c.pick("Quill", "Tarrow", "Moss", "Fennel"),
		c.pick(" Roofing", " Gutters", " Masonry"), n)
	domain := strings.ToLower(strings.ReplaceAll(name, " ", "")) + ".example"
	title := fmt.Sprintf("%s %d - %s", c.pick("Roof Repair in Tarn Harbor", "The 10 Best Roofers",
		"How much is a roof?",
		"Wall and Roof Care"), n, name)
	part := entry.Organic
	if ad {
		part = entry.Paid
	}
	c.want = append(c.want, drawn{part, title, domain})
	address := "https://www." + domain
	if c.trails {
		address += " › " + c.pick("areas", "services", "blog › 2026")
	}
	snippet := snippets[c.IntN(len(snippets))]
	if ad {
		switch c.labelLine {
		case 0:
			c.put(c.lang.ad)
		case 1:
			address = c.lang.ad + " · " + domain
		}
	}
	if c.numbers && !ad {
		title = fmt.Sprintf("%d. %s", place, title)
	}
	switch {
	case ad && c.labelLine == 1, c.order == 0:
		c.put(title, address, snippet)
	case c.order == 1:
		c.put(title)
		if c.gap {
			c.put("")
		}
		c.put(name, address, snippet)
	case c.order == 2:
		c.put(name, address, title, snippet)
	case c.order == 3:
		c.put(title, snippet, address)
	default:
		c.put(name, address, title, snippet)
	}
	if c.IntN(5) == 0 && c.order != 3 {
		c.put(fmt.Sprintf("%d.%d (%d %s)", 3+c.IntN(2), c.IntN(10), 5+c.IntN(900), c.lang.reviews))
	}
	c.after()
}

func (c *copier) firm(n int) {
	name := fmt.Sprintf("%s %s %d", c.pick("Peakline", "Hollis Bros.", "R. Pellow", "Doctors"),
		c.pick("Roofers", "& Sons", "Co"), n)
	c.want = append(c.want, drawn{entry.Map, name, ""})
	if c.mapMark == 1 {
		c.put(fmt.Sprint(n))
	}
	c.put(name)
	if c.mapMark == 2 {
		c.put(fmt.Sprintf("%d.%d ★ (%d) · Roofer", 3+c.IntN(2), c.IntN(10), 5+c.IntN(400)))
	} else {
		c.put(fmt.Sprintf("%d.%d(%d) · Roofer", 3+c.IntN(2), c.IntN(10), 5+c.IntN(400)))
	}
	c.put(fmt.Sprintf("12 Cooper St · (904) 555-01%02d", 10+n))
	if c.coin() {
		c.put(fmt.Sprintf(c.lang.years, 3+c.IntN(40)))
	}
	c.put(c.lang.open, c.lang.site, c.lang.way)
	c.after()
}

func (c *copier) draw() string {
	c.put("Skip to content", "Quillfind", "roof repair tarn harbor", "All  Maps  Images", "About 9,310 results", "")
	n := 0
	for range c.IntN(3) {
		n++
		c.web(n, 0, c.labelLine < 2)
	}
	if c.labelLine == 2 {
		c.want, c.lines, n = nil, c.lines[:6], 0
	}
	onMap := func() {
		c.put("Places")
		for i := range 3 {
			c.firm(i + 1)
		}
		c.put("More places", "")
	}
	if c.coin() {
		onMap()
	}
	place := 0
	for range 4 {
		n++
		place++
		c.web(n, place, false)
	}
	c.put(c.lang.asked, "How long does a roof last?", "Who pays for a leak?", "Do I need a permit?", "")
	for range 3 {
		n++
		place++
		c.web(n, place, false)
	}
	c.put(c.lang.related, "roof repair cost", "flat roof", "", "1 2 3 Next", "Tarn Harbor - From your address",
		"Help Privacy Terms")
	return strings.Join(c.lines, "\n")
}

// Copied texts in orders that are drawn are read as well.
func TestDrawnCopies(t *testing.T) {
	all, right, extra := 0, 0, 0
	for seed := range uint64(200) {
		c := newCopier(seed)
		body := c.draw()
		r, missing := agree(c.want, Read([]byte(body), Source{}).Entries)
		all, right, extra = all+len(c.want), right+r, extra+len(missing)
		if testing.Verbose() && (r < len(c.want) || len(missing) > 0) {
			t.Logf("text %d (order %d, blank %v, gap %v, numbers %v, trails %v, label %d, mark %d): %d of %d, not "+
				"there: %v", seed, c.order,
				c.blank, c.gap, c.numbers, c.trails, c.labelLine, c.mapMark, r, len(c.want), missing)
		}
	}
	t.Logf("%d of %d entries right, %d that are none", right, all, extra)
	assert.GreaterOrEqual(t, right, all*97/100)
	assert.LessOrEqual(t, extra, all/50)
}
