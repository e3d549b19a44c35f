package e2e

import (
	"bytes"
	"fmt"
	"image"
	"image/png"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/internal/view"
	"inktally/internal/view/stood"
	"inktally/internal/view/told"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The walk-through is told by keys from the first step to the last, and back; a figure that is pressed opens its
// proof, and Back comes back to the step.
func TestWalkThrough(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	walk := get[told.Walk](t, p, fmt.Sprintf("/api/clients/%d/walk", client))
	require.GreaterOrEqual(t, len(walk.Steps), 9)
	assert.Greater(t, walk.Minutes, 5.0)
	assert.Less(t, walk.Minutes, 10.0)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/hand-off", client, page))
	s.press("Walk-through")
	for i, step := range walk.Steps {
		if i > 0 {
			s.push("ArrowRight")
		}
		s.until(fmt.Sprintf(`document.querySelector('[data-step=%q] h1')`, step.Kind))
		assert.Equal(t, step.Head, eval[string](s, `document.querySelector('h1').textContent`))
		assert.Equal(t, strings.Join(step.Points, ""),
			eval[string](s, `[...document.querySelectorAll('[data-points] li')].map(l => l.textContent).join('')`))
	}
	s.push("ArrowRight")
	s.until(`document.querySelector('[data-step=next]')`)
	s.push("Home")
	s.until(fmt.Sprintf(`document.querySelector('[data-step=%q]')`, walk.Steps[0].Kind))
	s.until(`/^\d+:\d\d$/.test(document.querySelector('[data-clock]').textContent.trim())`)
	s.keys("t")
	s.until(`!document.querySelector('[data-points]')`)
	s.keys("t")
	s.until(`document.querySelector('[data-points]')`)

	s.click(`[...document.querySelectorAll('[data-figures] button')].find(b => b.textContent.includes('1,726'))`)
	s.until(`location.pathname.endsWith('/sheet') && location.search.includes('column=1')`)
	s.sees("Harbor Flue & Hearth")
	eval[bool](s, `(history.back(), true)`)
	s.until(fmt.Sprintf(`document.querySelector('[data-step=%q]')`, walk.Steps[0].Kind))
	s.push("Escape")
	s.until(`location.pathname.endsWith('/hand-off')`)
	s.press("Message")
	s.until(`document.querySelector('[data-message]')`)
	assert.LessOrEqual(t, len(strings.Fields(walk.Message)), 150)
	assert.Equal(t, walk.Message, eval[string](s, `document.querySelector('[data-message] p').textContent`))
}

// Every figure of a step is that of the view that proves it.
func TestWalkFiguresAreProved(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	api := fmt.Sprintf("/api/clients/%d", client)
	walk := get[told.Walk](t, p, api+"/walk")
	sheet := get[view.Sheet](t, p, fmt.Sprintf("%s/pages/%d/sheet", api, page))
	found := get[told.Found](t, p, api+"/found")
	plan := get[view.Plan](t, p, api+"/plan")
	lineup := get[view.Lineup](t, p, api+"/lineup")
	rungs := get[told.Ladder](t, p, api+"/plan/ladder")
	evidence := func(column int) int {
		address := fmt.Sprintf("%s/pages/%d/evidence?entry=%d&phrase=chimney%%20sweep%%20tarn%%20harbor", api, page,
			sheet.Columns[column].EntryID)
		return get[view.Evidence](t, p, address).FindInPage
	}
	images := func(column int) (n int) {
		for _, i := range sheet.Columns[column].Images {
			if i.Verdict == "carries" {
				n++
			}
		}
		return n
	}
	best := 0.0
	for _, site := range found.Sites {
		if site.Role == "rival" && site.Sums != nil {
			best = max(best, site.Sums.Hire)
		}
	}
	fronts := map[string]float64{}
	for _, step := range rungs.Rungs[0].Steps {
		if step.Own != nil && step.Theirs != nil && string(step.Front) == string(rungs.Rungs[0].Reason.Fronts[0]) {
			fronts["own_front"], fronts["best_front"] = *step.Own, *step.Theirs
		}
	}
	standing := get[stood.Standing](t, p, api+"/standing")
	// Of reviews and links the best of any rival, as the leaf Standing has them.
	elsewhere := func(row string, own bool) (most float64) {
		for _, g := range standing.Groups {
			for _, r := range g.Rows {
				for i, c := range r.Cells {
					if r.Key == row && c.Value != nil && own == (i == 0) && !standing.Sites[i].Chain {
						most = max(most, *c.Value)
					}
				}
			}
		}
		return most
	}
	rows := map[told.StepKind]string{"standing": "reviews site ", "links": "referring_domains site "}
	proved, now := 0, found.Sites[0].Sums.Worth
	for _, step := range walk.Steps {
		for _, f := range step.Figures {
			want := map[string]func() float64{
				"own_words":    func() float64 { return float64(sheet.Columns[f.Column].Words.Seen) },
				"best_words":   func() float64 { return float64(sheet.Columns[f.Column].Words.Seen) },
				"wanted_words": func() float64 { return float64(sheet.Target.Words.Target) },
				"own_phrase":   func() float64 { return float64(evidence(f.Column)) },
				"best_phrase":  func() float64 { return float64(evidence(f.Column)) },
				"own_images":   func() float64 { return float64(images(f.Column)) },
				"best_images":  func() float64 { return float64(images(f.Column)) },
				"own_organic": func() float64 {
					for _, e := range lineup.Entries {
						if e.Kind == "client" && e.Part == "organic" {
							return float64(e.Position)
						}
					}
					return 0
				},
				"own_map": func() float64 { return 0 },
				"free_places": func() (n float64) {
					for _, e := range lineup.Entries {
						if e.Open {
							n++
						}
					}
					return n
				},
				"own_front": func() float64 {
					if row := rows[step.Kind]; row != "" {
						return elsewhere(row, true)
					}
					return fronts["own_front"]
				},
				"best_front": func() float64 {
					if row := rows[step.Kind]; row != "" {
						return elsewhere(row, false)
					}
					return fronts["best_front"]
				},
				"own_visits":   func() float64 { return found.Sites[0].Sums.Hire },
				"best_visits":  func() float64 { return best },
				"aimed_visits": func() float64 { return *found.Aimed },
				"hours":        func() float64 { return plan.Hours },
				"fit":          func() float64 { return float64(plan.Fit) },
				"open":         func() float64 { return float64(plan.Open) },
				"new_pages": func() (n float64) {
					for _, x := range plan.Targets {
						if x.Kind == "new_page" {
							n++
						}
					}
					return n
				},
				"customers":  func() float64 { return found.AimedWorth.Customers - now.Customers },
				"most_money": func() float64 { return found.AimedWorth.Most - now.Most },
			}[f.Of]
			if want == nil {
				continue
			}
			proved++
			assert.InDelta(t, want(), f.Value, 1e-6, "%s of %s", f.Of, step.Kind)
		}
	}
	assert.GreaterOrEqual(t, proved, 18)
}

// The talking points stand in a window of their own, which follows the walk-through and moves it.
func TestTalkingPointsFollow(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	walk := get[told.Walk](t, p, fmt.Sprintf("/api/clients/%d/walk", client))
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/walk?step=%s", client, walk.Steps[2].Kind))
	s.until(`document.querySelector('[data-points]')`)
	eval[bool](s, fmt.Sprintf(`!!(window.points = window.open('/clients/%d/walk/points', 'points'))`, client))
	inside := func(js string) string { return `window.points.document?.querySelector(` + js + `)` }
	s.until(inside(`'[data-talking] h1'`) + fmt.Sprintf(`?.textContent === %q`, walk.Steps[2].Head))
	s.push("ArrowRight")
	s.until(inside(`'[data-talking] h1'`) + fmt.Sprintf(`?.textContent === %q`, walk.Steps[3].Head))
	eval[bool](s, `(window.points.dispatchEvent(new KeyboardEvent('keydown', {key: 'ArrowLeft'})), true)`)
	s.until(fmt.Sprintf(`document.querySelector('[data-step=%q]')`, walk.Steps[2].Kind))
}

// What is said is changed, steps are moved, left out and added with a picture; the address and the files follow.
func TestWalkIsChanged(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	api := fmt.Sprintf("/api/clients/%d/walk", client)
	made := get[told.Walk](t, p, api)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/walk", client))
	s.sees(strings.Split(made.Steps[0].Head, "\n")[0])
	s.keys("e")
	s.until(`document.querySelector('[data-step-editor]')`)
	s.fill("[name=head]", "Two pages, side by side")
	s.press("Save")
	s.until(`document.querySelector('h1').textContent === 'Two pages, side by side'`)
	s.press("Add a step after it")
	s.until(`document.querySelector('h1').textContent === 'A step of your own'`)
	picture := filepath.Join(t.TempDir(), "van.png")
	var drawn bytes.Buffer
	require.NoError(t, png.Encode(&drawn, image.NewGray(image.Rect(0, 0, 60, 40))))
	require.NoError(t, os.WriteFile(picture, drawn.Bytes(), 0o600))
	require.NoError(t, chromedp.Do(s.ctx, chromedp.SetUploadFiles(chromedp.CSS("[name=picture]"), []string{picture})))
	s.until(`document.querySelector('img.picture')?.naturalWidth === 60`)
	s.press("Earlier")
	s.until(`document.querySelector('footer').textContent.includes('1 of')`)
	s.press("Leave this step out")
	s.until(`document.querySelector('h1').textContent === 'Two pages, side by side'`)
	s.press("Bring back")
	s.until(`document.querySelector('img.picture')`)
	s.push("Escape")
	s.until(`!document.querySelector('[data-step-editor]')`)
	now := get[told.Walk](t, p, api)
	assert.Equal(t, "own", string(now.Steps[0].Kind))
	assert.Equal(t, "Two pages, side by side", now.Steps[1].Head)
	said := readBack(t, "md", file(t, p, client, "walk", "md", ""))
	assert.Contains(t, said, "Two pages, side by side")
}
