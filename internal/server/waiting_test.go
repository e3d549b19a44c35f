package server

import (
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"runtime"
	"strings"
	"testing"
	"testing/iotest"
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

// Whoever sends slowly and whoever does not read holds none of the turns that heavy requests take.
func TestNobodyHoldsATurn(t *testing.T) {
	server := serve(t)
	_, made := ask(t, server, "POST", "/api/clients",
		`{"name":"Slow","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`)
	client := fmt.Sprint(made["id"])
	_, ground := ask(t, server, "GET", "/api/clients/"+client, "")
	page := ground["pages"].([]any)[0].(map[string]any)["id"]
	paste := fmt.Sprintf("/api/clients/%s/pages/%v/paste", client, page)
	status, filed := ask(t, server, "POST", paste, fmt.Sprintf(`{"entry":0,"html":%q}`, "<p>"+strings.Repeat("word ", 2<<20)))
	require.Equal(t, 200, status)
	kept := fmt.Sprintf("/api/clients/%s/readings/%v/page", client, filed["reading_id"])
	for i := range 4 * heavyAtOnce {
		conn, err := net.Dial("tcp", server.Listener.Addr().String())
		require.NoError(t, err)
		defer conn.Close()
		require.NoError(t, conn.(*net.TCPConn).SetReadBuffer(4<<10))
		head := "GET " + kept + " HTTP/1.1\r\nHost: localhost\r\n\r\n"
		if i%2 == 0 {
			head = "POST " + paste + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n" +
				"Content-Length: 1000\r\n\r\n{"
		}
		_, err = io.WriteString(conn, head)
		require.NoError(t, err)
		if i%2 == 1 { // it is being answered
			_, err = conn.Read(make([]byte, 1))
			require.NoError(t, err)
		}
	}
	began := time.Now()
	status, _ = ask(t, server, "GET", "/api/clients/"+client+"/book", "") // it takes a turn too
	assert.Equal(t, 200, status)
	assert.Less(t, time.Since(began), gate.WriteTime/2)
}

// A body of many entries is refused as it comes in, before any of them is made.
func TestManyEntries(t *testing.T) {
	server := serve(t)
	for name, body := range map[string]string{"numbers": `{"x":[` + strings.Repeat("0,", 15<<20) + `0]}`,
		"objects": `{"x":[` + strings.Repeat("{},", 10<<20) + `0]}`, "nested": strings.Repeat("[", 30<<20)} {
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		status, answer := ask(t, server, "POST", "/api/received", body)
		runtime.ReadMemStats(&after)
		assert.Equal(t, http.StatusRequestEntityTooLarge, status, name)
		assert.NotEmpty(t, answer["code"], name)
		assert.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(20<<20), name)
	}
}

// What stands in texts is no entry, however it is written and wherever it is cut.
func TestEntriesOfTexts(t *testing.T) {
	text := strings.Repeat(`,[{\"\\`, gate.MostEntries)
	for _, body := range []string{`{"a":"` + text + `","b":[1,2]}`, `["` + strings.Repeat(`x,`, gate.MostEntries) + `"]`} {
		require.True(t, json.Valid([]byte(body)))
		got, err := io.ReadAll(iotest.OneByteReader(gate.Entries(io.NopCloser(strings.NewReader(body)))))
		assert.NoError(t, err)
		assert.Equal(t, body, string(got))
	}
}
