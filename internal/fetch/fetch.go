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
	"slices"
	"strings"
	"sync"
	"time"
)

const (
	// MaxBody is the largest body that is read.
	MaxBody      = 20 << 20
	maxRedirects = 8
)

// Document is a page as it was brought in.
type Document struct {
	// URL is the address after all redirects; the name of a saved file.
	URL         string
	ContentType string
	Body        []byte
	// Redirects are the addresses that led on to URL, in their order.
	Redirects []string
	// ETag and LastModified are what the site says of the page, to ask by when
	// it is read again.
	ETag, LastModified string
	// Unchanged tells that the site says the page is as it was; Body is empty.
	Unchanged bool
}

// Request is what is asked for.
type Request struct {
	// Address is one that Address has passed.
	Address string
	// Overrule reads the page although its site asks programs not to.
	Overrule bool
	// ETag and LastModified are those of the last reading, where it is at hand:
	// a page that has not changed is then not sent again.
	ETag, LastModified string
}

// Fetcher reads pages over HTTP.
type Fetcher struct {
	client *http.Client
	// noRedirects sends a request without following redirects.
	noRedirects *http.Client
	userAgent   string
	mu          sync.Mutex
	kept        map[string]keptSheet // style sheets by address
	hosts       map[string]*host
	robots      map[string]keptRobots // by scheme and host
	wait        func(ctx context.Context, attempt int, after time.Duration) error
}

// Options are what a Fetcher may be given.
type Options struct {
	// Guard decides which addresses may be connected to; nil is Public.
	Guard Guard
	// Dial takes the place of the guarded dialer where it is given.
	Dial func(ctx context.Context, network, address string) (net.Conn, error)
	// Timeout bounds one page; 0 is 30 seconds.
	Timeout time.Duration
	// Contact tells sites whom to turn to about the reading of their pages.
	Contact string
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
	transport := &http.Transport{
		DialContext:            o.Dial,
		ForceAttemptHTTP2:      true,
		DisableCompression:     true, // unpacked within bounds, by unpack
		MaxIdleConns:           20,
		IdleConnTimeout:        30 * time.Second,
		TLSHandshakeTimeout:    10 * time.Second,
		ResponseHeaderTimeout:  20 * time.Second,
		MaxResponseHeaderBytes: maxHeaders,
	}
	f := &Fetcher{wait: o.Wait, hosts: map[string]*host{}, userAgent: agent(o.Contact)}
	f.client = &http.Client{Timeout: o.Timeout, Transport: paced{f, transport}, CheckRedirect: f.checkRedirect}
	f.noRedirects = &http.Client{Timeout: o.Timeout, Transport: paced{f, transport}, CheckRedirect: func(*http.Request, []*http.Request) error {
		return http.ErrUseLastResponse
	}}
	return f
}

const maxHeaders = 64 << 10

// agent is how the fetcher names itself to sites.
func agent(contact string) string {
	if contact = strings.Map(printable, contact); contact == "" {
		contact = "not given"
	}
	return "InkTally/1 (reads single pages at the wish of a person; contact: " + contact + ")"
}

// printable drops what may not stand in a header.
func printable(r rune) rune {
	if r < ' ' || r > '~' {
		return -1
	}
	return r
}

// Dialer returns a dialer that asks a guard before it connects.
func Dialer(g Guard) func(ctx context.Context, network, address string) (net.Conn, error) {
	return (&net.Dialer{Timeout: 10 * time.Second, Control: g.control}).DialContext
}

func (f *Fetcher) checkRedirect(req *http.Request, via []*http.Request) error {
	if len(via) >= maxRedirects {
		return errors.New("it redirects in a circle")
	}
	if s := req.URL.Scheme; s != "http" && s != "https" {
		return fmt.Errorf("it redirects to an address that begins with %s:", short(s))
	}
	if req.Context().Value(minding{}) != nil {
		return f.welcome(req.Context(), req.URL)
	}
	return nil
}

// minding marks the context of a request that minds robots.txt.
type minding struct{}

// Get reads a page. The errors are sentences for the user; Unwelcome is one
// that Overrule passes over.
func (f *Fetcher) Get(ctx context.Context, r Request) (Document, error) {
	if !r.Overrule {
		ctx = context.WithValue(ctx, minding{}, true)
	}
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, r.Address, nil)
	if err != nil {
		return Document{}, fmt.Errorf("%q is no address", short(r.Address))
	}
	req.Header.Set("User-Agent", f.userAgent)
	req.Header.Set("Accept", "text/html,application/xhtml+xml;q=0.9,*/*;q=0.1")
	req.Header.Set("Accept-Encoding", encodings)
	if r.ETag != "" {
		req.Header.Set("If-None-Match", r.ETag)
	}
	if r.LastModified != "" {
		req.Header.Set("If-Modified-Since", r.LastModified)
	}
	host := req.URL.Hostname()
	if !r.Overrule {
		if err := f.welcome(ctx, req.URL); err != nil {
			return Document{}, err
		}
	}
	resp, err := f.do(ctx, f.client, req)
	if err != nil {
		return Document{}, explain(host, err)
	}
	defer resp.Body.Close()
	doc := Document{URL: resp.Request.URL.String(), ContentType: resp.Header.Get("Content-Type"), Redirects: redirectsOf(resp),
		ETag: resp.Header.Get("ETag"), LastModified: resp.Header.Get("Last-Modified")}
	if resp.StatusCode == http.StatusNotModified {
		doc.Unchanged = true
		return doc, nil
	}
	if resp.StatusCode >= 400 {
		return Document{}, fmt.Errorf("%s answered %d (%s)", host, resp.StatusCode, strings.ToLower(http.StatusText(resp.StatusCode)))
	}
	if !readable(doc.ContentType) {
		return Document{}, fmt.Errorf("%s sent no web page but %s", host, short(doc.ContentType))
	}
	if doc.Body, err = unpacked(resp, MaxBody); err != nil {
		return Document{}, explain(host, err)
	}
	return doc, nil
}

// redirectsOf lists the addresses that led to a response.
func redirectsOf(resp *http.Response) []string {
	var out []string
	for req := resp.Request; req.Response != nil; req = req.Response.Request {
		out = append(out, req.Response.Request.URL.String())
	}
	slices.Reverse(out)
	return out
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
		no        refused
		unwelcome Unwelcome
		dns       *net.DNSError
		netErr    net.Error
		address   *url.Error
	)
	switch {
	case errors.Is(err, context.Canceled):
		return context.Canceled
	case errors.As(err, &unwelcome):
		return unwelcome
	case errors.Is(err, errBrokenOff):
		return fmt.Errorf("%s sent only a part of the page, or a damaged one", host)
	case strings.Contains(err.Error(), "headers exceeded"):
		return fmt.Errorf("%s sent headers without end and is not read", host)
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
