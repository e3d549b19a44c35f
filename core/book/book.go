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
	// NearMiss reports whether the family is well within reach (rule 3.9). Whether its page
	// lacks the exact lead must be looked up in that page.
	NearMiss bool
	Choice   Choice
	// Kept reports whether it is worth writing for: by rule, because it was typed
	// for a page, or as the user says.
	Kept bool
	// Carrier is the page that carries it; the zero Carrier if it is not kept.
	Carrier Carrier
	// Misspelled reports whether all its members hold a slip of spelling, and nobody chose one to lead.
	Misspelled bool
	// Uncounted are searches that are known and count for nothing, because they are not
	// those of the client's town (rule 7.1).
	Uncounted int
	// Also are the families that are folded under it, Under the one that it is folded
	// under; RowGain is its gain with its share of theirs, RowVolume its counted searches (rule 3.10).
	Also               []string
	Under              string
	RowGain, RowVolume float64

	urges bool // its lead holds a word of hiring
}

// Lead returns the phrase to place exactly.
func (f *Family) Lead() Phrase { return f.Members[0] }

// Rules are the figures that families are judged by (Y).
type Rules struct {
	// A near miss stands from NearMissFrom to NearMissTo, or has a difficulty up
	// to NearMissDifficulty (rule 3.9).
	NearMissFrom, NearMissTo, NearMissDifficulty int
	// AreaGain is the gain from which a place is worth a page of its own, in
	// visits a month (rule 9.1).
	AreaGain float64
	// MemberSearches and MemberPercent of its lead's searches are those from which a
	// further member of a family is to stand exactly, Members how many at most (rule 9.3).
	MemberSearches int
	MemberPercent  float64
	Members        int
	// AlsoShare is the share of the gain of a folded family that its row has
	// (rule 3.10).
	AlsoShare float64
	// CommunityKm is how far from the home town communities are proposed (rule 5.4).
	CommunityKm float64
	// PageFamilies is for how many families a page is measured at most.
	PageFamilies int
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules {
	return Rules{NearMissFrom: 11, NearMissTo: 30, NearMissDifficulty: 10, AreaGain: 5, PageFamilies: 12,
		MemberSearches: 10, MemberPercent: 10, Members: 4, AlsoShare: .5, CommunityKm: 25}
}

// Input is what a book is made from.
type Input struct {
	Phrases []Phrase
	Judge   *intent.Judge
	Choices map[string]Choice // by family
	Pages   []Carrying
	// Services are the client's, the main one first; Home is its home town.
	Services []intent.Service
	Home     string
	Rules    Rules
	Visits   visits.Rules
	// Slips are words that are slips of spelling: no lead holds one.
	Slips map[string]bool
	// Customers are those who come of a hundred visits, 0 if that is not known.
	Customers float64
}

// Families groups the phrases of a book, judges each family and finds the page
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
		f.lead(in.Slips)
		f.Misspelled = hasSlip(f.Lead().Text, in.Slips) && f.Choice.Lead == ""
		f.judge(in)
		f.urges = in.Judge.Urges(f.Lead().Text)
		families = append(families, f)
	}
	fold(families, in)
	slices.SortStableFunc(families, func(a, b Family) int {
		return cmp.Or(compareBool(b.Kept, a.Kept), cmp.Compare(b.RowGain, a.RowGain), cmp.Compare(b.Volume, a.Volume),
			cmp.Compare(b.Uncounted, a.Uncounted), compareBool(a.urges, b.urges), typedFirst(a.typed(), b.typed()))
	})
	assign(families, in)
	return families
}

// OfPage returns the families that a page carries, a row of the book each: its first one, then in order of
// gain. Those that ask for what is near come last: nobody writes "near me" into a
// title, so that none of them can be a page's first family. kept is the one that was kept as its first, empty for none.
func OfPage(families []Family, page int64, kept string, most int) []Family {
	var out []Family
	for _, near := range []bool{false, true} {
		for _, f := range families {
			if f.Kept && f.Under == "" && f.Near == near && f.Carrier.Page() == page && page != 0 {
				out = append(out, f)
			}
		}
	}
	out = FirstFirst(out, kept)
	return out[:min(len(out), most)]
}

// lead puts the lead first: the one that the user chose, else the one with the
// highest volume, then the shortest, then the first, and never a slip (rule 3.5).
func (f *Family) lead(slips map[string]bool) {
	slices.SortStableFunc(f.Members, func(x, y Phrase) int {
		return cmp.Or(compareBool(y.Text == f.Choice.Lead, x.Text == f.Choice.Lead),
			compareBool(hasSlip(x.Text, slips), hasSlip(y.Text, slips)),
			cmp.Compare(figure(y.Volume), figure(x.Volume)), cmp.Compare(len(x.Text), len(y.Text)), typedFirst(x, y))
	})
}

// typed returns the member that was typed first, else the lead.
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
	f.Judgement = judged(f.Members, in.Judge)
	f.estimate(in.Visits)
	f.Estimate = f.InMoney(in.Customers, in.Judge.Job(f.Service))
	near := in.Rules
	f.NearMiss = f.Intent.Hires() && (f.Position != nil && *f.Position >= near.NearMissFrom &&
		*f.Position <= near.NearMissTo ||
		f.Difficulty != nil && *f.Difficulty <= near.NearMissDifficulty)
	switch f.Choice.State {
	case Kept:
		f.Kept = true
	case Aside:
		f.Kept = false
	default:
		f.Kept = f.Intent.Hires() || f.typed().Page != 0
	}
}

// judged judges a family by its lead, and where that has its words in an order in
// which its place is not to be told, by the first member that tells it.
func judged(members []Phrase, judge *intent.Judge) intent.Judgement {
	lead := judge.Of(members[0].Text)
	if lead.Place != "" || lead.Near || lead.Intent.Hires() {
		return lead
	}
	for _, m := range members[1:] {
		if judgement := judge.Of(m.Text); judgement.Place != "" || judgement.Near {
			return judgement
		}
	}
	return lead
}

// estimate works out what the family brings (rules 7.3, 7.4).
func (f *Family) estimate(rules visits.Rules) {
	var members []visits.Member
	for _, p := range f.Members {
		m := visits.Member{Volume: p.Volume}
		if p.Volume != nil && !p.Area.Counts(f.Place != "") {
			f.Uncounted += *p.Volume
			m.Volume = new(int)
		}
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

// unsure reports whether a family waits for a verdict on a word.
func (f *Family) unsure() bool { return f.Intent == intent.Unsure && f.Choice.State == "" }

// Waits reports whether a family is asked for on no page until a person says something: what is unsure
// (rule 3.6), and what is there in a slip of spelling alone, which leads nothing (rule 3.5); but for what was
// typed for a page.
func (f *Family) Waits() bool { return (f.unsure() || f.Misspelled) && f.typed().Page == 0 }

// Waiting is what the families that wait would add together.
type Waiting struct {
	Families     int
	Gain, Volume float64
}

// WaitingOf sums what waits for a verdict on a word.
func WaitingOf(families []Family) (w Waiting) {
	for i := range families {
		if f := &families[i]; f.Waits() && f.unsure() {
			w.Families++
			w.Gain += f.Gain
			w.Volume += f.Volume
		}
	}
	return w
}
