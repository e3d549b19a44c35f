package scratch

import (
	"os"
	"os/exec"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What a killed program left is taken away by the next one; what a living one has stays.
func TestLeftBehind(t *testing.T) {
	if os.Getenv("LIVE_IN_SCRATCH") != "" { // another program
		_, err := Open()
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(filepath.Join(os.TempDir(), "upload"), make([]byte, 1000), 0o600))
		_, _ = os.Stdout.WriteString("open\n")
		select {}
	}
	base := t.TempDir()
	t.Setenv("TMPDIR", base)
	start := func() *exec.Cmd {
		cmd := exec.Command(os.Args[0], "-test.run", "^TestLeftBehind$")
		cmd.Env = append(os.Environ(), "LIVE_IN_SCRATCH=1")
		said, err := cmd.StdoutPipe()
		require.NoError(t, err)
		require.NoError(t, cmd.Start())
		t.Cleanup(func() { _ = cmd.Process.Kill(); _ = cmd.Wait() })
		_, err = said.Read(make([]byte, 5))
		require.NoError(t, err)
		return cmd
	}
	folders := func() int {
		list, err := filepath.Glob(filepath.Join(base, prefix+"*"))
		require.NoError(t, err)
		return len(list)
	}
	killed := start()
	start()
	assert.Equal(t, 2, folders())
	require.NoError(t, killed.Process.Kill())
	_ = killed.Wait()
	end, err := Open()
	require.NoError(t, err)
	assert.Equal(t, 2, folders(), "that of the living one and our own")
	assert.Contains(t, os.TempDir(), prefix)
	end()
	assert.Equal(t, 1, folders())
	assert.Equal(t, base, os.TempDir())
}
