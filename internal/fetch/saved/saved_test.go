package saved

import (
	"bytes"
	"compress/gzip"
	"fmt"
	"os"
	"strings"
	"testing"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func seen(p Copy) int {
	return page.Read(p.Document.Body, page.Source{URL: p.Document.URL, ContentType: p.Document.ContentType,
		Base: p.Base, Sheets: p.Sheets}).Words.Seen
}

func TestSavedPageWithItsFolder(t *testing.T) {
	pages, problems := Read([]File{
		{"Home.html", []byte(`<!doctype html>
<!-- saved from url=(0026)https://ash.example/home -->
<link rel=stylesheet href="./Home_files/a%20b.css"><p class=off>gone</p><p class=far>far</p><p>two words`)},
		{"Home_files/a b.css", []byte(`@import "sub/c.css"; .off{display:none}`)},
		{"Home_files/sub/c.css", []byte(`.far{display:none}`)},
		{"Home_files/saved_resource.html", []byte(`<p>framed`)},
		{"Home_files/logo.png", []byte("\x89PNG")},
		{"notes.txt", []byte("One line\nand another <b>")},
		{"unnamed", []byte("  <!DOCTYPE html><p>found by how it begins")},
		{`folder\other.htm`, []byte("<p>one")},
	})
	require.Empty(t, problems)
	require.Len(t, pages, 4)
	assert.Equal(t, "https://ash.example/home", pages[0].Document.URL)
	assert.Equal(t, 2, seen(pages[0]))
	assert.Equal(t, 5, seen(pages[1]))
	assert.Equal(t, "folder/other.htm", pages[3].File)
}

const mhtmlFile = `From: <Saved by a browser>
Snapshot-Content-Location: http://ash.example/
Subject: Home
MIME-Version: 1.0
Content-Type: multipart/related; type="text/html"; boundary="----b"

------b
Content-Type: text/html
Content-ID: <frame-1@mhtml>
Content-Transfer-Encoding: quoted-printable
Content-Location: http://ash.example/

<html><head><meta charset=3D"utf-8"><link rel=3D"stylesheet" href=3D"cid:css-=
1@mhtml"></head><p class=3Doff>gone</p><p>caf=C3=A9 is open</p>
------b
Content-Type: text/css
Content-Transfer-Encoding: base64
Content-Location: cid:css-1@mhtml

Lm9mZntkaXNwbGF5Om5vbmV9
------b
Content-Type: text/html
Content-Transfer-Encoding: 8bit
Content-Location: http://ash.example/framed

<p>framed
------b--
`

func TestMHTML(t *testing.T) {
	pages, problems := Read([]File{{"home.mhtml", []byte(strings.ReplaceAll(mhtmlFile, "\n", "\r\n"))}})
	require.Empty(t, problems)
	require.Len(t, pages, 1)
	assert.Equal(t, "http://ash.example/", pages[0].Document.URL)
	assert.True(t, pages[0].Archive)
	assert.Equal(t, 3, seen(pages[0]))
	assert.Contains(t, string(pages[0].Document.Body), "café")
	// Cut short behind the page, it is read as far as it goes.
	pages, problems = Read([]File{{"home.mht", []byte(mhtmlFile[:strings.Index(mhtmlFile, "Lm9m")])}})
	assert.Empty(t, problems)
	assert.Equal(t, 4, seen(pages[0]))
}

// record makes a WARC record of a response.
func record(address, header, body string) string {
	http := "HTTP/1.1 200 OK\r\n" + header + "\r\n\r\n" + body
	return fmt.Sprintf("WARC/1.0\r\nWARC-Type: response\r\nWARC-Record-ID: "+
		"<urn:uuid:00000000-0000-0000-0000-000000000001>\r\n"+
		"WARC-Date: 2026-01-01T00:00:00Z\r\nWARC-Target-URI: %s\r\nContent-Type: application/http; "+
		"msgtype=response\r\nContent-Length: %d\r\n\r\n%s\r\n\r\n",
		address, len(http), http)
}

func zipped(s string) string {
	var b bytes.Buffer
	w := gzip.NewWriter(&b)
	_, _ = w.Write([]byte(s))
	_ = w.Close()
	return b.String()
}

func TestWARC(t *testing.T) {
	p := record("http://ash.example/", "Content-Type: text/html; charset=windows-1252",
		"<link rel=stylesheet href=s.css><p class=off>gone</p><p>caf\xe9 open")
	sheet := record("http://ash.example/s.css", "Content-Type: text/css\r\nContent-Encoding: gzip",
		zipped(".off{display:none}"))
	second := record("http://ash.example/two", "Content-Type: text/html", "<p>second")
	image := record("http://ash.example/x.png", "Content-Type: image/png", "x")
	for name, body := range map[string]string{
		"plain.warc":     p + sheet + image + second,
		"packed.warc.gz": zipped(p) + zipped(sheet) + zipped(image) + zipped(second),
	} {
		t.Run(name, func(t *testing.T) {
			pages, problems := Read([]File{{name, []byte(body)}})
			require.Empty(t, problems, name)
			require.Len(t, pages, 2, name)
			assert.Equal(t, "http://ash.example/", pages[0].Document.URL)
			assert.Equal(t, 2, seen(pages[0]), name)
			assert.Equal(t, 1, seen(pages[1]), name)
		})
	}
	// A broken record leaves what stands before it.
	pages, problems := Read([]File{{"cut.warc", []byte(p + sheet + second[:len(second)-30])}})
	require.Len(t, problems, 1)
	assert.Equal(t, "cut.warc", problems[0].File)
	require.NotEmpty(t, pages)
	assert.Equal(t, 2, seen(pages[0]))
}

func TestBadFiles(t *testing.T) {
	bomb := zipped(strings.Repeat(strings.Repeat("x", 1<<20), 30))
	for name, c := range map[string]struct {
		body string
		want fault.Code
	}{
		"empty.html":    {"", fetch.FileEmpty.Code},
		"blank.txt":     {" \n ", fetch.FileEmpty.Code},
		"photo.jpg":     {"\xff\xd8", NoPageInFiles.Code},
		"large.html":    {strings.Repeat("<p>word ", 3<<20), fetch.PageTooLarge.Code},
		"nothing.mhtml": {"nothing", ArchiveUnreadable.Code},
		"no.mhtml": {"MIME-Version: 1.0\r\nContent-Type: multipart/related; boundary=x\r\n\r\nno parts",
			ArchiveDamaged.Code},
		"text.mhtml":  {"MIME-Version: 1.0\r\nContent-Type: image/png\r\n\r\nx", ArchiveEmpty.Code},
		"noise.warc":  {"WARC/1.0\r\nnoise\r\n\r\n", ArchiveEmpty.Code},
		"broken.warc": {"WARC/", ArchiveEmpty.Code},
		"bomb.warc": {record("http://ash.example/", "Content-Type: text/html\r\nContent-Encoding: gzip", bomb),
			ArchiveRecords.Code},
		"cut.warc": {record("http://ash.example/", "Content-Type: text/html\r\nContent-Encoding: gzip",
			bomb[:len(bomb)/2]), ArchiveRecords.Code},
		"odd.warc": {record("http://ash.example/", "Content-Type: text/html\r\nContent-Encoding: deflate",
			"not deflate"), ArchiveRecords.Code},
	} {
		t.Run(name, func(t *testing.T) {
			pages, problems := Read([]File{{name, []byte(c.body)}})
			assert.Empty(t, pages, name)
			require.Len(t, problems, 1, name)
			assert.True(t, fault.Is(problems[0].Err, c.want), "%s: %v", name, problems[0].Err)
		})
	}
}

func TestSame(t *testing.T) {
	assert.True(t, Same("http://www.ash.example/", "https://ash.example"))
	assert.True(t, Same("http://ash.example/A/", "https://ASH.example/A#x"))
	assert.False(t, Same("http://ash.example/A", "http://ash.example/a"))
	assert.False(t, Same("", ""))
}

func FuzzMHTML(f *testing.F) {
	f.Add([]byte(mhtmlFile))
	f.Add([]byte("MIME-Version: 1.0\r\nContent-Type: multipart/related; boundary=x\r\n\r\n--x\r\nContent-Type: " +
		"multipart/mixed; boundary=x\r\n\r\n--x--"))
	f.Fuzz(func(t *testing.T, body []byte) { check(t, "a.mhtml", body) })
}

func FuzzWARC(f *testing.F) {
	f.Add([]byte(record("http://ash.example/", "Content-Type: text/html", "<p>one two")))
	f.Add([]byte(zipped(record("http://ash.example/", "Content-Type: text/html\r\nTransfer-Encoding: chunked",
		"3\r\n<p>\r\n0\r\n\r\n"))))
	f.Fuzz(func(t *testing.T, body []byte) { check(t, "a.warc.gz", body) })
}

// check reads any file: pages or problems come of it, each a fault.
func check(t *testing.T, name string, body []byte) {
	pages, problems := Read([]File{{name, body}})
	if len(pages)+len(problems) == 0 {
		t.Fatal("neither a page nor a problem")
	}
	for _, p := range problems {
		if _, known := fault.Of(p.Err); !known {
			t.Fatal(p.Err)
		}
	}
	for _, p := range pages {
		seen(p)
	}
}

// A small archive that unfolds to a huge one is given up at a bound on all of it, and leaves
// nothing behind.
func TestArchiveBomb(t *testing.T) {
	temp := t.TempDir()
	t.Setenv("TMPDIR", temp)
	const huge = maxUnfolded + 64<<20
	var packed bytes.Buffer
	w, err := gzip.NewWriterLevel(&packed, gzip.BestSpeed)
	require.NoError(t, err)
	good := record("http://ash.example/", "Content-Type: text/html", "<p>one two")
	_, _ = w.Write([]byte(good))
	fmt.Fprintf(w, "WARC/1.1\r\nWARC-Type: response\r\nWARC-Target-URI: http://ash.example/big\r\nWARC-Date: "+
		"2026-11-26T00:00:00Z\r\nWARC-Record-ID: <urn:uuid:1>\r\nContent-Type: "+
		"application/http;msgtype=response\r\nContent-Length: %d\r\n\r\nHTTP/1.1 200 OK\r\nContent-Type: "+
		"text/html\r\n\r\n", huge)
	zeros := make([]byte, 1<<20)
	for range huge >> 20 {
		_, _ = w.Write(zeros)
	}
	require.NoError(t, w.Close())
	require.Less(t, packed.Len(), 4<<20)
	pages, problems := Read([]File{{Name: "a.warc.gz", Body: packed.Bytes()}})
	require.Len(t, problems, 1)
	assert.True(t, fault.Is(problems[0].Err, ArchiveTooLarge.Code), "%v", problems[0].Err)
	assert.Len(t, pages, 1, "what stands before it is kept")
	left, err := os.ReadDir(temp)
	require.NoError(t, err)
	assert.Empty(t, left)
}
