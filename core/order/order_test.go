package order

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// What hides a page is first, cutting back stands right before the first placing of its page, a short fix right behind
// it, a long one behind the last; what shows no gain is last but for what was dropped.
func TestOf(t *testing.T) {
	items := []Item{
		{Page: "a", Kind: Dropped},
		{Page: "a", Kind: Other, Minutes: 5},
		{Page: "a", Kind: Fix, Minutes: 20},
		{Page: "a", Kind: Fix, Minutes: 5},
		{Page: "c", Kind: Fix, Minutes: 5},
		{Page: "a", Kind: Placing, Opens: true, Rank: 10, Minutes: 10},
		{Page: "b", Kind: Placing, Opens: true, Rank: 5, Minutes: 10},
		{Page: "a", Kind: Cut, Minutes: 3},
		{Page: "a", Kind: Hides, Minutes: 60},
		{Page: "a", Kind: Other, Rank: 100, Minutes: 10, Needs: []int{5}},
	}
	assert.Equal(t, []int{8, 7, 5, 3, 9, 6, 2, 4, 1, 0}, Of(items, Rules{SlicePercent: 40}))
}

// Words come before what brings more as long as their page is short of them, unless they bring under a tenth.
func TestWordsAreNotStarved(t *testing.T) {
	items := []Item{
		{Page: "a", Kind: Placing, Opens: true, Rank: 50, Minutes: 30},
		{Page: "a", Kind: Other, Rank: 40, Minutes: 30, Needs: []int{0}},
		{Page: "a", Kind: Slice, Rank: 5, Minutes: 20, Words: 100, Needs: []int{0}},
		{Page: "a", Kind: Slice, Rank: 4, Minutes: 20, Words: 100, Needs: []int{0}},
		{Page: "a", Kind: Standing, Rank: 6, Minutes: 20, Words: 100, Needs: []int{0}},
	}
	short := func(words int) Rules { return Rules{SlicePercent: 40, Short: map[string]int{"a": words}} }
	assert.Equal(t, []int{0, 2, 1, 3, 4}, Of(items, short(150)))
	assert.Equal(t, []int{0, 1, 4, 2, 3}, Of(items, short(0)), "a page that is long enough")
	items[2].Rank, items[3].Rank = 1, 1
	assert.Equal(t, []int{0, 1, 2, 3, 4}, Of(items, short(150)), "under a tenth of the best")
}

// All items come once, and none before what it needs, but for those of pages that are not wanted.
func TestProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(0, 12).Draw(t, "items")
		items := make([]Item, n)
		for i := range items {
			items[i] = Item{Page: rapid.SampledFrom([]string{"a", "b"}).Draw(t, "page"),
				Kind: Kind(rapid.IntRange(int(Other), int(DroppedPage)).Draw(t, "kind")),
				Rank: rapid.Float64Range(0, 9).Draw(t, "rank"), Minutes: rapid.Float64Range(1, 60).Draw(t, "minutes")}
			if i > 0 && (items[i].Kind == Other || items[i].Kind == Slice || items[i].Kind == Placing) {
				items[i].Needs = []int{rapid.IntRange(0, i-1).Draw(t, "needs")}
			}
		}
		out := Of(items, Rules{SlicePercent: 40, Short: map[string]int{"a": 100}})
		at := map[int]int{}
		for place, i := range out {
			at[i] = place
		}
		assert.Len(t, at, n)
		unwanted := func(i int) bool {
			for ; ; i = items[i].Needs[0] {
				if items[i].Kind == DroppedPage {
					return true
				}
				if len(items[i].Needs) == 0 {
					return false
				}
			}
		}
		for i, item := range items {
			for _, need := range item.Needs {
				if items[need].Kind != Dropped && !unwanted(i) {
					assert.Less(t, at[need], at[i])
				}
			}
		}
	})
}
