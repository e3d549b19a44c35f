package wordtarget

import (
	"math"
	"slices"

	"inktally/core/site"
	"inktally/core/stats"
)

// Target is how many words a page needs and why (rule 8), with the
// figures of the yardstick that decided it.
type Target struct {
	// Target is the number of words seen that the page should have, ToWrite what
	// is missing, 0 if the page holds (rule 8.5).
	Target, ToWrite int
	// Hold reports whether the page has enough: the work is placement.
	Hold bool
	// Writer is the copy to hand in: the target less the page's Frame, but a part of the guideline at least (rule 8.6).
	Writer, Frame int
	// Mark is the rivals' figure to beat, 0 without rivals; MarkOf is the index of
	// the rival whose figure it is, else -1.
	Mark   float64
	MarkOf int
	// Beat is the mark and what is to be added to it.
	Beat float64
	// Rule returns what decided the target.
	Rule Rule
	// SetAside are the indices of rivals too far off to count (8.2).
	SetAside []int
	// BeatsMark is false if the ceiling keeps the target from the mark.
	BeatsMark bool
	// Guideline and Figures are those of the yardstick that it was worked out by.
	Guideline Guideline
	Figures   Figures
}

// Rule is the rule that decided a target.
type Rule string

// The rules that decide a word target (rule 8.4).
const (
	ByGuideline Rule = "guideline"
	ByRivals    Rule = "rivals"
	ByCeiling   Rule = "ceiling"
	// NoTarget is that of kinds of pages that no number of words is asked of
	// (rule 8.1).
	NoTarget Rule = "none"
)

// Deciding returns all of them.
func Deciding() []Rule { return []Rule{ByGuideline, ByRivals, ByCeiling, NoTarget} }

// Of works out the word target of a page of so many words seen, of them
// frame no copy, against the words seen of its like rivals.
func (y Rules) Of(kind site.Kind, client, frame int, rivals []int) Target {
	if !kind.HasWordTarget() {
		return Target{Rule: NoTarget, Hold: true, BeatsMark: true, Frame: frame, MarkOf: -1, SetAside: []int{},
			Figures: y.Figures}
	}
	g := y.Guideline(kind)
	t := Target{Guideline: g, Figures: y.Figures, Frame: frame, MarkOf: -1, SetAside: []int{}}
	t.Mark, t.MarkOf, t.SetAside = y.mark(rivals, g)
	if t.Mark > 0 {
		t.Beat = t.Mark + max(y.BeatWords, t.Mark*y.BeatPercent/100)
	}
	figure := max(float64(g.Low), t.Beat)
	t.Target = roundUp(figure, y.Step)
	t.Rule = ByGuideline
	if t.Beat > float64(g.Low) {
		t.Rule = ByRivals
	}
	if t.Target > g.Ceiling {
		t.Target, t.Rule = g.Ceiling, ByCeiling
	}
	t.BeatsMark = float64(t.Target) > t.Mark
	t.Writer = max(t.Target-frame, int(math.Ceil(float64(g.Low)*y.WriterPercent/100-1e-9)))
	switch t.ToWrite = t.Target - client; {
	case client <= frame: // there is no copy yet
		t.ToWrite = t.Writer
	case client >= g.Low && float64(client) > t.Mark || t.ToWrite < leastToWrite:
		t.Hold, t.ToWrite = true, 0
	}
	return t
}

// leastToWrite is under how many missing words a page has enough: no section to write is shorter (rules 8.5, 10.1).
const leastToWrite = 60

// mark picks the rivals' figure to beat (rule 8.2).
func (y Rules) mark(rivals []int, g Guideline) (mark float64, of int, aside []int) {
	of, aside = -1, []int{}
	limit := math.Inf(1)
	if len(rivals) >= 3 {
		limit = y.OutlierFactor * stats.Median(rivals)
	}
	var kept []int
	for i, words := range rivals {
		if words > g.Ceiling && float64(words) > limit {
			aside = append(aside, i)
			continue
		}
		kept = append(kept, words)
	}
	if len(kept) == 0 {
		return 0, -1, aside
	}
	switch y.Mark {
	case Median:
		return stats.Median(kept), -1, aside
	case BestThree:
		slices.Sort(kept)
		best := kept[max(0, len(kept)-3):]
		sum := 0
		for _, words := range best {
			sum += words
		}
		return float64(sum) / float64(len(best)), -1, aside
	}
	best := slices.Max(kept)
	for i, words := range rivals {
		if words == best && !slices.Contains(aside, i) {
			of = i
			break
		}
	}
	return float64(best), of, aside
}

func roundUp(figure float64, step int) int {
	if step < 1 {
		step = 1
	}
	return int(math.Ceil(figure/float64(step)-1e-9)) * step
}
