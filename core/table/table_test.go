package table

import (
	"strings"
	"testing"

	"inktally/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding/unicode"
)

func TestNumber(t *testing.T) {
	for s, want := range map[string]int{"0": 0, "1300": 1300, "1,300": 1300, "1.2K": 1200, "1,2k": 1200, "2M": 2000000,
		"10-100": 55, "10 – 100": 55,
		"< 10": 10, "45%": 45, "1 300": 1300, "12.6": 13, "1,234,567": 1234567, "1,234.5": 1235} {
		n, ok := Number(s)
		assert.True(t, ok, s)
		assert.Equal(t, want, n, s)
	}
	for _, s := range []string{"", "-", "n/a", "—", "ten", "1e9", "0x10", "inf", "nan", "-5", "100-10", "1.2.3",
		"99999999999"} {
		_, ok := Number(s)
		assert.False(t, ok, s)
	}
}

func taken(t *testing.T, body string) ([]Row, []Refused, Layout) {
	t.Helper()
	rows, err := Parse([]byte(body))
	require.NoError(t, err)
	l := Guess(rows)
	list, refused, err := Take(rows, l)
	require.NoError(t, err)
	return list, refused, l
}

func TestLists(t *testing.T) {
	n := func(i int) *int { return &i }
	want := []Row{{"chimney sweep", n(1300), n(6), nil, "", "", nil}, {"flue, liner", n(20), nil, nil, "", "", nil}}
	for name, body := range map[string]string{
		"comma":     "Keyword,Search Volume,KD\nchimney sweep,\"1,300\",6\n\"flue, liner\",20,-\n",
		"semicolon": "Difficulty;Phrase;Volume\r\n6;chimney sweep;1.3K\r\n\r\n;flue, liner;20\r\n",
		"tab":       "phrase\tavg. monthly searches\tkeyword difficulty\nchimney sweep\t1300\t6\nflue, liner\t20\t\n",
		"bar":       "query|volume|kd\nchimney sweep|1300|6\nflue, liner|10-30|x\n",
	} {
		t.Run(name, func(t *testing.T) {
			list, refused, l := taken(t, body)
			assert.Equal(t, want, list, name)
			assert.Empty(t, refused, name)
			assert.True(t, l.Heading, name)
		})
	}
	list, _, _ := taken(t,
		"Keyword,Volume\n\"chimney sweep,1\nflue liner,2\nflue cap,3\nvent,4\nstove,5\nhearth,6\nbrick,7\n")
	assert.Len(t, list, 7, "a quote that nothing ends swallows no rows")
	list, _, l := taken(t, "chimney sweep\n\nflue liner\n")
	assert.Equal(t, []Row{{Phrase: "chimney sweep"}, {Phrase: "flue liner"}}, list)
	assert.False(t, l.Heading)
	list, _, _ = taken(t, "7,chimney sweep ostrey,880\n55,flue liner,20\n")
	assert.Equal(t, []Row{{"chimney sweep ostrey", n(880), n(7), nil, "", "", nil},
		{"flue liner", n(20), n(55), nil, "", "", nil}}, list)
	list, _, _ = taken(t, "Keyword,Position,URL\nchimney sweep,14,http://ash.example/\n")
	assert.Equal(t, []Row{{"chimney sweep", nil, nil, n(14), "http://ash.example/", "", nil}}, list)
	list, _, _ = taken(t, "Keyword,Volume,Traffic,Traffic (%),Traffic cost\n"+
		"chimney sweep,380,41.5,12,99\nflue cap,10,,1,2\n")
	visits := 41.5
	assert.Equal(t, []Row{{Phrase: "chimney sweep", Volume: n(380), Visits: &visits},
		{Phrase: "flue cap", Volume: n(10)}},
		list, "its own visits, not their share or cost")
	wide, err := unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewEncoder().String(
		"phrase\tvolume\nramonage à Ostrey\t20\n煙突\t10\n")
	require.NoError(t, err)
	list, _, _ = taken(t, wide)
	assert.Equal(t, "ramonage à Ostrey", list[0].Phrase)
	list, _, _ = taken(t, "caf\xe9 sweep,10\nflue,20\n")
	assert.Equal(t, "café sweep", list[0].Phrase)
}

func TestBadLists(t *testing.T) {
	list, refused, _ := taken(t, "phrase,volume\n=HYPERLINK(\"http://x.example\"),5\n@sum flue,3\n!!,2\n"+
		strings.Repeat("word ", 60)+",1\n12,3\nhttp://ash.example,9\n,7\n[flue liner],4\n")
	assert.Equal(t, "sum flue", list[0].Phrase)
	assert.Equal(t, "flue liner", list[1].Phrase)
	require.Len(t, refused, 6)
	for _, r := range refused {
		assert.NotEmpty(t, r.Reason)
		assert.Greater(t, r.Line, 1)
		assert.Less(t, len(r.Text), 300)
	}
	for _, body := range []string{"", " \n,,\n", "\x00\x01\x02\x03binary"} {
		_, err := Parse([]byte(body))
		_, known := fault.Of(err)
		assert.True(t, known, "%q", body)
	}
	rows, err := Parse([]byte(strings.Repeat("x,", 10_000) + "\n"))
	require.NoError(t, err)
	assert.Len(t, rows[0], MaxColumns)
	_, _, err = Take([][]string{{"1", "2"}}, Layout{Roles: []Role{Volume, Difficulty}})
	assert.True(t, NoPhraseColumn.Is(err))
}

// A row is refused for its real reason: letters of many bytes are not many
// words.
func TestRefusals(t *testing.T) {
	for name, c := range map[string]struct {
		phrase string
		want   Refusal
	}{
		"Japanese of 160 characters": {strings.Repeat("煙突掃除", 40), ""},
		"longer than 400 letters":    {strings.Repeat("煙突掃除", 101), ManyLetters},
		"one long word":              {strings.Repeat("a", 401), ManyLetters},
		"41 words":                   {strings.Repeat("a ", 41), ManyWords},
		"an address":                 {"http://ash.example", IsAddress},
		"a number":                   {"1,300", IsNumber},
		"signs":                      {"!!", NoWord},
		"nothing":                    {"", NoPhrase},
	} {
		t.Run(name, func(t *testing.T) {
			taken, refused, err := Take([][]string{{c.phrase, "7"}}, Layout{Roles: []Role{Phrase, Volume}})
			require.NoError(t, err)
			if c.want == "" {
				assert.Len(t, taken, 1)
				return
			}
			require.Len(t, refused, 1)
			assert.Equal(t, c.want, refused[0].Reason)
		})
	}
}

func FuzzTable(f *testing.F) {
	f.Add([]byte("Keyword,Volume\n\"a b\",1.2K\n"))
	f.Add([]byte("\xff\xfea\x00\t\x00b\x00"))
	f.Fuzz(func(t *testing.T, body []byte) {
		rows, err := Parse(body)
		if err != nil {
			return
		}
		list, refused, err := Take(rows, Guess(rows))
		if err == nil && len(list)+len(refused) < len(rows)-1 {
			t.Fatal("a row was lost")
		}
	})
}
