package server

import (
	"net"
	"net/http"
	"net/url"
	"slices"
	"strings"

	"inktally/internal/server/gate"

	"github.com/gin-gonic/gin"
)

// guard keeps others out: the program is for the person at this machine, and a page of the
// web must neither read nor change anything through a browser that is open beside it.
type guard struct {
	hosts []string
	gate  *gate.Gate
}

// own refuses what comes under another name, and what another site asks of the API or changes, whichever header tells
// so. No answer of the API is kept by a browser or on the way.
func (g guard) own(c *gin.Context) {
	h := c.Writer.Header()
	h.Set("X-Content-Type-Options", "nosniff")
	h.Set("Referrer-Policy", "no-referrer")
	h.Set("Content-Security-Policy",
		"default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'")
	if isAPI(c.Request.URL.Path) {
		h.Set("Cache-Control", "no-store")
	}
	switch {
	case !g.answersTo(c.Request.Host):
		problem(c, http.StatusForbidden, WrongHost)
	case (!safe(c.Request.Method) || isAPI(c.Request.URL.Path)) && fromElsewhere(c.Request):
		problem(c, http.StatusForbidden, OtherSite)
	default:
		return
	}
	c.Abort()
}

// isAPI reports whether a path is one of the API.
func isAPI(path string) bool { return path == "/api" || strings.HasPrefix(path, "/api/") }

// safe reports whether a method changes nothing.
func safe(method string) bool { return method == http.MethodGet || method == http.MethodHead }

// fromElsewhere reports whether a page of another site makes a request. Newer browsers say so
// themselves; older ones say where it comes from. What says nothing is no browser.
func fromElsewhere(r *http.Request) bool {
	switch r.Header.Get("Sec-Fetch-Site") {
	case "", "same-origin", "none":
	default:
		return true
	}
	for _, name := range []string{"Origin", "Referer"} {
		if from := r.Header.Get(name); from != "" {
			u, err := url.Parse(from)
			return err != nil || !strings.EqualFold(u.Host, r.Host) || u.Scheme != "http" && u.Scheme != "https"
		}
	}
	return false
}

// answersTo reports whether a name is one of this machine, or one that was allowed.
func (g guard) answersTo(host string) bool {
	name, _, err := net.SplitHostPort(host)
	if err != nil {
		name = host
	}
	ip := net.ParseIP(strings.Trim(name, "[]"))
	return strings.EqualFold(name, "localhost") || ip != nil || slices.ContainsFunc(g.hosts, func(h string) bool {
		return strings.EqualFold(h, name)
	})
}

// signInPath is where a browser shows the token; it keeps it as a cookie.
const (
	signInPath = "/sign-in"
	cookieName = "inktally_token"
)

// signedIn refuses whoever does not have the token, where there is one.
func (g guard) signedIn(c *gin.Context) {
	if g.gate.Open() {
		return
	}
	if c.Request.URL.Path == signInPath {
		g.signIn(c)
		c.Abort()
		return
	}
	token, _ := c.Cookie(cookieName)
	if bearer, ok := strings.CutPrefix(c.GetHeader("Authorization"), "Bearer "); ok {
		token = bearer
	}
	if g.fits(c, token) {
		return
	}
	if strings.HasPrefix(c.Request.URL.Path, "/api") || !safe(c.Request.Method) {
		problem(c, http.StatusUnauthorized, NotSignedIn)
	} else {
		c.Redirect(http.StatusSeeOther, signInPath)
	}
	c.Abort()
}

func (g guard) fits(c *gin.Context, token string) bool {
	address, _, _ := net.SplitHostPort(c.Request.RemoteAddr)
	return g.gate.Fits(c.Request.Context(), address, token)
}

// signIn takes the token of a form, or of a link.
func (g guard) signIn(c *gin.Context) {
	c.Request.Body = http.MaxBytesReader(c.Writer, c.Request.Body, 4096)
	token := c.Query("token")
	if c.Request.Method == http.MethodPost {
		token = c.PostForm("token")
	}
	if token == "" || !g.fits(c, token) {
		status := http.StatusOK
		if token != "" {
			status = http.StatusUnauthorized
		}
		c.Data(status, "text/html; charset=utf-8", []byte(gate.Page))
		return
	}
	http.SetCookie(c.Writer, &http.Cookie{Name: cookieName, Value: token, Path: "/", HttpOnly: true,
		SameSite: http.SameSiteStrictMode, MaxAge: 400 * 24 * 3600})
	c.Redirect(http.StatusSeeOther, "/")
}
