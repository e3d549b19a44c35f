package server

import (
	"compress/gzip"
	"io"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"testing/fstest"

	"github.com/gin-gonic/gin"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Long answers go out packed to those who take them so; what is told as it happens never waits for that.
func TestAnswersArePacked(t *testing.T) {
	server, _ := serveDemo(t)
	fetch := func(path, takes string) *http.Response {
		r, err := http.NewRequest("GET", server.URL+path, nil)
		require.NoError(t, err)
		r.Header.Set("Accept-Encoding", takes) // so that Go's client unpacks nothing by itself
		resp, err := http.DefaultClient.Do(r)
		require.NoError(t, err)
		t.Cleanup(func() { resp.Body.Close() })
		return resp
	}
	plain, err := io.ReadAll(fetch("/api/clients/2/book", "identity").Body)
	require.NoError(t, err)
	packed := fetch("/api/clients/2/book", "gzip")
	assert.Equal(t, "gzip", packed.Header.Get("Content-Encoding"))
	raw, err := io.ReadAll(packed.Body)
	require.NoError(t, err)
	assert.Less(t, 5*len(raw), len(plain))
	unpacked, err := gzip.NewReader(strings.NewReader(string(raw)))
	require.NoError(t, err)
	whole, err := io.ReadAll(unpacked)
	require.NoError(t, err)
	assert.Equal(t, string(plain), string(whole))
	assert.Empty(t, fetch("/api/clients/9", "gzip").Header.Get("Content-Encoding"), "a short one")
	progress := fetch("/api/clients/2/progress", "gzip")
	assert.Empty(t, progress.Header.Get("Content-Encoding"))
	first := make([]byte, 10)
	_, err = io.ReadFull(progress.Body, first)
	require.NoError(t, err, "it comes at once")
}

// A file of the front end that was packed when it was built is served so to whom takes it.
func TestPackedFiles(t *testing.T) {
	front := fstest.MapFS{"assets/a.js": {Data: []byte("plain")}, "assets/a.js.br": {Data: []byte("packed")},
		"assets/b.js": {Data: []byte("plain")}}
	for _, c := range []struct{ name, takes, want, encoding string }{
		{"assets/a.js", "gzip, br", "packed", "br"}, {"assets/a.js", "gzip", "plain", ""},
		{"assets/b.js", "gzip, br", "plain", ""}} {
		w := httptest.NewRecorder()
		ctx, _ := gin.CreateTestContext(w)
		ctx.Request = httptest.NewRequest("GET", "/"+c.name, nil)
		ctx.Request.Header.Set("Accept-Encoding", c.takes)
		serveFront(ctx, front)
		assert.Equal(t, c.want, w.Body.String(), c)
		assert.Equal(t, c.encoding, w.Header().Get("Content-Encoding"), c)
		assert.Contains(t, w.Header().Get("Content-Type"), "javascript")
		assert.Contains(t, w.Header().Get("Cache-Control"), "immutable")
	}
}
