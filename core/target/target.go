package target

import "inktally/core/sheet"

// Subject is what a target is about.
type Subject string

// The subjects of targets. Those of slots are named as the slots are.
const (
	AboutWords       Subject = "words"
	AboutTitle       Subject = "title"
	AboutDescription Subject = "description"
	AboutAddress     Subject = "address"
	AboutH1          Subject = "h1"
	AboutSubhead     Subject = "subheads"
	AboutOpening     Subject = "opening"
	AboutBody        Subject = "body"
	AboutImageName   Subject = "image_names"
	AboutAlt         Subject = "alt"
	AboutNewPage     Subject = "new page"
)

// Target is one thing a page must have, with its evidence, gain and effort.
type Target struct {
	// Key stays the same when the page is measured again (T8).
	Key     string  `json:"key"`
	Subject Subject `json:"subject"`
	// Phrase is the lead of the family that is placed, empty for others.
	Phrase string `json:"phrase,omitempty"`
	// Family is the index of that family, -1 for none.
	Family int `json:"family"`
	// Lead tells that the lead itself must stand there, not just any member.
	Lead bool `json:"lead,omitempty"`
	// Now is what stands there now: the title, the h1, the image's file.
	Now string `json:"now"`
	// Wanted is what is proposed, where it can be spelled out: a file name.
	Wanted string `json:"wanted,omitempty"`
	// Loose tells that the family stands there loosely already.
	Loose bool `json:"loose,omitempty"`
	// Late tells that it stands in the title, but too far back.
	Late bool `json:"late,omitempty"`
	// Image is the index of the image in the page, -1 for none.
	Image int `json:"image"`
	// RivalsHave counts the rivals that have it, of Rivals.
	RivalsHave int `json:"rivals_have"`
	Rivals     int `json:"rivals"`
	// Words is set for word targets and new pages.
	Words *WordTarget `json:"words,omitempty"`
	// Gain is in visits a month, a share of the page's gain in percent while
	// there are no search volumes, and 0 where no rule gives one (MEASURES 12.1).
	Gain    float64 `json:"gain" doc:"Visits a month more, or a share of the page's gain in percent; an estimate"`
	Minutes float64 `json:"minutes"`
	// First tells that it must be fixed before all others.
	First bool `json:"first"`
	// Needs are the keys of targets that this one depends on.
	Needs []string `json:"needs,omitempty"`
	// Parts is what stands inside the target of a new page.
	Parts []Target `json:"parts,omitempty"`
	// Choice is what the user said of it.
	Choice Choice `json:"choice"`
}

// Choice is what the user said of a target (T8).
type Choice struct {
	State  State  `json:"state" enum:"open,kept,changed,dropped"`
	Value  string `json:"value,omitempty" doc:"What a changed target says instead"`
	Reason string `json:"reason,omitempty"`
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

// Page is what targets are worked out for.
type Page struct {
	Kind Kind
	// Client is nil where there is no page yet.
	Client *sheet.Column
	// Rivals are the like rivals' pages.
	Rivals   []*sheet.Column
	Question *sheet.Question
	// Leads are the leads of the page's families, in order of gain.
	Leads []Lead
	// Wishes are what image names may say beyond the families, in order.
	Wishes []string
	// Frame is used where there is no page yet.
	Frame int
}

// Lead is the lead of a family with what it may bring.
type Lead struct {
	Text string
	// Family is its index in the question's families, Phrase that of the lead
	// in the question's phrases.
	Family, Phrase int
	// Gain is the family's gain; every family counts 1 without volumes.
	Gain float64
}

// perHour is the gain for an hour of work.
func (t Target) perHour() float64 {
	if t.Minutes <= 0 {
		return 0
	}
	return t.Gain * 60 / t.Minutes
}
