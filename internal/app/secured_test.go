package app_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"inktally/internal/view"
)

// A site that was typed without a scheme is tried by https, then by http; one that was typed with one is left.
func TestSiteTypedBare(t *testing.T) {
	a, _ := open(t, &web{pages: map[string]string{
		"https://safe.example/":   "<h1>Safe</h1>",
		"http://safe.example/":    "<h1>Safe</h1>",
		"http://plain.example/":   "<h1>Plain</h1>",
		"https://closed.example/": "<h1>Closed to http</h1>",
	}})
	for typed, want := range map[string]string{
		"safe.example": "https://safe.example/", "plain.example": "http://plain.example/",
		"closed.example": "https://closed.example/", "http://safe.example": "http://safe.example/",
		"nowhere.example": "http://nowhere.example/", "": "",
	} {
		g, err := a.Ground.New(ctx, view.Business{Name: "Brindle", HomePage: typed})
		require.NoError(t, err)
		assert.Equal(t, want, g.HomePage, typed)
		g.Business.Trade, g.Business.HomePage = "chimneys", typed
		saved, err := a.Ground.Save(ctx, g.ID, g.Business, nil)
		require.NoError(t, err)
		assert.Equal(t, want, saved.HomePage, typed)
	}
}
