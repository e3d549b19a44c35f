package lineups

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoSearchSource   = fault.Define0("no_search_source")
	NoResults        = fault.Define0("no_results")
	NothingJoins     = fault.Define0("nothing_joins")
	ResultsTooLarge  = fault.Define1("results_too_large", "mb")
	EntryWithoutSite = fault.Define1("entry_without_site", "name")
	EntryNoName      = fault.Define0("entry_no_name")
	KindOfClient     = fault.Define0("kind_of_client")
	SiteListEmpty    = fault.Define0("site_list_empty")
	SiteLineUnread   = fault.Define2("site_line_unread", "line", "text")
	SomeRivalsAdded  = fault.Define1("some_rivals_added", "added")
)
