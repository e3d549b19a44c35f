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

	"inktally/core/book"
	"inktally/core/lineup"
	"inktally/core/plan"
	"inktally/core/visits"
	"inktally/core/wordtarget"
)

// Yardstick is all figures that may be changed.
type Yardstick struct {
	Visits visits.Rules
	Book   book.Rules
	Lineup lineup.Rules
	Target plan.Rules
}

// Standard returns the yardstick that everybody starts with.
func Standard() Yardstick {
	return Yardstick{Visits: visits.Standard(), Book: book.StandardRules(), Lineup: lineup.StandardRules(),
		Target: plan.StandardRules()}
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
	if y.Target.Rate.Least > y.Target.Rate.Most {
		return RatesBackward.New()
	}
	return nil
}

// Preset names a set of changes for other habits (rule 8.1).
type Preset string

// The presets.
const (
	ShorterHome Preset = "shorter_home"
	MatchOnly   Preset = "match_only"
	JustAbove   Preset = "just_above"
	QuarterMore Preset = "quarter_more"
)

// Presets returns the changes of each.
func Presets() map[Preset]Changes {
	return map[Preset]Changes{
		ShorterHome: {"words.home.low": "1000", "words.home.high": "1500", "words.home.ceiling": "2000"},
		MatchOnly:   {"words.beat_words": "0", "words.beat_percent": "0"},
		JustAbove:   {"words.beat_words": "1", "words.beat_percent": "0"},
		QuarterMore: {"words.beat_percent": "25"},
	}
}
