// Package practice holds the stand-ins that ship with the program: a small
// web of made-up sites, a search over it, and search volumes.
//
// Everything is served over real HTTP on a port of this machine, each site
// under its own host name; in the demo alone the fetcher reaches *.example
// through it.
package practice

import (
	"context"
	"embed"
	"encoding/json"
	"fmt"
	"io/fs"
	"net"
	"net/http"
	"net/netip"
	"path"
	"slices"
	"strings"
	"sync"
	"time"

	"inktally/core/gazetteer"
	"inktally/core/text"
	"inktally/internal/fetch"
	"inktally/internal/source"
)

//go:embed sites search standing demand.json phrases.csv towns.csv
var files embed.FS

// Phrases returns a list of phrases as a client has one, as CSV.
func Phrases() ([]byte, error) { return files.ReadFile("phrases.csv") }

// Towns returns those of the practice gazetteer: the towns of the scenario, in the middle
// of the sea.
func Towns() ([]gazetteer.Town, error) {
	csv, err := files.ReadFile("towns.csv")
	if err != nil {
		return nil, err
	}
	return gazetteer.Parse(string(csv))
}

// Web is the running practice web.
type Web struct {
	files    fs.FS
	demand   demandFile
	listener net.Listener
	server   *http.Server
	mu       sync.Mutex
	asked    map[string]int // how often what fails at first was asked for
}

// habits are what is odd about some sites.
type habits struct {
	contentType string
	delay       time.Duration // of the home page
	failsFirst  bool
}

// robots is what all sites ask of programs.
const robots = "User-agent: *\nDisallow: /practice/unwelcome\n"

var sites = map[string]habits{
	"oldsaltbox.example":    {contentType: "text/html"}, // its charset stands in the page
	"thchimney.example":     {delay: 1200 * time.Millisecond},
	"lanternsweeps.example": {failsFirst: true},
}

// Start starts the practice web on a free port.
func Start() (*Web, error) { return Over(files) }

// Over starts a web over a folder of its own: sites/HOST/, search/*.json and, where there are volumes,
// demand.json.
func Over(folder fs.FS) (*Web, error) {
	demand, err := demandOf(folder)
	if err != nil {
		return nil, err
	}
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return nil, fmt.Errorf("the practice web cannot start: %w", err)
	}
	w := &Web{files: folder, demand: demand, listener: listener, asked: map[string]int{}}
	w.server = &http.Server{Handler: w, ReadHeaderTimeout: 10 * time.Second}
	go func() { _ = w.server.Serve(listener) }()
	return w, nil
}

// Close stops the practice web.
func (w *Web) Close() error { return w.server.Close() }

// Addr returns where the practice web listens.
func (w *Web) Addr() string { return w.listener.Addr().String() }

// SearchURL returns the address of the practice search.
func (w *Web) SearchURL() string { return "http://" + w.Addr() + "/practice/search" }

// Figures returns the practice links and the practice listings.
func (w *Web) Figures() []source.Figures {
	at := "http://" + w.Addr() + "/practice/"
	return []source.Figures{{URL: at + "links"}, {URL: at + "listings"}}
}

// Fetcher returns a fetcher that reaches *.example through the practice web
// and everything else as ever.
func (w *Web) Fetcher() *fetch.Fetcher {
	dialer := &net.Dialer{Timeout: 10 * time.Second}
	public := fetch.Dialer(fetch.Public)
	return fetch.New(fetch.Options{Dial: func(ctx context.Context, network, address string) (net.Conn, error) {
		host, _, err := net.SplitHostPort(address)
		if err != nil {
			return nil, err
		}
		if _, err := netip.ParseAddr(host); err != nil && strings.HasSuffix(host, ".example") {
			if !w.has(host) {
				return nil, &net.DNSError{Err: "no such host", Name: host, IsNotFound: true}
			}
			return dialer.DialContext(ctx, network, w.Addr())
		}
		return public(ctx, network, address)
	}})
}

func (w *Web) has(host string) bool {
	_, err := fs.Stat(w.files, "sites/"+strings.TrimPrefix(host, "www."))
	return err == nil
}

// ServeHTTP serves the page of a site by host and path. Under /practice every
// site has what tests need: an error, one that passes, a page that programs
// are asked not to read, and one that never comes.
func (w *Web) ServeHTTP(out http.ResponseWriter, r *http.Request) {
	host, _, err := net.SplitHostPort(r.Host)
	if err != nil {
		host = r.Host
	}
	host = strings.TrimPrefix(host, "www.")
	switch r.URL.Path {
	case "/practice/search":
		w.serveSearch(out, r)
		return
	case "/practice/demand/phrases", "/practice/demand/found":
		w.serveDemand(out, r)
		return
	case "/practice/links/tables", "/practice/listings/tables":
		w.serveFigures(out, r)
		return
	case "/practice/error":
		http.Error(out, "this page always fails", http.StatusInternalServerError)
		return
	case "/practice/flaky":
		if w.failsYet(host+r.URL.RawQuery, flakyFailures) {
			http.Error(out, "not now", http.StatusInternalServerError)
			return
		}
		w.serveSite(out, host, "/", sites[host])
		return
	case "/practice/unwelcome":
		w.serveSite(out, host, "/", sites[host])
		return
	case "/practice/never":
		<-r.Context().Done()
		return
	}
	if r.URL.Path == "/robots.txt" {
		_, _ = out.Write([]byte(robots))
		return
	}
	habit := sites[host]
	if habit.failsFirst && w.failsYet(host, 1) {
		http.Error(out, "not now", http.StatusInternalServerError)
		return
	}
	if r.URL.Path == "/" && habit.delay > 0 {
		select {
		case <-time.After(habit.delay):
		case <-r.Context().Done():
			return
		}
	}
	w.serveSite(out, host, r.URL.Path, habit)
}

// flakyFailures is how often the page that fails at first does: as often as a
// fetcher asks by itself.
const flakyFailures = 3

// failsYet reports whether something is asked for one of the first times.
func (w *Web) failsYet(what string, times int) bool {
	w.mu.Lock()
	defer w.mu.Unlock()
	w.asked[what]++
	return w.asked[what] <= times
}

// contentTypes are those of the files that are no pages.
var contentTypes = map[string]string{
	".css": "text/css; charset=utf-8", ".js": "text/javascript; charset=utf-8", ".json": "application/json",
}

func (w *Web) serveSite(out http.ResponseWriter, host, address string, habit habits) {
	name := path.Join("sites", host, path.Clean("/"+address))
	if info, err := fs.Stat(w.files, name); err == nil && info.IsDir() {
		name = path.Join(name, "index.html")
	}
	page, err := fs.ReadFile(w.files, name)
	if err != nil {
		http.Error(out, "there is no such page", http.StatusNotFound)
		return
	}
	contentType := contentTypes[path.Ext(name)]
	if contentType == "" {
		contentType = habit.contentType
	}
	if contentType == "" {
		contentType = "text/html; charset=utf-8"
	}
	out.Header().Set("Content-Type", contentType)
	_, _ = out.Write(page)
}

// serveSearch answers by docs/contracts/search.md. A result is known by the
// words of its phrase, in any order.
func (w *Web) serveSearch(out http.ResponseWriter, r *http.Request) {
	asked := wordsOf(r.URL.Query().Get("q"))
	names, _ := fs.Glob(w.files, "search/*.json")
	for _, name := range names {
		raw, err := fs.ReadFile(w.files, name)
		if err != nil {
			continue
		}
		var result struct {
			Phrase string `json:"phrase"`
		}
		if json.Unmarshal(raw, &result) == nil && slices.Equal(wordsOf(result.Phrase), asked) {
			out.Header().Set("Content-Type", "application/json")
			_, _ = out.Write(raw)
			return
		}
	}
	http.Error(out, "no result is known for this phrase", http.StatusNotFound)
}

func wordsOf(phrase string) []string {
	return slices.Sorted(slices.Values(text.Tokens(phrase)))
}

// Sites returns the hosts of the practice web with their pages, "/" for the
// home page.
func Sites() map[string][]string {
	out := map[string][]string{}
	_ = fs.WalkDir(files, "sites", func(name string, entry fs.DirEntry, err error) error {
		if err != nil || entry.IsDir() || path.Ext(name) != ".html" {
			return err
		}
		host, page, _ := strings.Cut(strings.TrimPrefix(name, "sites/"), "/")
		out[host] = append(out[host], "/"+strings.TrimSuffix(page, "index.html"))
		return nil
	})
	return out
}
