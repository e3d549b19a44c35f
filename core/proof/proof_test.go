package proof

import (
	"strings"
	"testing"

	"inktally/core/finding"
	"inktally/core/intent"
	"inktally/core/outline"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/plan"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
)

var (
	places   = []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}, {Name: "Quillby"}}
	english  = phrase.LanguageOf("en", places, phrase.Corrections{})
	criteria = sheet.NewCriteria(sheet.Asked{Phrases: []string{"masonry repair ostrey", "flue liner ostrey"},
		Language: english, Services: []string{"masonry repair"},
		Place: places[1], PlacesBound: true})
)

func words(n int) string { return strings.Repeat("word ", n) }

// proved proves a draft for the area page of Ostrey, whose menus and footer have 20 words.
func proved(draft string) Report {
	var families []plan.Stake
	for _, f := range criteria.Families {
		families = append(families, plan.Stake{Key: f.Key, Text: criteria.Phrases[f.Members[0]], Gain: 10,
			Known: true})
	}
	return Of(Input{Rules: plan.StandardRules(), Draft: page.Read([]byte(draft), page.Source{}),
		Page: plan.Aim{Key: "p1", Kind: site.Area, Place: "Ostrey", URL: "http://brindleandash.example/ostrey/",
			Criteria: criteria, Families: families, Frame: 20,
			Topics: outline.Topics{Firm: "Brindle", Services: []outline.Topic{{Name: "masonry repair"}}}},
		Survey: site.Survey{Binder: site.NewBinder(english, []intent.Service{{Name: "masonry repair"}}, nil),
			Places: places,
			Low:    func(site.Kind) int { return 500 }}})
}

func keys(parts []plan.Part) (out []string) {
	for _, p := range parts {
		out = append(out, p.Key)
	}
	return out
}

func TestProof(t *testing.T) {
	const first, other = "masonri ostrey repair", "flue liner ostrey"
	r := proved("<h1>Masonry repair Ostrey</h1><p>Masonry repair Ostrey. " + words(97) +
		"</p><h2>Masonry repair in Ostrey</h2><p>In Quillby we " + words(30) +
		"</p><p>Quillby and nearby towns.</p>")
	assert.Equal(t, 480, r.Wanted, "the target of 500 less menus and footer")
	assert.Equal(t, r.Wanted-r.Copy, r.Left)
	assert.True(t, r.Short())
	assert.Contains(t, keys(r.Met), "h1: "+first)
	assert.Contains(t, keys(r.Missing), "body: "+other, "it is of no section's service")
	assert.NotContains(t, keys(r.Missing), "title: "+first, "text has no title")
	var types []finding.Type
	for _, f := range r.Wrong {
		types = append(types, f.Type)
	}
	assert.Contains(t, types, finding.VagueAreaWords)
	left := 0
	for _, s := range r.Sections {
		left += s.Words
	}
	assert.Equal(t, r.Left, left, "words left by section")

	p := proved("<title>Home</title><img src=a.jpg>" + words(10))
	assert.Contains(t, keys(p.Missing), "title: "+first)
	assert.Contains(t, keys(p.Missing), "alt: "+first)
	over := proved("<p>" + strings.Repeat("Masonry repair Ostrey. Then more. ", 40))
	assert.Contains(t, keys(over.Over), "cut_back: "+first)
	assert.Positive(t, proved("").Left)
	assert.Empty(t, proved("").Met)
}

// A draft that does all that its report asks for is not short any more.
func TestProofOfAGoodDraft(t *testing.T) {
	r := proved("<h1>Masonry repair Ostrey</h1><p>Masonry repair Ostrey. " + words(240) +
		"</p><h2>Masonry repair Ostrey</h2><p>" + words(240) +
		"</p><h2>Flue liner Ostrey</h2><p>Flue liner Ostrey.</p>")
	assert.False(t, r.Short(), "%v %v %v %d", keys(r.Missing), keys(r.Over), r.Wrong, r.Left)
	assert.True(t, r.Hold)
	assert.NotEmpty(t, r.Met)
}
