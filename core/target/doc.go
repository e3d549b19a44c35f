// Package target turns measures into targets: how many words a page needs,
// where which phrases must stand, what its images should be called, in what
// order the work is worth doing and what fits in the hours given (rule 8,
// 9 and 12).
//
// In go measured columns and a Yardstick; out come Targets. What a target says
// on screen is worded elsewhere.
package target
