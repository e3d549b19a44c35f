package survey

import (
	"bytes"
	"compress/gzip"
	"context"
	"encoding/xml"
	"io"
	"net/url"
	"strings"

	"inktally/internal/fetch"
)

const (
	mostSitemaps = 12
	sitemapBytes = 10 << 20 // unpacked
	mostListed   = 2000     // addresses that are looked at of all sitemaps
)

// sitemaps adds the pages that the site lists: in the sitemaps that its robots.txt names,
// else where they usually stand; indexes of sitemaps, packed ones and plain lists too.
func (c *crawler) sitemaps(ctx context.Context, home string) {
	u, err := url.Parse(home)
	if err != nil {
		return
	}
	root := u.Scheme + "://" + u.Host
	todo := c.web.Sitemaps(ctx, root)
	if len(todo) == 0 {
		todo = []string{root + "/sitemap.xml"}
	}
	seen := map[string]bool{}
	left := mostListed
	for n := 0; len(todo) > 0 && n < mostSitemaps && left > 0; n++ {
		address := todo[0]
		todo = todo[1:]
		if seen[address] || !sameSite(address, c.domain) {
			continue
		}
		seen[address] = true
		body, err := c.web.Raw(ctx, address, sitemapBytes)
		if err != nil {
			continue
		}
		pages, more := listed(body)
		todo = append(todo, more...)
		for _, p := range pages[:min(len(pages), left)] {
			c.add(p, "", false, "")
		}
		left -= min(len(pages), left)
	}
}

func sameSite(address, domain string) bool {
	u, err := url.Parse(address)
	return err == nil && (sameHost(u.Hostname(), domain) ||
		strings.HasSuffix(strings.ToLower(u.Hostname()), "."+domain))
}

// listed reads a sitemap: the pages that it lists, or the sitemaps of an index.
func listed(body []byte) (pages, sitemaps []string) {
	if bytes.HasPrefix(body, []byte{0x1f, 0x8b}) {
		packed, err := gzip.NewReader(bytes.NewReader(body))
		if err != nil {
			return nil, nil
		}
		body, _ = io.ReadAll(io.LimitReader(packed, sitemapBytes))
	}
	if !bytes.Contains(body[:min(len(body), 2000)], []byte("<")) {
		for line := range strings.Lines(string(body)) {
			if line = strings.TrimSpace(line); strings.HasPrefix(line, "http") {
				pages = append(pages, line)
			}
		}
		return pages, nil
	}
	decoder := xml.NewDecoder(bytes.NewReader(body))
	decoder.Strict = false
	inIndex, inLoc := false, false
	for len(pages) < mostListed && len(sitemaps) < mostSitemaps {
		token, err := decoder.Token()
		if err != nil {
			break // what was read so far counts
		}
		switch t := token.(type) {
		case xml.StartElement:
			switch t.Name.Local {
			case "sitemap":
				inIndex = true
			case "url":
				inIndex = false
			}
			inLoc = t.Name.Local == "loc"
		case xml.CharData:
			if s := strings.TrimSpace(string(t)); inLoc && s != "" {
				if inIndex {
					sitemaps = append(sitemaps, s)
				} else {
					pages = append(pages, s)
				}
			}
		case xml.EndElement:
			inLoc = false
		}
	}
	return pages, sitemaps
}

// schemes reports whether the site answers by http and by https without leading from one to the
// other, and whether it answers by http alone.
func (c *crawler) schemes(ctx context.Context, home string) (both, plain bool) {
	u, err := url.Parse(home)
	if err != nil || u.Port() != "" {
		return false, false
	}
	other := *u
	other.Scheme = map[string]string{"http": "https", "https": "http"}[u.Scheme]
	doc, err := c.web.Get(ctx, fetch.Request{Address: other.String()})
	if err != nil {
		return false, u.Scheme == "http" && ctx.Err() == nil
	}
	answered, err := url.Parse(doc.URL)
	both = err == nil && answered.Scheme == other.Scheme && sameHost(answered.Hostname(), c.host)
	return both, u.Scheme == "http" && err == nil && answered.Scheme == "http"
}
