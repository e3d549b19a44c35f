package render

import (
	"context"
	_ "embed"
	"fmt"
	"net/http"
	"net/url"
	"sync"
	"sync/atomic"
	"time"

	"inktally/internal/fetch"

	"github.com/chromedp/cdproto/cdp"
	intercept "github.com/chromedp/cdproto/fetch"
	"github.com/chromedp/cdproto/inspector"
	"github.com/chromedp/cdproto/network"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/chromedp"
)

const (
	maxRequests = 400      // of one page
	maxBytes    = 40 << 20 // that one page may load, unpacked
	// answersAtOnce is how many requests of a page are answered side by side.
	answersAtOnce = 6
	// restless is how long a page may go on changing after it was loaded.
	restless = 8 * time.Second
	// leadsOn is how often a page may lead on to another one after it was loaded.
	leadsOn = 5
)

// visit is the rendering of one page.
type visit struct {
	web      Web
	ctx      context.Context
	stop     func() // ends the rendering
	address  string
	tab      context.Context
	frame    cdp.FrameID  // the page itself, not what is framed in it
	open     atomic.Int64 // requests under way
	requests atomic.Int64
	budget   *fetch.Budget
	turns    chan struct{}

	// crowded reports that other pages were there when the memory was at its end: one of them
	// may have taken it.
	crowded atomic.Bool

	mu        sync.Mutex
	err       error    // why the page itself could not be had
	passed    []string // the addresses of the page's document, in order
	lastETag  string
	lastDated string
}

func (v *visit) host() string {
	if u, err := url.Parse(v.address); err == nil {
		return u.Hostname()
	}
	return v.address
}

func (v *visit) failure() error {
	v.mu.Lock()
	defer v.mu.Unlock()
	return v.err
}

func (v *visit) fail(err error) {
	v.mu.Lock()
	defer v.mu.Unlock()
	if v.err == nil {
		v.err = err
	}
}

// end fails the rendering and ends it: nothing is waited for any more.
func (v *visit) end(err error) {
	v.fail(err)
	v.stop()
}

// ready makes a tab ready for the page. It takes no time but where the browser does not work.
func (v *visit) ready(tab context.Context) error {
	v.tab = tab
	if err := chromedp.Do(tab, chromedp.EmulateViewport(Width, Height)); err != nil {
		return err
	}
	v.frame = cdp.FrameID(chromedp.FromContext(tab).Target.TargetID)
	if err := chromedp.Listen(tab, v.hear); err != nil {
		return err
	}
	if _, err := chromedp.Call(tab, network.SetBypassServiceWorker,
		network.SetBypassServiceWorkerParams{Bypass: true}); err != nil {
		return err
	}
	if err := seal(tab); err != nil {
		if BrowserNotClosed.Is(err) {
			v.fail(err)
		}
		return err
	}
	everything := []*intercept.RequestPattern{{URLPattern: "*"}}
	_, err := chromedp.Call(tab, intercept.Enable, intercept.EnableParams{Patterns: everything})
	return err
}

// run loads the page, waits until it rests, and takes it down. One that leads on to another
// meanwhile is waited for again.
func (v *visit) run() (doc fetch.Document, err error) {
	if err := chromedp.Do(v.tab, chromedp.Navigate(v.address)); err != nil {
		return fetch.Document{}, err
	}
	for range leadsOn {
		if err := v.failure(); err != nil {
			return fetch.Document{}, err
		}
		if doc, err = v.rested(); err == nil || v.ctx.Err() != nil {
			return doc, err
		}
	}
	return doc, err
}

// rested returns the page once it rests.
func (v *visit) rested() (fetch.Document, error) {
	// Scripts of the page cannot reach into a world of our own.
	world, err := chromedp.Call(v.tab, page.CreateIsolatedWorld,
		page.CreateIsolatedWorldParams{FrameID: v.frame, WorldName: "reading"})
	if err != nil {
		return fetch.Document{}, err
	}
	if err := v.rest(world.ExecutionContextID); err != nil {
		return fetch.Document{}, err
	}
	return v.takeDown()
}

// hear listens to the events of the tab. It must not wait.
func (v *visit) hear(event any) {
	switch e := event.(type) {
	case *intercept.EventRequestPaused:
		v.open.Add(1)
		go func() {
			defer v.open.Add(-1)
			v.answer(e)
		}()
	case *page.EventJavascriptDialogOpening:
		go func() {
			_, _ = chromedp.Call(v.tab, page.HandleJavaScriptDialog, page.HandleJavaScriptDialogParams{Accept: false})
		}()
	case *inspector.EventTargetCrashed:
		v.end(RenderMemory.New(v.host()))
	}
}

// blank is the smallest picture; it stands for all, which are not loaded.
const blank = "GIF89a\x01\x00\x01\x00\x80\x00\x00\x00\x00\x00\x00\x00\x00!" +
	"\xf9\x04\x01\x00\x00\x00\x00,\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02D\x01\x00;"

// answer answers one request of the page.
func (v *visit) answer(e *intercept.EventRequestPaused) {
	own := e.ResourceType == network.ResourceTypeDocument
	switch e.ResourceType {
	case network.ResourceTypeImage:
		v.fulfill(e, http.StatusOK, http.Header{"Content-Type": {"image/gif"}}, []byte(blank))
		return
	case network.ResourceTypeStylesheet, network.ResourceTypeScript, network.ResourceTypeXHR, network.ResourceTypeFetch,
		network.ResourceTypePreflight, network.ResourceTypeOther:
	default:
		if !own || e.FrameID != v.frame {
			v.refuse(e, network.ErrorReasonBlockedByClient)
			return
		}
	}
	if v.requests.Add(1) > maxRequests || v.budget.Spent() {
		v.refuse(e, network.ErrorReasonBlockedByClient)
		return
	}
	select {
	case v.turns <- struct{}{}:
		defer func() { <-v.turns }()
	case <-v.ctx.Done():
		return
	}
	header := http.Header{}
	for name, value := range e.Request.Headers {
		header.Set(name, fmt.Sprint(value))
	}
	var body []byte
	for _, part := range e.Request.PostDataEntries {
		body = append(body, part.Bytes...)
	}
	a, err := v.web.Ask(v.ctx, e.Request.Method, e.Request.URL, header, body, v.budget)
	if v.budget.Spent() {
		v.end(errTooLarge)
		return
	}
	if own {
		err = v.note(e.Request.URL, a, err)
	}
	if err != nil {
		v.refuse(e, network.ErrorReasonFailed)
		return
	}
	v.fulfill(e, a.Status, a.Header, a.Body)
}

// note keeps what became of the page's own document.
func (v *visit) note(address string, a fetch.Answer, err error) error {
	if err == nil && a.Status >= 400 {
		err = fetch.Answered(v.host(), a.Status)
	}
	if err != nil {
		v.fail(err)
		return err
	}
	v.mu.Lock()
	defer v.mu.Unlock()
	v.passed = append(v.passed, address)
	v.lastETag, v.lastDated = a.Header.Get("ETag"), a.Header.Get("Last-Modified")
	return nil
}

func (v *visit) refuse(e *intercept.EventRequestPaused, reason network.ErrorReason) {
	_, _ = chromedp.Call(v.tab, intercept.FailRequest,
		intercept.FailRequestParams{RequestID: e.RequestID, ErrorReason: reason})
}

func (v *visit) fulfill(e *intercept.EventRequestPaused, status int, header http.Header, body []byte) {
	p := intercept.FulfillRequestParams{RequestID: e.RequestID, ResponseCode: int64(status), Body: body}
	for name, values := range header {
		for _, value := range values {
			p.ResponseHeaders = append(p.ResponseHeaders, &intercept.HeaderEntry{Name: name, Value: value})
		}
	}
	_, _ = chromedp.Call(v.tab, intercept.FulfillRequest, p)
}

// quiet resolves when nothing was added to the page or taken from it for a
// while, or when it is long enough.
const quiet = `new Promise(done => {
	let timer = setTimeout(done, 400)
	setTimeout(done, 3000)
	new MutationObserver(() => { clearTimeout(timer); timer = setTimeout(done, 400) })
		.observe(document, {childList: true, subtree: true, characterData: true})
})`

// rest waits until no request is under way and the page does not change any
// more, but not for ever.
func (v *visit) rest(world runtime.ExecutionContextID) error {
	until := time.Now().Add(restless)
	for {
		err := chromedp.Do(v.tab, chromedp.Evaluate[chromedp.Void](quiet, in(world), chromedp.EvalAwaitPromise))
		if err != nil || v.open.Load() == 0 || time.Now().After(until) {
			return err
		}
	}
}

// in evaluates in a world of our own.
func in(world runtime.ExecutionContextID) chromedp.EvaluateOption {
	return func(p *runtime.EvaluateParams) { p.ContextID = world }
}

// Takedown is the script that writes a page down as it is shown.
//
//go:embed takedown.js
var Takedown string

// taken is the page as takedown.js hands it over.
type taken struct {
	URL   string `json:"url"`
	HTML  string `json:"html"`
	Large bool   `json:"large"`
}

var errTooLarge = RenderTooLarge.New()

// takeDown writes the page down as it stands. A page may have led on by
// script, so its world is looked for anew.
func (v *visit) takeDown() (fetch.Document, error) {
	world, err := chromedp.Call(v.tab, page.CreateIsolatedWorld,
		page.CreateIsolatedWorldParams{FrameID: v.frame, WorldName: "reading"})
	if err != nil {
		return fetch.Document{}, err
	}
	t, err := chromedp.Run(v.tab, chromedp.Evaluate[taken](Takedown, in(world.ExecutionContextID)))
	if err != nil {
		return fetch.Document{}, err
	}
	if t.Large || len(t.HTML) > fetch.MaxBody {
		v.fail(errTooLarge)
		return fetch.Document{}, errTooLarge
	}
	v.mu.Lock()
	defer v.mu.Unlock()
	doc := fetch.Document{URL: t.URL, ContentType: "text/html; charset=utf-8", Body: []byte(t.HTML), ETag: v.lastETag,
		LastModified: v.lastDated}
	if len(v.passed) > 0 {
		doc.Redirects = v.passed[:len(v.passed)-1]
	}
	return doc, nil
}
