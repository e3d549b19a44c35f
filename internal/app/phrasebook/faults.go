package phrasebook

import "inktally/core/fault"

// The failures that a person is told of.
var (
	ListTooLarge       = fault.Define1("list_too_large", "mb")
	WorkbookUnreadable = fault.Define0("workbook_unreadable")
	WorkbookEmpty      = fault.Define0("workbook_empty")
	ImportNotLast      = fault.Define1("import_not_last", "name")
	NoDemandSource     = fault.Define0("no_demand_source")
	NotOneWord         = fault.Define1("not_one_word", "text")
)
