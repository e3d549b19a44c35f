// Package server is the face of the program over HTTP: the API, described in
// code and written out as OpenAPI, and the front end that is built into it.
package server

import (
	"embed"
	"encoding/json"
	"io/fs"
	"log/slog"
	"net"
	"net/http"
	"path"
	"strings"
	"time"

	"inktally/core/fault"
	"inktally/internal/app"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
	"github.com/gin-gonic/gin"
)

// dist is the built front end; it is empty until the front end is built.
//
//go:embed all:dist
var dist embed.FS

// New returns the handler of the whole program.
func New(a *app.App, log *slog.Logger) http.Handler {
	router := newRouter()
	router.HandleMethodNotAllowed = true
	router.Use(gin.CustomRecovery(func(c *gin.Context, failure any) {
		log.Error("a request failed", "path", c.Request.URL.Path, "error", failure)
		problem(c, http.StatusInternalServerError, fault.OwnMistake)
	}))
	router.Use(guard)
	api := humagin.New(router, config())
	register(api, a, log)
	front, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the folder is compiled in
	}
	router.NoMethod(func(c *gin.Context) { problem(c, http.StatusMethodNotAllowed, fault.NoMethod) })
	router.NoRoute(func(c *gin.Context) { serveFront(c, front) })
	return router
}

// OpenAPI describes the API.
func OpenAPI() ([]byte, error) {
	api := humagin.New(newRouter(), config())
	register(api, nil, nil)
	return json.MarshalIndent(api.OpenAPI(), "", "  ")
}

func newRouter() *gin.Engine {
	gin.SetMode(gin.ReleaseMode)
	return gin.New()
}

func config() huma.Config {
	huma.DefaultArrayNullable = false // lists are empty, never null
	c := huma.DefaultConfig("Ink Tally", "1")
	c.Info.Description = "Measures pages against their rivals' and writes the targets."
	c.DocsPath = ""
	c.OpenAPIPath = "/api/openapi"
	c.SchemasPath = ""
	c.CreateHooks = nil
	return c
}

// guard keeps other sites out: the program is for the person at this machine,
// and a page of the web must neither read nor change anything through a
// browser that is open beside it.
func guard(c *gin.Context) {
	if !ownHost(c.Request.Host) {
		problem(c, http.StatusForbidden, fault.WrongHost)
		c.Abort()
		return
	}
	if site := c.GetHeader("Sec-Fetch-Site"); c.Request.Method != http.MethodGet && site != "" && site != "same-origin" && site != "none" {
		problem(c, http.StatusForbidden, fault.OtherSite)
		c.Abort()
		return
	}
	h := c.Writer.Header()
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "no-referrer")
	h.Set("Content-Security-Policy", "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'")
	c.Next()
}

// ownHost tells the names under which this machine calls itself.
func ownHost(host string) bool {
	name, _, err := net.SplitHostPort(host)
	if err != nil {
		name = host
	}
	ip := net.ParseIP(strings.Trim(name, "[]"))
	return name == "localhost" || ip != nil
}

// serveFront serves the front end: its files, and its page for every address
// that is one of its own.
func serveFront(c *gin.Context, front fs.FS) {
	name := strings.TrimPrefix(path.Clean(c.Request.URL.Path), "/")
	if strings.HasPrefix(name, "api/") || name == "api" {
		problem(c, http.StatusNotFound, fault.NoAddress)
		return
	}
	if info, err := fs.Stat(front, name); err == nil && !info.IsDir() {
		if strings.HasPrefix(name, "assets/") {
			c.Header("Cache-Control", "public, max-age=31536000, immutable")
		}
		http.ServeFileFS(c.Writer, c.Request, front, name)
		return
	}
	if strings.HasPrefix(name, "assets/") {
		problem(c, http.StatusNotFound, fault.NoAddress)
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
	http.ServeContent(c.Writer, c.Request, "index.html", time.Time{}, strings.NewReader(string(page)))
}
