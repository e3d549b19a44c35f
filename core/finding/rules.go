package finding

// Remedy is what the plan asks for a finding.
type Remedy int

// The remedies. Nothing is asked for a finding that other targets mend, or that is told only.
const (
	Nothing   Remedy = iota
	Fix              // a fix of one line
	FixLink          // a part of the fix of the page's dead links
	FixPlace         // a part of the fix of the page's wrong places, or a move
	NameTowns        // the communities instead of vague words
	Redirect
	Split
	Rewrite
	Merge
	AddLink  // a part of the fix of the page that is to link
	BeListed // a part of the fix of the home page
)

// Shown is where findings of a type are shown; they can be in several places.
type Shown int

// The places where findings are shown.
const (
	// OnPage is beside the page on the sheet.
	OnPage Shown = 1 << iota
	// OnSite is what is told of a surveyed site.
	OnSite
	// Unsurveyed is a site that was not surveyed, as far as its pages tell by themselves.
	Unsurveyed
	// InDraft is the proof of a draft.
	InDraft
	// InPlan is among the targets alone.
	InPlan
)

// Rule is what goes for a type.
type Rule struct {
	Type Type
	// First reports that it is put right before all else (rules 11, 12.4).
	First bool
	// Asks is what the plan asks for it.
	Asks Remedy
	// Shown is where it is shown.
	Shown Shown
}

// rules are those of all types, the gravest first. A new finding is a row here, its words in
// wording.Finding, and the place in page or site that finds it.
var rules = []Rule{
	{UnderConstruction, true, Nothing, OnPage | OnSite},
	{NoIndex, true, Fix, OnPage | OnSite | Unsurveyed},
	{PlaceholderText, true, Fix, OnPage | OnSite | Unsurveyed | InDraft},
	{NotSecure, true, Nothing, OnPage},
	{HTTPBesideHTTPS, true, Fix, OnSite},
	{HTTPOnly, true, Fix, OnSite},
	{PlaceWrong, true, FixPlace, OnSite | Unsurveyed | InDraft},
	{DeadLink, true, FixLink, OnSite},
	{SoftNotFound, true, FixLink, OnSite},
	{DrawnByScript, false, Nothing, OnSite},
	{SecondCopy, false, Redirect, OnSite | Unsurveyed},
	{OnlyPlacesDiffer, false, Rewrite, OnSite},
	{SameService, false, Merge, OnSite},
	{AllServices, false, Split, OnSite},
	{ServiceNoPage, false, Nothing, OnSite},
	{ThinPage, false, Nothing, OnSite},
	{Orphan, false, AddLink, OnSite},
	{NoHomeLink, false, AddLink, OnSite},
	{NoBusinessData, false, Fix, OnSite | Unsurveyed},
	{DirectoryAhead, false, BeListed, InPlan},
	{NoTestimonial, false, Fix, InPlan},
	{NoCallToAct, false, Fix, InPlan},
	{PhoneNotLinked, false, Fix, OnPage | OnSite | Unsurveyed},
	{NoPhone, false, Nothing, OnPage},
	{NoDescription, false, Nothing, OnPage},
	{VagueAreaWords, false, NameTowns, OnPage | OnSite | Unsurveyed | InDraft},
	{OtherLanguage, false, Nothing, OnPage},
	{WordsInImages, false, Nothing, OnPage},
}

var byType = func() map[Type]Rule {
	out := make(map[Type]Rule, len(rules))
	for _, r := range rules {
		out[r.Type] = r
	}
	return out
}()

// RuleOf returns what goes for a type.
func RuleOf(t Type) Rule { return byType[t] }

// First reports whether a type is put right before all else.
func (t Type) First() bool { return byType[t].First }

// Hides reports whether a type hides a page, or makes it look unfinished: it is mended before all other work
// (rule 12.4).
func (t Type) Hides() bool {
	switch t {
	case UnderConstruction, NoIndex, PlaceholderText, HTTPBesideHTTPS, HTTPOnly:
		return true
	}
	return false
}

// OfSite reports whether a type is about a site, not about one of its pages.
func (t Type) OfSite() bool {
	return t == HTTPBesideHTTPS || t == HTTPOnly || t == NoBusinessData || t == ServiceNoPage
}

// Shows reports whether findings of a type are shown in a place.
func (t Type) Shows(in Shown) bool { return byType[t].Shown&in != 0 }

// Types returns all of them, the gravest first.
func Types() []Type {
	out := make([]Type, len(rules))
	for i, r := range rules {
		out[i] = r.Type
	}
	return out
}

// TypesShown returns those that are shown in a place, the gravest first.
func TypesShown(in Shown) (out []Type) {
	for _, r := range rules {
		if r.Shown&in != 0 {
			out = append(out, r.Type)
		}
	}
	return out
}
