// Package server is the face of the program over HTTP: the API, described in
// code and written out as OpenAPI, and the front end that is built into it.
package server

import (
	"embed"
	"encoding/json"
	"io/fs"
	"log/slog"
	"net/http"

	"inktally/core/fault"
	"inktally/internal/app"
	"inktally/internal/server/gate"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humagin"
	"github.com/gin-gonic/gin"
)

// dist is the built front end; it is empty until the front end is built.
//
//go:embed all:dist
var dist embed.FS

// Options say who may reach the program.
type Options struct {
	// Hosts are names that it answers to beside those of this machine.
	Hosts []string
	// Token is the sum of the token that whoever asks must have, nil for none: that is for
	// an address that only this machine can reach.
	Token []byte
}

// New returns the handler of the whole program.
func New(a *app.App, log *slog.Logger, o Options) http.Handler {
	router := newRouter()
	router.HandleMethodNotAllowed = true
	router.Use(gin.CustomRecovery(func(c *gin.Context, failure any) {
		log.Error("a request failed", "path", c.Request.URL.Path, "error", failure)
		problem(c, http.StatusInternalServerError, fault.OwnMistake)
	}))
	g := guard{o.Hosts, gate.New(o.Token)}
	router.Use(g.own, g.signedIn, present(a.IsAway))
	api := humagin.New(router, config())
	api.UseMiddleware(bounded, make(turns, heavyAtOnce).take)
	register(api, a, log)
	front, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the folder is compiled in
	}
	router.NoMethod(func(c *gin.Context) { problem(c, http.StatusMethodNotAllowed, NoMethod) })
	router.NoRoute(func(c *gin.Context) { serveFront(c, front) })
	return packed(router)
}

// OpenAPI describes the API.
func OpenAPI() ([]byte, error) {
	api := humagin.New(newRouter(), config())
	register(api, &app.App{}, nil)
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
