package app_test

import (
	"context"
	"strings"
	"testing"

	"inktally/internal/app/documents"
	"inktally/internal/view/told"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func kindsOf(w *told.Walk) (out []string) {
	for _, s := range w.Steps {
		out = append(out, string(s.Kind))
	}
	return out
}

// A client of whom hardly anything is known has a short walk-through that is true, and its file says the same.
func TestWalkOfLittle(t *testing.T) {
	ctx := context.Background()
	a, _ := open(t, &web{})
	b := careful
	b.HomePage = ""
	client, _ := newClient(t, a, b, "")
	w, err := a.Handoff.Walk(ctx, client)
	require.NoError(t, err)
	for _, gone := range []string{"advantages", "images", "search", "rival", "visits", "worth", "links", "standing"} {
		assert.NotContains(t, kindsOf(w), gone)
	}
	assert.Equal(t, "next", kindsOf(w)[len(w.Steps)-1])
	markdown := fileOf(t, a, documents.Ask{Client: client, Kind: documents.WalkThrough, Format: documents.Markdown})
	for _, s := range w.Steps {
		assert.NotEmpty(t, s.Head)
		assert.NotEmpty(t, s.Points)
		for _, p := range s.Points {
			assert.NotContains(t, p, "%!")
			first, _, _ := strings.Cut(p, "“")
			assert.Contains(t, markdown, strings.TrimSpace(first))
		}
	}
	assert.NotContains(t, markdown, "you ,", "a figure that has no other beside it stands alone")
	_, err = a.Handoff.Walk(ctx, client+99)
	assert.Error(t, err)
}

// The walk-through tells what the sheet and the plan have.
func TestWalkOfAPlan(t *testing.T) {
	ctx := context.Background()
	a, _, client, home := planned(t)
	w, err := a.Handoff.Walk(ctx, client)
	require.NoError(t, err)
	assert.Equal(t, home, w.Page)
	assert.Contains(t, kindsOf(w), "recap")
	plan, err := a.Plan.Get(ctx, client)
	require.NoError(t, err)
	markdown := fileOf(t, a, documents.Ask{Client: client, Kind: documents.WalkThrough, Format: documents.Markdown})
	assert.NotContains(t, markdown, "you ,")
	for _, r := range plan.Recap {
		assert.Equal(t, 1, strings.Count(markdown, r.Says), "what is to be done is told once")
	}
	minutes := 0.0
	for _, s := range w.Steps {
		minutes += s.Minutes
		assert.LessOrEqual(t, len(s.Figures), 3)
		if s.Kind == "recap" {
			require.Len(t, s.Lines, len(plan.Recap))
			for i, r := range plan.Recap {
				assert.Equal(t, r.Says, s.Lines[i])
			}
		}
	}
	assert.InDelta(t, minutes, w.Minutes, 1e-9)
}
