package fetch

import (
	"bytes"
	"context"
	"net/http"
	"net/url"
	"strings"
)

// Answer is what a site answers to one request of a browser, its body
// unpacked. Redirects are answers like others: the browser follows them.
type Answer struct {
	Status int
	Header http.Header
	Body   []byte
}

// Ask sends one request of a page that a browser is drawing. It goes the way
// of all others: the same guard at the socket, the same bounds, no cookies.
// What it answers is taken from a budget. The errors are faults.
func (f *Fetcher) Ask(ctx context.Context, method, address string, header http.Header, body []byte,
	budget *Budget) (Answer, error) {
	req, err := http.NewRequestWithContext(ctx, method, address, bytes.NewReader(body))
	if err != nil || req.URL.Scheme != "http" && req.URL.Scheme != "https" {
		return Answer{}, AddressBad.New(address)
	}
	for name, values := range header {
		if !ownHeader(name) {
			req.Header[name] = values
		}
	}
	req.Header.Set("User-Agent", f.userAgent)
	req.Header.Set("Accept-Encoding", encodings)
	host := req.URL.Hostname()
	resp, err := f.do(ctx, f.noRedirects, req)
	if err != nil {
		return Answer{}, explain(ctx, host, err)
	}
	defer resp.Body.Close()
	a := Answer{Status: resp.StatusCode, Header: resp.Header}
	if a.Body, err = unpackedFrom(resp, MaxBody, budget); err != nil {
		return Answer{}, explain(ctx, host, err)
	}
	for name := range a.Header {
		if ownHeader(name) {
			a.Header.Del(name)
		}
	}
	return a, nil
}

// ownHeader reports whether a header is the fetcher's own affair, of requests
// and of answers, which come unpacked and without cookies.
func ownHeader(name string) bool {
	switch strings.ToLower(name) {
	case "cookie", "set-cookie", "user-agent", "accept-encoding", "content-encoding", "content-length",
		"transfer-encoding", "connection", "host", "if-none-match", "if-modified-since":
		return true
	}
	return false
}

// Welcome returns nil if a site lets programs read an address; the fault
// RobotsRefuse if it does not.
func (f *Fetcher) Welcome(ctx context.Context, address string) error {
	u, err := url.Parse(address)
	if err != nil {
		return AddressBad.New(address)
	}
	return f.welcome(ctx, u)
}
