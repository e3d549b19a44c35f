// Package demo fills an empty store with made-up clients and measures one of
// them over the practice web.
package demo

import (
	"context"
	"errors"
	"fmt"
	"time"

	"inktally/internal/app"
	"inktally/internal/app/runs"
	"inktally/internal/practice"
	"inktally/internal/view"
)

// Seed makes the demo's clients in an empty store and measures the first one. A
// store that has clients is left alone.
func Seed(ctx context.Context, a *app.App) error {
	names, err := a.Shelf.Names(ctx)
	if err != nil || len(names) > 0 {
		return err
	}
	towns, err := practice.Towns()
	if err != nil {
		return err
	}
	if err := a.Ground.AddTowns(ctx, towns); err != nil {
		return err
	}
	if err := beside(ctx, a, lowtide); err != nil {
		return err
	}
	g, err := a.Ground.New(ctx, brindle)
	if err != nil {
		return err
	}
	if _, err := a.Lineup.Record(ctx, g.ID, brindle.Phrases[0]); err != nil {
		return err
	}
	if err := fillBook(ctx, a, g.ID); err != nil {
		return err
	}
	if err := measure(ctx, a, g.ID); err != nil {
		return err
	}
	if err := askFigures(ctx, a, g.ID); err != nil {
		return err
	}
	if _, err := a.Lineup.Record(ctx, g.ID, brindle.Name); err != nil {
		return err
	}
	return beside(ctx, a, fenwick)
}

// askFigures asks for links, listings and map profiles, where there is a source of them.
func askFigures(ctx context.Context, a *app.App, client int64) error {
	if len(a.Standing.Sources) == 0 {
		return nil
	}
	_, err := a.Standing.Ask(ctx, client)
	return err
}

// beside makes one of the other clients: its search is recorded, and its pages are read
// in the background.
func beside(ctx context.Context, a *app.App, b view.Business) error {
	first := b
	first.Phrases = b.Phrases[:1]
	g, err := a.Ground.New(ctx, first)
	if err != nil {
		return err
	}
	if _, err := a.Lineup.Record(ctx, g.ID, b.Phrases[0]); err != nil {
		return err
	}
	if _, err := a.Book.AddPhrases(ctx, g.ID, b.Phrases); err != nil {
		return err
	}
	if _, err := a.Book.AskDemand(ctx, g.ID); err != nil {
		return err
	}
	if err := askFigures(ctx, a, g.ID); err != nil {
		return err
	}
	_, err = a.Runs.Start(ctx, g.ID, runs.What{Pages: true, Sites: true})
	return err
}

// fillBook brings a list of phrases, as a client has one, and asks for their
// searches and for what its site and its rivals' are found for.
func fillBook(ctx context.Context, a *app.App, client int64) error {
	list, err := practice.Phrases()
	if err != nil {
		return err
	}
	if _, err := a.Book.ImportList(ctx, client, "phrases.csv", list, nil, "", ""); err != nil {
		return err
	}
	_, err = a.Book.AskDemand(ctx, client)
	return err
}

var brindle = view.Business{
	Name: "Brindle & Ash Chimney", Trade: "chimney care", Phone: "207-555-0134", HomePage: "brindleandash.example",
	Services: []view.Service{
		{Name: "chimney sweep", Words: []string{"chimney cleaning", "chimney cleaner", "fireplace cleaning"},
			Worth: 240},
		{Name: "chimney inspection", Words: []string{"chimney inspector"}, Worth: 160},
		{Name: "flue liner installation", Words: []string{"chimney liner", "chimney relining"}, Worth: 2600},
		{Name: "masonry repair", Words: []string{"chimney repair", "brick repair", "fireplace repair"}, Worth: 900},
		{Name: "dryer vent cleaning", Words: []string{"dryer duct cleaning"}, Worth: 140},
		{Name: "wood stove installation", Words: []string{"stove installer"}, Worth: 1800},
		{Name: "chimney cap fitting", Words: []string{"chimney cap installation"}, Worth: 320},
	},
	Customers: 4, Money: "$", Address: "12 North Quay Street, Tarn Harbor, ME 04101", OpeningHours: "Mon-Fri 8am-5pm",
	Places: []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true, Spellings: []string{"Tarn Harbour"}},
		{Name: "North Tarn"}, {Name: "Pell Crossing"}, {Name: "Ostrey"},
		{Name: "Quillby"}, {Name: "Hazard Mills"}, {Name: "Wick Island"}},
	Phrases: []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep"},
}

var lowtide = view.Business{
	Name: "Lowtide Upholstery", Trade: "upholstery", Phone: "207-555-0181",
	Services: []view.Service{{Name: "furniture upholstery"}, {Name: "boat cushion upholstery"}},
	Places:   []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}},
	Phrases:  []string{"furniture upholstery tarn harbor", "boat cushions tarn harbor"},
}

var fenwick = view.Business{
	Name: "Fenwick Well & Pump", Trade: "wells and pumps", Phone: "207-555-0186", HomePage: "fenwickwell.example",
	Services: []view.Service{{Name: "well drilling", Words: []string{"well driller", "drilled well"}},
		{Name: "well pump repair", Words: []string{"pump repair"}},
		{Name: "water testing", Words: []string{"well water test"}}},
	Places:  []view.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}, {Name: "Quillby"}},
	Phrases: []string{"well drilling tarn harbor", "well pump repair tarn harbor", "water testing tarn harbor"},
}

// patience bounds the demo's first run.
const patience = 90 * time.Second

// measure reads a client's pages and surveys its site and its rivals' to the end, and once more for what failed the
// first time.
func measure(ctx context.Context, a *app.App, client int64) error {
	ctx, cancel := context.WithTimeout(ctx, patience)
	defer cancel()
	states, end := a.Runs.Watch(client)
	defer end()
	run, err := a.Runs.Start(ctx, client, runs.What{Pages: true, Sites: true})
	if err != nil {
		return err
	}
	for again := true; ; {
		switch {
		case run.State == "running":
		case run.Failed > 0 && again:
			again = false
			if run, err = a.Runs.Resume(ctx, client, run.ID); err != nil {
				return err
			}
		case run.Failed > 0:
			return fmt.Errorf("%d pages or sites of the demo could not be read", run.Failed)
		default:
			return nil
		}
		select {
		case run = <-states:
		case <-ctx.Done():
			return errors.New("the demo's pages took too long to read")
		}
	}
}
