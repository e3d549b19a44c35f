// Package cutline works out what of a plan fits into the hours given (rule 12.5).
//
// In go targets in the order of work; out comes which of them stand above the cut line.
package cutline

import (
	"slices"

	"inktally/core/plan"
)

// Cut is what fits into the hours given.
type Cut struct {
	// Fits returns for each target, in order, whether it stands above the cut line.
	Fits []bool
	// Short are the placings that stand above it with their title and h1 alone: the rest did not fit.
	Short []bool
	// Left are the minutes that are left. Needs are those that the first target takes with
	// what it depends on, where nothing fits.
	Left, Needs float64
}

// Of cuts targets in the order of work where the minutes given end: what
// does not fit any more is skipped and the next tried, but a placing is cut to title and h1 first; what another
// depends on goes with it (rule 12.5). Nothing without gain but fixes fills the hours up. Kept targets are tried
// before all others, dropped ones never fit.
func Of(targets []plan.Target, minutes float64) Cut {
	c := cut{targets: targets, at: map[plan.Ref]int{}, Cut: Cut{Fits: make([]bool, len(targets)),
		Short: make([]bool, len(targets)), Left: minutes}}
	for i := range targets {
		c.at[targets[i].Ref()] = i
	}
	for _, kept := range []bool{true, false} {
		for i := range targets {
			if t := &targets[i]; (t.Choice.State == plan.Kept) == kept && (kept || t.Pays()) {
				c.take(i)
			}
		}
	}
	if !slices.Contains(c.Fits, true) {
		for i := range targets {
			if with, ok := c.with(i, nil); ok {
				c.Needs = c.minutes(with)
				break
			}
		}
	}
	return c.Cut
}

// Short returns what a placing takes and brings with its title and h1 alone; it is not ok for what has no other
// parts, or none of these.
func Short(t *plan.Target) (minutes, gain float64, ok bool) {
	if t.Kind != plan.Placing {
		return 0, 0, false
	}
	for i := range t.Parts {
		if p := &t.Parts[i]; (p.Kind == plan.Title || p.Kind == plan.H1) && p.Choice.State != plan.Dropped {
			minutes, gain, ok = minutes+p.Minutes, gain+p.Gain, true
		}
	}
	return minutes, gain, ok && minutes < t.Minutes
}

// cut is the state of one cut.
type cut struct {
	Cut
	targets []plan.Target
	at      map[plan.Ref]int
}

// take lets target i and all that it depends on fit, if they do together.
func (c *cut) take(i int) {
	with, ok := c.with(i, nil)
	if !ok {
		return
	}
	const hair = 1e-9
	sum := c.minutes(with)
	if sum > c.Left+hair {
		minutes, _, ok := Short(&c.targets[i])
		sum += minutes - c.targets[i].Minutes
		if !ok || sum > c.Left+hair {
			return
		}
		c.Short[i] = true
	}
	c.Left -= sum
	for _, j := range with {
		c.Fits[j] = true
	}
}

func (c *cut) minutes(list []int) float64 {
	sum := 0.0
	for _, j := range list {
		sum += c.targets[j].Minutes
	}
	return sum
}

// with adds target i and all that it depends on to list, but for what fits already. It is
// not ok if it was dropped, or if it belongs to a page that was: nothing waits for other
// things that are not wanted.
func (c *cut) with(i int, list []int) ([]int, bool) {
	if c.Fits[i] || slices.Contains(list, i) {
		return list, true
	}
	if c.targets[i].Choice.State == plan.Dropped {
		return nil, false
	}
	list = append(list, i)
	for _, id := range c.targets[i].Needs {
		at, known := c.at[id]
		if !known || c.targets[at].Choice.State == plan.Dropped && c.targets[at].Kind != plan.NewPage {
			continue
		}
		var ok bool
		if list, ok = c.with(at, list); !ok {
			return nil, false
		}
	}
	return list, true
}
