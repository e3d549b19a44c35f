package main

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// run runs the command and returns what it prints.
func run(in string, args ...string) (string, error) {
	cmd := measureCommand()
	var out bytes.Buffer
	cmd.SetArgs(args)
	cmd.SetIn(strings.NewReader(in))
	cmd.SetOut(&out)
	cmd.SetErr(&out)
	cmd.SilenceUsage, cmd.SilenceErrors = true, true
	err := cmd.Execute()
	return out.String(), err
}

const sample = `<html lang=en><title> Soot
 &amp; Co </title><h1>Flue  liner Ostrey</h1><p>Some words here.</p><img src="/a/IMG_2041.jpg?x"><img src=b.png alt="">`

// The shape of the JSON is kept to the letter.
func TestMeasureJSON(t *testing.T) {
	out, err := run(sample, "--json", "--phrase", "flue liner ostrey", "-")
	require.NoError(t, err)
	slots := func(h1 string) string {
		return `{"title":0,"description":0,"address":0,"h1":` + h1 +
			`,"subheads":0,"opening":0,"body":0,"links":0,"image_names":0,"alt":0,"elsewhere":0,"total":` + h1 + `}`
	}
	assert.Equal(t,
		`{"url":"","title":"Soot \u0026 Co","description":"","lang":"en","words":{"seen":6,"copy":6,"hidden":0},`+
			`"headings":[{"level":1,"text":"Flue liner Ostrey","words":6}],`+
			`"images":[{"src":"/a/IMG_2041.jpg?x","file":"IMG_2041","alt":null,"hidden":false,"verdict":"camera"},`+
			`{"src":"b.png","file":"b","alt":"","hidden":false,"verdict":"plain"}],`+
			`"phrases":[{"phrase":"flue liner ostrey","exact":`+slots("1")+`,"loose":`+slots("0")+`}],"warnings":[]}`+
			"\n",
		out)
	out, err = run("<p>x", "--json", "-")
	require.NoError(t, err)
	assert.Contains(t, out, `"headings":[],"images":[],"phrases":[],"warnings":[]`)
}

func TestMeasureTable(t *testing.T) {
	out, err := run(strings.Repeat("word ", 1234)+sample, "--phrase", "flue liner ostrey", "-")
	require.NoError(t, err)
	assert.Contains(t, out, "1240  ||||\u0337 ||||\u0337 ||")
	assert.Contains(t, out, "H1 Flue liner Ostrey")
	assert.Contains(t, out, "camera name")
}

// What cannot be read is said in one sentence.
func TestMeasureBadInput(t *testing.T) {
	dir := t.TempDir()
	file := func(name string, body []byte) string {
		path := filepath.Join(dir, name)
		require.NoError(t, os.WriteFile(path, body, 0o600))
		return path
	}
	for _, c := range []struct{ arg, says string }{
		{file("empty.html", nil), "is empty"},
		{file("huge.html", bytes.Repeat([]byte("x "), 25<<20)), "larger than 20 MB"},
		{file("picture.html", []byte("\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR\x00\x00")), "is not a web page"},
		{filepath.Join(dir, "gone.html"), "cannot be read"},
		{t.TempDir(), "holds no saved page"},
		{"file:///etc/passwd", "begins with file:"},
		{"javascript:alert(1)", "begins with javascript:"},
		{"http://127.0.0.1:1/", "private network"},
		{"http://10.1.2.3/", "private network"},
		{"http:///x", "names no site"},
	} {
		t.Run(filepath.Base(c.arg), func(t *testing.T) {
			out, err := run("", "--json", c.arg)
			require.Error(t, err, c.arg)
			assert.Contains(t, sentence(err), c.says)
			assert.NotContains(t, sentence(err), "\n")
			assert.Empty(t, out)
		})
	}
	_, err := run(sample, "--phrase", "  ", "-")
	assert.Contains(t, sentence(err), "holds no word")
	_, err = run("", "-")
	assert.Contains(t, sentence(err), "standard input is empty")
}

// A folder gives one object a line; pages are read with the sheets beside them.
func TestMeasureFolder(t *testing.T) {
	dir := t.TempDir()
	require.NoError(t, os.Mkdir(filepath.Join(dir, "a b"), 0o700))
	for name, body := range map[string]string{
		"one.html":        `<link rel=stylesheet href="a b/x.css"><p>seen<p class=h>hidden words`,
		"a b/two.htm":     `<link rel=stylesheet href=x.css><p>seen too<p class=h>hidden`,
		"a b/x.css":       ".h{display:none}",
		"not-a-page.text": "x",
	} {
		t.Run(name, func(t *testing.T) {
			require.NoError(t, os.WriteFile(filepath.Join(dir, name), []byte(body), 0o600))
		})
	}
	out, err := run("", "--json", dir)
	require.NoError(t, err)
	lines := strings.Split(strings.TrimSpace(out), "\n")
	require.Len(t, lines, 2)
	assert.Contains(t, lines[0], `"words":{"seen":2,"copy":2,"hidden":1}`)
	assert.Contains(t, lines[1], `"words":{"seen":1,"copy":1,"hidden":2}`)
	assert.Contains(t, lines[1], `"warnings":[]`)
}

// The worst pages give a reading, with a warning.
func TestMeasureWorstPages(t *testing.T) {
	out, err := run(strings.Repeat("<div>", 2_000_000), "--json", "-")
	require.NoError(t, err)
	var m struct{ Warnings []string }
	require.NoError(t, json.Unmarshal([]byte(out), &m))
	assert.Contains(t, strings.Join(m.Warnings, " "), "too_deep")
	out, err = run("<meta charset=no-such>caf\xe9 r\xc3\xa9sum\xe9", "--json", "-")
	require.NoError(t, err)
	assert.Contains(t, out, `"seen":2`)
}

// The pages of web archives are measured like others; a damaged archive is told
// and not taken for a page.
func TestMeasureArchives(t *testing.T) {
	dir := t.TempDir()
	body := "HTTP/1.1 200 OK\r\nContent-Type: text/html\r\n\r\n<p>two words"
	record := fmt.Sprintf("WARC/1.0\r\nWARC-Type: response\r\nWARC-Record-ID: "+
		"<urn:uuid:00000000-0000-0000-0000-000000000001>\r\n"+
		"WARC-Date: 2026-01-01T00:00:00Z\r\nWARC-Target-URI: http://ash.example/\r\nContent-Type: application/http; "+
		"msgtype=response\r\n"+
		"Content-Length: %d\r\n\r\n%s\r\n\r\n", len(body), body)
	for name, body := range map[string]string{"a.warc": record, "d.warc": "WARC/1.0\nbroken",
		"b.mhtml": "MIME-Version: 1.0\nContent-Type: multipart/related; boundary=b\n\n--b\nContent-Type: " +
			"text/html\nContent-Location: http://ash.example/b\n\n<p>three words here\n--b--\n"} {
		require.NoError(t, os.WriteFile(filepath.Join(dir, name), []byte(body), 0o600))
	}
	var out, warnings bytes.Buffer
	m := measuring{asJSON: true, out: &out}
	require.NoError(t, m.all(context.Background(), dir, &warnings))
	assert.Equal(t, 2, strings.Count(out.String(), "\n"))
	assert.Contains(t, out.String(), `"url":"http://ash.example/"`)
	assert.Contains(t, out.String(), `"url":"http://ash.example/b"`)
	assert.Contains(t, warnings.String(), "d.warc: This web archive")
	assert.Error(t, m.all(context.Background(), filepath.Join(dir, "d.warc"), &warnings))
}
