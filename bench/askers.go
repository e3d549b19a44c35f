package main

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"slices"
	"sync"
	"time"

	"inktally/internal/app"
	"inktally/internal/server"
	"inktally/internal/store"
)

// How many ask for one page at once, and how large it is.
const (
	askers     = 40
	askedBytes = 15 << 20
)

// soakAskers lets many ask at once for all that is told of one page that is very large.
func soakAskers() error {
	web, _, end, err := served()
	if err != nil {
		return err
	}
	defer end()
	body, phrases := sample(askedBytes, 20_000, 5000, 20)
	client, err := sent(web.URL+"/api/clients", map[string]any{"name": "Asked", "trade": "", "phone": "",
		"home_page": "https://asked.example/", "services": []any{map[string]any{"name": "chimney sweeping"}},
		"places": []any{}, "phrases": phrases})
	if err != nil {
		return err
	}
	of := fmt.Sprintf("%s/api/clients/%v", web.URL, client["id"])
	ground, err := got(of)
	if err != nil {
		return err
	}
	page := fmt.Sprintf("%s/pages/%v", of, ground["pages"].([]any)[0].(map[string]any)["id"])
	filed, err := sent(page+"/paste", map[string]any{"entry": 0, "html": string(body)})
	if err != nil {
		return err
	}
	fmt.Printf("%-52s peak %d MB once it is kept\n", fmt.Sprintf("soak: a page of %d MB", askedBytes>>20), peakMB())
	for _, path := range []string{page + "/sheet", page + "/evidence?phrase=chimney+sweep", page + "/facts",
		page + "/made-of",
		of + "/plan", of + "/plan/images", of + "/plan/images.csv", of + "/plan/ladder", of + "/overview",
		fmt.Sprintf("%s/readings/%v/page?mark=chimney", of, filed["reading_id"])} {
		if err := askMany(path, path[len(web.URL):]); err != nil {
			return err
		}
	}
	return nil
}

// served serves the program with an empty file; end ends it.
func served() (web *httptest.Server, db *store.DB, end func(), err error) {
	ctx, log := context.Background(), slog.New(slog.DiscardHandler)
	db, closed, err := newStore(ctx)
	if err != nil {
		return nil, nil, nil, err
	}
	a, err := app.New(ctx, app.Options{DB: db, Web: openWeb(), Log: log})
	if err != nil {
		closed()
		return nil, nil, nil, err
	}
	web = httptest.NewServer(server.New(a, log, server.Options{}))
	return web, db, func() {
		web.Close()
		a.Close()
		closed()
	}, nil
}

// askMany asks for one thing many times at once.
func askMany(address, name string) error {
	var all sync.WaitGroup
	var mu sync.Mutex
	var times []float64
	size, states := int64(0), map[int]int{}
	for range askers {
		all.Go(func() {
			began := time.Now()
			resp, err := http.Get(address)
			if err != nil {
				return
			}
			defer resp.Body.Close()
			n, _ := io.Copy(io.Discard, resp.Body)
			mu.Lock()
			defer mu.Unlock()
			times, size = append(times, time.Since(began).Seconds()), n
			states[resp.StatusCode]++
		})
	}
	all.Wait()
	if len(times) == 0 {
		return fmt.Errorf("%s is not answered", name)
	}
	fmt.Printf("  %-50s %v, %.1f MB, %.1f to %.1f s, peak %d MB\n", name, states, float64(size)/(1<<20),
		slices.Min(times), slices.Max(times), peakMB())
	return nil
}

// sent sends a body in JSON and returns the answer.
func sent(address string, body any) (map[string]any, error) {
	raw, err := json.Marshal(body)
	if err != nil {
		return nil, err
	}
	resp, err := http.Post(address, "application/json", bytes.NewReader(raw))
	return answered(address, resp, err)
}

// got returns the answer of an address.
func got(address string) (map[string]any, error) {
	resp, err := http.Get(address)
	return answered(address, resp, err)
}

func answered(address string, resp *http.Response, err error) (map[string]any, error) {
	if err != nil {
		return nil, err
	}
	defer resp.Body.Close()
	if resp.StatusCode >= 400 {
		text, _ := io.ReadAll(resp.Body)
		return nil, fmt.Errorf("%s: %s %s", address, resp.Status, text)
	}
	var out map[string]any
	return out, json.NewDecoder(resp.Body).Decode(&out)
}
