package server

import (
	"io/fs"
	"net/http"
	"path"
	"regexp"
	"strings"
	"time"

	"github.com/gin-gonic/gin"
)

// pages are the addresses of the front end's pages.
var pages = regexp.MustCompile(`^/($|new$|receive$|clients/\d+($|/$|/[a-z-]+$|/pages/\d+/[a-z-]+$))`)

// serveFront serves the front end: its files, and its page for every address
// that is one of its own.
func serveFront(c *gin.Context, front fs.FS) {
	name := strings.TrimPrefix(path.Clean(c.Request.URL.Path), "/")
	if strings.HasPrefix(name, "api/") || name == "api" {
		problem(c, http.StatusNotFound, NoAddress)
		return
	}
	if info, err := fs.Stat(front, name); err == nil && !info.IsDir() {
		if strings.HasPrefix(name, "assets/") {
			c.Header("Cache-Control", "public, max-age=31536000, immutable")
		}
		if !servePacked(c, front, name) {
			http.ServeFileFS(c.Writer, c.Request, front, name)
		}
		return
	}
	if strings.HasPrefix(name, "assets/") {
		problem(c, http.StatusNotFound, NoAddress)
		return
	}
	if !safe(c.Request.Method) {
		status, kind := http.StatusNotFound, NoAddress
		if pages.MatchString(c.Request.URL.Path) {
			status, kind = http.StatusMethodNotAllowed, NoMethod
		}
		problem(c, status, kind)
		return
	}
	index, err := front.Open("index.html")
	if err != nil {
		c.String(http.StatusServiceUnavailable, "The front end was not built: run make build.\n")
		return
	}
	defer index.Close()
	c.Header("Cache-Control", "no-cache")
	c.Writer.Header().Set("Content-Type", "text/html; charset=utf-8")
	page, _ := fs.ReadFile(front, "index.html")
	if !pages.MatchString(c.Request.URL.Path) {
		c.Data(http.StatusNotFound, "text/html; charset=utf-8", page) // it says so itself
		return
	}
	http.ServeContent(c.Writer, c.Request, "index.html", time.Time{}, strings.NewReader(string(page)))
}
