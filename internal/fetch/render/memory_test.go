package render

import (
	"bytes"
	"compress/gzip"
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"runtime"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/internal/fetch"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// greedy returns a site whose pages want all memory that there is.
func greedy(t *testing.T) *httptest.Server {
	var packed bytes.Buffer
	w, err := gzip.NewWriterLevel(&packed, gzip.BestCompression)
	require.NoError(t, err)
	_, _ = w.Write([]byte("x = '" + strings.Repeat("a", 19<<20) + "'"))
	require.NoError(t, w.Close())
	require.Less(t, packed.Len(), 32<<10)
	scripts := ""
	for i := range 60 {
		scripts += fmt.Sprintf("<script async src=/%d.js></script>", i)
	}
	pages := map[string]string{
		"/packed": "<h1>Packed</h1>" + scripts,
		"/arrays": `<h1>Arrays</h1><script>const kept = []; setInterval(() => { for (let i = 0; i < 4; i++) kept.push(new Uint8Array(64 << 20).fill(1)) }, 20)</script>`,
		"/blobs":  `<h1>Blobs</h1><script>const kept = []; const big = 'x'.repeat(32 << 20); setInterval(() => kept.push(new Blob([big + Math.random()])), 20)</script>`,
		"/tall":   `<body><script>const line = '<p>' + 'word '.repeat(400); let all = ''; for (let i = 0; i < 14000; i++) all += line; document.body.innerHTML = all</script>`,
		"/small":  `<h1>Small</h1>`,
	}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if strings.HasSuffix(r.URL.Path, ".js") {
			w.Header().Set("Content-Type", "text/javascript")
			w.Header().Set("Content-Encoding", "gzip")
			_, _ = w.Write(packed.Bytes())
			return
		}
		w.Header().Set("Content-Type", "text/html")
		_, _ = w.Write([]byte(pages[r.URL.Path]))
	}))
	t.Cleanup(server.Close)
	return server
}

// peaks watches what the program and the browser take while something is done.
func peaks(b *Browser, do func()) (own, browser uint64) {
	var most, largest atomic.Uint64
	done := make(chan struct{})
	var watching sync.WaitGroup
	watching.Go(func() {
		for {
			select {
			case <-done:
				return
			case <-time.After(50 * time.Millisecond):
			}
			var m runtime.MemStats
			runtime.ReadMemStats(&m)
			most.Store(max(most.Load(), m.HeapInuse))
			b.mu.Lock()
			running := b.running
			b.mu.Unlock()
			if running != nil && alive(running) {
				all, _ := memory(int32(chromedp.FromContext(running).Browser.Process().Pid))
				largest.Store(max(largest.Load(), all))
			}
		}
	})
	do()
	close(done)
	watching.Wait()
	return most.Load(), largest.Load()
}

// Whatever a page takes, the one beside it is read.
func TestBesideAGreedyPage(t *testing.T) {
	server := greedy(t)
	b := browser(t, 40*time.Second)
	for _, path := range []string{"/arrays", "/blobs"} {
		var both sync.WaitGroup
		both.Go(func() { _, _ = b.Render(context.Background(), fetch.Request{Address: server.URL + path}) })
		both.Go(func() {
			for range 4 {
				doc, err := b.Render(context.Background(), fetch.Request{Address: server.URL + "/small"})
				if assert.NoError(t, err, path) {
					assert.Contains(t, string(doc.Body), "Small")
				}
			}
		})
		both.Wait()
	}
}

// What a page takes is bounded, however it takes it: one sentence is told, the machine keeps
// its memory, and a page that is rendered beside it is read.
func TestGreedyPages(t *testing.T) {
	server := greedy(t)
	b := browser(t, 40*time.Second)
	render(t, b, server.URL+"/small")
	for path, want := range map[string][]fault.Code{
		"/packed": {RenderTooLarge.Code}, "/arrays": {RenderMemory.Code, BrowserLost.Code},
		"/blobs": {RenderMemory.Code, BrowserLost.Code},
		"/tall":  {RenderTooLarge.Code, RenderMemory.Code, RenderTimedOut.Code},
	} {
		t.Run(path, func(t *testing.T) {
			own, all := peaks(b, func() {
				var both sync.WaitGroup
				both.Go(func() {
					_, err := b.Render(context.Background(), fetch.Request{Address: server.URL + path})
					if err == nil && path != "/packed" {
						return // it came to rest before it had taken too much
					}
					why, known := fault.Of(err)
					require.True(t, known, "%v", err)
					t.Logf("%v", err)
					assert.Contains(t, want, why.Code, "%v", err)
				})
				both.Go(func() {
					_, _ = b.Render(context.Background(), fetch.Request{Address: server.URL + path})
				})
				both.Wait()
			})
			t.Logf("the program took %d MB, the browser %d MB", own>>20, all>>20)
			assert.Less(t, own, uint64(600<<20))
			assert.Less(t, all, uint64(MaxMemory)*2, "what comes between two glances may be above it")
			_, p := render(t, b, server.URL+"/small")
			assert.Equal(t, "Small", p.Headings[0].Text)
		})
	}
}
