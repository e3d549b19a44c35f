package target

import (
	"math"
	"slices"
)

// WordTarget is how many words a page needs and why (MEASURES 8).
type WordTarget struct {
	// Target is the number of words seen that the page should have.
	Target int `json:"target" doc:"Words seen that the page should have"`
	// ToWrite is what is missing, 0 where the page holds.
	ToWrite int `json:"to_write"`
	// Hold tells that the page has enough: the work is placement.
	Hold bool `json:"hold"`
	// Writer is the target less the page's frame: the copy to hand in (8.6).
	Writer int `json:"writer"`
	Frame  int `json:"frame"`
	// Mark is the rivals' figure to beat, 0 without rivals.
	Mark float64 `json:"mark"`
	// MarkOf is the index of the rival whose figure the mark is, else -1.
	MarkOf int     `json:"mark_of"`
	Beat   float64 `json:"beat" doc:"The mark and what is to be added to it"`
	// Rule tells what decided the target.
	Rule WordRule `json:"rule"`
	// SetAside are the indices of rivals too far off to count (8.2).
	SetAside []int `json:"set_aside"`
	// BeatsMark is false where the ceiling keeps the target from the mark.
	BeatsMark bool      `json:"beats_mark"`
	Guideline Guideline `json:"guideline"`
}

// WordRule is the rule that decided a target.
type WordRule string

// The rules that decide a word target (MEASURES 8.4).
const (
	ByGuideline WordRule = "guideline"
	ByRivals    WordRule = "rivals"
	ByCeiling   WordRule = "ceiling"
)

// Words works out the word target of a page of so many words seen, of them
// frame no copy, against the words seen of its like rivals.
func (y Yardstick) Words(kind Kind, client, frame int, rivals []int) WordTarget {
	g := y.Guideline(kind)
	t := WordTarget{Guideline: g, Frame: frame, MarkOf: -1, SetAside: []int{}}
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
	t.ToWrite = t.Target - client
	if client >= g.Low && float64(client) > t.Mark || t.ToWrite < y.Step {
		t.Hold, t.ToWrite = true, 0
	}
	t.Writer = max(0, t.Target-frame)
	return t
}

// mark picks the rivals' figure to beat (MEASURES 8.2).
func (y Yardstick) mark(rivals []int, g Guideline) (mark float64, of int, aside []int) {
	of, aside = -1, []int{}
	limit := math.Inf(1)
	if len(rivals) >= 3 {
		limit = y.OutlierFactor * median(rivals)
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
		return median(kept), -1, aside
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

func median(values []int) float64 {
	sorted := slices.Sorted(slices.Values(values))
	n := len(sorted)
	if n%2 == 1 {
		return float64(sorted[n/2])
	}
	return float64(sorted[n/2-1]+sorted[n/2]) / 2
}

func roundUp(figure float64, step int) int {
	if step < 1 {
		step = 1
	}
	return int(math.Ceil(figure/float64(step)-1e-9)) * step
}
