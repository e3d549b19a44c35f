package main

import (
	"context"
	"fmt"
	"time"

	"inktally/core/stats"
	"inktally/internal/app"
	"inktally/internal/app/documents"
)

// handoffBench writes documents of a large client with all of it at hand.
func handoffBench(ctx context.Context, a *app.App, client int64, home string) error {
	for _, of := range []struct {
		name string
		ask  documents.Ask
		goal int
	}{
		{"  a pencilled page", documents.Ask{Kind: documents.Pencilled, Page: home, Format: documents.HTML}, 300},
		{"  the briefs of all pages as DOCX", documents.Ask{Kind: documents.AllBriefs, Format: documents.DOCX}, 1500},
		{"  the owner's plan as DOCX", documents.Ask{Kind: documents.OwnersPlan, Format: documents.DOCX}, 0},
	} {
		of.ask.Client = client
		bytes := 0
		ms, err := median(func() error {
			made, err := a.Handoff.File(ctx, of.ask)
			if err == nil {
				bytes = len(made.Body)
			}
			return err
		})
		if err != nil {
			return err
		}
		goal := ""
		if of.goal > 0 {
			goal = fmt.Sprintf(" (goal: under %d)", of.goal)
		}
		fmt.Printf("%-52s %6.0f ms%s, %d kB\n", of.name, ms, goal, bytes>>10)
	}
	ms, err := median(func() error {
		_, err := a.Handoff.Walk(ctx, client)
		return err
	})
	fmt.Printf("%-52s %6.0f ms\n", "  the walk-through", ms)
	return err
}

// median returns the milliseconds that work takes.
func median(work func() error) (float64, error) {
	var times []float64
	for range 9 {
		start := time.Now()
		if err := work(); err != nil {
			return 0, err
		}
		times = append(times, time.Since(start).Seconds()*1000)
	}
	return stats.Median(times), nil
}
