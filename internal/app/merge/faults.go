package merge

import "inktally/core/fault"

// The failures that a person is told of.
var (
	ChangedElsewhere = fault.Define3("changed_elsewhere", "thing", "theirs", "yours")
)
