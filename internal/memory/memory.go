// Package memory keeps what the program takes close to what it holds.
package memory

import (
	"math"
	"runtime/debug"
)

// goal is from how many bytes on what nobody holds any more is collected before more is taken. The garbage of one very
// large page is as much as a day's work holds.
const goal = 450 << 20

// Spare has garbage collected early where much is held; what GOMEMLIMIT says goes before it.
func Spare() {
	if debug.SetMemoryLimit(-1) == math.MaxInt64 {
		debug.SetMemoryLimit(goal)
	}
}
