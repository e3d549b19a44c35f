package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// cell is a figure of the sheet that opens its evidence.
type cell struct {
	Cell   string `json:"cell"`
	Column int    `json:"column"`
	Phrase string `json:"phrase"`
	Figure int    `json:"figure"`
	Slots  string `json:"slots"`
}

// The evidence adds up: what stands in the margin's document, counted here
// once more, is the figure of the cell. For every cell of the demo's sheet.
func TestEvidenceAddsUp(t *testing.T) {
	p := demo(t)
	client, page := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/pages/%d/sheet", client, page))
	s.until(`document.querySelectorAll('[data-cell=seen]').length === 5`)
	cells := eval[[]cell](s, `[...document.querySelectorAll('[data-cell]')].map(c => ({
		cell: c.dataset.cell, column: +c.dataset.column, phrase: c.dataset.phrase ?? '', figure: +c.dataset.figure,
		slots: c.querySelector('svg')?.getAttribute('aria-label') ?? ''}))`)
	families := len(get[view.Sheet](t, p, fmt.Sprintf("/api/clients/%d/pages/%d/sheet", client, page)).Families)
	require.GreaterOrEqual(t, families, 4)
	// 4 rows of words, the families, headings, two rows of images; 5 columns.
	require.Len(t, cells, 5*(4+families+1+2))
	for _, c := range cells {
		name := fmt.Sprintf("%s %s in column %d", c.Cell, c.Phrase, c.Column)
		show := c.Cell
		switch show {
		case "alts":
			show = "images"
		case "own":
			show = "copy"
		}
		s.click(fmt.Sprintf(`document.querySelector('[data-cell=%q][data-column="%d"]%s')`,
			c.Cell, c.Column, phraseSelector(c.Phrase)))
		s.until(fmt.Sprintf(`document.querySelector('.margin[data-what=%q][data-column="%d"] [data-document]') && %s`,
			show, c.Column, markedWith(c.Phrase)))
		if c.Cell == "own" { // the copy without what the site repeats
			assert.LessOrEqual(t, c.Figure, eval[int](s, counts["copy"]), name)
			continue
		}
		assert.Equal(t, c.Figure, eval[int](s, counts[c.Cell]), name)
		if c.Cell == "phrase" {
			assert.Equal(t, c.Slots, eval[string](s, slotsOfMarks), name)
		}
	}
}

func phraseSelector(phrase string) string {
	if phrase == "" {
		return ""
	}
	return fmt.Sprintf("[data-phrase=%q]", phrase)
}

// markedWith waits until the evidence shown is that of a phrase.
func markedWith(phrase string) string {
	if phrase == "" {
		return "true"
	}
	return fmt.Sprintf(`document.querySelector('.sums') && document.querySelector('#marked').value === %q`, phrase)
}

// countWords counts the words of a list of elements by the rule, in a second
// implementation of its own.
const countWords = `(list => list.flatMap(e => e.textContent.replace(/[\u00ad\u200b-\u200f\u2060\ufeff]/g, '').split(/\s+/))
	.filter(w => /[\p{L}\p{Nd}]/u.test(w)).length)`

var counts = map[string]string{
	"seen":     countWords + `([...document.querySelectorAll('.margin [data-block]')])`,
	"copy":     countWords + `([...document.querySelectorAll('.margin [data-block][data-copy=true]')])`,
	"hidden":   countWords + `([...document.querySelectorAll('.margin [data-block]')])`,
	"phrase":   `document.querySelectorAll('.margin [data-block] mark').length`,
	"headings": `document.querySelectorAll('.margin [data-heading]').length`,
	"images":   `document.querySelectorAll('.margin [data-image][data-verdict=carries]').length`,
	"alts":     `document.querySelectorAll('.margin [data-image] [data-alt]').length`,
}

// slotsOfMarks spells the placement mark from the marks of the document.
const slotsOfMarks = `(() => {
	const names = {title: 'Title', description: 'Meta description', address: 'URL', h1: 'H1', subheads: 'Subheads', opening: 'Opening',
		body: 'Body', links: 'Links', image_names: 'Image file names', alt: 'Alt texts'}
	const marks = [...document.querySelectorAll('.margin mark')]
	const said = Object.keys(names).map(slot => {
		const here = marks.filter(m => m.dataset.slots.split(' ').includes(slot))
		if (here.some(m => m.dataset.mark === 'exact')) return names[slot] + ' exact'
		return here.length ? names[slot] + ' loose' : ''
	}).filter(Boolean)
	return said.join(', ') || 'nowhere on the page'
})()`
