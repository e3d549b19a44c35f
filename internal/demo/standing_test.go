package demo

import (
	"context"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Gains of the standing of two clients, recomputed by hand from rule 13.5. Brindle & Ash: 380 searches and nowhere on
// the map, so that place 3 would bring 34.2 visits; 4 of 13 known facts of the profile are missing, 7 of 18 listings
// wanted are known by name, 76 of 88 reviews are missing. Lowtide: 60 searches, 5.4 visits; 2 of 10 listings, 48 of 54
// reviews (53.5 is the middle of 74 and 33).
func TestStandingByHand(t *testing.T) {
	a := seeded(t)
	for client, want := range map[int64]map[string]float64{
		2: {"fill": 34.2 * .3 * 4 / 13, "list": 34.2 * .4 * 7 / 18, "ask": 34.2 * .3 * 76 / 88},
		1: {"list": 5.4 * .4 * 2 / 10, "ask": 5.4 * .3 * 48 / 54},
	} {
		s, err := a.Standing.Get(context.Background(), client)
		require.NoError(t, err)
		got, sum := map[string]float64{}, 0.0
		for _, target := range s.Targets {
			if target.Gain > 0 {
				got[string(target.Kind)] = target.Gain
			}
		}
		for kind, gain := range want {
			assert.InDelta(t, gain, got[kind], 1e-9, "%d %s", client, kind)
			sum += gain
		}
		assert.Len(t, got, len(want))
		assert.InDelta(t, sum, s.Gain, 1e-9)
	}
}
