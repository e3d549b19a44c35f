package fetch

import (
	"context"
	"io"
	"net/http"
	"net/url"
	"time"

	"github.com/temoto/robotstxt"
)

const (
	robotsAgent = "InkTally"
	maxRobots   = 500 << 10
	robotsTime  = 8 * time.Second
	robotsAge   = 30 * time.Minute
)

// keptRobots is what a site's robots.txt says, nil for nothing.
type keptRobots struct {
	data *robotstxt.RobotsData
	at   time.Time
}

// welcome returns nil if a site lets programs read an address.
func (f *Fetcher) welcome(ctx context.Context, u *url.URL) error {
	site := u.Scheme + "://" + u.Host
	f.mu.Lock()
	kept, known := f.robots[site]
	f.mu.Unlock()
	if !known || time.Since(kept.at) > robotsAge {
		data, ok := f.askRobots(ctx, site)
		kept = keptRobots{data, time.Now()}
		if ok {
			f.mu.Lock()
			if f.robots == nil || len(f.robots) >= maxKeptSheets {
				f.robots = map[string]keptRobots{}
			}
			f.robots[site] = kept
			f.mu.Unlock()
		}
	}
	path := u.EscapedPath()
	if path == "" {
		path = "/"
	}
	if u.RawQuery != "" {
		path += "?" + u.RawQuery
	}
	if kept.data != nil && !kept.data.TestAgent(path, robotsAgent) {
		return RobotsRefuse.New(u.Hostname())
	}
	return nil
}

// askRobots reads a site's robots.txt. If a site has none, or does not
// answer at all, nothing is forbidden; if it fails to say, everything is
// (RFC 9309). It is not ok if the answer is not to be kept.
func (f *Fetcher) askRobots(ctx context.Context, site string) (data *robotstxt.RobotsData, ok bool) {
	ctx, cancel := context.WithTimeout(context.WithValue(ctx, minding{}, nil), robotsTime)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, site+"/robots.txt", nil)
	if err != nil {
		return nil, false
	}
	req.Header.Set("User-Agent", f.userAgent)
	resp, err := f.client.Do(req) // without minding robots.txt: redirects are followed
	if err != nil {
		return nil, false
	}
	defer resp.Body.Close()
	body, err := io.ReadAll(io.LimitReader(resp.Body, maxRobots))
	if err != nil {
		return nil, false
	}
	if data, err = robotstxt.FromStatusAndBytes(resp.StatusCode, body); err != nil {
		return nil, true
	}
	if asked := data.FindGroup(robotsAgent).CrawlDelay; asked > 0 {
		f.slowDown(req.URL.Hostname(), asked)
	}
	return data, resp.StatusCode < 500
}
