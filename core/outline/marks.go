package outline

import "math/bits"

// mark is what a stem speaks of, so that a heading is matched by one look at each of its stems.
type mark struct {
	is sign
	// aspects has a bit for each of the page's aspects that holds the stem.
	aspects uint8
}

// sign is a set of what a stem speaks of.
type sign uint8

const (
	ofQuestions sign = 1 << iota
	ofTowns
	ofFirm
	inFirmName
)

// mark notes what the stems that were met so far speak of; those met later speak of nothing.
func (o *outliner) mark() {
	signs := []struct {
		is    sign
		stems []stem
	}{
		{ofQuestions, o.stems("faq question answer ask")},
		{ofTowns, o.stems("serve area town communities")},
		{ofFirm, o.stems("about us team story history")},
		{inFirmName, o.firm},
	}
	o.marks = make([]mark, o.p.Headings.met())
	for _, s := range signs {
		for _, stem := range s.stems {
			o.marks[stem].is |= s.is
		}
	}
	for i, a := range o.aspects {
		for _, stem := range a.stems {
			o.marks[stem].aspects |= 1 << i
		}
	}
}

// markOf returns what a stem speaks of.
func (o *outliner) markOf(s stem) mark {
	if int(s) < len(o.marks) {
		return o.marks[s]
	}
	return mark{}
}

// said returns what any of the stems speaks of.
func (o *outliner) said(stems []stem) (out mark) {
	for _, s := range stems {
		m := o.markOf(s)
		out.is |= m.is
		out.aspects |= m.aspects
	}
	return out
}

// aspectOf returns the first aspect that a heading is about, by its stems; -1 for none.
func (o *outliner) aspectOf(stems []stem) int {
	o.scratch = o.subject(o.scratch[:0], stems)
	var both [aspectHeadings]int
	for _, s := range o.scratch {
		for left := o.markOf(s).aspects; left != 0; left &= left - 1 {
			both[bits.TrailingZeros8(left)]++
		}
	}
	for i, a := range o.aspects {
		if a.near(both[i], len(o.scratch)) {
			return i
		}
	}
	return -1
}
