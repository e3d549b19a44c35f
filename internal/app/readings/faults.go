package readings

import "inktally/core/fault"

// The failures that a person is told of.
var (
	TakenAsServed   = fault.Define0("taken_as_served")
	PageKeptNowhere = fault.Define0("page_kept_nowhere")
	FileNotAPage    = fault.Define1("file_not_a_page", "file")
	NoFile          = fault.Define0("no_file")
	TooManyFiles    = fault.Define1("too_many_files", "most")
	FileOfNobody    = fault.Define0("file_of_nobody")
	FileWithoutURL  = fault.Define0("file_without_url")
	NothingPasted   = fault.Define0("nothing_pasted")
	PastedTooLarge  = fault.Define1("pasted_too_large", "mb")
)
