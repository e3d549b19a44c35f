package main

import "inktally/core/fault"

// The failures that a person is told of.
var (
	FolderWithoutPage = fault.Define1("folder_without_page", "folder")
	PortTaken         = fault.Define1("port_taken", "address")
	BackupOverItself  = fault.Define1("backup_over_itself", "file")
	BackupFailed      = fault.Define2("backup_failed", "file", "copy")
	PagesDamaged      = fault.Define1("pages_damaged", "pages")
)
