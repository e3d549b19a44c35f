package app_test

import (
	"fmt"
	"slices"
	"testing"

	"inktally/core/plan"
	"inktally/internal/view"
	"inktally/internal/wording"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// With searches in the book gains are visits a month, as the worked example of
// rule 12 has them; without, they are shares.
func TestGainsByVisits(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><h1>Welcome</h1><p>" +
		words(500)}}
	a, _ := open(t, w)
	b := careful
	b.HomePage, b.Phrases = "brindle.example", []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep"}
	client, home := newClient(t, a, b, "")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	gains := func() (unit view.GainUnit, title, words float64) {
		list, err := a.Plan.Get(ctx, client)
		require.NoError(t, err)
		list.Targets = slices.DeleteFunc(list.Targets, func(x view.Target) bool {
			return x.Page != fmt.Sprintf("p%d", home) // other services have pages to make
		})
		written := 0
		for _, x := range list.Targets {
			written += x.Words
		}
		for _, p := range partsOf(list, plan.Words) {
			words += p.Gain * 1500 / float64(written)
		}
		return list.Unit, partsOf(list, plan.Title)[0].Gain, words
	}
	unit, title, _ := gains()
	assert.Equal(t, view.GainUnit(wording.Share), unit)
	assert.InDelta(t, 14, title, 1e-9)

	_, err = a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\ntarn harbor chimney "+
			"sweep,220,,\n"), nil, "", "")
	require.NoError(t, err)
	unit, title, write := gains()
	assert.Equal(t, view.GainUnit(wording.Visits), unit)
	assert.InDelta(t, 22.16, title, .005)
	assert.InDelta(t, 158.27*.34, write, .005)
	brief := briefOf(t, a, client, home)
	assert.Contains(t, brief, "about 22 visits a month")
	assert.Contains(t, brief, "Gains are visits a month")
	assert.Regexp(t, `[\d,]+ words now, [\d,]+ wanted: \*\*[\d,]+ words\*\* to write\.`, brief,
		"the figure at the head reads as a sentence")
}

// The home page is measured for the families that the book gives it, and a
// family's gain is the same in the book, on the sheet and on the targets
// (rule 9.1).
func TestOneGain(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><p>" + words(500)}}
	a, _ := open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, home := newClient(t, a, b, "")
	measured(t, a, client)
	_, err := a.Book.ImportList(ctx, client, "x.csv",
		[]byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\n"+
			"chimney cleaning near me,900,30,\nbest chimney sweep tarn harbor,100,,2\nchimney sweep tarn harbor "+
			"maine,50,,\ndryer vent cleaning ostrey,70,,\n"), nil, "", "")
	require.NoError(t, err)
	book, err := a.Book.Get(ctx, client)
	require.NoError(t, err)
	gains := map[string]float64{}
	for _, f := range book.Families {
		if f.PageID == home && f.Under == "" {
			gains[f.Key] = f.RowGain
		}
	}
	s, err := a.Sheet.Get(ctx, client, home)
	require.NoError(t, err)
	assert.Greater(t, len(s.Families), 1, "the book's, not only what was typed")
	onSheet := map[string]float64{}
	for _, f := range s.Families {
		onSheet[f.Key] = f.Gain
	}
	assert.Equal(t, gains, onSheet)
	list, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	assert.InDelta(t, gains[s.Families[0].Key]*.14, partsOf(list, plan.Title)[0].Gain, 1e-9)
}
