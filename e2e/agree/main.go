// Command agree holds the reading of saved pages against a browser's:
//
//	agree [-rendered] FOLDER
//
// It loads every .html file below the folder in Chromium, compares words seen,
// headings, image names and the counts of the page's own most frequent phrases,
// and reports what differs, by cause. Pages agree when their words are within
// 1 % and all else is equal. Pages are compared as served, their scripts off;
// or as rendered, their scripts on and read through the program's browser.
package main

import (
	"context"
	"flag"
	"fmt"
	"io/fs"
	"net/http"
	"net/http/httptest"
	"net/netip"
	"net/url"
	"os"
	"path"
	"path/filepath"
	"strings"
	"unicode/utf8"

	"inktally/core/page"
	"inktally/core/style"
	"inktally/e2e/agreement"
	"inktally/e2e/browser"
	"inktally/internal/fetch"
	"inktally/internal/fetch/render"
)

func main() {
	asRendered := flag.Bool("rendered", false, "compare the pages as rendered")
	flag.Parse()
	if flag.NArg() != 1 {
		fmt.Fprintln(os.Stderr, "agree: give a folder of saved pages")
		os.Exit(1)
	}
	if err := run(flag.Arg(0), *asRendered); err != nil {
		fmt.Fprintln(os.Stderr, "agree:", err)
		os.Exit(1)
	}
}

func run(dir string, asRendered bool) error {
	files, err := pagesBelow(dir)
	if err != nil {
		return err
	}
	// Not by file addresses: there browsers refuse sheets with a checksum.
	server := httptest.NewServer(serveFiles(dir))
	defer server.Close()
	read := served(dir, server.URL)
	if asRendered {
		web := fetch.New(fetch.Options{Guard: func(netip.Addr) error { return nil }})
		pages := render.New(render.Options{Web: web})
		defer pages.Close()
		read = asBrowserRenders(pages, server.URL)
	}
	ctx, end, err := browser.Open(context.Background(),
		map[string]any{"host-resolver-rules": "MAP * ~NOTFOUND, EXCLUDE 127.0.0.1"})
	if err != nil {
		return err
	}
	defer end()
	if !asRendered {
		if err := browser.NoScripts(ctx); err != nil {
			return err
		}
	}
	var r report
	for _, file := range files {
		p, address, err := read(ctx, file)
		var facts browser.Facts
		if err == nil {
			facts, err = browser.Ask(ctx, address)
		}
		if err != nil {
			r.failed++
			fmt.Fprintln(os.Stderr, "agree:", file, err)
			continue
		}
		r.add(file, agreement.Compare(p, facts, 1))
	}
	r.print()
	return nil
}

func pagesBelow(dir string) ([]string, error) {
	var out []string
	err := filepath.WalkDir(dir, func(name string, d fs.DirEntry, err error) error {
		if err == nil && d.Type().IsRegular() && isPage(name) {
			name, err = filepath.Rel(dir, name)
			out = append(out, name)
		}
		return err
	})
	return out, err
}

// serveFiles serves the files below a folder.
func serveFiles(dir string) http.Handler {
	files := http.FileServer(http.Dir(dir))
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		name := filepath.Join(dir, filepath.FromSlash(path.Clean("/"+r.URL.Path)))
		if strings.HasSuffix(r.URL.Path, "/") {
			name = filepath.Join(name, "index.html")
		}
		if body, err := os.ReadFile(name); err == nil && isPage(name) {
			w.Header().Set("Content-Type", contentType(body))
		}
		files.ServeHTTP(w, r)
	})
}

func isPage(name string) bool {
	return strings.HasSuffix(name, ".html") || strings.HasSuffix(name, ".htm")
}

// contentType returns what the server says of a page: nothing of its encoding where
// that must be its own word.
func contentType(body []byte) string {
	if utf8.Valid(body) {
		return "text/html; charset=utf-8"
	}
	return "text/html"
}

// reader reads a file below the folder and returns where the browser finds it.
type reader func(ctx context.Context, file string) (*page.Page, string, error)

// served reads saved files with the style sheets beside them.
func served(dir, site string) reader {
	var cache style.Cache
	return func(_ context.Context, file string) (*page.Page, string, error) {
		whole, err := filepath.Abs(filepath.Join(dir, file))
		if err != nil {
			return nil, "", err
		}
		doc, err := fetch.File(whole)
		if err != nil {
			return nil, "", err
		}
		p := page.Read(doc.Body, page.Source{Base: fetch.FileBase(doc), ContentType: contentType(doc.Body),
			Sheets: fetch.FileSheets(doc), Cache: &cache})
		return p, address(site, file), nil
	}
}

// address returns that of a file in the site.
func address(site, file string) string {
	at := filepath.ToSlash(file)
	if filepath.Base(at) == "index.html" {
		at = strings.TrimSuffix(at, "index.html") // which a file server leaves out
	}
	return site + (&url.URL{Path: "/" + at}).String()
}

// asBrowserRenders reads files from a site of them through the program's browser.
func asBrowserRenders(b *render.Browser, site string) reader {
	return func(ctx context.Context, file string) (*page.Page, string, error) {
		doc, err := b.Render(ctx, fetch.Request{Address: address(site, file), IgnoreRobots: true})
		if err != nil {
			return nil, "", err
		}
		return page.Read(doc.Body, page.Source{URL: doc.URL, ContentType: doc.ContentType, Rendered: true}), doc.URL,
			nil
	}
}
