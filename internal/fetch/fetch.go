package fetch

import (
	"context"
	"errors"
	"fmt"
	"io"
	"net"
	"net/http"
	"net/url"
	"os"
	"strings"
	"sync"
	"time"
)

const (
	// MaxBody is the largest body that is read.
	MaxBody      = 20 << 20
	maxRedirects = 8
	userAgent    = "InkTally/1 (measures pages for their owners; asks for one page at a time)"
)

// Document is a page as it was brought in.
type Document struct {
	// URL is the address after all redirects; the name of a saved file.
	URL         string
	ContentType string
	Body        []byte
}

// Fetcher reads pages over HTTP.
type Fetcher struct {
	client *http.Client
	mu     sync.Mutex
	kept   map[string]keptSheet // style sheets by address
	hosts  map[string]chan struct{}
	robots map[string]keptRobots // by scheme and host
	wait   func(ctx context.Context, attempt int, after time.Duration) error
}

// Options are what a Fetcher may be given.
type Options struct {
	// Guard decides which addresses may be connected to; nil is Public.
	Guard Guard
	// Dial takes the place of the guarded dialer where it is given.
	Dial func(ctx context.Context, network, address string) (net.Conn, error)
	// Timeout bounds one page; 0 is 30 seconds.
	Timeout time.Duration
	// Wait waits before attempt number n, 1 for the first one that is made
	// again; after is what the site asked for. Nil waits as sites expect it.
	Wait func(ctx context.Context, attempt int, after time.Duration) error
}

// New returns a fetcher.
func New(o Options) *Fetcher {
	if o.Guard == nil {
		o.Guard = Public
	}
	if o.Timeout == 0 {
		o.Timeout = 30 * time.Second
	}
	if o.Dial == nil {
		o.Dial = Dialer(o.Guard)
	}
	if o.Wait == nil {
		o.Wait = backOff
	}
	return &Fetcher{wait: o.Wait, hosts: map[string]chan struct{}{}, client: &http.Client{
		Timeout: o.Timeout,
		Transport: &http.Transport{
			DialContext:            o.Dial,
			ForceAttemptHTTP2:      true,
			MaxIdleConns:           20,
			IdleConnTimeout:        30 * time.Second,
			TLSHandshakeTimeout:    10 * time.Second,
			ResponseHeaderTimeout:  20 * time.Second,
			MaxResponseHeaderBytes: 64 << 10,
		},
		CheckRedirect: checkRedirect,
	}}
}

// Dialer returns a dialer that asks a guard before it connects.
func Dialer(g Guard) func(ctx context.Context, network, address string) (net.Conn, error) {
	return (&net.Dialer{Timeout: 10 * time.Second, Control: g.control}).DialContext
}

func checkRedirect(req *http.Request, via []*http.Request) error {
	if len(via) >= maxRedirects {
		return errors.New("it redirects in a circle")
	}
	if s := req.URL.Scheme; s != "http" && s != "https" {
		return fmt.Errorf("it redirects to an address that begins with %s:", short(s))
	}
	return nil
}

// Get reads the page at an address that Address has passed. The errors are
// sentences for the user; Unwelcome is one that overrule passes over.
func (f *Fetcher) Get(ctx context.Context, address string, overrule bool) (Document, error) {
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, address, nil)
	if err != nil {
		return Document{}, fmt.Errorf("%q is no address", short(address))
	}
	req.Header.Set("User-Agent", userAgent)
	req.Header.Set("Accept", "text/html,application/xhtml+xml;q=0.9,*/*;q=0.1")
	host := req.URL.Hostname()
	if !overrule {
		if err := f.welcome(ctx, req.URL); err != nil {
			return Document{}, err
		}
	}
	resp, err := f.do(ctx, req)
	if err != nil {
		return Document{}, explain(host, err)
	}
	defer resp.Body.Close()
	if resp.StatusCode >= 400 {
		return Document{}, fmt.Errorf("%s answered %d (%s)", host, resp.StatusCode, strings.ToLower(http.StatusText(resp.StatusCode)))
	}
	contentType := resp.Header.Get("Content-Type")
	if !readable(contentType) {
		return Document{}, fmt.Errorf("%s sent no web page but %s", host, short(contentType))
	}
	body, err := readAll(resp.Body)
	if err != nil {
		return Document{}, explain(host, err)
	}
	return Document{URL: resp.Request.URL.String(), ContentType: contentType, Body: body}, nil
}

// readable tells the content types that a page may have.
func readable(contentType string) bool {
	kind, _, _ := strings.Cut(strings.ToLower(contentType), ";")
	switch strings.TrimSpace(kind) {
	case "", "text/html", "application/xhtml+xml", "text/plain", "application/xml", "text/xml":
		return true
	}
	return false
}

var errTooLarge = fmt.Errorf("the page is larger than %d MB and is not read", MaxBody>>20)

func readAll(r io.Reader) ([]byte, error) {
	body, err := io.ReadAll(io.LimitReader(r, MaxBody+1))
	if err != nil {
		return nil, err
	}
	if len(body) > MaxBody {
		return nil, errTooLarge
	}
	return body, nil
}

// File reads a saved page.
func File(name string) (Document, error) {
	f, err := os.Open(name)
	if err != nil {
		var path *os.PathError
		if errors.As(err, &path) {
			err = path.Err
		}
		return Document{}, fmt.Errorf("%s cannot be read: %w", name, err)
	}
	defer f.Close()
	if info, err := f.Stat(); err == nil && info.IsDir() {
		return Document{}, fmt.Errorf("%s is a folder", name)
	}
	return Stream(name, f)
}

// Stream reads a page from an open file or standard input.
func Stream(name string, r io.Reader) (Document, error) {
	body, err := readAll(r)
	if err != nil {
		return Document{}, fmt.Errorf("%s: %w", name, err)
	}
	if len(body) == 0 {
		return Document{}, fmt.Errorf("%s is empty", name)
	}
	return Document{URL: name, Body: body}, nil
}

// explain makes one sentence of what went wrong.
func explain(host string, err error) error {
	var (
		no      refused
		dns     *net.DNSError
		netErr  net.Error
		address *url.Error
	)
	switch {
	case errors.Is(err, context.Canceled):
		return context.Canceled
	case errors.Is(err, errTooLarge):
		return errTooLarge
	case errors.As(err, &no):
		return fmt.Errorf("%s was not read: %w", host, no)
	case errors.As(err, &dns):
		return fmt.Errorf("no site is found under the name %s", host)
	case errors.As(err, &netErr) && netErr.Timeout():
		return fmt.Errorf("%s did not answer in time", host)
	case errors.As(err, &address):
		err = address.Err
	}
	var op *net.OpError
	if errors.As(err, &op) {
		return fmt.Errorf("no connection to %s could be made", host)
	}
	return fmt.Errorf("%s could not be read: %w", host, err)
}
