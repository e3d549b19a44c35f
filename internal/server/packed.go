package server

import (
	"io/fs"
	"mime"
	"net/http"
	"path"
	"strings"

	"github.com/gin-gonic/gin"
	"github.com/klauspost/compress/gzhttp"
)

// smallest is from how many bytes an answer is packed.
const smallest = 1 << 10

// packable are the types of answers that are packed: text. What is sent as it happens is not: it would wait.
var packable = []string{"application/json", "application/problem+json", "application/yaml", "image/svg+xml",
	"text/css", "text/csv", "text/html", "text/javascript", "text/markdown", "text/plain"}

// packed packs the answers of a handler for those who take them so. Their sizes vary a little, so that nobody who can
// put something into an answer learns from them what else it holds.
func packed(h http.Handler) http.Handler {
	wrap, err := gzhttp.NewWrapper(gzhttp.MinSize(smallest), gzhttp.ContentTypes(packable),
		gzhttp.RandomJitter(32, 0, false))
	if err != nil {
		panic(err) // its options are constants
	}
	with := wrap(h)
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if strings.HasSuffix(r.URL.Path, "/progress") {
			h.ServeHTTP(w, r)
			return
		}
		with.ServeHTTP(w, r)
	})
}

// servePacked serves a file of the front end as it was packed when the front end was built; it does not if there is
// none, or if who asks does not take it.
func servePacked(c *gin.Context, front fs.FS, name string) bool {
	raw, err := fs.ReadFile(front, name+".br")
	if err != nil {
		return false
	}
	c.Header("Vary", "Accept-Encoding")
	if c.GetHeader("Range") != "" || !strings.Contains(c.GetHeader("Accept-Encoding"), "br") {
		return false
	}
	c.Header("Content-Encoding", "br")
	c.Data(http.StatusOK, mime.TypeByExtension(path.Ext(name)), raw)
	return true
}
