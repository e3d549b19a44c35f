package sheet

import (
	"slices"
	"unicode/utf8"

	"inktally/core/imagename"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/text"
)

// Placement is where a phrase or a family stands in a page.
type Placement struct {
	Exact Slots
	Loose Slots
	// InCopy are the occurrences in headings and body, exact and loose.
	InCopy int
}

// Rate returns the number of occurrences per 1,000 copy words (rule 3.4).
func (p Placement) Rate(copyWords int) float64 {
	if copyWords == 0 {
		return 0
	}
	return float64(p.InCopy) * 1000 / float64(copyWords)
}

// Density returns the keyword density in percent of a phrase of so many tokens
// (rule 3.4).
func (p Placement) Density(tokens, copyWords int) float64 {
	return p.Rate(copyWords) * float64(tokens) / 10
}

// Column is one page as it stands in a sheet.
type Column struct {
	Page *page.Page
	// Criteria are what it was measured for. Phrases are the placements of its
	// phrases, Families those of its families, in their order.
	Criteria *Criteria
	Phrases  []Placement
	Families []Placement
	// Verdicts are those of the page's images, in their order.
	Verdicts []imagename.Verdict
}

// Measure measures a page.
func Measure(p *page.Page, r *Criteria) *Column {
	c := &Column{
		Page:     p,
		Criteria: r,
		Phrases:  make([]Placement, len(r.matcher.Phrases)),
		Families: make([]Placement, len(r.matcher.Families)),
		Verdicts: make([]imagename.Verdict, len(p.Images)),
	}
	labels := newLabels(p, r)
	carries := make([]bool, len(p.Images))
	visit(p, r, labels, func(slot Slot, at int, copied bool, hits []phrase.Hit) {
		for _, h := range hits {
			c.count(slot, copied, h, r.matcher)
		}
		if slot == ImageNames {
			carries[at] = true
		}
	})
	for i := range p.Images {
		c.Verdicts[i] = r.judge.VerdictOf(p.Images[i].File, labels.names[i], carries[i])
	}
	return c
}

// Family returns the placement of a family by its key; that of one that is none
// of the criteria's is empty.
func (c *Column) Family(key string) Placement {
	if i, ok := c.Criteria.family[key]; ok {
		return c.Families[i]
	}
	return Placement{}
}

// Phrase returns the placement of a phrase; that of one that is none of the
// criteria's is empty.
func (c *Column) Phrase(typed string) Placement {
	if i, ok := c.Criteria.typed[phrase.Fold(typed)]; ok {
		return c.Phrases[i]
	}
	return Placement{}
}

// Holds returns which of the criteria's phrases stand exactly in the title or the
// visible text of a page: a near miss lacks its lead there (rule 3.9).
func Holds(p *page.Page, criteria *Criteria) []bool {
	c := Measure(p, criteria)
	out := make([]bool, len(c.Phrases))
	for i, placed := range c.Phrases {
		out[i] = placed.Exact.Title+placed.Exact.Total > 0
	}
	return out
}

// count counts one occurrence for its phrase and its family; a loose one is an
// occurrence of each member.
func (c *Column) count(slot Slot, copied bool, h phrase.Hit, m *phrase.Matcher) {
	if h.Exact() {
		c.Phrases[h.Phrase].addExact(slot, copied)
		if h.Counts {
			c.Families[h.Family].addExact(slot, copied)
		}
		return
	}
	c.Families[h.Family].addLoose(slot, copied)
	for _, i := range m.Families[h.Family].Members {
		c.Phrases[i].addLoose(slot, copied)
	}
}

func (p *Placement) addExact(slot Slot, copied bool) {
	p.Exact.add(slot, 1)
	if copied {
		p.InCopy++
	}
}

func (p *Placement) addLoose(slot Slot, copied bool) {
	p.Loose.add(slot, 1)
	if copied {
		p.InCopy++
	}
}

// Carrying counts the images whose names carry a phrase.
func (c *Column) Carrying() int {
	n := 0
	for _, v := range c.Verdicts {
		if v == imagename.Carries {
			n++
		}
	}
	return n
}

// TitlePosition returns where in the title a member of a family first stands
// exactly, in characters, and -1 if it does not.
func (c *Column) TitlePosition(family string) int {
	scan := &text.Scan{Text: c.Page.Title}
	scan.AppendLabel(0, len(scan.Text))
	hits := c.Criteria.matcher.Finder(scan).Find(0, len(scan.Tokens))
	at := slices.IndexFunc(hits, func(h phrase.Hit) bool {
		return h.Exact() && c.Criteria.Families[h.Family].Key == family
	})
	if at < 0 {
		return -1
	}
	return utf8.RuneCountInString(c.Page.Title[:scan.Start(hits[at].Lo)])
}
