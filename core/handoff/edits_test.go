package handoff

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestEditsKeys(t *testing.T) {
	steps := []StepKind{WordsStep, PhraseStep, SearchStep, NextStep}
	assert.Equal(t, []string{"words", "phrase", "search", "next"}, Edits{}.Keys(steps))
	own := map[string]StepEdit{"own-1": {Added: true}, "gone": {Head: "x"}, "words": {Dropped: true}}
	assert.Equal(t, []string{"words", "phrase", "search", "next", "own-1"}, Edits{Steps: own}.Keys(steps),
		"what was said of a step that has nothing to tell any more adds none; a dropped one keeps its place")
	assert.Equal(t, []string{"search", "next", "own-1", "words", "phrase"},
		Edits{Order: []string{"search", "own-1", "words"}, Steps: own}.Keys(steps)[:5],
		"one that the order does not know stays behind the one before it")
	rapid.Check(t, func(t *rapid.T) {
		all := []string{"words", "phrase", "search", "next", "own-1", "nobody"}
		order := rapid.SliceOf(rapid.SampledFrom(all)).Draw(t, "order")
		keys := Edits{Order: order, Steps: own}.Keys(steps)
		slices.Sort(keys)
		assert.Equal(t, []string{"next", "own-1", "phrase", "search", "words"}, keys, "each step once")
	})
}
