// Command agree holds the reading of saved pages against a browser's:
//
//	agree FOLDER
//
// It loads every .html file below the folder in Chromium, compares words seen,
// headings and image names, and reports what differs, by cause. Pages agree
// when their words are within 1 % and the lists are equal.
package main

import (
	"context"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"slices"
	"sort"
	"strings"

	"inktally/core/page"
	"inktally/core/text"
	"inktally/e2e/browser"
	"inktally/internal/fetch"
)

func main() {
	if len(os.Args) != 2 {
		fmt.Fprintln(os.Stderr, "agree: give a folder of saved pages")
		os.Exit(1)
	}
	if err := run(os.Args[1]); err != nil {
		fmt.Fprintln(os.Stderr, "agree:", err)
		os.Exit(1)
	}
}

// finding is how a page differs.
type finding struct{ file, cause, detail string }

func run(dir string) error {
	files, err := pagesBelow(dir)
	if err != nil {
		return err
	}
	ctx, end, err := browser.Open(context.Background(), map[string]any{
		"host-resolver-rules": "MAP * ~NOTFOUND"})
	if err != nil {
		return err
	}
	defer end()
	if err := browser.NoScripts(ctx); err != nil {
		return err
	}
	var found []finding
	agreed, failed := 0, 0
	cache := &page.SheetCache{}
	for _, file := range files {
		f, err := compare(ctx, file, cache)
		switch {
		case err != nil:
			failed++
			fmt.Fprintln(os.Stderr, "agree:", file, err)
		case f.cause == "":
			agreed++
		default:
			found = append(found, f)
		}
	}
	report(found, agreed, failed)
	return nil
}

func pagesBelow(dir string) ([]string, error) {
	var out []string
	err := filepath.WalkDir(dir, func(name string, d fs.DirEntry, err error) error {
		if err == nil && d.Type().IsRegular() && (strings.HasSuffix(name, ".html") || strings.HasSuffix(name, ".htm")) {
			name, err = filepath.Abs(name)
			out = append(out, name)
		}
		return err
	})
	return out, err
}

// compare reads a page here and in the browser.
func compare(ctx context.Context, file string, cache *page.SheetCache) (finding, error) {
	doc, err := fetch.File(file)
	if err != nil {
		return finding{}, err
	}
	p := page.Read(doc.Body, page.Source{Base: fetch.FileBase(doc), Sheets: fetch.FileSheets(doc), Cache: cache})
	facts, err := browser.Ask(ctx, (&url.URL{Scheme: "file", Path: file}).String())
	if err != nil {
		return finding{}, err
	}
	f := finding{file: file}
	seen := text.Words(facts.Text)
	heads, names := []string{}, []string{}
	for _, h := range p.Headings {
		heads = append(heads, fmt.Sprint(h.Level, " ", h.Text))
	}
	for _, i := range p.Images {
		if !i.Background {
			names = append(names, i.File)
		}
	}
	shown := []string{}
	for _, h := range facts.Headings {
		shown = append(shown, fmt.Sprint(h.Level, " ", h.Text))
	}
	switch diff := seen - p.Words.Seen; {
	case diff*100 > seen || -diff*100 > seen:
		f.cause, f.detail = "words", fmt.Sprintf("browser %d, here %d: %s", seen, p.Words.Seen, firstWord(facts.Text, p))
	case !slices.Equal(heads, shown):
		f.cause, f.detail = "headings", firstOf(shown, heads)
	case !slices.Equal(names, facts.Images):
		f.cause, f.detail = "image names", firstOf(facts.Images, names)
	}
	return f, nil
}

// firstWord shows where the texts part.
func firstWord(shown string, p *page.Page) string {
	var here []string
	for i := range p.Blocks {
		if !p.Blocks[i].Hidden {
			here = append(here, strings.Fields(p.Text(i))...)
		}
	}
	there := strings.Fields(shown)
	for i := range min(len(here), len(there)) {
		if here[i] != there[i] {
			return fmt.Sprintf("%q, here %q", there[max(0, i-2):min(len(there), i+4)], here[max(0, i-2):min(len(here), i+4)])
		}
	}
	return "one ends before the other"
}

func firstOf(there, here []string) string {
	for i := range max(len(there), len(here)) {
		var a, b string
		if i < len(there) {
			a = there[i]
		}
		if i < len(here) {
			b = here[i]
		}
		if a != b {
			return fmt.Sprintf("browser %q, here %q", a, b)
		}
	}
	return ""
}

func report(found []finding, agreed, failed int) {
	sort.SliceStable(found, func(i, j int) bool { return found[i].cause < found[j].cause })
	causes := map[string]int{}
	for _, f := range found {
		causes[f.cause]++
		fmt.Printf("%s: %s\n    %s\n", f.cause, f.file, f.detail)
	}
	total := agreed + len(found)
	fmt.Printf("%d of %d pages agree (%.1f %%)", agreed, total, 100*float64(agreed)/float64(max(1, total)))
	if failed > 0 {
		fmt.Printf(", %d could not be compared", failed)
	}
	fmt.Println()
	for _, cause := range []string{"words", "headings", "image names"} {
		if causes[cause] > 0 {
			fmt.Printf("  %s differ on %d\n", cause, causes[cause])
		}
	}
}
