package fetch

import (
	"context"
	"crypto/tls"
	"errors"
	"io"
	"net"
	"net/http"
	"net/url"
	"os"
	"slices"
	"strings"
	"sync"
	"time"

	"inktally/core/fault"
)

const (
	// MaxBody is the largest body that is read.
	MaxBody      = 20 << 20
	maxRedirects = 8
)

// Document is a page as it came in.
type Document struct {
	// URL is the address after all redirects; the name of a saved file.
	URL         string
	ContentType string
	Body        []byte
	// Redirects are the addresses that led on to URL, in their order.
	Redirects []string
	// Robots is what the answer's head tells search engines (X-Robots-Tag), empty for nothing.
	Robots string
	// ETag and LastModified are what the site says of the page, to ask by when
	// it is read again.
	ETag, LastModified string
	// Unchanged reports whether the site says the page is as it was; Body is empty.
	Unchanged bool
}

// Request is what is asked for.
type Request struct {
	// Address is one that Address has passed.
	Address string
	// IgnoreRobots reads the page although its robots.txt asks programs not to.
	IgnoreRobots bool
	// ETag and LastModified are those of the last reading, if it is at hand:
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
	// Dial takes the place of the guarded dialer if it is given.
	Dial func(ctx context.Context, network, address string) (net.Conn, error)
	// Proxy is what everything is fetched through, nil for none. Names are then resolved there: the guard sees the
	// addresses that stand in requests and redirects, and those that this machine resolves names to.
	Proxy *url.URL
	// Timeout bounds one page; 0 is 30 seconds.
	Timeout time.Duration
	// Contact is whom sites are to turn to about the reading of their pages.
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
	if o.Proxy != nil {
		o.Dial = (&net.Dialer{Timeout: 10 * time.Second}).DialContext // of the proxy alone
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
	var road http.RoundTripper = transport
	if o.Proxy != nil {
		transport.Proxy = http.ProxyURL(o.Proxy)
		road = &barred{guard: o.Guard, next: transport, look: lookUp, known: map[string]error{}}
	}
	f := &Fetcher{wait: o.Wait, hosts: map[string]*host{}, userAgent: agent(o.Contact)}
	f.client = &http.Client{Timeout: o.Timeout, Transport: paced{f, road}, CheckRedirect: f.checkRedirect}
	f.noRedirects = &http.Client{Timeout: o.Timeout, Transport: paced{f, road},
		CheckRedirect: func(*http.Request, []*http.Request) error {
			return http.ErrUseLastResponse
		}}
	return f
}

const maxHeaders = 64 << 10

// agent returns how the fetcher names itself to sites.
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
		return RedirectCircle.New(req.URL.Hostname())
	}
	if s := req.URL.Scheme; s != "http" && s != "https" {
		return RedirectScheme.New(via[0].URL.Hostname(), s)
	}
	if req.Context().Value(minding{}) != nil {
		return f.welcome(req.Context(), req.URL)
	}
	return nil
}

// minding marks the context of a request that minds robots.txt.
type minding struct{}

// Get reads a page. The errors are faults; RobotsRefuse is one that
// IgnoreRobots passes over.
func (f *Fetcher) Get(ctx context.Context, r Request) (Document, error) {
	if !r.IgnoreRobots {
		ctx = context.WithValue(ctx, minding{}, true)
	}
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, r.Address, nil)
	if err != nil {
		return Document{}, AddressBad.New(r.Address)
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
	if !r.IgnoreRobots {
		if err := f.welcome(ctx, req.URL); err != nil {
			return Document{}, err
		}
	}
	resp, err := f.do(ctx, f.client, req)
	if err != nil {
		return Document{}, explain(ctx, host, err)
	}
	defer resp.Body.Close()
	doc := Document{URL: resp.Request.URL.String(), ContentType: resp.Header.Get("Content-Type"),
		Redirects: redirectsOf(resp), Robots: strings.Join(resp.Header.Values("X-Robots-Tag"), ", "),
		ETag: resp.Header.Get("ETag"), LastModified: resp.Header.Get("Last-Modified")}
	if resp.StatusCode == http.StatusNotModified {
		doc.Unchanged = true
		return doc, nil
	}
	if resp.StatusCode >= 400 {
		return Document{}, Answered(host, resp.StatusCode)
	}
	if !readable(doc.ContentType) {
		return Document{}, NotAPage.New(host, doc.ContentType)
	}
	if doc.Body, err = unpacked(resp, MaxBody); err != nil {
		return Document{}, explain(ctx, host, err)
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

// readable reports whether a page may have a content type.
func readable(contentType string) bool {
	kind, _, _ := strings.Cut(strings.ToLower(contentType), ";")
	switch strings.TrimSpace(kind) {
	case "", "text/html", "application/xhtml+xml", "text/plain", "application/xml", "text/xml":
		return true
	}
	return false
}

// Answered returns the fault of a site that answers with a status that is no page.
func Answered(host string, status int) *fault.Fault {
	return SiteAnswered.New(host, status, strings.ToLower(http.StatusText(status)))
}

func tooLarge() *fault.Fault { return PageTooLarge.New(MaxBody >> 20) }

func readAll(r io.Reader) ([]byte, error) {
	body, err := io.ReadAll(io.LimitReader(r, MaxBody+1))
	if err != nil {
		return nil, err
	}
	if len(body) > MaxBody {
		return nil, tooLarge()
	}
	return body, nil
}

// File reads a saved page.
func File(name string) (Document, error) {
	f, err := os.Open(name)
	if err != nil {
		return Document{}, FileUnreadable.New(name).Because(err)
	}
	defer f.Close()
	if info, err := f.Stat(); err == nil && info.IsDir() {
		return Document{}, FileIsFolder.New(name)
	}
	return Stream(name, f)
}

// Stream reads a page from an open file or standard input.
func Stream(name string, r io.Reader) (Document, error) {
	body, err := readAll(r)
	if err != nil {
		if _, known := fault.Of(err); !known {
			err = FileUnreadable.New(name).Because(err)
		}
		return Document{}, err
	}
	if len(body) == 0 {
		return Document{}, FileEmpty.New(name)
	}
	return Document{URL: name, Body: body}, nil
}

// explain makes a fault of what went wrong with a host.
func explain(ctx context.Context, host string, err error) error {
	var (
		no        refused
		untrusted *tls.CertificateVerificationError
		dns       *net.DNSError
		netErr    net.Error
		op        *net.OpError
	)
	reason, known := fault.Of(err)
	switch {
	case errors.Is(ctx.Err(), context.Canceled): // its caller gave up, whatever that broke
		return context.Canceled
	case known:
		return reason
	case errors.Is(err, errBrokenOff):
		return PageCutShort.New(host).Because(err)
	case strings.Contains(err.Error(), "headers exceeded"):
		return HeadersEndless.New(host)
	case errors.As(err, &no):
		return PrivateAddress.New(host, no.String())
	case errors.As(err, &untrusted):
		return Untrusted.New(host).Because(err)
	case errors.As(err, &dns):
		return NoSuchSite.New(host)
	case errors.As(err, &netErr) && netErr.Timeout():
		return TimedOut.New(host)
	case errors.As(err, &op):
		return NoConnection.New(host).Because(err)
	}
	return NotRead.New(host).Because(err)
}
