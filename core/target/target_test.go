package target

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/sheet"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The worked examples of MEASURES 8.
func TestWordTarget(t *testing.T) {
	y := Standard()
	for _, c := range []struct {
		kind    Kind
		client  int
		rivals  []int
		mark    float64
		beat    float64
		target  int
		toWrite int
		hold    bool
		rule    WordRule
		aside   []int
	}{
		{Home, 545, []int{1720, 380, 1140, 1010}, 1720, 1978, 2000, 1455, false, ByRivals, []int{}},
		{Home, 545, []int{710, 290}, 710, 816.5, 1500, 955, false, ByGuideline, []int{}},
		{Home, 2140, []int{1700, 900}, 1700, 1955, 2000, 0, true, ByRivals, []int{}},
		{Service, 0, []int{560, 2450, 680}, 680, 782, 800, 800, false, ByRivals, []int{1}},
		{Home, 0, nil, 0, 0, 1500, 1500, false, ByGuideline, []int{}},
		{Home, 100, []int{2450}, 2450, 2817.5, 2500, 2400, false, ByCeiling, []int{}},
		{Home, 1470, nil, 0, 0, 1500, 0, true, ByGuideline, []int{}},
		{Home, 1600, []int{1550}, 1550, 1782.5, 1800, 0, true, ByRivals, []int{}},
		{Area, 300, []int{100}, 100, 200, 500, 200, false, ByGuideline, []int{}},
		{Service, 0, []int{2450, 680}, 2450, 2817.5, 1200, 1200, false, ByCeiling, []int{}},
	} {
		got := y.Words(c.kind, c.client, 0, c.rivals)
		name := fmt.Sprint(c.kind, c.client, c.rivals)
		assert.InDelta(t, c.mark, got.Mark, 1e-9, name)
		assert.InDelta(t, c.beat, got.Beat, 1e-9, name)
		assert.Equal(t, c.target, got.Target, name)
		assert.Equal(t, c.toWrite, got.ToWrite, name)
		assert.Equal(t, c.hold, got.Hold, name)
		assert.Equal(t, c.rule, got.Rule, name)
		assert.Equal(t, c.aside, got.SetAside, name)
		assert.Equal(t, float64(c.target) > c.mark, got.BeatsMark, name)
	}
	got := y.Words(Home, 545, 114, []int{1720})
	assert.Equal(t, 1886, got.Writer)
	assert.Equal(t, 0, got.MarkOf)
}

func TestMarkRulesAndPresets(t *testing.T) {
	rivals := []int{1720, 380, 1140, 1010}
	y := Standard()
	y.Mark = Median
	assert.InDelta(t, 1075, y.Words(Home, 0, 0, rivals).Mark, 1e-9)
	y.Mark = BestThree
	assert.InDelta(t, 1290, y.Words(Home, 0, 0, rivals).Mark, 1e-9)
	presets := Presets()
	assert.Equal(t, 1750, presets["match only"].Words(Home, 0, 0, rivals).Target)
	assert.Equal(t, 1750, presets["just above"].Words(Home, 0, 0, rivals).Target)
	assert.Equal(t, 2150, presets["a quarter more"].Words(Home, 0, 0, rivals).Target)
	assert.Equal(t, 800, presets["shorter home"].Words(Home, 0, 0, nil).Target)
}

// A target keeps between the guideline and the ceiling, and writing it reaches
// it.
func TestWordTargetProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]Kind{Home, Service, Area}).Draw(t, "kind")
		client := rapid.IntRange(0, 4000).Draw(t, "client")
		rivals := rapid.SliceOfN(rapid.IntRange(0, 9000), 0, 8).Draw(t, "rivals")
		y := Standard()
		got, g := y.Words(kind, client, 50, rivals), y.Guideline(kind)
		assert.True(t, g.Low <= got.Target && got.Target <= g.Ceiling)
		assert.True(t, got.Hold == (got.ToWrite == 0))
		if !got.Hold {
			assert.Equal(t, got.Target, client+got.ToWrite)
		}
		if got.Rule != ByCeiling {
			assert.GreaterOrEqual(t, float64(got.Target), got.Beat)
		}
	})
}

func read(s string) *page.Page {
	return page.Read([]byte(s), page.Source{URL: "http://brindleandash.example/"})
}

func question(phrases ...string) *sheet.Question {
	home := place.Place{Name: "Tarn Harbor", State: "ME", Home: true}
	return &sheet.Question{Phrases: phrases, Services: []string{"chimney sweep"}, Places: []place.Place{home}, Place: home}
}

func find(list []Target, key string) *Target {
	for i := range list {
		if list[i].Key == key {
			return &list[i]
		}
	}
	return nil
}

// The worked example of MEASURES 12.
func TestGain(t *testing.T) {
	q := question("chimney sweep tarn harbor")
	client := read("<title>Home</title><p>" + strings.Repeat("word ", 545))
	rival := read("<title>Chimney sweep Tarn Harbor</title><p>" + strings.Repeat("word ", 1720))
	targets := Standard().Targets(Page{Kind: Home, Client: sheet.Measure(client, q),
		Rivals: []*sheet.Column{sheet.Measure(rival, q)}, Question: q,
		Leads: []Lead{{Text: "chimney sweep tarn harbor", Gain: 143.57}}})
	title := find(targets, "title: chimney sweep tarn harbor")
	require.NotNil(t, title)
	assert.InDelta(t, 28.71, title.Gain, 0.005)
	assert.InDelta(t, 172, title.perHour(), 0.5)
	assert.Equal(t, "Home", title.Now)
	assert.Equal(t, 1, title.RivalsHave)
	words := find(targets, "words")
	require.NotNil(t, words)
	assert.InDelta(t, 27.16, words.Gain, 0.005)
	assert.InDelta(t, 291, words.Minutes, 1e-9)
	assert.InDelta(t, 5.6, words.perHour(), 0.05)
}

func TestFirstFamily(t *testing.T) {
	q := question("chimney sweep tarn harbor", "flue liner tarn harbor")
	leads := []Lead{{Text: "chimney sweep tarn harbor", Gain: 1}, {Text: "flue liner tarn harbor", Family: 1, Phrase: 1, Gain: 1}}
	client := read(`<title>Chimney sweep Tarn Harbor</title><meta name=description content="Sweeping a chimney in Tarn Harbor">
		<h1>Chimney sweeping for Tarn Harbor</h1><h2>Flue liner Tarn Harbor</h2><p>Words</p>
		<img src=IMG_2041.jpg alt="Chimney sweep Tarn Harbor"><img src=pic-1.png>`)
	targets := Standard().Targets(Page{Kind: Home, Client: sheet.Measure(client, q), Question: q, Leads: leads})
	var keys []string
	for _, x := range targets {
		keys = append(keys, x.Key)
	}
	assert.ElementsMatch(t, []string{"description: chimney sweep tarn harbor", "h1: chimney sweep tarn harbor",
		"subheads: chimney sweep tarn harbor", "opening: chimney sweep tarn harbor", "body: chimney sweep tarn harbor",
		"image_names: img_2041.jpg", "image_names: pic-1.png", "words"}, keys)
	h1 := find(targets, "h1: chimney sweep tarn harbor")
	assert.True(t, h1.Loose)
	assert.InDelta(t, 0.07, h1.Gain, 1e-9, "half of 14 %")
	late := read("<title>" + strings.Repeat("x ", 40) + "chimney sweep Tarn Harbor</title><p>w")
	targets = Standard().Targets(Page{Kind: Service, Client: sheet.Measure(late, q), Question: q, Leads: leads})
	assert.True(t, find(targets, "title: chimney sweep tarn harbor").Late)
	assert.NotNil(t, find(targets, "address: chimney sweep tarn harbor"))
}

func TestNewPage(t *testing.T) {
	q := question("chimney sweep tarn harbor")
	targets := Standard().Targets(Page{Kind: Home, Question: q, Leads: []Lead{{Text: "chimney sweep tarn harbor", Gain: 2}}})
	require.Len(t, targets, 1)
	assert.Equal(t, AboutNewPage, targets[0].Subject)
	assert.InDelta(t, 2, targets[0].Gain, 1e-9)
	assert.InDelta(t, 330, targets[0].Minutes, 1e-9)
	assert.Len(t, targets[0].Parts, 7)
	assert.NotEmpty(t, Standard().Targets(Page{Kind: Home, Question: question()}))
}

func TestOrderAndCutLine(t *testing.T) {
	list := []Target{
		{Key: "none", Minutes: 5},
		{Key: "slow", Gain: 10, Minutes: 60},
		{Key: "quick", Gain: 5, Minutes: 10},
		{Key: "dropped", Gain: 99, Minutes: 1, Choice: Choice{State: Dropped}},
		{Key: "fix", Minutes: 5, First: true},
		{Key: "on dropped", Gain: 1, Minutes: 2, Needs: []string{"dropped"}},
	}
	Order(list)
	var keys []string
	for _, x := range list {
		keys = append(keys, x.Key)
	}
	assert.Equal(t, []string{"fix", "quick", "on dropped", "slow", "none", "dropped"}, keys)
	assert.Equal(t, []bool{true, true, false, false, true, false}, CutLine(list, 25), "slow is skipped, none is tried")
	list[5].Choice.State = Open
	assert.Equal(t, []bool{true, true, true, false, true, true}, CutLine(list, 25), "what it depends on goes with it")
	list[5].Choice.State = Dropped
	list[3].Choice.State = Kept
	assert.Equal(t, []bool{true, false, false, true, false, false}, CutLine(list, 67), "what is kept comes first")
	assert.Equal(t, make([]bool, 6), CutLine(list, 0))
}

// What fits never takes longer than there is.
func TestCutLineProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(0, 20).Draw(t, "n")
		list := make([]Target, n)
		for i := range list {
			list[i] = Target{Key: fmt.Sprint(i), Minutes: float64(rapid.IntRange(1, 90).Draw(t, "minutes")),
				Gain:   float64(rapid.IntRange(0, 9).Draw(t, "gain")),
				Choice: Choice{State: rapid.SampledFrom([]State{Open, Kept, Dropped}).Draw(t, "state")}}
			if i > 0 && rapid.Bool().Draw(t, "needs") {
				list[i].Needs = []string{fmt.Sprint(rapid.IntRange(0, i-1).Draw(t, "on"))}
			}
		}
		limit := float64(rapid.IntRange(0, 600).Draw(t, "limit"))
		used := 0.0
		fit := map[string]bool{}
		fits := CutLine(list, limit)
		for i, in := range fits {
			if in {
				used += list[i].Minutes
				fit[list[i].Key] = true
			}
		}
		assert.LessOrEqual(t, used, limit)
		for i, in := range fits {
			for _, need := range list[i].Needs {
				assert.True(t, !in || fit[need], "what fits has what it needs")
			}
		}
	})
}
