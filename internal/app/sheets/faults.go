package sheets

import "inktally/core/fault"

// The failures that a person is told of.
var (
	PageNotReadYet = fault.Define0("page_not_read_yet")
)
