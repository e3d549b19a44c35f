//go:build sense

package sense

import (
	"fmt"

	"inktally/core/plan"
	"inktally/internal/view"
)

// What comes before what.
var orderChecks = []check{
	{"nothing without gain but fixes stands above the cut line", func(c *client) []string {
		return c.lines(func(x view.Target) bool {
			return x.Fits && x.Gain == 0 && x.Kind != view.TargetKind(plan.Fix) && !x.First
		})
	}},
	{"the first line takes a third of the hours at most, where another brings more an hour",
		func(c *client) []string {
			if len(c.plan.Targets) == 0 {
				return nil
			}
			first := c.plan.Targets[0]
			if first.Minutes <= c.plan.Hours*60/3 || first.Gain == 0 {
				return nil
			}
			return c.lines(func(x view.Target) bool {
				return len(x.Needs) == 0 && x.Minutes > 0 && x.Gain/x.Minutes > first.Gain/first.Minutes
			})
		}},
	{"a fix that hides no page stands behind its page's first placing", func(c *client) (bad []string) {
		placed := map[string]bool{}
		has := map[string]bool{}
		for _, x := range c.plan.Targets {
			has[x.Page] = has[x.Page] || x.Kind == view.TargetKind(plan.Placing)
		}
		for _, x := range c.plan.Targets {
			placed[x.Page] = placed[x.Page] || x.Kind == view.TargetKind(plan.Placing)
			if x.Kind == view.TargetKind(plan.Fix) && !x.First && has[x.Page] && !placed[x.Page] {
				bad = append(bad, c.says(x))
			}
		}
		return bad
	}},
	{"phrases that are used too often are cut back before their page's first placing",
		func(c *client) (bad []string) {
			placed := map[string]bool{}
			for _, x := range c.plan.Targets {
				placed[x.Page] = placed[x.Page] || x.Kind == view.TargetKind(plan.Placing)
				if x.Kind == view.TargetKind(plan.CutBack) && placed[x.Page] {
					bad = append(bad, c.says(x))
				}
			}
			return bad
		}},
	{"lines that bring next to nothing do not stand between others", func(c *client) (bad []string) {
		const little = .002
		for _, x := range c.plan.Targets {
			if x.Gain > 0 && x.Gain < little*c.plan.All && x.Kind != view.TargetKind(plan.Fix) &&
				!c.folded[x.ID] {
				bad = append(bad, fmt.Sprintf("%s +%.2f of %.0f", c.says(x), x.Gain, c.plan.All))
			}
		}
		return bad
	}},
	{"nothing is asked for without a gain where volumes are known", func(c *client) []string {
		if c.plan.Unit != "visits" {
			return nil
		}
		brings := map[string]bool{} // pages whose phrases have volumes
		for _, x := range c.plan.Targets {
			brings[x.Page] = brings[x.Page] || x.Gain > 0
		}
		return c.lines(func(x view.Target) bool {
			return x.Gain == 0 && brings[x.Page] && (x.Kind == view.TargetKind(plan.Placing) ||
				x.Kind == view.TargetKind(plan.Slice) || x.Kind == view.TargetKind(plan.Images))
		})
	}},
}
