package text

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestWords(t *testing.T) {
	for _, c := range []struct {
		text string
		want int
	}{
		{"", 0},
		{" \t\n ", 0},
		{"one", 1},
		{"24/7 $1,500 well-kept it's", 4},
		{"a - b & c | d", 4},
		{"m²", 1},
		{"² 🔥 — …", 0},
		{"soft\u00adhyphen zero\u200bwidth", 2},
		{"no\u00a0break thin\u2009space", 4},
		{"東京タワー", 3},
		{"2024年 open", 3},
		{"(508)", 1},
		{"٣ ४", 2},
		{"naïve café", 2},
	} {
		assert.Equal(t, c.want, Words(c.text), "%q", c.text)
	}
}

func TestTokens(t *testing.T) {
	for _, c := range []struct {
		text string
		want []string
	}{
		{"Chimney-Sweep", []string{"chimney", "sweep"}},
		{"sweep's sweeps' don't O’Brien’s", []string{"sweep", "sweeps", "dont", "obrien"}},
		{"'quoted'", []string{"quoted"}},
		{"Brindle & Ash", []string{"brindle", "and", "ash"}},
		{"Café Ångström Straße", []string{"cafe", "angstrom", "strasse"}},
		{"e\u0301te\u0301", []string{"ete"}},
		{"$1,500", []string{"1", "500"}},
		{"ガス", []string{"ガス"}},
		{"chim\u00adney", []string{"chimney"}},
		{"rock'n'roll", []string{"rocknroll"}},
		{"東京 A", []string{"東", "京", "a"}},
	} {
		assert.Equal(t, c.want, Tokens(c.text), "%q", c.text)
	}
}

func TestSentences(t *testing.T) {
	for _, c := range []struct {
		text string
		want int
	}{
		{"We sweep. We line flues.", 1},
		{"We sweep. we line flues.", 0},
		{"On St. Brannoc Street", 0},
		{"Call now! 24 hours? Yes.", 2},
		{"Version 1.5 holds", 0},
		{"About 12. Then more", 1},
		{"no space.After", 0},
	} {
		s, _ := ScanText(c.text)
		sentences := 0
		for _, tok := range s.Tokens {
			if tok.NewSentence {
				sentences++
			}
		}
		assert.Equal(t, c.want+1, sentences, "%q", c.text)
	}
}

func TestTokenPlaces(t *testing.T) {
	s := Scan{Text: "first text, Ash’s flue-liners, well."}
	assert.Equal(t, 2, s.Append(0, 10))
	assert.Equal(t, 3, s.Append(12, len(s.Text)))
	var got, starts []string
	for i := 2; i < len(s.Tokens); i++ {
		tok := s.Tokens[i]
		got = append(got, s.Text[tok.Start:tok.End])
		if tok.NewWord {
			starts = append(starts, s.Folded(i))
		}
	}
	assert.Equal(t, []string{"Ash’s", "flue", "liners", "well"}, got)
	assert.Equal(t, []string{"ash", "flue", "well"}, starts)
}

func TestStem(t *testing.T) {
	stem := StemmerFor("en-US")
	for _, pair := range [][2]string{
		{"sweep", "sweeping"}, {"chimney", "chimneys"}, {"inspection", "inspections"}, {"repair", "repairs"},
	} {
		assert.Equal(t, stem(pair[0]), stem(pair[1]))
	}
	assert.NotEqual(t, stem("sweep"), stem("sweeper"))
	assert.Equal(t, "kamin", StemmerFor("de")("kamin"))
}

// Counting in pieces equals counting whole, where the pieces are parted by
// white space, and tokens never leave their text.
func TestScanProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := rapid.String().Draw(t, "a"), rapid.String().Draw(t, "b")
		assert.Equal(t, Words(a)+Words(b), Words(a+"\n"+b))
		s, words := ScanText(a)
		last := int32(0)
		for i, tok := range s.Tokens {
			assert.True(t, last <= tok.Start && tok.Start < tok.End && int(tok.End) <= len(a))
			assert.NotEmpty(t, s.Folded(i))
			last = tok.End
		}
		starts := 0
		for _, tok := range s.Tokens {
			if tok.NewWord {
				starts++
			}
		}
		assert.Equal(t, words, starts, "every word has a first token")
	})
}

func FuzzScan(f *testing.F) {
	f.Add("Chimney sweep’s 東京 & co.")
	f.Fuzz(func(t *testing.T, text string) {
		s, _ := ScanText(text)
		for _, tok := range s.Tokens {
			if tok.Start >= tok.End || int(tok.End) > len(text) {
				t.Fatalf("token %v leaves the text", tok)
			}
		}
	})
}
