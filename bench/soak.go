package main

import (
	"bytes"
	"compress/gzip"
	"context"
	"fmt"
	"log/slog"
	"math/rand/v2"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"os"
	"os/exec"
	"strconv"
	"strings"
	"sync/atomic"
	"syscall"
	"time"

	"inktally/core/page"
	"inktally/core/reading"
	"inktally/core/sheet"
	"inktally/internal/app/readings"
	"inktally/internal/fetch"
	"inktally/internal/fetch/render"
	"inktally/internal/memory"
	"inktally/internal/store"

	"golang.org/x/sync/errgroup"
)

// How much the soak reads, as served and as rendered.
const (
	soakServed   = 10_000
	soakRendered = 300
)

// soak reads hostile pages through the whole program in a process of its own, so that its
// peak of memory is its own, and kills the program at drawn moments.
func soak() error {
	self, err := os.Executable()
	if err != nil {
		return err
	}
	for _, part := range []string{"large", "surveyed", "served", "rendered", "kills", "askers", "requests", "day"} {
		cmd := exec.Command(self)
		cmd.Env = append(os.Environ(), "SOAK="+part)
		cmd.Stdout, cmd.Stderr = os.Stdout, os.Stderr
		if err := cmd.Run(); err != nil {
			return fmt.Errorf("the soak did not come to its end: %w", err)
		}
	}
	return nil
}

// soakParts are what the soak is made of, each done by a process of its own.
var soakParts = map[string]func() error{
	"large":    soakLarge,
	"surveyed": soakSurveyed,
	"served":   func() error { return soakRead(soakServed, 4, "", reading.Served) },
	"rendered": func() error { return soakRead(soakRendered, 2, "r", reading.Rendered) },
	"kills":    func() error { return kills(os.Args[0]) },
	"askers":   soakAskers,
	"requests": soakRequests,
	"day":      soakDay,
	"readers":  readersBench,
}

// soaking is what the processes of the soak do; none of them is the bench.
func soaking() bool {
	var err error
	part := os.Getenv("SOAK")
	memory.Spare() // as the program does
	switch do := soakParts[part]; {
	case do != nil:
		err = do()
	case part == "work":
		work(os.Getenv("SOAK_FILE"))
	default:
		return false
	}
	if err != nil {
		fmt.Fprintln(os.Stderr, "soak:", err)
		os.Exit(1)
	}
	return true
}

// tricks are what hostile pages are made of; each is repeated and mixed with others.
var tricks = []string{
	"<p>", "<b>", "<div>", "</div>", "<table><tr><td>", "<li>", "<a href=x>a</a>", "<img src=a.jpg>", "<h2>a</h2>",
	"<br>", "a ", "\x00", "\xff\xfe", "漢", "\u202e", "&#x1F600;",
	"<svg><text>a</text></svg>", "<math><mi>x</mi></math>", "<template><p>x</template>",
	"<details><summary>a</summary>", "<dialog open>", "<select><option>a", "<form><input>",
	"<style>p{display:none}</style>", "<style>@media screen{@supports (a:b){@layer x{*{color:red}}}}</style>",
	"<style>:root{--a:var(--b);--b:var(--a)}p{display:var(--a)}</style>",
	"<script>document.body.append('x')</script>", "<script>for(let i=0;i<1e5;i++)document.body.append('a ')</script>",
	"<iframe srcdoc='<p>x'></iframe>", "<object data=x>", "<base href=//evil.example>",
	"<meta charset=utf-16>", "<meta http-equiv=refresh content='0;url=/'>", "<!--", "<![CDATA[", "<plaintext>", "<xmp>",
	"<noscript>", "<p hidden>a", "<p style='visibility:hidden'>a", "<p style='background:url(x)'>",
	"<ruby>a<rt>b</rt></ruby>", "<input type=hidden>", "<marquee>", "<frameset>", "<a href='javascript:x'>",
	"<a href=tel:5550100>555-0100</a>", "<script type=application/ld+json>{\"a\":[[[[", "chimney sweep tarn harbor ",
	"<b id=" + strings.Repeat("x", 4000) + ">", strings.Repeat("<div>", 600), strings.Repeat("word ", 200),
	"<script>while(1){}</script>", "<script>a=[];for(;;)a.push(new Array(1e6))</script>",
}

// hostile returns the n-th page.
func hostile(n int, rendered bool) []byte {
	r := rand.New(rand.NewPCG(uint64(n), 42))
	var b bytes.Buffer
	b.WriteString("<title>chimney sweep</title>")
	most := len(tricks) - 2 // those that never end are for the browser alone, and seldom
	if rendered && n%25 == 0 {
		most = len(tricks)
	}
	for range 1 + r.IntN(12) {
		trick := tricks[r.IntN(most)]
		for range 1 + r.IntN(1+40_000/len(trick)) {
			b.WriteString(trick)
		}
	}
	return b.Bytes()
}

// soakRead reads so many hostile pages, so many at once, at paths that begin with a letter for
// those that are rendered.
func soakRead(n, atOnce int, path string, mode reading.Mode) error {
	ctx := context.Background()
	site := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/robots.txt" {
			http.NotFound(w, r)
			return
		}
		n, _ := strconv.Atoi(strings.Trim(r.URL.Path, "/r"))
		body := hostile(n, strings.HasPrefix(r.URL.Path, "/r"))
		w.Header().Set("Content-Type", []string{"text/html", "text/html; charset=shift_jis", "application/xhtml+xml",
			"text/plain", ""}[n%5])
		if n%3 == 0 {
			w.Header().Set("Content-Encoding", "gzip")
			z := gzip.NewWriter(w)
			_, _ = z.Write(body)
			_ = z.Close()
			return
		}
		_, _ = w.Write(body)
	}))
	defer site.Close()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	web := openWeb()
	browser := render.New(render.Options{Web: web, Timeout: 8 * time.Second, Log: slog.Default()})
	defer browser.Close()
	r := &readings.Readings{DB: db, Web: web, Renderer: browser, Now: time.Now}
	var client int64
	if err := db.Write(ctx, func(tx *store.Tx) (err error) {
		client, err = tx.AddClient(store.Client{Name: "Soak"})
		return err
	}); err != nil {
		return err
	}
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: []string{"chimney sweep tarn harbor"}})
	var read, failed atomic.Int64
	one := func(address string, mode store.ReadMode) {
		in, err := r.Fetch(ctx, client, address, mode)
		if err == nil {
			_, err = r.Keep(ctx, client, address, in)
		}
		if err != nil {
			failed.Add(1)
			return
		}
		p := page.Read(in.Document.Body, page.Source{URL: in.Document.URL, ContentType: in.Document.ContentType})
		sheet.Measure(p, criteria)
		sheet.MadeOf(p)
		p.Details()
		read.Add(1)
	}
	began := time.Now()
	_ = side(n, atOnce, func(i int) error {
		one(fmt.Sprintf("%s/%s%d", site.URL, path, i), store.ReadMode{Mode: mode})
		return nil
	})
	fmt.Printf("%-52s %6d read, %d refused, %.0f s, peak %d MB (goal: 600)\n",
		fmt.Sprintf("soak: %d hostile pages as %s", n, mode), read.Load(), failed.Load(), time.Since(began).Seconds(),
		peakMB())
	return nil
}

// openWeb reads pages of this machine, as fast as they come.
func openWeb() *fetch.Fetcher {
	return fetch.New(fetch.Options{Guard: func(netip.Addr) error {
		return nil
	}, Wait: func(context.Context, int, time.Duration) error { return nil }})
}

// side does work n times, so many at once; its error is the first.
func side(n, limit int, do func(i int) error) error {
	var group errgroup.Group
	group.SetLimit(limit)
	for i := range n {
		group.Go(func() error { return do(i) })
	}
	return group.Wait()
}

// peakMB returns the most memory that this process has taken so far.
func peakMB() int64 {
	var r syscall.Rusage
	_ = syscall.Getrusage(syscall.RUSAGE_SELF, &r)
	return r.Maxrss >> 10
}
