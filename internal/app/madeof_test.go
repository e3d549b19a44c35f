package app_test

import (
	"testing"

	"inktally/internal/app/sheets"
	"inktally/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What rivals share tells apart what names a service or a place.
func TestMadeOf(t *testing.T) {
	const rival = "<p>A clean flue every winter. Chimney cleaning in Ostrey. Every winter a chimney cleaning in Ostrey."
	w := &web{pages: map[string]string{
		"http://brindle.example/": "<p>Soot and ash. Soot and ash.", "http://one.example/": rival,
		"http://two.example/": rival + " Gold lamp, gold lamp."}}
	a, _ := open(t, w)
	b := careful
	b.HomePage = "brindle.example"
	client, home := newClient(t, a, b, "one.example\ntwo.example")
	_, err := a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	made, err := a.Sheet.MadeOf(ctx, client, home, 0)
	require.NoError(t, err)
	require.Len(t, made.Sequences, 1)
	assert.Equal(t, "soot and ash", made.Sequences[0].Text)
	assert.Equal(t, 2, made.Sequences[0].Count)
	named := map[string]bool{}
	for _, s := range made.Shared {
		assert.Equal(t, 2, s.Rivals)
		assert.True(t, s.Missing)
		named[s.Text] = s.Named
	}
	assert.Equal(t, map[string]bool{"winter": false, "chimney cleaning in Ostrey": true}, named)
	_, err = a.Sheet.MadeOf(ctx, client, home, 999)
	assert.Error(t, err)
	_, err = a.Sheet.MadeOf(ctx, client+9, home, 0)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestEvidenceOfTypedPhrase(t *testing.T) {
	w := &web{pages: map[string]string{"http://brindle.example/": "<p>Chimney sweeps & more. Chimney sweep!"}}
	a, _ := open(t, w)
	client, page := newClient(t, a, sweep, "")
	_, err := a.Sheet.Evidence(ctx, client, page, 0, "x")
	fails(t, err, sheets.PageNotReadYet.Code)
	_, err = a.Runs.Measure(ctx, client)
	require.NoError(t, err)
	ended(t, a, client)
	e, err := a.Sheet.Evidence(ctx, client, page, 0, " chimney  sweep ")
	require.NoError(t, err)
	assert.Equal(t, 1, e.Placement.Exact.Total)
	assert.Equal(t, 1, e.Placement.Loose.Total)
	assert.Equal(t, 2, e.FindInPage)
	_, err = a.Sheet.Evidence(ctx, client, page, 0, "--")
	assert.Error(t, err)
	_, err = a.Sheet.Evidence(ctx, client, page, 77, "x")
	assert.ErrorIs(t, err, store.ErrNotFound)
}
