package fetch

import (
	"context"
	"fmt"
	"io"
	"log"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"inktally/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAddress(t *testing.T) {
	for typed, want := range map[string]string{
		"shop.example":                  "http://shop.example/",
		" https://Shop.Example/A?b=c#d": "https://shop.example/A?b=c",
		"shop.example:8080/x":           "http://shop.example:8080/x",
		"HTTP://shop.example":           "http://shop.example/",
		"http://a:b@shop.example/":      "http://shop.example/",
		"localhost:8017":                "http://localhost:8017/",
		"[::1]:80":                      "http://[::1]:80/",
	} {
		t.Run(typed, func(t *testing.T) {
			got, err := Address(typed)
			assert.NoError(t, err, typed)
			assert.Equal(t, want, got)
		})
	}
	for typed, want := range map[string]fault.Code{
		"":                                   AddressMissing.Code,
		"  ":                                 AddressMissing.Code,
		"file:///etc/passwd":                 AddressScheme.Code,
		"javascript:alert(1)":                AddressScheme.Code,
		"mailto:a@shop.example":              AddressScheme.Code,
		"ftp://shop.example":                 AddressScheme.Code,
		"http://":                            AddressNoSite.Code,
		"https:///path":                      AddressNoSite.Code,
		"two words.example":                  AddressSpace.Code,
		"http://[::1":                        AddressBad.Code,
		"harbor":                             AddressNoDot.Code,
		"data:text/html,<h1>x":               AddressScheme.Code,
		"http://" + strings.Repeat("x", 999): AddressNoDot.Code,
	} {
		t.Run(typed, func(t *testing.T) {
			_, err := Address(typed)
			require.Error(t, err, typed)
			assert.True(t, fault.Is(err, want), "%v", err)
		})
	}
}

func TestPublicGuard(t *testing.T) {
	for _, s := range []string{"127.0.0.1", "127.8.9.1", "10.1.2.3", "172.16.0.1", "192.168.1.1", "169.254.169.254",
		"0.0.0.0",
		"100.64.1.1", "::1", "::", "fe80::1", "fc00::1", "fd12::1", "::ffff:127.0.0.1", "::ffff:10.0.0.1", "::7f00:1",
		"64:ff9b::7f00:1", "2002:7f00:1::", "224.0.0.1", "255.255.255.255", "ff02::1", "203.0.113.9"} {
		assert.Error(t, Public(netip.MustParseAddr(s)), s)
	}
	for _, s := range []string{"9.9.9.9", "151.101.1.1", "2620:fe::fe"} {
		assert.NoError(t, Public(netip.MustParseAddr(s)), s)
	}
}

// What leads to this machine is refused at the socket, whatever it is called.
func TestDefaultRefusal(t *testing.T) {
	asked := false
	server := httptest.NewServer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { asked = true }))
	defer server.Close()
	_, port, _ := strings.Cut(strings.TrimPrefix(server.URL, "http://"), ":")
	for _, host := range []string{"127.0.0.1", "localhost", "[::1]", "2130706433", "0x7f.1", "127.1",
		"[::ffff:127.0.0.1]"} {
		_, err := New(Options{}).Get(context.Background(),
			Request{Address: "http://" + host + ":" + port + "/", IgnoreRobots: true})
		require.Error(t, err, host)
	}
	assert.False(t, asked)
	_, err := New(Options{}).Get(context.Background(), Request{Address: server.URL, IgnoreRobots: true})
	assert.True(t, PrivateAddress.Is(err), "%v", err)
}

func anywhere(netip.Addr) error { return nil }

func TestGet(t *testing.T) {
	mux := http.NewServeMux()
	mux.HandleFunc("/page", func(w http.ResponseWriter, r *http.Request) {
		assert.Contains(t, r.UserAgent(), "InkTally")
		w.Header().Set("Content-Type", "text/html; charset=windows-1252")
		_, _ = w.Write([]byte("caf\xe9"))
	})
	mux.HandleFunc("/moved", func(w http.ResponseWriter, r *http.Request) {
		http.Redirect(w, r, "/page", http.StatusMovedPermanently)
	})
	mux.HandleFunc("/circle", func(w http.ResponseWriter, r *http.Request) {
		http.Redirect(w, r, "/circle", http.StatusFound)
	})
	mux.HandleFunc("/away", func(w http.ResponseWriter, r *http.Request) {
		http.Redirect(w, r, "file:///etc/passwd", http.StatusFound)
	})
	mux.HandleFunc("/broken", func(w http.ResponseWriter, _ *http.Request) {
		w.WriteHeader(http.StatusInternalServerError)
	})
	mux.HandleFunc("/picture", func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "image/png")
	})
	mux.HandleFunc("/slow", func(_ http.ResponseWriter, r *http.Request) { <-r.Context().Done() })
	mux.HandleFunc("/huge", func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "text/html")
		chunk := []byte(strings.Repeat("x", 1<<20))
		for range 50 {
			if _, err := w.Write(chunk); err != nil {
				return
			}
		}
	})
	server := httptest.NewServer(mux)
	defer server.Close()
	f := New(Options{Guard: anywhere, Timeout: 2 * time.Second})
	d, err := f.Get(context.Background(), Request{Address: server.URL + "/moved", IgnoreRobots: true})
	require.NoError(t, err)
	assert.Equal(t, Document{URL: server.URL + "/page", ContentType: "text/html; charset=windows-1252",
		Body:      []byte("caf\xe9"),
		Redirects: []string{server.URL + "/moved"}}, d)
	for path, want := range map[string]fault.Code{
		"/broken": SiteAnswered.Code, "/nothing": SiteAnswered.Code, "/circle": RedirectCircle.Code,
		"/away": RedirectScheme.Code, "/picture": NotAPage.Code, "/slow": TimedOut.Code, "/huge": PageTooLarge.Code,
	} {
		t.Run(path, func(t *testing.T) {
			_, err := f.Get(context.Background(), Request{Address: server.URL + path, IgnoreRobots: true})
			require.Error(t, err, path)
			assert.True(t, fault.Is(err, want), "%v", err)
		})
	}
	_, err = f.Get(context.Background(), Request{Address: "http://no-such-site.invalid/", IgnoreRobots: true})
	assert.True(t, NoSuchSite.Is(err), "%v", err)
	server.Close()
	_, err = f.Get(context.Background(), Request{Address: server.URL + "/page", IgnoreRobots: true})
	assert.True(t, NoConnection.Is(err), "%v", err)
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	_, err = f.Get(ctx, Request{Address: server.URL, IgnoreRobots: true})
	assert.ErrorIs(t, err, context.Canceled)
}

// A site that is busy or failing is asked again, not more often than it is
// worth, and as late as it says.
func TestAskedAgain(t *testing.T) {
	var mu sync.Mutex
	asked := map[string]int{}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		mu.Lock()
		asked[r.URL.Path]++
		n := asked[r.URL.Path]
		mu.Unlock()
		switch {
		case r.URL.Path == "/busy" && n == 1:
			w.Header().Set("Retry-After", "7")
			w.WriteHeader(http.StatusTooManyRequests)
		case r.URL.Path == "/failing" && n < 3, r.URL.Path == "/broken":
			w.WriteHeader(http.StatusBadGateway)
		case r.URL.Path == "/later":
			w.Header().Set("Retry-After", "3600")
			w.WriteHeader(http.StatusServiceUnavailable)
		case r.URL.Path == "/gone":
			w.WriteHeader(http.StatusGone)
		default:
			_, _ = w.Write([]byte("<p>x"))
		}
	}))
	defer server.Close()
	var waits []time.Duration
	f := New(Options{Guard: anywhere, Wait: func(_ context.Context, _ int, after time.Duration) error {
		waits = append(waits, after)
		return nil
	}})
	for path, want := range map[string]int{"/busy": 2, "/failing": 3, "/broken": 3, "/later": 1, "/gone": 1,
		"/fine": 1} {
		t.Run(path, func(t *testing.T) {
			_, err := f.Get(context.Background(), Request{Address: server.URL + path, IgnoreRobots: true})
			assert.Equal(t, path == "/broken" || path == "/later" || path == "/gone", err != nil, path)
			assert.Equal(t, want, asked[path], path)
		})
	}
	assert.Contains(t, waits, 7*time.Second)
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	assert.Error(t, backOff(ctx, 1, 0))
	assert.Zero(t, retryAfter("soon"))
	assert.Greater(t, retryAfter(time.Now().Add(time.Hour).UTC().Format(http.TimeFormat)), time.Minute)
}

// Whatever is asked of a host goes through one limit: pages, what they redirect
// to, robots.txt and style sheets; a few at the same time, at the host's pace.
func TestPerHost(t *testing.T) {
	var mu sync.Mutex
	now, most, asked := 0, 0, 0
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		mu.Lock()
		now++
		asked++
		most = max(most, now)
		mu.Unlock()
		time.Sleep(5 * time.Millisecond)
		mu.Lock()
		now--
		mu.Unlock()
		switch {
		case r.URL.Path == "/moved":
			http.Redirect(w, r, "/", http.StatusFound)
		case strings.HasSuffix(r.URL.Path, ".css"):
			w.Header().Set("Content-Type", "text/css")
			_, _ = w.Write([]byte("p{color:red}"))
		case r.URL.Path == "/robots.txt":
			http.NotFound(w, r)
		default:
			w.Header().Set("Content-Type", "text/html")
			var links strings.Builder
			for i := range 9 {
				fmt.Fprintf(&links, "<link rel=stylesheet href=/%d.css>", i)
			}
			_, _ = w.Write([]byte(links.String() + "<p>x"))
		}
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	began := time.Now()
	var group sync.WaitGroup
	for i := range 6 {
		group.Go(func() {
			doc, err := f.Get(context.Background(), Request{Address: server.URL + []string{"/", "/moved"}[i%2]})
			assert.NoError(t, err)
			assert.Len(t, f.Sheets(context.Background(), doc), 9)
		})
	}
	group.Wait()
	assert.LessOrEqual(t, most, perHost)
	assert.Greater(t, asked, 18)
	next := f.host("127.0.0.1").next
	assert.GreaterOrEqual(t, next.Sub(began), time.Duration(asked)*pace, "each of %d requests waits for its start",
		asked)
}

// Style sheets come with what they import, once each, and within bounds.
func TestSheets(t *testing.T) {
	var mu sync.Mutex
	asked := map[string]int{}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		mu.Lock()
		asked[r.URL.Path]++
		mu.Unlock()
		switch r.URL.Path {
		case "/a.css":
			_, _ = w.Write([]byte("@import 'b.css'; @import 'a.css'; p{display:none}"))
		case "/b.css":
			_, _ = w.Write([]byte("@import url(sub/c.css)"))
		case "/sub/c.css":
			_, _ = w.Write([]byte("c"))
		case "/huge.css":
			_, _ = w.Write([]byte(strings.Repeat("x", maxSheetBytes+1)))
		case "/page.css":
			w.Header().Set("Content-Type", "text/html")
		default:
			http.NotFound(w, r)
		}
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	body := `<link rel=stylesheet href=a.css><link rel=stylesheet href=/huge.css><link rel=stylesheet href=page.css>
		<link rel=stylesheet href=gone.css><link rel=stylesheet href="file:///etc/passwd"><link rel=stylesheet href="http://127.0.0.1:1/x.css">`
	doc := Document{URL: server.URL + "/", Body: []byte(body)}
	for range 2 {
		sheets := f.Sheets(context.Background(), doc)
		assert.Len(t, sheets, 3)
		assert.Equal(t, "c", sheets[server.URL+"/sub/c.css"])
	}
	assert.Equal(t, 1, asked["/a.css"], "a sheet is asked for once")
	many := strings.Repeat("<link rel=stylesheet href=a.css?x>", 3)
	for i := range 200 {
		many += fmt.Sprintf("<link rel=stylesheet href=none%d.css>", i)
	}
	assert.Len(t, f.Sheets(context.Background(), Document{URL: server.URL + "/", Body: []byte(many)}), 1)
	assert.Less(t, len(asked), 2*maxSheets)
	assert.Empty(t, New(Options{}).Sheets(context.Background(), doc), "the guard is asked for sheets too")
}

// What a site asks of programs is kept, and can be ignored.
func TestRobots(t *testing.T) {
	asked := 0
	failing := false
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch {
		case r.URL.Path == "/robots.txt" && failing:
			w.WriteHeader(http.StatusServiceUnavailable)
		case r.URL.Path == "/robots.txt":
			asked++
			_,
				_ = w.Write(
				[]byte(
					"User-agent: *\nDisallow: /kept/\nAllow: /kept/open\n\nUser-agent: InkTally\nDisallow: /quiet\n"))
		default:
			_, _ = w.Write([]byte("<p>x"))
		}
	}))
	defer server.Close()
	f := New(Options{Guard: anywhere})
	for path, welcome := range map[string]bool{"/": true, "/kept/x": true, "/quiet": false, "/quiet/x?y": false,
		"/loud": true} {
		t.Run(path, func(t *testing.T) {
			_, err := f.Get(context.Background(), Request{Address: server.URL + path, IgnoreRobots: false})
			assert.Equal(t, welcome, err == nil, path)
			if !welcome {
				assert.True(t, RobotsRefuse.Is(err), "%v", err)
			}
			_, err = f.Get(context.Background(), Request{Address: server.URL + path, IgnoreRobots: true})
			assert.NoError(t, err)
		})
	}
	assert.Equal(t, 1, asked, "robots.txt is asked for once")
	failing = true
	_, err := New(Options{Guard: anywhere}).Get(context.Background(), Request{Address: server.URL, IgnoreRobots: false})
	assert.True(t, RobotsRefuse.Is(err), "a site that fails to say forbids")
}

func TestFile(t *testing.T) {
	dir := t.TempDir()
	name := filepath.Join(dir, "page.html")
	require.NoError(t, os.WriteFile(name, []byte("<p>x"), 0o600))
	d, err := File(name)
	require.NoError(t, err)
	assert.Equal(t, "<p>x", string(d.Body))
	require.NoError(t, os.WriteFile(name, nil, 0o600))
	_, err = File(name)
	assert.True(t, FileEmpty.Is(err))
	_, err = File(dir)
	assert.True(t, FileIsFolder.Is(err))
	_, err = File(name + "x")
	assert.True(t, FileUnreadable.Is(err))
}

// A certificate that nobody vouches for is told as such.
func TestUntrustedCertificate(t *testing.T) {
	server := httptest.NewTLSServer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) {}))
	defer server.Close()
	server.Config.ErrorLog = log.New(io.Discard, "", 0)
	f := New(Options{Guard: func(netip.Addr) error { return nil }})
	_, err := f.Get(context.Background(), Request{Address: server.URL + "/", IgnoreRobots: true})
	assert.True(t, Untrusted.Is(err), "%v", err)
}

// Hosts that nobody asked for an hour are forgotten, but for those that are being asked.
func TestHostsAreForgotten(t *testing.T) {
	f := New(Options{})
	long := time.Now().Add(-2 * forgotten)
	for i := range 100 {
		f.host(fmt.Sprint("old", i)).asked = long
	}
	busy := f.host("busy")
	busy.turns <- struct{}{}
	busy.asked = long
	f.slowDown("slow", 3*time.Second)
	f.host("new")
	assert.Len(t, f.hosts, 3)
	assert.Same(t, busy, f.host("busy"))
	assert.Equal(t, 3*time.Second, f.host("slow").pace)
}
