package copy

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Each language has what the rules ask for, each text once, with the phrase in it; none speaks of typing or
// searching.
func TestTexts(t *testing.T) {
	for _, tag := range Languages() {
		texts := Of(tag + "-XX")
		assert.GreaterOrEqual(t, len(texts.Descriptions), 8, tag)
		assert.GreaterOrEqual(t, len(texts.Sentences), 12, tag)
		assert.Len(t, texts.Standing, 4, tag)
		all := slices.Concat(texts.Descriptions, texts.Sentences)
		for i, s := range all {
			assert.Contains(t, s, Phrase, tag)
			assert.NotContains(t, all[:i], s, tag)
			for _, word := range []string{"type", "search", "tapez", "cherch", "recherch", "tippen", "such", "busc",
				"escrib"} {
				assert.NotContains(t, strings.ToLower(s), word, "%s: %s", tag, s)
			}
		}
		for _, s := range []string{texts.Services, texts.Questions, texts.Towns, texts.About, texts.Picture,
			texts.And} {
			assert.NotEmpty(t, s, tag)
		}
	}
	assert.Equal(t, Of("en"), Of(""))
	assert.Equal(t, []string{"{phrase}. {firm}, {phone}."}, Of("nl").Descriptions, "the bare phrase")
}

// Pages get descriptions of their own; what is not known is not said, and none is too long.
func TestDescribe(t *testing.T) {
	known := map[string]string{Phrase: "Masonry repair Tarn Harbor, ME", Firm: "Brindle & Ash Chimney",
		Phone: "207-555-0134"}
	seen := map[string]bool{}
	for n := range 7 {
		d := Of("en").Describe(n, known, 155)
		assert.LessOrEqual(t, len([]rune(d)), 155)
		assert.NotContains(t, d, "{")
		seen[d] = true
	}
	assert.Len(t, seen, 7)
	assert.Equal(t, "Masonry repair. By Ash Co.", Of("en").Describe(0, map[string]string{Phrase: "Masonry repair",
		Firm: "Ash Co."}, 155), "no towns, no telephone")
	assert.Empty(t, Of("en").Describe(3, nil, 155))
}

func ExampleTexts_List() {
	fmt.Println(Of("en").List([]string{"Ostrey", "Quillby", "Pell Crossing"}))
	fmt.Println(Of("fr").List([]string{"Saint-Orme", "Port-Brisé"}))
	// Output:
	// Ostrey, Quillby and Pell Crossing
	// Saint-Orme et Port-Brisé
}

// Each language has its own sentences, and what a user changes of one leaves the others.
func TestSentences(t *testing.T) {
	s := StandardSentences()
	for _, tag := range Languages() {
		assert.Equal(t, Of(tag).Sentences, s.Of(tag), tag)
	}
	assert.Equal(t, s.English, s.Of(""))
	assert.Equal(t, s.French, s.Of("fr-CA"))
	assert.Empty(t, s.Of("nl"))
	s.French[0] = "Parlons de {phrase}."
	assert.NotEqual(t, Of("fr").Sentences[0], s.Of("fr")[0])
}
