package figures

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoFigures = fault.Define0("no_figures")
	DayBad    = fault.Define1("day_bad", "typed")
)
