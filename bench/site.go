package main

import (
	"context"
	"fmt"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"time"

	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/view"
)

const (
	sitePages = 40
	latency   = 20 * time.Millisecond
	siteGoal  = 3 * time.Second
)

// siteBench reads, measures and keeps the pages of one site, each of which
// takes its time to answer.
func siteBench() error {
	body, phrases := sample(60_000, 120, 30, 20)
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/robots.txt" {
			return
		}
		time.Sleep(latency)
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		_, _ = w.Write(body)
	}))
	defer server.Close()
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	dialer := &net.Dialer{}
	pages := fetch.New(fetch.Options{Guard: func(netip.Addr) error {
		return nil
	}, Dial: func(ctx context.Context, network, _ string) (net.Conn, error) {
		return dialer.DialContext(ctx, network, server.Listener.Addr().String())
	}})
	a, err := app.New(ctx, app.Options{DB: db, Web: pages})
	if err != nil {
		return err
	}
	defer a.Close()
	g, err := a.Ground.New(ctx, view.Business{Name: "Bench", HomePage: "site.example", Phrases: phrases,
		Services: []view.Service{{Name: "chimney sweep"}}, Places: []view.Place{{Name: "Tarn Harbor", State: "ME"}}})
	if err != nil {
		return err
	}
	for i := range sitePages - 1 {
		draft := view.PageDraft{URL: fmt.Sprintf("http://site.example/page-%d", i), Kind: "other"}
		if _, err := a.Ground.AddPage(ctx, g.ID, draft); err != nil {
			return err
		}
	}
	states, end := a.Runs.Watch(g.ID)
	defer end()
	from := time.Now()
	run, err := a.Runs.Measure(ctx, g.ID)
	for err == nil && run.State == "running" {
		run = <-states
	}
	if err == nil && run.Done != sitePages {
		err = fmt.Errorf("%d of %d pages were read", run.Done, sitePages)
	}
	fmt.Printf("%d pages of one site with %v latency: %.2f s (goal: under %v)\n", sitePages, latency,
		time.Since(from).Seconds(), siteGoal)
	return err
}
