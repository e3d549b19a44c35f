// Package workbook puts all figures of a client into one workbook, with the evidence that they come from: the plan, the
// pages, phrases, images, searches, and what comes from elsewhere.
//
// In go the use cases of the stops, as their screens show them; out come sheets of rows.
package workbook

import (
	"context"
	"strconv"
	"strings"

	"inktally/internal/app/lineups"
	"inktally/internal/app/phrasebook"
	"inktally/internal/app/sheets"
	"inktally/internal/app/standings"
	"inktally/internal/app/targets"
	"inktally/internal/export"
)

// Workbook makes workbooks.
type Workbook struct {
	Plan     *targets.Plan
	Sheet    *sheets.Sheet
	Book     *phrasebook.Book
	Lineup   *lineups.Lineup
	Standing *standings.Standing
}

// Sheets returns those of a client's workbook; one that would be empty is left out, but for the plan.
func (w *Workbook) Sheets(ctx context.Context, client int64) (out []export.Sheet, err error) {
	for i, make := range []func(context.Context, int64) ([]export.Sheet, error){w.plan, w.pages, w.phrases, w.images,
		w.searches, w.standing, w.links, w.listings, w.profile} {
		made, err := make(ctx, client)
		if err != nil {
			return nil, err
		}
		for _, s := range made {
			if i == 0 || len(s.Rows) > 0 {
				out = append(out, s)
			}
		}
	}
	return out, nil
}

// File writes the workbook of a client as XLSX, and returns the client's name.
func (w *Workbook) File(ctx context.Context, client int64) (xlsx []byte, name string, err error) {
	s, err := w.Plan.Studies.Of(ctx, client)
	if err != nil {
		return nil, "", err
	}
	list, err := w.Sheets(ctx, client)
	if err != nil {
		return nil, "", err
	}
	xlsx, err = export.XLSX(list)
	return xlsx, s.Client.Name, err
}

// sheet is one sheet. columns are titles with their widths in letters, parted by bars.
func sheet(name string, rows [][]any, columns string) []export.Sheet {
	s := export.Sheet{Name: name, Rows: rows}
	for _, c := range strings.Split(columns, " | ") {
		at := strings.LastIndexByte(c, ' ')
		width, _ := strconv.ParseFloat(c[at+1:], 64)
		s.Columns = append(s.Columns, export.Column{Title: c[:at], Width: width})
	}
	return []export.Sheet{s}
}

// orNil returns what a pointer leads to, nil for none.
func orNil[T any](p *T) any {
	if p == nil {
		return nil
	}
	return *p
}

// positive returns a figure, nil for none.
func positive[T int | float64](n T) any {
	if n <= 0 {
		return nil
	}
	return n
}

func yes(b bool) any {
	if b {
		return "yes"
	}
	return nil
}
