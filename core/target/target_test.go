package target

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The worked examples of rule 8.
func TestWordTarget(t *testing.T) {
	y := StandardRules()
	for _, c := range []struct {
		kind    site.Kind
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
		{site.Home, 545, []int{1720, 380, 1140, 1010}, 1720, 1978, 2000, 1455, false, ByRivals, []int{}},
		{site.Home, 545, []int{710, 290}, 710, 816.5, 1500, 955, false, ByGuideline, []int{}},
		{site.Home, 2140, []int{1700, 900}, 1700, 1955, 2000, 0, true, ByRivals, []int{}},
		{site.Service, 0, []int{560, 2450, 680}, 680, 782, 800, 800, false, ByRivals, []int{1}},
		{site.Home, 0, nil, 0, 0, 1500, 1500, false, ByGuideline, []int{}},
		{site.Home, 100, []int{2450}, 2450, 2817.5, 2500, 2400, false, ByCeiling, []int{}},
		{site.Home, 1470, nil, 0, 0, 1500, 0, true, ByGuideline, []int{}},
		{site.Home, 1600, []int{1550}, 1550, 1782.5, 1800, 0, true, ByRivals, []int{}},
		{site.Area, 300, []int{100}, 100, 200, 500, 200, false, ByGuideline, []int{}},
		{site.Service, 0, []int{2450, 680}, 2450, 2817.5, 1200, 1200, false, ByCeiling, []int{}},
	} {
		t.Run(fmt.Sprint(c.kind, c.client, c.rivals), func(t *testing.T) {
			got := y.WordTarget(c.kind, c.client, 0, c.rivals)
			name := fmt.Sprint(c.kind, c.client, c.rivals)
			assert.InDelta(t, c.mark, got.Mark, 1e-9, name)
			assert.InDelta(t, c.beat, got.Beat, 1e-9, name)
			assert.Equal(t, c.target, got.Target, name)
			assert.Equal(t, c.toWrite, got.ToWrite, name)
			assert.Equal(t, c.hold, got.Hold, name)
			assert.Equal(t, c.rule, got.Rule, name)
			assert.Equal(t, c.aside, got.SetAside, name)
			assert.Equal(t, float64(c.target) > c.mark, got.BeatsMark, name)
		})
	}
	got := y.WordTarget(site.Home, 545, 114, []int{1720})
	assert.Equal(t, 1886, got.Writer)
	assert.Equal(t, 0, got.MarkOf)
}

// Home, service and area pages have word targets, no others (rule 8.1).
func TestPagesWithoutAWordTarget(t *testing.T) {
	for _, kind := range site.Kinds() {
		t.Run(string(kind), func(t *testing.T) {
			w := StandardRules().WordTarget(kind, 10, 3, []int{900})
			has := kind == site.Home || kind == site.Service || kind == site.Area
			assert.Equal(t, has, w.ToWrite > 0)
			assert.Equal(t, !has, w.Rule == NoTarget)
			assert.NotEqual(t, has, w.Hold)
		})
	}
}

func TestMarkRules(t *testing.T) {
	rivals := []int{1720, 380, 1140, 1010}
	y := StandardRules()
	y.Mark = Median
	assert.InDelta(t, 1075, y.WordTarget(site.Home, 0, 0, rivals).Mark, 1e-9)
	y.Mark = BestThree
	assert.InDelta(t, 1290, y.WordTarget(site.Home, 0, 0, rivals).Mark, 1e-9)
}

// A target keeps between the guideline and the ceiling, and writing it reaches
// it.
func TestWordTargetProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		kind := rapid.SampledFrom([]site.Kind{site.Home, site.Service, site.Area}).Draw(t, "kind")
		client := rapid.IntRange(0, 4000).Draw(t, "client")
		rivals := rapid.SliceOfN(rapid.IntRange(0, 9000), 0, 8).Draw(t, "rivals")
		y := StandardRules()
		got, g := y.WordTarget(kind, client, 50, rivals), y.Guideline(kind)
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

func asked(phrases ...string) *sheet.Criteria {
	home := place.Place{Name: "Tarn Harbor", State: "ME", Home: true}
	return sheet.NewCriteria(sheet.Asked{Phrases: phrases, Services: []string{"chimney sweep"}, Place: home,
		Language: phrase.LanguageOf("en", []place.Place{home}, phrase.Corrections{})})
}

// leads are the leads of the families of criteria, with their gains.
func leads(q *sheet.Criteria, gains ...float64) (out []Lead) {
	for i, f := range q.Families {
		out = append(out, Lead{Family: f.Key, Text: q.Phrases[f.Members[0]], Gain: gains[i]})
	}
	return out
}

// sweepKey is the family of "chimney sweep tarn harbor".
const sweepKey = "chimney harbor sweep tarn"

func find(list []Target, key string) *Target {
	for i := range list {
		if list[i].Key == key {
			return &list[i]
		}
	}
	return nil
}

// The worked example of rule 12.
func TestGain(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	client := read("<title>Home</title><p>" + strings.Repeat("word ", 545))
	rival := read("<title>Chimney sweep Tarn Harbor</title><p>" + strings.Repeat("word ", 1720))
	targets := StandardRules().Targets(Page{Kind: site.Home, Client: sheet.Measure(client, q),
		Rivals: []*sheet.Column{sheet.Measure(rival, q)}, Criteria: q,
		Leads: leads(q, 158.27)})
	title := find(targets, "title: "+sweepKey)
	require.NotNil(t, title)
	assert.InDelta(t, 22.16, title.Gain, 0.005)
	assert.InDelta(t, 133, title.perHour(), 0.5)
	assert.Equal(t, "Home", title.Now)
	assert.Equal(t, 1, title.RivalsHave)
	words := find(targets, "words")
	require.NotNil(t, words)
	assert.InDelta(t, 39.15, words.Gain, 0.005)
	assert.InDelta(t, 291, words.Minutes, 1e-9)
	assert.InDelta(t, 8.1, words.perHour(), 0.05)
}

func TestFirstFamily(t *testing.T) {
	q := asked("chimney sweep tarn harbor", "flue liner tarn harbor")
	client := read(`<title>Chimney sweep Tarn Harbor</title><meta name=description content="Sweeping a chimney in Tarn Harbor">
		<h1>Chimney sweeping for Tarn Harbor</h1><h2>Flue liner Tarn Harbor</h2><p>Words</p>
		<img src=IMG_2041.jpg alt="Chimney sweep Tarn Harbor"><img src=pic-1.png>`)
	targets := StandardRules().Targets(Page{Kind: site.Home, Client: sheet.Measure(client, q), Criteria: q, Leads: leads(q, 1, 1)})
	var keys []string
	for _, x := range targets {
		keys = append(keys, x.Key)
	}
	assert.ElementsMatch(t, []string{"description: " + sweepKey, "h1: " + sweepKey,
		"subheads: " + sweepKey, "opening: " + sweepKey, "body: " + sweepKey,
		"image_names: img_2041.jpg", "image_names: pic-1.png", "words"}, keys)
	h1 := find(targets, "h1: "+sweepKey)
	assert.True(t, h1.Loose)
	assert.InDelta(t, 0.05, h1.Gain, 1e-9, "half of 10%")
	late := read("<title>" + strings.Repeat("x ", 40) + "chimney sweep Tarn Harbor</title><p>w")
	targets = StandardRules().Targets(Page{Kind: site.Service, Client: sheet.Measure(late, q), Criteria: q, Leads: leads(q, 1, 1)})
	assert.True(t, find(targets, "title: "+sweepKey).Late)
	assert.NotNil(t, find(targets, "address: "+sweepKey))
}

func TestNewPage(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	targets := StandardRules().Targets(Page{Kind: site.Home, Criteria: q, Leads: leads(q, 2)})
	require.Len(t, targets, 1)
	assert.Equal(t, NewPage, targets[0].Kind)
	assert.InDelta(t, 2, targets[0].Gain, 1e-9)
	assert.InDelta(t, 330, targets[0].Minutes, 1e-9)
	assert.Len(t, targets[0].Parts, 7)
	assert.NotEmpty(t, StandardRules().Targets(Page{Kind: site.Home, Criteria: asked()}))
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

// The table of kinds is whole: each has its part of the brief, and those that
// place a phrase have a slot, a weight and a time of their own.
func TestKinds(t *testing.T) {
	seen := map[Kind]bool{}
	y := StandardRules()
	sum := y.Weights.Words
	for _, k := range Kinds() {
		assert.False(t, seen[k.Kind], k.Kind)
		seen[k.Kind] = true
		assert.Contains(t, Parts(), k.Part, k.Kind)
		if k.weight == nil {
			assert.False(t, k.Places, k.Kind)
			continue
		}
		assert.Equal(t, k.Slot.String(), string(k.Kind))
		assert.Positive(t, k.minutes(y.Minutes), k.Kind)
		sum += k.weight(y.Weights)
	}
	assert.InDelta(t, 100, sum, 1e-9)
	assert.InDelta(t, 100, y.Weights.Sum(), 1e-9)
	for _, slot := range append(FirstSlots(site.Area), sheet.Body) {
		if slot != sheet.ImageNames {
			assert.Equal(t, slot, placing(slot).Slot)
		}
	}
}
