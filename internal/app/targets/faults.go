package targets

import "inktally/core/fault"

// The failures that a person is told of.
var (
	ChangeNeedsValue = fault.Define0("change_needs_value")
	TargetNeedsText  = fault.Define0("target_needs_text")
	ImageNameBad     = fault.Define2("image_name_bad", "name", "like")
	DraftNoPage      = fault.Define1("draft_no_page", "page")
)
