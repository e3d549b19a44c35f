package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"inktally/internal/view/stood"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What comes from elsewhere stands beside the rivals': a pasted table is shown before it is kept, a cell opens to its
// source and its former figures, links are judged by keys, and parts are ticked off; all of it is undone.
func TestStandingLeaf(t *testing.T) {
	p := start(t, filepath.Join(t.TempDir(), "demo.db"))
	defer p.kill(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	standing := func() stood.Standing {
		return get[stood.Standing](t, p, fmt.Sprintf("/api/clients/%d/standing", client))
	}
	s.open(fmt.Sprintf("/clients/%d/standing", client))
	cell := func(row string) string {
		return fmt.Sprintf(`document.querySelector('[data-row=%q] td button')`, row)
	}
	domains := cell("referring_domains site ")
	s.until(domains + `?.textContent.includes('7')`)

	paste := `Domain\tTrust score\tRoot domains\nbrindleandash.example\t4\t9\nstranger.example\t9\t9\nTotal\t\t18\n`
	eval[bool](s, `(() => { const d = new DataTransfer(); d.setData('text/plain', "`+paste+`");
		return window.dispatchEvent(new ClipboardEvent('paste', {clipboardData: d})) })()`)
	s.until(`document.querySelector('[data-preview]')`)
	s.sees("2 rows left out")
	s.press("Import 2 figures")
	s.until(domains + `.textContent.includes('9')`)
	s.click(domains)
	s.until(`document.activeElement.textContent.includes('sites that link to it')`)
	s.sees("pasted list")
	s.fill("[name=figure_value]", "11")
	s.press("Save")
	s.until(domains + `.textContent.includes('11')`)
	s.press("Undo")
	s.until(domains + `.textContent.includes('9')`)
	s.click(`document.querySelector('aside [aria-label=Close]')`)
	s.push("z", ctrl)
	s.until(domains + `.textContent.includes('7')`)

	s.click(`document.querySelector('[data-group=links] .kind button')`)
	asked := `document.querySelector('[data-domain="tarnbayrealty.example"]')`
	s.until(asked)
	eval[bool](s, `(`+asked+`.focus(), `+asked+`.dispatchEvent(new KeyboardEvent('keydown', {key: 'l',
 bubbles: true})))`)
	s.until(`!` + asked)
	s.press("Undo")
	s.until(asked)
	eval[bool](s, `(`+asked+`.focus(), `+asked+`.dispatchEvent(new KeyboardEvent('keydown', {key: 'x',
 bubbles: true})))`)
	s.until(asked + `.classList.contains('struck')`)
	for _, target := range standing().Targets {
		if target.Kind == "link" {
			assert.Equal(t, stood.PartState("done"), target.Parts[0].State)
		}
	}
	s.click(`document.querySelector('[data-group=listings] .kind button')`)
	s.until(`document.querySelector('[data-directory=bizatlas]')?.textContent.includes('21 North Quay Street')`)
	s.click(`document.querySelector('[data-group=profile] .kind button')`)
	s.sees("Description: name a service and a town")
	s.click(domains)
	s.until(`document.querySelector('[name=figure_value]')`)
	axe, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err, "run make build first")
	eval[any](s, string(axe)+";0")
	assert.Empty(t, eval[[]violation](s, wrong), "all groups and the margin open")

	s.click(`document.querySelector('[data-row=own_name] a')`)
	s.until(`document.querySelector('[data-own-name]')`)
	stove := `[...document.querySelectorAll('[data-entry]')].find(e => e.dataset.entry.includes('Alder Falls'))`
	s.until(stove + `?.textContent.includes('another business of this name')`)
	assert.False(t, eval[bool](s, `document.body.textContent.includes('Use as rival')`))
}
