package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
)

const ctrl = 2

// Single keys are for the view only while no control has the focus; they can be switched off.
func TestSingleKeysAreNotForControls(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelector('[data-row]')`)
	at := func() string { return eval[string](s, `location.pathname`) }

	eval[bool](s, `(document.querySelector('[aria-label="Order"] button').focus(), true)`)
	s.keys("1")
	s.keys("m")
	s.until(`document.querySelector('[data-run]')?.dataset.run !== 'running'`)
	assert.Equal(t, fmt.Sprintf("/clients/%d/targets", client), at(), "a button has the focus")
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.keys("1")
	s.until(`location.pathname.endsWith('/ground')`)

	s.keys("?")
	const switched = `document.querySelector('[name=single]')?.checkVisibility()`
	s.until(switched)
	s.sees("Measure: read all pages again")
	s.until(`document.activeElement?.closest('.v-overlay')`) // the focus has come into it
	s.click(`document.querySelector('[name=single]')`)
	s.push("Escape")
	s.until(`!` + switched)
	eval[bool](s, `(document.activeElement.blur(), true)`)
	s.keys("2")
	s.keys("?")
	s.push("k", ctrl)
	s.until(`document.activeElement?.name === 'find'`)
	assert.Equal(t, fmt.Sprintf("/clients/%d/ground", client), at(), "they are switched off")
	assert.False(t, eval[bool](s, `!!`+switched))
}

// The rows of the plan are a grid: arrows move the focus, Enter opens, Space keeps, Delete drops, c changes, w tells
// why. What opens beside them takes the focus and gives it back; Back closes it.
func TestRowsByKeys(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelector('[data-row]')`)
	row := func() string { return eval[string](s, `document.activeElement.dataset.row ?? ''`) }
	s.push("ArrowDown")
	s.until(`document.activeElement.getAttribute('role') === 'row'`)
	first := row()
	s.push("ArrowDown")
	s.push("ArrowDown")
	placing := row()
	assert.NotEqual(t, first, placing)
	s.push("Enter")
	s.until(`document.activeElement.getAttribute('aria-expanded') === 'true'`)
	s.push("Space")
	s.until(`document.activeElement.querySelector('[aria-pressed=true]')`)
	s.push("ArrowDown")
	part := row()
	assert.Contains(t, part, placing+" > ")
	s.keys("c")
	s.until(`document.activeElement.name === 'value'`)
	s.push("Escape")
	s.until(fmt.Sprintf(`document.activeElement.dataset.row === %q`, part))
	s.keys("w")
	s.until(`document.querySelector('[data-why]')?.contains(document.activeElement)`)
	eval[bool](s, `(history.back(), true)`)
	s.until(fmt.Sprintf(`!document.querySelector('[data-why]') && document.activeElement.dataset.row === %q`, part))
	s.push("Home")
	assert.Equal(t, first, row())
	s.until(`document.querySelectorAll('[data-row][tabindex="0"]').length === 1`)
}

// Undo takes back the last change, also where it is pressed before the answer came, and by key when its line is gone.
func TestUndoIsOfTheLastChange(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelector('[data-row]')`)
	states := func() (out []string) {
		for _, x := range get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client)).Targets[:2] {
			out = append(out, string(x.Choice.State))
		}
		return out
	}
	keep := func(n int) string {
		return fmt.Sprintf(`document.querySelectorAll('[data-target]')[%d].querySelector('[title^=Keep]')`, n)
	}
	s.click(keep(0))
	s.until(`document.querySelector('.undo')?.innerText.includes('Kept')`)
	s.slow(400_000_000)
	s.click(keep(1))
	s.push("z", ctrl)
	s.until(keep(0) + `.ariaPressed === 'true' && document.querySelector('.undo')?.innerText.includes('Undone')`)
	assert.Equal(t, []string{"kept", "open"}, states())
	s.click(`document.querySelector('.undo [aria-label=Close]')`)
	s.until(`!document.querySelector('.undo')?.innerText`)
	s.push("z", ctrl)
	s.until(keep(0) + `.ariaPressed !== 'true' && document.querySelector('.undo')?.innerText.includes('Undone')`)
	assert.Equal(t, []string{"open", "open"}, states())
}

// Find knows pages, phrases, clients and what can be done here, by keys alone; the focus goes back to where it was.
func TestFind(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.until(`document.title.includes('Brindle & Ash Chimney') && document.title.includes('Ground')`)
	find := func(words, says string) {
		s.push("k", ctrl)
		s.until(`document.activeElement?.name === 'find'`)
		s.fill("[name=find]", words)
		s.until(fmt.Sprintf(`document.querySelector('[role=option][aria-selected=true]')?.innerText.includes(%q)`, says))
		s.push("Enter")
		s.until(`!document.querySelector('[name=find]')?.checkVisibility()`)
	}
	find("home", "Home")
	s.until(fmt.Sprintf(`location.pathname === '/clients/%d/pages/%d/sheet'`, client, page))
	find("dryer vent cleaning tarn", "dryer vent cleaning tarn harbor")
	s.until(`location.pathname.endsWith('/book') && document.querySelector('[name=words]')?.value.startsWith('dryer vent')`)
	find("lowtide", "Lowtide Upholstery")
	s.until(`document.title.includes('Lowtide Upholstery')`)
	eval[bool](s, `(document.querySelector('.find').focus(), document.querySelector('.find').click(), true)`)
	s.until(`document.activeElement?.name === 'find'`)
	s.fill("[name=find]", "rival by rival") // a command of the targets alone
	s.sees("No matches")
	s.push("Escape")
	s.until(`!document.querySelector('[name=find]')?.checkVisibility() && document.activeElement.classList.contains('find')`)
}
