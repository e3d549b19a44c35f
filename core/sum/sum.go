// Package sum has figures with the steps that made them, so that whatever is calculated tells
// how: nobody calculates it again to explain it.
//
// In go steps as they are calculated; out come the result, and the same steps with their codes,
// for the screens to word.
package sum

// Op is what a step does to the figure so far.
type Op uint8

// The operations.
const (
	// Add adds the value; the first step of a sum does.
	Add Op = iota
	// Times multiplies by the value.
	Times
	// Note does nothing: its value explains another step.
	Note
)

// Unit is what a value counts.
type Unit uint8

// The units.
const (
	Plain    Unit = iota // visits, searches, or a factor
	Percent              // a share: .5 is 50 percent
	Minutes              // of work
	Position             // in a search
)

// Code is what a step is; each is worded on its own (wording).
type Code string

// The steps of what a family brings (rules 7.1 to 7.4, 3.10).
const (
	// Uncounted are searches that are not those of the town: Count of them.
	Uncounted Code = "uncounted"
	// NoSearches is a family whose searches are unknown.
	NoSearches Code = "no_searches"
	// Volume are the searches that count: Count of the lead alone, of the other members the
	// share Part; Part is 0 where there are none.
	Volume Code = "volume"
	// AimByDifficulty is the position for a difficulty of Count, AimUnknown that for one that is
	// not known, AimAlready one that is held already and better than these.
	AimByDifficulty Code = "aim_by_difficulty"
	AimUnknown      Code = "aim_unknown"
	AimAlready      Code = "aim_already"
	// Clicks is the share of searches that a position of Count gets.
	Clicks Code = "clicks"
	// VisitsNow are those of today's position Count, 0 for none.
	VisitsNow Code = "visits_now"
	// NoLoss takes back what today's position brings beyond the aimed one.
	NoLoss Code = "no_loss"
	// AlsoSearched is the share Part of what the families folded under it gain.
	AlsoSearched Code = "also_searched"
)

// The steps of a part's gain (rules 12.1, 12.2).
const (
	// OfPhrase is the gain of the part's phrase, OfPage that of all the page's phrases.
	OfPhrase Code = "of_phrase"
	OfPage   Code = "of_page"
	// Alike is the share that each phrase has where no searches are known.
	Alike Code = "alike"
	// Weight is that of the kind of part; WeightOfWords that of words; Credit the share of the
	// first phrase's gain that the target is credited with.
	Weight        Code = "weight"
	WeightOfWords Code = "weight_of_words"
	Credit        Code = "credit"
	// AllMissing, Loosely, Late and OtherMember are why a phrase is missing in a slot: it is not
	// there, stands there in other words, too far behind in the title, or as another member.
	AllMissing  Code = "all_missing"
	Loosely     Code = "loosely"
	Late        Code = "late"
	OtherMember Code = "other_member"
	// TooFew is the share that is missing of a count: Count of Of are there.
	TooFew Code = "too_few"
	// MemberShare is the member's share of its family's searches, LessMembers what they leave.
	MemberShare Code = "member_share"
	LessMembers Code = "less_members"
	// WordsOfTarget are Count of the page's Of words.
	WordsOfTarget Code = "words_of_target"
	// NoMore takes back what is beyond the gain of the page's phrases.
	NoMore Code = "no_more"
	// ByHand is what the user set.
	ByHand Code = "by_hand"
)

// The steps of the time that work takes (rule 12.3).
const (
	// Each is the time of one part of its kind, EachTarget that of one target of its kind.
	Each       Code = "each"
	EachTarget Code = "each_target"
	// RenamePlace is the time of a name that contradicts its page.
	RenamePlace Code = "rename_place"
	// HundredWords is the time of 100 words; Hundreds how many hundreds: Count words.
	HundredWords Code = "hundred_words"
	Hundreds     Code = "hundreds"
	// RedirectOld is the time of leading an address that is changed to the new one.
	RedirectOld Code = "redirect_old"
	// Repeated is how many times it is done.
	Repeated Code = "repeated"
	// NewPage is the time of making a page, InNewPage that of a part which is in it.
	NewPage   Code = "new_page"
	InNewPage Code = "in_new_page"
)

// Codes returns all of them.
func Codes() []Code {
	return []Code{Uncounted, NoSearches, Volume, AimByDifficulty, AimUnknown, AimAlready, Clicks, VisitsNow, NoLoss,
		AlsoSearched, OfPhrase, OfPage, Alike, Weight, WeightOfWords, Credit, AllMissing, Loosely, Late, OtherMember,
		TooFew, MemberShare, LessMembers, WordsOfTarget, NoMore, ByHand, Each, EachTarget, RenamePlace, HundredWords,
		Hundreds, RedirectOld, Repeated, NewPage, InNewPage}
}

// Step is one line of a sum.
type Step struct {
	Code  Code
	Op    Op
	Value float64
	Unit  Unit
	// Count, Of and Part are the step's parameters, as its code has them.
	Count, Of int
	Part      float64
	// Rule is the number of the rule, Figure the key of the figure of the yardstick that the
	// value comes from, empty for none.
	Rule, Figure string
}

// Sum is the steps of a figure, in their order.
type Sum []Step

// Result returns what the steps come to.
func (s Sum) Result() float64 {
	x := 0.0
	for _, step := range s {
		switch step.Op {
		case Add:
			x += step.Value
		case Times:
			x *= step.Value
		}
	}
	return x
}
