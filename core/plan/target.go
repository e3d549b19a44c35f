package plan

import (
	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/wordtarget"
)

// Kind is what a target is about: one sitting's work each (rule 12.2).
type Kind string

// The kinds of targets.
const (
	// Fix is what must be put right before all else.
	Fix        Kind = "fix"
	Placing    Kind = "placing"
	Images     Kind = "images"
	Slice      Kind = "slice"
	NewPage    Kind = "new_page"
	Split      Kind = "split"
	Redirect   Kind = "redirect"
	Rewrite    Kind = "rewrite"
	Merge      Kind = "merge"
	VagueWords Kind = "vague_words"
	CutBack    Kind = "cut_back"
	// ByHand is what the user added.
	ByHand Kind = "by_hand"
)

// Target is one thing a page must have, with its parts, gain and effort.
type Target struct {
	// Page is the key of its page.
	Page string
	// Key stays the same when the page is measured again: its kind, and the family,
	// section or fault that it is about. It is unique on its page.
	Key  string
	Kind Kind
	// Family is the key of the family that a placing is about, Phrase its lead.
	Family, Phrase string
	// Section is that of a slice; Slice and Slices tell which of a section's it is.
	Section       outline.Section
	Slice, Slices int
	// Asks are the questions that a slice answers, Lists the services that it lists.
	Asks, Lists []string
	// Mentions is how often the first family is to stand in the words of a slice or
	// of a new page's lead section, beside its parts (rule 9.4).
	Mentions int
	// Finding is what it comes from, nil for none (rule 11).
	Finding *finding.Finding
	// Text is that of a target that the user added.
	Text string
	// Words is set for slices and new pages.
	Words *wordtarget.Target
	Parts []Part
	// Fixed is the effort beside that of the parts, in minutes.
	Fixed float64
	// Gain is in visits a month, of the parts that are not dropped; shares of the
	// whole in percent while there are no search volumes; 0 if no rule gives one
	// (rule 12.2). Rank is what it is ordered by.
	Gain, Rank float64
	Minutes    float64
	// First reports whether it must be put right before all others.
	First bool
	// Needs are the targets that this one depends on.
	Needs  []Ref
	Choice Choice

	opens bool // it frees the other targets of its page (rule 12.4)
	lead  bool // a slice of the lead section
}

// Ref names the target among all of a client's.
func (t *Target) Ref() Ref { return Ref{t.Page, t.Key} }

// total adds up the parts that are not dropped. A target all of whose parts are
// dropped is dropped.
func (t *Target) total() {
	t.Gain, t.Rank, t.Minutes = 0, 0, t.Fixed
	left := 0
	for _, p := range t.Parts {
		if p.Choice.State == Dropped {
			continue
		}
		left++
		t.Gain += p.Gain
		t.Rank += p.Rank
		t.Minutes += p.Minutes
	}
	if left == 0 && len(t.Parts) > 0 && t.Choice.State == Open {
		t.Choice.State = Dropped
	}
}

// Pays reports whether a target may fill hours: it brings something, or mends what is broken, or the user wishes it.
func (t *Target) Pays() bool {
	return t.Gain > 0 || t.First || t.Kind == Fix || t.Kind == CutBack || t.Kind == ByHand
}

// PerHour returns the gain for an hour of work that a target is ordered by.
func (t *Target) PerHour() float64 {
	if t.Minutes <= 0 {
		return 0
	}
	return t.Rank * 60 / t.Minutes
}

// ToWrite returns the words that its parts ask for.
func (t *Target) ToWrite() int {
	n := 0
	for _, p := range t.Parts {
		if p.Choice.State != Dropped {
			n += p.Words
		}
	}
	return n
}
