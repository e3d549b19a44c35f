package sheet

import (
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// Whatever language a page says that it is in, a family's figures stand in its
// own row: they are those of the family measured by itself. Phrases of one
// family in one language may be of two in another.
func TestRowsOfAnyLanguage(t *testing.T) {
	tags := []string{"", "en", "en-US", "fr", "fr-CA", "de", "es", "ja", "xx", "no such tag", "pt_BR"}
	phrases := []string{"ramonage cheminée ostrey", "ramonages de cheminées ostrey", "nettoyage poêle ostrey",
		"chimney sweep ostrey", "chimney sweeping ostrey",
		"sweeps chimneys ostrey", "flue liner ostrey", "services de ramonage ostrey", "Schornstein fegen ostrey",
		"Schornsteine fegen ostrey", "ramonage près de moi"}
	word := rapid.SampledFrom([]string{"ramonage", "cheminée", "cheminées", "chimney", "sweeping", "Ostrey", "de",
		"flue", "liner", "poêle", "Schornsteine", "fegen.", "<p>", "<h2>", "</h2>"})
	rapid.Check(t, func(t *rapid.T) {
		language := phrase.LanguageOf(rapid.SampledFrom(tags).Draw(t, "client"),
			[]place.Place{{Name: "Ostrey", Home: true}}, phrase.Corrections{})
		all := NewCriteria(Asked{Phrases: rapid.Permutation(phrases).Draw(t, "phrases"), Language: language})
		for range 3 {
			body := "<html lang='" + rapid.SampledFrom(tags).Draw(t, "page") + "'>" +
				strings.Join(rapid.SliceOfN(word, 0, 40).Draw(t, "body"), " ")
			p := page.Read([]byte(body), page.Source{})
			c := Measure(p, all)
			assert.Len(t, c.Families, len(all.Families))
			for _, f := range all.Families {
				var members []string
				for _, m := range f.Members {
					members = append(members, all.Phrases[m])
				}
				alone := all.For(members...)
				assert.Len(t, alone.Families, 1)
				assert.Equal(t, f.Key, alone.Families[0].Key)
				assert.Equal(t, Measure(p, alone).Families[0], c.Family(f.Key), "%v in %s", members, body)
				assert.Len(t, Marks(p, all, f.Key), len(Marks(p, alone, f.Key)))
			}
		}
	})
}

func TestFamilyOf(t *testing.T) {
	c := NewCriteria(Asked{Phrases: []string{"chimney sweep ostrey", "ostrey chimney sweeps", "flue liner"}})
	key, ok := c.FamilyOf(" Ostrey  chimney-sweeps!")
	assert.True(t, ok)
	assert.Equal(t, c.Families[0].Key, key)
	_, ok = c.FamilyOf("chimney")
	assert.False(t, ok)
	column := Measure(page.Read([]byte("<p>Flue liner"), page.Source{}), c)
	assert.Equal(t, 1, column.Phrase("Flue liner").Exact.Body)
	assert.Zero(t, column.Phrase("chimney"))
	assert.Zero(t, column.Family("chimney"))
}
