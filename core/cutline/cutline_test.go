package cutline

import (
	"fmt"
	"slices"
	"testing"

	"inktally/core/plan"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func fixed(key string, minutes float64, needs ...string) plan.Target {
	t := plan.Target{Key: key, Minutes: minutes, Gain: 1, Choice: plan.Choice{State: plan.Open}}
	for _, n := range needs {
		t.Needs = append(t.Needs, plan.Ref{Key: n})
	}
	return t
}

func TestOf(t *testing.T) {
	gone := fixed("dropped", 1)
	gone.Choice.State = plan.Dropped
	list := []plan.Target{fixed("fix", 5), fixed("quick", 10), fixed("on quick", 2, "quick"), fixed("slow", 60),
		fixed("none", 5), gone}
	assert.Equal(t, []bool{true, true, true, false, true, false}, Of(list, 25).Fits, "slow is skipped, none is tried")
	list[2].Choice.State = plan.Kept
	assert.Equal(t, []bool{false, true, true, false, false, false}, Of(list, 13).Fits,
		"what is kept comes first, with what it needs")
	none := Of(list, 4)
	assert.Equal(t, make([]bool, 6), none.Fits)
	assert.InDelta(t, 5, none.Needs, 0, "what the first needs")
	list[1].Choice.State = plan.Dropped
	assert.True(t, Of(list, 13).Fits[2], "nothing waits for what is not wanted")
}

// A placing that does not fit is cut to title and h1; what brings nothing fills no hours, but fixes do.
func TestShort(t *testing.T) {
	placing := plan.Target{Key: "placing", Kind: plan.Placing, Minutes: 25, Gain: 10,
		Choice: plan.Choice{State: plan.Open},
		Parts: []plan.Part{{Kind: plan.Title, Minutes: 10}, {Kind: plan.H1, Minutes: 5}, {Kind: plan.Body,
			Minutes: 10}}}
	idle := fixed("idle", 1)
	idle.Gain = 0
	fix := plan.Target{Key: "fix", Kind: plan.Fix, Minutes: 3, Choice: plan.Choice{State: plan.Open}}
	list := []plan.Target{placing, idle, fix}
	cut := Of(list, 20)
	assert.Equal(t, []bool{true, false, true}, cut.Fits)
	assert.Equal(t, []bool{true, false, false}, cut.Short)
	assert.InDelta(t, 2, cut.Left, 1e-9)
	assert.Equal(t, []bool{false, false, false}, Of(list, 40).Short)
}

// What fits never takes longer than there is; and what does not exceeds the minutes left,
// with all that it needs.
func TestProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(0, 20).Draw(t, "n")
		list := make([]plan.Target, n)
		for i := range list {
			list[i] = plan.Target{Key: fmt.Sprint(i), Minutes: float64(rapid.IntRange(1, 90).Draw(t, "minutes")),
				Gain: float64(rapid.IntRange(0, 3).Draw(t, "gain")),
				Choice: plan.Choice{
					State: rapid.SampledFrom([]plan.State{plan.Open, plan.Open, plan.Kept, plan.Dropped}).Draw(t,
						"state")}}
			if i > 0 && rapid.Bool().Draw(t, "needs") {
				list[i].Needs = []plan.Ref{{Key: fmt.Sprint(rapid.IntRange(0, i-1).Draw(t, "on"))}}
			}
		}
		limit := float64(rapid.IntRange(0, 600).Draw(t, "limit"))
		used := 0.0
		fit := map[plan.Ref]bool{}
		line := Of(list, limit)
		for i, in := range line.Fits {
			if in {
				used += list[i].Minutes
				fit[list[i].Ref()] = true
			}
		}
		assert.InDelta(t, limit-used, line.Left, 1e-6)
		assert.LessOrEqual(t, used, limit)
		for i, in := range line.Fits {
			for _, need := range list[i].Needs {
				at := slices.IndexFunc(list, func(x plan.Target) bool { return x.Ref() == need })
				assert.True(t, !in || fit[need] || list[at].Choice.State == plan.Dropped,
					"what fits has what it needs")
			}
			c := cut{targets: list, at: map[plan.Ref]int{}, Cut: line}
			for k := range list {
				c.at[list[k].Ref()] = k
			}
			if with, ok := c.with(i, nil); !in && ok && (list[i].Gain > 0 || list[i].Choice.State == plan.Kept) {
				assert.Greater(t, c.minutes(with), line.Left)
			}
		}
	})
}
