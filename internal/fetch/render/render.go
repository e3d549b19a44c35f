// Package render reads pages as a browser renders them, scripts and all.
//
// In goes an address; out comes the document as it stands after it was loaded
// and has come to rest, as HTML that says by itself what is shown: each element
// carries its computed display, and no style sheet is needed any more. The
// browser opens no connection of its own: every request of the page is
// answered through the fetcher, with its guard and its bounds, so that a page
// that is rendered can reach nothing that a page that is fetched could not.
package render

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"os"
	"slices"
	"sync"
	"time"

	"inktally/internal/fetch"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/remote"
)

// Width and Height are the screen that pages are rendered on (rule 1.2).
const (
	Width  = 1280
	Height = 800
)

const (
	atOnce    = 2 // pages that are rendered side by side
	startTime = 20 * time.Second
	// endTime is how long the end of the program may be held up.
	endTime = 3 * time.Second
	// readyTime is how long an empty tab may take until it is ready: a browser that takes longer
	// hangs.
	readyTime = 10 * time.Second
	scriptMB  = 512 // memory that the scripts of a page may take
)

// Web answers the requests of pages.
type Web interface {
	Ask(ctx context.Context, method, address string, header http.Header, body []byte, budget *fetch.Budget) (
		fetch.Answer, error)
	// Welcome returns nil if a site lets programs read an address.
	Welcome(ctx context.Context, address string) error
}

// Options say which browser renders.
type Options struct {
	Web Web
	// Path is the program; if it is empty Chromium is looked for.
	Path string
	// URL is the DevTools address of a browser that runs elsewhere; it takes
	// the place of a program on this machine.
	URL string
	// Timeout bounds one page; 0 is 30 seconds.
	Timeout time.Duration
	// Log is told of browsers that hang; nil for nobody.
	Log *slog.Logger
}

// Browser renders pages. It starts when it is first needed, is kept, and is
// started anew when it has died. It is safe for concurrent use.
type Browser struct {
	options Options
	turns   chan struct{}
	mu      sync.Mutex
	running context.Context // nil if none runs
	end     func()
	closing context.Context // ends what is being started, too
	close   context.CancelFunc

	alone    chan struct{} // held by whoever waits for all turns
	visiting sync.Mutex
	visits   map[*visit]bool
	began    began
}

// New returns a browser that has not started yet.
func New(o Options) *Browser {
	if o.Timeout == 0 {
		o.Timeout = 30 * time.Second
	}
	if o.URL == "" && o.Path == "" {
		o.Path = find()
	}
	b := &Browser{options: o, turns: make(chan struct{}, atOnce), alone: make(chan struct{}, 1),
		visits: map[*visit]bool{}}
	b.closing, b.close = context.WithCancel(context.Background())
	return b
}

// Available reports whether there is a browser to render with.
func (b *Browser) Available() bool { return b.options.URL != "" || b.options.Path != "" }

// Close ends the browser, also one that is just being started; one that hangs is not waited for.
func (b *Browser) Close() {
	b.close()
	ended := make(chan struct{})
	go func() {
		defer close(ended)
		b.mu.Lock()
		defer b.mu.Unlock()
		b.stop()
	}()
	select {
	case <-ended:
	case <-time.After(endTime):
	}
}

// stop ends the browser that runs; the lock is held.
func (b *Browser) stop() {
	if b.end != nil {
		b.end()
	}
	b.running, b.end = nil, nil
}

// ready returns the running browser. Who gives up waits for none that hangs at its start.
func (b *Browser) ready(ctx context.Context) (context.Context, error) {
	var running context.Context
	var err error
	started := make(chan struct{})
	go func() {
		defer close(started)
		running, err = b.browser()
	}()
	select {
	case <-started:
		return running, err
	case <-ctx.Done():
		return nil, ctx.Err()
	}
}

// browser returns the running browser, started if none runs or if the
// last one has died.
func (b *Browser) browser() (context.Context, error) {
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.running != nil && alive(b.running) {
		return b.running, nil
	}
	b.stop()
	if b.closing.Err() != nil {
		return nil, context.Canceled
	}
	ctx, end, err := b.start()
	if err != nil {
		return nil, BrowserNotStart.New().Because(err)
	}
	b.running, b.end = ctx, end
	b.visiting.Lock()
	b.began = began{at: time.Now()}
	b.visiting.Unlock()
	go b.watch(ctx)
	return ctx, nil
}

// alive reports whether a browser still answers on its connection.
func alive(ctx context.Context) bool {
	if ctx.Err() != nil {
		return false
	}
	select {
	case <-chromedp.FromContext(ctx).Browser.LostConnection:
		return false
	default:
		return true
	}
}

// start starts a browser or connects to the one elsewhere.
func (b *Browser) start() (ctx context.Context, end func(), err error) {
	var release func()
	clean := func() {}
	if b.options.URL != "" {
		ctx, release = remote.NewAllocator(b.closing, b.options.URL)
	} else {
		dir, err := os.MkdirTemp("", "inktally-rendered-")
		if err != nil {
			return nil, nil, err
		}
		clean = func() { _ = os.RemoveAll(dir) }
		ctx, release = chromedp.NewExecAllocator(b.closing, flags(b.options.Path, dir)...)
	}
	ctx, leave := chromedp.NewContext(ctx)
	end = func() {
		leave()
		release()
		clean()
	}
	// The first call binds the browser's life to its context, so the time to
	// start is bounded from outside.
	late := time.AfterFunc(startTime, leave)
	err = chromedp.Do(ctx)
	if !late.Stop() && err == nil {
		err = errors.New("it takes too long")
	}
	if err != nil {
		end()
		return nil, nil, err
	}
	return ctx, end, nil
}

// flags returns those of a browser that reaches no network and keeps nothing.
func flags(path, dir string) []chromedp.ExecAllocatorOption {
	out := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.ExecPath(path), chromedp.DisableGPU, chromedp.UserDataDir(dir), chromedp.WindowSize(Width, Height),
		chromedp.Flag("screen-info", fmt.Sprintf("{%dx%d}", Width, Height)),
		chromedp.NoFirstRun,
		chromedp.Flag("disable-quic", true), chromedp.Flag("disable-component-update", true),
		chromedp.Flag("host-resolver-rules", "MAP * ~NOTFOUND"),
		chromedp.Flag("force-webrtc-ip-handling-policy", "disable_non_proxied_udp"),
		chromedp.Flag("webrtc-ip-handling-policy", "disable_non_proxied_udp"),
		chromedp.Flag("proxy-server", nowhere), chromedp.Flag("proxy-bypass-list", "<-loopback>"),
		chromedp.Flag("js-flags", fmt.Sprintf("--max-old-space-size=%d", scriptMB)))
	if os.Geteuid() == 0 {
		out = append(out, chromedp.NoSandbox) // it refuses to run as root with one
	}
	return out
}

// Render reads the page at an address as it is rendered. The errors are faults.
func (b *Browser) Render(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	if !b.Available() {
		return fetch.Document{}, NoBrowser.New()
	}
	if !r.IgnoreRobots {
		if err := b.options.Web.Welcome(ctx, r.Address); err != nil {
			return fetch.Document{}, err
		}
	}
	doc, crowded, err := b.turn(ctx, r.Address, 1)
	if crowded && RenderMemory.Is(err) {
		doc, _, err = b.turn(ctx, r.Address, atOnce)
	}
	return doc, err
}

// turn renders a page when its turn has come: beside others, or alone if it takes all turns. It
// reports whether others were there when the memory was at its end.
func (b *Browser) turn(ctx context.Context, address string, turns int) (doc fetch.Document, crowded bool, err error) {
	waits := slices.Repeat([]chan struct{}{b.turns}, turns)
	if turns > 1 { // two who wait for all turns would wait for ever
		waits = append([]chan struct{}{b.alone}, waits...)
	}
	for _, wait := range waits {
		select {
		case wait <- struct{}{}:
			defer func() { <-wait }()
		case <-ctx.Done():
			return fetch.Document{}, false, ctx.Err()
		}
	}
	doc, crowded, err = b.render(ctx, address)
	if BrowserLost.Is(err) && ctx.Err() == nil {
		doc, crowded, err = b.render(ctx, address)
	}
	return doc, crowded, err
}

// render renders a page in a tab of its own.
func (b *Browser) render(ctx context.Context, address string) (doc fetch.Document, crowded bool, err error) {
	running, err := b.ready(ctx)
	if err != nil {
		return fetch.Document{}, false, err
	}
	tab, leave := chromedp.NewContext(running, chromedp.WithNewBrowserContext(sealed))
	defer leave()
	limit, cancel := context.WithTimeout(ctx, b.options.Timeout)
	defer cancel()
	// The tab lives by the browser's context; it ends with ours too.
	defer context.AfterFunc(limit, leave)()
	v := &visit{web: b.options.Web, ctx: limit, stop: cancel, address: address, budget: fetch.NewBudget(maxBytes),
		turns: make(chan struct{}, answersAtOnce)}
	b.enter(v)
	defer b.leave(v)
	late := time.AfterFunc(readyTime, func() {
		b.tellHung(running, v, "it opens no tab")
		b.discard(running)
	})
	err = v.ready(tab)
	switch {
	case !late.Stop():
		err = errors.New("it takes too long to open a tab")
	case err == nil:
		doc, err = v.run()
	}
	switch {
	case err == nil:
		return doc, false, nil
	case ctx.Err() != nil:
		return doc, false, ctx.Err()
	case v.failure() != nil:
		return doc, v.crowded.Load(), v.failure()
	case !alive(running):
		return doc, false, BrowserLost.New().Because(err)
	case limit.Err() != nil:
		if v.requests.Load() == 0 {
			b.tellHung(running, v, "it has not even asked for the page")
			b.discard(running)
		}
		return doc, false, RenderTimedOut.New(v.host())
	}
	return doc, false, RenderFailed.New(v.host()).Because(err)
}

// discard ends a browser that does not work any more: the next page starts another one.
func (b *Browser) discard(running context.Context) {
	if own := chromedp.FromContext(running).Browser.Process(); own != nil && alive(running) {
		for _, p := range tree(int32(own.Pid)) {
			_ = p.Kill()
		}
	}
	b.mu.Lock()
	defer b.mu.Unlock()
	if b.running == running {
		b.stop()
	}
}
