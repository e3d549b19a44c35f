package fetch

import (
	"context"
	"net/http"
	"net/url"
	"strings"
	"sync"
	"time"

	"inktally/core/decode"
	"inktally/core/linked"
	"inktally/core/page"

	"golang.org/x/sync/errgroup"
)

// The bounds of the style sheets of one page.
const (
	maxSheets     = 40
	maxSheetBytes = 2 << 20
	maxSheetsSum  = 8 << 20
	sheetTime     = 60 * time.Second // for all sheets of a page: a host may ask for a slow pace
	sheetsAtOnce  = 4
	sheetAge      = 10 * time.Minute // how long a sheet is kept
	maxKeptSheets = 200
)

// Sheets brings the style sheets that a page and its sheets ask for, by their
// address. One that cannot be fetched is left out; Read then warns of it.
func (f *Fetcher) Sheets(ctx context.Context, doc Document) map[string]string {
	ctx, cancel := context.WithTimeout(ctx, sheetTime)
	defer cancel()
	return gather(page.Linked(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType}),
		func(address string) (string, bool) {
			return f.sheet(ctx, address)
		})
}

// gather brings sheets and what they import, side by side and within bounds.
func gather(wanted []string, bring func(string) (string, bool)) map[string]string {
	out := map[string]string{}
	asked := map[string]bool{}
	sum := 0
	for len(wanted) > 0 {
		var mu sync.Mutex
		var next []string
		var group errgroup.Group
		group.SetLimit(sheetsAtOnce)
		for _, address := range wanted {
			if asked[address] || len(asked) == maxSheets {
				continue
			}
			asked[address] = true
			group.Go(func() error {
				text, ok := bring(address)
				mu.Lock()
				defer mu.Unlock()
				if !ok || sum+len(text) > maxSheetsSum {
					return nil
				}
				sum += len(text)
				out[address] = text
				next = append(next, linked.Imports(text, address)...)
				return nil
			})
		}
		_ = group.Wait()
		wanted = next
	}
	return out
}

// keptSheet is a sheet that was fetched before.
type keptSheet struct {
	text string
	ok   bool
	at   time.Time
}

// sheet brings one style sheet, or takes it from those kept.
func (f *Fetcher) sheet(ctx context.Context, address string) (string, bool) {
	u, err := url.Parse(address)
	if err != nil || u.Scheme != "http" && u.Scheme != "https" {
		return "", false
	}
	f.mu.Lock()
	kept, known := f.kept[address]
	f.mu.Unlock()
	if known && time.Since(kept.at) < sheetAge {
		return kept.text, kept.ok
	}
	text, ok := f.bringSheet(ctx, address)
	if ctx.Err() != nil {
		return text, ok
	}
	f.mu.Lock()
	defer f.mu.Unlock()
	if f.kept == nil || len(f.kept) >= maxKeptSheets {
		f.kept = map[string]keptSheet{}
	}
	f.kept[address] = keptSheet{text, ok, time.Now()}
	return text, ok
}

func (f *Fetcher) bringSheet(ctx context.Context, address string) (string, bool) {
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, address, nil)
	if err != nil {
		return "", false
	}
	req.Header.Set("User-Agent", f.userAgent)
	req.Header.Set("Accept-Encoding", encodings)
	req.Header.Set("Accept", "text/css,*/*;q=0.1")
	resp, err := f.client.Do(req)
	if err != nil {
		return "", false
	}
	defer resp.Body.Close()
	if resp.StatusCode != http.StatusOK || strings.HasPrefix(resp.Header.Get("Content-Type"), "text/html") {
		return "", false
	}
	raw, err := unpacked(resp, maxSheetBytes)
	if err != nil {
		return "", false
	}
	return decode.Sheet(raw, resp.Header.Get("Content-Type")), true
}
