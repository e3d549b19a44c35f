package app_test

import (
	"testing"

	"inktally/core/target"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// With searches in the book gains are visits a month, as the worked example of
// MEASURES 12 has them; without, they are shares.
func TestGainsByVisits(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<title>Home</title><h1>Welcome</h1><p>" + words(500)}}
	a, _ := open(t, w)
	b := careful
	b.HomePage, b.Phrases = "brindle.example", []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep"}
	client, home := newClient(t, a, b, "")
	_, err := a.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	gains := func() (unit string, title, words float64) {
		list, err := a.Targets(ctx, client, home)
		require.NoError(t, err)
		for _, x := range list.Targets {
			switch x.Subject {
			case target.AboutTitle:
				title = x.Gain
			case target.AboutWords:
				words = x.Gain * 1500 / float64(x.Words.ToWrite)
			}
		}
		return list.Unit, title, words
	}
	unit, title, _ := gains()
	assert.Equal(t, "share", unit)
	assert.InDelta(t, 20, title, 1e-9)

	_, err = a.ImportList(ctx, client, "x.csv", []byte("phrase,searches,difficulty,position\nchimney sweep tarn harbor,380,6,14\ntarn harbor chimney sweep,220,,\n"), nil, "")
	require.NoError(t, err)
	unit, title, write := gains()
	assert.Equal(t, "visits", unit)
	assert.InDelta(t, 28.71, title, .005)
	assert.InDelta(t, 143.57*.26, write, .005)
	brief, err := a.Brief(ctx, client, home)
	require.NoError(t, err)
	assert.Contains(t, brief.Markdown(), "about 29 visits a month")
	assert.Contains(t, brief.Markdown(), "Gains are visits a month")
}
