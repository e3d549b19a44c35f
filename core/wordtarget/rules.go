// Package wordtarget works out how many words a page needs (rule 8).
//
// In go the words of the client's page, those of the comparable pages of its rivals and the
// guideline of its kind; out comes a Target: the words that it should have, those that are
// missing, and the rule that decided.
package wordtarget

import (
	"inktally/core/site"
)

// Guideline is how many words a kind of page should have (rule 8.1).
type Guideline struct {
	Low, High int
	// Ceiling is what no target goes beyond.
	Ceiling int
}

// MarkRule is what of the rivals' figures is the mark (rule 8.2).
type MarkRule string

// The rules for the mark.
const (
	Strongest MarkRule = "strongest"
	Median    MarkRule = "median"
	BestThree MarkRule = "best_three"
)

// MarkRules returns all of them.
func MarkRules() []MarkRule { return []MarkRule{Strongest, Median, BestThree} }

// Figures are the figures that word targets are worked out by (rule
// 8.2, 8.3, 8.4).
type Figures struct {
	Mark MarkRule
	// A rival above the ceiling and over OutlierFactor times the median of all is
	// set aside if there are three or more.
	OutlierFactor float64
	// The beat is the mark and the larger of BeatWords and BeatPercent.
	BeatWords, BeatPercent float64
	// Step is what targets are rounded up to.
	Step int
	// WriterPercent of the guideline's start are handed in at least, however large the frame is (rule 8.6).
	WriterPercent float64
}

// Rules are what word targets are worked out by (Y).
type Rules struct {
	// Home and Service are the guidelines of home pages, and of service and area pages.
	Home, Service Guideline
	Figures
}

// StandardRules returns those that everybody starts with.
func StandardRules() Rules {
	return Rules{
		Home:    Guideline{Low: 1500, High: 2000, Ceiling: 2500},
		Service: Guideline{Low: 500, High: 750, Ceiling: 1200},
		Figures: Figures{Mark: Strongest, OutlierFactor: 2.5, BeatWords: 100, BeatPercent: 15, Step: 50,
			WriterPercent: 70},
	}
}

// Guideline returns the guideline of a kind of page.
func (y Rules) Guideline(k site.Kind) Guideline {
	if k == site.Home {
		return y.Home
	}
	return y.Service
}
