package practice

import (
	"context"
	"testing"

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
