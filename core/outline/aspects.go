package outline

import (
	"slices"

	"inktally/core/text"
)

// aspect is what several rivals have a section about on their pages for a service.
type aspect struct {
	key     string
	stems   []stem
	heading string // as one of them words it
	rivals  int
	last    int // the rival that it was met at last
}

// aspectWords is from how many words a rival's section is an aspect.
const aspectWords = 15

// aspectHeadings is how many sections the aspects of a page have at most: a bit of a mark is for each.
const aspectHeadings = 8

// likeAspect is from which share of common stems two headings are about one aspect.
const likeAspect = 0.5

// like reports whether a heading is about the aspect, by its stems.
func (a aspect) like(stems []stem) bool {
	both := 0
	for _, s := range stems {
		if slices.Contains(a.stems, s) {
			both++
		}
	}
	return a.near(both, len(stems))
}

// near reports whether a heading of so many stems, of which both has it in common with the aspect, is about it.
func (a aspect) near(both, stems int) bool {
	all := stems + len(a.stems) - both
	return both > 0 && float64(both) >= likeAspect*float64(all)
}

// shared returns the aspects that enough rivals have a section about, those of most rivals
// first. Each is worded as the rival of the lineup's best place words it that names no
// town and no firm.
func (o *outliner) shared() []aspect {
	firms := make([][]string, 0, len(o.p.Topics.Rivals))
	for _, name := range o.p.Topics.Rivals {
		firms = append(firms, text.Tokens(name))
	}
	var list []aspect
	var stems []stem
	rivals := o.rivals()
	byStem := make([][]int, o.p.Headings.met()) // aspects that have a stem, in their order
	for r, headings := range rivals {
		for _, h := range headings {
			stems = o.subject(stems[:0], h.bare)
			if len(stems) == 0 || h.calls {
				continue
			}
			at := -1
			for _, stem := range stems {
				for _, i := range byStem[stem] {
					if (at < 0 || i < at) && list[i].like(stems) {
						at = i
					}
				}
			}
			if at < 0 {
				list = append(list, aspect{stems: slices.Clone(stems), last: -1})
				at = len(list) - 1
				for _, stem := range stems {
					byStem[stem] = append(byStem[stem], at)
				}
			}
			a := &list[at]
			if a.heading == "" && len(h.bare) == len(h.stems) &&
				!slices.ContainsFunc(firms, func(f []string) bool { return holdsRun(h.tokens, f) }) {
				a.heading = h.heading.Text
			}
			if a.last != r {
				a.rivals, a.last = a.rivals+1, r
			}
		}
	}
	list = slices.DeleteFunc(list, func(a aspect) bool { return a.rivals < max(1, o.y.SharedBy) || a.heading == "" })
	slices.SortStableFunc(list, func(a, b aspect) int { return b.rivals - a.rivals })
	list = list[:min(len(list), aspectHeadings)]
	for i := range list {
		list[i].key = "aspect: " + o.p.Headings.key(list[i].stems)
	}
	return list
}

// rivals returns the headings of each rival's page.
func (o *outliner) rivals() [][]aspectHeading {
	out := make([][]aspectHeading, len(o.p.Rivals))
	for i, rival := range o.p.Rivals {
		out[i] = o.p.Headings.of(rival, o.language)
	}
	return out
}
