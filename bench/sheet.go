package main

import (
	"bytes"
	"context"
	"fmt"
	"io"
	"strings"

	"inktally/internal/app"
	"inktally/internal/fetch"
	"inktally/internal/view"
)

// serving answers every address with one page.
type serving struct{ body []byte }

func (s serving) Get(_ context.Context, r fetch.Request) (fetch.Document, error) {
	body := s.body
	if host, page, _ := strings.Cut(strings.TrimPrefix(r.Address, "http://"), "/"); host == "bench.example" {
		// No two pages of the client are copies of one another.
		body = bytes.ReplaceAll(body, []byte(". "), []byte(". "+strings.ReplaceAll(page, "-", "")+"x "))
	}
	return fetch.Document{URL: r.Address, ContentType: "text/html; charset=utf-8", Body: body}, nil
}

func (s serving) Sheets(context.Context, fetch.Document) map[string]string { return nil }

func (s serving) Sitemaps(context.Context, string) []string { return nil }

func (s serving) Raw(context.Context, string, int) ([]byte, error) { return nil, io.EOF }

// sheetBench compares a sheet of 8 columns in the server with the parsing of
// one of its pages: with the pages at hand, and with all of them read anew
// from the store.
func sheetBench(parse func(), body []byte, phrases []string) error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	open := func() *app.App {
		a, err := app.New(ctx, app.Options{DB: db, Web: serving{body}})
		if err != nil {
			panic(err)
		}
		return a
	}
	a := open()
	client, page, err := measured(ctx, a, phrases)
	if err != nil {
		return err
	}
	sheet := func(a *app.App) {
		s, err := a.Sheet.Get(ctx, client, page)
		if err != nil || len(s.Columns) != 8 || s.Columns[7].Words.Seen == 0 {
			panic(fmt.Sprint("no sheet of 8 columns: ", err))
		}
	}
	report("a sheet of 8 such pages, all at hand", 20, parse, func() { sheet(a) })
	report("  all read anew from the store", 12, parse, func() { sheet(open()) })
	a.Close()
	return nil
}

// measured makes a client with seven rivals and waits for its run.
func measured(ctx context.Context, a *app.App, phrases []string) (client, page int64, err error) {
	g, err := a.Ground.New(ctx, view.Business{Name: "Bench", HomePage: "bench.example", Phrases: phrases,
		Services: []view.Service{{Name: "chimney sweep"}}, Places: []view.Place{{Name: "Tarn Harbor", State: "ME"}}})
	if err != nil {
		return 0, 0, err
	}
	var rivals []string
	for i := range 7 {
		rivals = append(rivals, fmt.Sprintf("rival%d.example", i))
	}
	if _, err := a.Lineup.Paste(ctx, g.ID, strings.Join(rivals, " ")); err != nil {
		return 0, 0, err
	}
	states, end := a.Runs.Watch(g.ID)
	defer end()
	run, err := a.Runs.Measure(ctx, g.ID)
	for err == nil && run.State == "running" {
		run = <-states
	}
	return g.ID, g.Pages[0].ID, err
}
