package main

import (
	"cmp"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/style"
)

// The sizes of saved pages that are measured: smaller ones cost next to nothing.
const (
	smallestPage = 20_000
	largestPage  = 2_000_000
)

// measuredPage is a saved page with what all its facts cost beside its parsing.
type measuredPage struct {
	ratio float64
	file  string
}

// savedPages measures the pages below a folder: what made pages are like tells
// little of what real ones cost.
func savedPages(dir string) error {
	_, phrases := sample(30_000, 60, 15, 100)
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: phrases})
	cache := &style.Cache{}
	var all []measuredPage
	err := filepath.WalkDir(dir, func(file string, d fs.DirEntry, err error) error {
		if err != nil || !d.Type().IsRegular() || !strings.HasSuffix(file, ".html") {
			return err
		}
		body, err := os.ReadFile(file)
		if err == nil && len(body) >= smallestPage && len(body) <= largestPage {
			all = append(all, measuredPage{ratioOf(body, page.Source{Cache: cache}, criteria), file})
		}
		return err
	})
	if err != nil || len(all) == 0 {
		return cmp.Or(err, fmt.Errorf("no page of %d KB or more below %s", smallestPage/1000, dir))
	}
	slices.SortFunc(all, func(a, b measuredPage) int { return cmp.Compare(a.ratio, b.ratio) })
	at := func(percent int) float64 { return all[len(all)*percent/100].ratio }
	fmt.Printf("all facts of %d saved pages: median %.2f x, quartiles %.2f-%.2f, one in ten above %.2f\n", len(all),
		at(50), at(25), at(75), at(90))
	for _, p := range all[max(0, len(all)-5):] {
		fmt.Printf("  %.2f x %s\n", p.ratio, p.file)
	}
	return nil
}

// ratioOf returns the median of three.
func ratioOf(body []byte, src page.Source, criteria *sheet.Criteria) float64 {
	parse := func() { parseBody(body) }
	batch := 1 + int(15*time.Millisecond/(1+cpu(parse, 1)))
	var ratios []float64
	for range 3 {
		base := cpu(parse, batch)
		ratios = append(ratios, float64(cpu(func() { allFacts(body, src, criteria) }, batch))/float64(base))
	}
	slices.Sort(ratios)
	return ratios[1]
}
