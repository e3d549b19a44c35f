package app_test

import (
	"bytes"
	"slices"
	"strconv"
	"testing"

	"inktally/internal/view"
	"inktally/internal/view/stood"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"github.com/xuri/excelize/v2"
)

// The workbook holds what the screens show, figure by figure, and texts of strangers as texts.
func TestWorkbookHoldsTheEvidence(t *testing.T) {
	a, _, id := overPractice(t)
	measured(t, a, id)
	brings(t, a, id, "links.csv", "Linking domain,Page,Title,Anchor\n"+
		"=1+1.example,https://tarnnotes.example/a,\"=HYPERLINK(\"\"x\"\")\",@SUM(A1)\n", func(l *stood.FigureLayout) {
		l.Site = "harborflue.example"
	})
	raw, name, err := a.Workbook.File(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, chimney.Name, name)
	f, err := excelize.OpenReader(bytes.NewReader(raw))
	require.NoError(t, err)
	defer f.Close()
	rows := func(sheet string) (titles []string, out [][]string) {
		all, err := f.GetRows(sheet, excelize.Options{RawCellValue: true})
		require.NoError(t, err, sheet)
		return all[0], all[1:]
	}
	cell := func(titles, row []string, title string) string {
		if at := slices.Index(titles, title); at >= 0 && at < len(row) {
			return row[at]
		}
		return ""
	}

	plan, err := a.Plan.Get(ctx, id)
	require.NoError(t, err)
	titles, list := rows("Plan")
	minutes := map[string]float64{}
	for _, r := range list {
		n, _ := strconv.ParseFloat(cell(titles, r, "minutes"), 64)
		minutes[r[0]] += n
	}
	for i, target := range plan.Targets {
		if len(target.Parts) > 0 {
			sum := 0.0
			for _, p := range target.Parts {
				sum += p.Minutes
			}
			assert.InDelta(t, sum, minutes[strconv.Itoa(i+1)], .01, target.Before)
		}
	}
	overview, err := a.Sheet.Overview(ctx, id)
	require.NoError(t, err)
	titles, list = rows("Pages")
	require.Len(t, list, len(overview.Rows))
	assert.Equal(t, strconv.Itoa(*overview.Rows[0].Words), cell(titles, list[0], "words seen"))
	main, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	_, list = rows("Searches")
	assert.Len(t, list, len(main.Entries))
	book, err := a.Book.Get(ctx, id)
	require.NoError(t, err)
	_, list = rows("Phrases")
	assert.Len(t, list, book.Phrases)

	titles, list = rows("Links")
	require.Len(t, list, 1)
	assert.Equal(t, `=HYPERLINK("x")`, cell(titles, list[0], "its title"))
	assert.Equal(t, "@SUM(A1)", cell(titles, list[0], "link text"))
	for _, s := range f.GetSheetList() {
		for n := range 40 {
			for c := range 12 {
				at, _ := excelize.CoordinatesToCellName(c+1, n+1)
				formula, err := f.GetCellFormula(s, at)
				require.NoError(t, err)
				assert.Empty(t, formula, "%s %s", s, at)
			}
		}
	}
	_, _, err = a.Workbook.File(ctx, id+99)
	assert.Error(t, err)
}

// One of a client of whom nothing is known is a plan without rows.
func TestWorkbookOfNothing(t *testing.T) {
	a, _ := open(t, &web{})
	id, _ := newClient(t, a, view.Business{Name: "Lowtide Upholstery"}, "")
	raw, _, err := a.Workbook.File(ctx, id)
	require.NoError(t, err)
	f, err := excelize.OpenReader(bytes.NewReader(raw))
	require.NoError(t, err)
	assert.Equal(t, "Plan", f.GetSheetName(0))
}
