package plan

import (
	"strings"
	"testing"
	"unicode/utf8"

	"inktally/core/outline"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
)

func TestProposedTexts(t *testing.T) {
	q := asked("chimney sweep tarn harbor", "tarn harbor chimney sweep")
	for _, c := range []struct{ name, firm, phrase, title, description string }{
		{"all of it", "Brindle & Ash", "chimney sweep tarn harbor", "Chimney sweep Tarn Harbor, ME | Brindle & Ash",
			"Chimney sweep Tarn Harbor, ME. Brindle & Ash also works in Ostrey, Quillby and Wick Island. Call " +
				"207-555-0134."},
		{"no room for the state", strings.Repeat("n", 31), "chimney sweep tarn harbor",
			"Chimney sweep Tarn Harbor | " + strings.Repeat("n", 31), ""},
		{"no room for the name", strings.Repeat("n", 60), "chimney sweep tarn harbor", "Chimney sweep Tarn Harbor, ME",
			""},
		{"no town at its end", "Brindle & Ash", "tarn harbor chimney sweep",
			"Tarn Harbor chimney sweep | Brindle & Ash", ""},
		{"nothing known", "", "chimney sweep tarn harbor", "Chimney sweep Tarn Harbor, ME", ""},
	} {
		t.Run(c.name, func(t *testing.T) {
			b := StandardRules().builder(&Aim{Kind: site.Home, Criteria: q,
				Phone: "207-555-0134", Topics: outline.Topics{
					Firm: c.firm, Towns: []string{"Ostrey", "Quillby", "Wick Island"}}})
			title := b.proposal(Title, c.phrase)
			assert.Equal(t, c.title, title)
			assert.LessOrEqual(t, utf8.RuneCountInString(title), longestTitle)
			assert.LessOrEqual(t, utf8.RuneCountInString(b.proposal(Description, c.phrase)), longestDescription)
			if c.description != "" {
				assert.Equal(t, c.description, b.proposal(Description, c.phrase))
			}
			read := sheet.Measure(read("<title>"+title+"</title><h1>"+b.proposal(H1, c.phrase)+"</h1>"), q)
			assert.Equal(t, 1, read.Phrase(c.phrase).Exact.Title)
			assert.Equal(t, 1, read.Phrase(c.phrase).Exact.H1)
		})
	}
}
