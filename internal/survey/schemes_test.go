package survey

import (
	"context"
	"sync/atomic"
	"testing"

	"inktally/core/page"
	"inktally/internal/fetch"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// pages are pages by address, with the address that each is found at in the end.
type pages map[string]string

func (p pages) Get(_ context.Context, r fetch.Request) (fetch.Document, error) {
	final, ok := p[r.Address]
	if !ok {
		return fetch.Document{}, fetch.NoSuchSite.New(r.Address)
	}
	return fetch.Document{URL: final, ContentType: "text/html", Body: []byte("<title>Brindle</title><p>A page.")}, nil
}

func (p pages) Page(_ context.Context, doc fetch.Document, _ bool) (*page.Page, error) {
	return page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType}), nil
}
func (p pages) Sitemaps(context.Context, string) []string { return nil }
func (p pages) Raw(_ context.Context, address string, _ int) ([]byte, error) {
	return nil, fetch.NoSuchSite.New(address)
}

// A site that answers by http and by https is one site with two addresses, unless one
// leads to the other.
func TestHTTPBesideHTTPS(t *testing.T) {
	const secure, plain = "https://brindle.example/", "http://brindle.example/"
	for name, c := range map[string]struct {
		web  pages
		both bool
	}{
		"both answer":            {pages{secure: secure, plain: plain}, true},
		"one leads to the other": {pages{secure: secure, plain: secure}, false},
		"https alone":            {pages{secure: secure}, false},
		"http is another site":   {pages{secure: secure, plain: "http://parked.example/"}, false},
	} {
		t.Run(name, func(t *testing.T) {
			found, err := Visit(t.Context(), c.web, secure, Options{})
			require.NoError(t, err)
			assert.Equal(t, c.both, found.Both)
			assert.Len(t, found.Visited, 1)
		})
	}
}

// full is a web whose pages cannot be kept.
type full struct {
	pages
	taken atomic.Int64
}

func (f *full) Page(ctx context.Context, doc fetch.Document, lightly bool) (*page.Page, error) {
	if f.taken.Add(1) > 1 {
		return nil, store.DiskFull.New()
	}
	return f.pages.Page(ctx, doc, lightly)
}

// What cannot be kept ends a survey at once, and is no page without words.
func TestFullDiskEndsASurvey(t *testing.T) {
	web := &full{pages: pages{}}
	for _, path := range []string{"", "a", "b", "c", "d", "e", "f"} {
		web.pages["http://brindle.example/"+path] = "http://brindle.example/" + path
	}
	web.pages["http://brindle.example/sitemap.xml"] = ""
	_, err := Visit(context.Background(), linking{web}, "http://brindle.example/", Options{Lightly: true})
	assert.True(t, store.DiskFull.Is(err), "%v", err)
	assert.LessOrEqual(t, web.taken.Load(), int64(1+atOnce+1),
		"the first, those under way, and the one that waits for its turn")
}

// linking is a web whose pages link to some more.
type linking struct{ *full }

func (l linking) Get(ctx context.Context, r fetch.Request) (fetch.Document, error) {
	doc, err := l.full.Get(ctx, r)
	for _, path := range []string{"a", "b", "c", "d", "e", "f"} {
		doc.Body = append(doc.Body, `<a href="/`+path+`">More</a>`...)
	}
	return doc, err
}
