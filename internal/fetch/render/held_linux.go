package render

import (
	"bufio"
	"fmt"
	"os"
	"strings"

	"github.com/shirou/gopsutil/v4/process"
)

// held returns the memory that a process takes for itself: all but what it maps from files, which it
// shares with its likes. The processes of a browser share so much that the sum of what they map
// is twice of what they take.
func held(p *process.Process) (bytes uint64, err error) {
	file, err := os.Open(fmt.Sprintf("/proc/%d/status", p.Pid))
	if err != nil {
		return 0, err
	}
	defer file.Close()
	for lines := bufio.NewScanner(file); lines.Scan(); {
		name, value, _ := strings.Cut(lines.Text(), ":")
		if name != "RssAnon" && name != "RssShmem" {
			continue
		}
		var kb uint64
		if _, err := fmt.Sscan(value, &kb); err != nil {
			return 0, err
		}
		bytes += kb << 10
	}
	return bytes, nil
}
