package store

import (
	"inktally/core/fault"
	"inktally/internal/datafile"
)

// The failures that a person is told of.
var (
	NotReadBefore = fault.Define0("not_read_before")
	DiskFull      = datafile.DiskFull
)
