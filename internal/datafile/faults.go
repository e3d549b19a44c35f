package datafile

import "inktally/core/fault"

// The failures that a person is told of.
var (
	BadDataFile = fault.Define1("bad_data_file", "file")
	// DataFileLinked is that of a file that has a second name (a hard link).
	DataFileLinked   = fault.Define1("data_file_linked", "file")
	DataFileInUse    = fault.Define1("data_file_in_use", "file")
	DataFileNewer    = fault.Define1("data_file_newer", "file")
	BackupUnreadable = fault.Define1("backup_unreadable", "file")
	NoRoomForCopy    = fault.Define2("no_room_for_copy", "file", "copy")
	DiskFull         = fault.Define0("disk_full")
	// DiskShort is told where the disk was full when the file was opened.
	DiskShort = fault.Define0("disk_short")
	// NoRoomToOpen is that of a file that cannot be opened, for the disk is full to the last.
	NoRoomToOpen = fault.Define1("no_room_to_open", "file")
	// DataFileDamaged is that of a file whose pages are hurt: nothing more is written to it.
	DataFileDamaged = fault.Define1("data_file_damaged", "file")
)
