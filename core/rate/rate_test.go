package rate

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestOf(t *testing.T) {
	r := StandardRules()
	for name, c := range map[string]struct {
		rivals []float64
		tokens int
		want   float64
	}{
		"no rivals":        {nil, 2, 5},
		"their median":     {[]float64{4, 6, 9}, 2, 6},
		"too seldom":       {[]float64{1}, 2, 3},
		"too often":        {[]float64{30}, 2, 12},
		"a long phrase":    {[]float64{12}, 4, 9},
		"nothing to count": {nil, 0, 5},
	} {
		t.Run(name, func(t *testing.T) { assert.InDelta(t, c.want, r.Of(c.rivals, c.tokens), 1e-9) })
	}
	assert.Equal(t, 10, InAll(5, 2000))
	assert.Equal(t, 2, InAll(5, 100), "twice at least")
	assert.Equal(t, 3, InSome(5, 545, 10))
	assert.Equal(t, 1, InSome(5, 20, 10), "once at least")
	assert.Equal(t, 5, r.Allowed(500, 4), "4 percent of 500 words")
}

// What stands in some of the words is never more than what is to stand in all.
func TestInSomeIsPartOfAll(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		per := StandardRules().Of(rapid.SliceOf(rapid.Float64Range(.1, 40)).Draw(t, "rivals"),
			rapid.IntRange(1, 8).Draw(t, "tokens"))
		all := InAll(per, rapid.IntRange(0, 3000).Draw(t, "writer"))
		assert.LessOrEqual(t, InSome(per, rapid.IntRange(0, 3000).Draw(t, "copied"), all), all)
		assert.GreaterOrEqual(t, all, 2)
	})
}
