package server

import (
	"bytes"
	"context"
	"fmt"
	"inktally/internal/server/gate"
	"io"
	"log/slog"
	"mime/multipart"
	"net"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"runtime"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"inktally/core/stats"
	"inktally/internal/app"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What another site asks of the API is refused, whichever header tells of it, and no answer of it is kept anywhere;
// the front end is not held up, and what is no browser says nothing.
func TestOrigins(t *testing.T) {
	server := serve(t)
	own := server.URL
	for name, c := range map[string]struct {
		headers map[string]string
		refused bool
	}{
		"nothing said":   {nil, false},
		"own origin":     {map[string]string{"Origin": own}, false},
		"own page":       {map[string]string{"Referer": own + "/clients/1/ground"}, false},
		"another origin": {map[string]string{"Origin": "http://evil.example"}, true},
		"no origin":      {map[string]string{"Origin": "null"}, true},
		"another port":   {map[string]string{"Origin": "http://127.0.0.1:1"}, true},
		"another name": {map[string]string{"Origin": strings.Replace(own, "127.0.0.1", "localhost", 1)},
			true},
		"another scheme":             {map[string]string{"Origin": strings.Replace(own, "http:", "ftp:", 1)}, true},
		"another page":               {map[string]string{"Referer": "https://evil.example/x"}, true},
		"a page that names us":       {map[string]string{"Referer": "https://evil.example/" + own}, true},
		"no address":                 {map[string]string{"Referer": "http://%zz"}, true},
		"origin before page":         {map[string]string{"Origin": "http://evil.example", "Referer": own}, true},
		"the newer header":           {map[string]string{"Sec-Fetch-Site": "cross-site", "Origin": own}, true},
		"the newer header, same":     {map[string]string{"Sec-Fetch-Site": "same-origin", "Origin": own}, false},
		"the newer header, one site": {map[string]string{"Sec-Fetch-Site": "same-site", "Origin": own}, true},
	} {
		t.Run(name, func(t *testing.T) {
			for _, method := range []string{"POST", "PUT", "DELETE", "PATCH", "GET"} {
				status, answer := ask(t, server, method, "/api/nowhere", "{}", func(r *http.Request) {
					for k, v := range c.headers {
						r.Header.Set(k, v)
					}
				})
				assert.Equal(t, c.refused, status == http.StatusForbidden, "%s %v", method, answer)
			}
		})
	}
}

// No answer of the API is kept; what the front end is made of is.
func TestNoStore(t *testing.T) {
	server := serve(t)
	for path, want := range map[string]string{"/api/clients": "no-store", "/api/nowhere": "no-store",
		"/api/openapi.json": "no-store"} {
		resp, err := http.Get(server.URL + path)
		require.NoError(t, err)
		resp.Body.Close()
		assert.Equal(t, want, resp.Header.Get("Cache-Control"), path)
	}
	req, err := http.NewRequest(http.MethodGet, server.URL+"/clients", nil)
	require.NoError(t, err)
	req.Header.Set("Sec-Fetch-Site", "cross-site")
	resp, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	resp.Body.Close()
	assert.NotEqual(t, http.StatusForbidden, resp.StatusCode, "a link to the program from elsewhere")
}

// Unknown addresses answer 404 and wrong methods 405, in the front end too.
func TestAddresses(t *testing.T) {
	server := serve(t)
	if front, err := http.Get(server.URL); err != nil || front.StatusCode != http.StatusOK {
		t.Log("the front end was not built")
	}
	for what, want := range map[string]int{"GET /nothing": 404, "GET /clients/x": 404, "GET /clients/1/a/b/c": 404,
		"GET /etc/passwd": 404, "GET /../x": 404, "POST /": 405,
		"PUT /clients/1/ground": 405, "POST /nothing": 404, "GET /api/x": 404, "PATCH /api/clients": 405,
		"GET /wp-login.php": 404} {
		method, path, _ := strings.Cut(what, " ")
		req, err := http.NewRequest(method, server.URL+path, nil)
		require.NoError(t, err)
		resp, err := http.DefaultClient.Do(req)
		require.NoError(t, err)
		resp.Body.Close()
		assert.Equal(t, want, resp.StatusCode, what)
	}
}

// Where other machines reach the program it answers to names that were allowed, and to who
// has the token.
func TestToken(t *testing.T) {
	db, err := store.Open(context.Background(), filepath.Join(t.TempDir(), "s.db"))
	require.NoError(t, err)
	defer db.Close()
	a, err := app.New(context.Background(), app.Options{DB: db})
	require.NoError(t, err)
	defer a.Close()
	log := slog.New(slog.NewTextHandler(io.Discard, nil))
	server := httptest.NewServer(New(a, log, Options{Hosts: []string{"tally.example"}, Token: gate.Sum("secret")}))
	defer server.Close()
	client := &http.Client{CheckRedirect: func(*http.Request, []*http.Request) error { return http.ErrUseLastResponse }}
	do := func(method, path, body string, change func(*http.Request)) *http.Response {
		req, err := http.NewRequest(method, server.URL+path, strings.NewReader(body))
		require.NoError(t, err)
		if change != nil {
			change(req)
		}
		resp, err := client.Do(req)
		require.NoError(t, err)
		_, _ = io.Copy(io.Discard, resp.Body)
		resp.Body.Close()
		return resp
	}
	bearer := func(token string) func(*http.Request) {
		return func(r *http.Request) { r.Header.Set("Authorization", "Bearer "+token) }
	}
	assert.Equal(t, 401, do("GET", "/api/clients", "", nil).StatusCode)
	assert.Equal(t, 401, do("GET", "/api/openapi.json", "", nil).StatusCode)
	assert.Equal(t, 401, do("GET", "/api/clients", "", bearer("wrong")).StatusCode)
	assert.Equal(t, 401, do("GET", "/api/clients", "", bearer("")).StatusCode)
	assert.Equal(t, 200, do("GET", "/api/clients", "", bearer("secret")).StatusCode)
	assert.Equal(t, "/sign-in", do("GET", "/clients/1/ground", "", nil).Header.Get("Location"))
	assert.Equal(t, 200, do("GET", "/sign-in", "", nil).StatusCode)
	form := func(r *http.Request) { r.Header.Set("Content-Type", "application/x-www-form-urlencoded") }
	assert.Equal(t, 401, do("POST", "/sign-in", "token=wrong", form).StatusCode)
	in := do("POST", "/sign-in", "token=secret", form)
	require.Len(t, in.Cookies(), 1)
	cookie := in.Cookies()[0]
	assert.True(t, cookie.HttpOnly)
	assert.Equal(t, http.SameSiteStrictMode, cookie.SameSite)
	assert.Equal(t, 200, do("GET", "/api/clients", "", func(r *http.Request) { r.AddCookie(cookie) }).StatusCode)
	for host, want := range map[string]int{"tally.example": 200, "TALLY.example:80": 200, "other.example": 403,
		"tally.example.evil.example": 403} {
		assert.Equal(t, want, do("GET", "/api/clients", "", func(r *http.Request) {
			bearer("secret")(r)
			r.Host = host
		}).StatusCode, host)
	}
}

// A body is bounded by what its operation needs, a form before it is put down; a bad one
// costs one small answer.
func TestBodies(t *testing.T) {
	server := serve(t)
	many := make([]string, 3000)
	for i := range many {
		many[i] = fmt.Sprintf("%q:%d", fmt.Sprint("unknown", i), i)
	}
	for name, body := range map[string]string{"unknown fields": "{" + strings.Join(many, ",") + "}",
		"unclosed": strings.Repeat(`{"a":`, 5000), "nested": strings.Repeat("[", 50_000),
		"a wrong list": `{"services":[` + strings.Repeat(`{"a":1},`, 3000) + `{}]}`} {
		resp, err := http.Post(server.URL+"/api/clients", "application/json", strings.NewReader(body))
		require.NoError(t, err)
		answer, err := io.ReadAll(resp.Body)
		require.NoError(t, err)
		resp.Body.Close()
		assert.GreaterOrEqual(t, resp.StatusCode, 400, name)
		assert.Less(t, len(answer), 1000, name)
		assert.NotContains(t, string(answer), "unknown1", name)
	}
	status, answer := ask(t, server, "PUT", "/api/clients/1/hours", `{"hours":1`+strings.Repeat(" ", 200<<10)+`}`)
	assert.Equal(t, http.StatusRequestEntityTooLarge, status)
	assert.Equal(t, string(BodyTooLarge.Code), answer["code"])

	temp := t.TempDir()
	t.Setenv("TMPDIR", temp)
	sent := uploaded(t, server, "/api/clients/1/book/preview", 600<<20)
	assert.Less(t, sent, int64(120<<20), "it is not taken in to the end")
	left := int64(0)
	_ = filepath.Walk(temp, func(_ string, info os.FileInfo, err error) error {
		if err == nil && !info.IsDir() {
			left += info.Size()
		}
		return nil
	})
	assert.Zero(t, left)
}

// uploaded sends a form of so many bytes and returns how much of it was taken.
func uploaded(t *testing.T, server *httptest.Server, path string, size int64) int64 {
	conn, err := net.Dial("tcp", server.Listener.Addr().String())
	require.NoError(t, err)
	defer conn.Close()
	var head bytes.Buffer
	form := multipart.NewWriter(&head)
	_, err = form.CreateFormFile("file", "x.html")
	require.NoError(t, err)
	fmt.Fprintf(conn, "POST %s HTTP/1.1\r\nHost: %s\r\nContent-Type: %s\r\nContent-Length: %d\r\n\r\n", path,
		conn.LocalAddr(), form.FormDataContentType(), size)
	_, err = conn.Write(head.Bytes())
	require.NoError(t, err)
	chunk, sent := make([]byte, 1<<20), int64(0)
	for sent < size {
		n, err := conn.Write(chunk)
		sent += int64(n)
		if err != nil {
			break
		}
	}
	return sent
}

// Clients that ask and do not read hold little, and nobody else waits for them.
func TestSlowReaders(t *testing.T) {
	server := serve(t)
	_, made := ask(t, server, "POST", "/api/clients",
		`{"name":"Slow","trade":"","phone":"","home_page":"","services":[],"places":[],"phrases":[]}`)
	client := fmt.Sprint(made["id"])
	_, pages := ask(t, server, "GET", "/api/clients/"+client, "")
	page := pages["pages"].([]any)[0].(map[string]any)["id"]
	html := "<p>" + strings.Repeat("word ", 1<<20)
	status, filed := ask(t, server, "POST", fmt.Sprintf("/api/clients/%s/pages/%v/paste", client, page),
		fmt.Sprintf(`{"entry":0,"html":%q}`, html))
	require.Equal(t, 200, status)
	runtime.GC()
	var before runtime.MemStats
	runtime.ReadMemStats(&before)
	for range 40 {
		conn, err := net.Dial("tcp", server.Listener.Addr().String())
		require.NoError(t, err)
		defer conn.Close()
		fmt.Fprintf(conn, "GET /api/clients/%s/readings/%v/page HTTP/1.1\r\nHost: localhost\r\n\r\n", client,
			filed["reading_id"])
	}
	most := uint64(0)
	for range 20 {
		status, _ := ask(t, server, "GET", "/api/clients", "")
		assert.Equal(t, 200, status)
		var m runtime.MemStats
		runtime.ReadMemStats(&m)
		most = max(most, m.HeapInuse)
	}
	t.Logf("40 clients that do not read hold %d MB", (most-min(most, before.HeapInuse))>>20)
	assert.Less(t, most, before.HeapInuse+200<<20)
}

// Many readers beside two runs are all answered, soon.
func TestManyReaders(t *testing.T) {
	server := serve(t)
	var clients []string
	for i := range 2 {
		_, made := ask(t, server, "POST", "/api/quick",
			fmt.Sprintf(
				`{"address":"brindleandash.example","phrase":"chimney sweep tarn harbor %d","rivals":"harborflue.example"}`, i))
		clients = append(clients, fmt.Sprint(made["id"]))
		require.NotEqual(t, "<nil>", clients[i])
	}
	var mu sync.Mutex
	var times []float64
	var all sync.WaitGroup
	for i := range 200 {
		all.Go(func() {
			for _, path := range []string{"/api/clients", "/api/clients/" + clients[i%2],
				"/api/clients/" + clients[i%2] + "/run"} {
				began := time.Now()
				resp, err := http.Get(server.URL + path)
				if !assert.NoError(t, err) {
					return
				}
				_, err = io.Copy(io.Discard, resp.Body)
				resp.Body.Close()
				assert.NoError(t, err)
				assert.Equal(t, 200, resp.StatusCode)
				mu.Lock()
				times = append(times, time.Since(began).Seconds())
				mu.Unlock()
			}
		})
	}
	all.Wait()
	slices.Sort(times)
	t.Logf("median %.2f s, p99 %.2f s", stats.Median(times), times[len(times)*99/100])
}
