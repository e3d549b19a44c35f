package account

import (
	"testing"
	"time"

	"inktally/core/standing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func day(d int) time.Time { return time.Date(2026, 11, d, 0, 0, 0, 0, time.UTC) }

func TestThen(t *testing.T) {
	at := func(d, hour int) time.Time { return day(d).Add(time.Duration(hour) * time.Hour) }
	for _, c := range []struct {
		says    string
		moments []time.Time
		want    int
	}{
		{"the last up to the end of the day", []time.Time{at(1, 9), at(5, 9), at(5, 22), at(6, 9)}, 2},
		{"in any order", []time.Time{at(9, 9), at(2, 9), at(4, 9)}, 2},
		{"what began later begins there", []time.Time{at(8, 9), at(7, 9), at(9, 9)}, 1},
		{"nothing came since", []time.Time{at(1, 9), at(4, 9)}, -1},
		{"one is no two", []time.Time{at(8, 9)}, -1},
		{"none", nil, -1},
	} {
		assert.Equal(t, c.want, Then(c.moments, day(5)), c.says)
	}
}

// What was in force is never the newest, and never later than one that was not later than the day.
func TestThenIsEarlier(t *testing.T) {
	rapid.Check(t, func(r *rapid.T) {
		hours := rapid.SliceOfN(rapid.IntRange(0, 30*24), 0, 8).Draw(r, "hours")
		moments := make([]time.Time, len(hours))
		for i, h := range hours {
			moments[i] = day(1).Add(time.Duration(h) * time.Hour)
		}
		on := day(rapid.IntRange(1, 30).Draw(r, "day"))
		at := Then(moments, on)
		if at < 0 {
			return
		}
		later := false
		for _, m := range moments {
			later = later || m.After(moments[at]) || m.Equal(moments[at])
			if !m.After(EndOf(on)) {
				require.False(r, m.After(moments[at]))
			}
		}
		require.True(r, later)
	})
}

func TestFigures(t *testing.T) {
	v := func(site string, f standing.Figure, source string, d int, amount float64) standing.Value {
		return standing.Value{Site: site, Figure: f, Scope: standing.OfSite, Source: source, On: day(d), Amount: amount}
	}
	got := Figures([]standing.Value{
		v("own.example", standing.Reviews, "maps", 1, 11), v("own.example", standing.Reviews, "maps", 20, 15),
		v("own.example", standing.Domains, "links", 1, 7), v("own.example", standing.Domains, "other", 20, 19),
		v("own.example", standing.Listings, "a", 1, 6), v("own.example", standing.Listings, "a", 20, 6),
		v("rival.example", standing.Reviews, "maps", 1, 83), v("rival.example", standing.Reviews, "maps", 20, 88),
	}, "own.example", day(5))
	require.Len(t, got, 1, "another source is no change, the same figure neither, a rival's is not the client's")
	assert.Equal(t, standing.Reviews, got[0].Figure)
	assert.Equal(t, []float64{11, 15}, []float64{got[0].Then.Amount, got[0].Amount})
}

func TestPlaces(t *testing.T) {
	assert.Equal(t, 8, Place{Organic: [2]int{14, 6}}.Rise())
	assert.Equal(t, 87, Place{Organic: [2]int{0, 14}}.Rise())
	assert.Equal(t, -95, Place{Organic: [2]int{6, 0}}.Rise())
	assert.False(t, Place{Organic: [2]int{6, 6}, Map: [2]int{0, 0}}.Moved())
	assert.True(t, Place{Organic: [2]int{6, 6}, Map: [2]int{0, 3}}.Moved())
	assert.False(t, Visits{10, 10.4}.Changed())
	rate := func(place int) float64 { return map[int]float64{6: .045, 14: .007}[place] }
	got := Place{Organic: [2]int{14, 6}}.VisitsOf(380, rate)
	assert.InDelta(t, 2.66, got.Then, 1e-9)
	assert.InDelta(t, 17.1, got.Now, 1e-9)
}
