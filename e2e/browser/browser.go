// Package browser starts Debian's Chromium for tests and reads pages with it.
package browser

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"testing"
	"time"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// Start starts a browser for a test, of the size that pages are read on. It is
// closed when the test ends.
func Start(t testing.TB, flags map[string]any) context.Context {
	t.Helper()
	limit, cancel := context.WithTimeout(context.Background(), 8*time.Minute)
	t.Cleanup(cancel)
	ctx, end, err := Open(limit, flags)
	require.NoError(t, err)
	t.Cleanup(end)
	return ctx
}

// Open starts a browser; flags are added to its command line. end closes it.
func Open(parent context.Context, flags map[string]any) (ctx context.Context, end func(), err error) {
	path, err := exec.LookPath("chromium")
	if err != nil {
		return nil, nil, errors.New("no Chromium: apt-get install chromium")
	}
	dir, err := os.MkdirTemp("", "inktally-browser-")
	if err != nil {
		return nil, nil, err
	}
	options := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.ExecPath(path), chromedp.NoSandbox, chromedp.DisableGPU,
		chromedp.Flag("disable-quic", true), chromedp.Flag("disable-component-update", true),
		chromedp.Flag("disable-background-networking", true), chromedp.Flag("disable-sync", true),
		chromedp.Flag("no-first-run", true), chromedp.Flag("hide-scrollbars", true),
		chromedp.UserDataDir(dir), chromedp.WindowSize(1280, 800),
		chromedp.Flag("screen-info", "{1280x800}"))
	for name, value := range flags {
		options = append(options, chromedp.Flag(name, value))
	}
	allocator, release := chromedp.NewExecAllocator(parent, options...)
	ctx, leave := chromedp.NewContext(allocator)
	end = func() {
		leave()
		release()
		_ = os.RemoveAll(dir) // the browser may still be writing into it
	}
	if err := chromedp.Do(ctx, chromedp.EmulateViewport(1280, 800)); err != nil {
		end()
		return nil, nil, err
	}
	return ctx, end, nil
}

// Facts is what a browser says of a page.
type Facts struct {
	Text     string `json:"text"`
	Title    string `json:"title"`
	Headings []struct {
		Level int    `json:"level"`
		Text  string `json:"text"`
	} `json:"headings"`
	// Images are the names of the images, as rule 4.1 has them.
	Images []string `json:"images"`
}

// Read loads an address and returns what the browser makes of it.
func Read(t testing.TB, ctx context.Context, address string) Facts {
	t.Helper()
	facts, err := Ask(ctx, address)
	require.NoError(t, err)
	return facts
}

// Settled returns what the browser makes of the page that it shows once its
// scripts have had half a second more.
func Settled(t testing.TB, ctx context.Context) Facts {
	t.Helper()
	facts, err := chromedp.Run(ctx, chromedp.Evaluate[Facts]("new Promise(done => setTimeout(done, 500)).then(() => "+
		factsScript+")", chromedp.EvalAwaitPromise))
	require.NoError(t, err)
	return facts
}

// NoScripts keeps pages from running theirs: they are shown as served.
func NoScripts(ctx context.Context) error {
	_, err := chromedp.Call(ctx, emulation.SetScriptExecutionDisabled,
		emulation.SetScriptExecutionDisabledParams{Value: true})
	return err
}

// Ask is Read without a test.
func Ask(ctx context.Context, address string) (Facts, error) {
	if err := chromedp.Do(ctx, chromedp.Navigate(address)); err != nil {
		return Facts{}, err
	}
	return chromedp.Run(ctx, chromedp.Evaluate[Facts](factsScript))
}

// AskFrames is Ask of many small pages of one server: each is shown in a frame
// of the size that pages are read on, without scripts.
func AskFrames(ctx context.Context, addresses []string) ([]Facts, error) {
	if err := chromedp.Do(ctx, chromedp.Navigate(addresses[0])); err != nil {
		return nil, err
	}
	list, err := json.Marshal(addresses)
	if err != nil {
		return nil, err
	}
	return chromedp.Run(ctx, chromedp.Evaluate[[]Facts](fmt.Sprintf(`(async () => {
		const all = []
		for (const address of %s) {
			const frame = Object.assign(document.createElement('iframe'), {sandbox: 'allow-same-origin', width: 1280, height: 800, src: address})
			await new Promise(done => { frame.onload = done; document.documentElement.append(frame) })
			all.push((document => %s)(frame.contentDocument))
			frame.remove()
		}
		return all
	})()`, list, factsScript), chromedp.EvalAwaitPromise))
}

// factsScript asks for the text as select-all and copy gives it, the headings
// that show text, and the addresses of the images. Letters are left in the
// case of the source; fields and their options hold no text, but are boxes. What is
// not drawn yet only because it is far down is text like any other.
const factsScript = `(() => {
	const style = document.createElement('style')
	style.textContent = '*:not(#x#y#z){text-transform:none !important} datalist,noscript,defs,symbol{display:none !important}'
	document.documentElement.append(style)
	for (const e of document.querySelectorAll('select,textarea,progress,meter,canvas,audio,video,object,iframe')) e.replaceChildren()
	for (const e of document.querySelectorAll('body *')) if (getComputedStyle(e).contentVisibility === 'auto') e.style.setProperty('content-visibility', 'visible', 'important')
	const clean = s => s.replace(/\s+/g, ' ').trim()
	const heads = [...document.querySelectorAll('h1,h2,h3,h4,h5,h6')]
		.map(h => ({level: +h.tagName[1], text: h.checkVisibility({visibilityProperty: true}) || h.innerText.trim() ? clean(h.checkVisibility() ? h.innerText : '') : ''}))
		.filter(h => h.text)
	const name = a => decodeURIComponent(a.replace(/[?#].*$/, '').replace(/^.*\//, '')).replace(/\.[A-Za-z0-9]{1,5}$/, '')
		.replace(/([-_]\d{2,5}x\d{2,5}|@\d(\.\d+)?x|[-_]scaled|[-_]thumb(nail)?)+$/i, '')
	const images = [...document.querySelectorAll('img')]
		.filter(i => !(parseFloat(i.getAttribute('width')) < 48 && parseFloat(i.getAttribute('height')) < 48))
		.map(i => { const src = i.getAttribute('src') || ''
			return src && !src.startsWith('data:') ? src : i.dataset.src || src })
		.map(a => a.startsWith('data:') ? '' : name(a))
	return {text: document.body ? document.body.innerText : '', title: clean(document.title), headings: heads, images}
})()`
