package wording

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"inktally/core/wordtarget"
)

func TestTakes(t *testing.T) {
	assert.Equal(t, "about 2.8 visits a month · 10 min", Takes(Visits, 2.8, 10))
	assert.Equal(t, "20 min", Takes(Visits, 0, 20))
	assert.Equal(t, "about 1 visit a month", Takes(Visits, 1, 0), "what is part of making the page takes nothing more")
	assert.Empty(t, Takes(Visits, 0, 0))
}

func TestBriefWords(t *testing.T) {
	words := wordtarget.Target{Rule: wordtarget.ByGuideline, Target: 1500, ToWrite: 1500, Writer: 1500}
	assert.Equal(t, "to write.", BriefWords(words, 0).After, "a page to make has no menus yet that could be told")
	words.Writer = 1380
	assert.Equal(t, "to write. Hand in 1,380 words of copy; the rest are menus and footers.",
		BriefWords(words, 0).After)
}
