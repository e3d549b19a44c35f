package plan

import (
	"strconv"

	"inktally/core/copy"
	"inktally/core/finding"
	"inktally/core/outline"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/wordtarget"
)

// Study is what the plan of a client is made from: all its pages at once, those
// that there are and those to make, with what is wrong with its site.
type Study struct {
	Pages []Aim
	// Findings are what is wrong with the site (rules 5.2, 5.3, 11).
	Findings []finding.Finding
	// Own are the targets that the user added by hand.
	Own []Own
	// Choices are what the user said of targets and of their parts.
	Choices map[Ref]Choice

	at     map[string]*Aim // by bare addresses
	yields map[string]bool // bare addresses of pages that are to go
}

// Aim is what the targets of a page are worked out from.
type Aim struct {
	// Key names the page; Formerly is the name that it had before it was made: what
	// was said of it then still holds.
	Key, Formerly string
	// URL is empty for a page to make.
	URL     string
	Kind    site.Kind
	Service string
	Place   string
	// Client is nil if there is no page yet, or none but one under construction.
	Client *sheet.Column
	// Rivals are the like rivals' pages.
	Rivals   []*sheet.Column
	Criteria *sheet.Criteria
	// Families are the page's, in order of gain.
	Families []Stake
	// Wishes are what image names may say beyond the families, in order (rule 4.3).
	Wishes []string
	// Frame is used if there is no page yet, and for a draft (rule 8.6).
	Frame int
	// Draft reports whether Client is no page but its copy as it is handed in: it will stand in
	// a frame.
	Draft  bool
	Topics outline.Topics
	Edits  outline.Edits
	// Phone is the business's number; Named are the places that are written with capitals
	// before any was entered.
	Phone string
	Named []place.Place
	// Headings remembers what headings say, nil for nothing.
	Headings *outline.Headings
}

// Stake is a family of a page with what it may bring.
type Stake struct {
	// Key is the family's, Text its lead.
	Key, Text string
	// Service and Place are what it names, empty for none and for the home town.
	Service, Place string
	// Gain is that of its row in visits a month; Known reports whether searches for it are
	// known. One of unknown volume is ordered as the client's smallest gain (rule 12.2).
	Gain  float64
	Known bool
	// Position is the best of its members today, 0 if it is not known.
	Position int
	// Members are its further members that must stand on the page, in order of their
	// searches (rule 9.3).
	Members []Member

	rank float64
}

// Member is a further member of a family's row.
type Member struct {
	Text     string
	Searches int
	// Share is its part of the family's volume.
	Share float64
}

// Own is a target that the user added by hand.
type Own struct {
	ID      int64
	Page    string // key
	Text    string
	Gain    float64 // visits a month, 0 for none
	Minutes float64
}

// Choice is what the user said of a target or of a part of one.
type Choice struct {
	State State
	// Value is what a changed part says instead.
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

// States returns all of them.
func States() []State { return []State{Open, Kept, Changed, Dropped} }

// Ref names a target of a client, or a part of one: the key of its page, and its own, which no
// other target or part of the page has.
type Ref struct{ Page, Key string }

// String returns the name as the API has it.
func (r Ref) String() string { return r.Page + " | " + r.Key }

// there reports whether the page is there and was read.
func (p *Aim) there() bool { return p.Client != nil }

func (p *Aim) frame() int {
	if p.there() && !p.Draft {
		return p.Client.Page.Words.Frame()
	}
	return p.Frame
}

// seen returns the words of the page; those of one to make are the menus and footers
// that it will come with.
func (p *Aim) seen() int {
	switch {
	case p.there() && p.Draft:
		return p.copied() + p.Frame
	case p.there():
		return p.Client.Page.Words.Seen
	}
	return p.Frame
}

func (p *Aim) copied() int {
	if p.there() {
		return p.Client.Page.Words.Copy
	}
	return 0
}

func (p *Aim) rivalWords() []int {
	out := make([]int, len(p.Rivals))
	for i, r := range p.Rivals {
		out[i] = r.Page.Words.Seen
	}
	return out
}

// family returns the placement of a family on the page, an empty one without a page.
func (p *Aim) family(key string) sheet.Placement {
	if !p.there() {
		return sheet.Placement{}
	}
	return p.Client.Family(key)
}

// placed returns the placement of a phrase on the page.
func (p *Aim) placed(phrase string) sheet.Placement {
	if !p.there() {
		return sheet.Placement{}
	}
	return p.Client.Phrase(phrase)
}

// OutlineOf returns the sections that a page should have (rule 10.1); one without a word target
// has none.
func (y Rules) OutlineOf(p *Aim) []outline.Section {
	if in := y.OutlineFrom(p); in.Kind.HasWordTarget() {
		return y.Outline.Of(in)
	}
	return nil
}

// OutlineFrom returns what the outline of a page is worked out from.
func (y Rules) OutlineFrom(p *Aim) outline.Input {
	w := y.WordTargetOf(p)
	topics := p.Topics
	texts := y.texts(p)
	topics.Standing = texts.Standing[:]
	in := outline.Input{Kind: p.Kind, Service: p.Service, Place: p.Place, Language: p.Criteria.Language(),
		Headings: p.Headings, Topics: topics, Edits: p.Edits,
		ToWrite: w.ToWrite, Writer: w.Writer}
	if p.there() {
		in.Page = p.Client.Page
	}
	for _, r := range p.Rivals {
		in.Rivals = append(in.Rivals, r.Page)
	}
	for i, f := range p.Families[:min(len(p.Families), y.families(w))] {
		if i > 0 {
			in.Families = append(in.Families, outline.Given{Key: f.Key, Service: f.Service, Place: f.Place})
		}
	}
	return in
}

// texts returns those of the client's language.
func (y Rules) texts(p *Aim) copy.Texts { return y.Copy.Of(p.Criteria.Language().Tag) }

// families is for how many families the words of a page have room, the first included
// (rule 9.3).
func (y Rules) families(w wordtarget.Target) int { return max(1, w.Target/max(1, y.WordsPerFamily)) }

// WordTargetOf returns how many words the page needs (rule 8).
func (y Rules) WordTargetOf(p *Aim) wordtarget.Target { return y.WordTargetBeside(p, p.rivalWords()) }

// WordTargetBeside returns how many words the page would need if its rivals had so many.
func (y Rules) WordTargetBeside(p *Aim, rivals []int) wordtarget.Target {
	return y.Words.Of(p.Kind, p.seen(), p.frame(), rivals)
}

// Key returns that of its target.
func (o Own) Key() string { return partKey(ByHand, strconv.FormatInt(o.ID, 10)) }
