package book

import (
	"testing"

	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// The steps of a family come to what its row gains, whatever is known of its members.
func TestSum(t *testing.T) {
	rules := visits.Standard()
	rapid.Check(t, func(t *rapid.T) {
		f := Family{Key: "k"}
		for range rapid.IntRange(1, 4).Draw(t, "members") {
			f.Members = append(f.Members, Phrase{Text: "chimney sweep", Volume: drawn(t, "volume", 900),
				Difficulty: drawn(t, "difficulty", 60), Position: drawn(t, "position", 35),
				Area: rapid.SampledFrom(visits.Areas()).Draw(t, "area")})
		}
		f.Place = rapid.SampledFrom([]string{"", "Tarn Harbor"}).Draw(t, "place")
		f.estimate(rules)
		f.RowGain = f.Gain + float64(rapid.IntRange(0, 2).Draw(t, "also"))*7.5
		assert.InDelta(t, f.RowGain, f.Sum(rules, .5).Result(), 1e-9)
	})
}

// drawn returns a number from 1 on, or none.
func drawn(t *rapid.T, name string, most int) *int {
	n := rapid.IntRange(0, most).Draw(t, name)
	if n == 0 {
		return nil
	}
	return &n
}
