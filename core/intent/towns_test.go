package intent

import (
	"strings"
	"testing"

	"inktally/core/gazetteer"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// groundIn returns the ground of a firm for everything that towns' names are words of.
func groundIn(state, postcode string) Ground {
	places := []place.Place{{Name: "Aldermoor", State: state, Home: true}, {Name: "Little Marram"}}
	return Ground{
		Language: phrase.LanguageOf("en", places, phrase.Corrections{}), Lists: EnglishLists(),
		Towns: gazetteer.World(), Postcode: postcode,
		Names: []string{"Sedgeway Boilers"},
		Services: []Service{{Name: "chimney sweep"}, {Name: "bath resurfacing"}, {Name: "mobile home repair"},
			{Name: "reading lamp repair"},
			{Name: "orange tree pruning"}, {Name: "battle damage repair"}, {Name: "washing machine repair"}},
	}
}

// Towns whose names are words never set a client's own phrase aside (rule 5.4).
func TestTownsThatAreWords(t *testing.T) {
	british, american := NewJudge(groundIn("Norfolk", "")), NewJudge(groundIn("ME", ""))
	for _, s := range []string{
		"reading lamp repair near me", "reading lamp repair aldermoor", "best reading lamp repair",
		"bath resurfacing near me", "bath resurfacing company",
		"bath resurfacing aldermoor", "battle damage repair near me", "washing machine deal aldermoor repair",
		"washing machine repair deal near me",
		"chimney sweep good deal aldermoor", "sandwich shop chimney sweep aldermoor",
		"rugby club chimney sweep aldermoor", "hull chimney sweep aldermoor",
		"rye chimney sweep aldermoor", "stone chimney sweep near me", "sale chimney sweep aldermoor",
		"chimney sweep sale aldermoor", "wells chimney sweep aldermoor",
		"chimney sweep street aldermoor", "ash chimney sweep aldermoor",
	} {
		t.Run(s, func(t *testing.T) { assert.True(t, british.Of(s).Intent.Hires(), "%+v", british.Of(s)) })
	}
	for _, s := range []string{
		"mobile chimney sweep near me", "mobile home repair near me", "mobile home repair company",
		"mobile home repair aldermoor", "orange tree pruning near me",
		"orange tree pruning aldermoor", "best orange tree pruning", "normal chimney sweep aldermoor",
		"surprise chimney sweep aldermoor", "chimney sweep surprise aldermoor",
		"boring chimney sweep aldermoor", "independence day chimney sweep aldermoor", "home chimney sweep near me",
		"chimney sweep price match aldermoor company",
		"commerce street chimney sweep aldermoor", "enterprise chimney sweep aldermoor",
		"victory chimney sweep aldermoor", "spring chimney sweep near me",
		"fall chimney sweep near me", "bath resurfacing maine aldermoor",
	} {
		t.Run(s, func(t *testing.T) {
			judged := american.Of(s)
			assert.NotEqual(t, Elsewhere, judged.Intent, "%+v", judged)
		})
	}
	plain := func(state, postcode string) *Judge {
		g := groundIn(state, postcode)
		g.Services = g.Services[:1]
		return NewJudge(g)
	}
	american = plain("ME", "")
	for s, want := range map[string]ReasonCode{
		"chimney sweep in mobile": OtherTown, "chimney sweep mobile al": OtherState,
		"chimney sweep surprise az": OtherState, "chimney sweep chillicothe": OtherTown,
		"chimney sweep st louis": OtherTown, "chimney sweep ft wayne": OtherTown,
		"chimney sweep orange county": OtherState, "chimney sweep ohio": OtherState,
		"chimney sweep nova scotia": OtherState, "chimney sweep toronto": OtherTown,
	} {
		t.Run(s, func(t *testing.T) { assert.Equal(t, want, american.Of(s).Reason.Code, s) })
	}
	british = plain("Norfolk", "NR34 9QX")
	for s, want := range map[string]ReasonCode{
		"chimney sweep in reading": OtherTown, "chimney sweep bath": OtherTown, "chimney sweep king's lynn": OtherTown,
		"chimney sweep cromer":         OtherTown,
		"chimney sweep stoke on trent": OtherTown, "chimney sweep kent": OtherState, "chimney sweep herts": OtherState,
		"chimney sweep county durham": OtherState,
		"chimney sweep scotland":      ServiceAlone, "chimney sweep ireland": OtherState,
		"chimney sweep se15": OtherPostcode, "chimney sweep sw1a 1aa": OtherPostcode,
		"chimney sweep nr34": ServiceIn, "chimney sweep nr11": UnknownAlone, "chimney sweep norfolk": ServiceAlone,
	} {
		t.Run(s, func(t *testing.T) {
			judged := british.Of(s)
			if want == ServiceAlone || want == UnknownAlone {
				assert.Equal(t, Broad, judged.Intent, "%+v", judged)
				return
			}
			assert.Equal(t, want, judged.Reason.Code, "%+v", judged)
		})
	}
}

// A verdict or a tie never sets aside a phrase that names a whole service and a place of
// the client, unless the word that was judged stands in it.
func TestVerdictsReachNoFurther(t *testing.T) {
	filler := []string{"zebra", "zebras", "red", "quick", "hofmann", "old", "yonder", "cap", "best", "24 hour"}
	rapid.Check(t, func(t *rapid.T) {
		words := rapid.SliceOfN(rapid.SampledFrom(filler), 0, 3).Draw(t, "words")
		s := "chimney sweep aldermoor"
		for _, w := range words {
			if rapid.Bool().Draw(t, "before") {
				s = w + " " + s
			} else {
				s += " " + w
			}
		}
		g := groundIn("ME", "")
		before := NewJudge(g).Of(s)
		judged := rapid.SampledFrom([]string{"zebra", "hofmann", "yonder", "cleaning", "sweeping", "chimneys", "moor",
			"lamp"}).Draw(t, "judged")
		if rapid.Bool().Draw(t, "tied") {
			meant := rapid.SampledFrom([]string{"yonder", "parts", "chimney", "zebra"}).Draw(t, "meant")
			g.Language = phrase.LanguageOf("en", g.Language.Places,
				phrase.Corrections{Ties: phrase.Ties{{meant, judged}}, Read: map[string][]string{judged: {meant}}})
		} else {
			g.Verdicts = map[string]Verdict{judged: rapid.SampledFrom(Verdicts()).Draw(t, "verdict")}
		}
		after := NewJudge(g).Of(s)
		stands := false
		for _, w := range append(words, "chimney", "sweep", "aldermoor") {
			stands = stands || singular(w) == singular(judged)
		}
		if before.Intent.Hires() && !stands {
			assert.True(t, after.Intent.Hires(), "%s, with %v: %+v", s, g.Verdicts, after)
		}
	})
}

// Verdicts hold for a word and its plural, not for other forms of it.
func TestVerdicts(t *testing.T) {
	g := brindle()
	g.Verdicts = map[string]Verdict{"zebra": FirmWord, "yonder": PlaceWord, "soot": Ours, "brindle": OrdinaryWord,
		"quillon": MakerWord, "coffee": NotOurs}
	g.Lists.Elsewhere = []string{"Ferry Point"}
	j := NewJudge(g)
	for s, want := range map[string]Intent{
		"zebra chimney sweep tarn harbor": Brand, "zebras chimney sweep tarn harbor": Brand,
		"chimney sweep yonder": Elsewhere, "chimney sweep ferry point": Elsewhere,
		"soot removal ostrey": Hire, "brindle chimney sweep ostrey": Hire, "coffee flue cleaning ostrey": NotOffered,
		"quillon stove installation ostrey": Hire, "quillon stove": Brand, "quillon installation ostrey": Hire,
		"quillon ostrey": Brand, "quillons": Brand,
	} {
		t.Run(s, func(t *testing.T) { assert.Equal(t, want, j.Of(s).Intent, "%+v", j.Of(s)) })
	}
}

// Whatever is typed has one of the intents, with a reason.
func FuzzOf(f *testing.F) {
	for _, s := range []string{"chimney sweep tarn harbor", "best of the best", "in", "co", "county", "st", "24 7",
		"nr34 9qx", "煙突 掃除", "é à ü", "?"} {
		f.Add(s)
	}
	g := brindle()
	g.Towns = gazetteer.World()
	j := NewJudge(g)
	f.Fuzz(func(t *testing.T, s string) {
		judged := j.Of(s)
		assert.Contains(t, Intents(), judged.Intent)
		assert.Contains(t, ReasonCodes(), judged.Reason.Code)
		_ = j.Need(s, "Tarn Harbor")
	})
}

// rule 3.6: the trade's words are the main service's only where no service has them.
func TestTradeGivesWay(t *testing.T) {
	home := place.Place{Name: "Tarn Harbor", State: "ME", Home: true}
	judge := func(trade string, services ...string) *Judge {
		g := Ground{Language: phrase.LanguageOf("en", []place.Place{home}, phrase.Corrections{}), Trade: trade}
		for _, s := range services {
			name, words, _ := strings.Cut(s, ", ")
			g.Services = append(g.Services, Service{Name: name, Words: strings.Fields(words)})
		}
		g.Lists = ListsOfServices("en", g.Services)
		return NewJudge(g)
	}
	roofs := judge("roofing", "roof repair", "roof replacement", "roofing, roofing-contractor")
	wells := judge("wells and pumps", "well drilling", "well pump repair")
	for _, c := range []struct {
		judge         *Judge
		text, service string
	}{
		{roofs, "roofing company tarn harbor", "roofing"},
		{roofs, "roofing tarn harbor", "roofing"},
		{roofs, "roof repair company tarn harbor", "roof repair"},
		{judge("roofing", "roof repair", "roof replacement"), "roofing company tarn harbor", "roof repair"},
		{wells, "well pump repair tarn harbor", "well pump repair"},
		{wells, "well drilling tarn harbor", "well drilling"},
	} {
		got := c.judge.Of(c.text)
		assert.Equal(t, c.service, got.Service, c.text)
		assert.Equal(t, Hire, got.Intent, c.text)
	}
}
