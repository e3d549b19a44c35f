package target

import (
	"inktally/core/imagename"
	"inktally/core/sheet"
	"inktally/core/site"
)

// Target is one thing a page must have, with its evidence, gain and effort.
type Target struct {
	// Key stays the same when the page is measured again: its kind, and the
	// family or the file that it is about.
	Key  string
	Kind Kind
	// Family is the key of the family that is placed, Phrase the text of its
	// lead; both empty for others.
	Family, Phrase string
	// Lead tells that the lead itself must stand there, not just any member.
	Lead bool
	// Now is what stands there now: the title, the h1, the image's file.
	Now string
	// Wanted is what is proposed, if it can be spelled out: a file name.
	Wanted string
	// Loose tells that the family stands there loosely already.
	Loose bool
	// Late tells that it stands in the title, but behind its first Within
	// characters.
	Late   bool
	Within int
	// Image is the index of the image in the page, -1 for none; Verdict is that
	// on its name.
	Image   int
	Verdict imagename.Verdict
	// RivalsHave counts the rivals that have it, of Rivals.
	RivalsHave, Rivals int
	// Words is set for word targets and new pages.
	Words *WordTarget
	// Gain is in visits a month, a share of the page's gain in percent while
	// there are no search volumes, and 0 if no rule gives one (rule 12.2).
	Gain    float64
	Minutes float64
	// First tells that it must be fixed before all others.
	First bool
	// Needs are the keys of targets that this one depends on.
	Needs []string
	// Parts is what stands inside the target of a new page.
	Parts []Target
	// Choice is what the user said of it.
	Choice Choice
}

// Choice is what the user said of a target.
type Choice struct {
	State State
	// Value is what a changed target says instead.
	Value  string
	Reason string
}

// State is where a target stands with its user.
type State string

// The states of a target.
const (
	Open    State = "open"
	Kept    State = "kept"
	Changed State = "changed"
	Dropped State = "dropped"
)

// States are all of them.
func States() []State { return []State{Open, Kept, Changed, Dropped} }

// Page is what targets are worked out for.
type Page struct {
	Kind site.Kind
	// Client is nil if there is no page yet.
	Client *sheet.Column
	// Rivals are the like rivals' pages.
	Rivals   []*sheet.Column
	Criteria *sheet.Criteria
	// Leads are the leads of the page's families, in order of gain.
	Leads []Lead
	// Wishes are what image names may say beyond the families, in order.
	Wishes []string
	// Frame is used if there is no page yet.
	Frame int
}

// Lead is the lead of a family with what it may bring.
type Lead struct {
	// Family is its key, Text the lead's.
	Family, Text string
	// Gain is the family's; without any volumes every family counts the same.
	Gain float64
}

// perHour is the gain for an hour of work.
func (t Target) perHour() float64 {
	if t.Minutes <= 0 {
		return 0
	}
	return t.Gain * 60 / t.Minutes
}
