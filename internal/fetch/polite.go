package fetch

import (
	"context"
	"net/http"
	"strconv"
	"time"
)

const (
	attempts   = 3 // to read a page
	perHost    = 2 // requests to one host at the same time
	firstPause = 500 * time.Millisecond
	longest    = 10 * time.Second // that a site may ask to wait
)

// do sends a request: not more than a few to one host at the same time, and
// again after a pause where the site says that it is busy or failing.
func (f *Fetcher) do(ctx context.Context, req *http.Request) (*http.Response, error) {
	turn := f.turn(req.URL.Hostname())
	select {
	case turn <- struct{}{}:
		defer func() { <-turn }()
	case <-ctx.Done():
		return nil, ctx.Err()
	}
	for attempt := 1; ; attempt++ {
		resp, err := f.client.Do(req)
		if err != nil || !again(resp.StatusCode) || attempt == attempts {
			return resp, err
		}
		after := retryAfter(resp.Header.Get("Retry-After"))
		if after > longest {
			return resp, nil // it will not be ready in time
		}
		resp.Body.Close()
		if err := f.wait(ctx, attempt, after); err != nil {
			return nil, err
		}
	}
}

// turn is where requests to a host queue.
func (f *Fetcher) turn(host string) chan struct{} {
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.hosts[host] == nil {
		f.hosts[host] = make(chan struct{}, perHost)
	}
	return f.hosts[host]
}

// again tells the statuses that may pass.
func again(status int) bool {
	return status == http.StatusTooManyRequests || status >= 500 && status != http.StatusNotImplemented
}

// retryAfter reads the header of that name: seconds, or a date.
func retryAfter(header string) time.Duration {
	if seconds, err := strconv.Atoi(header); err == nil && seconds > 0 {
		return time.Duration(seconds) * time.Second
	}
	if at, err := http.ParseTime(header); err == nil {
		return max(0, time.Until(at))
	}
	return 0
}

// backOff waits twice as long before each attempt, or as long as was asked.
func backOff(ctx context.Context, attempt int, after time.Duration) error {
	timer := time.NewTimer(max(after, firstPause<<(attempt-1)))
	defer timer.Stop()
	select {
	case <-timer.C:
		return nil
	case <-ctx.Done():
		return ctx.Err()
	}
}
