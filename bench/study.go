package main

import (
	"context"
	"fmt"
	"math/rand/v2"
	"strings"
	"time"

	"inktally/core/page"
	"inktally/core/plan"
	"inktally/core/reading"
	"inktally/core/stats"
	"inktally/internal/app"
	"inktally/internal/app/targets"
	"inktally/internal/store"
)

// studyBench opens the views of a large client one after another, each of them alone, drops a
// part, and lists many readings.
func studyBench() error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	body, _ := sample(40_000, 90, 20, 20)
	var client int64
	if err := with(ctx, db, body, func(a *app.App) (err error) {
		client, err = largeClient(ctx, a)
		return err
	}); err != nil {
		return err
	}
	if err := views(ctx, db, body, client); err != nil {
		return err
	}
	if err := with(ctx, db, body, func(a *app.App) error { return dropped(ctx, a, client) }); err != nil {
		return err
	}
	return manyReadings(ctx, db)
}

// with runs f over an app that has studied nothing yet.
func with(ctx context.Context, db *store.DB, body []byte, f func(*app.App) error) error {
	a, err := app.New(ctx, app.Options{DB: db, Web: serving{body}})
	if err != nil {
		return err
	}
	defer a.Close()
	return f(a)
}

func views(ctx context.Context, db *store.DB, body []byte, client int64) error {
	opens := []func(*app.App) error{
		func(a *app.App) error {
			p, err := a.Ground.Get(ctx, client)
			if err == nil {
				_, err = a.Sheet.Get(ctx, client, p.Pages[0].ID)
			}
			return err
		},
		func(a *app.App) error { _, err := a.Plan.Get(ctx, client); return err },
		func(a *app.App) error { _, err := a.Sheet.Overview(ctx, client); return err },
	}
	costs := func(list ...func(*app.App) error) (ms float64, err error) {
		var times []float64
		for range 5 {
			err = with(ctx, db, body, func(a *app.App) error {
				from := used()
				for _, open := range list {
					if err := open(a); err != nil {
						return err
					}
				}
				times = append(times, (used()-from).Seconds()*1000)
				return nil
			})
			if err != nil {
				return 0, err
			}
		}
		return stats.Median(times), nil
	}
	most := 0.0
	for _, open := range opens {
		alone, err := costs(open)
		if err != nil {
			return err
		}
		most = max(most, alone)
	}
	all, err := costs(opens...)
	fmt.Printf("%-52s %6.2f x the costliest alone, %.0f ms (goal: at most 1.3)\n",
		fmt.Sprintf("sheet, plan and all %d pages one after another", planPages), all/most, most)
	return err
}

// dropped drops a part and brings it back, over and over.
func dropped(ctx context.Context, a *app.App, client int64) error {
	p, err := a.Plan.Get(ctx, client)
	if err != nil {
		return err
	}
	said := []targets.Said{{Page: p.Targets[0].Page, Key: p.Targets[0].Parts[0].Key,
		Choice: plan.Choice{State: plan.Dropped}}}
	made, db := a.Studies.Made(), a.Store()
	const times = 10
	plans, statements, from := made.Plans.Load(), db.Statements(), used()
	for i := range times {
		said[0].State = []plan.State{plan.Dropped, plan.Open}[i%2]
		if _, err := a.Plan.Choose(ctx, client, said); err != nil {
			return err
		}
	}
	fmt.Printf("%-52s %6.1f statements, %.1f plans (goal: at most 12 and 1), %.0f ms\n", "  a part that is dropped",
		float64(db.Statements()-statements)/times,
		float64(made.Plans.Load()-plans)/times, (used()-from).Seconds()*1000/times)
	return nil
}

// manyReadings lists the latest readings of many pages.
func manyReadings(ctx context.Context, db *store.DB) error {
	const many = 1000
	var client int64
	html := []byte("<p>" + strings.Repeat("words that are all the same ", 60))
	p := page.Read(html, page.Source{})
	err := db.Write(ctx, func(tx *store.Tx) (err error) {
		if client, err = tx.AddClient(store.Client{Name: "Many"}); err != nil {
			return err
		}
		for i := range many {
			noise := noise(40_000, uint64(i))
			r := store.Reading{ClientID: client, URL: fmt.Sprint(i), Facts: reading.FactsOf(p), TakenAt: time.Now()}
			if _, err := tx.AddReading(r, noise, p.Data()); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return err
	}
	var times []float64
	for range 15 {
		from := time.Now()
		err := db.Read(ctx, func(tx *store.Tx) error { _, err := tx.LatestReadings(client); return err })
		if err != nil {
			return err
		}
		times = append(times, time.Since(from).Seconds()*1000)
	}
	fmt.Printf("%-52s %6.1f ms (goal: under 10)\n", fmt.Sprintf("  %d latest readings with bodies of 40 KB", many),
		stats.Median(times))
	return nil
}

// noise is text that packing makes no smaller.
func noise(size int, seed uint64) []byte {
	rnd := rand.New(rand.NewPCG(seed, 3))
	out := make([]byte, size)
	for i := range out {
		out[i] = byte(rnd.IntN(256))
	}
	return out
}
