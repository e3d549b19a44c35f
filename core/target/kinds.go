package target

import (
	"slices"

	"inktally/core/page"
	"inktally/core/sheet"
)

// Kind is what a target is about.
type Kind string

// The kinds of targets. Those that place a phrase are named as the slots are.
const (
	NewPage     Kind = "new_page"
	Title       Kind = "title"
	Description Kind = "description"
	Address     Kind = "address"
	H1          Kind = "h1"
	Words       Kind = "words"
	Opening     Kind = "opening"
	Subhead     Kind = "subheads"
	Body        Kind = "body"
	ImageName   Kind = "image_names"
	Alt         Kind = "alt"
)

// Part is the part of a brief in which a kind stands.
type Part string

// The parts of a brief, in their order.
const (
	WholePage Part = "page"
	Head      Part = "head"
	Text      Part = "text"
	Images    Part = "images"
)

// Parts are all of them.
func Parts() []Part { return []Part{WholePage, Head, Text, Images} }

// KindRule is all that the rules know of a kind of target.
type KindRule struct {
	Kind Kind
	// Part is where a brief has it.
	Part Part
	// Places tells a kind that places a phrase in Slot.
	Places bool
	Slot   sheet.Slot
	// OneText tells a slot that holds one text, which is changed as a whole.
	OneText bool

	weight  func(Weights) float64
	minutes func(Minutes) float64
	now     func(*page.Page) string // what a slot of one text holds
}

// kinds is the table of all kinds, in the order of a brief. Whatever words,
// shows or stores targets goes through it.
var kinds = []KindRule{
	{Kind: NewPage, Part: WholePage},
	{Kind: Title, Part: Head, Places: true, Slot: sheet.Title, OneText: true,
		weight: func(w Weights) float64 { return w.Title }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.Title }},
	{Kind: Description, Part: Head, Places: true, Slot: sheet.Description, OneText: true,
		weight: func(w Weights) float64 { return w.Description }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.Description }},
	{Kind: Address, Part: Head, Places: true, Slot: sheet.Address,
		weight: func(w Weights) float64 { return w.Address }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.URL }},
	{Kind: H1, Part: Head, Places: true, Slot: sheet.H1, OneText: true,
		weight: func(w Weights) float64 { return w.H1 }, minutes: func(m Minutes) float64 { return m.H1 }, now: (*page.Page).H1},
	{Kind: Words, Part: Text},
	{Kind: Opening, Part: Text, Places: true, Slot: sheet.Opening,
		weight: func(w Weights) float64 { return w.Opening }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: Subhead, Part: Text, Places: true, Slot: sheet.Subheads,
		weight: func(w Weights) float64 { return w.Subheads }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: Body, Part: Text, Places: true, Slot: sheet.Body,
		weight: func(w Weights) float64 { return w.Body }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: ImageName, Part: Images, Slot: sheet.ImageNames,
		weight: func(w Weights) float64 { return w.ImageNames }, minutes: func(m Minutes) float64 { return m.ImageName }},
	{Kind: Alt, Part: Images, Places: true, Slot: sheet.Alt,
		weight: func(w Weights) float64 { return w.Alt }, minutes: func(m Minutes) float64 { return m.Alt }},
}

// Kinds is the table of all kinds, in the order of a brief.
func Kinds() []KindRule { return slices.Clone(kinds) }

// RuleOf returns the row of a kind.
func RuleOf(k Kind) KindRule {
	return kinds[slices.IndexFunc(kinds, func(r KindRule) bool { return r.Kind == k })]
}

// placing returns the row of the kind that places a phrase in a slot.
func placing(slot sheet.Slot) KindRule {
	return kinds[slices.IndexFunc(kinds, func(r KindRule) bool { return r.Places && r.Slot == slot })]
}
