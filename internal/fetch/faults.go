package fetch

import "inktally/core/fault"

// The failures of addresses and of pages that are read from the web or from files.
var (
	AddressMissing = fault.Define0("address_missing")
	AddressSpace   = fault.Define1("address_space", "address")
	AddressScheme  = fault.Define1("address_scheme", "scheme")
	AddressNoSite  = fault.Define1("address_no_site", "address")
	AddressBad     = fault.Define1("address_bad", "address")
	AddressNoDot   = fault.Define1("address_no_dot", "name")
	RedirectCircle = fault.Define1("redirect_circle", "host")
	RedirectScheme = fault.Define2("redirect_scheme", "host", "scheme")
	SiteAnswered   = fault.Define3("site_answered", "host", "status", "says")
	NotAPage       = fault.Define2("not_a_page", "host", "type")
	PageTooLarge   = fault.Define1("page_too_large", "mb")
	PageCutShort   = fault.Define1("page_cut_short", "host")
	HeadersEndless = fault.Define1("headers_endless", "host")
	PrivateAddress = fault.Define2("private_address", "host", "address")
	NoSuchSite     = fault.Define1("no_such_site", "host")
	TimedOut       = fault.Define1("timed_out", "host")
	NoConnection   = fault.Define1("no_connection", "host")
	// Untrusted is a site whose certificate is expired, made for another name, or signed by nobody
	// who is known.
	Untrusted      = fault.Define1("untrusted_certificate", "host")
	NotRead        = fault.Define1("not_read", "host")
	UnknownPacking = fault.Define2("unknown_packing", "host", "packing")
	RobotsRefuse   = fault.Define1("robots_refuse", "host")
	FileUnreadable = fault.Define1("file_unreadable", "file")
	FileIsFolder   = fault.Define1("file_is_folder", "file")
	FileEmpty      = fault.Define1("file_empty", "file")
)
