package fetch

import (
	"io"
	"net/url"
	"os"
	"path"
	"path/filepath"
	"strings"
	"time"

	"inktally/core/decode"
	"inktally/core/page"
)

// The style sheets beside a saved page may stand so many folders above it, and take so long
// to be read.
const (
	foldersUp     = 2
	fileSheetTime = 3 * time.Second
)

// within is what the addresses of a saved page are resolved in, so that those that lead out
// of the folders that it may read from are told from those that stay.
const within = "/within/"

// FileBase returns what the relative addresses in a saved page start from.
func FileBase(doc Document) string {
	name, err := filepath.Abs(doc.URL)
	if err != nil {
		name = doc.URL
	}
	return (&url.URL{Path: filepath.ToSlash(name)}).String()
}

// FileSheets reads the style sheets beside a saved page: regular files at relative
// addresses, at most two folders up. Nothing is asked of the web for it, and nothing else on
// this machine is opened, whatever the page says.
func FileSheets(doc Document) map[string]string {
	base, err := url.Parse(FileBase(doc))
	if err != nil {
		return nil
	}
	folder := path.Dir(base.Path)
	top := folder
	for range foldersUp {
		top = path.Dir(top)
	}
	root, err := os.OpenRoot(filepath.FromSlash(top))
	if err != nil {
		return nil
	}
	defer root.Close()
	below := strings.TrimPrefix(strings.TrimPrefix(base.Path, top), "/")
	inside := gather(page.Linked(doc.Body, page.Source{Base: (&url.URL{Path: within + below}).String()}),
		func(address string) (string, bool) {
			name, ok := insideOf(address)
			if !ok {
				return "", false
			}
			return readSheet(root, name)
		})
	out := make(map[string]string, len(inside))
	for address, css := range inside {
		name, _ := insideOf(address)
		out[(&url.URL{Path: path.Join(top, name)}).String()] = css
	}
	return out
}

// insideOf returns the name of the file that an address of a saved page means; not ok if it leads
// out of where it may read.
func insideOf(address string) (string, bool) {
	u, err := url.Parse(address)
	if err != nil || u.Scheme != "" || u.Host != "" || !strings.HasPrefix(u.Path, within) {
		return "", false
	}
	return strings.TrimPrefix(u.Path, within), true
}

// readSheet reads a regular file; one that does not answer is given up.
func readSheet(root *os.Root, name string) (string, bool) {
	type read struct {
		css string
		ok  bool
	}
	done := make(chan read, 1)
	go func() {
		var out read
		out.css, out.ok = readRegular(root, name)
		done <- out
	}()
	select {
	case r := <-done:
		return r.css, r.ok
	case <-time.After(fileSheetTime):
		return "", false
	}
}

func readRegular(root *os.Root, name string) (string, bool) {
	if info, err := root.Stat(name); err != nil || !info.Mode().IsRegular() || info.Size() > maxSheetBytes {
		return "", false
	}
	file, err := root.Open(name)
	if err != nil {
		return "", false
	}
	defer file.Close()
	raw, err := io.ReadAll(io.LimitReader(file, maxSheetBytes))
	return decode.Sheet(raw, ""), err == nil
}
