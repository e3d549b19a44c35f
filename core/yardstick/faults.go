package yardstick

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoSuchFigure      = fault.Define1("no_such_figure", "figure")
	FigureOutOfRange  = fault.Define3("figure_out_of_range", "figure", "least", "most")
	GuidelineBackward = fault.Define1("guideline_backward", "page")
	WeightsNotHundred = fault.Define1("weights_not_hundred", "sum")
	SharesNotHundred  = fault.Define1("shares_not_hundred", "sum")
	RatesBackward     = fault.Define0("rates_backward")
	FrameNeedsPhrase  = fault.Define1("frame_needs_phrase", "line")
)
