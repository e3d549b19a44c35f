package tie

import (
	"slices"
	"strings"
	"testing"

	"inktally/core/text"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// input returns a book of phrases with their searches, for a firm that sweeps chimneys
// and repairs drain fields.
func input(phrases map[string]int) Input {
	known := strings.Fields("near me cheap best company cost repair cleaning inspection installation supplier old")
	acts := strings.Fields("repair cleaning inspection installation fitting sweep")
	in := Input{Stem: text.StemmerFor("en"), English: true, Apart: map[string]bool{},
		Own: [][]string{{"chimney", "sweep"}, {"chimney", "inspection"}, {"drain", "field", "repair"},
			{"tarn", "harbor"}, {"mill", "bascom"}},
		Act: func(t string) bool {
			return slices.Contains(acts, t)
		}, Town: func(t string) bool { return t == "bascoe" }}
	own := slices.Concat(in.Own...)
	in.Known = func(t string) bool { return slices.Contains(known, t) || slices.Contains(own, t) }
	for p, n := range phrases {
		in.Phrases = append(in.Phrases, Searched{strings.Fields(p), n})
	}
	slices.SortFunc(in.Phrases, func(a, b Searched) int { return slices.Compare(a.Tokens, b.Tokens) })
	return in
}

func TestFind(t *testing.T) {
	base := map[string]int{"chimney sweep tarn harbor": 1000, "chimneys tarn harbor": 200, "chimney inspection": 50,
		"cheap chimney sweep": 20, "chimney company": 30, "chimney fitting": 5,
		"chimney sweep mill bascom": 300}
	for word, want := range map[string]Tie{
		"chimny":      {Kind: Slip, Means: []string{"chimney"}, Certain: true},
		"chimnye":     {Kind: Slip, Means: []string{"chimney"}, Certain: true}, // a swap
		"chimnxx":     {Kind: Slip, Means: []string{"chimney"}},                // two letters of seven
		"zimnxx":      {},                                                      // and another beginning
		"chimeys":     {Kind: Slip, Means: []string{"chimneys"}, Certain: true},
		"hrbor":       {Kind: Slip, Means: []string{"harbor"}, Certain: true},
		"mil":         {Kind: Slip, Means: []string{"mill"}}, // too short to be certain
		"tran":        {Kind: Slip, Means: []string{"tarn"}},
		"bascoe":      {},                                       // the name of a town, that one is meant
		"swamp":       {},                                       // a word of the language
		"compny":      {Kind: Slip, Means: []string{"company"}}, // no word of the client's
		"drainfields": {Kind: Compound, Means: []string{"drain", "fields"}, Certain: true},
		"drainfeild":  {Kind: Compound, Means: []string{"drain", "field"}},
		"24hr":        {Kind: Short, Means: []string{"24", "hour"}},
		"drainfield":  {Kind: Compound, Means: []string{"drain", "field"}, Certain: true},
		"tarnharbor":  {Kind: Compound, Means: []string{"tarn", "harbor"}, Certain: true},
		"cheapest":    {Kind: Degree, Means: []string{"cheap"}},
		"inspector":   {Kind: Doer, Means: []string{"inspection"}},
		"inspectors":  {Kind: Doer, Means: []string{"inspection"}},
		"fitter":      {Kind: Doer, Means: []string{"fitting"}},
		"sweepers":    {Kind: Doer, Means: []string{"sweep"}},
		"supplier":    {},
		"er":          {},
		"24":          {},
		"oakum":       {},
	} {
		t.Run(word, func(t *testing.T) {
			phrases := map[string]int{word + " chimney": 5}
			for p, n := range base {
				phrases[p] = n
			}
			in := input(phrases)
			found := Find(in)
			at := slices.IndexFunc(found, func(f Tie) bool { return f.Word == word })
			if want.Kind == "" {
				assert.Negative(t, at, "%v", found)
				return
			}
			if assert.GreaterOrEqual(t, at, 0) {
				assert.Equal(t, Tie{want.Kind, word, want.Means, want.Certain, 5, 1}, found[at])
			}
			in.Apart[word] = true
			assert.NotContains(t, Find(in), Tie{want.Kind, word, want.Means, want.Certain, 5, 1},
				"the user parted them")
		})
	}
	often := input(map[string]int{"chimney sweep": 40, "chimny sweep": 5})
	assert.False(t, Find(often)[0].Certain, "searched for a tenth as much or less")
}

// A compound of the client's that somebody writes as two words is parted in all its forms, so that
// it is one search however it is typed.
func TestOwnCompoundWrittenAsTwo(t *testing.T) {
	in := input(map[string]int{"locksmith tarn harbor": 300, "locksmiths tarn harbor": 90,
		"lock smith tarn harbor": 20})
	in.Own = append(in.Own, []string{"locksmith"})
	parted := map[string][]string{}
	for _, f := range Find(in) {
		if f.Kind == Compound && f.Certain {
			parted[f.Word] = f.Means
		}
	}
	assert.Equal(t, map[string][]string{"locksmith": {"lock", "smith"}, "locksmiths": {"lock", "smiths"}}, parted)
}

// No word is tied to itself, and none that is known or the client's own is a slip.
func TestTiesProperties(t *testing.T) {
	pool := strings.Fields(
		"chimney chimny chimneys sweep swep sweeper tarn harbor harbr drainfield drain field cheap cheapest " +
			"inspection inspector zebra 24 old")
	rapid.Check(t, func(t *rapid.T) {
		phrases := map[string]int{}
		for range rapid.IntRange(0, 12).Draw(t, "phrases") {
			phrases[strings.Join(rapid.SliceOfN(rapid.SampledFrom(pool), 1, 4).Draw(t, "words"), " ")] = rapid.IntRange(
				0, 500).Draw(t, "searches")
		}
		in := input(phrases)
		for _, tie := range Find(in) {
			assert.NotEqual(t, []string{tie.Word}, tie.Means)
			assert.NotEmpty(t, tie.Means)
			if tie.Kind == Slip {
				assert.False(t, in.Known(tie.Word), tie.Word)
			}
			if tie.Certain {
				assert.Contains(t, []Kind{Slip, Compound}, tie.Kind)
			}
		}
	})
}
