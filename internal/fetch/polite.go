package fetch

import (
	"context"
	"maps"
	"net/http"
	"strconv"
	"time"
)

const (
	attempts    = 3                     // to read a page
	perHost     = 2                     // requests to one host at the same time
	pace        = 40 * time.Millisecond // between the starts of two requests to one host
	longestPace = 5 * time.Second       // that a robots.txt may ask for
	firstPause  = 500 * time.Millisecond
	longest     = 10 * time.Second // that a site may ask to wait
	forgotten   = time.Hour        // after which a host that nobody asks is forgotten
)

// host is what a fetcher keeps of a host to be polite to it.
type host struct {
	turns chan struct{} // one for each request under way
	next  time.Time     // when the next request may start
	pace  time.Duration
	asked time.Time // last
}

// paced lets every request of a fetcher through one limit: not more than a few
// to one host at the same time and not faster than its pace, whatever is asked
// for: pages, what they redirect to, robots.txt, style sheets, what a browser
// draws a page with.
type paced struct {
	f    *Fetcher
	next http.RoundTripper
}

// RoundTrip waits for the turn of a request and sends it.
func (p paced) RoundTrip(req *http.Request) (*http.Response, error) {
	h := p.f.host(req.URL.Hostname())
	select {
	case h.turns <- struct{}{}:
		defer func() { <-h.turns }()
	case <-req.Context().Done():
		return nil, req.Context().Err()
	}
	if err := pause(req.Context(), p.f.ahead(h)); err != nil {
		return nil, err
	}
	return p.next.RoundTrip(req)
}

// do sends a request, and again after a pause if the site says that it is busy
// or failing.
func (f *Fetcher) do(ctx context.Context, client *http.Client, req *http.Request) (*http.Response, error) {
	for attempt := 1; ; attempt++ {
		resp, err := client.Do(req)
		if err != nil || !again(resp.StatusCode) || attempt == attempts || req.Method != http.MethodGet {
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

// host returns what is kept of a host.
func (f *Fetcher) host(name string) *host {
	f.mu.Lock()
	defer f.mu.Unlock()
	now := time.Now()
	if f.hosts[name] == nil {
		maps.DeleteFunc(f.hosts, func(_ string, h *host) bool {
			return len(h.turns) == 0 && now.Sub(h.asked) > forgotten
		})
		f.hosts[name] = &host{turns: make(chan struct{}, perHost), pace: pace}
	}
	f.hosts[name].asked = now
	return f.hosts[name]
}

// ahead takes the next start at a host and returns how long it is until then.
func (f *Fetcher) ahead(h *host) time.Duration {
	f.mu.Lock()
	defer f.mu.Unlock()
	now := time.Now()
	start := h.next
	if start.Before(now) {
		start = now
	}
	h.next = start.Add(h.pace)
	return start.Sub(now)
}

// slowDown keeps to the pace that a host's robots.txt asks for.
func (f *Fetcher) slowDown(name string, asked time.Duration) {
	h := f.host(name)
	f.mu.Lock()
	defer f.mu.Unlock()
	h.pace = max(pace, min(asked, longestPace))
}

// again reports whether a status may pass.
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
	return pause(ctx, max(after, firstPause<<(attempt-1)))
}

func pause(ctx context.Context, d time.Duration) error {
	if d <= 0 {
		return ctx.Err()
	}
	timer := time.NewTimer(d)
	defer timer.Stop()
	select {
	case <-timer.C:
		return nil
	case <-ctx.Done():
		return ctx.Err()
	}
}
