package draft

import "inktally/core/fault"

// The failures that a person is told of.
var (
	DraftEmpty      = fault.Define0("draft_empty")
	DraftTooLarge   = fault.Define1("draft_too_large", "mb")
	DraftUnreadable = fault.Define0("draft_unreadable")
)
