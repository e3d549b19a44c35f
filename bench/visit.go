package main

import (
	"context"
	"errors"
	"fmt"
	"net"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"os"
	"runtime/debug"
	"strconv"
	"strings"
	"time"

	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/view"
)

const (
	visitPages   = 200
	visitLatency = 5 * time.Millisecond
	// sitePace is how fast a site is asked at most: what it costs is the site's own time.
	sitePace = 40 * time.Millisecond
)

// visitBench surveys a site of 200 pages with all that the program does about it: pages
// read and kept, judged, and the client's pages made.
func visitBench() error {
	server := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		n, err := strconv.Atoi(strings.Trim(r.URL.Path, "/p"))
		if r.URL.Path == "/" {
			n, err = 0, nil
		}
		if err != nil || n >= visitPages {
			http.NotFound(w, r)
			return
		}
		time.Sleep(visitLatency)
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		_, _ = w.Write([]byte(sitePage(n)))
		for k := 1; k <= 12; k++ {
			_, _ = fmt.Fprintf(w, `<a href="/p%d">page %d</a> `, 1+(n*12+k-1)%(visitPages-1), k)
		}
	}))
	defer server.Close()
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	pages := fetch.New(fetch.Options{Guard: func(netip.Addr) error {
		return nil
	}, Dial: func(ctx context.Context, network, _ string) (net.Conn, error) {
		return (&net.Dialer{}).DialContext(ctx, network, server.Listener.Addr().String())
	}})
	a, err := app.New(ctx, app.Options{DB: db, Web: pages})
	if err != nil {
		return err
	}
	defer a.Close()
	g, err := a.Ground.New(ctx, view.Business{Name: "Bench", HomePage: "site.example",
		Services: []view.Service{{Name: "chimney sweep"}},
		Places:   []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}}})
	if err != nil {
		return err
	}
	debug.FreeOSMemory()
	before, most := resident(), 0
	from := time.Now()
	run, err := a.Runs.Survey(ctx, g.ID)
	for err == nil && run.State == "running" {
		time.Sleep(20 * time.Millisecond)
		most = max(most, resident())
		last, lastErr := a.Runs.Last(ctx, g.ID)
		if err = lastErr; err == nil {
			run = *last
		}
	}
	if err != nil {
		return err
	}
	site, err := a.Ground.Site(ctx, g.ID)
	if err != nil {
		return err
	}
	if len(site.Pages) != visitPages {
		return errors.New("the survey found " + strconv.Itoa(len(site.Pages)) + " pages")
	}
	over := time.Since(from) - visitPages*sitePace
	fmt.Printf("%-52s %6.2f s over the site's pace (goal: at most 3), %d MB more memory (goal: at most 200)\n",
		"a survey of 200 pages at 5 ms", over.Seconds(), (most-before)>>20)
	return nil
}

// resident returns how much memory the process holds, in bytes.
func resident() int {
	raw, err := os.ReadFile("/proc/self/statm")
	if err != nil {
		return 0
	}
	fields := strings.Fields(string(raw))
	n, _ := strconv.Atoi(fields[1])
	return n * os.Getpagesize()
}
