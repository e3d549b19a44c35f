package lexicon

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestEnglish(t *testing.T) {
	for _, word := range []string{"reading", "mobile", "orange", "deal", "bath", "colour", "color", "chimneys", "the"} {
		assert.True(t, English(word), word)
	}
	for _, word := range []string{"", "chimny", "quillby", "boiler repair", "Reading"} {
		assert.False(t, English(word), word)
	}
}
