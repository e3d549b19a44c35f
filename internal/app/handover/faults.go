package handover

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NotOurBookmark = fault.Define0("not_our_bookmark")
	OtherOrigin    = fault.Define2("other_origin", "says", "from")
)
