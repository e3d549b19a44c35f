package documents

import "inktally/core/fault"

// The failures that a person is told of.
var (
	// NoPrinter: there is no browser that prints.
	NoPrinter = fault.Define0("no_printer")
	// NoFormat: a document is not written in a format.
	NoFormat = fault.Define1("no_format", "format")
	// LogoBad: a file is no picture that can stand on paper.
	LogoBad = fault.Define0("logo_bad")
	// LogoLarge: a picture has more bytes than are kept.
	LogoLarge = fault.Define1("logo_large", "kb")
)
