package e2e

import (
	"fmt"
	"net/http"
	"net/http/httptest"
	"path/filepath"
	"sync/atomic"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// halfSite answers as half.example: a home page that links to a page which its site asks programs not to
// read, and to one that is broken until it is mended.
func halfSite(t *testing.T) (proxy string, mend func()) {
	var mended atomic.Bool
	page := func(title, body string) []byte {
		return fmt.Appendf(nil, "<!doctype html><title>%s</title><h1>%s</h1><p>%s</p>", title, title, body)
	}
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch {
		case r.URL.Host != "half.example":
			http.NotFound(w, r)
		case r.URL.Path == "/robots.txt":
			_, _ = w.Write([]byte("User-agent: *\nDisallow: /private\n"))
		case r.URL.Path == "/":
			_, _ = w.Write(page("Half Gutters", `We clean <a href="/private/gutters">gutters</a> and mend
				<a href="/roofs">roofs</a>. Call <a href="tel:+12075550142">207-555-0142</a>.`))
		case r.URL.Path == "/roofs" && mended.Load():
			_, _ = w.Write(page("Roof repair", "We repair roofs of slate and shingle in one day."))
		case r.URL.Path == "/roofs":
			http.Error(w, "broken", http.StatusInternalServerError)
		default:
			http.NotFound(w, r)
		}
	}))
	t.Cleanup(server.Close)
	return server.URL, func() { mended.Store(true) }
}

// What a survey could not read is told with the reason, and read in one click: again, or pasted.
func TestMissedPages(t *testing.T) {
	proxy, mend := halfSite(t)
	p := run(t, "serve", "--proxy", proxy, "--data", filepath.Join(t.TempDir(), "half.db"))
	defer p.kill(t)
	require.Equal(t, http.StatusOK, send(t, p, "POST", "/api/clients", view.Business{Name: "Half Gutters",
		HomePage: "http://half.example/", Services: []view.Service{{Name: "gutter cleaning", Words: []string{}}},
		Places: []view.Place{{Name: "Tarn Harbor", Home: true, Spellings: []string{}}}, Phrases: []string{}}))
	client := get[[]view.ShelfRow](t, p, "/api/clients")[0].ID
	idle(t, p, client)
	site := func() *view.Site { return get[*view.Site](t, p, fmt.Sprintf("/api/clients/%d/site", client)) }

	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/site", client))
	s.press("Survey the site")
	s.until(`document.querySelectorAll('[data-missed-page]').length === 2`)
	s.sees("1 of 3 pages read")
	s.sees("its site asks programs not to read it")
	s.sees("the site answered 500")

	const again = `document.querySelector('[data-missed-page="half.example/roofs"] button')`
	s.click(again)
	require.Eventually(t, func() bool { return len(site().Pages) == 2 }, time.Minute, 30*time.Millisecond)
	idle(t, p, client)
	s.until(`!` + again + `.disabled`)
	assert.Len(t, site().Missed, 2, "it is broken still")
	mend()
	s.click(again)
	s.until(`document.querySelectorAll('[data-missed-page]').length === 1`)
	s.sees("2 of 3 pages read")

	s.press("Paste it")
	s.fill("[name=html]", "<title>Gutter cleaning</title><h1>Gutter cleaning</h1><p>By hand, twice a year.</p>")
	s.press("Measure")
	s.until(`!document.querySelector('[data-missed]')`)
	s.sees("3 pages")
	for _, page := range site().Pages {
		assert.NotNil(t, page.Words, page.URL)
	}
}
