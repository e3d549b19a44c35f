package e2e

import (
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/reading"
	"inktally/e2e/browser"
	"inktally/internal/view"

	"github.com/chromedp/cdproto/network"
	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/cdproto/target"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// strict is a policy that forbids nearly everything and reports each breach.
const strict = "default-src 'none'; img-src data:; script-src 'none'; style-src 'none'; connect-src 'none'; " +
	"frame-src 'none'; form-action 'none'; report-uri /report"

// stranger is a site of somebody else, with what was asked of it.
type stranger struct {
	*httptest.Server
	asked chan string
}

// pages serves a site: a page as it is, the same under a strict policy, a huge one, a page
// of search results and one with figures.
func pages(t *testing.T) *stranger {
	s := &stranger{asked: make(chan string, 100)}
	results, err := os.ReadFile("../core/results/testdata/flat.html")
	require.NoError(t, err)
	const body = `<!doctype html><title>Sweeps of Quillby</title><link rel="icon" href="data:,"><style>.gone{display:none}</style><h1>Sweeps of Quillby</h1>
		<p>Seven words of copy that all see.</p><p class="gone">These are hidden by a style sheet.</p><div id="drawn"></div>`
	s.Server = httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		s.asked <- r.URL.Path
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		switch r.URL.Path {
		case "/strict":
			w.Header().Set("Content-Security-Policy", strict)
			_, _ = w.Write([]byte(strings.NewReplacer(`<style>.gone{display:none}</style>`, "", `<p class="gone">`,
				`<p hidden>`).Replace(body)))
		case "/huge":
			_, _ = w.Write([]byte(body))
			for range 63 {
				_, _ = w.Write([]byte("<p hidden>" + strings.Repeat("word ", 1<<20/5)))
			}
		case "/results":
			_, _ = w.Write(results)
		case "/figures":
			_, _ = w.Write([]byte(`<!doctype html><title>Overview</title><h1>oldsaltbox.example</h1><div><p>Referring domains</p>
				<p>23</p></div><div><p>Backlinks</p><p>1,026</p></div><div><p>Site strength</p><p>25</p></div>`))
		case "/favicon.ico", "/report":
			http.NotFound(w, r)
		default:
			_, _ = w.Write([]byte(body))
		}
	}))
	t.Cleanup(s.Close)
	return s
}

// bookmarked presses the bookmark on the page of a tab, as a person would, and returns the
// tab of the program that it opens.
func bookmarked(t *testing.T, tab context.Context, p *program, script string) *screen {
	t.Helper()
	opened := chromedp.WaitNewTarget(tab, func(i *target.Info) bool {
		return strings.HasPrefix(i.URL, p.base) || i.URL == "" || i.URL == "about:blank"
	})
	_, err := chromedp.Run(tab, chromedp.Evaluate[chromedp.Void](script, func(e *runtime.EvaluateParams) {
		e.UserGesture = new(true)
	}))
	require.NoError(t, err)
	ctx, cancel := chromedp.NewContext(tab, chromedp.WithTargetID(<-opened))
	t.Cleanup(cancel)
	return &screen{t: t, ctx: ctx, base: p.base}
}

// drained takes what waits in a channel.
func drained(c chan string) (out []string) {
	for len(c) > 0 {
		out = append(out, <-c)
	}
	return out
}

// bookmark returns the script of the program's bookmark.
func bookmark(s *screen) string {
	s.t.Helper()
	s.until(`document.querySelector('[data-bookmark]')`)
	return eval[string](s,
		`decodeURIComponent(document.querySelector('[data-bookmark]').href.slice('javascript:'.length))`)
}

// The bookmark hands the page of a tab over as it is shown, with and without a policy that
// forbids everything; nothing is kept unasked and nothing is asked of any site.
func TestBookmark(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	site := pages(t)
	at := fmt.Sprintf("/api/clients/%d", client)
	count := func() int { return len(get[view.Lineup](t, p, at+"/lineup").Entries) }
	entries := count()
	ctx := browser.Start(t, nil)
	own := &screen{t: t, ctx: ctx, base: p.base}
	own.open(fmt.Sprintf("/clients/%d/lineup", client))
	script := bookmark(own)

	for _, path := range []string{"/plain", "/strict"} {
		t.Run(path, func(t *testing.T) {
			tab, cancel := chromedp.NewContext(ctx)
			defer cancel()
			require.NoError(t, chromedp.Do(tab, chromedp.Navigate(site.URL+path)))
			_, err := chromedp.Run(tab,
				chromedp.Evaluate[chromedp.Void](`document.querySelector('#drawn').append('Four words drawn later')`))
			require.NoError(t, err)
			drained(site.asked)
			asked := make(chan string, 100)
			require.NoError(t, chromedp.Listen(tab, func(ev any) {
				if e, ok := ev.(*network.EventRequestWillBeSent); ok {
					asked <- e.Request.URL
				}
			}))
			s := bookmarked(t, tab, p, script)
			s.until(`document.querySelector('[data-received]')`)
			s.sees("Sweeps of Quillby")
			s.sees("14 words")
			s.sees("handed over by " + site.URL)
			assert.Empty(t, drained(asked), "the tab asked for something")
			assert.Empty(t, drained(site.asked), "the site learned of it")
			assert.Equal(t, entries, count(), "nothing is kept yet")
			if path == "/plain" {
				return
			}
			s.click(`document.querySelector('input[value=client_page]')`)
			eval[bool](s,
				fmt.Sprintf(
					`(e => (e.value = '%d', e.dispatchEvent(new Event('change')), true))(document.querySelector('[name=client]'))`, client))
			s.press("Keep it")
			s.until(`location.pathname.endsWith('/sheet')`)
			s.sees("handed over from a tab")
			page := eval[int](s, `+location.pathname.split('/')[4]`)
			column := get[view.Sheet](t, p, fmt.Sprintf("%s/pages/%d/sheet", at, page)).Columns[0]
			assert.Equal(t, 14, column.Words.Seen)
			assert.Equal(t, view.Source(reading.FromTab), column.Source)
		})
	}
}

// A page of results is read where it stands, a list becomes phrases; what is too large,
// blank or forged gets one sentence, and nothing of it is kept.
func TestBookmarkOnOtherPages(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	site := pages(t)
	ctx := browser.Start(t, nil)
	own := &screen{t: t, ctx: ctx, base: p.base}
	own.open(fmt.Sprintf("/clients/%d/lineup", client))
	script := bookmark(own)
	on := func(t *testing.T, address, script string) *screen {
		tab, cancel := chromedp.NewContext(ctx)
		t.Cleanup(cancel)
		require.NoError(t, chromedp.Do(tab, chromedp.Navigate(address)))
		return bookmarked(t, tab, p, script)
	}
	before := get[view.Lineup](t, p, fmt.Sprintf("/api/clients/%d/lineup", client))

	t.Run("results", func(t *testing.T) {
		s := on(t, site.URL+"/results?q=chimney+sweep+quillby", script)
		s.until(`document.querySelector('input[value=results]:checked')`)
		eval[bool](s,
			fmt.Sprintf(
				`(e => (e.value = '%d', e.dispatchEvent(new Event('change')), true))(document.querySelector('[name=client]'))`, client))
		s.press("Read it")
		s.until(`document.querySelector('[data-read]')`)
		assert.Equal(t, "chimney sweep quillby", s.value("[name=results_phrase]"))
		assert.Len(t, get[view.Lineup](t, p, fmt.Sprintf("/api/clients/%d/lineup", client)).Recorded,
			len(before.Recorded), "nothing is kept yet")
	})
	t.Run("figures", func(t *testing.T) {
		s := on(t, site.URL+"/figures", script)
		s.until(`document.querySelector('input[value=figures]:checked')`)
		eval[bool](s,
			fmt.Sprintf(
				`(e => (e.value = '%d', e.dispatchEvent(new Event('change')), true))(document.querySelector('[name=client]'))`, client))
		s.press("Read it")
		s.until(`document.querySelector('[data-preview]')`)
		s.sees("The rows do not say whose they are")
		eval[bool](s, `(e => (e.value = 'oldsaltbox.example', e.dispatchEvent(new Event('change')), true))(`+
			`document.querySelector('[name=site]'))`)
		s.press("Import 3 figures")
		s.until(`document.querySelector('[data-row="links site "] td:nth-of-type(4)')?.textContent.includes('1,026')`)
	})
	t.Run("huge", func(t *testing.T) {
		s := on(t, site.URL+"/huge", script)
		s.sees("63 MB, more than can be read")
	})
	t.Run("blank", func(t *testing.T) {
		s := on(t, "about:blank", script)
		s.sees("That tab is blank")
	})
	t.Run("forged", func(t *testing.T) {
		forged := fmt.Sprintf(`(() => { const to = %q, tab = open(to + '/receive')
			addEventListener('message', e => e.data.inktally === 'ready' && tab.postMessage({inktally: 'page', nonce: e.data.nonce, key: 'guessed', url: location.href, title: 'x', html: '<p>forged'}, to)) })()`, p.base)
		s := on(t, site.URL+"/plain", forged)
		s.sees("not handed over by your bookmark")
	})
	t.Run("of another site", func(t *testing.T) {
		s := on(t, site.URL+"/plain", strings.Replace(script, "url: taken.url", "url: 'https://bank.example/'", 1))
		s.sees("but it came from " + site.URL)
	})
	t.Run("nobody", func(_ *testing.T) {
		own.open("/receive")
		own.sees("No tab has handed a page over")
	})
	assert.Len(t, get[view.Lineup](t, p, fmt.Sprintf("/api/clients/%d/lineup", client)).Entries, len(before.Entries))
}
