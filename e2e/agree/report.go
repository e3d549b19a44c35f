package main

import (
	"fmt"
	"sort"

	"inktally/e2e/agreement"
)

// report is what a run of agree found.
type report struct {
	agreed, failed                 int
	words, headings, images, found int
	differing                      []finding
}

// finding is a page that differs.
type finding struct {
	file string
	agreement.Result
}

func (r *report) add(file string, f agreement.Result) {
	r.words += f.Words
	r.headings += f.Headings
	r.images += f.Images
	r.found += f.Found
	if f.Cause == "" {
		r.agreed++
		return
	}
	r.differing = append(r.differing, finding{file, f})
}

// print prints what differs, by cause, and the sum of it.
func (r *report) print() {
	sort.SliceStable(r.differing, func(i, j int) bool { return r.differing[i].Cause < r.differing[j].Cause })
	causes := map[string]int{}
	for _, f := range r.differing {
		causes[f.Cause]++
		fmt.Printf("%s: %s\n    %s\n", f.Cause, f.file, f.Detail)
	}
	total := r.agreed + len(r.differing)
	fmt.Printf("%d of %d pages agree (%.1f %%)", r.agreed, total, 100*float64(r.agreed)/float64(max(1, total)))
	if r.failed > 0 {
		fmt.Printf(", %d could not be compared", r.failed)
	}
	fmt.Printf("\ncompared: %d words, %d headings, %d images, %d occurrences of phrases\n", r.words, r.headings,
		r.images, r.found)
	for _, cause := range agreement.Causes {
		if causes[cause] > 0 {
			fmt.Printf("  %s differ on %d\n", cause, causes[cause])
		}
	}
}
