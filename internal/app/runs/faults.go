package runs

import "inktally/core/fault"

// The failures that a person is told of.
var (
	RunUnderWay   = fault.Define0("run_under_way")
	NothingToRead = fault.Define0("nothing_to_read")
)
