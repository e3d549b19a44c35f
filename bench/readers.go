package main

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"time"

	"inktally/core/stats"
	"inktally/internal/store"
	"inktally/internal/view"

	"golang.org/x/sync/errgroup"
)

// manyReaders is how many read at once.
const manyReaders = 200

// readersBench lets many read of two clients that are measured meanwhile, beside one who reads of
// clients at rest.
func readersBench() error {
	dir, err := os.MkdirTemp("", "inktally-readers-")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	base, _, end, err := startDemo(filepath.Join(dir, "demo.db"))
	if err != nil {
		return err
	}
	defer end()
	for _, client := range []string{"2", "3"} {
		if err := atRest(base, client); err != nil {
			return err
		}
	}
	alone, err := readAll(base, 1)
	if err != nil {
		return err
	}
	for _, client := range []string{"2", "3"} {
		resp, err := http.Post(base+"/api/clients/"+client+"/run", "application/json", nil)
		if err != nil {
			return err
		}
		resp.Body.Close()
		if resp.StatusCode != http.StatusOK {
			return fmt.Errorf("client %s is not measured: %s", client, resp.Status)
		}
	}
	many, err := readAll(base, manyReaders)
	if err != nil {
		return err
	}
	fmt.Printf("%-52s median %.2f s, p99 %.2f s (goal: p99 under 2 s); one alone: median %.3f s\n",
		fmt.Sprintf("%d readers beside two runs", manyReaders),
		stats.Median(many), many[len(many)*99/100], stats.Median(alone))
	return nil
}

// addressIn returns the address that the program prints at its start, and reads on.
func addressIn(out io.Reader) (string, error) {
	line, err := bufio.NewReader(out).ReadString('\n')
	_, base, _ := strings.Cut(strings.TrimSpace(line), "is at ")
	go func() { _, _ = io.Copy(io.Discard, out) }()
	return base, err
}

// atRest waits until no page of a client is being read.
func atRest(base, client string) error {
	for {
		resp, err := http.Get(base + "/api/clients/" + client + "/run")
		if err != nil {
			return err
		}
		var last struct{ Run *view.Run }
		err = json.NewDecoder(resp.Body).Decode(&last)
		resp.Body.Close()
		if err != nil || last.Run == nil || last.Run.State != store.JobRunning {
			return err
		}
		time.Sleep(50 * time.Millisecond)
	}
}

// readAll lets readers look at what the screens ask for, and returns how long each answer took.
func readAll(base string, readers int) ([]float64, error) {
	var mu sync.Mutex
	var times []float64
	group, ctx := errgroup.WithContext(context.Background())
	for i := range readers {
		group.Go(func() error {
			for _, path := range []string{"/api/clients", fmt.Sprintf("/api/clients/%d", 2+i%2),
				fmt.Sprintf("/api/clients/%d/run", 2+i%2)} {
				began := time.Now()
				req, err := http.NewRequestWithContext(ctx, http.MethodGet, base+path, nil)
				if err != nil {
					return err
				}
				resp, err := http.DefaultClient.Do(req)
				if err != nil {
					return err
				}
				_, err = io.Copy(io.Discard, resp.Body)
				resp.Body.Close()
				if err != nil {
					return err
				}
				if resp.StatusCode != http.StatusOK {
					return errors.New(path + ": " + resp.Status)
				}
				mu.Lock()
				times = append(times, time.Since(began).Seconds())
				mu.Unlock()
			}
			return nil
		})
	}
	err := group.Wait()
	slices.Sort(times)
	return times, err
}
