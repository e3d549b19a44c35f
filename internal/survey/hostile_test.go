package survey

import (
	"bytes"
	"compress/gzip"
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"net/url"
	"slices"
	"strings"
	"sync/atomic"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/internal/fetch"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// site serves pages of one host as a proxy would, and counts what is asked.
type served struct {
	asked atomic.Int64
	serve func(w http.ResponseWriter, r *http.Request)
}

func (s *served) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	s.asked.Add(1)
	s.serve(w, r)
}

func visit(t *testing.T, start string, o Options, serve func(w http.ResponseWriter, r *http.Request)) (Site, int,
	error) {
	t.Helper()
	s := &served{serve: serve}
	server := httptest.NewServer(s)
	t.Cleanup(server.Close)
	proxy, err := url.Parse(server.URL)
	require.NoError(t, err)
	web := fetch.New(fetch.Options{Proxy: proxy, Wait: func(context.Context, int, time.Duration) error { return nil }})
	found, err := Visit(t.Context(), Plain{web}, start, o)
	return found, int(s.asked.Load()), err
}

func html(w http.ResponseWriter, body string) {
	w.Header().Set("Content-Type", "text/html")
	_, _ = w.Write([]byte("<title>x</title><p>A page of a site. " + body))
}

func paths(found Site) (out []string) {
	for _, v := range found.Visited {
		u, _ := url.Parse(v.URL)
		out = append(out, u.Path)
	}
	return out
}

// What is no page is not visited; www and the bare host are one; what redirects is one page.
func TestPagesOfASite(t *testing.T) {
	found, _, err := visit(t, "http://brindle.example/", Options{}, func(w http.ResponseWriter, r *http.Request) {
		switch r.URL.Path {
		case "/":
			html(w,
				`<nav><a href="/about/">About</a> <a href="http://www.brindle.example/services">Services</a></nav><a href="/?session=1">x</a><a href="/about/?print=1">x</a>
				<a href="/calendar/2026/11/">x</a><a href="/news/2026/11/05">x</a><a href="/print/about">x</a><a href="/files/list.pdf">x</a><a href="/tag/soot">x</a>
				<a href="https://blog.brindle.example/">x</a><a href="http://other.example/">x</a><a href="/old">old</a><a href="/gone">gone</a><a href="mailto:a@b.example">x</a>
				<a href="/a/b/a/b/a/b">circle</a><a href="/private/x">x</a><a href="#top">x</a>`)
		case "/old":
			http.Redirect(w, r, "/about/", http.StatusMovedPermanently)
		case "/about/", "/services":
			html(w, r.URL.Path)
		case "/robots.txt":
			_, _ = w.Write([]byte("User-agent: *\nDisallow: /private/\nSitemap: http://brindle.example/maps.xml.gz\n"))
		case "/maps.xml.gz":
			z := gzip.NewWriter(w)
			_,
				_ = z.Write(
				[]byte(
					`<sitemapindex><sitemap><loc>http://brindle.example/list.txt</loc></sitemap><sitemap><loc>http://brindle.example/maps.xml.gz</loc></sitemap></sitemapindex>`))
			_ = z.Close()
		case "/list.txt":
			_, _ = w.Write([]byte("http://brindle.example/hidden\nhttp://brindle.example/about/\n"))
		case "/hidden":
			html(w, "hidden")
		default:
			http.NotFound(w, r)
		}
	})
	require.NoError(t, err)
	assert.Equal(t, []string{"/", "/about/", "/hidden", "/services"}, func() []string {
		p := paths(found)
		slices.Sort(p)
		return p
	}())
	require.Len(t, found.Dead, 1)
	assert.Equal(t, []any{"http://brindle.example/gone", 404, "gone"},
		[]any{found.Dead[0].URL, found.Dead[0].Status, found.Dead[0].Label})
	for _, v := range found.Visited {
		links := map[string]int{"/": 0, "/about/": 1, "/hidden": 0, "/services": 1}
		u, _ := url.Parse(v.URL)
		assert.GreaterOrEqual(t, v.InLinks, links[u.Path], v.URL)
		if u.Path == "/hidden" {
			assert.Zero(t, v.InLinks)
		}
	}
}

// No survey is endless, and none costs more than it may.
func TestHostileSites(t *testing.T) {
	var bomb bytes.Buffer
	z := gzip.NewWriter(&bomb)
	for range 200 {
		_, _ = z.Write(bytes.Repeat([]byte("<url><loc>http://brindle.example/x</loc></url>"), 4000))
	}
	_ = z.Close()
	deep := func(w http.ResponseWriter, r *http.Request) {
		html(w, fmt.Sprintf(`<a href="%sx%d/">next</a><a href="/day-%d">day</a>`, r.URL.Path, len(r.URL.Path),
			len(r.URL.Path)))
	}
	for name, serve := range map[string]func(w http.ResponseWriter, r *http.Request){
		"endless": deep,
		"many listed": func(w http.ResponseWriter, r *http.Request) {
			if r.URL.Path == "/sitemap.xml" {
				_, _ = w.Write([]byte("<urlset>"))
				for i := range 50_000 {
					fmt.Fprintf(w, "<url><loc>http://brindle.example/p%d</loc></url>", i)
				}
				return
			}
			html(w, "a page")
		},
		"nested in itself": func(w http.ResponseWriter, r *http.Request) {
			if strings.HasSuffix(r.URL.Path, ".xml") {
				_,
					_ = w.Write(
					[]byte(
						`<sitemapindex><sitemap><loc>http://brindle.example/sitemap.xml</loc></sitemap><sitemap><loc>http://brindle.example/a` + r.URL.Path[1:] + `</loc></sitemap></sitemapindex>`))
				return
			}
			html(w, "a page")
		},
		"a bomb": func(w http.ResponseWriter, r *http.Request) {
			if r.URL.Path == "/sitemap.xml" {
				_, _ = w.Write(bomb.Bytes())
				return
			}
			html(w, "a page")
		},
		"robots of 5 MB": func(w http.ResponseWriter, r *http.Request) {
			if r.URL.Path == "/robots.txt" {
				_, _ = w.Write(bytes.Repeat([]byte("Disallow: /a\n"), 400_000))
				return
			}
			html(w, "a page")
		},
	} {
		t.Run(name, func(t *testing.T) {
			found, asked, err := visit(t, "http://brindle.example/", Options{Most: 40, Lightly: true}, serve)
			require.NoError(t, err)
			assert.LessOrEqual(t, len(found.Visited), 41)
			assert.Less(t, asked, 80)
		})
	}
}

// A site that answers everything with 429 is left alone with its reason, one that fails
// after its first page after a few more.
func TestBusySites(t *testing.T) {
	_, asked, err := visit(t, "http://brindle.example/", Options{}, func(w http.ResponseWriter, _ *http.Request) {
		w.WriteHeader(http.StatusTooManyRequests)
	})
	f, ok := fault.Of(err)
	require.True(t, ok, "%v", err)
	assert.Contains(t, []fault.Code{fetch.SiteAnswered.Code, fetch.RobotsRefuse.Code}, f.Code)
	assert.Less(t, asked, 12)
	found, asked, err := visit(t, "http://brindle.example/", Options{}, func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/" {
			var links strings.Builder
			for i := range 150 {
				fmt.Fprintf(&links, `<a href="/p%d">p</a>`, i)
			}
			html(w, links.String())
			return
		}
		if r.URL.Path == "/robots.txt" {
			http.NotFound(w, r)
			return
		}
		w.WriteHeader(http.StatusTooManyRequests)
	})
	require.NoError(t, err)
	require.NotNil(t, found.Stopped)
	assert.Len(t, found.Visited, 1)
	assert.Less(t, asked, 60)
	_, _, err = visit(t, "http://brindle.example/", Options{}, func(w http.ResponseWriter, r *http.Request) {
		to := map[bool]string{true: "http://brindle.example",
			false: "http://www.brindle.example"}[strings.HasPrefix(r.Host, "www.")]
		http.Redirect(w, r, to+r.URL.Path, http.StatusMovedPermanently)
	})
	f, ok = fault.Of(err)
	require.True(t, ok)
	assert.Equal(t, fetch.RedirectCircle.Code, f.Code)
}
