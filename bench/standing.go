package main

import (
	"context"
	"fmt"
	"runtime"
	"strings"
	"time"

	"inktally/internal/app"
	"inktally/internal/view"
	"inktally/internal/view/stood"
)

// How many sites have a list of links in the measured standing, and how many rows each.
const (
	standingSites = 8
	standingRows  = 20_000
	longestList   = 100_000
)

// standingBench reads and judges a long list of links, and opens a standing with many lists: the first time after a
// start, and again.
func standingBench() error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	var client int64
	err = with(ctx, db, nil, func(a *app.App) error {
		g, err := a.Ground.New(ctx, view.Business{Name: "Bolt & Hasp", Trade: "locksmith",
			HomePage: "boltandhasp.example",
			Places:   []view.Place{{Name: "Marrow Bend", State: "OH", Home: true}}})
		if err != nil {
			return err
		}
		client = g.ID
		var rivals []string
		for i := range standingSites - 1 {
			rivals = append(rivals, fmt.Sprintf("https://rival%d.example/", i))
		}
		if _, err := a.Lineup.Paste(ctx, client, strings.Join(rivals, "\n")); err != nil {
			return err
		}
		body := listOfLinks(longestList - 1)
		start := time.Now()
		if err := bringLinks(ctx, a, client, "rival0.example", body); err != nil {
			return err
		}
		if _, err := a.Standing.Get(ctx, client); err != nil {
			return err
		}
		fmt.Printf("%-52s %6.0f ms (goal: under 2000), %d MB held\n",
			fmt.Sprintf("a list of %d links read, kept and judged",
				longestList), time.Since(start).Seconds()*1000, heldMB())
		for i := range standingSites {
			site := fmt.Sprintf("rival%d.example", i)
			if i == standingSites-1 {
				site = "boltandhasp.example"
			}
			if err := bringLinks(ctx, a, client, site, listOfLinks(standingRows)); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return err
	}
	return with(ctx, db, nil, func(a *app.App) error {
		start := time.Now()
		if _, err := a.Standing.Get(ctx, client); err != nil {
			return err
		}
		first := time.Since(start).Seconds() * 1000
		again, err := median(func() error {
			if _, err := a.Standing.Get(ctx, client); err != nil {
				return err
			}
			_, err := a.Standing.Domains(ctx, client, "get", 0)
			return err
		})
		fmt.Printf("%-52s %6.0f ms first, %.1f ms again (goal: 150)\n",
			fmt.Sprintf("the standing of %d sites of %d links", standingSites, standingRows), first, again)
		return err
	})
}

// listOfLinks returns a list of links as CSV.
func listOfLinks(rows int) []byte {
	var s strings.Builder
	s.WriteString("Source page,Source title,Anchor,Page score,Domain score,First seen,Follow\n")
	for i := range rows {
		fmt.Fprintf(&s,
			"https://site%d.example/blog/post-%d,\"Some words, about doors and a locksmith %d\",anchor,%d,%d,"+
				"20%02d-%02d-01,true\n", i/3, i, i, i%90, i%80, 10+i%15, i%12+1)
	}
	return []byte(s.String())
}

// bringLinks imports a list of links of a site.
func bringLinks(ctx context.Context, a *app.App, client int64, site string, body []byte) error {
	_, err := a.Standing.Keep(ctx, client, site, body, stood.FigureLayout{Kind: "links", Site: site, Source: site,
		Columns: []stood.ColumnCode{"link_page", "link_title", "anchor", "strength_page", "strength_site", "first_seen",
			"followed"}})
	return err
}

// heldMB returns how much memory is held, garbage aside.
func heldMB() uint64 {
	runtime.GC()
	var m runtime.MemStats
	runtime.ReadMemStats(&m)
	return m.HeapAlloc >> 20
}
