package standing

import (
	"testing"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func on(day string) time.Time {
	at, _ := time.Parse(time.DateOnly, day)
	return at
}

func TestNewest(t *testing.T) {
	v := func(figure Figure, scope Scope, name string, value float64, day string) Value {
		return Value{Site: "a.example", Figure: figure, Scope: scope, Name: name, Amount: value, On: on(day)}
	}
	list := Newest([]Value{v(Strength, OfSite, "Power", 9, "2026-10-01"), v(Strength, OfSite, "Trust", 30,
		"2026-10-01"),
		v(Domains, OfSite, "", 8, "2026-11-01"), v(Domains, OfSite, "", 7, "2026-10-01"), v(Domains, OfPage, "", 3,
			"2026-11-01"),
		v(Domains, OfSite, "", 9, "2026-11-01")})
	assert.Len(t, list, 4, "two strengths are two figures, and so are page and site")
	n := Of(list, "a.example", Domains, OfSite)
	assert.InDelta(t, 9, n.Amount, 0, "of one day the later one")
	assert.Len(t, n.Former, 2)
	assert.InDelta(t, 7, n.Former[1].Amount, 0)
	assert.Nil(t, Of(list, "b.example", Domains, OfSite), "what is not known is not 0")
}

func TestDomains(t *testing.T) {
	for _, c := range []struct {
		own    float64
		rivals []float64
		want   Wanted
	}{
		{7, []float64{31, 22, 9}, Wanted{Own: 7, Known: true, Best: 31, Target: 41, Missing: 34}},
		{7, []float64{64}, Wanted{Own: 7, Known: true, Best: 64, Target: 80, Missing: 73}},
		{7, nil, Wanted{Own: 7, Known: true}},
		{70, []float64{31}, Wanted{Own: 70, Known: true, Best: 31, Target: 70, Leads: true}},
	} {
		assert.Equal(t, c.want, StandardLinkRules().Domains(c.own, true, c.rivals, 0))
	}
	assert.Equal(t, 62, LinkRules{Over: 100}.Domains(7, true, []float64{31}, 0).Target)
	assert.Equal(t, 154, LinkRules{OfAll: 100, Extra: 100}.Domains(7, true, []float64{31, 30}, 54).Target)
	unknown := StandardLinkRules().Domains(0, false, []float64{31}, 0)
	assert.Equal(t, Wanted{Best: 31, Target: 41}, unknown, "what is not known is not 0: nothing is told to be missing")
	assert.True(t, FromFewSites(212, 10))
	assert.False(t, FromFewSites(200, 10))
	assert.True(t, CarriedBySite(4, 50))
	assert.False(t, CarriedBySite(5, 50))
}

var pack = map[int]float64{1: .18, 2: .12, 3: .09}

// Worked out by hand: 380 searches, nowhere in the pack: 34.2 visits; 220 at place 3: 6.6 more at place 2; 100 at
// place 1.
func TestPackGain(t *testing.T) {
	rate := func(place int) float64 { return pack[place] }
	assert.InDelta(t, 40.8, PackGain([]Search{{380, 0}, {220, 3}, {100, 1}}, rate), 1e-9)
	assert.InDelta(t, 34.2, PackGain([]Search{{380, 11}}, rate), 1e-9)
}

// Gains and minutes worked out by hand: of 40 visits listings bring 16 by 28 wanted, a profile 12 by 10 facts known,
// reviews 12 by 76 of 88.
func TestTargets(t *testing.T) {
	grid := listing.Grid{Listed: []listing.Row{{Key: "findatrade", Checks: []listing.Check{{Field: listing.Phone,
		Verdict: listing.Differs}}}},
		Missing: []listing.Row{{Key: "oldbook", Position: 2}, {Key: "bizatlas"}}}
	var profile []mapprofile.Item
	for i, f := range mapprofile.Filling()[:10] {
		state := mapprofile.Filled
		if i >= 8 || f == mapprofile.Claimed {
			state = mapprofile.Blank
		}
		profile = append(profile, mapprofile.Item{Field: f, State: state})
	}
	k := Known{Pack: 40, Grid: &grid, Listings: ListingsWanted(9, true, []int{22}, 28), Profile: profile, PostDue: true,
		Reviews: mapprofile.ReviewTarget{First: 88, Then: 212, Missing: 76},
		Links: &backlink.Judged{Ask: []backlink.Domain{{Name: "chamber.example", Minutes: 45}, {Name: "folk.example",
			Minutes: 20}}},
		Wanted: Wanted{Own: 7, Known: true, Best: 31, Target: 41, Missing: 34},
		Said:   map[Ref]State{{Link, "folk.example"}: Done}}
	list := StandardRules().Targets(k, -1)
	var kinds []Kind
	byKind := map[Kind]Target{}
	for _, t := range list {
		kinds = append(kinds, t.Kind)
		byKind[t.Kind] = t
	}
	assert.Equal(t, []Kind{Claim, Correct, Fill, List, Ask, Post, Link}, kinds)
	assert.InDelta(t, 2.4, byKind[Fill].Gain, 1e-9)
	assert.InDelta(t, 10, byKind[Fill].Minutes, 1e-9)
	assert.InDelta(t, 16.0/28, byKind[List].Gain, 1e-9)
	assert.Len(t, byKind[List].Parts, 1, "one that holds a high place is asked for in the plan")
	assert.Equal(t, 17, byKind[List].More)
	assert.InDelta(t, 12*76.0/88, byKind[Ask].Gain, 1e-9)
	assert.InDelta(t, 380, byKind[Ask].Minutes, 1e-9)
	assert.InDelta(t, 45, byKind[Link].Minutes, 1e-9, "what is done takes nothing")
	assert.Equal(t, 32, byKind[Link].More)
	k.Wanted.Missing = 1
	for _, target := range StandardRules().Targets(k, -1) {
		if target.Kind == Link {
			assert.Len(t, target.Parts, 1, "as many as are missing, the first to ask first")
		}
	}
	k.Wanted.Missing = 34
	short := StandardRules().Targets(k, 60)
	var fits float64
	for _, t := range short {
		for _, p := range t.Parts {
			if p.Fits {
				fits += p.Minutes
			}
		}
	}
	assert.LessOrEqual(t, fits, 60.0)
	assert.InDelta(t, 60, fits, 5, "what does not fit is skipped and the next tried")
}

// Gains of the standing never add up to more than the pack would bring.
func TestGainIsBounded(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		own, best := rapid.IntRange(0, 60).Draw(t, "own"), rapid.IntRange(0, 60).Draw(t, "best")
		target := listing.StandardRules().Target([]int{best})
		grid := listing.Grid{}
		for range rapid.IntRange(0, 90).Draw(t, "missing") {
			grid.Missing = append(grid.Missing, listing.Row{Key: "x", Position: rapid.IntRange(0, 5).Draw(t,
				"position")})
		}
		var profile []mapprofile.Item
		for _, f := range mapprofile.Filling() {
			profile = append(profile, mapprofile.Item{Field: f, State: rapid.SampledFrom(mapprofile.States()).Draw(t,
				"state")})
		}
		k := Known{Pack: 40, Grid: &grid, Listings: ListingsWanted(own, true, []int{best}, target), Profile: profile,
			Reviews: mapprofile.StandardRules().ReviewsWanted(float64(own), mapprofile.Pack{float64(best)})}
		sum := 0.0
		for _, target := range StandardRules().Targets(k, -1) {
			sum += target.Gain
		}
		assert.LessOrEqual(t, sum, 40+1e-9)
	})
}
