package source

import "inktally/core/fault"

// The failures that a person is told of.
var (
	SourceBadAddress = fault.Define1("source_bad_address", "source")
	SourceSilent     = fault.Define1("source_silent", "source")
	SourceAnswered   = fault.Define2("source_answered", "source", "status")
	SourceUnreadable = fault.Define1("source_unreadable", "source")
	SearchUnknown    = fault.Define1("search_unknown", "phrase")
)
