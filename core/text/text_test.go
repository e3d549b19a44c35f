package text

import (
	"strings"
	"testing"
	"unicode"
	"unicode/utf8"

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
		{"東京Sweep's", 3},
	} {
		t.Run(c.text, func(t *testing.T) { assert.Equal(t, c.want, Words(c.text)) })
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
		{"設定。/etc/apt/sources.list", []string{"設", "定", "etc", "apt", "sources", "list"}},
		{"宛先、info@example.com", []string{"宛", "先", "info", "example", "com"}},
		{"東京Sweep's&Ash’s", []string{"東", "京", "sweep", "and", "ash"}},
		{"ร้O’Brien-Ash", []string{"ร้", "obrien", "ash"}},
		{"東京Café_2.5", []string{"東", "京", "cafe", "2", "5"}},
	} {
		t.Run(c.text, func(t *testing.T) { assert.Equal(t, c.want, Tokens(c.text)) })
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
		{"東京 at noon. Then more", 1},
		{"東京noon. Then more", 1},
	} {
		t.Run(c.text, func(t *testing.T) {
			s, _ := ScanText(c.text)
			sentences := 0
			for _, tok := range s.Tokens {
				if tok.NewSentence() {
					sentences++
				}
			}
			assert.Equal(t, c.want+1, sentences, "%q", c.text)
		})
	}
}

func TestTokenPlaces(t *testing.T) {
	s := Scan{Text: "first text, Ash’s flue-liners, well."}
	assert.Equal(t, 2, s.Append(0, 10))
	assert.Equal(t, 3, s.Append(12, len(s.Text)))
	var got, starts []string
	for i := 2; i < len(s.Tokens); i++ {
		got = append(got, s.Text[s.Start(i):s.End(i)])
		if s.Tokens[i].NewWord() {
			starts = append(starts, s.Folded(i))
		}
	}
	assert.Equal(t, []string{"Ash’s", "flue", "liners", "well"}, got)
	assert.Equal(t, []string{"ash", "flue", "well"}, starts)
}

func TestLongToken(t *testing.T) {
	long := strings.Repeat("a", 70_000)
	s, words := ScanText("Short " + long + " end")
	assert.Equal(t, 3, words)
	assert.Equal(t, long, s.Folded(1))
	assert.Equal(t, 6+len(long), s.End(1))
	assert.Equal(t, "end", s.Folded(2))
}

func TestStem(t *testing.T) {
	stem := StemmerFor("en-US")
	for _, pair := range [][2]string{
		{"sweep", "sweeping"}, {"chimney", "chimneys"}, {"inspection", "inspections"}, {"repair", "repairs"},
	} {
		assert.Equal(t, stem(pair[0]), stem(pair[1]))
	}
	assert.NotEqual(t, stem("sweep"), stem("sweeper"))
}

// Counting in pieces equals counting whole, if the pieces are parted by
// white space, and tokens never leave their text.
func TestScanProperties(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := rapid.String().Draw(t, "a"), rapid.String().Draw(t, "b")
		assert.Equal(t, Words(a)+Words(b), Words(a+"\n"+b))
		s, words := ScanText(a)
		last := 0
		for i := range s.Tokens {
			assert.True(t, last <= s.Start(i) && s.Start(i) < s.End(i) && s.End(i) <= len(a))
			assert.NotEmpty(t, s.Folded(i))
			last = s.End(i)
		}
		starts := 0
		for _, tok := range s.Tokens {
			if tok.NewWord() {
				starts++
			}
		}
		assert.Equal(t, words, starts, "every word has a first token")
	})
}

// What is kept of characters is what the tables of Unicode say of them.
func TestTraits(t *testing.T) {
	for r := rune(0x80); r <= unicode.MaxRune; r++ {
		is := traitsOf(r)
		if !utf8.ValidRune(r) {
			continue
		}
		var folded strings.Builder
		writeFolded(&folded, r)
		switch {
		case is&runeBlank != 0 != unicode.IsSpace(r), is&runeAlnum != 0 != isAlnum(r),
			is&runeMark != 0 != unicode.IsMark(r),
			is&runeUnspaced != 0 != (unicode.IsLetter(r) && unicode.In(r, unspaced...)),
			is&runeFolded != 0 && folded.String() != string(r):
			t.Fatalf("%U is taken as %b", r, is)
		}
	}
}

func FuzzScan(f *testing.F) {
	f.Add("Chimney sweep’s 東京 & co.")
	f.Fuzz(func(t *testing.T, text string) {
		s, _ := ScanText(text)
		for i := range s.Tokens {
			if s.Start(i) >= s.End(i) || s.End(i) > len(text) {
				t.Fatalf("token %d leaves the text", i)
			}
		}
	})
}

// The filter lets every word pass whose stem was added.
func TestStemFilter(t *testing.T) {
	bases := strings.Fields(
		"chimney sweep sky cry die lie tie dye hope hop relate sensible visible probable operate organize " +
			"me go vivid fame nation ration care active use fluent early only single gentle idle ugly inspect repair " +
			"cap " +
			"fit " +
			"install mason dryer vent clean wood stove install generous commune arsenal agree feed news proceed " +
			"happy play")
	suffixes := strings.Fields(
		"s es ed ing ies ied y ly er ers ation ations ator ization ational ational ability ibility ibilities " +
			"fulness ful ness iveness ousness ence ance " +
			"encies ancy ment ments able ible ism alism ality ive ize izing " +
			"izer ental ic ical icate e")
	for lang := range snowball {
		english, stem := lang == "en", StemmerFor(lang)
		for _, base := range bases {
			for _, suffix := range append(suffixes, "") {
				for _, word := range []string{base + suffix, strings.TrimRight(base, "ey") + suffix,
					base + base[len(base)-1:] + suffix} {
					var f StemFilter
					f.Add(stem(word), english)
					assert.True(t, f.May(word), "%s: %s: %s", lang, word, stem(word))
				}
			}
		}
	}
	var f StemFilter
	f.Add("chimney", true)
	f.Add("cap", true)
	assert.False(t, f.May("chip"))
	assert.False(t, f.May("c"))
	assert.True(t, f.May("capped"))
}

// Eight bytes at once give what one by one does.
func TestCollapsedLen(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := rapid.StringOfN(rapid.RuneFrom([]rune("ab z09 \t\n~\x7f\x1f é\u00a0京")), 0, 40, -1).Draw(t, "s")
		end := 0
		for i := 0; i < len(s); i++ {
			if c := s[i]; c > ' ' && c < 0x80 {
				end = i + 1
			} else if c != ' ' || end != i || i == 0 {
				break
			}
		}
		assert.Equal(t, end, CollapsedLen(s), "%q", s)
		for i := 0; i+8 <= len(s); i++ {
			n := 0
			for n < 8 && (s[i+n] >= 'a' && s[i+n] <= 'z' || s[i+n] >= '0' && s[i+n] <= '9') {
				n++
			}
			assert.Equal(t, n, lowerRun(s, i), "%q at %d", s, i)
		}
	})
}

// Small words are those of the text's language; a language that nobody here
// knows has none (rules 2.5, 2.6).
func TestLanguages(t *testing.T) {
	for lang, words := range map[string][3]string{
		"":      {"the", "with", "chimney"},
		"en-US": {"near", "your", "best"},
		"fr":    {"de", "les", "ramonage"},
		"es-MX": {"de", "para", "chimenea"},
		"sv":    {"och", "det", "skorsten"},
		"nb":    {"og", "det", "pipe"},
		"hu":    {"egy", "az", "tető"},
		"de":    {"der", "fur", "schornstein"},
		"nl-BE": {"het", "voor", "dak"},
		"pt_BR": {"da", "para", "telhado"},
		"ru":    {"и", "на", "труба"},
	} {
		t.Run(lang, func(t *testing.T) {
			small := SmallFor(lang)
			assert.True(t, small(words[0]) && small(words[1]), lang)
			assert.False(t, small(words[2]), lang)
		})
	}
	for tag, base := range map[string]string{"en-US": "en", "pt_BR": "pt", "DE-at": "de", "": "", "no such tag": "",
		"en-US-x": "", "en-us": "en", "EN": "en", "zz-US": "", "de-ÄÖ": "", "nb-NO": "nb", "zh-Hant-TW": "zh",
		"x-own": ""} {
		t.Run(tag, func(t *testing.T) {
			assert.Equal(t, base, Base(tag), tag)
		})
	}
	for lang, pair := range map[string][2]string{
		"fr": {"ramonages", "ramonage"}, "es": {"servicios", "servicio"}, "sv": {"flickorna", "flicka"},
		"no": {"piper", "pipe"},
		"hu": {"házak", "ház"}, "ru": {"трубы", "труба"}, "en": {"chimneys", "chimney"},
		"de": {"kamine", "kamin"}, "nl": {"daken", "dak"}, "pt": {"telhados", "telhado"}, "it": {"camini", "camino"},
		"da": {"skorstene", "skorsten"},
	} {
		t.Run(lang, func(t *testing.T) {
			stem := StemmerFor(lang)
			assert.Equal(t, stem(pair[1]), stem(pair[0]), lang)
		})
	}
	assert.Equal(t, "komin", StemmerFor("pl")("komin"), "a language without a stemmer keeps its tokens")
	assert.True(t, English("en-GB"))
	assert.False(t, English("enm"))
}
