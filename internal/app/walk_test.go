package app_test

import (
	"context"
	"strings"
	"testing"

	"inktally/internal/app/documents"
	"inktally/internal/store"
	"inktally/internal/study"
	"inktally/internal/view"
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

// Of whomever hardly anything is known, and whatever they are called, each document is true and short.
func TestDocumentsOfLittle(t *testing.T) {
	a, _ := open(t, &web{})
	for _, name := range []string{"Lowtide", `=cmd|' /C calc'!A0`, `<script>alert(1)</script> ]]> $(reboot)`,
		"\u202egnp.exe 😀 مرحبا", strings.Repeat("Wells ", 50)} {
		for _, b := range []view.Business{{Name: name}, {Name: name, Phrases: sweep.Phrases, Services: sweep.Services,
			Places: sweep.Places}} {
			client, p := newClient(t, a, b, "")
			for _, kind := range documents.Kinds() {
				for _, format := range kind.Formats() {
					if format == documents.PDF {
						_, err := a.Handoff.File(ctx, documents.Ask{Client: client, Kind: kind, Format: format,
							Page: study.PageKey(store.Page{ID: p})})
						fails(t, err, documents.NoPrinter.Code)
						continue
					}
					said := fileOf(t, a, documents.Ask{Client: client, Kind: kind, Format: format,
						Page: study.PageKey(store.Page{ID: p})})
					assert.NotEmpty(t, said)
					if format != documents.DOCX {
						assert.NotRegexp(t, `%!|<nil>|<script>|\x{202E}`, said, "%s %s", kind, format)
					}
				}
			}
		}
	}
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
