package phrasebook

import "inktally/core/fault"

// The failures that a person is told of.
var (
	ImportNotLast  = fault.Define1("import_not_last", "name")
	NoDemandSource = fault.Define0("no_demand_source")
	NotOneWord     = fault.Define1("not_one_word", "text")
)
