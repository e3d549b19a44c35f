package e2e

import (
	"fmt"
	"path/filepath"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A key says what a site is, Alt with an arrow moves an entry, rows are typed, searches
// stay beside one another.
func TestLineupByHand(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	shown := func(id int) view.Lineup {
		return get[view.Lineup](t, p, fmt.Sprintf("/api/clients/%d/lineup?lineup=%d", client, id))
	}
	s.open(fmt.Sprintf("/clients/%d/lineup", client))
	row := func(name string) string { return fmt.Sprintf(`document.querySelector('[data-entry=%q]')`, name) }
	s.until(row("Lantern Street Sweeps"))
	s.sees("client at 14 of 20")
	s.until(row("Hearthway National: Tarn Harbor") + `.dataset.kind === 'chain'`)
	eval[bool](s, fmt.Sprintf(`(%s.focus(), true)`, row("Lantern Street Sweeps")))
	s.keys("d")
	s.until(row("Lantern Street Sweeps") + `?.dataset.kind === 'directory'`)
	s.until(`document.querySelector('[data-site-kinds] li')`)
	s.press("Undo")
	s.until(row("Lantern Street Sweeps") + `?.dataset.kind === 'business'`)
	s.press("Forget")
	s.until(`!document.querySelector('[data-site-kinds] li')`)

	eval[bool](s, fmt.Sprintf(`(%s.focus(), true)`, row("Lantern Street Sweeps")))
	s.push("ArrowDown")
	next := eval[string](s, `document.activeElement.closest('[role=row]').dataset.entry`)
	assert.NotEqual(t, "Lantern Street Sweeps", next)
	s.push("ArrowUp")
	taken := row("Lantern Street Sweeps") + `.getAttribute('aria-selected')`
	was := eval[string](s, taken)
	s.push("Space")
	s.until(fmt.Sprintf("%s !== %q", taken, was))
	s.until(`document.activeElement.dataset.entry === 'Lantern Street Sweeps'`)
	s.push("Space")
	s.until(fmt.Sprintf("%s === %q", taken, was))
	assert.Equal(t, 1, eval[int](s, `document.querySelectorAll('[data-entry][tabindex="0"]').length`),
		"one stop for Tab")

	organic := func() (names []string) {
		for _, e := range shown(0).Entries {
			if e.Part == "organic" {
				names = append(names, e.Name)
			}
		}
		return names
	}
	before := organic()
	eval[bool](s,
		fmt.Sprintf(
			`%s.dispatchEvent(new KeyboardEvent('keydown', {key: 'ArrowUp', altKey: true, bubbles: true,
 cancelable: true})) || true`, row("Lantern Street Sweeps")))
	s.sees("Lantern Street Sweeps moved to 2")
	assert.Equal(t, before[2], organic()[1])
	s.press("Undo")
	s.until(fmt.Sprintf(`%s.querySelector('[data-place]').textContent === '3'`, row("Lantern Street Sweeps")))
	assert.Equal(t, before, organic(), "all stand where they stood")

	s.press("Search again")
	s.until(`document.querySelector('[data-history]') && location.search.includes('lineup=')`)
	id := eval[int](s, `+new URLSearchParams(location.search).get('lineup')`)
	require.Len(t, shown(0).Recorded, 3)
	s.press("Type rows")
	s.fill("[name=typed_name]", "Quillby Sweeps")
	s.fill("[name=typed_url]", "quillbysweeps.example")
	s.press("Add row")
	s.until(row("Quillby Sweeps"))
	entries := shown(id).Entries
	assert.Equal(t, 15, entries[len(entries)-1].Position, "behind the last one")
	s.press("Delete this search")
	s.until(`!location.search && !document.querySelector('[data-history]')`)
}
