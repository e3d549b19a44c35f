package store

import "inktally/core/fault"

// The failures that a person is told of.
var (
	NotReadBefore = fault.Define0("not_read_before")
	DiskFull      = fault.Define0("disk_full")
)
