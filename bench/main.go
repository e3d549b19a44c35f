// Command bench prints how long the work takes beside one bare html.Parse of
// the same page, as ratios within one run: the machines it runs on are noisy,
// so no time stands by itself and nothing here fails.
package main

import (
	"bytes"
	"fmt"
	"os"
	"slices"
	"syscall"
	"time"

	"inktally/core/page"
	"inktally/core/sheet"

	"golang.org/x/net/html"
)

func main() {
	body, phrases := sample(150_000, 300, 80, 20)
	parse := func() {
		if _, err := html.Parse(bytes.NewReader(body)); err != nil {
			panic(err)
		}
	}
	q := &sheet.Question{Phrases: phrases}
	measure := func() *sheet.Column { return sheet.Measure(page.Read(body, page.Source{}), q) }
	c := measure()
	least := c.Phrases[0].Exact.Total
	for _, p := range c.Phrases {
		least = min(least, p.Exact.Total)
	}
	fmt.Printf("page: %d KB, %d words seen, %d links, %d images, %d phrases, each at least %d times\n",
		len(body)/1000, c.Page.Words.Seen, len(c.Page.Links), len(c.Page.Images), len(phrases), least)
	report("measure a page with 20 phrases, parsing included", 2.0, parse, func() { measure() })
	report("  of it: reading without phrases", 0, parse, func() { page.Read(body, page.Source{}) })
	for _, err := range []error{sheetBench(parse, body, phrases), bundle("internal/server/dist")} {
		if err != nil {
			fmt.Fprintln(os.Stderr, "bench:", err)
			os.Exit(1)
		}
	}
}

// report prints the median of what work costs beside base.
func report(name string, goal float64, base, work func()) {
	const rounds, batch = 25, 6
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
	fmt.Printf("%-52s %6.2f x html.Parse%s   quartiles %.2f-%.2f\n", name, ratios[rounds/2], aim, ratios[rounds/4], ratios[rounds*3/4])
}

// cpu is the processor time that n calls of work cost this process, garbage
// collection included.
func cpu(work func(), n int) time.Duration {
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
