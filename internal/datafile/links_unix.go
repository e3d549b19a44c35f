//go:build unix

package datafile

import (
	"io/fs"
	"syscall"
)

// links returns how many names a file has.
func links(info fs.FileInfo) int {
	if s, ok := info.Sys().(*syscall.Stat_t); ok {
		return int(s.Nlink)
	}
	return 1
}
