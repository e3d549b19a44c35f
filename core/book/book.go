package book

import (
	"cmp"
	"slices"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/visits"
)

// State is what the user decided of a family.
type State string

// The states of a family; none leaves it to the rules.
const (
	Kept  State = "kept"
	Aside State = "aside"
)

// Choice is what the user said of a family.
type Choice struct {
	State State
	// Reason is the user's own words.
	Reason string
	// Lead is the text of the member that is to lead, empty for the rule's.
	Lead string
}

// Family is a family of a client's book (rule 3.5).
type Family struct {
	// Key is the same from run to run; see phrase.Family.
	Key string
	// Members are its phrases, the lead first.
	Members []Phrase
	intent.Judgement
	visits.Estimate
	// Difficulty is the lead's, else the least of the others'; Position the best
	// of all members. Nil if it is not known.
	Difficulty, Position *int
	// NearMiss tells a family well within reach (rule 3.9). Whether its page
	// lacks the exact lead must be looked up in that page.
	NearMiss bool
	Choice   Choice
	// Kept tells whether it is worth writing for: by rule, because it was typed
	// for a page, or as the user says.
	Kept bool
	// Carrier is the page that carries it; the zero Carrier if it is not kept.
	Carrier Carrier
}

// Lead is the phrase to place exactly.
func (f *Family) Lead() Phrase { return f.Members[0] }

// Rules are the figures that families are judged by (Y).
type Rules struct {
	// A near miss stands from NearMissFrom to NearMissTo, or has a difficulty up
	// to NearMissDifficulty (rule 3.9).
	NearMissFrom, NearMissTo, NearMissDifficulty int
	// AreaGain is the gain from which a place is worth a page of its own, in
	// visits a month (rule 9.1).
	AreaGain float64
	// PageFamilies is for how many families a page is measured at most.
	PageFamilies int
}

// StandardRules are those that everybody starts with.
func StandardRules() Rules {
	return Rules{NearMissFrom: 11, NearMissTo: 30, NearMissDifficulty: 10, AreaGain: 5, PageFamilies: 12}
}

// Input is what a book is made from.
type Input struct {
	Phrases []Phrase
	Judge   *intent.Judge
	Choices map[string]Choice // by family
	Pages   []Page
	// Services are the client's, the main one first; Home is its home town.
	Services []intent.Service
	Home     string
	Rules    Rules
	Visits   visits.Rules
	// Customers are those who come of a hundred visits, 0 if that is not known.
	Customers float64
}

// Families groups the phrases of a book, judges each family and tells the page
// that carries it. Those that are kept come first, by gain.
func Families(in Input) []Family {
	read := make([]phrase.Phrase, len(in.Phrases))
	for i, p := range in.Phrases {
		read[i] = phrase.New(p.Text, in.Judge.Language())
	}
	families := make([]Family, 0, len(in.Phrases))
	for _, grouped := range phrase.Families(read) {
		f := Family{Key: grouped.Key, Choice: in.Choices[grouped.Key]}
		for _, m := range grouped.Members {
			f.Members = append(f.Members, in.Phrases[m])
		}
		f.lead()
		f.judge(in)
		families = append(families, f)
	}
	slices.SortStableFunc(families, func(a, b Family) int {
		return cmp.Or(compareBool(b.Kept, a.Kept), cmp.Compare(b.Gain, a.Gain), cmp.Compare(b.Volume, a.Volume),
			typedFirst(a.typed(), b.typed()))
	})
	assign(families, in)
	return families
}

// OfPage are the families that a page carries, in order of gain. Those that ask
// for what is near come last: nobody writes "near me" into a title, so that
// none of them can be a page's first family.
func OfPage(families []Family, page int64, most int) []Family {
	var out []Family
	for _, near := range []bool{false, true} {
		for _, f := range families {
			if f.Kept && f.Near == near && f.Carrier.Page() == page && page != 0 && len(out) < most {
				out = append(out, f)
			}
		}
	}
	return out
}

// lead puts the lead first: the one that the user chose, else the one with the
// highest volume, then the shortest, then the first.
func (f *Family) lead() {
	slices.SortStableFunc(f.Members, func(x, y Phrase) int {
		return cmp.Or(compareBool(y.Text == f.Choice.Lead, x.Text == f.Choice.Lead), cmp.Compare(figure(y.Volume), figure(x.Volume)),
			cmp.Compare(len(x.Text), len(y.Text)), typedFirst(x, y))
	})
}

// typed is the member that was typed first, else the lead.
func (f *Family) typed() Phrase {
	first := f.Members[0]
	for _, m := range f.Members[1:] {
		if m.Typed > 0 && (first.Typed == 0 || m.Typed < first.Typed) {
			first = m
		}
	}
	return first
}

func (f *Family) judge(in Input) {
	f.Judgement = in.Judge.Of(f.Members[0].Text)
	f.estimate(in.Visits)
	f.Estimate = f.InMoney(in.Customers, in.Judge.Job(f.Service))
	near := in.Rules
	f.NearMiss = f.Intent == intent.Hire && (f.Position != nil && *f.Position >= near.NearMissFrom && *f.Position <= near.NearMissTo ||
		f.Difficulty != nil && *f.Difficulty <= near.NearMissDifficulty)
	switch f.Choice.State {
	case Kept:
		f.Kept = true
	case Aside:
		f.Kept = false
	default:
		f.Kept = f.Intent == intent.Hire || f.typed().Page != 0
	}
}

// estimate works out what the family brings (rules 7.3, 7.4).
func (f *Family) estimate(rules visits.Rules) {
	var members []visits.Member
	for _, p := range f.Members {
		m := visits.Member{Volume: p.Volume}
		if p.Position != nil {
			m.Position = *p.Position
			if f.Position == nil || *p.Position < *f.Position {
				f.Position = p.Position
			}
		}
		if p.Difficulty != nil && (f.Difficulty == nil || *p.Difficulty < *f.Difficulty) {
			f.Difficulty = p.Difficulty
		}
		members = append(members, m)
	}
	if f.Members[0].Difficulty != nil {
		f.Difficulty = f.Members[0].Difficulty
	}
	f.Estimate = rules.Family(members, f.Difficulty)
}
