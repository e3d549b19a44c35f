package e2e

import (
	"context"
	"fmt"
	"net/url"
	"strings"
	"sync"
	"testing"
	"time"

	"inktally/e2e/browser"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/cdproto/network"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// screen is a browser that looks at a program. It asserts at its end that
// nothing was asked of any other host.
type screen struct {
	t    *testing.T
	ctx  context.Context
	base string
}

// look opens a browser on a program.
func look(t *testing.T, p *program) *screen {
	t.Helper()
	s := &screen{t: t, ctx: browser.Start(t, nil), base: p.base}
	var mu sync.Mutex
	var asked []string
	require.NoError(t, chromedp.Listen(s.ctx, func(ev any) {
		if e, ok := ev.(*network.EventRequestWillBeSent); ok {
			mu.Lock()
			asked = append(asked, e.Request.URL)
			mu.Unlock()
		}
	}))
	t.Cleanup(func() {
		mu.Lock()
		defer mu.Unlock()
		assert.NotEmpty(t, asked)
		for _, a := range asked {
			if u, err := url.Parse(a); assert.NoError(t, err) && u.Scheme != "data" && u.Scheme != "blob" {
				assert.True(t, strings.HasPrefix(a, p.base+"/"), "asked of another host: %s", a)
			}
		}
	})
	return s
}

func (s *screen) open(path string) {
	s.t.Helper()
	require.NoError(s.t, chromedp.Do(s.ctx, chromedp.Navigate(s.base+path)))
}

// eval runs a script and returns its value.
func eval[T any](s *screen, script string) T {
	s.t.Helper()
	v, err := chromedp.Run(s.ctx, chromedp.Evaluate[T](script, chromedp.EvalAwaitPromise))
	require.NoError(s.t, err, script)
	return v
}

// until waits until a script's value is true.
func (s *screen) until(script string) {
	s.t.Helper()
	deadline := time.Now().Add(90 * time.Second)
	for {
		done, err := chromedp.Run(s.ctx, chromedp.Evaluate[bool]("!!("+script+")"))
		if err == nil && done {
			return
		}
		if time.Now().After(deadline) {
			text, _ := chromedp.Run(s.ctx,
				chromedp.Evaluate[string]("location.pathname + '\\n' + document.body.innerText.slice(0, 3000)"))
			s.t.Fatalf("never came true: %s (%v)\non the screen: %s", script, err, text)
		}
		time.Sleep(30 * time.Millisecond)
	}
}

// sees waits until a text stands on the screen, or in a document that is shown on it.
func (s *screen) sees(text string) {
	s.t.Helper()
	s.until(fmt.Sprintf(`document.body.innerText.includes(%q) || %s.includes(%[1]q)`, text, documentText))
}

// documentText is the text of the document that is shown, which stands in a tree of its own.
const documentText = `(document.querySelector('[data-document]')?.shadowRoot?.textContent ?? '')`

// measured waits until the strip says a text of a run that is over: until then
// it may say nearly the same.
func (s *screen) measured(text string) {
	s.t.Helper()
	s.until(fmt.Sprintf("(e => e && e.innerText.includes(%q))(document.querySelector('[data-run=done]'))", text))
}

// slow lets every answer take its time.
func (s *screen) slow(latency time.Duration) {
	s.t.Helper()
	// Browsers of half a year ago want to be told beside the conditions that they are not offline.
	type conditions struct {
		network.EmulateNetworkConditionsByRuleParams
		Offline bool `json:"offline"`
	}
	emulate := cdp.Command[conditions, cdp.Empty]{Method: network.CommandEmulateNetworkConditionsByRule}
	_, err := chromedp.Call(s.ctx, emulate, conditions{
		EmulateNetworkConditionsByRuleParams: network.EmulateNetworkConditionsByRuleParams{
			MatchedNetworkConditions: []*network.Conditions{
				{Latency: float64(latency.Milliseconds()), DownloadThroughput: -1, UploadThroughput: -1}}}})
	require.NoError(s.t, err)
}

// fill types a text over what stands in a field, and again if the field was
// drawn anew meanwhile and the typing went astray.
func (s *screen) fill(css, text string) {
	s.t.Helper()
	took := fmt.Sprintf("document.querySelector(%q)?.value === %q", css, text)
	for range 5 {
		s.until(fmt.Sprintf("(e => e && (e.focus(), e.select(), document.activeElement === "+
			"e))(document.querySelector(%q))", css))
		_, err := chromedp.Call(s.ctx, input.InsertText, input.InsertTextParams{Text: text})
		require.NoError(s.t, err)
		if eval[bool](s, took) {
			return
		}
	}
	s.t.Fatalf("%s never took %q", css, text)
}

// paste pastes a text into a field.
func (s *screen) paste(css, text string) {
	s.t.Helper()
	s.click(fmt.Sprintf("document.querySelector(%q)", css))
	eval[bool](s, fmt.Sprintf(`(() => { const data = new DataTransfer(); data.setData('text/plain', %q)
		return document.querySelector(%q).dispatchEvent(new ClipboardEvent('paste', {clipboardData: data,
			bubbles: true, cancelable: true})) || true })()`, text, css))
}

// press clicks the button or link that says a text, once it can be clicked: a
// button in a disabled fieldset takes no click. A key that stands beside the text is none of it.
func (s *screen) press(text string) {
	s.t.Helper()
	find := fmt.Sprintf(
		`[...document.querySelectorAll('button, a')].find(e => { const c = e.cloneNode(true);
			c.querySelectorAll('.kbd').forEach(k => k.remove());
			return c.textContent.trim().replace(/\s+/g, ' ') === %q && e.checkVisibility() &&
				!e.matches(':disabled') })`, text)
	s.click(find)
}

// click waits for the element that a script finds, and clicks it.
func (s *screen) click(find string) {
	s.t.Helper()
	s.until(fmt.Sprintf("(e => e && (e.click(), true))(%s)", find))
}

// keys types keys one after another, each of one letter or digit.
func (s *screen) keys(keys string) {
	s.t.Helper()
	for _, k := range keys {
		for _, kind := range []input.DispatchKeyEventType{"keyDown", "keyUp"} {
			_, err := chromedp.Call(s.ctx, input.DispatchKeyEvent,
				input.DispatchKeyEventParams{
					Type: kind, Key: string(k), Text: map[bool]string{true: string(k)}[kind == "keyDown"]})
			require.NoError(s.t, err)
		}
	}
}

// push presses a key that types nothing, or one that does by its name: ArrowDown, Enter, Space, Delete, Tab, Escape.
func (s *screen) push(name string, held ...int64) {
	s.t.Helper()
	codes := map[string]int64{"ArrowDown": 40, "ArrowUp": 38, "Enter": 13, "Space": 32, "Delete": 46, "Tab": 9,
		"Escape": 27, "Home": 36, "ArrowRight": 39, "ArrowLeft": 37, "End": 35, "z": 90, "k": 75}
	key, text := name, map[string]string{"Enter": "\r", "Space": " "}[name]
	if name == "Space" {
		key = " "
	}
	var mod int64
	for _, m := range held {
		mod |= m
	}
	for _, kind := range []input.DispatchKeyEventType{"keyDown", "keyUp"} {
		p := input.DispatchKeyEventParams{Type: kind, Key: key, Code: name, WindowsVirtualKeyCode: codes[name],
			Modifiers: mod}
		if kind == "keyDown" {
			p.Text = text
		}
		_, err := chromedp.Call(s.ctx, input.DispatchKeyEvent, p)
		require.NoError(s.t, err)
	}
}

func (s *screen) value(css string) string {
	s.t.Helper()
	return eval[string](s, fmt.Sprintf("document.querySelector(%q).value", css))
}
