package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/httptest"
	"os"
	"runtime"
	"time"

	"inktally/internal/store"
	"inktally/internal/view"
)

// A day of much use: so many surveys of a site that does not change, and so many clicks after each.
const (
	daySurveys = 200
	dayClicks  = 25
	dayPages   = 30
)

// soakDay uses the program for a day, and tells what it holds and how the file grew: neither is to grow with the
// hours.
func soakDay() error {
	site := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		n := 0
		if _, err := fmt.Sscanf(r.URL.Path, "/p%d", &n); err != nil && r.URL.Path != "/" || n >= dayPages {
			http.NotFound(w, r)
			return
		}
		w.Header().Set("Content-Type", "text/html; charset=utf-8")
		_, _ = io.WriteString(w, sitePage(n))
		for k := range dayPages {
			_, _ = fmt.Fprintf(w, `<a href="/p%d">page %d</a> `, k, k)
		}
	}))
	defer site.Close()
	web, db, end, err := served()
	if err != nil {
		return err
	}
	defer end()
	client, err := sent(web.URL+"/api/clients", map[string]any{"name": "Day", "trade": "", "phone": "",
		"home_page": site.URL, "services": []any{map[string]any{"name": "chimney sweeping"}},
		"places":  []any{map[string]any{"name": "Tarn Harbor", "state": "ME", "home": true}},
		"phrases": []any{"chimney sweep tarn harbor"}})
	if err != nil {
		return err
	}
	of := fmt.Sprintf("%s/api/clients/%v", web.URL, client["id"])
	page := fmt.Sprintf("%s/pages/%v", of, client["pages"].([]any)[0].(map[string]any)["id"])
	clicks := []string{of, of + "/overview", of + "/site", of + "/book", of + "/lineup", of + "/plan", of + "/standing",
		page + "/sheet", page + "/evidence?phrase=chimney+sweep+tarn+harbor", of + "/plan/images",
		web.URL + "/api/clients"}
	began := time.Now()
	for n := 1; n <= daySurveys; n++ {
		if err := surveySites(of); err != nil {
			return err
		}
		for i := range dayClicks {
			resp, err := http.Get(clicks[i%len(clicks)])
			if err != nil {
				return err
			}
			_, _ = io.Copy(io.Discard, resp.Body)
			resp.Body.Close()
			if resp.StatusCode != http.StatusOK {
				return fmt.Errorf("%s: %s", clicks[i%len(clicks)], resp.Status)
			}
		}
		if n == 1 || n%(daySurveys/4) == 0 {
			told(n, db, time.Since(began))
		}
	}
	began = time.Now()
	if err := db.DeleteClient(context.Background(), int64(client["id"].(float64))); err != nil {
		return err
	}
	fmt.Printf("  its client deleted in %.1f s\n", time.Since(began).Seconds())
	return nil
}

// told prints what is held after so many surveys.
func told(n int, db *store.DB, took time.Duration) {
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	bytes := int64(0)
	for _, beside := range []string{"", "-wal"} {
		if info, err := os.Stat(db.Path() + beside); err == nil {
			bytes += info.Size()
		}
	}
	fmt.Printf("%-52s %4d MB held, %d MB taken, peak %d MB, file %.1f MB, %.0f s\n",
		fmt.Sprintf("soak: a day, %d surveys and %d clicks", n, n*dayClicks), m.HeapInuse>>20,
		(m.Sys-m.HeapReleased)>>20, peakMB(), float64(bytes)/(1<<20), took.Seconds())
}

// surveySites surveys the sites of a client and waits until that is done.
func surveySites(of string) error {
	if _, err := sent(of+"/survey", nil); err != nil {
		return err
	}
	for {
		resp, err := http.Get(of + "/run")
		if err != nil {
			return err
		}
		var last struct{ Run *view.Run }
		err = json.NewDecoder(resp.Body).Decode(&last)
		resp.Body.Close()
		switch {
		case err != nil:
			return err
		case last.Run.State == store.JobRunning:
			time.Sleep(5 * time.Millisecond)
		case last.Run.State != store.JobDone:
			return fmt.Errorf("the survey ended as %s", last.Run.State)
		default:
			return nil
		}
	}
}
