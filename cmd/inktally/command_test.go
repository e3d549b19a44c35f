//go:build unix

package main

import (
	"bufio"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/json"
	"errors"
	"net"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"inktally/internal/app"
	"inktally/internal/store"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestMain lets the test be the program itself.
func TestMain(m *testing.M) {
	if os.Getenv("AS_INKTALLY") != "" {
		os.Exit(command())
	}
	os.Exit(m.Run())
}

// inktally returns the program as a process of its own.
func inktally(t *testing.T, args ...string) *exec.Cmd {
	t.Helper()
	cmd := exec.Command(os.Args[0], args...)
	cmd.Env = append(os.Environ(), "AS_INKTALLY=1", "TMPDIR="+t.TempDir())
	return cmd
}

// An interrupt ends the program at once, whatever it waits for.
func TestInterrupt(t *testing.T) {
	pipe := filepath.Join(t.TempDir(), "pipe.html")
	require.NoError(t, syscall.Mkfifo(pipe, 0o600))
	for name, args := range map[string][]string{"standard input": {"measure", "-"}, "a pipe": {"measure", pipe},
		"results": {"results", pipe}, "a draft": {"proof", "-"}} {
		t.Run(name, func(t *testing.T) {
			cmd := inktally(t, args...)
			in, err := cmd.StdinPipe()
			require.NoError(t, err)
			defer in.Close()
			require.NoError(t, cmd.Start())
			done := make(chan error, 1)
			go func() { done <- cmd.Wait() }()
			interrupt := time.NewTicker(100 * time.Millisecond) // it may not listen yet
			defer interrupt.Stop()
			limit := time.After(20 * time.Second)
			for {
				select {
				case err := <-done:
					var ended *exec.ExitError
					require.True(t, errors.As(err, &ended), "%v", err)
					assert.True(t, ended.ExitCode() == interrupted || !ended.Exited(), "%v", ended)
					return
				case <-interrupt.C:
					_ = cmd.Process.Signal(os.Interrupt)
				case <-limit:
					_ = cmd.Process.Kill()
					require.Fail(t, "it goes on")
				}
			}
		})
	}
}

// One thing in a folder that cannot be read costs one warning, not the rest.
func TestFolderWithAPipe(t *testing.T) {
	dir := t.TempDir()
	require.NoError(t, syscall.Mkfifo(filepath.Join(dir, "a.html"), 0o600))
	require.NoError(t, os.Symlink(filepath.Join(dir, "nothing"), filepath.Join(dir, "b.html")))
	require.NoError(t, os.WriteFile(filepath.Join(dir, "c.html"), []byte("<p>one two three"), 0o600))
	shut := filepath.Join(dir, "shut")
	require.NoError(t, os.Mkdir(shut, 0o000))
	out, err := run("", "--json", dir)
	require.NoError(t, err)
	assert.Contains(t, out, `"seen":3`)
	warnings := 2
	if _, err := os.ReadDir(shut); err != nil { // who may read everything reads it
		warnings++
	}
	assert.Equal(t, warnings, strings.Count(out, "inktally: "), out)
}

// The style sheets of a saved page are regular files beside it, no others.
func TestSheetsOfASavedPage(t *testing.T) {
	top := t.TempDir()
	dir := filepath.Join(top, "a", "b", "c")
	require.NoError(t, os.MkdirAll(dir, 0o700))
	write := func(name, text string) {
		require.NoError(t, os.WriteFile(filepath.Join(top, filepath.FromSlash(name)), []byte(text), 0o600))
	}
	for _, name := range []string{"out", "a/two", "a/b/one", "a/b/c/own", "a/b/c/imported"} {
		write(name+".css", "."+filepath.Base(name)+"{display:none}")
	}
	write("a/b/c/own.css", ".own{display:none}")
	write("a/b/c/importing.css", "@import 'imported.css';")
	write("a/b/c/huge.css", ".huge{display:none}"+strings.Repeat(" ", 3<<20))
	require.NoError(t, os.Symlink(filepath.Join(top, "out.css"), filepath.Join(dir, "link.css")))
	require.NoError(t, syscall.Mkfifo(filepath.Join(dir, "pipe.css"), 0o600))
	links := ""
	for _, href := range []string{"own.css", "../one.css", "../../two.css", "importing.css", "../../../out.css",
		filepath.Join(top, "out.css"),
		"file://" + filepath.Join(top, "out.css"), "link.css", "pipe.css", "huge.css", "..", ".", "/dev/zero",
		"//host/x.css"} {
		links += `<link rel=stylesheet href="` + href + `">`
	}
	write("a/b/c/page.html", links+
		"<p class=own>x<p class=one>x<p class=two>x<p class=imported>x<p class=out>seen<p class=huge>seen")
	began := time.Now()
	out, err := run("", "--json", filepath.Join(dir, "page.html"))
	require.NoError(t, err)
	assert.Contains(t, out, `"words":{"seen":2,"copy":2,"hidden":4}`)
	assert.Less(t, time.Since(began), 20*time.Second)
}

// The data file is copied while the program runs; what is restored is checked, and a damaged
// one is told.
func TestBackupRestoreCheck(t *testing.T) {
	dir := t.TempDir()
	data, copied := filepath.Join(dir, "inktally.db"), filepath.Join(dir, "copy.db")
	do := func(args ...string) (string, error) {
		out, err := inktally(t, append(args, "--data", data)...).CombinedOutput()
		return string(out), err
	}
	out, err := do("backup", copied)
	assert.Error(t, err)
	assert.Contains(t, out, "cannot be used")
	assert.NoFileExists(t, copied)
	first := inktally(t, "serve", "--listen", "127.0.0.1:0", "--data", data)
	output, err := first.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, first.Start())
	defer func() { _ = first.Process.Kill(); _ = first.Wait() }()
	_, err = bufio.NewReader(output).ReadString('\n')
	require.NoError(t, err)
	out, err = do("backup", copied)
	require.NoError(t, err, out)
	out, err = do("check")
	require.NoError(t, err, out)
	assert.Contains(t, out, "the file is whole")
	out, err = do("restore", copied)
	assert.Error(t, err)
	assert.Contains(t, out, "is open in another Ink Tally")
	require.NoError(t, first.Process.Signal(os.Interrupt))
	require.NoError(t, first.Wait())
	out, err = do("restore", copied)
	require.NoError(t, err, out)
	assert.Contains(t, out, "What was there before is")
	out, err = do("backup", data)
	assert.Error(t, err)
	assert.Contains(t, out, "is the data file itself")
	raw, err := os.ReadFile(data)
	require.NoError(t, err)
	copy(raw[len(raw)/2:], strings.Repeat("\xff", 3000))
	require.NoError(t, os.WriteFile(data, raw, 0o600))
	out, err = do("check")
	assert.Error(t, err)
	assert.Contains(t, out, "is damaged")
}

// A second start touches nothing: on a port that is taken, and on a file that is open.
func TestSecondStart(t *testing.T) {
	dir := t.TempDir()
	data := filepath.Join(dir, "inktally.db")
	first := inktally(t, "serve", "--listen", "127.0.0.1:0", "--data", data)
	output, err := first.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, first.Start())
	defer func() { _ = first.Process.Kill(); _ = first.Wait() }()
	line, err := bufio.NewReader(output).ReadString('\n')
	require.NoError(t, err)
	_, address, _ := strings.Cut(strings.TrimSpace(line), "http://")
	sum := func() [32]byte {
		raw, err := os.ReadFile(data)
		require.NoError(t, err)
		return sha256.Sum256(raw)
	}
	before := sum()
	for name, c := range map[string]struct{ args, want string }{
		"the port": {"serve --listen " + address + " --data " + filepath.Join(dir, "other.db"),
			"cannot be listened on"},
		"the file": {"serve --listen 127.0.0.1:0 --data " + data, "is open in another Ink Tally"},
		"reread":   {"reread --data " + data, "is open in another Ink Tally"},
	} {
		t.Run(name, func(t *testing.T) {
			second := inktally(t, strings.Fields(c.args)...)
			var printed bytes.Buffer
			second.Stderr = &printed
			assert.Error(t, second.Run())
			assert.Contains(t, printed.String(), c.want)
		})
	}
	assert.NoFileExists(t, filepath.Join(dir, "other.db"))
	assert.Equal(t, before, sum())
	conn, err := net.Dial("tcp", address)
	require.NoError(t, err, "the first goes on")
	require.NoError(t, conn.Close())
	require.NoError(t, first.Process.Signal(os.Interrupt))
	assert.NoError(t, first.Wait(), "it ends in order")
}

// What is told of a client is printed from the data file, and a format or a client that there is not is said.
func TestWalkCommand(t *testing.T) {
	data := filepath.Join(t.TempDir(), "data.db")
	db, err := store.Open(context.Background(), data)
	require.NoError(t, err)
	require.NoError(t, db.Close())
	for _, c := range []struct{ args, says string }{
		{"walk --format xml", `--format is one of html, docx, pdf, md, json, not "xml"`},
		{"pencilled --format docx --output x", `--format is one of html, pdf, not "docx"`},
		{"workbook", "xlsx is no text for a terminal: name a file with --output"},
		{"plan --format docx", "docx is no text for a terminal: name a file with --output"},
		{"brief --page all --client Nobody", "say --client"},
	} {
		out, err := inktally(t, append(strings.Fields(c.args), "--data", data)...).CombinedOutput()
		assert.Error(t, err, c.args)
		assert.Contains(t, string(out), c.says, c.args)
	}
}

// Documents are written as files of each format, the plan on one page and the briefs of all pages too.
func TestDocumentCommands(t *testing.T) {
	dir := t.TempDir()
	data := filepath.Join(dir, "data.db")
	db, err := store.Open(context.Background(), data)
	require.NoError(t, err)
	a, err := app.New(context.Background(), app.Options{DB: db})
	require.NoError(t, err)
	_, err = a.Ground.New(context.Background(), view.Business{Name: "Lowtide Upholstery",
		Services: []view.Service{{Name: "furniture upholstery"}},
		Places:   []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}},
		Phrases:  []string{"furniture upholstery tarn harbor"}})
	require.NoError(t, err)
	a.Close()
	require.NoError(t, db.Close())
	for _, c := range []struct{ args, begins string }{
		{"plan --format docx", "PK"}, {"plan --one-page --format html", "<!doctype html>"},
		{"brief --page all --format docx", "PK"}, {"brief", "# Brief: Home page of Lowtide Upholstery"},
		{"pencilled", "<!doctype html>"}, {"walk", "# Lowtide Upholstery"}, {"walk --format json", "{"},
		{"workbook", "PK"},
	} {
		file := filepath.Join(dir, "out")
		out, err := inktally(t, append(strings.Fields(c.args), "--data", data, "--output", file)...).CombinedOutput()
		require.NoError(t, err, "%s: %s", c.args, out)
		written, err := os.ReadFile(file)
		require.NoError(t, err)
		assert.True(t, strings.HasPrefix(string(written), c.begins), c.args)
	}
}

// Figures are read from files for a client of a data file, or for one that is told in a file; what cannot be read is
// told beside its file.
func TestStandingCommand(t *testing.T) {
	dir := t.TempDir()
	write := func(name, text string) string {
		path := filepath.Join(dir, name)
		require.NoError(t, os.WriteFile(path, []byte(text), 0o600))
		return path
	}
	facts := write("facts.json", `{"name": "Bolt & Hasp", "trade": "locksmith",
 "home_page": "https://boltandhasp.example/",
		"places": [{"name": "Marrow Bend", "state": "OH", "home": true}],
		"rivals": [{"name": "Marrow Lock", "url": "https://marrowlock.example/"},
			{"name": "Lock Palace", "url": "https://lockpalace.example/", "chain": true}]}`)
	links := write("links.csv", "Source page,Source title,Anchor,Domain score,Target URL\n"+
		"https://marrowchamber.example/m/1,Marrow Bend Chamber of Commerce,x,38,https://marrowlock.example/\n"+
		"https://onlychains.example/m/1,Chains,x,38,https://lockpalace.example/\n")
	broken := write("broken.json", `{"rows": [`)
	out, err := inktally(t, "standing", "--json", "--facts", facts, links, broken).Output()
	require.NoError(t, err)
	var read standingRead
	require.NoError(t, json.Unmarshal(out, &read))
	assert.Equal(t, "2 links from 2 sites", read.Files[0].Finds)
	assert.Contains(t, read.Files[1].Fault, "cannot be read")
	require.Len(t, read.Domains["get"].List, 1, "what only a chain has is not asked for")
	assert.Equal(t, "marrowchamber.example", read.Domains["get"].List[0].Name)
	text, err := inktally(t, "standing", "--facts", facts, links).Output()
	require.NoError(t, err)
	assert.Contains(t, string(text), "Ask 1 site for a link")
}
