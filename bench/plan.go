package main

import (
	"context"
	"fmt"
	"strings"
	"time"

	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/proof"
	"inktally/core/sheet"
	"inktally/core/site"
	"inktally/core/stats"
	"inktally/internal/app"
	"inktally/internal/draft"
	"inktally/internal/view"
)

// The client of planBench: its pages, the families of each, and its rivals.
const (
	planPages    = 60
	planFamilies = 5
	planRivals   = 8
)

// planBench works out the plan of a large client with all pages at hand, looks at a change
// of a figure, and proves a draft.
func planBench(parse func(), body []byte) error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	a, err := app.New(ctx, app.Options{DB: db, Web: serving{body}})
	if err != nil {
		return err
	}
	defer a.Close()
	client, err := largeClient(ctx, a)
	if err != nil {
		return err
	}
	made, err := a.Plan.Get(ctx, client)
	if err != nil {
		return err
	}
	w, err := a.Plan.Work(ctx, client)
	if err != nil {
		return err
	}
	families, beside := 0, 0
	for _, p := range w.From.Pages {
		families += len(p.Families)
		beside = max(beside, len(p.Rivals))
	}
	name := fmt.Sprintf("the plan of %d pages, %d families, %d rivals a page", len(made.Pages), families, beside)
	report(name, 15, parse, func() { w.Whole.Known.Yardstick.Target.Plan(w.From) })
	report(fmt.Sprintf("  with the loading: %d targets", len(made.Targets)), 0, parse, func() {
		if _, err := a.Plan.Work(ctx, client); err != nil {
			panic(err)
		}
	})
	var times []float64
	for range 15 {
		start := time.Now()
		if _, err := a.Plan.Preview(ctx, client, map[string]string{"words.beat_percent": "20"}, false); err != nil {
			return err
		}
		times = append(times, time.Since(start).Seconds()*1000)
	}
	fmt.Printf("%-52s %6.0f ms (goal: under 100)\n", "  a change of the yardstick is seen in", stats.Median(times))
	if err := handoffBench(ctx, a, client, made.Pages[0].Key); err != nil {
		return err
	}
	return proofBench(parse)
}

func largeClient(ctx context.Context, a *app.App) (int64, error) {
	b := view.Business{Name: "Bench", HomePage: "bench.example",
		Places: []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}}}
	var list strings.Builder
	list.WriteString("phrase,searches,difficulty,position\n")
	for i := range planPages {
		service := fmt.Sprintf("%s%s repair", syllables[i%8], syllables[i/8+8])
		b.Services = append(b.Services, view.Service{Name: service})
		for k, pattern := range []string{"%s tarn harbor", "%s tarn harbor soon", "tarn harbor %s today",
			"weekend %s tarn harbor", "old %s tarn harbor"}[:planFamilies] {
			fmt.Fprintf(&list, pattern+",%d,%d,%d\n", service, 400-i*3-k*60, i%50, 5+i%30)
		}
	}
	g, err := a.Ground.New(ctx, b)
	if err != nil {
		return 0, err
	}
	for i, s := range b.Services[1:] {
		if _, err := a.Ground.AddPage(ctx, g.ID,
			view.PageDraft{URL: fmt.Sprintf("http://bench.example/service-%d", i), Kind: "service",
				Service: s.Name}); err != nil {
			return 0, err
		}
	}
	var rivals []string
	for i := range planRivals {
		rivals = append(rivals, fmt.Sprintf("rival%d.example/services", i))
	}
	if _, err := a.Lineup.Paste(ctx, g.ID, strings.Join(rivals, " ")); err != nil {
		return 0, err
	}
	if _, err := a.Book.ImportList(ctx, g.ID, "x.csv", []byte(list.String()), nil, "", ""); err != nil {
		return 0, err
	}
	states, end := a.Runs.Watch(g.ID)
	defer end()
	run, err := a.Runs.Measure(ctx, g.ID)
	for err == nil && run.State == "running" {
		run = <-states
	}
	return g.ID, err
}

var syllables = strings.Fields("bol dar fen gim hul kor lam nop ros tiv vun wex yal zor mib pud")

// proofBench proves a draft of 3,000 words against the targets of its page.
func proofBench(parse func()) error {
	text := "# Chimney sweep Tarn Harbor\n\n"
	for i := range 30 {
		text += fmt.Sprintf("## Section %d\n\n%s\n\n", i,
			strings.Repeat("The flue is swept and the cap is looked at from the roof. ", 8))
	}
	criteria := sheet.NewCriteria(sheet.Asked{
		Phrases: []string{"chimney sweep tarn harbor", "flue liner tarn harbor", "chimney inspection tarn harbor"}})
	p := plan.Aim{Key: "p1", Kind: site.Home, Criteria: criteria,
		Topics: outline.Topics{Services: []outline.Topic{{Name: "chimney sweep"}, {Name: "flue liner"}}, Firm: "Bench"}}
	for _, f := range criteria.Families {
		p.Families = append(p.Families, plan.Stake{Key: f.Key, Text: criteria.Phrases[f.Members[0]], Gain: 10,
			Known: true})
	}
	survey := site.Survey{Binder: site.NewBinder(criteria.Language(), nil, nil), Low: func(site.Kind) int {
		return 1500
	}}
	d, err := draft.Read("", []byte(text))
	if err != nil {
		return err
	}
	words := page.Read(d.HTML, page.Source{}).Words.Seen
	prove := func() {
		again, err := draft.Read("", []byte(text))
		if err != nil {
			panic(err)
		}
		proof.Of(proof.Input{Rules: plan.StandardRules(), Page: p, Draft: page.Read(again.HTML, page.Source{}),
			Survey: survey})
	}
	report(fmt.Sprintf("proof of a draft of %d words", words), 2, parse, prove)
	report("  beside a parse of its own bare text", 0, func() { parseBody(d.HTML) }, prove)
	return nil
}
