package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
)

// A deleted client can be brought back in the same session, with all that belongs to it.
func TestDeletedClientIsBroughtBack(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	before := get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client))
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/ground", client))
	s.press("Delete client")
	s.sees("It can be undone for an hour")
	s.press("Delete Brindle & Ash Chimney")
	s.until(`location.pathname === '/' && document.querySelectorAll('main tbody tr').length === 2`)
	s.sees("Brindle & Ash Chimney deleted")
	s.press("Undo")
	s.until(`document.querySelectorAll('main tbody tr').length === 3`)
	after := get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client))
	assert.Equal(t, before.Targets, after.Targets)
}

// A client without a site can be given one where it is told that there is none.
func TestFirstAddress(t *testing.T) {
	p := demo(t)
	s := look(t, p)
	s.open("/clients/1/site")
	s.sees("No site yet")
	s.fill("[name=first_address]", "lanternsweeps.example")
	s.press("Save")
	s.until(`!document.querySelector('[name=first_address]')`)
	assert.Equal(t, "http://lanternsweeps.example/", get[view.Ground](t, p, "/api/clients/1").HomePage,
		"it does not answer by https")
	s.press("Undo")
	s.until(`document.querySelector('[name=first_address]')`)
	assert.Empty(t, get[view.Ground](t, p, "/api/clients/1").HomePage)
}

// After a change only what it changed is asked for again: a dropped target is answered with the plan, and nothing
// else is asked.
func TestOnlyWhatChangedIsAskedFor(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelectorAll('[data-row]').length > 5`)
	eval[bool](s, `(performance.clearResourceTimings(), document.querySelector('[data-row] [title^=Drop]').click(), true)`)
	s.sees("Undo")
	asked := func() []string {
		return eval[[]string](s,
			`performance.getEntriesByType('resource').map(e => new URL(e.name).pathname).filter(n => n.startsWith('/api/'))`)
	}
	assert.Equal(t, []string{fmt.Sprintf("/api/clients/%d/plan/choices", client)}, asked())
}
