package render

import (
	"bytes"
	"context"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/page"
	"inktally/internal/fetch"

	"github.com/chromedp/chromedp"
	"github.com/shirou/gopsutil/v4/process"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// shop returns a site whose pages are odd in the ways that a browser meets.
func shop(t *testing.T) (*httptest.Server, *atomic.Int64) {
	var loaded atomic.Int64 // pictures and fonts
	pages := map[string]string{
		"/": `<!doctype html><title>wait</title><style>.off{display:none} b{display:block}</style><link rel=stylesheet href=/s.css>
			<div id=root></div><p class=off>switched off</p><p class=far>far</p><script src=/app.js></script><img src=/p.png>`,
		"/never": `<p>start<script>setInterval(() => document.body.append(document.createElement('p')), 50)</script>`,
		"/loop":  `<p>start<script>for (;;) {}</script>`,
		"/led":   `<script>location.href = '/there'</script>`,
		"/there": `<h1>There</h1>`,
		"/ask":   `<p>one<script>alert('stop'); document.body.append('two')</script>`,
		"/crash": `<p>big<script>const a = []; for (;;) a.push(new Array(1e6).fill(Math.random()).join())</script>`,
		"/tamper": `<p>real<script>Element.prototype.cloneNode = () => document.createElement('i')
			window.getComputedStyle = () => ({display: 'none'})</script>`,
	}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Set-Cookie", "a=b")
		if r.Header.Get("Cookie") != "" {
			t.Error("a cookie was sent")
		}
		switch r.URL.Path {
		case "/robots.txt":
			_, _ = w.Write([]byte("User-agent: *\nDisallow: /private"))
		case "/p.png", "/f.woff2":
			loaded.Add(1)
		case "/s.css":
			w.Header().Set("Content-Type", "text/css")
			_,
				_ = w.Write(
				[]byte(
					`@font-face{font-family:F;src:url(/f.woff2)} body{font-family:F} .far{visibility:hidden} .hero{background:url(/img/roof-sweep.jpg)}`))
		case "/app.js":
			w.Header().Set("Content-Type", "text/javascript")
			_, _ = w.Write([]byte(`fetch('/data.json').then(r => r.json()).then(d => {
				document.title = d.title
				document.getElementById('root').innerHTML = '<h1>' + d.title + '</h1><p class=hero>Drawn <b>by</b> script</p><script>never</' + 'script>'
			})`))
		case "/data.json":
			time.Sleep(150 * time.Millisecond) // a slow answer, which the page waits for
			_, _ = w.Write([]byte(`{"title": "Sweeps of Ostrey"}`))
		case "/moved":
			http.Redirect(w, r, "/there", http.StatusMovedPermanently)
		case "/broken":
			w.WriteHeader(http.StatusBadGateway)
		default:
			body, ok := pages[r.URL.Path]
			if !ok {
				w.WriteHeader(http.StatusNotFound)
			}
			w.Header().Set("Content-Type", "text/html; charset=utf-8")
			_, _ = w.Write([]byte(body))
		}
	}))
	t.Cleanup(server.Close)
	return server, &loaded
}

func anywhere(netip.Addr) error { return nil }

func browser(t *testing.T, timeout time.Duration) *Browser {
	web := fetch.New(fetch.Options{Guard: anywhere, Wait: func(context.Context, int, time.Duration) error {
		return nil
	}})
	b := New(Options{Web: web, Timeout: timeout})
	require.True(t, b.Available(), "Chromium is missing: make browser")
	t.Cleanup(b.Close)
	return b
}

func render(t *testing.T, b *Browser, address string) (fetch.Document, *page.Page) {
	t.Helper()
	doc, err := b.Render(context.Background(), fetch.Request{Address: address})
	require.NoError(t, err)
	return doc, page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType, Rendered: true})
}

// A page that a script builds is read with what its scripts added, what is hidden
// by any sheet is hidden, and no picture and no font is loaded.
func TestDrawnByScript(t *testing.T) {
	server, loaded := shop(t)
	b := browser(t, 0)
	doc, p := render(t, b, server.URL+"/")
	assert.Equal(t, "Sweeps of Ostrey", p.Title)
	var shown, hidden []string
	for i := range p.Blocks {
		if p.Blocks[i].Hidden {
			hidden = append(hidden, p.Text(i))
		} else {
			shown = append(shown, p.Text(i))
		}
	}
	assert.Equal(t, []string{"Sweeps of Ostrey", "Drawn", "by", "script"}, shown)
	assert.Equal(t, []string{"switched off", "far"}, hidden)
	assert.Empty(t, p.Warnings)
	require.Len(t, p.Images, 2)
	assert.Equal(t, "roof-sweep", p.Images[0].File)
	assert.Equal(t, "p", p.Images[1].File)
	assert.NotContains(t, string(doc.Body), "<script")
	assert.NotContains(t, string(doc.Body), "<style")
	assert.Zero(t, loaded.Load())
}

func TestDrawnOddities(t *testing.T) {
	server, _ := shop(t)
	b := browser(t, 0)
	doc, p := render(t, b, server.URL+"/moved")
	assert.Equal(t, server.URL+"/there", doc.URL)
	assert.Equal(t, []string{server.URL + "/moved"}, doc.Redirects)
	assert.Equal(t, "There", p.Headings[0].Text)
	doc, _ = render(t, b, server.URL+"/led")
	assert.Equal(t, server.URL+"/there", doc.URL)
	_, p = render(t, b, server.URL+"/ask")
	assert.Equal(t, "two", p.Text(1), "a dialog does not hold a page up")
	_, p = render(t, b, server.URL+"/tamper")
	assert.Equal(t, "real", p.Text(0), "a page cannot reach into its reading")
	_, p = render(t, b, server.URL+"/never")
	assert.Equal(t, "start", p.Text(0), "a page that never rests is read all the same")
}

// Each failure is one sentence, and the browser goes on.
func TestDrawingFails(t *testing.T) {
	server, _ := shop(t)
	b := browser(t, 15*time.Second) // a crash takes its time on a machine that is busy
	for path, want := range map[string]fault.Code{
		"/broken": fetch.SiteAnswered.Code, "/nothing": fetch.SiteAnswered.Code, "/private": fetch.RobotsRefuse.Code,
		"/loop":  RenderTimedOut.Code,
		"/crash": RenderMemory.Code,
	} {
		t.Run(path, func(t *testing.T) {
			_, err := b.Render(context.Background(), fetch.Request{Address: server.URL + path})
			require.Error(t, err, path)
			assert.True(t, fault.Is(err, want), "%v", err)
		})
	}
	_, p := render(t, b, server.URL+"/there")
	assert.Equal(t, "There", p.Headings[0].Text)
	ctx, cancel := context.WithCancel(context.Background())
	time.AfterFunc(300*time.Millisecond, cancel)
	_, err := b.Render(ctx, fetch.Request{Address: server.URL + "/loop"})
	assert.ErrorIs(t, err, context.Canceled)
}

// A browser that has died is started anew.
func TestBrowserDies(t *testing.T) {
	server, _ := shop(t)
	b := browser(t, 0)
	render(t, b, server.URL+"/there")
	require.NoError(t, chromedp.FromContext(b.running).Browser.Process().Kill())
	_, p := render(t, b, server.URL+"/there")
	assert.Equal(t, "There", p.Headings[0].Text)
	time.AfterFunc(200*time.Millisecond, func() { _ = chromedp.FromContext(b.running).Browser.Process().Kill() })
	_, p = render(t, b, server.URL+"/") // lost while it renders
	assert.Equal(t, "Sweeps of Ostrey", p.Title)
}

// A browser that hangs, or that opens no tab any more, is ended, and the page is rendered by
// another one; it costs the time that an empty tab may take, once.
func TestBrowserHangsLater(t *testing.T) {
	server, _ := shop(t)
	for name, harm := range map[string]func(t *testing.T, pid int32){
		"it stands still": func(t *testing.T, pid int32) {
			require.NoError(t, syscall.Kill(int(pid), syscall.SIGSTOP))
		},
		"it starts no process": func(t *testing.T, pid int32) {
			for _, p := range tree(pid) {
				if line, _ := p.Cmdline(); strings.Contains(line, "--type=zygote") {
					require.NoError(t, p.Kill())
				}
			}
		},
	} {
		t.Run(name, func(t *testing.T) {
			t.Parallel()
			b := browser(t, 0)
			var said bytes.Buffer
			b.options.Log = slog.New(slog.NewTextHandler(&said, nil))
			render(t, b, server.URL+"/there")
			first := chromedp.FromContext(b.running).Browser.Process().Pid
			harm(t, int32(first))
			began := time.Now()
			for range 3 {
				_, p := render(t, b, server.URL+"/there")
				assert.Equal(t, "There", p.Headings[0].Text)
			}
			assert.NotEqual(t, first, chromedp.FromContext(b.running).Browser.Process().Pid)
			t.Logf("%.1f s: %s", time.Since(began).Seconds(), &said)
			assert.Contains(t, said.String(), "it opens no tab")
			assert.Contains(t, said.String(), "pages=2")
			assert.Equal(t, name == "it stands still", strings.Contains(said.String(), "browser stop"))
			assert.Equal(t, name == "it starts no process", !strings.Contains(said.String(), "zygote"))
		})
	}
}

// One that was given by its address and hangs does not hold up the end.
func TestBrowserHangsElsewhere(t *testing.T) {
	server, _ := shop(t)
	b := New(Options{Web: fetch.New(fetch.Options{Guard: anywhere}), URL: elsewhere(t, browser(t, 0).options.Path)})
	render(t, b, server.URL+"/there")
	own, err := process.NewProcess(int32(os.Getpid()))
	require.NoError(t, err)
	children, err := own.Children()
	require.NoError(t, err)
	for _, p := range children {
		if line, _ := p.Cmdline(); strings.Contains(line, "inktally-elsewhere-") {
			require.NoError(t, p.Suspend())
		}
	}
	began := time.Now()
	b.Close()
	assert.Less(t, time.Since(began), endTime+time.Second)
}

// A page that leads on once it was loaded is read where it leads to.
func TestLeadsOn(t *testing.T) {
	pages := map[string]string{
		"/script":  `<h1>Wait</h1><script>setTimeout(() => location.replace('/end'), 150)</script>`,
		"/refresh": `<meta http-equiv=refresh content="0;url=/end"><h1>Wait</h1>`,
		"/twice":   `<h1>Wait</h1><script>setTimeout(() => { location.href = '/script' }, 100)</script>`,
		"/end":     `<h1>The end</h1>`, "/forever": `<meta http-equiv=refresh content="0;url=/forever"><h1>Wait</h1>`}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Content-Type", "text/html")
		_, _ = io.WriteString(w, pages[r.URL.Path])
	}))
	defer server.Close()
	b := browser(t, 15*time.Second)
	for _, path := range []string{"/script", "/refresh", "/twice"} {
		doc, p := render(t, b, server.URL+path)
		assert.Equal(t, "The end", p.Headings[0].Text, path)
		assert.Equal(t, server.URL+"/end", doc.URL, path)
	}
	_, err := b.Render(context.Background(), fetch.Request{Address: server.URL + "/forever"})
	if err != nil { // else it was caught while it stood still
		_, known := fault.Of(err)
		assert.True(t, known, "%v", err)
	}
	_, p := render(t, b, server.URL+"/end")
	assert.Equal(t, "The end", p.Headings[0].Text)
}

// A page reaches nothing that the guard refuses, in whatever way.
func TestGuardHolds(t *testing.T) {
	reached := atomic.Int64{}
	secret := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		reached.Add(1)
		w.Header().Set("Access-Control-Allow-Origin", "*")
	}))
	defer secret.Close()
	at := strings.TrimPrefix(secret.URL, "http://")
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
		w.Header().Set("Content-Type", "text/html")
		_, _ = w.Write([]byte(`<h1>Fine</h1><script src="` + secret.URL +
			`/a.js"></script><link rel=stylesheet href="` + secret.URL + `/a.css">
			<iframe src="` + secret.URL + `"></iframe><script>fetch("` + secret.URL + `"); new WebSocket("ws://` + at +
			`");
			new Worker(URL.createObjectURL(new Blob(["fetch('` + secret.URL + `')"]))); navigator.sendBeacon("` +
			secret.URL + `")</script>`))
	}))
	defer server.Close()
	own := netip.MustParseAddrPort(strings.TrimPrefix(server.URL, "http://"))
	dialer := &net.Dialer{}
	web := fetch.New(fetch.Options{Dial: func(ctx context.Context, network, address string) (net.Conn, error) {
		if address == own.String() {
			return dialer.DialContext(ctx, network, address)
		}
		return fetch.Dialer(fetch.Public)(ctx, network, address)
	}})
	b := New(Options{Web: web})
	require.True(t, b.Available())
	defer b.Close()
	_, p := render(t, b, server.URL)
	assert.Equal(t, "Fine", p.Headings[0].Text)
	assert.Zero(t, reached.Load())
}

// Without a browser the error says what to do.
func TestNoBrowser(t *testing.T) {
	t.Setenv("PATH", t.TempDir())
	b := New(Options{})
	assert.False(t, b.Available())
	_, err := b.Render(context.Background(), fetch.Request{Address: "http://shop.example/"})
	assert.True(t, NoBrowser.Is(err))
}

// A browser elsewhere serves as well.
func TestBrowserElsewhere(t *testing.T) {
	server, _ := shop(t)
	local := browser(t, 0)
	render(t, local, server.URL+"/there")
	b := New(Options{Web: local.options.Web, URL: "http://127.0.0.1:1/"})
	assert.True(t, b.Available())
	_, err := b.Render(context.Background(), fetch.Request{Address: server.URL + "/there"})
	assert.True(t, BrowserNotStart.Is(err), "%v", err)
	b = New(Options{Web: local.options.Web, URL: elsewhere(t, local.options.Path)})
	defer b.Close()
	_, p := render(t, b, server.URL+"/")
	assert.Equal(t, "Sweeps of Ostrey", p.Title)
}

// elsewhere starts a browser by itself and returns its DevTools address.
func elsewhere(t *testing.T, path string) string {
	dir, err := os.MkdirTemp("", "inktally-elsewhere-")
	require.NoError(t, err)
	cmd := exec.Command(path, "--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
		"--disable-background-networking", "--disable-component-update", "--disable-sync", "--remote-debugging-port=0",
		"--remote-allow-origins=*", "--user-data-dir="+dir) // the relay of a test names an origin
	require.NoError(t, cmd.Start())
	t.Cleanup(func() {
		_ = cmd.Process.Kill()
		_ = cmd.Wait()
		_ = os.RemoveAll(dir) // its children may still be writing into it
	})
	var port string
	require.Eventually(t, func() bool {
		raw, _ := os.ReadFile(filepath.Join(dir, "DevToolsActivePort"))
		port, _, _ = strings.Cut(string(raw), "\n")
		return port != ""
	}, 20*time.Second, 50*time.Millisecond)
	return "http://127.0.0.1:" + port + "/"
}

// A browser that hangs when it is started holds up nobody who wants to end.
func TestBrowserHangs(t *testing.T) {
	path := filepath.Join(t.TempDir(), "browser")
	require.NoError(t, os.WriteFile(path, []byte("#!/bin/sh\nexec sleep 600\n"), 0o700))
	web := fetch.New(fetch.Options{Guard: anywhere})
	b := New(Options{Web: web, Path: path})
	done := make(chan error, 1)
	server, _ := shop(t)
	go func() {
		_, err := b.Render(context.Background(), fetch.Request{Address: server.URL + "/there"})
		done <- err
	}()
	require.Eventually(t, func() bool { // it is being started
		free := b.mu.TryLock()
		if free {
			b.mu.Unlock()
		}
		return !free
	}, 20*time.Second, time.Millisecond)
	began := time.Now()
	b.Close()
	assert.Less(t, time.Since(began), 3*time.Second)
	assert.Error(t, <-done)
}
