package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/http/httptest"
	"runtime"
	"strings"
	"time"

	"inktally/e2e/browser"
	"inktally/internal/app"
	"inktally/internal/server"
	"inktally/internal/view"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/performance"
	"github.com/chromedp/chromedp"
)

const (
	scrolledFamilies = 5000
	scrolledFrames   = 240
)

// scrollBench scrolls a book of 5,000 families in the browser, so many pixels a
// frame: the work that a frame takes and how many are dropped, beside those of
// a plain list.
func scrollBench() error {
	runtime.GOMAXPROCS(runtime.NumCPU()) // nothing here is held against another time
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	a, err := app.New(ctx, app.Options{DB: db, Web: serving{}})
	if err != nil {
		return err
	}
	defer a.Close()
	client, err := largeBook(ctx, a)
	if err != nil {
		return err
	}
	site := httptest.NewServer(server.New(a, slog.New(slog.NewTextHandler(io.Discard, nil)), server.Options{}))
	defer site.Close()
	tab, leave, err := browser.Open(ctx, nil)
	if err != nil {
		return err
	}
	defer leave()
	tab, cancel := context.WithTimeout(tab, 2*time.Minute)
	defer cancel()
	if err := chromedp.Do(tab, chromedp.Navigate(fmt.Sprintf("%s/clients/%d/book", site.URL, client))); err != nil {
		return err
	}
	if _, err := chromedp.Run(tab, chromedp.Evaluate[bool](showAll, chromedp.EvalAwaitPromise)); err != nil {
		return err
	}
	scrolled := map[string][]float64{}
	for _, list := range []string{"book", "plain"} {
		if list == "plain" {
			if _, err := chromedp.Run(tab, chromedp.Evaluate[bool](plainList)); err != nil {
				return err
			}
		}
		for _, pixels := range []int{60, 120} {
			before, err := busy(tab)
			if err != nil {
				return err
			}
			took, err := chromedp.Run(tab,
				chromedp.Evaluate[[]float64](fmt.Sprintf(scroll, pixels, scrolledFrames), chromedp.EvalAwaitPromise))
			if err != nil {
				return err
			}
			after, err := busy(tab)
			if err != nil {
				return err
			}
			scrolled[fmt.Sprint(list, pixels)] = append(took, 1000*(after-before)/scrolledFrames)
		}
	}
	for _, pixels := range []int{60, 120} {
		book, plain := scrolled[fmt.Sprint("book", pixels)], scrolled[fmt.Sprint("plain", pixels)]
		fmt.Printf("%d families scrolled by %d pixels a frame: %.1f ms of work each (plain list %.1f), %.0f dropped "+
			"beside %d (goal: none; plain list %.0f)\n",
			scrolledFamilies, pixels, book[1], plain[1], book[0], scrolledFrames, plain[0])
	}
	return nil
}

// busy returns how many seconds the page's main thread has worked so far.
func busy(tab context.Context) (float64, error) {
	if _, err := chromedp.Call(tab, performance.Enable, performance.EnableParams{}); err != nil {
		return 0, err
	}
	all, err := chromedp.Call(tab, performance.GetMetrics, cdp.Empty{})
	if err != nil {
		return 0, err
	}
	for _, m := range all.Metrics {
		if m.Name == "TaskDuration" {
			return m.Value, nil
		}
	}
	return 0, errors.New("the browser does not tell how long it worked")
}

// largeBook makes a client whose phrases are a family each.
func largeBook(ctx context.Context, a *app.App) (client int64, err error) {
	g, err := a.Ground.New(ctx, view.Business{Name: "Bench", Phrases: []string{"chimney sweep"}})
	if err != nil {
		return 0, err
	}
	var list strings.Builder
	list.WriteString("phrase,volume,difficulty\n")
	for i := range scrolledFamilies - 1 {
		fmt.Fprintf(&list, "%s %s %d,%d,%d\n", services[i%len(services)], places[i/10%len(places)], i, i%900, i%70)
	}
	_, err = a.Book.ImportList(ctx, g.ID, "bench", []byte(list.String()), nil, "", "")
	return g.ID, err
}

// showAll shows all parts of the book, once it is there.
const showAll = `new Promise(done => {
	const look = () => {
		const all = [...document.querySelectorAll('[aria-label="Parts of the book"] button')].find(e => e.textContent.includes('5,000'))
		all?.click()
		if (all && document.querySelector('[data-rows]').scrollHeight > 5000 * 30) setTimeout(() => done(true), 500)
		else setTimeout(look, 50)
	}
	look()
})`

// plainList puts a list without anything to it in place of the book.
const plainList = `(document.body.innerHTML = '<div data-rows style="height:600px;overflow:auto">' +
	'<p style="margin:0;height:34px">chimney sweep tarn harbor</p>'.repeat(5000) + '</div>', true)`

// scroll returns how many frames of a screen of 60 a second were left out.
const scroll = `new Promise(done => {
	const rows = document.querySelector('[data-rows]'), took = []
	let last
	const frame = now => {
		if (last) took.push(now - last)
		last = now
		rows.scrollTop += %d
		if (took.length < %d) requestAnimationFrame(frame)
		else done([took.reduce((sum, t) => sum + Math.max(0, Math.round(t / (1000 / 60)) - 1), 0)])
	}
	rows.scrollTop = 0
	requestAnimationFrame(frame)
})`
