package table

import "inktally/core/fault"

// The failures that a person is told of.
var (
	ListEmpty      = fault.Define0("list_empty")
	ListNotText    = fault.Define0("list_not_text")
	NoPhraseColumn = fault.Define0("no_phrase_column")
)
