package proposal

import (
	"strings"
	"testing"
	"unicode/utf8"

	"inktally/core/copy"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

var places = []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}}

func page(firm string) Page {
	return Page{Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Texts: copy.Of("en"), Places: places,
		Firm: firm, Phone: "207-555-0134", Services: []string{"chimney sweep", "chimney cleaning"},
		Towns: []string{"Ostrey", "Quillby", "Wick Island"}}
}

func TestTitle(t *testing.T) {
	for _, c := range []struct{ name, firm, phrase, want string }{
		{"all of it", "Brindle & Ash", "chimney sweep tarn harbor", "Chimney sweep Tarn Harbor, ME | Brindle & Ash"},
		{"the brand words alone", "The Brindle and Ash Brothers Chimney", "chimney sweep tarn harbor",
			"Chimney sweep Tarn Harbor, ME | The Brindle and Ash Brothers"},
		{"no room for the name", strings.Repeat("n", 31), "chimney sweep tarn harbor",
			"Chimney sweep Tarn Harbor, ME"},
		{"no town at its end", "Brindle & Ash", "tarn harbor chimney sweep",
			"Tarn Harbor chimney sweep | Brindle & Ash"},
		{"nothing known", "", "chimney sweep tarn harbor", "Chimney sweep Tarn Harbor, ME"},
	} {
		t.Run(c.name, func(t *testing.T) { assert.Equal(t, c.want, page(c.firm).Title(c.phrase)) })
	}
}

func TestDescription(t *testing.T) {
	p := page("Brindle & Ash")
	assert.Equal(t, "Chimney sweep Tarn Harbor, ME. Brindle & Ash also works in Ostrey, Quillby and Wick "+
		"Island. Call 207-555-0134.", p.Description("chimney sweep tarn harbor"))
	p.Turn++
	assert.NotContains(t, p.Description("chimney sweep tarn harbor"), "also works in", "another page, another one")
	assert.Empty(t, Page{}.Description("chimney sweep"))
}

// The slug takes the place of the last part of today's address.
func TestAddress(t *testing.T) {
	for url, want := range map[string]string{
		"":                                     "/termite-treatment-dunmere/",
		"http://a.example/":                    "/termite-treatment-dunmere/",
		"http://a.example/termites.html":       "/termite-treatment-dunmere.html",
		"http://a.example/services/termites/":  "/services/termite-treatment-dunmere/",
		"http://a.example/services/termites":   "/services/termite-treatment-dunmere",
		"http://a.example/index.php?page=bugs": "/termite-treatment-dunmere/",
		"http://a.example/%zz":                 "/termite-treatment-dunmere/",
	} {
		assert.Equal(t, want, Page{URL: url}.Address("termite treatment dunmere"), url)
	}
	assert.Empty(t, Page{}.Address("?"))
}

// Whatever is known, a title and a description are no longer than a page may show, and say the phrase.
func TestLengths(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := page(rapid.StringN(0, 90, -1).Draw(t, "firm"))
		p.Turn = rapid.IntRange(0, 20).Draw(t, "turn")
		const phrase = "chimney sweep tarn harbor"
		title := p.Title(phrase)
		assert.LessOrEqual(t, utf8.RuneCountInString(title), longestTitle)
		assert.LessOrEqual(t, utf8.RuneCountInString(p.Description(phrase)), longestDescription)
		assert.Contains(t, title, "Chimney sweep Tarn Harbor")
	})
}
