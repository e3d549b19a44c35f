package main

import (
	"context"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"time"

	"inktally/core/page"
	"inktally/core/reading"
	"inktally/core/site"
	"inktally/internal/app"
	"inktally/internal/server"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
)

const (
	shelfClients = 300
	shelfPages   = 12
	shelfGoal    = 40 * time.Millisecond
)

// shelfBench compares the shelf of many clients in the server with one parse:
// as it is asked for every time, and after one client's page was read anew.
func shelfBench(parse func()) error {
	ctx := context.Background()
	db, end, err := newStore(ctx)
	if err != nil {
		return err
	}
	defer end()
	a, err := app.New(ctx, app.Options{DB: db, Web: serving{}})
	if err != nil {
		return err
	}
	defer a.Close()
	small, _ := sample(14_000, 40, 10, 20)
	last, err := fillShelf(ctx, db, a, small)
	if err != nil {
		return err
	}
	handler := server.New(a, slog.New(slog.NewTextHandler(io.Discard, nil)), server.Options{})
	shelf := func() {
		answer := httptest.NewRecorder()
		handler.ServeHTTP(answer, httptest.NewRequest(http.MethodGet, "http://127.0.0.1/api/clients", nil))
		if answer.Code != http.StatusOK {
			panic(fmt.Sprint("no shelf: ", answer.Code, answer.Body))
		}
	}
	shelf() // works out the figures of all
	from := used()
	for range 20 {
		shelf()
	}
	fmt.Printf("the shelf of %d clients with %d pages each: %.1f ms (goal: under %v)\n",
		shelfClients, shelfPages, float64((used()-from).Microseconds())/20/1000, shelfGoal)
	report("  beside one parse of 150 KB", 0, parse, shelf)
	report("  after a page of one client was read anew", 0, parse, func() {
		if err := db.Write(ctx, func(tx *store.Tx) error { return keep(tx, last, small) }); err != nil {
			panic(err)
		}
		shelf()
	})
	return nil
}

// fillShelf makes clients whose pages are all read; it returns the last.
func fillShelf(ctx context.Context, db *store.DB, a *app.App, body []byte) (last store.Page, err error) {
	for i := range shelfClients {
		var list []view.Service
		for _, s := range services {
			list = append(list, view.Service{Name: s})
		}
		g, err := a.Ground.New(ctx, view.Business{
			Name: fmt.Sprint("Bench ", i), HomePage: fmt.Sprintf("site%d.example", i), Services: list,
			Phrases: []string{"chimney sweep tarn harbor"}, Places: []view.Place{{Name: "Tarn Harbor", State: "ME"}}})
		if err != nil {
			return last, err
		}
		for n := range shelfPages - 1 {
			draft := view.PageDraft{URL: fmt.Sprintf("http://site%d.example/page-%d", i, n),
				Kind: view.OptionalKind(site.Other)}
			if n < len(services) {
				draft.Kind, draft.Service = view.OptionalKind(site.Service), services[n]
			}
			if _, err := a.Ground.AddPage(ctx, g.ID, draft); err != nil {
				return last, err
			}
		}
		err = db.Write(ctx, func(tx *store.Tx) error {
			pages, err := tx.Pages(g.ID)
			for _, p := range pages {
				if err == nil {
					last, err = p, keep(tx, p, body)
				}
			}
			return err
		})
		if err != nil {
			return last, err
		}
	}
	return last, nil
}

// keep keeps a reading of a page.
func keep(tx *store.Tx, of store.Page, body []byte) error {
	p := page.Read(body, page.Source{URL: of.URL})
	_, err := tx.AddReading(store.Reading{ClientID: of.ClientID, URL: study.ReadingKey(of), FinalURL: of.URL,
		Source:  reading.FromWeb,
		TakenAt: time.Now(), Facts: reading.FactsOf(p)}, body, p.Data())
	return err
}
