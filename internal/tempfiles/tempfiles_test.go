package tempfiles

import (
	"io"
	"os"
	"os/exec"
	"path/filepath"
	"testing"

	"github.com/shirou/gopsutil/v4/process"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What a killed program left is taken away by the next one; what a living one has stays.
func TestLeftBehind(t *testing.T) {
	switch os.Getenv("LIVE_IN_SCRATCH") {
	case "browser":
		select {}
	case "program":
		_, err := Open()
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(filepath.Join(os.TempDir(), "upload"), make([]byte, 1000), 0o600))
		browser := exec.Command(os.Args[0], "-test.run", "^TestLeftBehind$", os.TempDir())
		browser.Env, browser.Stdout = append(os.Environ(), "LIVE_IN_SCRATCH=browser"), os.Stdout
		require.NoError(t, browser.Start())
		_, _ = os.Stdout.WriteString("open\n")
		select {}
	}
	base := t.TempDir()
	t.Setenv("TMPDIR", base)
	start := func() (*exec.Cmd, io.Reader) {
		cmd := exec.Command(os.Args[0], "-test.run", "^TestLeftBehind$")
		cmd.Env = append(os.Environ(), "LIVE_IN_SCRATCH=program")
		output, err := cmd.StdoutPipe()
		require.NoError(t, err)
		require.NoError(t, cmd.Start())
		t.Cleanup(func() { _ = cmd.Process.Kill(); _ = cmd.Wait() })
		_, err = output.Read(make([]byte, 5))
		require.NoError(t, err)
		return cmd, output
	}
	folders := func() int {
		list, err := filepath.Glob(filepath.Join(base, prefix+"*"))
		require.NoError(t, err)
		return len(list)
	}
	killed, output := start()
	living, _ := start()
	assert.Equal(t, 2, folders())
	require.NoError(t, killed.Process.Kill())
	_, err := killed.Process.Wait()
	require.NoError(t, err)
	end, err := Open()
	require.NoError(t, err)
	_, err = io.ReadAll(output)
	require.NoError(t, err, "what it had started has ended as well, else this never comes to its end")
	assert.Equal(t, 2, folders(), "that of the living one and our own")
	assert.Contains(t, os.TempDir(), prefix)
	end()
	assert.Equal(t, 1, folders())
	browsers := below(t, living.Process.Pid)
	assert.Len(t, browsers, 1, "what the living one has started goes on")
	for _, p := range browsers {
		_ = p.Kill()
	}
	assert.Equal(t, base, os.TempDir())
}

// below returns the processes that one has started.
func below(t *testing.T, pid int) []*process.Process {
	p, err := process.NewProcess(int32(pid))
	require.NoError(t, err)
	list, err := p.Children()
	require.NoError(t, err)
	return list
}
