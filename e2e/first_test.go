package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
)

// The phrase that a page is for is changed where it is read, and taken back; the plan follows.
func TestFirstPhraseOfAPage(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	first := func() string {
		sheet := get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, page))
		return sheet.Families[0].Lead
	}
	const sweep, cleaning = "chimney sweep tarn harbor", "chimney cleaning tarn harbor"
	assert.Equal(t, sweep, first())
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.until(`document.querySelector('[data-cell=phrase][data-column="0"][data-phrase="` + cleaning + `"]')`)
	s.click(`document.querySelector('[data-cell=phrase][data-column="0"][data-phrase="` + sweep + `"]')`)
	s.until(`document.querySelector('.margin [data-document]') && !document.querySelector('[data-first]')`)
	s.click(`document.querySelector('[data-cell=phrase][data-column="0"][data-phrase="` + cleaning + `"]')`)
	s.until(`document.querySelector('[data-first]')?.textContent.includes('are for “` + sweep + `”')`)
	s.press("Make “" + cleaning + "” the first phrase")
	s.until(`!document.querySelector('[data-first]') &&
		document.querySelector('[data-cell=phrase]').dataset.phrase === '` + cleaning + `'`)
	assert.Equal(t, cleaning, first())
	s.press("Undo")
	s.until(`document.querySelector('[data-cell=phrase]').dataset.phrase === '` + sweep + `'`)
	assert.Equal(t, sweep, first())
}

// A heading that is proposed is changed for the client; what cannot be filled in is told and kept as it was typed.
func TestProposedTextIsChanged(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	const questions = `[data-figure="copy.heading.questions"]`
	s.open(fmt.Sprintf("/clients/%d/yardstick", client))
	s.until(`document.querySelector('` + questions + `')`)
	s.until(`!document.querySelector('[data-figure$=".fr"]')`)
	s.click(`document.querySelector('` + questions + ` button')`)
	s.fill(`[name="copy.heading.questions"]`, "Ask {town}")
	s.press("Keep")
	s.sees("{town} cannot be filled in here")
	s.fill(`[name="copy.heading.questions"]`, "You asked")
	s.press("Keep")
	s.until(`document.querySelector('` + questions + ` .num')?.textContent === 'You asked'`)
	s.open(fmt.Sprintf("/clients/%d/outline?page=p%d", client, page))
	s.sees("You asked")
}
