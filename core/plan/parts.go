package plan

import (
	"slices"

	"inktally/core/page"
	"inktally/core/sheet"
)

// PartKind is what a part of a target is about. Those that place a phrase are named
// as the slots are.
type PartKind string

// The kinds of parts.
const (
	Title       PartKind = "title"
	Description PartKind = "description"
	Address     PartKind = "address"
	H1          PartKind = "h1"
	Words       PartKind = "words"
	Opening     PartKind = "opening"
	Subhead     PartKind = "subheads"
	Body        PartKind = "body"
	ImageName   PartKind = "image_names"
	Alt         PartKind = "alt"
	// MenuEntry and HomeLink lead to a page that is new.
	MenuEntry PartKind = "menu_entry"
	HomeLink  PartKind = "home_link"
	// Repair is what a fix or another target without slots asks for, in one line.
	Repair PartKind = "repair"
	// WrongPlace is a place that contradicts the page (rule 5.2).
	WrongPlace PartKind = "wrong_place"
	// DeadLink is a link to a page that is not there, AddLink one that is to be set.
	DeadLink PartKind = "dead_link"
	AddLink  PartKind = "add_link"
	// Listing is a directory to be listed in.
	Listing PartKind = "listing"
)

// Where is the part of a brief in which a kind of part stands.
type Where string

// The parts of a brief, in their order.
const (
	WholePage Where = "page"
	Head      Where = "head"
	Text      Where = "text"
	Pictures  Where = "images"
)

// Wheres returns all of them.
func Wheres() []Where { return []Where{WholePage, Head, Text, Pictures} }

// PartRule is all that the rules know of a kind of part.
type PartRule struct {
	Kind PartKind
	// Where is where a brief has it.
	Where Where
	// Places reports whether a kind places a phrase in Slot.
	Places bool
	Slot   sheet.Slot
	// OneText reports whether a slot holds one text, which is changed as a whole.
	OneText bool
	// Weight is the key of its weight in the yardstick, empty for none; Effort that of the figure
	// that its minutes come from, empty where its target has it.
	Weight Weight
	Effort string

	weight  func(Weights) float64
	minutes func(Minutes) float64
	now     func(*page.Page) string // what a slot of one text holds
}

// partKinds is the table of all kinds of parts, in the order of a brief. Whatever
// words, shows or stores parts goes through it.
var partKinds = []PartRule{
	{Kind: Title, Where: Head, Effort: "minutes.title", Places: true, Slot: sheet.Title, OneText: true,
		Weight: "weight.title",
		weight: func(w Weights) float64 { return w.Title }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.Title }},
	{Kind: Description, Where: Head, Effort: "minutes.title", Places: true, Slot: sheet.Description, OneText: true,
		Weight: "weight.description",
		weight: func(w Weights) float64 { return w.Description }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.Description }},
	{Kind: Address, Where: Head, Effort: "minutes.title", Places: true, Slot: sheet.Address, Weight: "weight.address",
		weight: func(w Weights) float64 { return w.Address }, minutes: func(m Minutes) float64 { return m.Title },
		now: func(p *page.Page) string { return p.URL }},
	{Kind: H1, Where: Head, Effort: "minutes.h1", Places: true, Slot: sheet.H1, OneText: true, Weight: "weight.h1",
		weight: func(w Weights) float64 {
			return w.H1
		}, minutes: func(m Minutes) float64 { return m.H1 }, now: (*page.Page).H1},
	{Kind: Opening, Where: Text, Effort: "minutes.phrase", Places: true, Slot: sheet.Opening, Weight: "weight.opening",
		weight: func(w Weights) float64 { return w.Opening }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: Words, Where: Text, Effort: "minutes.hundred_words", Weight: "weight.words",
		weight: func(w Weights) float64 { return w.Words }},
	{Kind: Subhead, Where: Text, Effort: "minutes.phrase", Places: true, Slot: sheet.Subheads,
		Weight: "weight.subheads",
		weight: func(w Weights) float64 { return w.Subheads }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: Body, Where: Text, Effort: "minutes.phrase", Places: true, Slot: sheet.Body, Weight: "weight.body",
		weight: func(w Weights) float64 { return w.Body }, minutes: func(m Minutes) float64 { return m.Phrase }},
	{Kind: ImageName, Where: Pictures, Effort: "minutes.image_name", Slot: sheet.ImageNames,
		Weight: "weight.image_names",
		weight: func(w Weights) float64 {
			return w.ImageNames
		}, minutes: func(m Minutes) float64 { return m.ImageName }},
	{Kind: Alt, Where: Pictures, Effort: "minutes.alt", Places: true, Slot: sheet.Alt, Weight: "weight.alt",
		weight: func(w Weights) float64 { return w.Alt }, minutes: func(m Minutes) float64 { return m.Alt }},
	{Kind: MenuEntry, Where: WholePage},
	{Kind: HomeLink, Where: WholePage},
	{Kind: Repair, Where: WholePage},
	{Kind: WrongPlace, Where: WholePage, Effort: "minutes.place", minutes: func(m Minutes) float64 { return m.Place }},
	{Kind: DeadLink, Where: WholePage, Effort: "minutes.place", minutes: func(m Minutes) float64 { return m.Place }},
	{Kind: AddLink, Where: WholePage, Effort: "minutes.fix", minutes: func(m Minutes) float64 { return m.Fix }},
	{Kind: Listing, Where: WholePage, Effort: "minutes.listing", minutes: func(m Minutes) float64 { return m.Listing }},
}

// PartKinds returns the table of all kinds of parts, in the order of a brief.
func PartKinds() []PartRule { return slices.Clone(partKinds) }

// PartRuleOf returns the row of a kind.
func PartRuleOf(k PartKind) PartRule {
	return partKinds[slices.IndexFunc(partKinds, func(r PartRule) bool { return r.Kind == k })]
}

// placing returns the row of the kind that places a phrase in a slot.
func placing(slot sheet.Slot) PartRule {
	return partKinds[slices.IndexFunc(partKinds, func(r PartRule) bool {
		return r.Slot == slot && r.Weight != "" && r.Kind != Words
	})]
}
