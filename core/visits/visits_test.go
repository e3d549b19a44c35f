package visits

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func p(n int) *int { return &n }

// The worked examples of rule 7.4.
func TestWorkedExamples(t *testing.T) {
	e := Standard().Family([]Member{{p(380), 14}, {p(220), 0}}, p(6))
	assert.InDelta(t, 490, e.Volume, 1e-9)
	assert.InDelta(t, 3.43, e.Now, 1e-9)
	assert.Equal(t, 1, e.Aimed)
	assert.InDelta(t, 161.7, e.Then, 1e-9)
	assert.InDelta(t, 158.27, e.Gain, 1e-9)
	assert.InDelta(t, 158.27*.05*300, e.InMoney(5, 300).Worth, 1e-6)
	e = Standard().Family([]Member{{p(100), 55}, {p(300), 2}}, nil)
	assert.InDelta(t, 30, e.Now, 1e-9)
	assert.Equal(t, 2, e.Aimed, "never worse than the best of its members")
}

func TestRules(t *testing.T) {
	r := Standard()
	for position, want := range map[int]float64{0: 0, 1: .33, 2: .20, 10: .02, 11: .007, 20: .007, 21: .0025, 30: .0025,
		31: 0, -1: 0} {
		assert.Equal(t, want, r.Rate(position), position)
	}
	for _, c := range []struct {
		difficulty *int
		today      int
		want       int
	}{{p(0), 0, 1}, {p(10), 4, 1}, {p(11), 0, 2}, {p(25), 1, 1}, {p(45), 9, 3}, {p(46), 0, 5}, {p(90), 2, 2},
		{nil, 0, 3}, {nil, 14, 3}} {
		assert.Equal(t, c.want, r.Aimed(c.difficulty, c.today))
	}
	for difficulty, want := range map[int]float64{0: 3, 5: 3, 10: 6, 20: 12, 80: 12} {
		assert.InDelta(t, want, r.Months(p(difficulty)), 1e-9)
	}
	assert.Equal(t, 12.0, r.Months(nil))
	e := r.Family([]Member{{nil, 3}}, nil)
	assert.True(t, e.Unknown)
	assert.Zero(t, e.Gain)
	assert.Equal(t, 3, r.Family(nil, nil).Aimed)
}

// A gain is never less than nothing, and more searches never bring less.
func TestGainProperties(t *testing.T) {
	r := Standard()
	rapid.Check(t, func(t *rapid.T) {
		volume, more := rapid.IntRange(0, 9999).Draw(t, "volume"), rapid.IntRange(0, 999).Draw(t, "more")
		position, difficulty := rapid.IntRange(0, 100).Draw(t, "position"), rapid.IntRange(0, 100).Draw(t, "difficulty")
		few := r.Family([]Member{{p(volume), position}}, p(difficulty))
		many := r.Family([]Member{{p(volume + more), position}}, p(difficulty))
		assert.GreaterOrEqual(t, few.Gain, 0.0)
		assert.GreaterOrEqual(t, many.Gain+1e-9, few.Gain)
	})
}
