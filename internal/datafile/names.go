package datafile

import (
	"os"
	"path/filepath"
)

// realPath returns the path of the file that a path leads to by symbolic links, also where there is no file yet: all
// that is kept beside it, its lock too, goes by that. A file with a second name is refused, for a program that opens
// it by that name would see no lock.
func realPath(path string) (string, error) {
	to, err := filepath.EvalSymlinks(path)
	if err != nil {
		if info, lerr := os.Lstat(path); lerr == nil && info.Mode()&os.ModeSymlink != 0 {
			return path, BadDataFile.New(path).Because(err) // a link that leads nowhere
		}
		folder, ferr := filepath.EvalSymlinks(filepath.Dir(path))
		if ferr != nil {
			return path, nil // a folder that is to be made
		}
		return filepath.Join(folder, filepath.Base(path)), nil
	}
	info, err := os.Stat(to)
	if err == nil && info.Mode().IsRegular() && links(info) > 1 {
		return to, DataFileLinked.New(path)
	}
	return to, nil
}
