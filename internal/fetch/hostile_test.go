package fetch

import (
	"bufio"
	"bytes"
	"compress/flate"
	"compress/gzip"
	"compress/zlib"
	"context"
	"fmt"
	"io"
	"net"
	"net/http"
	"net/http/httptest"
	"runtime"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"inktally/core/fault"

	"github.com/andybalholm/brotli"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// packed packs a text as an encoding does.
func packed(encoding, s string) []byte {
	var b bytes.Buffer
	var w io.WriteCloser
	switch encoding {
	case "gzip":
		w = gzip.NewWriter(&b)
	case "br":
		w = brotli.NewWriter(&b)
	case "deflate":
		w = zlib.NewWriter(&b)
	case "raw":
		w, _ = flate.NewWriter(&b, 6)
	}
	_, _ = io.WriteString(w, s)
	_ = w.Close()
	return b.Bytes()
}

// Pages come packed in every way that servers pack them.
func TestPacked(t *testing.T) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		assert.Equal(t, "gzip, deflate, br", r.Header.Get("Accept-Encoding"))
		w.Header().Set("Content-Type", "text/html")
		encoding := r.URL.Path[1:]
		w.Header().Set("Content-Encoding", strings.Replace(encoding, "raw", "deflate", 1))
		if encoding == "gzip,br" {
			_, _ = w.Write(packed("br", string(packed("gzip", "<p>both"))))
			return
		}
		_, _ = w.Write(packed(encoding, "<p>"+encoding))
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	for _, encoding := range []string{"gzip", "br", "deflate", "raw"} {
		d, err := f.Get(context.Background(), Request{Address: server.URL + "/" + encoding, IgnoreRobots: true})
		require.NoError(t, err, encoding)
		assert.Equal(t, "<p>"+encoding, string(d.Body))
	}
}

// raw serves bytes as they are, connection by connection.
func raw(t *testing.T, answer func(c net.Conn, path string)) string {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	t.Cleanup(func() { _ = l.Close() })
	go func() {
		for {
			c, err := l.Accept()
			if err != nil {
				return
			}
			go func() {
				defer c.Close()
				req, err := http.ReadRequest(bufio.NewReader(c))
				if err == nil {
					answer(c, req.URL.Path)
				}
			}()
		}
	}()
	return "http://" + l.Addr().String()
}

// What servers do wrong or by ill will gives one sentence, in bounded time and
// memory, and leaves the fetcher well.
func TestHostileServers(t *testing.T) {
	bomb := packed("gzip", strings.Repeat("\x00", 100<<20))
	html := "HTTP/1.1 200 OK\r\nContent-Type: text/html\r\n"
	site := raw(t, func(c net.Conn, path string) {
		send := func(s string) bool { _, err := io.WriteString(c, s); return err == nil }
		switch path {
		case "/bomb":
			send(fmt.Sprintf("%sContent-Encoding: gzip\r\nContent-Length: %d\r\n\r\n%s", html, len(bomb), bomb))
		case "/cut":
			half := packed("deflate", strings.Repeat("some words ", 5000))
			half = half[:len(half)/2]
			send(fmt.Sprintf("%sContent-Encoding: deflate\r\nContent-Length: %d\r\n\r\n%s", html, len(half), half))
		case "/short":
			send(html + "Content-Length: 5000\r\n\r\nonly this")
		case "/garbage":
			send(html + "Content-Encoding: br\r\nContent-Length: 12\r\n\r\nno brotli it")
		case "/unknown":
			send(html + "Content-Encoding: own-way\r\nContent-Length: 1\r\n\r\nx")
		case "/headers":
			send("HTTP/1.1 200 OK\r\n")
			for n, more := 0, true; more; n++ {
				more = send(fmt.Sprintf("X-%d: %s\r\n", n, strings.Repeat("y", 500)))
			}
		case "/line":
			send("HTTP/1.1 200 OK\r\nX: ")
			for send(strings.Repeat("y", 4096)) {
			}
		case "/drip":
			send(html + "\r\n<p>")
			for send("x") {
				time.Sleep(20 * time.Millisecond)
			}
		case "/stall":
			send(html + "Content-Length: 100\r\n\r\n<p>begun")
			_, _ = io.Copy(io.Discard, c)
		case "/noise":
			send("no HTTP at all\r\n\r\n")
		case "/closed":
		default:
			send(html + "Content-Length: 7\r\n\r\n<p>fine")
		}
	})
	patient := New(Options{Guard: anywhere})
	hasty := New(Options{Guard: anywhere, Timeout: 700 * time.Millisecond})
	for path, want := range map[string]fault.Code{
		"/bomb": PageTooLarge.Code, "/cut": PageCutShort.Code, "/short": PageCutShort.Code,
		"/garbage": PageCutShort.Code,
		"/unknown": UnknownPacking.Code, "/headers": HeadersEndless.Code, "/line": HeadersEndless.Code,
		"/drip": TimedOut.Code, "/stall": TimedOut.Code, "/noise": NotRead.Code, "/closed": NotRead.Code,
	} {
		t.Run(path, func(t *testing.T) {
			var before, after runtime.MemStats
			runtime.ReadMemStats(&before)
			from := time.Now()
			f := patient
			if path == "/drip" || path == "/stall" {
				f = hasty
			}
			_, err := f.Get(context.Background(), Request{Address: site + path, IgnoreRobots: true})
			runtime.ReadMemStats(&after)
			require.Error(t, err, path)
			assert.True(t, fault.Is(err, want), "%v", err)
			assert.Less(t, time.Since(from), 25*time.Second, path)
			assert.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(200<<20), path)
			d, err := f.Get(context.Background(), Request{Address: site + "/fine", IgnoreRobots: true})
			require.NoError(t, err, "after %s", path)
			assert.Equal(t, "<p>fine", string(d.Body))
		})
	}
}

// A page that has not changed is not sent again.
func TestUnchanged(t *testing.T) {
	var sent atomic.Int64
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("ETag", `"one"`)
		w.Header().Set("Last-Modified", "Wed, 01 Jul 2026 10:00:00 GMT")
		if r.Header.Get("If-None-Match") == `"one"` && r.Header.Get("If-Modified-Since") != "" {
			w.WriteHeader(http.StatusNotModified)
			return
		}
		sent.Add(1)
		w.Header().Set("Content-Type", "text/html")
		_, _ = w.Write([]byte("<p>page"))
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	d, err := f.Get(context.Background(), Request{Address: server.URL, IgnoreRobots: true})
	require.NoError(t, err)
	assert.Equal(t, `"one"`, d.ETag)
	again, err := f.Get(context.Background(),
		Request{Address: server.URL, IgnoreRobots: true, ETag: d.ETag, LastModified: d.LastModified})
	require.NoError(t, err)
	assert.True(t, again.Unchanged)
	assert.EqualValues(t, 1, sent.Load())
}

// A redirect to a page that programs are asked not to read is not followed,
// unless that is ignored.
func TestRedirectMindsRobots(t *testing.T) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch r.URL.Path {
		case "/robots.txt":
			_, _ = w.Write([]byte("User-agent: *\nDisallow: /private\nCrawl-delay: 0.01"))
		case "/open":
			http.Redirect(w, r, "/private", http.StatusFound)
		default:
			w.Header().Set("Content-Type", "text/html")
			_, _ = w.Write([]byte("<p>private"))
		}
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	_, err := f.Get(context.Background(), Request{Address: server.URL + "/open"})
	assert.True(t, RobotsRefuse.Is(err), "%v", err)
	d, err := f.Get(context.Background(), Request{Address: server.URL + "/open", IgnoreRobots: true})
	require.NoError(t, err)
	assert.Equal(t, []string{server.URL + "/open"}, d.Redirects)
}

// Requests to one host start one after another, at its pace.
func TestPace(t *testing.T) {
	f := New(Options{})
	h := f.host("shop.example")
	first, second := f.ahead(h), f.ahead(h)
	assert.Zero(t, first)
	assert.InDelta(t, pace, second, float64(pace)/2)
	f.slowDown("shop.example", time.Hour)
	f.ahead(h)
	assert.Greater(t, f.ahead(h), longestPace)
	assert.Contains(t, New(Options{Contact: "me@shop.example\r\nX: y"}).userAgent, "contact: me@shop.exampleX: y)")
	assert.Contains(t, f.userAgent, "contact: not given")
}

// What a browser asks for goes the same way: guarded, without cookies, without
// following redirects.
func TestAsk(t *testing.T) {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		assert.Empty(t, r.Header.Get("Cookie"))
		assert.Contains(t, r.UserAgent(), "InkTally")
		w.Header().Set("Set-Cookie", "a=b")
		if r.URL.Path == "/moved" {
			http.Redirect(w, r, "/", http.StatusFound)
			return
		}
		w.Header().Set("Content-Encoding", "gzip")
		body, _ := io.ReadAll(r.Body)
		_, _ = w.Write(packed("gzip", r.Method+string(body)+r.Header.Get("X-Own")))
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	a, err := f.Ask(context.Background(), http.MethodPost, server.URL,
		http.Header{"Cookie": {"x=y"}, "X-Own": {"z"}, "User-Agent": {"q"}}, []byte("b"), nil)
	require.NoError(t, err)
	assert.Equal(t, "POSTbz", string(a.Body))
	assert.Empty(t, a.Header["Set-Cookie"])
	assert.Empty(t, a.Header["Content-Encoding"])
	a, err = f.Ask(context.Background(), http.MethodGet, server.URL+"/moved", nil, nil, nil)
	require.NoError(t, err)
	assert.Equal(t, http.StatusFound, a.Status)
	_, err = f.Ask(context.Background(), http.MethodGet, "file:///etc/passwd", nil, nil, nil)
	assert.True(t, AddressBad.Is(err))
	_, err = New(Options{}).Ask(context.Background(), http.MethodGet, server.URL, nil, nil, nil)
	assert.True(t, PrivateAddress.Is(err), "%v", err)
}
