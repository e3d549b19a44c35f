package yardstick

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoSuchFigure      = fault.Define1("no_such_figure", "figure")
	FigureOutOfRange  = fault.Define3("figure_out_of_range", "figure", "least", "most")
	GuidelineBackward = fault.Define1("guideline_backward", "page")
	WeightsNotHundred = fault.Define1("weights_not_hundred", "sum")
	SharesNotHundred  = fault.Define1("shares_not_hundred", "sum")
	// SharesAboveHundred is that of the shares of the map pack's visits.
	SharesAboveHundred = fault.Define1("shares_above_hundred", "sum")
	RatesBackward      = fault.Define0("rates_backward")
	TextEmpty          = fault.Define1("text_empty", "figure")
	TextNeedsPhrase    = fault.Define2("text_needs_phrase", "blank", "line")
	TextUnknownBlank   = fault.Define2("text_unknown_blank", "blank", "line")
	TextLineTooLong    = fault.Define2("text_line_too_long", "most", "line")
)
