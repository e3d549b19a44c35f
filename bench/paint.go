package main

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"net/http/httptest"
	"runtime"
	"time"

	"inktally/e2e/browser"
	"inktally/internal/app"
	"inktally/internal/demo"
	"inktally/internal/practice"
	"inktally/internal/server"
	"inktally/internal/source"
	"inktally/internal/store"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/cdproto/page"
	"github.com/chromedp/chromedp"
)

// slowedBy is by how much the browser is slowed down, as a cheap computer is.
const slowedBy = 4

// paintBench opens each view of the demo's main client in a browser that is slowed down: when something is painted
// first, when what the view is for is there, and the longest task until then.
func paintBench() error {
	runtime.GOMAXPROCS(runtime.NumCPU())
	ctx := context.Background()
	base, end, err := servedDemo(ctx)
	if err != nil {
		return err
	}
	defer end()
	tab, leave, err := browser.Open(ctx, nil)
	if err != nil {
		return err
	}
	defer leave()
	tab, cancel := context.WithTimeout(tab, 3*time.Minute)
	defer cancel()
	if _, err := chromedp.Call(tab, emulation.SetCPUThrottlingRate,
		emulation.SetCPUThrottlingRateParams{Rate: slowedBy}); err != nil {
		return err
	}
	for _, v := range []struct{ name, path, shows string }{
		{"shelf", "/", "main tbody tr"},
		{"ground", "/clients/2/ground", "[name=service]"},
		{"pages", "/clients/2/site", "[data-page]"},
		{"book", "/clients/2/book", "[data-family]"},
		{"found for", "/clients/2/found", "[data-found]"},
		{"lineup", "/clients/2/lineup", "[data-entry]"},
		{"all pages", "/clients/2/sheet", "[data-row]"},
		{"sheet", "/clients/2/pages/2/sheet", "[data-cell=seen]"},
		{"targets", "/clients/2/targets", "[data-row]"},
		{"outline", "/clients/2/outline?page=p2", "[draggable]"},
		{"images", "/clients/2/images?page=p2", "[data-image]"},
		{"draft", "/clients/2/draft?page=p2", "textarea"},
		{"yardstick", "/clients/2/yardstick", "h2"},
		{"hand-off", "/clients/2/pages/2/hand-off", "[data-brief]"},
	} {
		script := fmt.Sprintf(watchPaint, v.shows)
		added, err := chromedp.Call(tab, page.AddScriptToEvaluateOnNewDocument,
			page.AddScriptToEvaluateOnNewDocumentParams{Source: script})
		if err != nil {
			return err
		}
		if err := chromedp.Do(tab, chromedp.Navigate(base+v.path)); err != nil {
			return err
		}
		took, err := chromedp.Run(tab, chromedp.Evaluate[[]float64]("window.painted", chromedp.EvalAwaitPromise))
		if err != nil {
			return fmt.Errorf("%s: %w", v.name, err)
		}
		if _, err := chromedp.Call(tab, page.RemoveScriptToEvaluateOnNewDocument,
			page.RemoveScriptToEvaluateOnNewDocumentParams(added)); err != nil {
			return err
		}
		fmt.Printf("%-12s first paint %5.0f ms (goal: 1500), filled %5.0f ms, longest task %4.0f ms (goal: 200)\n",
			v.name, took[0], took[1], took[2])
	}
	return nil
}

// servedDemo serves the demo with all its pages read.
func servedDemo(ctx context.Context) (base string, end func(), err error) {
	web, err := practice.Start()
	if err != nil {
		return "", nil, err
	}
	db, closeStore, err := newStore(ctx)
	if err != nil {
		return "", nil, err
	}
	log := slog.New(slog.NewTextHandler(io.Discard, nil))
	a, err := app.New(ctx, app.Options{DB: db, Web: web.Fetcher(), Search: source.Search{URL: web.SearchURL()},
		Demand:  source.Demand{URL: web.DemandURL()},
		Figures: web.Figures(), Log: log})
	if err != nil {
		return "", nil, err
	}
	if err := demo.Seed(ctx, a); err != nil {
		return "", nil, err
	}
	for _, client := range []int64{1, 2, 3} {
		for {
			run, err := a.Runs.Last(ctx, client)
			if err != nil {
				return "", nil, err
			}
			if run == nil || run.State != store.JobRunning {
				break
			}
			time.Sleep(50 * time.Millisecond)
		}
	}
	site := httptest.NewServer(server.New(a, log, server.Options{}))
	return site.URL, func() {
		site.Close()
		a.Close()
		closeStore()
		_ = web.Close()
	}, nil
}

// watchPaint tells when something is painted first, when an element is there and drawn, and the longest task until
// then.
const watchPaint = `window.painted = new Promise(done => {
	let longest = 0
	new PerformanceObserver(list => list.getEntries().forEach(e => longest = Math.max(longest, e.duration)))
		.observe({type: 'longtask', buffered: true})
	const look = () => {
		if (!document.querySelector(%q)) return requestAnimationFrame(look)
		requestAnimationFrame(() => setTimeout(() => {
			const paint = performance.getEntriesByName('first-contentful-paint')[0]
			done([paint ? paint.startTime : 0, performance.now(), longest])
		}))
	}
	requestAnimationFrame(look)
})`
