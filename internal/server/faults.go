package server

import "inktally/core/fault"

// The failures that a person is told of.
var (
	FilesTooLarge     = fault.Define1("files_too_large", "mb")
	ColumnsUnreadable = fault.Define0("columns_unreadable")
	NotThere          = fault.Define0("not_there")
	NoSuchClient      = fault.Define0("no_such_client")
	WrongHost         = fault.Define0("wrong_host")
	OtherSite         = fault.Define0("other_site")
	NoMethod          = fault.Define0("no_method")
	NoAddress         = fault.Define0("no_address")
	BadEntry          = fault.Define1("bad_entry", "field")
	EntryTooLong      = fault.Define2("entry_too_long", "field", "most")
	EntryTooMany      = fault.Define2("entry_too_many", "field", "most")
	NumberTooLarge    = fault.Define2("number_too_large", "field", "most")
	NumberTooSmall    = fault.Define2("number_too_small", "field", "least")
	NotSignedIn       = fault.Define0("not_signed_in")
	BodyTooLarge      = fault.Define0("body_too_large")
)
