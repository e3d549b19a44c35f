package ground

import "inktally/core/fault"

// The failures that a person is told of.
var (
	SpellingNoWord   = fault.Define1("spelling_no_word", "text")
	TextTooLong      = fault.Define1("text_too_long", "most")
	JobNegative      = fault.Define1("job_negative", "service")
	ClientNeedsName  = fault.Define0("client_needs_name")
	PageThere        = fault.Define0("page_there")
	OneHomePage      = fault.Define0("one_home_page")
	HomePageStays    = fault.Define0("home_page_stays")
	NoSuchService    = fault.Define1("no_such_service", "service")
	NoSuchPlace      = fault.Define1("no_such_place", "place")
	PageNeedsService = fault.Define0("page_needs_service")
	PageNeedsPlace   = fault.Define0("page_needs_place")
	PageNeedsAddress = fault.Define0("page_needs_address")
	HoursOutOfRange  = fault.Define1("hours_out_of_range", "most")
)
