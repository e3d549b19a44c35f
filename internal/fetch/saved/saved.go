// Package saved finds pages in files that a user brings: saved pages with the
// folder beside them, plain text, and web archives (MHTML and WARC).
//
// In go files with their names; out come pages with the style sheets that they
// ask for, as far as these are among the files. Nothing is asked of the web. A
// file that cannot be read gives one sentence and leaves the others alone.
package saved

import (
	"bytes"
	"net/url"
	"path"
	"regexp"
	"slices"
	"strings"

	"inktally/core/decode"
	"inktally/core/linked"
	"inktally/core/page"
	"inktally/internal/fetch"
)

// File is one of the files that a user brings.
type File struct {
	// Name may hold folders, parted by slashes.
	Name string
	Body []byte
}

// Copy is a page that was found in a file.
type Copy struct {
	// File is the name of the file that it was in.
	File string
	// Document has an address only if the file has one.
	Document fetch.Document
	// Base is what relative addresses start from, if that is not the
	// document's address.
	Base   string
	Sheets map[string]string
	// Archive reports whether the page came out of a web archive.
	Archive bool
}

// MaxFiles and MaxBytes bound what is added at once.
const (
	MaxFiles = 400
	MaxBytes = 100 << 20
)

// Problem is why a file could not be read, wholly or in part: its name, empty if
// it is about all files together, and a fault.
type Problem struct {
	File string
	Err  error
}

// Read finds the pages in files. There is one problem for each file that could
// not be read.
func Read(files []File) (pages []Copy, problems []Problem) {
	byPath := map[string][]byte{}
	for i := range files {
		files[i].Name = path.Clean("/" + strings.ReplaceAll(files[i].Name, `\`, "/"))[1:]
		byPath["/"+files[i].Name] = files[i].Body
	}
	for _, f := range files {
		found, err := read(f, byPath)
		if err != nil {
			problems = append(problems, Problem{path.Base(f.Name), err})
		}
		pages = append(pages, found...)
	}
	if len(pages) == 0 && len(problems) == 0 {
		problems = append(problems, Problem{Err: NoPageInFiles.New()})
	}
	return pages, problems
}

// read finds the pages in one file.
func read(f File, others map[string][]byte) ([]Copy, error) {
	switch kindOf(f) {
	case kindPage:
		if besideAnother(f.Name, others) {
			return nil, nil
		}
		return one(htmlPage(f, others))
	case kindText:
		return one(Copy{File: f.Name, Document: fetch.Document{ContentType: "text/plain; charset=utf-8", Body: f.Body}},
			bounds(path.Base(f.Name), f.Body))
	case kindMHTML:
		return one(mhtml(f))
	case kindWARC:
		return warc(f)
	}
	return nil, nil
}

func one(p Copy, err error) ([]Copy, error) {
	if err != nil {
		return nil, err
	}
	return []Copy{p}, nil
}

type kind int

const (
	kindOther kind = iota
	kindPage
	kindText
	kindMHTML
	kindWARC
)

// IsPage reports whether a file is, by its name, a page or a web archive; texts
// may be anything.
func IsPage(name string) bool {
	k := kindByName(name)
	return k != kindOther && k != kindText
}

func kindByName(name string) kind {
	name = strings.TrimSuffix(strings.ToLower(name), ".gz")
	switch path.Ext(name) {
	case ".html", ".htm", ".xhtml":
		return kindPage
	case ".txt", ".text", ".md":
		return kindText
	case ".mhtml", ".mht":
		return kindMHTML
	case ".warc":
		return kindWARC
	}
	return kindOther
}

// IsArchive reports whether a file is a web archive.
func IsArchive(f File) bool {
	k := kindOf(f)
	return k == kindMHTML || k == kindWARC
}

// kindOf returns what a file is, by how it begins and else by its name.
func kindOf(f File) kind {
	head := bytes.TrimLeft(f.Body[:min(len(f.Body), 512)], "\xef\xbb\xbf \t\r\n")
	switch {
	case bytes.HasPrefix(head, []byte("WARC/")), bytes.HasPrefix(head, []byte("\x1f\x8b")) &&
		strings.Contains(strings.ToLower(f.Name), ".warc"):
		return kindWARC
	case bytes.HasPrefix(head, []byte("From: <Saved by")), bytes.HasPrefix(head, []byte("MIME-Version:")):
		return kindMHTML
	}
	if k := kindByName(f.Name); k != kindOther && k != kindText {
		return k
	}
	if lower := bytes.ToLower(head); bytes.HasPrefix(lower, []byte("<!doctype html")) ||
		bytes.HasPrefix(lower, []byte("<html")) {
		return kindPage
	}
	return kindByName(f.Name)
}

// besideAnother reports whether a page is one of the folder that a browser saves beside a page:
// what was framed in it.
func besideAnother(name string, others map[string][]byte) bool {
	dir := path.Dir("/" + name)
	for _, suffix := range []string{"_files", "-Dateien", "_fichiers", "_archivos"} {
		if stem, ok := strings.CutSuffix(dir, suffix); ok {
			for _, ext := range []string{".html", ".htm"} {
				if _, ok := others[stem+ext]; ok {
					return true
				}
			}
		}
	}
	return false
}

func bounds(name string, body []byte) error {
	switch {
	case len(bytes.TrimSpace(body)) == 0:
		return fetch.FileEmpty.New(name)
	case len(body) > fetch.MaxBody:
		return fetch.PageTooLarge.New(fetch.MaxBody >> 20)
	}
	return nil
}

// savedFrom is what browsers write into the pages that they save.
var savedFrom = regexp.MustCompile(`<!-- saved from url=\(\d+\)(https?://[^\s>]+) -->`)

// htmlPage reads a saved page with the style sheets among the other files.
func htmlPage(f File, others map[string][]byte) (Copy, error) {
	p := Copy{File: f.Name, Document: fetch.Document{Body: f.Body}, Base: (&url.URL{Path: "/" + f.Name}).String()}
	if m := savedFrom.FindSubmatch(f.Body[:min(len(f.Body), 2048)]); m != nil {
		if address, err := fetch.Address(string(m[1])); err == nil {
			p.Document.URL = address
		}
	}
	p.Sheets = sheetsOf(f.Body, page.Source{Base: p.Base}, func(address string) ([]byte, bool) {
		u, err := url.Parse(address)
		if err != nil || u.Scheme != "" || u.Host != "" {
			return nil, false
		}
		body, ok := others[path.Clean(u.Path)]
		return body, ok
	})
	return p, bounds(path.Base(f.Name), f.Body)
}

// maxSheets and maxSheetBytes bound the style sheets of one page.
const (
	maxSheets     = 40
	maxSheetBytes = 2 << 20
)

// sheetsOf looks up the style sheets that a page and its sheets ask for.
func sheetsOf(body []byte, src page.Source, look func(address string) ([]byte, bool)) map[string]string {
	out := map[string]string{}
	wanted := page.Linked(body, src)
	for len(wanted) > 0 && len(out) < maxSheets {
		address := wanted[0]
		wanted = wanted[1:]
		if _, ok := out[address]; ok {
			continue
		}
		if sheet, ok := look(address); ok && len(sheet) <= maxSheetBytes {
			out[address] = decode.Sheet(sheet, "")
			wanted = append(wanted, linked.Imports(out[address], address)...)
		}
	}
	return out
}

// Same reports whether two addresses lead to the same page, whatever the scheme,
// a www or a slash at the end.
func Same(a, b string) bool { return a != "" && bare(a) == bare(b) }

func bare(address string) string {
	_, rest, _ := strings.Cut(address, "://")
	rest, _, _ = strings.Cut(rest, "#")
	rest = strings.TrimSuffix(strings.TrimPrefix(rest, "www."), "/")
	host, after, found := strings.Cut(rest, "/")
	if found {
		return strings.ToLower(host) + "/" + after
	}
	return strings.ToLower(host)
}

// isHTML reports whether a content type is that of a page.
func isHTML(contentType string) bool {
	kind, _, _ := strings.Cut(strings.ToLower(contentType), ";")
	return slices.Contains([]string{"text/html", "application/xhtml+xml"}, strings.TrimSpace(kind))
}
