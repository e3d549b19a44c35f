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
	for _, tag := range Tags() {
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
		d := Of("en").Describe(n, in(known), 155)
		assert.LessOrEqual(t, len([]rune(d)), 155)
		assert.NotContains(t, d, "{")
		seen[d] = true
	}
	assert.Len(t, seen, 7)
	assert.Equal(t, "Masonry repair. By Ash Co.", Of("en").Describe(0, in(map[string]string{Phrase: "Masonry repair",
		Firm: "Ash Co."}), 155), "no towns, no telephone")
	assert.Empty(t, Of("en").Describe(3, in(nil), 155))
}

func ExampleTexts_List() {
	fmt.Println(Of("en").List([]string{"Ostrey", "Quillby", "Pell Crossing"}))
	fmt.Println(Of("fr").List([]string{"Saint-Orme", "Port-Brisé"}))
	// Output:
	// Ostrey, Quillby and Pell Crossing
	// Saint-Orme et Port-Brisé
}

// What a user changes of one language leaves the others, and what everybody starts with.
func TestLanguages(t *testing.T) {
	l := Standard()
	for _, tag := range Tags() {
		assert.Equal(t, Of(tag), l.Of(tag), tag)
	}
	assert.Equal(t, l.English, l.Of(""))
	assert.Equal(t, l.French, l.Of("fr-CA"))
	assert.Nil(t, l.In("nl"))
	l.In("fr").Standing[0].Heading = "Notre travail"
	assert.NotEqual(t, Of("fr"), l.Of("fr"))
	assert.Equal(t, Of("de"), l.Of("de"))
	assert.NotEqual(t, "Notre travail", Of("fr").Standing[0].Heading)
}

// A title holds as much as there is room for, and asks for nothing that is not known.
func TestTitle(t *testing.T) {
	known := map[string]string{Phrase: "Masonry repair Tarn Harbor", State: "ME", Firm: "Brindle & Ash Chimney",
		Brand: "Brindle & Ash"}
	for most, want := range map[int]string{60: "Masonry repair Tarn Harbor, ME | Brindle & Ash Chimney",
		50: "Masonry repair Tarn Harbor, ME | Brindle & Ash", 40: "Masonry repair Tarn Harbor, ME",
		28: "Masonry repair Tarn Harbor", 10: ""} {
		assert.Equal(t, want, Of("en").Title(in(known), most), most)
	}
	delete(known, State)
	assert.Equal(t, "Masonry repair Tarn Harbor | Brindle & Ash Chimney", Of("de").Title(in(known), 60))
}

// in tells what a map has.
func in(known map[string]string) Known { return func(blank string) string { return known[blank] } }
