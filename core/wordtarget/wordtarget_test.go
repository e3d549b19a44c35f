package wordtarget

import (
	"fmt"
	"slices"
	"testing"

	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// The worked examples of rule 8.
func TestTarget(t *testing.T) {
	y := StandardRules()
	for _, c := range []struct {
		kind    site.Kind
		client  int
		rivals  []int
		mark    float64
		beat    float64
		target  int
		toWrite int
		hold    bool
		rule    Rule
		aside   []int
	}{
		{site.Home, 545, []int{1720, 380, 1140, 1010}, 1720, 1978, 2000, 1455, false, ByRivals, []int{}},
		{site.Home, 545, []int{710, 290}, 710, 816.5, 1500, 955, false, ByGuideline, []int{}},
		{site.Home, 2140, []int{1700, 900}, 1700, 1955, 2000, 0, true, ByRivals, []int{}},
		{site.Service, 0, []int{560, 2450, 680}, 680, 782, 800, 800, false, ByRivals, []int{1}},
		{site.Home, 0, nil, 0, 0, 1500, 1500, false, ByGuideline, []int{}},
		{site.Home, 100, []int{2450}, 2450, 2817.5, 2500, 2400, false, ByCeiling, []int{}},
		{site.Home, 1470, nil, 0, 0, 1500, 0, true, ByGuideline, []int{}},
		{site.Home, 1600, []int{1550}, 1550, 1782.5, 1800, 0, true, ByRivals, []int{}},
		{site.Area, 300, []int{100}, 100, 200, 500, 200, false, ByGuideline, []int{}},
		{site.Service, 0, []int{2450, 680}, 2450, 2817.5, 1200, 1200, false, ByCeiling, []int{}},
	} {
		t.Run(fmt.Sprint(c.kind, c.client, c.rivals), func(t *testing.T) {
			got := y.Of(c.kind, c.client, 0, c.rivals)
			name := fmt.Sprint(c.kind, c.client, c.rivals)
			assert.InDelta(t, c.mark, got.Mark, 1e-9, name)
			assert.InDelta(t, c.beat, got.Beat, 1e-9, name)
			assert.Equal(t, c.target, got.Target, name)
			assert.Equal(t, c.toWrite, got.ToWrite, name)
			assert.Equal(t, c.hold, got.Hold, name)
			assert.Equal(t, c.rule, got.Rule, name)
			assert.Equal(t, c.aside, got.SetAside, name)
			assert.Equal(t, float64(c.target) > c.mark, got.BeatsMark, name)
		})
	}
	got := y.Of(site.Home, 545, 114, []int{1720})
	assert.Equal(t, 1886, got.Writer)
	assert.Equal(t, 0, got.MarkOf)
	made := y.Of(site.Service, 900, 900, nil)
	assert.False(t, made.Hold, "menus are no page")
	assert.Equal(t, []int{350, 350}, []int{made.Writer, made.ToWrite}, "70 % of what the guideline starts at")
	held := y.Of(site.Home, 1441, 0, nil)
	assert.True(t, held.Hold, "59 words are no section")
}

// Home, service and area pages have word targets, no others (rule 8.1).
func TestPagesWithoutAWordTarget(t *testing.T) {
	for _, kind := range site.Kinds() {
		t.Run(string(kind), func(t *testing.T) {
			w := StandardRules().Of(kind, 10, 3, []int{900})
			has := kind == site.Home || kind == site.Service || kind == site.Area
			assert.Equal(t, has, w.ToWrite > 0)
			assert.Equal(t, !has, w.Rule == NoTarget)
			assert.NotEqual(t, has, w.Hold)
		})
	}
}

func TestMarkRules(t *testing.T) {
	rivals := []int{1720, 380, 1140, 1010}
	y := StandardRules()
	y.Mark = Median
	assert.InDelta(t, 1075, y.Of(site.Home, 0, 0, rivals).Mark, 1e-9)
	y.Mark = BestThree
	assert.InDelta(t, 1290, y.Of(site.Home, 0, 0, rivals).Mark, 1e-9)
}

// A target keeps between the guideline and the ceiling, and writing it reaches
// it.
func TestProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]site.Kind{site.Home, site.Service, site.Area}).Draw(t, "kind")
		client := rapid.IntRange(0, 4000).Draw(t, "client")
		rivals := rapid.SliceOfN(rapid.IntRange(0, 9000), 0, 8).Draw(t, "rivals")
		y := StandardRules()
		got, g := y.Of(kind, client, 50, rivals), y.Guideline(kind)
		assert.True(t, g.Low <= got.Target && got.Target <= g.Ceiling)
		assert.True(t, got.Hold == (got.ToWrite == 0))
		if client <= 50 {
			assert.Equal(t, got.Writer, got.ToWrite, "nothing but a frame")
		} else if !got.Hold {
			assert.Equal(t, got.Target, client+got.ToWrite)
			assert.GreaterOrEqual(t, got.ToWrite, 60)
		}
		if got.Rule != ByCeiling {
			assert.GreaterOrEqual(t, float64(got.Target), got.Beat)
		}
	})
}

// More words in the best rival never lower a target, as long as the same rivals are set
// aside (rules 8.2 to 8.4).
func TestMoreWordsNeverLower(t *testing.T) {
	y := StandardRules()
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]site.Kind{site.Home, site.Service, site.Area}).Draw(t, "kind")
		rivals := rapid.SliceOfN(rapid.IntRange(0, 4000), 1, 8).Draw(t, "rivals")
		seen := rapid.IntRange(0, 3000).Draw(t, "client")
		before := y.Of(kind, seen, 0, rivals)
		if before.MarkOf < 0 {
			return
		}
		more := slices.Clone(rivals)
		more[before.MarkOf] += rapid.IntRange(1, 3000).Draw(t, "more")
		after := y.Of(kind, seen, 0, more)
		if slices.Equal(before.SetAside, after.SetAside) {
			assert.GreaterOrEqual(t, after.Target, before.Target)
			assert.GreaterOrEqual(t, after.ToWrite, before.ToWrite)
		}
	})
}
