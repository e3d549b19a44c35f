package documents

import "inktally/core/fault"

// The failures that a person is told of.
var (
	// NoPrinter: there is no browser that prints.
	NoPrinter = fault.Define0("no_printer")
	// NoFormat: a document is not written in a format.
	NoFormat = fault.Define1("no_format", "format")
	// PictureBad: a file is no picture that a document or a step can show.
	PictureBad = fault.Define0("picture_bad")
	// PictureLarge: a picture has more bytes than are kept.
	PictureLarge = fault.Define1("picture_large", "kb")
	// TooManySteps: no more steps can be added.
	TooManySteps = fault.Define1("too_many_steps", "most")
)
