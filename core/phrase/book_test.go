package phrase

import (
	"encoding/csv"
	"math/rand/v2"
	"os"
	"strconv"
	"strings"
	"testing"

	"inktally/core/place"
	"inktally/core/text"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func n(i int) *int { return &i }

var rules = Rules{Visits: visits.Standard()}

// The worked example of MEASURES 3.5: what is one family and what is not.
func TestBookFamilies(t *testing.T) {
	entries := []BookPhrase{
		{ID: 1, Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6), Position: n(14)}, {ID: 2, Text: "tarn harbor chimney sweep", Volume: n(220), Difficulty: nil, Position: nil},
		{ID: 3, Text: "chimney sweep in tarn harbor", Volume: nil, Difficulty: nil, Position: nil}, {ID: 4, Text: "chimney sweep tarn harbor me", Volume: nil, Difficulty: nil, Position: nil},
		{ID: 5, Text: "chimney sweeping tarn harbor", Volume: n(90), Difficulty: nil, Position: nil}, {ID: 6, Text: "chimney company tarn harbor", Volume: n(20), Difficulty: nil, Position: nil},
		{ID: 7, Text: "best chimney sweep tarn harbor", Volume: n(30), Difficulty: nil, Position: nil}, {ID: 8, Text: "chimney sweeper tarn harbor", Volume: n(10), Difficulty: nil, Position: nil},
		{ID: 9, Text: "chimney sweep cost", Volume: n(900), Difficulty: nil, Position: nil}, {ID: 10, Text: "chimney sweep near me", Volume: n(500), Difficulty: n(40), Position: nil},
	}
	s := NewSorter(brindle())
	book := Book(entries, s, rules, nil)
	byLead := map[string]BookFamily{}
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
	assert.Equal(t, Research, byLead["chimney sweep cost"].Intent)
	assert.Contains(t, byLead, "chimney sweeper tarn harbor")

	g := brindle()
	g.Language = LanguageOf("en", g.Language.Places, Said{Ties: Ties{{"sweep", "sweeper"}}})
	tied := Book(entries, NewSorter(g), rules, map[string]FamilyChoice{
		lead.Key: {State: "aside", Lead: "tarn harbor chimney sweep"}, byLead["chimney sweep cost"].Key: {State: "kept"}})
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
	f, err := os.Open("testdata/chimney.csv")
	require.NoError(t, err)
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	require.NoError(t, err)
	var entries []BookPhrase
	for i, r := range rows[1:] {
		volume, err := strconv.Atoi(r[1])
		require.NoError(t, err)
		e := BookPhrase{ID: int64(i), Text: r[0], Volume: n(volume)}
		if d, err := strconv.Atoi(r[2]); err == nil {
			e.Difficulty = n(d)
		}
		entries = append(entries, e)
	}
	s := NewSorter(brindle())
	book := Book(entries, s, rules, nil)
	members := 0
	for _, f := range book {
		members += len(f.Members)
	}
	assert.Equal(t, len(entries), members)
	shuffled := append([]BookPhrase{}, entries...)
	rand.New(rand.NewPCG(1, 2)).Shuffle(len(shuffled), func(i, j int) { shuffled[i], shuffled[j] = shuffled[j], shuffled[i] })
	assert.Equal(t, book, Book(shuffled, s, rules, nil))
	more := Book(append(entries, BookPhrase{ID: 9999, Text: "zebra crossing paint"}), s, rules, nil)
	assert.Len(t, more, len(book)+1)
	byKey := map[string]BookFamily{}
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
	g.Language = LanguageOf("en", g.Language.Places, Said{With: map[string]string{
		"tarn harbor chimney sweep":  "tarn harbor chimney sweep",
		"tarn harbor chimney sweeps": "tarn harbor chimney sweep",
		"chimney cleaner ostrey":     "chimney sweep ostrey",
		"sweep tarn harbor":          "nowhere in the book",
	}})
	var entries []BookPhrase
	for i, text := range []string{"chimney sweep tarn harbor", "Tarn Harbor chimney sweep", "tarn harbor chimney sweeps", "chimney sweeping tarn harbor",
		"chimney sweep ostrey", "chimney cleaner ostrey", "sweep tarn harbor"} {
		entries = append(entries, BookPhrase{ID: int64(i), Text: text, Volume: n(100 - i)})
	}
	var got []string
	for _, f := range Book(entries, NewSorter(g), rules, nil) {
		var members []string
		for _, m := range f.Members {
			members = append(members, m.Text)
		}
		got = append(got, strings.Join(members, ", "))
	}
	assert.ElementsMatch(t, []string{"chimney sweep tarn harbor, chimney sweeping tarn harbor", "Tarn Harbor chimney sweep, tarn harbor chimney sweeps",
		"chimney sweep ostrey, chimney cleaner ostrey", "sweep tarn harbor"}, got)
}

// Words tied as one, and other spellings of a place, share a family and are
// found in texts.
func TestTiesInTexts(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true, Spellings: []string{"Tarn Harbour", "Tarnharbor"}}}
	lang := LanguageOf("en", places, Said{Ties: Ties{{"sweep", "cleaner", "brusher"}}})
	assert.Equal(t, New("chimney sweep tarn harbor", lang).key, New("cleaners for chimneys tarnharbor me", lang).key)
	assert.Equal(t, New("chimney sweep tarn harbor", lang).key, New("tarn harbour chimney brusher", lang).key)
	list := []Phrase{New("chimney sweep tarn harbor", lang)}
	Compile(list, lang)
	m := Compile(list, lang) // a language serves several matchers
	for s, want := range map[string]int{
		"A brusher for each chimney of Tarn Harbour":  1,
		"Cleaners of chimneys, all over Tarn Harbor.": 1,
		"A mason for each chimney of Tarn Harbor":     0,
	} {
		scan := &text.Scan{Text: s}
		scan.AppendLabel(0, len(s))
		assert.Len(t, m.Finder(scan).Find(0, len(scan.Tokens)), want, s)
	}
}

// Other languages have their stemmer's small words, and the user's.
func TestOtherLanguages(t *testing.T) {
	french := LanguageOf("fr-CA", nil, Said{})
	assert.Equal(t, New("ramonage de cheminées", french).key, New("cheminée ramonage", french).key)
	german := LanguageOf("de", nil, Said{Small: []string{"in der", "für"}})
	assert.Equal(t, New("schornsteinfeger in ostrey", german).key, New("ostrey schornsteinfeger", german).key)
	assert.Equal(t, Lists{}, ListsFor("de"))
	assert.NotEmpty(t, ListsFor("en-GB").Hire)
}

func TestWorth(t *testing.T) {
	g := brindle()
	g.Services[0].Worth = 250
	paid := rules
	paid.Customers = 4
	book := Book([]BookPhrase{{Text: "chimney sweep tarn harbor", Volume: n(380), Difficulty: n(6)}}, NewSorter(g), paid, nil)
	assert.InDelta(t, 114, book[0].Gain, 1e-9)
	assert.InDelta(t, 114*.04*250, book[0].Worth, 1e-9)
}

// MEASURES 9.1, with pages that are there and pages that are not.
func TestCarriers(t *testing.T) {
	services := brindle().Services
	family := func(service, place string, gain float64) BookFamily {
		f := BookFamily{Told: Told{Service: service, Place: place}, Kept: true}
		f.Gain = gain
		return f
	}
	near := func(f BookFamily) BookFamily { f.Near = true; return f }
	const home, main, masonry = "Tarn Harbor", "chimney sweep", "masonry repair"
	for name, c := range map[string]struct {
		pages    []SitePage
		families []BookFamily
		want     []Carrier
	}{
		"no site": {nil,
			[]BookFamily{family(main, home, 100), family("", "", 9), family(masonry, home, 1), family(masonry, "Ostrey", 2)},
			[]Carrier{{OnHome, "", nil}, {OnHome, "", nil}, {OnService, masonry, nil}, {OnService, masonry, nil}}},
		"a place is worth a page by all its families": {[]SitePage{{ID: 1, Kind: OnHome}},
			[]BookFamily{family(main, "Ostrey", 3), family(masonry, "Ostrey", 2), family(main, "Quillby", 4.9)},
			[]Carrier{{OnArea, "Ostrey", nil}, {OnArea, "Ostrey", nil}, {OnHome, "", []int64{1}}}},
		"a place that has a page": {[]SitePage{{ID: 1, Kind: OnHome}, {ID: 2, Kind: OnArea, Place: "Ostrey"}, {ID: 3, Kind: OnService, Service: masonry, Place: "Ostrey"}},
			[]BookFamily{family(main, "Ostrey", .1), family(masonry, "Ostrey", .1)},
			[]Carrier{{OnArea, "Ostrey", []int64{2}}, {OnService, masonry, []int64{3}}}},
		"a place whose page is for the main service": {[]SitePage{{ID: 1, Kind: OnHome}, {ID: 2, Kind: OnArea, Service: main, Place: "Ostrey"}},
			[]BookFamily{family(main, "Ostrey", 9), family(masonry, "Ostrey", 9)},
			[]Carrier{{OnArea, "Ostrey", []int64{2}}, {OnArea, "Ostrey", []int64{2}}}},
		"two pages for one family": {[]SitePage{{ID: 1, Kind: OnHome}, {ID: 2, Kind: OnService, Service: masonry}, {ID: 3, Kind: OnService, Service: masonry, Place: home}},
			[]BookFamily{family(masonry, home, 9), family(masonry, "", 9)},
			[]Carrier{{OnService, masonry, []int64{2, 3}}, {OnService, masonry, []int64{2, 3}}}},
		"the main service with a page of its own": {[]SitePage{{ID: 1, Kind: OnHome}, {ID: 2, Kind: OnService, Service: main}},
			[]BookFamily{near(family(main, "", 150)), family(main, home, 100), family(main, "", 50), family(main, home, 10)},
			[]Carrier{{OnService, main, []int64{2}}, {OnHome, "", []int64{1}}, {OnService, main, []int64{2}}, {OnService, main, []int64{2}}}},
	} {
		assert.Equal(t, c.want, Carriers(c.families, c.pages, services, home), name)
	}
	aside := family(main, home, 9)
	aside.Kept = false
	assert.Equal(t, []Carrier{{}}, Carriers([]BookFamily{aside}, nil, services, home))
}

func TestCandidates(t *testing.T) {
	g := brindle()
	states := func(s string) (string, string) {
		if s == "ME" {
			return "ME", "Maine"
		}
		return "", ""
	}
	list := Candidates(g.Services[:1], g.Language, Patterns, states)
	assert.Contains(t, list, "chimney sweep tarn harbor me")
	assert.Contains(t, list, "emergency flue cleaning quillby")
	assert.Contains(t, list, "chimney cleaning near me")
	assert.NotContains(t, list, "chimney sweep ostrey ")
	seen := map[string]bool{}
	for _, c := range list {
		assert.False(t, seen[c], c)
		seen[c] = true
	}
	// 5 words, 7 places: 8 patterns with a place, two with the home town's state,
	// and near me once.
	assert.Len(t, list, 5*(7*8+2+1))
}
