package server

import (
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"strings"
	"testing"
	"time"

	"inktally/internal/app"
	"inktally/internal/server/gate"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// listening serves the program as it is served, with a token, and what a request may take cut to a second.
func listening(t *testing.T) (address string) {
	db, err := store.Open(t.Context(), t.TempDir()+"/a.db")
	require.NoError(t, err)
	log := slog.New(slog.NewTextHandler(io.Discard, nil))
	a, err := app.New(t.Context(), app.Options{DB: db, Log: log})
	require.NoError(t, err)
	web := gate.Server(New(a, log, Options{Token: gate.Sum("secret")}))
	web.ReadTimeout = time.Second
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	done := make(chan struct{})
	go func() { defer close(done); _ = web.Serve(l) }()
	t.Cleanup(func() {
		_ = web.Close()
		<-done
		a.Close()
		assert.NoError(t, db.Close())
	})
	return l.Addr().String()
}

// A body that never comes holds no connection: not before sign-in, not at an address that there is none of.
func TestBodiesThatNeverCome(t *testing.T) {
	address := listening(t)
	for _, head := range []string{"POST /api/clients HTTP/1.1", "POST /nothing HTTP/1.1", "PUT /sign-in HTTP/1.1",
		"POST /sign-in HTTP/1.1", "GET / HTTP/1.1"} {
		conn, err := net.Dial("tcp", address)
		require.NoError(t, err)
		_, err = fmt.Fprintf(conn, "%s\r\nHost: localhost\r\nContent-Length: 100\r\n"+
			"Content-Type: application/x-www-form-urlencoded\r\n\r\n", head)
		require.NoError(t, err)
		require.NoError(t, conn.SetReadDeadline(time.Now().Add(20*time.Second)))
		_, err = io.Copy(io.Discard, conn)
		var late net.Error
		assert.False(t, err != nil && asNetError(err, &late) && late.Timeout(), "%s: it is held: %v", head, err)
		_ = conn.Close()
	}
}

func asNetError(err error, into *net.Error) bool {
	ne, ok := err.(net.Error)
	*into = ne
	return ok
}

// Who listens to progress does so for as long as it takes, whatever a request may take.
func TestListenersStay(t *testing.T) {
	address := listening(t)
	client := func(method, path, body string) *http.Response {
		req, err := http.NewRequest(method, "http://"+address+path, strings.NewReader(body))
		require.NoError(t, err)
		req.Header.Set("Authorization", "Bearer secret")
		req.Header.Set("Content-Type", "application/json")
		resp, err := http.DefaultClient.Do(req)
		require.NoError(t, err)
		return resp
	}
	made := client("POST", "/api/clients", `{"name":"Lowtide Upholstery","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`)
	require.Less(t, made.StatusCode, 300)
	_ = made.Body.Close()
	resp := client("GET", "/api/clients/1/progress", "")
	defer resp.Body.Close()
	require.Equal(t, 200, resp.StatusCode)
	ended := make(chan struct{})
	go func() { defer close(ended); _, _ = io.Copy(io.Discard, resp.Body) }()
	select {
	case <-ended:
		assert.Fail(t, "it was broken off")
	case <-time.After(3 * time.Second):
	}
}

// An address has so many connections, and gets others as soon as it lets go of some.
func TestConnectionsOfAnAddress(t *testing.T) {
	c := &gate.Connections{Most: 3}
	web := &http.Server{Handler: http.NotFoundHandler(), ConnState: c.State}
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	go func() { _ = web.Serve(l) }()
	defer web.Close()
	answers := func(conn net.Conn) bool {
		_, _ = io.WriteString(conn, "GET / HTTP/1.1\r\nHost: x\r\n\r\n")
		_ = conn.SetReadDeadline(time.Now().Add(10 * time.Second))
		n, _ := conn.Read(make([]byte, 1))
		return n == 1
	}
	var open []net.Conn
	for range 3 {
		conn, err := net.Dial("tcp", l.Addr().String())
		require.NoError(t, err)
		assert.True(t, answers(conn))
		open = append(open, conn)
	}
	one, err := net.Dial("tcp", l.Addr().String())
	require.NoError(t, err)
	assert.False(t, answers(one))
	_ = one.Close()
	_ = open[0].Close()
	assert.Eventually(t, func() bool {
		again, err := net.Dial("tcp", l.Addr().String())
		require.NoError(t, err)
		defer again.Close()
		return answers(again)
	}, 20*time.Second, 50*time.Millisecond)
}
