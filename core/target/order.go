package target

import "slices"

// Order sorts targets: what must be fixed first, then by gain per hour, then
// what shows none (rule 12.3). Dropped ones go to the end.
func Order(targets []Target) []Target {
	slices.SortStableFunc(targets, func(a, b Target) int {
		if ra, rb := rank(a), rank(b); ra != rb {
			return ra - rb
		}
		switch pa, pb := a.perHour(), b.perHour(); {
		case pa > pb:
			return -1
		case pa < pb:
			return 1
		}
		return 0
	})
	return targets
}

func rank(t Target) int {
	switch {
	case t.Choice.State == Dropped:
		return 3
	case t.First:
		return 0
	case t.Gain > 0:
		return 1
	}
	return 2
}

// CutLine tells for each target, in order, whether it fits in the minutes
// given: what does not fit any more is skipped and the next tried; what
// another depends on goes with it (rule 12.4). Dropped targets never fit,
// kept ones are tried before all others.
func CutLine(targets []Target, minutes float64) []bool {
	c := cut{targets: targets, byKey: map[string]int{}, fits: make([]bool, len(targets)), left: minutes}
	for i, t := range targets {
		c.byKey[t.Key] = i
	}
	for _, kept := range []bool{true, false} {
		for i, t := range targets {
			if (t.Choice.State == Kept) == kept {
				c.take(i)
			}
		}
	}
	return c.fits
}

// cut is the state of one CutLine.
type cut struct {
	targets []Target
	byKey   map[string]int
	fits    []bool
	left    float64
}

// take lets target i and all that it depends on fit, if they do together.
func (c *cut) take(i int) {
	with, ok := c.with(i, nil)
	if !ok {
		return
	}
	sum := 0.0
	for _, j := range with {
		sum += c.targets[j].Minutes
	}
	if sum > c.left {
		return
	}
	c.left -= sum
	for _, j := range with {
		c.fits[j] = true
	}
}

// with adds target i and all that it depends on to list, but for what fits
// already. It is not ok if one of them was dropped.
func (c *cut) with(i int, list []int) ([]int, bool) {
	if c.fits[i] || slices.Contains(list, i) {
		return list, true
	}
	if c.targets[i].Choice.State == Dropped {
		return nil, false
	}
	list = append(list, i)
	for _, key := range c.targets[i].Needs {
		at, known := c.byKey[key]
		if !known {
			continue
		}
		var ok bool
		if list, ok = c.with(at, list); !ok {
			return nil, false
		}
	}
	return list, true
}
