package plan

import (
	"inktally/core/finding"
	"inktally/core/imagename"
	"inktally/core/sum"
)

// Part is one line of a target, which can be changed or dropped by itself. What it asks for
// stands in the field of its kind; the others are nil or 0. What they point to is never
// changed: parts are copied.
type Part struct {
	// Key stays the same when the page is measured again, and is unique on its page.
	Key  string
	Kind PartKind
	// Phrase is what is to be said: in a slot, in the name of an image or its alt text. It is
	// what is said too often where Limit is set.
	Phrase *Saying
	// Slot is how the place looks in which the phrase is to stand.
	Slot *Gap
	// Words is how many words are to be written.
	Words int
	// Image is the image that is to be named or described.
	Image *Picture
	// Limit is how often the phrase may stand in the copy.
	Limit *Limit
	// Finding is what contradicts the page's place, or the link that leads nowhere.
	Finding *finding.Finding
	// Rivals counts those that have it.
	Rivals HaveIt
	Estimate
	// Effort is the sum of its minutes.
	Effort  sum.Sum
	Minutes float64
	Choice  Choice
}

// Saying is what a part wants said.
type Saying struct {
	// Family is the key of its family, empty for a phrase of no family of the page.
	Family string
	// Text is the lead or, if Member is set, another member of so many Searches a month.
	Text     string
	Member   bool
	Searches int
}

// Gap is a place of a page in which a phrase is to stand.
type Gap struct {
	// Now is the text that stands there, of a slot that holds one text. Wanted is a whole
	// text that is proposed for it, empty for none.
	Now, Wanted string
	// Lead reports that the lead itself must stand there, not just any member.
	Lead bool
	// Loose reports that the family stands there loosely.
	Loose bool
	// Late reports that it stands in the title, but behind its first Within characters.
	Late   bool
	Within int
	// Times is how often it is to be added, 0 where once is all that there is.
	Times int
}

// Picture is an image that is to get a name or an alt text.
type Picture struct {
	// At is its index in the page, -1 for an image that is to be added.
	At int
	// File is what it is called now, empty for one to be added; Wanted the name or the alt text that
	// is proposed.
	File, Wanted string
	// Verdict is that on its name, empty for one to be added.
	Verdict imagename.Verdict
}

// Limit is how often a phrase stands in the copy now, and how often it may (rule 9.5).
type Limit struct{ Now, Most int }

// HaveIt counts what Have of the rivals that were measured have.
type HaveIt struct{ Have, Of int }

// Says returns the phrase that the part is about, empty for none.
func (p *Part) Says() string {
	if p.Phrase == nil {
		return ""
	}
	return p.Phrase.Text
}

// Family returns the key of the family that the part is about, empty for none.
func (p *Part) Family() string {
	if p.Phrase == nil {
		return ""
	}
	return p.Phrase.Family
}

// IsMember reports whether the part asks for another member of a family than its lead.
func (p *Part) IsMember() bool { return p.Phrase != nil && p.Phrase.Member }

// Times returns how often the phrase of the part is to be placed.
func (p *Part) Times() int {
	if p.Slot == nil {
		return 1
	}
	return max(1, p.Slot.Times)
}

// Adds reports whether the part asks for an image that is not there yet.
func (p *Part) Adds() bool { return p.Image != nil && p.Image.At < 0 }

// Estimate is what a part may bring: what the families at stake may bring, by a weight of the
// yardstick and by the share that is missing (rule 12.2).
type Estimate struct {
	// Families are the keys of the families at stake.
	Families []string
	// Sum has the steps of its gain, none for a part that no rule gives one.
	Sum sum.Sum
	// Gain is the sum's result in visits a month, Rank what it is ordered by.
	Gain, Rank float64
}

// Weight names what the gain of a part is weighed by: the key of a figure.
type Weight string
