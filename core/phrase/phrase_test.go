package phrase

import (
	"strings"
	"testing"

	"inktally/core/place"
	"inktally/core/text"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

var english = LanguageOf("en", []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}}, Corrections{})

func compile(phrases ...string) *Matcher {
	var list []Phrase
	for _, p := range phrases {
		list = append(list, New(p, english))
	}
	return Compile(list, english)
}

// count returns how often the first phrase stands exactly and loosely.
func count(s string, phrases ...string) (exact, loose int) {
	scan, _ := text.ScanText(s)
	m := compile(phrases...)
	for _, h := range m.Finder(scan).Find(0, len(scan.Tokens)) {
		switch {
		case h.Phrase == 0:
			exact++
		case h.Phrase < 0 && h.Family == m.FamilyOf(0):
			loose++
		}
	}
	return exact, loose
}

func TestOccurrences(t *testing.T) {
	for _, c := range []struct {
		text, phrase string
		exact, loose int
	}{
		{"Chimney sweeping for homes and businesses throughout Tarn Harbor", "chimney sweep tarn harbor", 0, 1},
		{"Your chimney sweep, Tarn Harbor.", "chimney sweep tarn harbor", 1, 0},
		{"chimney sweep tarn harbor chimney sweep tarn harbor", "chimney sweep tarn harbor", 2, 0},
		{"Need a chimney swept? In Tarn Harbor", "chimney sweep tarn harbor", 0, 0},
		{"A chimney sweep. Tarn Harbor is here", "chimney sweep tarn harbor", 0, 0},
		{"A chimney sweep in St. Tarn Harbor", "chimney sweep tarn harbor", 0, 1},
		{"tarn harbor's best chimney sweeps", "chimney sweep tarn harbor", 0, 1},
		{"chimney one two three four sweep", "chimney sweep", 0, 1},
		{"chimney one two three four five sweep", "chimney sweep", 0, 0},
		{"chimney of the in on at by sweep", "chimney sweep", 0, 1},
		{"sweeps: chimney sweep for your chimney", "chimney sweep", 1, 0},
		{"sweep sweep sweep", "sweep sweep", 1, 1},
		{"chimney sweep near me", "chimney sweep near me", 1, 0},
		{"sweep of a chimney near me", "chimney sweep near me", 0, 0},
		{"chimney sweep in Tarn Harbor", "chimney sweep tarn harbor me", 0, 1},
		{"chimney sweep in Tarn Harbor, ME", "chimney sweep tarn harbor me", 0, 1},
		{"Sweep's chimney", "sweep chimney", 1, 0},
		{"chimneysweep", "chimney sweep", 0, 0},
		{"the", "the", 1, 0},
		{"", "chimney", 0, 0},
	} {
		t.Run(c.phrase+" in "+c.text, func(t *testing.T) {
			exact, loose := count(c.text, c.phrase)
			assert.Equal(t, [2]int{c.exact, c.loose}, [2]int{exact, loose}, "%q in %q", c.phrase, c.text)
		})
	}
}

// A loose occurrence is never inside an exact one of its family.
func TestLooseKeepsClearOfTheFamily(t *testing.T) {
	exact, loose := count("chimney sweep tarn harbor", "tarn harbor chimney sweep", "chimney sweep tarn harbor")
	assert.Equal(t, 0, exact)
	assert.Equal(t, 0, loose)
	_, loose = count("chimney sweep tarn harbor", "tarn harbor chimney sweep")
	assert.Equal(t, 1, loose)
}

func TestFamilies(t *testing.T) {
	phrases := []string{"chimney sweep tarn harbor", "tarn harbor chimney sweep", "chimney sweep in tarn harbor",
		"chimney sweep tarn harbor me", "chimney sweeping tarn harbor", "chimney sweep tarn harbor maine",
		"chimney company tarn harbor", "best chimney sweep tarn harbor", "chimney sweep near me", "chimney sweep"}
	m := compile(phrases...)
	var got [][]int
	for _, f := range m.Families {
		got = append(got, f.Members)
	}
	assert.Equal(t, [][]int{{0, 1, 2, 3, 4, 5}, {6}, {7}, {8}, {9}}, got)
}

// A family's count is of leftmost-longest matches of its members.
func TestFamilyCount(t *testing.T) {
	scan, _ := text.ScanText("chimney sweep tarn harbor me, tarn harbor chimney sweep tarn harbor")
	m := compile("chimney sweep tarn harbor", "chimney sweep tarn harbor me", "tarn harbor chimney sweep")
	var counted []string
	for _, h := range m.Finder(scan).Find(0, len(scan.Tokens)) {
		if h.Counts {
			counted = append(counted, scan.Text[scan.Start(h.Lo):scan.End(h.Hi-1)])
		}
	}
	assert.Equal(t, []string{"chimney sweep tarn harbor me", "tarn harbor chimney sweep"}, counted)
}

// What is found does not depend on what else is looked for, but for loose
// occurrences, from which the members of a family keep each other.
func TestOthersChangeNothing(t *testing.T) {
	words := []string{"chimney", "sweep", "sweeping", "tarn", "harbor", "the", "flue", "liner.", "Me", "near", "me"}
	sentence := rapid.Custom(func(t *rapid.T) string {
		return strings.Join(rapid.SliceOfN(rapid.SampledFrom(words), 0, 40).Draw(t, "words"), " ")
	})
	rapid.Check(t, func(t *rapid.T) {
		s := sentence.Draw(t, "text")
		exact, loose := count(s, "chimney sweep tarn harbor")
		e2, l2 := count(s, "chimney sweep tarn harbor", "flue liner", "chimney", "sweep tarn", "harbor near me",
			"tarn harbor")
		assert.Equal(t, [2]int{exact, loose}, [2]int{e2, l2})
		ea, la := count(s+"\n\n. X", "chimney sweep tarn harbor")
		assert.Equal(t, [2]int{exact, loose}, [2]int{ea, la})
	})
}

// Words tied as one, and other spellings of a place, share a family and are
// found in texts.
func TestTiesInTexts(t *testing.T) {
	places := []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true,
		Spellings: []string{"Tarn Harbour", "Tarnharbor"}}}
	lang := LanguageOf("en", places, Corrections{Ties: Ties{{"sweep", "cleaner", "brusher"}}})
	assert.Equal(t, New("chimney sweep tarn harbor", lang).Family(),
		New("cleaners for chimneys tarnharbor me", lang).Family())
	assert.Equal(t, New("chimney sweep tarn harbor", lang).Family(), New("tarn harbour chimney brusher", lang).Family())
	list := []Phrase{New("chimney sweep tarn harbor", lang)}
	Compile(list, lang)
	m := Compile(list, lang) // a language serves several matchers
	for s, want := range map[string]int{
		"A brusher for each chimney of Tarn Harbour":  1,
		"Cleaners of chimneys, all over Tarn Harbor.": 1,
		"A mason for each chimney of Tarn Harbor":     0,
	} {
		t.Run(s, func(t *testing.T) {
			scan := &text.Scan{Text: s}
			scan.AppendLabel(0, len(s))
			assert.Len(t, m.Finder(scan).Find(0, len(scan.Tokens)), want, s)
		})
	}
}

// Other languages have their stemmer's small words, and the user's.
func TestOtherLanguages(t *testing.T) {
	french := LanguageOf("fr-CA", nil, Corrections{})
	assert.Equal(t, New("ramonage de cheminées", french).Family(), New("cheminée ramonage", french).Family())
	german := LanguageOf("de", nil, Corrections{Small: []string{"in der", "für"}})
	assert.Equal(t, New("schornsteinfeger in ostrey", german).Family(), New("ostrey schornsteinfeger", german).Family())
}
