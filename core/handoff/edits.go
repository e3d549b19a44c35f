package handoff

import (
	"maps"
	"slices"
)

// OwnStep is a step that the user added.
const OwnStep StepKind = "own"

// Edits are what the user changed of a walk-through. They go by the keys of steps, so that they hold when the figures
// change: the kind of a step, or the key that one was added by.
type Edits struct {
	// Order are the keys of steps in the user's order; others keep their places behind the step that they stand behind.
	Order []string
	Steps map[string]StepEdit
}

// StepEdit is what the user changed of a step.
type StepEdit struct {
	Dropped, Added bool
	// Head and Points are said instead of what is made, empty as it is made.
	Head   string
	Points []string
	// Picture reports whether an added step has one.
	Picture bool
}

// Keys returns the keys of all steps in the order in which they are told, dropped ones too: those that have something
// to tell, and those that were added.
func (e Edits) Keys(steps []StepKind) []string {
	var all []string
	for _, s := range steps {
		all = append(all, string(s))
	}
	for _, key := range slices.Sorted(maps.Keys(e.Steps)) {
		if e.Steps[key].Added && !slices.Contains(all, key) {
			all = append(all, key)
		}
	}
	behind, last := map[string][]string{}, "" // those that the order does not name, by the one before them
	for _, key := range all {
		if slices.Contains(e.Order, key) {
			last = key
			continue
		}
		behind[last] = append(behind[last], key)
	}
	out := behind[""]
	for _, key := range e.Order {
		if slices.Contains(all, key) && !slices.Contains(out, key) {
			out = append(append(out, key), behind[key]...)
		}
	}
	return out
}
