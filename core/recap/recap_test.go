package recap

import (
	"testing"

	"inktally/core/plan"

	"github.com/stretchr/testify/assert"
)

func target(page string, kind plan.Kind, gain float64, parts ...plan.Part) plan.Target {
	return plan.Target{Page: page, Key: string(kind), Kind: kind, Gain: gain, Rank: gain, Minutes: 10, Parts: parts,
		Choice: plan.Choice{State: plan.Open}}
}

// Words for the home page, two pages to make with what depends on them, a phrase and its images: three fronts, the
// one of most gain first, with all that is in them.
func TestOf(t *testing.T) {
	words := plan.Part{Kind: plan.Words, Words: 250}
	name := plan.Part{Kind: plan.ImageName, Image: &plan.Picture{}}
	dropped := target("home", plan.Slice, 99, words)
	dropped.Choice.State = plan.Dropped
	list := []plan.Target{target("home", plan.Fix, 0), target("home", plan.Placing, 40, plan.Part{Kind: plan.Title},
		plan.Part{Kind: plan.H1}), target("home", plan.Images, 5, name, plan.Part{Kind: plan.Alt}),
		target("home", plan.Slice, 20, words), target("home", plan.Slice, 10, words),
		target("a", plan.NewPage, 30), target("a", plan.Images, 10, name), target("b", plan.NewPage, 50, words),
		target("c", plan.Redirect, 3), dropped}
	got := Of(list)
	assert.Len(t, got, 3)
	assert.Equal(t, []plan.Front{plan.PagesFront}, got[0].Fronts)
	assert.Equal(t, []string{"b", "a"}, got[0].Made, "the one of most gain first")
	assert.InDelta(t, 93, got[0].Gain, 1e-9)
	assert.Equal(t, []plan.Front{plan.PhrasesFront, plan.ImagesFront}, got[1].Fronts)
	assert.Equal(t, []int{2, 1}, []int{got[1].Places, got[1].Images})
	assert.Equal(t, []plan.Front{plan.WordsFront}, got[2].Fronts)
	assert.Equal(t, 500, got[2].Words)
	assert.InDelta(t, 20, got[2].Minutes, 1e-9)
	assert.Len(t, got[2].Targets, 2)

	three := Of(list[:5])
	assert.Len(t, three, 3)
	assert.Equal(t, []plan.Front{plan.ImagesFront}, three[2].Fronts, "apart where there is room")
	assert.Empty(t, Of(nil))
}

// What brings under 0.2 % of the whole stands folded under its page, but for fixes and what the user kept.
func TestFolded(t *testing.T) {
	kept := target("a", plan.Slice, .1)
	kept.Choice.State = plan.Kept
	list := []plan.Target{target("a", plan.Placing, 999), target("a", plan.Slice, .5), target("b", plan.Images, .1),
		target("a", plan.Images, 1.5), kept, target("a", plan.Fix, 0), target("b", plan.Slice, 50)}
	got := Folded(list)
	assert.Len(t, got, 2)
	assert.Equal(t, "a", got[0].Page)
	assert.InDelta(t, 2, got[0].Gain, 1e-9)
	assert.InDelta(t, 20, got[0].Minutes, 1e-9)
	assert.Equal(t, "b", got[1].Page)
	assert.Len(t, got[1].Targets, 1)
}

// The order of telling is by front, the one of most gain first; what was dropped is not told.
func TestTelling(t *testing.T) {
	dropped := target("x", plan.Placing, 5)
	dropped.Choice.State = plan.Dropped
	list := []plan.Target{target("a", plan.Slice, 1), target("b", plan.Images, 9), target("c", plan.Slice, 2), dropped}
	var pages []string
	for _, x := range Telling(list) {
		pages = append(pages, x.Page)
	}
	assert.Equal(t, []string{"b", "c", "a"}, pages)
}
