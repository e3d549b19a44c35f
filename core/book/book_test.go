package book

import (
	"encoding/csv"
	"fmt"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/site"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func n(i int) *int { return &i }

// families makes a book of phrases by the standard rules.
func families(phrases []Phrase, g intent.Ground, choices map[string]Choice) []Family {
	return Families(Input{Phrases: phrases, Judge: intent.NewJudge(g), Choices: choices, Services: g.Services,
		Home:  "Tarn Harbor",
		Rules: StandardRules(), Visits: visits.Standard()})
}

func brindle() intent.Ground {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Pell Crossing"}, {Name: "Ostrey"},
		{Name: "Quillby"}}
	return intent.Ground{
		Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Trade: "chimney care",
		Lists: intent.EnglishLists(),
		Names: []string{"Brindle & Ash Chimney", "Harbor Flue & Hearth"},
		Services: []intent.Service{
			{Name: "chimney sweep", Words: []string{"chimney cleaning", "chimney cleaner", "flue cleaning",
				"fireplace cleaning"}},
			{Name: "masonry repair", Words: []string{"chimney repair"}},
		},
	}
}

// The worked example of rule 3.5: what is one family and what is not.
func TestBookFamilies(t *testing.T) {
	entries := []Phrase{
		{ID: 1, Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6), Position: n(14)},
		{ID: 2, Text: "tarn harbor chimney sweep", Volume: n(220), Difficulty: nil, Position: nil},
		{ID: 3, Text: "chimney sweep in tarn harbor", Volume: nil, Difficulty: nil, Position: nil},
		{ID: 4, Text: "chimney sweep tarn harbor me", Volume: nil, Difficulty: nil, Position: nil},
		{ID: 5, Text: "chimney sweeping tarn harbor", Volume: n(90), Difficulty: nil, Position: nil},
		{ID: 6, Text: "chimney company tarn harbor", Volume: n(20), Difficulty: nil, Position: nil},
		{ID: 7, Text: "best chimney sweep tarn harbor", Volume: n(30), Difficulty: nil, Position: nil},
		{ID: 8, Text: "chimney sweeper tarn harbor", Volume: n(10), Difficulty: nil, Position: nil},
		{ID: 9, Text: "chimney sweep cost", Volume: n(900), Difficulty: nil, Position: nil},
		{ID: 10, Text: "chimney sweep near me", Volume: n(500), Difficulty: n(40), Position: nil},
	}
	book := families(entries, brindle(), nil)
	byLead := map[string]Family{}
	for _, f := range book {
		byLead[f.Members[0].Text] = f
	}
	lead := byLead["chimney sweep tarn harbor"]
	assert.Len(t, lead.Members, 5)
	assert.Equal(t, book[0].Key, lead.Key, "the highest gain stands first")
	assert.InDelta(t, 380+(220+90)*.5, lead.Volume, 1e-9)
	assert.True(t, lead.Unknown)
	assert.True(t, lead.NearMiss)
	assert.Equal(t, 1, lead.Aimed)
	assert.Contains(t, byLead, "chimney company tarn harbor")
	assert.Contains(t, byLead, "best chimney sweep tarn harbor")
	assert.Contains(t, byLead, "chimney sweep near me")
	assert.False(t, byLead["chimney sweep cost"].Kept)
	assert.Equal(t, intent.Question, byLead["chimney sweep cost"].Intent)
	assert.Contains(t, byLead, "chimney sweeper tarn harbor")

	g := brindle()
	g.Language = phrase.LanguageOf("en", g.Language.Places, phrase.Corrections{Ties: phrase.Ties{{"sweep", "sweeper"}}})
	tied := families(entries, g, map[string]Choice{
		lead.Key: {State: Aside, Lead: "tarn harbor chimney sweep"}, byLead["chimney sweep cost"].Key: {State: Kept}})
	for _, f := range tied {
		switch f.Key {
		case lead.Key:
			assert.Len(t, f.Members, 6)
			assert.Equal(t, "tarn harbor chimney sweep", f.Members[0].Text)
			assert.False(t, f.Kept)
		case byLead["chimney sweep cost"].Key:
			assert.True(t, f.Kept)
		}
	}
}

// The order of import does not matter, and a phrase that has nothing to do
// with the others changes none of their families.
func TestBookProperties(t *testing.T) {
	f, err := os.Open("../intent/testdata/chimney.csv")
	require.NoError(t, err)
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	require.NoError(t, err)
	var entries []Phrase
	for i, r := range rows[1:] {
		volume, err := strconv.Atoi(r[1])
		require.NoError(t, err)
		e := Phrase{ID: int64(i), Text: r[0], Volume: n(volume)}
		if d, err := strconv.Atoi(r[2]); err == nil {
			e.Difficulty = n(d)
		}
		entries = append(entries, e)
	}
	book := families(entries, brindle(), nil)
	members := 0
	for _, f := range book {
		members += len(f.Members)
	}
	assert.Equal(t, len(entries), members)
	shuffled := append([]Phrase{}, entries...)
	rand.New(rand.NewPCG(1, 2)).Shuffle(len(shuffled), func(i, j int) {
		shuffled[i], shuffled[j] = shuffled[j], shuffled[i]
	})
	assert.Equal(t, book, families(shuffled, brindle(), nil))
	more := families(append(entries, Phrase{ID: 9999, Text: "zebra crossing paint"}), brindle(), nil)
	assert.Len(t, more, len(book)+1)
	byKey := map[string]Family{}
	for _, f := range book {
		byKey[f.Key] = f
	}
	for _, f := range more {
		if f.Members[0].ID != 9999 {
			assert.Equal(t, byKey[f.Key], f)
		}
	}
}

// What the user did by hand goes before the rules: a phrase parted from its
// family, one that joined it, and families put together.
func TestFamiliesByHand(t *testing.T) {
	g := brindle()
	g.Language = phrase.LanguageOf("en", g.Language.Places, phrase.Corrections{With: map[string]string{
		"tarn harbor chimney sweep":  "tarn harbor chimney sweep",
		"tarn harbor chimney sweeps": "tarn harbor chimney sweep",
		"chimney cleaner ostrey":     "chimney sweep ostrey",
		"sweep tarn harbor":          "nowhere in the book",
	}})
	var entries []Phrase
	for i, text := range []string{"chimney sweep tarn harbor", "Tarn Harbor chimney sweep",
		"tarn harbor chimney sweeps", "chimney sweeping tarn harbor",
		"chimney sweep ostrey", "chimney cleaner ostrey", "sweep tarn harbor"} {
		entries = append(entries, Phrase{ID: int64(i), Text: text, Volume: n(100 - i)})
	}
	var got []string
	for _, f := range families(entries, g, nil) {
		var members []string
		for _, m := range f.Members {
			members = append(members, m.Text)
		}
		got = append(got, strings.Join(members, ", "))
	}
	assert.ElementsMatch(t, []string{"chimney sweep tarn harbor, chimney sweeping tarn harbor",
		"Tarn Harbor chimney sweep, tarn harbor chimney sweeps",
		"chimney sweep ostrey, chimney cleaner ostrey", "sweep tarn harbor"}, got)
}

func TestWorth(t *testing.T) {
	g := brindle()
	g.Services[0].Worth = 250
	f := Families(Input{Phrases: []Phrase{{Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6)}},
		Judge: intent.NewJudge(g),
		Rules: StandardRules(), Visits: visits.Standard(), Customers: 4})[0]
	assert.InDelta(t, 125.4, f.Gain, 1e-9)
	assert.InDelta(t, 1254, f.Worth, 1e-9)
}

// A phrase that was typed for a page is kept, and that page carries its family,
// whatever the rules say of it (rule 9.1).
func TestTypedForAPage(t *testing.T) {
	g := intent.Ground{Language: phrase.LanguageOf("en", nil, phrase.Corrections{}), Lists: intent.EnglishLists(),
		Names: []string{"lantern.example"}}
	book := Families(Input{
		Phrases: []Phrase{{ID: 1, Text: "soot removal", Page: 7, Typed: 2},
			{ID: 2, Text: "chimney sweep tarn harbor", Page: 7, Typed: 1},
			{ID: 3, Text: "sweep chimneys tarn harbor"}, {ID: 4, Text: "roof repair"},
			{ID: 5, Text: "flue liner", Page: 99, Typed: 3}},
		Judge: intent.NewJudge(g), Pages: []Carrying{{ID: 7, Kind: site.Home}}, Rules: StandardRules(),
		Visits: visits.Standard(),
	})
	var leads []string
	for _, f := range OfPage(book, 7, "", 12) {
		leads = append(leads, f.Lead().Text)
	}
	assert.Equal(t, []string{"chimney sweep tarn harbor", "soot removal", "flue liner"}, leads,
		"as they were typed; a page that is gone leaves it to the rules")
	assert.Len(t, book[0].Members, 2)
	assert.False(t, book[3].Kept)
	assert.Empty(t, OfPage(book, 0, "", 12))

	aside := Families(Input{Phrases: []Phrase{{ID: 1, Text: "soot removal", Page: 7, Typed: 1}},
		Judge:   intent.NewJudge(g),
		Choices: map[string]Choice{book[1].Key: {State: Aside}}, Pages: []Carrying{{ID: 7, Kind: site.Home}},
		Rules: StandardRules(), Visits: visits.Standard()})
	assert.False(t, aside[0].Kept, "the user goes before what was typed")
}

// rule 9.1, with pages that are there and pages that are not.
func TestCarriers(t *testing.T) {
	services := brindle().Services
	family := func(service, town string, gain float64) Family {
		f := Family{Judgement: intent.Judgement{Service: service, Place: town}, Kept: true, Members: []Phrase{{}}}
		f.Gain, f.RowVolume, f.Key = gain, gain, fmt.Sprint(service, town, gain)
		return f
	}
	near := func(f Family) Family { f.Near = true; return f }
	typed := func(f Family, page int64) Family { f.Members = []Phrase{{}, {Page: page, Typed: 1}}; return f }
	const home, main, masonry = "Tarn Harbor", "chimney sweep", "masonry repair"
	aside := family(main, home, 9)
	aside.Kept = false
	for name, c := range map[string]struct {
		pages    []Carrying
		families []Family
		want     []Carrier
	}{
		"no site": {nil,
			[]Family{family(main, home, 100), family("", "", 9), family(masonry, home, 1),
				family(masonry, "Ostrey", 2)},
			[]Carrier{{site.Home, "", nil}, {site.Home, "", nil}, {site.Service, masonry, nil},
				{site.Service, masonry, nil}}},
		"a place is worth a page by all its families": {[]Carrying{{ID: 1, Kind: site.Home}},
			[]Family{family(main, "Ostrey", 3), family(masonry, "Ostrey", 2), family(main, "Quillby", 4.9)},
			[]Carrier{{site.Area, "Ostrey", nil}, {site.Area, "Ostrey", nil}, {site.Home, "", []int64{1}}}},
		"a place that has a page": {[]Carrying{{ID: 1, Kind: site.Home}, {ID: 2, Kind: site.Area, Place: "Ostrey"},
			{ID: 3, Kind: site.Service, Service: masonry, Place: "Ostrey"}},
			[]Family{family(main, "Ostrey", .1), family(masonry, "Ostrey", .1)},
			[]Carrier{{site.Area, "Ostrey", []int64{2}}, {site.Service, masonry, []int64{3}}}},
		"a place whose page is for the main service": {
			[]Carrying{{ID: 1, Kind: site.Home}, {ID: 2, Kind: site.Area, Service: main, Place: "Ostrey"}},
			[]Family{family(main, "Ostrey", 9), family(masonry, "Ostrey", 9)},
			[]Carrier{{site.Area, "Ostrey", []int64{2}}, {site.Area, "Ostrey", []int64{2}}}},
		"two pages for one family": {[]Carrying{{ID: 1, Kind: site.Home}, {ID: 2, Kind: site.Service, Service: masonry},
			{ID: 3, Kind: site.Service, Service: masonry, Place: home}},
			[]Family{family(masonry, home, 9), family(masonry, "", 9)},
			[]Carrier{{site.Service, masonry, []int64{2, 3}}, {site.Service, masonry, []int64{2, 3}}}},
		"the page of which more says what it is for, then the one with more copy": {[]Carrying{
			{ID: 1, Kind: site.Service, Service: masonry, Says: 1, Copy: 900},
			{ID: 2, Kind: site.Service, Service: masonry, Says: 3, Copy: 100},
			{ID: 3, Kind: site.Service, Service: masonry, Says: 3, Copy: 400}},
			[]Family{family(masonry, home, 9)}, []Carrier{{site.Service, masonry, []int64{3, 2, 1}}}},
		"the main service with a page of its own": {
			[]Carrying{{ID: 1, Kind: site.Home}, {ID: 2, Kind: site.Service, Service: main}},
			[]Family{near(family(main, "", 150)), family(main, home, 100), family(main, "", 50),
				family(main, home, 10)},
			[]Carrier{{site.Service, main, []int64{2}}, {site.Home, "", []int64{1}}, {site.Service, main, []int64{2}},
				{site.Service, main, []int64{2}}}},
		"typed for a page": {[]Carrying{{ID: 1, Kind: site.Home}, {ID: 2, Kind: site.About},
			{ID: 3, Kind: site.Area, Place: "Ostrey"}},
			[]Family{typed(family(masonry, home, 9), 1), typed(family("", "", 1), 2),
				typed(family(masonry, home, 1), 3)},
			[]Carrier{{site.Home, "", []int64{1}}, {site.About, "", []int64{2}}, {site.Area, "Ostrey", []int64{3}}}},
		"not kept": {nil, []Family{aside}, []Carrier{{}}},
	} {
		t.Run(name, func(t *testing.T) {
			assign(c.families, Input{Pages: c.pages, Services: services, Home: home, Rules: StandardRules()})
			var got []Carrier
			for _, f := range c.families {
				got = append(got, f.Carrier)
			}
			assert.Equal(t, c.want, got)
		})
	}
}

func TestCandidates(t *testing.T) {
	list := Candidates(brindle().Services[:1], brindle().Language.Places, Patterns)
	assert.Contains(t, list, "chimney sweep tarn harbor me")
	assert.Contains(t, list, "chimney sweep tarn harbor maine")
	assert.Contains(t, list, "emergency flue cleaning quillby")
	assert.Contains(t, list, "chimney cleaning near me")
	assert.NotContains(t, list, "chimney sweep ostrey ")
	seen := map[string]bool{}
	for _, c := range list {
		assert.False(t, seen[c], c)
		seen[c] = true
	}
	// 5 words, 4 places: 8 patterns with a place, two with the home town's state,
	// and near me once.
	assert.Len(t, list, 5*(4*8+2+1))
}

// rule 3.5: what is there in a slip of spelling alone leads nothing, and no page asks for it.
func TestMisspelled(t *testing.T) {
	g := brindle()
	g.Guesses = map[string]string{"chimny": "chimney"}
	searches := 90
	families := Families(Input{Judge: intent.NewJudge(g), Home: "Tarn Harbor", Rules: StandardRules(),
		Visits: visits.Standard(), Slips: map[string]bool{"chimny": true},
		Phrases: []Phrase{{ID: 1, Text: "chimny sweep ostrey", Volume: &searches},
			{ID: 2, Text: "chimney sweep tarn harbor"}}})
	for _, f := range families {
		assert.Equal(t, f.Lead().ID == 1, f.Misspelled, f.Lead().Text)
		assert.Equal(t, f.Lead().ID == 1, f.Waits(), f.Lead().Text)
	}
	assert.Zero(t, WaitingOf(families).Families, "there is nothing to judge of it")
}
