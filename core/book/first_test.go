package book

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
)

// A page is for what is searched for most, not for what it would gain most by: who ranks first for its phrase is not
// told to write for another one (rules 9.1, 9.2).
func TestFirstOfAPage(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}}
	ground := intent.Ground{Language: phrase.LanguageOf("en", places, phrase.Corrections{}),
		Lists:    intent.EnglishLists(),
		Services: []intent.Service{{Name: "chimney sweep", Words: []string{"chimney cleaning"}}, {Name: "flue liner"}}}
	phrases := []Phrase{
		{ID: 1, Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6), Position: n(1)},
		{ID: 2, Text: "chimney cleaning tarn harbor", Volume: n(240), Difficulty: n(6), Position: n(30)},
		{ID: 3, Text: "best chimney sweep tarn harbor", Volume: n(90), Difficulty: n(6)},
		{ID: 4, Text: "chimney sweep near me", Volume: n(900), Area: visits.Town}}
	leads := func(page int64, kept string, pages ...Carrying) (out []string) {
		all := Families(Input{Phrases: phrases, Judge: intent.NewJudge(ground), Pages: pages, Services: ground.Services,
			Home: "Tarn Harbor", Rules: StandardRules(), Visits: visits.Standard()})
		for _, f := range OfPage(all, page, kept, 12) {
			out = append(out, f.Lead().Text)
		}
		return out
	}
	home := Carrying{ID: 7, Kind: site.Home}
	assert.Equal(t, []string{"chimney sweep tarn harbor", "chimney cleaning tarn harbor"}, leads(7, "", home)[:2])

	cleaning := phrase.New("chimney cleaning tarn harbor", ground.Language).Family()
	kept := home
	kept.First = cleaning
	assert.Equal(t, []string{"chimney cleaning tarn harbor", "chimney sweep tarn harbor"}, leads(7, cleaning, kept)[:2],
		"as somebody kept it")
	assert.Equal(t, leads(7, "", home), leads(7, "a family that is gone", home))

	// A page of the main service has its other families, home the first one.
	sweep := Carrying{ID: 8, Kind: site.Service, Service: "chimney sweep"}
	assert.Equal(t, []string{"chimney sweep tarn harbor"}, leads(7, "", home, sweep))
	assert.Equal(t, []string{"chimney cleaning tarn harbor"}, leads(8, "", home, sweep)[:1])
	assert.Equal(t, []string{"chimney cleaning tarn harbor"}, leads(7, cleaning, kept, sweep))
}

func TestFirstFirst(t *testing.T) {
	row := func(key string, volume float64, near bool) Family {
		f := Family{Key: key, Members: []Phrase{{Text: key}}, RowVolume: volume}
		f.Near = near
		return f
	}
	list := []Family{row("c", 1, false), row("b", 5, false), row("d", 9, true), row("aa", 5, false)}
	keys := func(kept string) (out []string) {
		for _, f := range FirstFirst(list, kept) {
			out = append(out, f.Key)
		}
		return out
	}
	assert.Equal(t, []string{"b", "c", "d", "aa"}, keys(""), "of two alike the shorter one")
	assert.Equal(t, []string{"aa", "c", "b", "d"}, keys("aa"))
	assert.Equal(t, []string{"b", "c", "d", "aa"}, keys("d"), "near me is no page's first")
	assert.Empty(t, FirstFirst(nil, "x"))
}
