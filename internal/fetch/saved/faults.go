package saved

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NoPageInFiles     = fault.Define0("no_page_in_files")
	ArchiveUnreadable = fault.Define0("archive_unreadable")
	ArchiveEmpty      = fault.Define0("archive_empty")
	ArchiveTooMany    = fault.Define1("archive_too_many", "most")
	ArchiveDamaged    = fault.Define0("archive_damaged")
	ArchiveRecords    = fault.Define1("archive_records", "broken")
	ArchiveTooLarge   = fault.Define1("archive_too_large", "mb")
)
