// Package tempfiles is the program's own temporary folder.
//
// What libraries and the browser put down for a while lands in it, and it goes with the
// program. A program that was killed leaves its folder behind, and maybe a browser: the next one takes both away.
package tempfiles

import (
	"os"
	"path/filepath"
	"strings"

	"github.com/gofrs/flock"
	"github.com/shirou/gopsutil/v4/process"
)

const (
	prefix = "inktally-scratch-"
	// held is the file in a folder that its program holds as long as it lives.
	held = ".held"
)

// Open makes the folder, and makes it the one for all temporary files of this program and of
// those that it starts. end takes it away.
func Open() (end func(), err error) {
	base := os.TempDir()
	sweep(base)
	dir, err := os.MkdirTemp(base, prefix) // 0700
	if err != nil {
		return nil, err
	}
	lock := flock.New(filepath.Join(dir, held), flock.SetPermissions(0o600))
	if _, err := lock.TryLock(); err != nil {
		_ = os.RemoveAll(dir)
		return nil, err
	}
	before, had := os.LookupEnv(variable)
	if err := os.Setenv(variable, dir); err != nil {
		return nil, err
	}
	return func() {
		if had {
			_ = os.Setenv(variable, before)
		} else {
			_ = os.Unsetenv(variable)
		}
		_ = lock.Unlock()
		_ = os.RemoveAll(dir)
	}, nil
}

// sweep takes away the folders of programs that live no more.
func sweep(base string) {
	left, _ := filepath.Glob(filepath.Join(base, prefix+"*"))
	for _, dir := range left {
		lock := flock.New(filepath.Join(dir, held), flock.SetFlag(os.O_RDWR))
		if free, err := lock.TryLock(); err == nil && free {
			_ = lock.Unlock()
			endAll(dir)
			_ = os.RemoveAll(dir)
		}
	}
}

// endAll ends what was started with a folder of a program that lives no more: a browser that
// renders pages has its own there, and does not end with its program everywhere.
func endAll(dir string) {
	all, _ := process.Processes()
	for _, p := range all {
		if line, err := p.Cmdline(); err == nil && strings.Contains(line, dir) && int(p.Pid) != os.Getpid() {
			_ = p.Kill()
		}
	}
}
