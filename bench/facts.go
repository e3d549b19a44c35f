package main

import (
	"fmt"
	"strings"

	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/core/style"
)

// allFacts works out all there is on a page, phrases and image names too.
func allFacts(body []byte, src page.Source, criteria *sheet.Criteria) *sheet.Column {
	p := page.Read(body, src)
	p.Details()
	p.LinkList()
	p.Menus()
	return sheet.Measure(p, criteria)
}

// facts compares all facts of pages of several sizes with their parsing.
func facts() {
	for _, size := range []int{30, 150, 1500} {
		body, phrases := sample(size*1000, size*2, size/2, 100)
		criteria := sheet.NewCriteria(sheet.Asked{Phrases: phrases})
		c := allFacts(body, page.Source{}, criteria)
		occurrences := 0
		for _, p := range c.Phrases {
			occurrences += p.Exact.Total
		}
		fmt.Printf("page: %d KB, %d words seen, %d links, %d images, %d phrases, %d occurrences\n",
			len(body)/1000, c.Page.Words.Seen, len(c.Page.Links), len(c.Page.Images), len(phrases), occurrences)
		report("all facts with 100 phrases, parsing included", 2.0, func() {
			parseBody(body)
		}, func() { allFacts(body, page.Source{}, criteria) })
	}
	body, phrases := sample(150_000, 300, 80, 100)
	criteria := sheet.NewCriteria(sheet.Asked{Phrases: phrases})
	styled, css := withSheet(body)
	src := page.Source{URL: "http://bench.example/", Sheets: map[string]string{"http://bench.example/site.css": css},
		Cache: &style.Cache{}}
	fmt.Printf("style sheet: %d KB, kept parsed between pages\n", len(css)/1000)
	report("the same page with it, beside without", 2, func() {
		allFacts(body, page.Source{}, criteria)
	}, func() { allFacts(styled, src, criteria) })
	small, phrases := sample(1_500_000, 3000, 800, 100)
	large, _ := sample(10_000_000, 20_000, 5300, 100)
	criteria = sheet.NewCriteria(sheet.Asked{Phrases: phrases})
	report("parsing alone of 10 MB beside 1.5 MB", 0, func() { parseBody(small) }, func() { parseBody(large) })
	report("a page of 10 MB beside one of 1.5 MB", 7.5, func() {
		allFacts(small, page.Source{}, criteria)
	}, func() { allFacts(large, page.Source{}, criteria) })
}

// withSheet links a style sheet of 250 KB as page builders make them: rules by
// class, few of which the page uses.
func withSheet(body []byte) (p []byte, css string) {
	var b strings.Builder
	b.WriteString(".menu-item{display:inline-block}.hide{display:none}@media (max-width:700px){.menu{display:none}}\n")
	for n := 0; b.Len() < 250_000; n++ {
		fmt.Fprintf(&b, ".widget-%d .inner-%d>a,.widget-%d a:hover,.part-%d "+
			".box{display:flex;color:#%06x;margin:%dpx}\n", n, n%50, n, n%9, n, n%30)
		fmt.Fprintf(&b, "section.part-%d p.text-%d{visibility:visible;padding:%dpx 0}\n", n%9, n, n%40)
		fmt.Fprintf(&b, "@media (max-width:%dpx){.col-%d{float:left;width:50%%}}\n", 400+n%900, n)
	}
	return []byte(strings.Replace(string(body), "</head>", `<link rel="stylesheet" href="/site.css"></head>`, 1)),
		b.String()
}
