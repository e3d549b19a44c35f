package e2e

import (
	"fmt"
	"net/http"
	"strings"
	"testing"
	"time"

	"inktally/internal/view"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The plan: a figure is explained, a target of one's own is added and removed, all by keys,
// and undone; orders and one page are shown; rivals are compared.
func TestPlan(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelector('[data-cut]')`)
	plan := get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client))
	assert.True(t, plan.Targets[0].First)

	// By keys: down to the first placing, opened, explained, dropped, undone.
	at := 0
	for plan.Targets[at].Kind != "placing" {
		at++
	}
	for range at + 1 {
		s.push("ArrowDown")
	}
	id := plan.Targets[at].ID
	row := fmt.Sprintf(`document.querySelector('[data-target=%q]')`, id)
	s.until(row + ` === document.activeElement`)
	s.keys("w")
	s.until(`document.querySelector('[data-why]')`)
	s.sees("Gain per hour, which sets the order")
	s.push("Escape")
	s.until(`!document.querySelector('[data-why]') && ` + row + ` === document.activeElement`)
	s.push("Delete")
	s.until(`!` + row)
	s.press("Show dropped")
	s.until(row + `.classList.contains('dropped')`)
	s.press("Undo")
	s.until(`!` + row + `.classList.contains('dropped')`)
	eval[bool](s, `(`+row+`.focus(), true)`)
	s.keys("w")

	// A figure changed in place: its effect is seen before it is kept.
	s.until(`document.querySelector('[data-figure="weight.title"]')`)
	s.click(`document.querySelector('[data-figure="weight.title"]')`)
	s.fill(`[name="weight.title"]`, "20")
	s.sees("The weights add up to 106, not 100.")
	s.press("Cancel")
	s.click(`document.querySelector('[data-figure="visits.others"]')`)
	s.fill(`[name="visits.others"]`, "0.25")
	s.until(`document.querySelector('[data-effect]')?.innerText.includes('would change')`)
	assert.Equal(t, "0.5", figure(t, p, client, "visits.others"), "it is not kept yet")
	s.press("Keep")
	s.until(`!document.querySelector('[data-effect]')`)
	assert.Equal(t, "0.25", figure(t, p, client, "visits.others"))
	s.press("Undo")
	require.Eventually(t, func() bool {
		return figure(t, p, client, "visits.others") == "0.5"
	}, 90*time.Second, 50*time.Millisecond)

	s.click(`document.querySelector('[aria-label=Close]')`)
	s.press("New target")
	s.fill("[name=own-text]", "Ask the owner for a photo of the crew")
	s.press("Add")
	s.sees("Ask the owner for a photo of the crew")
	s.click(`[...document.querySelectorAll('[data-kind=by_hand] button')].find(b => b.textContent.includes('Remove'))`)
	s.until(`!document.querySelector('[data-kind=by_hand]')`)
	s.press("By kind of work")
	s.sees("Phrases and headings")
	s.press("By page")
	s.until(`[...document.querySelectorAll('h2')].some(h => h.innerText === 'Masonry repair')`)
	s.press("Rival by rival")
	s.until(`document.querySelector('[data-rung="Old Saltbox Masonry"]')`)
	s.sees("to lead on everything that pages can change")
	s.open(fmt.Sprintf("/clients/%d/targets?page=%s", client, "service:%20masonry%20repair"))
	s.until(`document.querySelector('[data-kind=new_page]') && !document.querySelector('[data-kind=redirect]')`)
}

// figure returns the value of a figure of a client.
func figure(t *testing.T, p *program, client int64, key string) string {
	for _, f := range get[[]view.Figure](t, p, fmt.Sprintf("/api/clients/%d/yardstick", client)) {
		if f.Key == key {
			return f.Value
		}
	}
	return ""
}

// An outline is renamed, given other words, moved by keys, and brought back.
func TestOutline(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	path := fmt.Sprintf("/api/clients/%d/plan/outline?page=p%d", client, page)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/outline?page=p%d", client, page))
	s.until(`document.querySelector('[data-section=towns]')`)
	s.click(`document.querySelector('[data-section=towns] .heading')`)
	s.fill("[name=heading]", "Where we sweep")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.until(`document.querySelector('[data-section=towns]').innerText.includes('Where we sweep')`)
	s.fill("[data-section=towns] [name=words]", "300")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.until(`document.querySelector('[data-section=towns] [name=words]').classList.contains('set')`)
	outline := get[view.Outline](t, p, path)
	sum := 0
	for _, x := range outline.Sections {
		sum += x.Words
	}
	assert.Equal(t, 1455, sum, "the others make up for it")
	eval[bool](s, `(document.querySelector('[data-section=towns] .grip').focus(), true)`)
	for _, kind := range []input.DispatchKeyEventType{"keyDown", "keyUp"} {
		_, err := chromedp.Call(s.ctx, input.DispatchKeyEvent,
			input.DispatchKeyEventParams{Type: kind, Key: "ArrowUp", Code: "ArrowUp", WindowsVirtualKeyCode: 38,
				Modifiers: 1})
		require.NoError(t, err)
	}
	s.until(`[...document.querySelectorAll('[data-section]')].map(x => x.dataset.section).indexOf('towns') === 8`)
	s.press("Back to the rules")
	s.until(`!document.querySelector('[data-section=towns] [name=words]').classList.contains('set')`)
	assert.Empty(t, get[view.Outline](t, p, path).Edits.Sections)
}

// A draft is measured as it is typed; image names are written by hand and saved.
func TestDraftAndImages(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/draft?page=p%d", client, page))
	s.fill("[name=draft]",
		"# Chimney sweep Tarn Harbor\n\nWe are the chimney sweep Tarn Harbor knows, and the towns nearby.")
	s.until(`document.querySelector('[data-met^="h1:"]')`)
	s.sees("instead of names")
	s.fill("[name=draft]", "# Chimney sweep Tarn Harbor\n\nChimney sweep Tarn Harbor. "+strings.Repeat("word ", 2000))
	s.until(`document.querySelector('[data-left]')?.innerText.includes('enough')`)

	// Kept, it is a column of the page's sheet; removed, it comes back by Undo.
	s.press("Save draft")
	s.until(`document.querySelector('[data-draft]')`)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.until(`document.querySelector('thead .draft')?.innerText.includes('not live')`)
	s.until(`document.querySelector('td.draft [data-cell=seen]')?.dataset.figure > 2000`)
	s.open(fmt.Sprintf("/clients/%d/draft?page=p%d", client, page))
	s.until(`document.querySelector('[data-draft]')`)
	s.press("Remove")
	s.until(`!document.querySelector('[data-draft]')`)
	s.press("Undo")
	s.until(`document.querySelector('[data-draft]')`)
	s.fill("[name=draft]", "")
	s.press("Open")
	s.until(`document.querySelector('[name=draft]').value.startsWith('# Chimney sweep')`)

	s.open(fmt.Sprintf("/clients/%d/images", client))
	s.until(`document.querySelector('[data-image="IMG_2041.jpg"]')`)
	s.fill(`[data-image="IMG_2041.jpg"] [name=new-name]`, "our van; rm.jpg")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.sees("is no image name")
	s.fill(`[data-image="IMG_2041.jpg"] [name=new-name]`, "sweep-at-work-tarn-harbor.jpg")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.sees("Name: sweep-at-work-tarn-harbor.jpg")
	s.press("Undo")
	require.Eventually(t, func() bool {
		for _, r := range get[view.ImageNames](t, p, fmt.Sprintf("/api/clients/%d/plan/images", client)).Rows {
			if r.Now == "IMG_2041.jpg" {
				return !r.Changed
			}
		}
		return false
	}, 90*time.Second, 50*time.Millisecond)
	require.Equal(t, http.StatusOK, send(t, p, http.MethodGet, fmt.Sprintf("/api/clients/%d/plan/rename.sh", client),
		nil))
}
