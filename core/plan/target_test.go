package plan

import (
	"strings"
	"testing"

	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func read(s string) *page.Page {
	return page.Read([]byte(s), page.Source{URL: "http://brindleandash.example/"})
}

func asked(phrases ...string) *sheet.Criteria {
	home := place.Place{Name: "Tarn Harbor", State: "ME", Home: true}
	return sheet.NewCriteria(sheet.Asked{Phrases: phrases, Services: []string{"chimney sweep"}, Place: home,
		Language: phrase.LanguageOf("en", []place.Place{home}, phrase.Corrections{})})
}

// families returns those of criteria, with their gains.
func families(q *sheet.Criteria, gains ...float64) (out []Stake) {
	for i, f := range q.Families {
		out = append(out, Stake{Key: f.Key, Text: q.Phrases[f.Members[0]], Gain: gains[i], Known: true})
	}
	return out
}

// sweepKey is the family of "chimney sweep tarn harbor".
const sweepKey = "chimney harbor sweep tarn"

// plan returns the plan of one page.
func plan(p Aim) Plan {
	p.Key = "p1"
	return StandardRules().Plan(Study{Pages: []Aim{p}})
}

func find(list []Target, key string) *Target {
	for i := range list {
		if list[i].Key == key {
			return &list[i]
		}
	}
	return nil
}

func findPart(list []Target, key string) *Part {
	for i := range list {
		for k := range list[i].Parts {
			if list[i].Parts[k].Key == key {
				return &list[i].Parts[k]
			}
		}
	}
	return nil
}

// The worked examples of rule 12.
func TestGain(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	client := read("<title>Home</title><p>" + strings.Repeat("word ", 545))
	rival := read("<title>Chimney sweep Tarn Harbor</title><p>" + strings.Repeat("word ", 1720))
	targets := plan(Aim{Kind: site.Home, Client: sheet.Measure(client, q),
		Rivals: []*sheet.Column{sheet.Measure(rival, q)}, Criteria: q,
		Families: families(q, 158.27)}).Targets
	title := findPart(targets, "title: "+sweepKey)
	require.NotNil(t, title)
	assert.InDelta(t, 22.16, title.Gain, 0.005)
	assert.InDelta(t, 133, title.Gain*60/title.Minutes, 0.5)
	assert.Equal(t, "Home", title.Slot.Now)
	assert.Equal(t, 1, title.Rivals.Have)
	gain, minutes, words := 0.0, 0.0, 0
	for _, x := range targets {
		if x.Kind == Slice {
			gain, minutes, words = gain+x.Gain, minutes+x.Minutes, words+x.ToWrite()
		}
	}
	assert.Equal(t, 1455, words)
	assert.InDelta(t, 39.15, gain, 0.005)
	assert.InDelta(t, 291, minutes, 1e-9)
	assert.InDelta(t, 8.1, gain*60/minutes, 0.05)
}

// A home page without h1, title, subhead, opening and body of its first family: one
// placing.
func TestPlacingIsOneTarget(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	client := read(
		`<meta name=description content="A chimney sweep in Tarn Harbor"><img src=chimney-sweep-tarn-harbor.jpg alt="chimney sweep Tarn Harbor"><p>` +
			strings.Repeat("word ", 545))
	client.Description = "Chimney sweep Tarn Harbor"
	targets := plan(Aim{Kind: site.Home, Client: sheet.Measure(client, q), Criteria: q,
		Families: families(q, 100)}).Targets
	placing := find(targets, "placing: "+sweepKey)
	require.NotNil(t, placing)
	var parts []PartKind
	for _, p := range placing.Parts {
		parts = append(parts, p.Kind)
	}
	assert.Equal(t, []PartKind{Title, H1, Opening, Subhead, Body}, parts)
	assert.InDelta(t, 49, placing.Gain, 1e-9)
	assert.InDelta(t, 24, placing.Minutes, 1e-9)
	assert.InDelta(t, 122.5, placing.PerHour(), 1e-9)
}

func TestFirstFamily(t *testing.T) {
	q := asked("chimney sweep tarn harbor", "flue liner tarn harbor")
	client := read(
		`<title>Chimney sweep Tarn Harbor</title><meta name=description content="Sweeping a chimney in Tarn Harbor">
		<h1>Chimney sweeping for Tarn Harbor</h1><h2>Flue liner Tarn Harbor</h2><p>Words</p>
		<img src=IMG_2041.jpg alt="Chimney sweep Tarn Harbor"><img src=pic-1.png>`)
	targets := plan(Aim{Kind: site.Home, Client: sheet.Measure(client, q), Criteria: q,
		Families: families(q, 1, 1)}).Targets
	var keys []string
	for _, p := range find(targets, "placing: "+sweepKey).Parts {
		keys = append(keys, p.Key)
	}
	assert.Equal(t, []string{"description: " + sweepKey, "h1: " + sweepKey, "opening: " + sweepKey,
		"subheads: " + sweepKey, "body: " + sweepKey}, keys)
	keys = nil
	for _, p := range find(targets, "images").Parts {
		keys = append(keys, p.Key)
	}
	assert.Equal(t, []string{"image_names: img_2041.jpg", "image_names: pic-1.png", "alt: pic-1.png"}, keys)
	h1 := findPart(targets, "h1: "+sweepKey)
	assert.True(t, h1.Slot.Loose)
	assert.InDelta(t, 0.05, h1.Gain, 1e-9, "half of 10%")
	late := read("<title>" + strings.Repeat("x ", 40) + "chimney sweep Tarn Harbor</title><p>w")
	targets = plan(Aim{Kind: site.Service, Client: sheet.Measure(late, q), Criteria: q,
		Families: families(q, 1, 1)}).Targets
	assert.True(t, findPart(targets, "title: "+sweepKey).Slot.Late)
	assert.NotNil(t, findPart(targets, "address: "+sweepKey))
}

func TestNewPage(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	targets := plan(Aim{Kind: site.Home, Criteria: q, Families: families(q, 2)}).Targets
	made := find(targets, "new_page")
	require.NotNil(t, made)
	assert.Equal(t, made.Key, targets[0].Key, "all else depends on it")
	lead := findPart(targets, "slice: lead words")
	require.NotNil(t, lead)
	assert.InDelta(t, 30+float64(made.ToWrite())/5, made.Minutes, 1e-9, "its lead section's words")
	images := find(targets, "images")
	assert.Equal(t, []Ref{made.Ref()}, images.Needs)
	assert.NotEmpty(t, plan(Aim{Kind: site.Home, Criteria: asked()}).Targets)
	gain := 0.0
	for _, x := range targets {
		gain += x.Gain
	}
	assert.InDelta(t, 2*.96, gain, .001, "all of it but for the address, which a home page has none of")
}

// fixed returns a target of so many minutes and of no page.
func fixed(key string, gain, minutes float64) Target {
	return Target{Key: key, Rank: gain, Gain: gain, Minutes: minutes, Choice: Choice{State: Open}}
}

func TestOrder(t *testing.T) {
	fix, on := fixed("fix", 0, 5), fixed("on quick", 1, 2)
	fix.First, on.Needs = true, []Ref{{"", "quick"}}
	gone := fixed("dropped", 99, 1)
	gone.Choice.State = Dropped
	list := StandardRules().order([]Target{fixed("none", 0, 5), fixed("slow", 10, 60), fixed("quick", 5, 10), gone, fix,
		on}, map[string]*Aim{})
	var keys []string
	for _, x := range list {
		keys = append(keys, x.Key)
	}
	assert.Equal(t, []string{"fix", "quick", "on quick", "slow", "none", "dropped"}, keys)
}

// The table of kinds is whole: each has its part of the brief, and those that
// place a phrase have a slot, a weight and a time of their own.
func TestPartKinds(t *testing.T) {
	seen := map[PartKind]bool{}
	y := StandardRules()
	sum := 0.0
	for _, k := range PartKinds() {
		assert.False(t, seen[k.Kind], k.Kind)
		seen[k.Kind] = true
		assert.Contains(t, Wheres(), k.Where, k.Kind)
		if k.weight == nil {
			assert.False(t, k.Places, k.Kind)
			continue
		}
		sum += k.weight(y.Weights)
		if k.Kind != Words {
			assert.Equal(t, k.Slot.String(), string(k.Kind))
			assert.Positive(t, k.minutes(y.Minutes), k.Kind)
		}
	}
	assert.InDelta(t, 100, sum, 1e-9)
	assert.InDelta(t, 100, y.Weights.Sum(), 1e-9)
	assert.InDelta(t, 100, y.Outline.Shares.Sum(), 1e-9)
	for _, slot := range append(sheet.FirstSlots(true), sheet.Body) {
		assert.Equal(t, slot, placing(slot).Slot)
	}
	for _, k := range Kinds() {
		assert.Contains(t, Fronts(), k.Front())
	}
}
