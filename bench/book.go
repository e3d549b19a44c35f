package main

import (
	"context"
	"fmt"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/core/sheet"
	"inktally/internal/app"
	"inktally/internal/view"
)

// matching compares what 1,000 phrases cost on a page with what 10 cost.
func matching() {
	body, _ := sample(150_000, 300, 80, 100)
	p := page.Read(body, page.Source{})
	of := func(n int) *sheet.Criteria {
		var phrases []string
		for i := range n {
			phrases = append(phrases, fmt.Sprintf("%s %s %s", []string{"", "best", "cheap", "local"}[i%4],
				services[i/4%len(services)], places[i/40%len(places)]))
		}
		for i := range phrases {
			phrases[i] = strings.TrimSpace(phrases[i])
			if i >= 400 {
				phrases[i] += fmt.Sprintf(" %d", i)
			}
		}
		return sheet.NewCriteria(sheet.Asked{Phrases: phrases})
	}
	few, many := of(10), of(1000)
	whole := func(criteria *sheet.Criteria) func() {
		return func() { sheet.Measure(page.Read(body, page.Source{}), criteria) }
	}
	report("a page with 1,000 phrases beside 10", 1.3, whole(few), whole(many))
	report("  of it: without reading the page", 0, func() { sheet.Measure(p, few) }, func() { sheet.Measure(p, many) })
}

// bookBench compares the import of 2,000 phrases, and a phrase found on 8
// pages, with one parse of a page of 150 KB.
func bookBench(parse func()) error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	p, _ := sample(14_000, 40, 10, 20) // some 2,000 words
	a, err := app.New(ctx, app.Options{DB: db, Web: serving{p}})
	if err != nil {
		return err
	}
	defer a.Close()
	client, home, err := measured(ctx, a, []string{"chimney sweep tarn harbor"})
	if err != nil {
		return err
	}
	var list strings.Builder
	list.WriteString("phrase,volume,difficulty\n")
	for i := range 2000 {
		fmt.Fprintf(&list, "%s %s %s %d,%d,%d\n", services[i%len(services)], places[i/10%len(places)],
			[]string{"cost", "best", "", "ohio"}[i%4], i/100, i%900, i%70)
	}
	report("2,000 phrases imported, grouped and stored", 150, parse, func() {
		r, err := a.Book.ImportList(ctx, client, "bench", []byte(list.String()), nil, "", "")
		if err != nil || r.Added+r.Joined < 1900 {
			panic(fmt.Sprint("the list was not taken: ", err))
		}
		if _, err := a.Book.Get(ctx, client); err != nil {
			panic(err)
		}
		if err := a.Book.UndoImport(ctx, client, r.ImportID); err != nil {
			panic(err)
		}
	})
	if err := verdictBench(ctx, a); err != nil {
		return err
	}
	report("a typed phrase found on 8 pages", 10, parse, func() {
		e, err := a.Sheet.Evidence(ctx, client, home, 0, "flue liner quillby")
		if err != nil || len(e.Across) != 8 {
			panic(fmt.Sprint("not found on 8 pages: ", err))
		}
	})
	return nil
}

const verdictGoal = 100 * time.Millisecond

// verdictBench measures how long a verdict on a word takes to be seen in a book of
// 5,000 phrases.
func verdictBench(ctx context.Context, a *app.App) error {
	g, err := a.Ground.New(ctx, view.Business{Name: "Brindle", Trade: "chimney care",
		Services: []view.Service{{Name: "chimney sweep", Words: []string{"chimney cleaning"}},
			{Name: "flue liner installation"}, {Name: "dryer vent cleaning"}},
		Places: []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}, {Name: "Quillby"}}})
	if err != nil {
		return err
	}
	var list strings.Builder
	list.WriteString("phrase,volume,difficulty\n")
	for i := range 5000 {
		fmt.Fprintf(&list, "%s %s %s word%d,%d,%d\n", []string{"", "best", "oakum", "cheap", "emergency"}[i%5],
			services[i%len(services)], places[i/10%len(places)], i%700, 10+i%900, i%70)
	}
	if _, err := a.Book.ImportList(ctx, g.ID, "bench", []byte(list.String()), nil, "", "state"); err != nil {
		return err
	}
	best := time.Hour
	for i := range 8 {
		start := time.Now()
		book, err := a.Book.JudgeWord(ctx, g.ID, "oakum", []string{"firm", ""}[i%2])
		if err != nil {
			return err
		}
		if len(book.Changed.Aside)+len(book.Changed.Kept) == 0 {
			return fmt.Errorf("the verdict changed nothing")
		}
		best = min(best, time.Since(start))
	}
	fmt.Printf("a verdict in a book of 5,000 phrases: %.1f ms (goal: under %v)\n", float64(best.Microseconds())/1000,
		verdictGoal)
	return nil
}
