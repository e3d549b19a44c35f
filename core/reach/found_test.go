package reach

import (
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/visits"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func n(i int) *int { return &i }

func brindle() *intent.Judge {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}, {Name: "Quillby"}}
	return intent.NewJudge(intent.Ground{Language: phrase.LanguageOf("en", places, phrase.Corrections{}),
		Trade: "chimney care", Lists: intent.EnglishLists(),
		Names: []string{"Brindle & Ash Chimney", "Harbor Flue & Hearth"},
		Services: []intent.Service{{Name: "chimney sweep", Words: []string{"chimney cleaning"}, Worth: 200},
			{Name: "masonry repair", Words: []string{"chimney repair"}}}})
}

func found(text string, position int, volume *int) Phrase {
	return Phrase{Text: text, Position: position, Volume: volume}
}

// rule 7.5: how many, in the first 3, 10 and 20, and by intent.
func TestSum(t *testing.T) {
	list := []Phrase{
		found("chimney sweep tarn harbor", 1, n(100)), found("chimney sweep ostrey", 3, n(50)),
		found("chimney sweep cost", 4, n(1000)),
		found("chimney sweep near me", 10, n(10)), found("chimney sweep ohio", 11, nil), found("stove", 20, n(1)),
		found("chimney repair quillby", 21, n(500)), found("chimney sweep maine", 0, n(70)),
	}
	s := Sum(list, brindle())
	assert.Equal(t, 8, s.Phrases)
	assert.Equal(t, []int{2, 4, 6}, []int{s.First3, s.First10, s.First20})
	assert.Equal(t, 1, s.Intents[intent.Elsewhere])
	assert.Equal(t, 1, s.Intents[intent.Question])
	sum := 0
	for _, of := range s.Intents {
		sum += of
	}
	assert.Equal(t, s.Phrases, sum, "every phrase has one intent")
	assert.Equal(t, Sums{Intents: map[intent.Intent]int{}}, Sum(nil, brindle()))
}

// A site that is found for a phrase with several pages stands where its best
// one does.
func TestUnique(t *testing.T) {
	list := Unique([]Phrase{
		found("Chimney sweep", 30, n(90)), found("flue liner", 0, nil), found("chimney  sweep!", 4, nil),
		found("chimney sweep", 9, n(1)), found("flue liner", 8, n(2)),
	})
	assert.Equal(t, []Phrase{found("chimney  sweep!", 4, n(90)), found("flue liner", 8, n(2))}, list)
	assert.Empty(t, Unique(nil))
}

// Phrases of several sites are one row; the searches of a list stand for all of them.
func TestRows(t *testing.T) {
	rows := Rows([][]Phrase{
		{found("chimney sweep tarn harbor", 14, nil), found("chimney sweep cost", 3, n(20))},
		nil,
		{found("Chimney Sweep, Tarn Harbor", 1, n(380)), found("zebra", 2, nil), found("apple", 2, nil)},
	}, nil, brindle(), visits.Standard())
	var texts []string
	for _, r := range rows {
		texts = append(texts, r.Text)
	}
	assert.Equal(t, []string{"chimney sweep tarn harbor", "chimney sweep cost", "apple", "zebra"}, texts,
		"by searches, then by name")
	first := rows[0]
	assert.Equal(t, []int{14, 0, 1}, []int{first.At[0].Position, first.At[1].Position, first.At[2].Position})
	assert.InDelta(t, 380*.007, first.At[0].Visits, 1e-9, "the searches are known of another list")
	assert.Equal(t, 380, *first.Volume)
	assert.Equal(t, intent.Hire, first.Intent)
	assert.Equal(t, "chimney sweep", first.Service)
	assert.InDelta(t, 380*(.33-.007), first.Missed(0), 1e-9)
	assert.Zero(t, rows[1].Missed(0), "a question is not ready to hire")
}

// The worked sums of rule 14.1: hire apart from all else, a source's own visits before the estimate, searches that are
// not the town's in no sum, places in the map pack by themselves.
func TestReach(t *testing.T) {
	own := func(v float64) *float64 { return &v }
	known := Known{"chimney sweep near me": {n(880), visits.State}, "chimney cleaning company": {n(40), visits.Town}}
	mine := []Phrase{found("chimney sweep tarn harbor", 14, n(380)), found("brindle and ash chimney ostrey", 1, n(30))}
	harbor := With([]Phrase{found("chimney sweep tarn harbor", 1, nil), found("chimney sweep near me", 2, nil),
		{Text: "chimney repair quillby", Position: 3, Volume: n(50), Visits: own(21),
			Address: "http://h.example/repair"},
		found("chimney cleaning company", 1, nil), found("masonry repair ostrey", 4, nil),
		found("chimney sweep cost tarn harbor", 1, n(100))},
		[]Phrase{{Text: "Chimney sweep Tarn Harbor", Position: 2, Map: 1}})
	rows := Rows([][]Phrase{mine, harbor}, known, brindle(), visits.Standard())
	us, they := Of(rows, 0), Of(rows, 1)
	assert.InDelta(t, 2.66, us.Hire, 1e-9, "380 x .007")
	assert.InDelta(t, 30*.33, us.Apart, 1e-9, "a search for the firm itself")
	assert.InDelta(t, 159.6, they.Hire, 1e-9,
		"the list's position (380 x .33), its own visits (21), what was counted in the town (40 x .33)")
	assert.InDelta(t, 100*.33, they.Apart, 1e-9)
	assert.InDelta(t, 380*.18, they.Map, 1e-9)
	assert.Equal(t, []int{6, 1, 1, 880}, []int{they.Phrases, they.Unknown, they.Uncounted, they.Searches})
	assert.InDelta(t, 380*(.33-.007)+21+40*.33, Missed(rows, 0), 1e-9)
	assert.Equal(t, map[string]float64{"chimney sweep": 380*.33 + 40*.33, "masonry repair": 21}, they.Services)
	pages := Pages(rows, 1)
	assert.Len(t, pages, 1)
	assert.Equal(t, "http://h.example/repair", pages[0].Address)
	assert.InDelta(t, 21, pages[0].Hire, 1e-9)
}

// Money is a range from half to full, and only for what a job's worth is known of.
func TestWorth(t *testing.T) {
	services := map[string]float64{"chimney sweep": 100, "masonry repair": 50}
	w, ok := WorthOf(services, 4, brindle().Job)
	assert.True(t, ok)
	assert.Equal(t, Worth{Customers: 6, Least: 400, Most: 800, Priced: 100, All: 150}, w)
	_, ok = WorthOf(services, 0, brindle().Job)
	assert.False(t, ok, "nobody said how many customers come of visits")
}

// Whatever lists hold: what a site gets is the sum of what its pages and other phrases get, nothing is below 0, and
// nobody misses more than all rivals get.
func TestReachAddsUp(t *testing.T) {
	texts := []string{"chimney sweep tarn harbor", "chimney sweep near me", "chimney repair quillby", "stove",
		"brindle and ash", "chimney sweep cost", "chimney sweep ostrey"}
	list := rapid.Custom(func(t *rapid.T) Phrase {
		f := found(rapid.SampledFrom(texts).Draw(t, "text"), rapid.IntRange(0, 30).Draw(t, "position"), nil)
		if rapid.Bool().Draw(t, "known") {
			f.Volume = n(rapid.IntRange(0, 900).Draw(t, "volume"))
		}
		if rapid.Bool().Draw(t, "own") {
			v := float64(rapid.IntRange(0, 90).Draw(t, "visits"))
			f.Visits = &v
		}
		f.Address = rapid.SampledFrom([]string{"", "http://a.example/", "http://a.example/b"}).Draw(t, "address")
		return f
	})
	rapid.Check(t, func(t *rapid.T) {
		lists := [][]Phrase{Unique(rapid.SliceOf(list).Draw(t, "own")), Unique(rapid.SliceOf(list).Draw(t, "theirs"))}
		rows := Rows(lists, nil, brindle(), visits.Standard())
		us, they := Of(rows, 0), Of(rows, 1)
		missed := Missed(rows, 0)
		assert.GreaterOrEqual(t, missed, max(0, they.Hire-us.Hire)-1e-9)
		assert.LessOrEqual(t, missed, they.Hire+1e-9)
		paged, services := 0.0, 0.0
		for _, p := range Pages(rows, 1) {
			paged += p.Hire
		}
		for _, v := range they.Services {
			services += v
		}
		assert.LessOrEqual(t, paged, they.Hire+1e-9)
		assert.InDelta(t, they.Hire, services, 1e-9)
	})
}
