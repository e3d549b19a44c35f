package imagename

import (
	"strings"
	"testing"

	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

var places = []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "Ostrey"}, {Name: "Pell Crossing"}}

func judge(bound bool, own place.Place, services []string, phrases ...string) *Judge {
	lang := phrase.LanguageOf("en", places, phrase.Corrections{})
	var list []phrase.Phrase
	for _, p := range phrases {
		list = append(list, phrase.New(p, lang))
	}
	return NewJudge(Judge{Matcher: phrase.Compile(list, lang), Language: lang, Services: services, Place: own,
		PlacesBound: bound})
}

func TestVerdict(t *testing.T) {
	home := judge(false, places[0], []string{"chimney sweep", "flue liner"}, "chimney sweep tarn harbor")
	area := judge(true, places[2], []string{"chimney sweep"}, "chimney sweep pell crossing")
	for _, c := range []struct {
		j    *Judge
		name string
		want Verdict
	}{
		{home, "chimney-sweep-tarn-harbor", Carries},
		{home, "TarnHarbor_ChimneySweeping-03", Carries},
		{home, "chimneysweeptarnharbor", Carries},
		{home, "flue-liner-tarn-harbor", Carries},
		{home, "chimney-sweep", Near},
		{home, "tarn-harbor-view", Near},
		{home, "ostrey-truck", Near},
		{home, "IMG_2041", Camera},
		{home, "DSC0012", Camera},
		{home, "PXL_20240102_101112", Camera},
		{home, "Message Image 2024-01-02 at 10.11.12", Camera},
		{home, "Screenshot from yesterday", Camera},
		{home, "550e8400-e29b-41d4-a716-446655440000", Machine},
		{home, "9f86d081884c", Machine},
		{home, "qwertyuiopasdfghjklzx", Machine},
		{home, "hero-final2", Counter},
		{home, "pic-03", Counter},
		{home, "truck2", Counter},
		{home, "logo", Counter},
		{home, "our-team-at-work", Plain},
		{home, "", NoName},
		{area, "ostrey-chimney-sweep", WrongPlace},
		{area, "chimney-sweep-pell-crossing", Carries},
		{home, "ostrey-chimney-sweep", Carries},
	} {
		t.Run(c.name, func(t *testing.T) {
			assert.Equal(t, c.want, c.j.Verdict(c.name), c.name)
		})
	}
}

// Without services a name that holds half of a family's words is near.
func TestVerdictWithoutServices(t *testing.T) {
	lang := phrase.LanguageOf("en", nil, phrase.Corrections{})
	m := phrase.Compile([]phrase.Phrase{phrase.New("chimney sweep tarn harbor", lang)}, lang)
	j := NewJudge(Judge{Matcher: m, Language: lang})
	assert.Equal(t, Carries, j.Verdict("Tarn-Harbor-Chimney-Sweep"))
	assert.Equal(t, Near, j.Verdict("chimney-sweep"))
	assert.Equal(t, Plain, j.Verdict("chimney-cap-in-the-rain"))
}

func TestPropose(t *testing.T) {
	j := judge(false, places[0], []string{"chimney sweep", "flue liner"}, "chimney sweep tarn harbor",
		"flue liner tarn harbor", "chimney repair tarn harbor")
	images := []Image{
		{Name: "IMG_2041", Ext: ".jpg", Verdict: Camera},
		{Name: "pic-03", Ext: ".png", Heading: "New flue liners", Verdict: Counter},
		{Name: "chimney-repair-tarn-harbor", Ext: ".png", Verdict: Carries},
		{Name: "hero", Ext: ".webp", Verdict: Counter},
		{Verdict: NoName},
	}
	got := j.Propose(images, []string{"chimney sweep tarn harbor", "flue liner tarn harbor",
		"chimney repair tarn harbor"}, 0, NamesOf())
	assert.Equal(t, []string{"chimney-sweep-tarn-harbor.jpg", "flue-liner-tarn-harbor.png", "", "", ""}, got)
	taken := NamesOf()
	taken.Take(j, "chimney-sweep-in-tarn-harbor", ".png")
	got = j.Propose(images[:1], []string{"chimney sweep tarn harbor"}, 0, taken)
	assert.Equal(t, []string{""}, got, "a small word more or another ending makes no other name")
}

// A town whose name ends like another's goes whole.
func TestProposeTakesTheWholeTown(t *testing.T) {
	towns := []place.Place{{Name: "Dunmere", Home: true}, {Name: "East Dunmere"}, {Name: "Tallow"}}
	lang := phrase.LanguageOf("en", towns, phrase.Corrections{})
	m := phrase.Compile([]phrase.Phrase{phrase.New("pest control tallow", lang)}, lang)
	j := NewJudge(Judge{Matcher: m, Language: lang, Services: []string{"pest control"}, Place: towns[2],
		PlacesBound: true})
	images := []Image{{Name: "east-dunmere-pest-control", Ext: ".jpg", Verdict: WrongPlace}}
	assert.Equal(t, []string{"pest-control-tallow.jpg"}, j.Propose(images, nil, 0, NamesOf()))
}

func TestWithoutTowns(t *testing.T) {
	assert.Equal(t, []string{"pest control", "pest control Tallow"},
		WithoutTowns([]string{"pest control", "pest control East Dunmere", "pest control Tallow"},
			[]string{"East Dunmere"}))
}

// What stands on half of the pages of a site is judged no further, from four pages on.
func TestNamesOfASite(t *testing.T) {
	n := NamesOf([]string{"logo.png", "a.jpg", "a.jpg"}, []string{"logo.png"}, []string{"b.jpg"}, nil)
	assert.True(t, n.Settled("logo.png"))
	assert.False(t, n.Settled("a.jpg"))
	n.Rename("a.jpg")
	assert.True(t, n.Settled("a.jpg"))
	assert.False(t, NamesOf([]string{"logo.png"}, []string{"logo.png"}).Settled("logo.png"))
}

// A name that holds a service keeps its words, a plain one stays, and further ones say what the image shows.
func TestProposeKeepsWords(t *testing.T) {
	j := judge(true, places[2], []string{"chimney sweep", "flue liner"}, "chimney sweep pell crossing")
	images := []Image{
		{Name: "ostrey-chimney-sweep", Ext: ".jpg", Verdict: WrongPlace},
		{Name: "edwin-cormac", Ext: ".jpg", Verdict: Plain},
		{Name: "flue-liner-2", Ext: ".jpg", Verdict: Near},
		{Name: "IMG_7", Ext: ".jpg", Alt: "A ladder against a wall", Verdict: Camera},
		{Name: "IMG_8", Ext: ".jpg", Verdict: Camera},
	}
	wishes := []string{"chimney sweep pell crossing"}
	assert.Equal(t, []string{"chimney-sweep-pell-crossing.jpg", "", "flue-liner-pell-crossing.jpg", "", ""},
		j.Propose(images, wishes, 2, NamesOf()))
	assert.Equal(t, []string{"chimney-sweep-pell-crossing.jpg", "", "flue-liner-pell-crossing.jpg",
		"chimney-sweep-pell-crossing-ladder-against-wall.jpg", ""}, j.Propose(images, wishes, 4, NamesOf()))
}

// A proposal always carries on its own page, is short, plain and used once.
func TestProposalProperties(t *testing.T) {
	j := judge(false, places[0], []string{"chimney sweep", "flue liner"}, "chimney sweep tarn harbor")
	word := rapid.SampledFrom([]string{"chimney", "sweep", "flue", "liner", "tarn harbor", "ostrey", "étude",
		"extraordinarily", "IMG", "7"})
	words := rapid.Custom(func(t *rapid.T) string { return strings.Join(rapid.SliceOfN(word, 1, 8).Draw(t, "w"), " ") })
	rapid.Check(t, func(t *rapid.T) {
		images := make([]Image, rapid.IntRange(0, 6).Draw(t, "n"))
		for i := range images {
			name := words.Draw(t, "name")
			images[i] = Image{Name: name, Ext: ".jpg", Heading: words.Draw(t, "heading"), Verdict: j.Verdict(name)}
		}
		seen := map[string]bool{}
		for _, name := range j.Propose(images, rapid.SliceOf(words).Draw(t, "wishes"), len(images), NamesOf()) {
			if name == "" {
				continue
			}
			assert.False(t, seen[name])
			seen[name] = true
			slug := strings.TrimSuffix(name, ".jpg")
			assert.LessOrEqual(t, len(slug), longest)
			assert.Regexp(t, `^[a-z0-9]+(-[a-z0-9]+)*$`, slug)
			assert.Equal(t, Carries, j.Verdict(slug))
		}
	})
}

// A name is worth the same however its words are parted and written.
func TestVerdictOfOtherSpellings(t *testing.T) {
	judges := []*Judge{judge(false, places[0], []string{"chimney sweep", "flue liner"}, "chimney sweep tarn harbor"),
		judge(true, places[2], []string{"chimney sweep"}, "chimney sweep pell crossing")}
	word := rapid.SampledFrom([]string{"chimney", "sweep", "sweeping", "flue", "liner", "tarn", "harbor", "ostrey",
		"pell", "crossing", "team", "hero", "photo", "of", "roof", "étude"})
	title := func(w string) string {
		r := []rune(w)
		return strings.ToUpper(string(r[0])) + string(r[1:])
	}
	rapid.Check(t, func(t *rapid.T) {
		words := rapid.SliceOfN(word, 1, 6).Draw(t, "words")
		j := rapid.SampledFrom(judges).Draw(t, "judge")
		want := j.Verdict(strings.Join(words, "-"))
		var camel []string
		for _, w := range words {
			camel = append(camel, title(w))
		}
		for _, name := range []string{strings.Join(words, "_"), strings.Join(words, " "), strings.Join(words, "--"),
			strings.Join(words, "."),
			strings.Join(camel, ""), strings.Join(camel, "-"), strings.ToUpper(strings.Join(words, "_")),
			"-" + strings.Join(words, "-") + "-"} {
			assert.Equal(t, want, j.Verdict(name), "%s beside %s", name, strings.Join(words, "-"))
		}
	})
}
