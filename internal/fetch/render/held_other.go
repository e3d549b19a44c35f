//go:build !linux

package render

import "github.com/shirou/gopsutil/v4/process"

// held returns the memory that a process takes, with what it shares with others.
func held(p *process.Process) (bytes uint64, err error) {
	info, err := p.MemoryInfo()
	if err != nil {
		return 0, err
	}
	return info.RSS, nil
}
