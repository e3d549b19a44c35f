// Package e2e drives the real program with the demo's data through Debian's
// Chromium, as a person would.
package e2e

import (
	"bufio"
	"encoding/json"
	"fmt"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/require"
)

var binary string

// TestMain builds the program once, with the front end that make build made.
func TestMain(m *testing.M) {
	dir, err := os.MkdirTemp("", "inktally-e2e-")
	if err != nil {
		panic(err)
	}
	binary = filepath.Join(dir, "inktally")
	build := exec.Command("go", "build", "-o", binary, "../cmd/inktally")
	build.Stderr = os.Stderr
	if err := build.Run(); err != nil {
		fmt.Fprintln(os.Stderr, "the program cannot be built:", err)
		os.Exit(1)
	}
	code := m.Run()
	_ = os.RemoveAll(dir)
	_ = os.RemoveAll(seedFolder)
	os.Exit(code)
}

// program is a running program.
type program struct {
	base    string // http://127.0.0.1:port
	process *os.Process
	waited  chan struct{}
}

var (
	seedFolder string
	seedOnce   sync.Once
)

// seed returns a data file with the demo's clients, all of whose pages are read. It is made once and
// copied by whoever needs one.
func seed(t *testing.T) string {
	file := func() string { return filepath.Join(seedFolder, "demo.db") }
	seedOnce.Do(func() {
		dir, err := os.MkdirTemp("", "inktally-data-")
		require.NoError(t, err)
		seedFolder = dir
		p := start(t, file())
		for _, c := range get[[]view.ShelfRow](t, p, "/api/clients") {
			idle(t, p, c.ID)
		}
		require.NoError(t, p.process.Signal(syscall.SIGTERM))
		<-p.waited
	})
	require.FileExists(t, file(), "the demo could not be made")
	return file()
}

// demo starts a demo that nobody else uses, so that no test depends on another.
func demo(t *testing.T) *program {
	t.Helper()
	file := filepath.Join(t.TempDir(), "demo.db")
	data, err := os.ReadFile(seed(t))
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(file, data, 0o600))
	p := start(t, file)
	t.Cleanup(func() {
		_ = p.process.Kill()
		<-p.waited
	})
	return p
}

// start starts the demo over a data file and waits for its address.
func start(t *testing.T, data string) *program { return run(t, "demo", "--data", data) }

// run starts the program with a command and waits for its address.
func run(t *testing.T, command ...string) *program {
	t.Helper()
	cmd := exec.Command(binary, append(command, "--listen", "127.0.0.1:0")...)
	cmd.Stderr = os.Stderr
	cmd.SysProcAttr = &syscall.SysProcAttr{Pdeathsig: syscall.SIGKILL}
	out, err := cmd.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, cmd.Start())
	p := &program{process: cmd.Process, waited: make(chan struct{})}
	found := make(chan string, 1)
	go func() {
		lines := bufio.NewScanner(out)
		for lines.Scan() {
			if _, base, ok := strings.Cut(lines.Text(), "is at "); ok {
				found <- base
			}
		}
		_ = cmd.Wait()
		close(p.waited)
	}()
	select {
	case p.base = <-found:
	case <-p.waited:
		t.Fatal("the program ended before it listened")
	case <-time.After(time.Minute):
		t.Fatal("the program did not listen in time")
	}
	return p
}

// kill ends the program as a power cut would.
func (p *program) kill(t *testing.T) {
	require.NoError(t, p.process.Signal(syscall.SIGKILL))
	<-p.waited
}

// get decodes an answer of the API.
func get[T any](t *testing.T, p *program, path string) (v T) {
	t.Helper()
	resp, err := http.Get(p.base + path)
	require.NoError(t, err)
	defer resp.Body.Close()
	require.Equal(t, http.StatusOK, resp.StatusCode, path)
	require.NoError(t, json.NewDecoder(resp.Body).Decode(&v))
	return v
}

// send sends a body to the API and returns the status.
func send(t *testing.T, p *program, method, path string, body any) int {
	t.Helper()
	raw, err := json.Marshal(body)
	require.NoError(t, err)
	req, err := http.NewRequest(method, p.base+path, strings.NewReader(string(raw)))
	require.NoError(t, err)
	req.Header.Set("Content-Type", "application/json")
	resp, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	defer resp.Body.Close()
	return resp.StatusCode
}

// idle waits until no page of a client is being read.
func idle(t *testing.T, p *program, client int64) {
	t.Helper()
	require.Eventually(t, func() bool {
		run := get[struct{ Run *view.Run }](t, p, fmt.Sprintf("/api/clients/%d/run", client)).Run
		return run == nil || run.State != store.JobRunning
	}, 90*time.Second, 30*time.Millisecond, "pages are still being read")
}

// ran waits until the pages of a client were read once: a demo that has just begun reads them by itself.
func ran(t *testing.T, p *program, client int64) {
	t.Helper()
	require.Eventually(t, func() bool {
		run := get[struct{ Run *view.Run }](t, p, fmt.Sprintf("/api/clients/%d/run", client)).Run
		return run != nil && run.State != store.JobRunning
	}, 90*time.Second, 30*time.Millisecond, "pages are still being read")
}

// brindle returns the id of the demo's main client and of its home page.
func brindle(t *testing.T, p *program) (client, page int64) {
	t.Helper()
	type row struct {
		ID     int64  `json:"id"`
		Name   string `json:"name"`
		PageID int64  `json:"page_id"`
	}
	for _, r := range get[[]row](t, p, "/api/clients") {
		if r.Name == "Brindle & Ash Chimney" {
			return r.ID, r.PageID
		}
	}
	t.Fatal("the demo has no main client")
	return 0, 0
}
