// Command bench prints how long the work takes beside one bare html.Parse of
// the same page, as ratios within one run: the machines it runs on are noisy,
// so no time stands by itself and nothing here fails. With a folder of saved
// pages it measures those instead; with study, site, visit, book, survey, plan, standing, scroll or paint that part
// alone; with SOAK=large, surveyed, served, rendered, kills, askers, requests, day or readers in its environment that
// part of the soak.
package main

import (
	"bytes"
	"fmt"
	"os"
	"runtime"
	"slices"
	"syscall"
	"time"

	"inktally/core/page"
	"inktally/core/sheet"

	"golang.org/x/net/html"
)

func main() {
	if soaking() {
		return
	}
	// A second processor that has nothing to do would help to collect garbage
	// without need, now more and now less.
	runtime.GOMAXPROCS(1)
	body, phrases := sample(150_000, 300, 80, 100)
	parse := func() { parseBody(body) }
	named := map[string]func() error{"study": studyBench, "site": siteBench, "visit": visitBench,
		"book": func() error { return bookBench(parse) }, "survey": func() error { return surveyBench(parse) },
		"plan": func() error { return planBench(parse, body) }, "scroll": scrollBench, "paint": paintBench,
		"standing": standingBench}
	if len(os.Args) > 1 && named[os.Args[1]] != nil {
		if err := named[os.Args[1]](); err != nil {
			fmt.Fprintln(os.Stderr, "bench:", err)
			os.Exit(1)
		}
		return
	}
	if len(os.Args) > 1 {
		if err := savedPages(os.Args[1]); err != nil {
			fmt.Fprintln(os.Stderr, "bench:", err)
			os.Exit(1)
		}
		return
	}
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: phrases[:20]})
	report("measure a page of 150 KB with 20 phrases", 2.0, parse, func() {
		sheet.Measure(page.Read(body, page.Source{}), criteria)
	})
	report("  of it: reading without phrases", 0, parse, func() { page.Read(body, page.Source{}) })
	facts()
	matching()
	for _, err := range []error{sheetBench(parse, body, phrases[:20]), planBench(parse, body), studyBench(),
		bookBench(parse), shelfBench(parse), siteBench(), surveyBench(parse), visitBench(), standingBench(),
		scrollBench(), paintBench(),
		bundle("internal/server/dist"), readersBench(), soak()} {
		if err != nil {
			fmt.Fprintln(os.Stderr, "bench:", err)
			os.Exit(1)
		}
	}
}

// parseBody is what all else is measured by.
func parseBody(body []byte) {
	if _, err := html.Parse(bytes.NewReader(body)); err != nil {
		panic(err)
	}
}

// report prints the median of what work costs beside base.
func report(name string, goal float64, base, work func()) {
	const rounds = 25
	batch := 1 + int(30*time.Millisecond/(1+cpu(base, 1)))
	var ratios []float64
	for range rounds {
		b, w := cpu(base, batch), cpu(work, batch)
		ratios = append(ratios, float64(w)/float64(b))
	}
	slices.Sort(ratios)
	aim := ""
	if goal > 0 {
		aim = fmt.Sprintf(" (goal: at most %.1f)", goal)
	}
	fmt.Printf("%-52s %6.2f x%s   quartiles %.2f-%.2f\n", name, ratios[rounds/2], aim, ratios[rounds/4],
		ratios[rounds*3/4])
}

// cpu returns the processor time that n calls of work cost this process, garbage
// collection included, but not that of what was there before.
func cpu(work func(), n int) time.Duration {
	runtime.GC()
	before := used()
	for range n {
		work()
	}
	return used() - before
}

func used() time.Duration {
	var r syscall.Rusage
	if err := syscall.Getrusage(syscall.RUSAGE_SELF, &r); err != nil {
		panic(err)
	}
	return time.Duration(r.Utime.Nano() + r.Stime.Nano())
}
