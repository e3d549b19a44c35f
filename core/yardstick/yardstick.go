// Package yardstick is the figures that a user may change: those of the visits,
// the book, the lineup and the targets, as one value (docs/rules.md).
//
// In go the changes of a workspace and of a client, by the keys of figures; out
// comes the Yardstick that all of the client's pages are measured by. Figures
// have a key that stays, bounds, a default and the rule that they are of.
package yardstick

import (
	"maps"
	"slices"
	"strconv"

	"inktally/core/backlink"
	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/plan"
	"inktally/core/standing"
	"inktally/core/visits"
	"inktally/core/wordtarget"
)

// Yardstick is all figures that may be changed.
type Yardstick struct {
	Visits visits.Rules
	Book   book.Rules
	Lineup lineup.Rules
	Target plan.Rules
	// Standing are those of what comes from elsewhere.
	Standing Standing
}

// Standing are the rules of links, listings and the map profile (rule 13).
type Standing struct {
	Work     standing.Rules
	Links    standing.LinkRules
	Asking   backlink.Minutes
	Listings listing.Rules
	Profile  mapprofile.Rules
	// Languages are those of the client's town beside its own (rule 13.2).
	Languages []string
}

// Standard returns the yardstick that everybody starts with.
func Standard() Yardstick {
	return Yardstick{Visits: visits.Standard(), Book: book.StandardRules(), Lineup: lineup.StandardRules(),
		Target: plan.StandardRules(),
		Standing: Standing{Work: standing.StandardRules(), Links: standing.StandardLinkRules(),
			Asking: backlink.StandardMinutes(), Listings: listing.StandardRules(),
			Profile: mapprofile.StandardRules()}}
}

// Changes are figures that differ from the standard, by their keys, each as it
// is written down: a number, or one of a figure's choices.
type Changes map[string]string

// Of returns the standard yardstick with changes over it, the later over the earlier: the
// workspace's and a client's own. Those that contradict one another by now are left out, and those of figures that
// are no more.
func Of(changes ...Changes) Yardstick {
	y := Standard()
	known := map[string]bool{}
	for _, f := range y.figures() {
		known[f.Key] = true
	}
	for _, c := range changes {
		c = maps.Clone(c)
		maps.DeleteFunc(c, func(key, _ string) bool { return !known[key] })
		if changed, err := y.With(c); err == nil {
			y = changed
		}
	}
	return y
}

// With returns the yardstick with changes. The first figure that does not exist,
// is out of its bounds, or contradicts another is the fault; then nothing is
// changed.
func (y Yardstick) With(changes Changes) (Yardstick, error) {
	changed := y
	figures := changed.figures()
	for _, key := range slices.Sorted(maps.Keys(changes)) {
		at := slices.IndexFunc(figures, func(f figure) bool { return f.Key == key })
		if at < 0 {
			return y, NoSuchFigure.New(key)
		}
		if err := figures[at].set(changes[key]); err != nil {
			return y, err
		}
	}
	if err := changed.agrees(); err != nil {
		return y, err
	}
	return changed, nil
}

// agrees finds figures that contradict one another.
func (y Yardstick) agrees() error {
	for page, g := range map[string]wordtarget.Guideline{
		"home": y.Target.Words.Home, "service": y.Target.Words.Service} {
		if g.Low > g.High || g.High > g.Ceiling {
			return GuidelineBackward.New(page)
		}
	}
	if sum := y.Target.Weights.Sum(); sum < 99.95 || sum > 100.05 {
		return WeightsNotHundred.New(strconv.FormatFloat(sum, 'f', -1, 64))
	}
	if sum := y.Target.Outline.Shares.Sum(); sum < 99.95 || sum > 100.05 {
		return SharesNotHundred.New(strconv.FormatFloat(sum, 'f', -1, 64))
	}
	if sum := y.Standing.Work.Shares.Sum(); sum > 100.05 {
		return SharesAboveHundred.New(strconv.FormatFloat(sum, 'f', -1, 64))
	}
	if y.Target.Rate.Least > y.Target.Rate.Most {
		return RatesBackward.New()
	}
	return nil
}

// Preset names a set of changes for other habits (rules 8.1, 13.1, 13.3, 13.4).
type Preset string

// The presets.
const (
	ShorterHome Preset = "shorter_home"
	MatchOnly   Preset = "match_only"
	JustAbove   Preset = "just_above"
	QuarterMore Preset = "quarter_more"

	DoubleLinks    Preset = "double_links"
	AllLinks       Preset = "all_links"
	DoubleListings Preset = "double_listings"
	ListingsFloor  Preset = "listings_floor"
	DoubleReviews  Preset = "double_reviews"
)

// PresetNames returns all of them in the order in which they are shown.
func PresetNames() []Preset {
	return []Preset{ShorterHome, MatchOnly, JustAbove, QuarterMore, DoubleLinks, AllLinks, DoubleListings,
		ListingsFloor, DoubleReviews}
}

// Presets returns the changes of each.
func Presets() map[Preset]Changes {
	return map[Preset]Changes{
		ShorterHome: {"words.home.low": "1000", "words.home.high": "1500", "words.home.ceiling": "2000"},
		MatchOnly:   {"words.beat_words": "0", "words.beat_percent": "0"},
		JustAbove:   {"words.beat_words": "1", "words.beat_percent": "0"},
		QuarterMore: {"words.beat_percent": "25"},

		DoubleLinks:    {"standing.links.over": "100", "standing.links.of_all": "0"},
		AllLinks:       {"standing.links.of_all": "100", "standing.links.extra": "100"},
		DoubleListings: {"standing.listings.over": "100"},
		ListingsFloor:  {"standing.listings.least": "80"},
		DoubleReviews:  {"standing.reviews.times": "2"},
	}
}
