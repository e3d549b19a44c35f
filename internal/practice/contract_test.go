package practice

import (
	"context"
	"testing"

	"inktally/core/brought"
	"inktally/internal/source"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The practice demand keeps it as well.
func TestPracticeDemand(t *testing.T) {
	web, err := Start()
	require.NoError(t, err)
	defer web.Close()
	d := source.Demand{URL: web.DemandURL()}
	known, err := d.Phrases(context.Background(), []string{"Chimney sweep Tarn Harbor", "no such phrase"}, "")
	require.NoError(t, err)
	require.Len(t, known, 1)
	assert.Equal(t, 380, *known[0].Volume)
	assert.Equal(t, 6, *known[0].Difficulty)
	found, err := d.Found(context.Background(), "brindleandash.example")
	require.NoError(t, err)
	assert.Equal(t, 14, *found[0].Position)
}

// The practice links and listings keep theirs: two makes, the state of a month ago and that of today.
func TestPracticeFigures(t *testing.T) {
	web, err := Start()
	require.NoError(t, err)
	defer web.Close()
	kinds := map[string]int{}
	for _, of := range web.Figures() {
		list, err := of.Tables(context.Background(), "brindleandash.example", "Brindle & Ash Chimney")
		require.NoError(t, err)
		for _, table := range list {
			kinds[string(brought.Guess(table.Rows).Kind)]++
			assert.NotEmpty(t, table.Source)
		}
		list, err = of.Tables(context.Background(), "nobody.example", "Nobody")
		require.NoError(t, err)
		assert.Empty(t, list)
	}
	assert.Equal(t, map[string]int{"totals": 2, "links": 2, "listings": 2, "profiles": 2}, kinds)
}
