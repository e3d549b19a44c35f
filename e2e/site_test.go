package e2e

import (
	"fmt"
	"path/filepath"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// An address alone is enough: its site is surveyed, its pages stand in the tree with what
// is missing in pencil, a page is planned, measured against the rivals' own, and pointed to
// another one.
func TestSite(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/site", client))
	s.until(`document.querySelectorAll('[data-page]').length === 7`)
	s.sees("Surveyed today")
	s.sees("Ostrey in the image")
	s.until(`document.querySelector('[data-kind=area] [data-make]')`)
	s.click(`document.querySelector('[data-rival="harborflue.example"] button')`)
	s.sees("Wood Stove Installation Tarn Harbor")

	services := get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Pages
	s.press("Survey again")
	s.until(`document.querySelector('[data-run=done]')?.innerText.startsWith('5 sites surveyed')`) // no pages before
	assert.Len(t, get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Pages, len(services),
		"the same pages as before")

	s.open(fmt.Sprintf("/clients/%d/sheet", client))
	s.until(`document.querySelector('[data-row="Masonry repair"]')`)
	assert.Equal(t, "Home", eval[string](s, `document.querySelector('[data-row]').dataset.row`),
		"what most is missing of comes first")
	s.until(`document.querySelector('[data-row="Masonry repair"]').textContent.includes('2 of 4 rivals have one')`)
	s.click(`document.querySelector('[data-row="Masonry repair"] th button')`)
	s.until(`location.pathname.match(/pages\/\d+\/sheet/) && document.querySelectorAll('[data-cell=seen]').length > 1`)
	page := eval[int](s, `+location.pathname.split('/')[4]`)
	sheet := func() view.Sheet {
		return get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, page))
	}
	before := sheet()
	require.Len(t, before.Columns, 5)
	assert.Equal(t, "http://oldsaltbox.example/masonry-repair.htm", before.Columns[2].URL)
	assert.True(t, before.Columns[4].None)

	s.click(`document.querySelectorAll('.beside')[1]`)
	s.until(`document.querySelector('[data-beside]')`)
	s.press("It has no such page")
	s.sees("You said that it has no such page")
	assert.True(t, sheet().Columns[2].None)
	s.press("Undo")
	s.until(`document.querySelector('[data-beside] .now a')`)
	assert.Equal(t, before.Columns[2].URL, sheet().Columns[2].URL)
	s.fill("[name=beside_address]", "oldsaltbox.example/stone.htm")
	s.press("Use")
	s.sees("chosen by you")
	assert.Equal(t, "http://oldsaltbox.example/stone.htm", sheet().Columns[2].URL)
}

// A page that is made one for a town asks for which: nothing is set until a person says so.
func TestKindAsksForItsTown(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/site", client))
	s.until(`document.querySelectorAll('[data-page]').length === 7`)
	kindOf := func(address string) (string, string) {
		for _, page := range get[view.Ground](t, p, fmt.Sprintf("/api/clients/%d", client)).Pages {
			if page.URL == address {
				return string(page.Kind), page.Place
			}
		}
		return "", ""
	}
	const gallery = "http://brindleandash.example/gallery.html"
	row := `[...document.querySelectorAll('[data-page]')].find((r) => r.innerText.includes('/gallery.html'))`
	choose := func(label, value string) {
		s.until(fmt.Sprintf(`%s?.querySelector('select[aria-label="%s"]')`, row, label))
		eval[bool](s, fmt.Sprintf(`(() => { const at = %s.querySelector('select[aria-label="%s"]'); at.value = %q;
			at.dispatchEvent(new Event('change')); return true })()`, row, label, value))
	}
	choose("Kind of Gallery", "area")
	s.until(row + `.querySelector('select[aria-label="Which town?"]')`)
	kind, _ := kindOf(gallery)
	assert.Equal(t, "gallery", kind, "nothing is set yet")
	choose("Which town?", "Quillby")
	s.sees("Saved")
	kind, place := kindOf(gallery)
	assert.Equal(t, []string{"area", "Quillby"}, []string{kind, place})
	s.press("Undo")
	s.until(row + `.innerText.includes('gallery')`)
}
