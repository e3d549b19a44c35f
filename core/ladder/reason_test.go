package ladder

import (
	"encoding/json"
	"os"
	"testing"

	"inktally/core/plan"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// measured is a firm of a labelled case: a figure that is not there is not known.
type measured struct {
	Name                                                  string
	Organic, Map                                          int
	Words, Slots, Images, Pages, Links, Listings, Reviews *float64
	Chain, Above, Fewer                                   bool
	Fronts, Unknown                                       []Front
}

func (m measured) figures() Figures {
	out := Figures{}
	for f, n := range map[Front]*float64{Words: m.Words, Slots: m.Slots, Images: m.Images, Pages: m.Pages,
		Links: m.Links, Listings: m.Listings, Reviews: m.Reviews} {
		if n != nil {
			out[f] = *n
		}
	}
	return out
}

// Firms of other trades, labelled before the rule was written: who stands above the client, and by what.
func TestReasonsLabelled(t *testing.T) {
	for _, file := range []string{"testdata/reasons.json", "testdata/reasons_standing.json"} {
		reasonsLabelled(t, file)
	}
}

func reasonsLabelled(t *testing.T, file string) {
	raw, err := os.ReadFile(file)
	require.NoError(t, err)
	var cases []struct {
		Trade     string
		Guideline int
		Enough    bool
		Client    measured
		Rivals    []measured
	}
	require.NoError(t, json.Unmarshal(raw, &cases))
	require.GreaterOrEqual(t, len(cases), 6)
	for _, c := range cases {
		t.Run(c.Trade, func(t *testing.T) {
			own := Places{c.Client.Organic, c.Client.Map}
			var words []float64
			for _, r := range c.Rivals {
				if r.Words != nil {
					words = append(words, *r.Words)
				}
				above := Places{r.Organic, r.Map}.Above(own)
				assert.Equal(t, r.Above, above, r.Name)
				if !above {
					continue
				}
				got := ReasonOf(Of(r.Name, c.Client.figures(), r.figures(), "p1", 9, nil).Steps, r.Chain, "p1", nil)
				var fronts []Front
				for _, s := range got.Leads {
					fronts = append(fronts, s.Front)
				}
				assert.ElementsMatch(t, r.Fronts, fronts, r.Name)
				if len(r.Fronts) > 0 {
					assert.Equal(t, r.Fronts, fronts, r.Name)
				}
				assert.Equal(t, r.Fewer, got.Fewer, r.Name)
				assert.Equal(t, r.Unknown, got.Unknown, r.Name)
			}
			assert.Equal(t, c.Enough, Enough(c.Guideline, words))
		})
	}
}

// The targets that narrow a front are those of it that take least.
func TestNarrow(t *testing.T) {
	steps := func(f Front, own, theirs float64) []Step {
		return Of("x", Figures{f: own}, Figures{f: theirs}, "p1", 9, nil).Steps
	}
	dropped := made("p1", "slice c", plan.Slice, 1, nil, words(100))
	dropped.Choice.State = plan.Dropped
	list := append([]plan.Target{dropped}, client...)
	assert.Equal(t, []plan.Ref{{Page: "p1", Key: "slice a"}, {Page: "p1", Key: "slice b"}},
		ReasonOf(steps(Words, 100, 1000), false, "p1", list).Narrow)
	assert.Equal(t, []plan.Ref{{Page: "s", Key: "new_page"}}, ReasonOf(steps(Pages, 0, 4), false, "p1", list).Narrow)
	assert.Empty(t, ReasonOf(steps(Reviews, 1, 40), false, "p1", list).Narrow, "no page changes reviews")
	assert.Empty(t, ReasonOf(steps(Words, 1000, 1100), false, "p1", list).Narrow, "nothing explains it")
}
