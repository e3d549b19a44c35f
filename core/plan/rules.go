package plan

import (
	"inktally/core/copy"
	"inktally/core/outline"
	"inktally/core/rate"
	"inktally/core/site"
	"inktally/core/wordtarget"
)

// Sum returns what the weights come to together: 100.
func (w Weights) Sum() float64 {
	return w.Words + w.Title + w.H1 + w.Subheads + w.Body + w.ImageNames + w.Opening + w.Address + w.Alt + w.Description
}

// Weights are the shares of a family's gain that each kind of target stands
// for, in percent (rule 12.1).
type Weights struct {
	Words, Title, H1, Subheads, Body, ImageNames, Opening, Address, Alt, Description float64
}

// Minutes is what the work on each kind of target takes (rule 12.3).
type Minutes struct {
	HundredWords float64
	// Title is that of a description and an address too; Phrase that of a phrase
	// in a subhead, the body or the opening; NewPage is without its words.
	Title, H1, Phrase, ImageName, Alt, NewPage float64
	// Place is that of a contradiction of place and of a dead link; Redirect that of a
	// split too; Fix that of all else that has no time of its own.
	Place, Redirect, Merge, Fix float64
	// Secure is that of a site that answers by http alone, Data of the business in structured data.
	// CutBack is that of each time that a phrase is said less.
	Secure, Data, Testimonial, Listing, CutBack float64
}

// Rules are the figures that turn measures into targets (Y).
type Rules struct {
	// Words are what word targets are worked out by.
	Words   wordtarget.Rules
	Weights Weights
	Minutes Minutes
	// WordsPerFamily is how many words of the target allow one more family.
	WordsPerFamily int
	// TitleStart is within how many characters a title must name its family.
	TitleStart int
	// CarryingHome and CarryingOther are how many images must carry a phrase.
	CarryingHome, CarryingOther int
	Rate                        rate.Rules
	Outline                     outline.Rules
	// RedirectPercent and VaguePercent of the first family's gain are what a redirect
	// and naming the towns bring (rule 12.2).
	RedirectPercent, VaguePercent float64
	// Copy is what is proposed for a page, by language.
	Copy copy.Languages
	// SlicePercent of the minutes ordered go to slices before all else, as long as a
	// page is below its guideline (rule 12.4).
	SlicePercent float64
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules {
	return Rules{
		Words: wordtarget.StandardRules(),
		Weights: Weights{Words: 34, Title: 14, H1: 10, Subheads: 10, Body: 10, ImageNames: 8, Opening: 5, Address: 4,
			Alt:         3,
			Description: 2},
		Minutes: Minutes{HundredWords: 20, Title: 10, H1: 5, Phrase: 3, ImageName: 4, Alt: 1, NewPage: 30, Place: 3,
			Redirect: 15, Merge: 30, Fix: 5, Secure: 60, Data: 20, Testimonial: 10, Listing: 20,
			CutBack: 1},
		WordsPerFamily: 75, TitleStart: 60, CarryingHome: 3, CarryingOther: 2,
		Rate:            rate.StandardRules(),
		Outline:         outline.StandardRules(),
		Copy:            copy.Standard(),
		RedirectPercent: 10, VaguePercent: 3, SlicePercent: 40,
	}
}

// Carrying returns how many images of a kind of page must carry a phrase (rule
// 10.2).
func (y Rules) Carrying(k site.Kind) int {
	if k == site.Home {
		return y.CarryingHome
	}
	return y.CarryingOther
}
