package main

import (
	"fmt"
	"math/rand/v2"
	"os"
	"strings"

	"inktally/core/intent"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/results"
	"inktally/core/site"
)

// surveyBench compares what a survey tells, and a page of search results, with parsing.
func surveyBench(parsed func()) error {
	found, err := resultsPage("core/results/testdata/soup.html", 500_000)
	if err != nil {
		return err
	}
	report("a page of results of 500 KB, parsing included", 10, func() {
		parseBody(found)
	}, func() { results.Read(found, results.Source{}) })

	times := func(n int) func() {
		return func() {
			for range n {
				parsed()
			}
		}
	}
	pages := surveyed(1000)
	report("a survey told from 1,000 pages, beside 300 parses", 1, times(300), func() { pages.Tree() })

	own := surveyed(40).Tree().Pages
	report("like pages of 8 rivals x 40 pages, beside 20 parses", 1, times(20), func() {
		for range 8 {
			for _, p := range own {
				site.LikePage(p, own, "Tarn Harbor")
			}
		}
	})
	return nil
}

// resultsPage returns a saved page of results, made as large as they are.
func resultsPage(file string, size int) ([]byte, error) {
	body, err := os.ReadFile(file)
	if err != nil {
		return nil, err
	}
	head, tail, _ := strings.Cut(string(body), "</body>")
	filler := "<div><span>" + strings.Repeat("word ", 50) + "</span></div>"
	return []byte(head + strings.Repeat(filler, (size-len(body))/len(filler)) + "</body>" + tail), nil
}

// sitePage returns a page of about 600 words.
func sitePage(i int) string {
	rng := rand.New(rand.NewPCG(uint64(i), 7))
	var b strings.Builder
	fmt.Fprintf(&b, `<html lang="en"><title>Chimney sweep town %d</title><body><main><h1>Chimney sweep in town %d</h1>`,
		i, i)
	for range 12 {
		b.WriteString("<p>")
		for range 50 {
			fmt.Fprintf(&b, "w%d ", rng.IntN(4000))
		}
		b.WriteString("</p>")
	}
	return b.String() + "</main></body></html>"
}

// surveyed returns a site of n pages as it was visited.
func surveyed(n int) site.Survey {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}}
	services := []intent.Service{{Name: "chimney sweep"}, {Name: "flue liner installation"}}
	s := site.Survey{Places: places, Binder: site.NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}),
		services, intent.EnglishLists().Acts),
		Services: []string{"chimney sweep", "flue liner installation"}, Low: func(site.Kind) int { return 500 }}
	for i := range n {
		address := fmt.Sprintf("https://site.example/%d/", i)
		s.Visited = append(s.Visited, site.Visited{
			URL: address, Page: page.Read([]byte(sitePage(i)), page.Source{URL: address}), InLinks: 1})
	}
	return s
}
