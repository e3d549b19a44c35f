// Package survey finds the pages of a site: by its sitemaps, its menus and its
// links, within bounds and at the pace of the site.
//
// In goes the address of a site and a fetcher; out come its pages as they were
// visited, and the links that lead nowhere. What they are for is told by core/site.
package survey

import (
	"context"
	"net/url"
	"slices"
	"strings"
	"sync"

	"inktally/core/fault"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/site"
	"inktally/internal/fetch"
	"inktally/internal/store"
)

// Web reads pages and sitemaps.
type Web interface {
	Get(ctx context.Context, r fetch.Request) (fetch.Document, error)
	// Page reads a document that Get brought; lightly is without its style sheets. It is
	// nil for what is no page. Its error is why the page cannot be kept: it ends the survey.
	Page(ctx context.Context, doc fetch.Document, lightly bool) (*page.Page, error)
	Sitemaps(ctx context.Context, address string) []string
	Raw(ctx context.Context, address string, most int) ([]byte, error)
}

// Options bound a survey.
type Options struct {
	// Most is how many pages are visited at most; 0 is 200 (Y).
	Most int
	// Lightly leaves style sheets and dead links alone: for rivals.
	Lightly bool
	// Gist is asked what is to be known of each page, nil for nothing: no page is held.
	Gist func(*page.Page) *site.Gist
	// MostBytes is how much is read of pages at most; 0 is 100 MB.
	MostBytes int
	// Seen is told of every page: how many were visited, how many are known.
	Seen func(visited, known int)
}

// Site is a site as it was found.
type Site struct {
	Domain  string
	Visited []site.Visited
	Dead    []site.Dead
	// Missed are pages that are known and were not read, mostMissed of them at most.
	Missed []site.Missed
	// Root is the address of the page that the site's root leads to.
	Root string
	// Both and Plain report whether the site answers by http beside https, or by http alone.
	Both, Plain bool
	// Stopped is why the survey ended before its end, nil if it did not.
	Stopped *fault.Fault
}

const (
	mostPages = 200
	mostBytes = 100 << 20
	atOnce    = 3
	// Of pages that are larger only one is read at a time.
	largePage = 1 << 20
	// So many addresses are known at most, each of so many bytes, so many links of a page are looked at, and of a
	// link's text so much is kept.
	mostKnown   = 20_000
	longestURL  = 2048
	mostLinks   = 20_000
	longestText = 200
	// mostLabels is how many texts of links to a page are kept.
	mostLabels = 8
	// After so many failures in a row the site is left alone.
	patience = 8
)

// crawler visits the pages of one site.
type crawler struct {
	web     Web
	options Options
	domain  string
	host    string // that the survey began at: a site may stand below a domain of many

	mu       sync.Mutex
	known    map[string]*target // by bare address
	menus    []*target          // to be visited, those that menus name before those that texts do
	texts    []*target
	visited  int
	bytes    int // that were read of pages
	failures int
	stopped  *fault.Fault
	broken   error                   // what kept the survey from keeping what it read
	found    map[string]site.Visited // by final address, bare
	leads    map[string]string       // pages that lead on by themselves: where to, both bare

	large sync.Mutex // held while a large page is read
}

// target is an address that is to be visited.
type target struct {
	address string
	labels  []string // of links in texts
	named   []string // of links in menus
	menu    bool
	waits   bool     // it is to be visited
	from    []string // bare addresses of pages that link to it
	status  int      // of an answer that is no page
	final   string   // bare address of the page that it led to
	failed  bool
	asked   bool
	refused bool // its site asks programs not to read it
	soft    bool // it answers with a page that says that there is none
}

// Visit surveys the site of an address.
func Visit(ctx context.Context, web Web, start string, options Options) (Site, error) {
	if options.Most == 0 {
		options.Most = mostPages
	}
	if options.MostBytes == 0 {
		options.MostBytes = mostBytes
	}
	c := &crawler{web: web, options: options, domain: lineup.Domain(start), known: map[string]*target{},
		found: map[string]site.Visited{}, leads: map[string]string{}}
	u, err := url.Parse(start)
	if err != nil || c.domain == "" {
		return Site{}, fetch.AddressBad.New(start)
	}
	root := (&url.URL{Scheme: u.Scheme, Host: u.Host, Path: "/"}).String()
	doc, err := web.Get(ctx, fetch.Request{Address: root})
	if err != nil {
		return Site{}, err
	}
	c.domain, c.host = lineup.Domain(doc.URL), hostOf(doc.URL) // the site may stand elsewhere now
	home := c.add(doc.URL, "", false, "")
	if home == nil {
		return Site{}, fetch.AddressBad.New(start)
	}
	c.visited = 1
	if err := c.take(ctx, home, doc); err != nil {
		return Site{}, err
	}
	if start != root {
		c.add(start, "", false, "")
	}
	c.sitemaps(ctx, doc.URL)
	c.all(ctx)
	if c.broken != nil {
		return Site{}, c.broken
	}
	out := Site{Domain: c.domain, Stopped: c.stopped, Root: c.found[c.led(site.BareAddress(doc.URL))].URL}
	if err := ctx.Err(); err != nil {
		out.Stopped = fault.GivenUp.New()
	}
	c.tell(&out)
	if !options.Lightly {
		out.Both, out.Plain = c.schemes(ctx, doc.URL)
	}
	return out, nil
}

// all visits what is known until nothing is left or the bound is reached.
func (c *crawler) all(ctx context.Context) {
	var wg sync.WaitGroup
	turns := make(chan struct{}, atOnce)
	for {
		c.mu.Lock()
		var next *target
		if c.visited < c.options.Most && !c.over(ctx) {
			if next = c.next(); next != nil {
				c.visited++
			}
		}
		c.mu.Unlock()
		if next == nil {
			wg.Wait() // those under way may still find more
			c.mu.Lock()
			done := c.waiting() == 0 || c.visited >= c.options.Most || c.over(ctx)
			c.mu.Unlock()
			if done {
				return
			}
			continue
		}
		turns <- struct{}{}
		wg.Go(func() {
			defer func() { <-turns }()
			c.visit(ctx, next)
		})
	}
}

func (c *crawler) visit(ctx context.Context, t *target) {
	c.mu.Lock()
	t.asked = true
	c.mu.Unlock()
	doc, err := c.web.Get(ctx, fetch.Request{Address: t.address})
	if err != nil {
		c.fail(ctx, t, err)
		return
	}
	c.mu.Lock()
	c.failures = 0
	if c.bytes += len(doc.Body); c.bytes > c.options.MostBytes && c.stopped == nil {
		c.stopped = SiteTooLarge.New(c.options.MostBytes >> 20)
	}
	c.mu.Unlock()
	if err := c.take(ctx, t, doc); err != nil {
		c.mu.Lock()
		defer c.mu.Unlock()
		c.broken = err
	}
}

// over reports whether nothing more is to be visited; the lock is held.
func (c *crawler) over(ctx context.Context) bool {
	return c.stopped != nil || c.broken != nil || ctx.Err() != nil
}

// fail keeps why a page was not read. A site that fails again and again is left
// alone.
func (c *crawler) fail(ctx context.Context, t *target, err error) {
	c.mu.Lock()
	defer c.mu.Unlock()
	t.failed = true
	f, ok := fault.Of(err)
	if !ok || f.Code == store.DiskFull.Code {
		if ctx.Err() == nil { // what giving up broke off is no failure
			c.broken = err
		}
		return
	}
	switch f.Code {
	case fetch.SiteAnswered.Code:
		t.status = statusOf(f)
	case fetch.RobotsRefuse.Code, fetch.NotAPage.Code, fault.GivenUp.Code:
		t.failed, t.refused = false, f.Code == fetch.RobotsRefuse.Code // it is there, and not for us
		return
	}
	if t.status == 404 || t.status == 410 {
		return
	}
	if c.failures++; c.failures >= patience {
		c.stopped = f
	}
}

// take keeps a page and what it links to. Its error is that of keeping it.
func (c *crawler) take(ctx context.Context, t *target, doc fetch.Document) error {
	if lineup.Domain(doc.URL) != c.domain {
		return nil // it leads to another site
	}
	key := site.BareAddress(doc.URL)
	c.mu.Lock()
	_, had := c.found[key]
	if had {
		t.final = key
	}
	c.mu.Unlock()
	if had {
		return nil
	}
	if len(doc.Body) > largePage {
		c.large.Lock()
		defer c.large.Unlock()
	}
	p, err := c.web.Page(ctx, doc, c.options.Lightly)
	if err != nil || p == nil || p.Warns(page.NotHTML) {
		return err
	}
	if c.leadsOn(t, doc.URL, p) {
		return nil
	}
	c.mu.Lock()
	if t.soft = notFound(p) && len(c.found) > 0; t.soft {
		t.failed = true
		c.mu.Unlock()
		return nil
	}
	t.final = key
	_, had = c.found[key]
	if !had {
		v := site.Visited{URL: doc.URL}
		if c.options.Gist != nil {
			v.Gist = c.options.Gist(p)
		}
		if canonical := p.Details().Canonical; canonical != "" {
			v.Canonical = strings.Clone(resolved(doc.URL, canonical))
		}
		c.found[key] = v
	}
	c.mu.Unlock()
	if had {
		return nil
	}
	c.link(ctx, p, key)
	if c.options.Seen != nil {
		c.mu.Lock()
		visited, known := len(c.found), len(c.known)
		c.mu.Unlock()
		c.options.Seen(visited, min(known, c.options.Most))
	}
	return nil
}

// tell gathers what was found.
func (c *crawler) tell(out *Site) {
	menus, texts := map[string][]string{}, map[string][]string{}
	for _, t := range c.known {
		if t.final = c.led(t.final); t.final == "" {
			continue
		}
		v, there := c.found[t.final]
		if !there {
			continue
		}
		menus[t.final] = append(menus[t.final], t.named...)
		texts[t.final] = append(texts[t.final], t.labels...)
		for _, from := range t.from {
			if from != t.final {
				v.InLinks++
			}
		}
		c.found[t.final] = v
	}
	for key, v := range c.found {
		slices.Sort(menus[key])
		slices.Sort(texts[key])
		v.Labels = slices.Compact(append(slices.Compact(menus[key]), slices.Compact(texts[key])...))
		out.Visited = append(out.Visited, v)
	}
	slices.SortFunc(out.Visited, func(a, b site.Visited) int { return strings.Compare(a.URL, b.URL) })
	out.Missed = c.missed()
	if c.options.Lightly {
		return
	}
	for _, t := range c.known {
		if t.failed && len(t.from) > 0 && (t.soft || t.status == 404 || t.status == 410 || t.status >= 500) {
			slices.Sort(t.from)
			label := ""
			if labels := append(slices.Clone(t.named), t.labels...); len(labels) > 0 {
				label = slices.Min(labels)
			}
			out.Dead = append(out.Dead, site.Dead{URL: t.address, From: c.found[t.from[0]].URL, Label: label,
				Status: t.status, Menu: t.menu, Soft: t.soft})
		}
	}
	slices.SortFunc(out.Dead, func(a, b site.Dead) int { return strings.Compare(a.URL, b.URL) })
}
