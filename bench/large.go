package main

import (
	"bytes"
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"strconv"
	"strings"
	"time"

	"inktally/core/sheet"
	"inktally/internal/app/readings"
	"inktally/internal/store"
)

// How many large pages are read, and how large each is.
const (
	largePages = 500
	largeBytes = 1 << 20
)

// soakLarge reads many large pages as a client's run does, then looks at all of them again, which
// is more than is kept at hand.
func soakLarge() error {
	ctx := context.Background()
	body, phrases := sample(largeBytes, 2000, 500, 20)
	site := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		n := strings.Trim(r.URL.Path, "/")
		_, _ = w.Write(bytes.Replace(body, []byte("Sweeps of"), []byte("Page "+n+" of the sweeps of"), 1))
	}))
	defer site.Close()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	r := &readings.Readings{DB: db, Web: openWeb(), Now: time.Now}
	var client int64
	if err := db.Write(ctx, func(tx *store.Tx) (err error) {
		client, err = tx.AddClient(store.Client{Name: "Large"})
		return err
	}); err != nil {
		return err
	}
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: phrases})
	began := time.Now()
	kept := make([]store.Reading, largePages)
	err = side(largePages, 4, func(i int) error {
		address := site.URL + "/" + strconv.Itoa(i)
		in, err := r.Fetch(ctx, client, address, store.ReadMode{Mode: "served"})
		if err != nil {
			return err
		}
		kept[i].ID, err = r.Keep(ctx, client, address, in)
		return err
	})
	if err != nil {
		return err
	}
	after := peakMB()
	err = side(largePages, 2, func(i int) error {
		p, err := r.Page(ctx, kept[i])
		if err == nil {
			sheet.Measure(p, criteria)
		}
		return err
	})
	fmt.Printf("%-52s %6d read, %.0f s, peak %d MB, %d MB when all were looked at (goal: 500)\n",
		fmt.Sprintf("soak: %d pages of %d MB", largePages, largeBytes>>20), largePages, time.Since(began).Seconds(),
		after, peakMB())
	return err
}

// How many very large pages a site that is surveyed has, and how large each is.
const (
	hugePages = 200
	hugeBytes = 10 << 20
)

// soakSurveyed surveys a site of very large pages.
func soakSurveyed() error {
	body, _ := sample(hugeBytes, 2000, 500, 20)
	site := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		n := 0
		if _, err := fmt.Sscanf(r.URL.Path, "/p%d", &n); err != nil && r.URL.Path != "/" || n >= hugePages {
			http.NotFound(w, r)
			return
		}
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		for k := range hugePages {
			_, _ = fmt.Fprintf(w, `<a href="/p%d">page %d</a> `, k, k)
		}
		_, _ = w.Write(body)
	}))
	defer site.Close()
	web, _, end, err := served()
	if err != nil {
		return err
	}
	defer end()
	client, err := sent(web.URL+"/api/clients", map[string]any{"name": "Huge", "trade": "", "phone": "",
		"home_page": site.URL, "services": []any{}, "places": []any{}, "phrases": []any{"chimney sweep"}})
	if err != nil {
		return err
	}
	began := time.Now()
	of := fmt.Sprintf("%s/api/clients/%v", web.URL, client["id"])
	if err := surveySites(of); err != nil {
		return err
	}
	ground, err := got(of)
	if err != nil {
		return err
	}
	fmt.Printf("%-52s %6d known, %.0f s, peak %d MB (goal: 500)\n",
		fmt.Sprintf("soak: a site of %d pages of %d MB surveyed", hugePages, hugeBytes>>20),
		len(ground["pages"].([]any)), time.Since(began).Seconds(), peakMB())
	return nil
}
