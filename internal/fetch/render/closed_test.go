package render

import (
	"context"
	"encoding/json"
	"io"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/net/websocket"
)

// A browser that keeps what sends packets past a proxy is refused before it asks for any page.
func TestBrowserThatIsNotClosed(t *testing.T) {
	c := newCanary(t)
	address, web := wayOut(t, c)
	behind := elsewhere(t, browser(t, 0).options.Path)
	heard := New(Options{Web: web, URL: between(t, behind, func(string, *websocket.Conn) bool { return false })})
	defer heard.Close()
	_, p := render(t, heard, address)
	assert.Equal(t, "Fine", p.Headings[0].Text, "it is not refused for what stands before it")
	b := New(Options{Web: web, URL: between(t, behind, unheard)})
	defer b.Close()
	_, err := b.Render(context.Background(), fetch.Request{Address: address})
	f, known := fault.Of(err)
	require.True(t, known, "%v", err)
	assert.Equal(t, BrowserNotClosed.Code, f.Code)
	assert.Zero(t, c.tcp.Load(), "TCP")
	assert.Zero(t, c.udp.Load(), "UDP")
}

// between stands before a browser and keeps some of what it is told.
func between(t *testing.T, browser string, keep func(message string, tab *websocket.Conn) bool) string {
	t.Helper()
	resp, err := http.Get(browser + "json/version")
	require.NoError(t, err)
	defer resp.Body.Close()
	raw, err := io.ReadAll(resp.Body)
	require.NoError(t, err)
	_, host, _ := strings.Cut(strings.TrimSuffix(browser, "/"), "://")
	var front *httptest.Server
	mux := http.NewServeMux()
	mux.HandleFunc("/json/version", func(w http.ResponseWriter, _ *http.Request) {
		_, own, _ := strings.Cut(front.URL, "://")
		w.Header().Set("Content-Type", "application/json")
		_, _ = io.WriteString(w, strings.ReplaceAll(string(raw), host, own))
	})
	mux.Handle("/devtools/", websocket.Server{Handler: func(tab *websocket.Conn) {
		behind, err := websocket.Dial("ws://"+host+tab.Request().URL.Path, "", "http://"+host)
		if !assert.NoError(t, err) {
			return
		}
		defer behind.Close()
		go func() {
			defer tab.Close()
			relay(behind, tab, func(string, *websocket.Conn) bool { return false })
		}()
		relay(tab, behind, keep)
	}})
	front = httptest.NewServer(mux)
	t.Cleanup(front.Close)
	return front.URL + "/"
}

// relay hands messages on, but for those that are kept.
func relay(from, to *websocket.Conn, keep func(message string, tab *websocket.Conn) bool) {
	for {
		var message string
		if websocket.Message.Receive(from, &message) != nil {
			return
		}
		if !keep(message, from) && websocket.Message.Send(to, message) != nil {
			return
		}
	}
}

// unheard says that a script runs ahead of every document's own, which the browser never hears of:
// so it is one that keeps all that is taken from it.
func unheard(message string, tab *websocket.Conn) bool {
	var call struct {
		ID        int64  `json:"id"`
		Method    string `json:"method"`
		SessionID string `json:"sessionId"`
	}
	if json.Unmarshal([]byte(message), &call) != nil || call.Method != "Page.addScriptToEvaluateOnNewDocument" {
		return false
	}
	answer, _ := json.Marshal(map[string]any{"id": call.ID, "sessionId": call.SessionID,
		"result": map[string]string{"identifier": "1"}})
	_ = websocket.Message.Send(tab, string(answer))
	return true
}

// A browser that hangs at its start holds up nobody who gives up, nor the end of the program.
func TestBrowserHangsAtItsStart(t *testing.T) {
	path := filepath.Join(t.TempDir(), "chromium")
	require.NoError(t, os.WriteFile(path, []byte("#!/bin/sh\nexec sleep 300\n"), 0o755))
	b := New(Options{Web: fetch.New(fetch.Options{Guard: anywhere}), Path: path})
	ctx, giveUp := context.WithCancel(t.Context())
	ended := make(chan error, 1)
	go func() {
		_, err := b.Render(ctx, fetch.Request{Address: "http://127.0.0.1:1/"})
		ended <- err
	}()
	require.Eventually(t, func() bool { // it is being started
		busy := !b.mu.TryLock()
		if !busy {
			b.mu.Unlock()
		}
		return busy
	}, 10*time.Second, 10*time.Millisecond)
	began := time.Now()
	giveUp()
	assert.Error(t, <-ended)
	b.Close()
	assert.Less(t, time.Since(began), endTime+2*time.Second)
}
