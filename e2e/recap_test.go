package e2e

import (
	"fmt"
	"testing"

	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The plan is told in three imperatives; each is pressed to see its lines. Small lines stand folded by page.
func TestRecap(t *testing.T) {
	p := demo(t)
	client, _ := brindle(t, p)
	plan := get[view.Plan](t, p, fmt.Sprintf("/api/clients/%d/plan", client))
	require.Len(t, plan.Recap, 3)
	require.NotEmpty(t, plan.Folded)

	s := look(t, p)
	s.open(fmt.Sprintf("/clients/%d/targets", client))
	s.until(`document.querySelectorAll('[data-recap] li').length === 3`)
	s.sees(plan.Recap[0].Says)
	folded := 0
	for _, f := range plan.Folded {
		folded += len(f.Targets)
	}
	rows := func() int { return eval[int](s, `document.querySelectorAll('[data-target]').length`) }
	assert.Equal(t, plan.Open-folded, rows(), "small lines stand folded")
	s.click(`document.querySelector('.fold button')`)
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-target]').length === %d`,
		plan.Open-folded+len(plan.Folded[0].Targets)))

	for i, r := range plan.Recap {
		s.click(fmt.Sprintf(`document.querySelectorAll('[data-recap] li button')[%d]`, i))
		s.until(fmt.Sprintf(`document.querySelectorAll('[data-target]').length === %d`, len(r.Targets)))
		for _, id := range r.Targets {
			assert.True(t, eval[bool](s, fmt.Sprintf(`!!document.querySelector('[data-target=%q]')`, id)), id)
		}
	}
	s.click(`document.querySelectorAll('[data-recap] li button')[2]`)
	s.until(fmt.Sprintf(`document.querySelectorAll('[data-target]').length > %d`, plan.Open-folded))
	s.press("By kind of work")
	s.sees("Home: write 1,455 words, 545 → 2,000")
}
