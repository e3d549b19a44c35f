package plan_test

import (
	"slices"
	"strconv"
	"testing"

	"inktally/core/plan"
	"inktally/core/sum"
	"inktally/core/yardstick"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The steps of each part come to its gain and its minutes, what a target brings and takes is
// that of its parts, and each step that names a figure of the yardstick has the figure's value,
// whatever the user made of it (rules 12.1 to 12.3).
func TestSums(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		y := drawYardstick(t)
		p := y.Target.Plan(plan.DrawClient(t))
		figures := figuresOf(y)
		for i := range p.Targets {
			x := &p.Targets[i]
			gain, minutes := 0.0, x.Effort(y.Target).Result()
			for _, part := range x.Parts {
				assert.InDelta(t, part.Gain, part.Sum.Result(), 1e-9, "%s %s", x.Ref(), part.Key)
				assert.InDelta(t, part.Minutes, part.Effort.Result(), 1e-9, "%s %s", x.Ref(), part.Key)
				assert.NotEmpty(t, part.Effort, "%s %s", x.Kind, part.Kind)
				checkSteps(t, slices.Concat(part.Sum, part.Effort), figures)
				if part.Choice.State != plan.Dropped {
					gain += part.Sum.Result()
					minutes += part.Effort.Result()
				}
			}
			assert.InDelta(t, x.Gain, gain, 1e-9, "%s", x.Ref())
			assert.InDelta(t, x.Minutes, minutes, 1e-9, "%s", x.Ref())
			checkSteps(t, x.Effort(y.Target), figures)
		}
	})
}

// drawYardstick draws a yardstick with other weights, minutes and shares than the standard's.
func drawYardstick(t *rapid.T) yardstick.Yardstick {
	y := yardstick.Standard()
	m, w := &y.Target.Minutes, &y.Target.Weights
	for _, at := range []*float64{&m.HundredWords, &m.Title, &m.H1, &m.Phrase, &m.ImageName, &m.Alt, &m.NewPage,
		&m.Place, &m.Redirect, &m.Merge, &m.Secure, &m.Data, &m.CutBack, &m.Fix, &w.Words, &w.Title, &w.Body, &w.Alt,
		&y.Target.RedirectPercent, &y.Target.VaguePercent} {
		*at = rapid.Float64Range(.5, 90).Draw(t, "figure")
	}
	return y
}

func figuresOf(y yardstick.Yardstick) map[string]float64 {
	out := map[string]float64{}
	for _, f := range y.Figures() {
		if value, err := strconv.ParseFloat(f.Value, 64); err == nil {
			out[f.Key] = value
		}
	}
	return out
}

func checkSteps(t require.TestingT, steps sum.Sum, figures map[string]float64) {
	for _, s := range steps {
		assert.Contains(t, sum.Codes(), s.Code)
		assert.Regexp(t, `^\d+\.\d+$`, s.Rule)
		if s.Figure == "" || s.Code == sum.InNewPage {
			continue
		}
		value, there := figures[s.Figure]
		require.True(t, there, s.Figure)
		if s.Unit == sum.Percent {
			value /= 100
		}
		assert.InDelta(t, value, s.Value, 1e-6, "%s %s", s.Code, s.Figure)
	}
}
