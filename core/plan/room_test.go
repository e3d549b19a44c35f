package plan_test

import (
	"slices"
	"testing"

	"inktally/core/cutline"
	"inktally/core/plan"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// With hours enough all fits but what was dropped, and what belongs to a page that was.
func TestAllFits(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := plan.DrawClient(t)
		before := plan.StandardRules().Plan(s)
		if len(before.Targets) == 0 {
			return
		}
		gone := rapid.SampledFrom(before.Targets).Draw(t, "target")
		s.Choices[gone.Ref()] = plan.Choice{State: plan.Dropped}
		after := plan.StandardRules().Plan(s)
		for i, in := range cutline.Of(after.Targets, 1e9).Fits {
			x := &after.Targets[i]
			ofGone := slices.Contains(x.Needs, gone.Ref()) && gone.Kind == plan.NewPage
			if x.Pays() {
				assert.Equal(t, in, x.Choice.State != plan.Dropped && !ofGone, "%s", x.Ref())
			}
		}
	})
}
