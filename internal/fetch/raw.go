package fetch

import (
	"context"
	"net/http"
	"net/url"
	"time"
)

// Raw reads what stands at an address, whatever its type: a sitemap. At most so many bytes
// are read, unpacked.
func (f *Fetcher) Raw(ctx context.Context, address string, most int) ([]byte, error) {
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, address, nil)
	if err != nil {
		return nil, AddressBad.New(address)
	}
	req.Header.Set("User-Agent", f.userAgent)
	req.Header.Set("Accept-Encoding", encodings)
	resp, err := f.do(ctx, f.client, req)
	if err != nil {
		return nil, explain(ctx, req.URL.Hostname(), err)
	}
	defer resp.Body.Close()
	if resp.StatusCode != http.StatusOK {
		return nil, Answered(req.URL.Hostname(), resp.StatusCode)
	}
	return unpacked(resp, most)
}

// Sitemaps returns the sitemaps that the robots.txt of a site names, such as https://shop.example.
func (f *Fetcher) Sitemaps(ctx context.Context, site string) []string {
	u, err := url.Parse(site)
	if err != nil {
		return nil
	}
	u.Path = "/"
	ctx, cancel := context.WithTimeout(ctx, 2*time.Minute)
	defer cancel()
	_ = f.welcome(ctx, u)
	f.mu.Lock()
	defer f.mu.Unlock()
	if kept := f.robots[u.Scheme+"://"+u.Host]; kept.data != nil {
		return kept.data.Sitemaps
	}
	return nil
}
