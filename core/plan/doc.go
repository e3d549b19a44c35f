// Package plan turns measures into targets: where which phrases must stand, what its
// images should be called, in what order the work is worth doing and what fits in the
// hours given (rules 9, 10 and 12).
//
// In go measured columns and Rules; out come Targets. What a target says
// on screen is worded elsewhere.
package plan
