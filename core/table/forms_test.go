package table

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"golang.org/x/text/encoding"
	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
	"pgregory.net/rapid"
)

// form is a way to write a list down.
type form struct {
	delimiter, lineEnd string
	quoted             bool // every cell, not only those that need it
	encoding           encoding.Encoding
	mark               string
}

func (f form) write(t require.TestingT, rows [][]string) []byte {
	var b strings.Builder
	b.WriteString(f.mark)
	for _, row := range rows {
		for i, cell := range row {
			if i > 0 {
				b.WriteString(f.delimiter)
			}
			if f.quoted || strings.ContainsAny(cell, "\""+f.delimiter) {
				cell = `"` + strings.ReplaceAll(cell, `"`, `""`) + `"`
			}
			b.WriteString(cell)
		}
		b.WriteString(f.lineEnd)
	}
	body, err := f.encoding.NewEncoder().Bytes([]byte(b.String()))
	require.NoError(t, err)
	return body
}

var forms = rapid.Custom(func(t *rapid.T) form {
	f := form{
		delimiter: rapid.SampledFrom([]string{",", ";", "\t", "|"}).Draw(t, "delimiter"),
		lineEnd:   rapid.SampledFrom([]string{"\n", "\r\n", "\r", "\n\n"}).Draw(t, "line end"),
		quoted:    rapid.Bool().Draw(t, "quoted"),
	}
	switch rapid.IntRange(0, 4).Draw(t, "encoding") {
	case 0:
		f.encoding = encoding.Nop
	case 1:
		f.encoding, f.mark = encoding.Nop, "\ufeff"
	case 2:
		f.encoding = charmap.Windows1252
	case 3:
		f.encoding = unicode.UTF16(unicode.LittleEndian, unicode.UseBOM)
	case 4:
		f.encoding = unicode.UTF16(unicode.BigEndian, unicode.UseBOM)
	}
	return f
})

// A list gives the same phrases and figures in whatever form it comes, with its
// columns in any order.
func TestFormsOfOneList(t *testing.T) {
	heads := map[Role][]string{
		Phrase: {"Phrase", "Keyword", "query"}, Volume: {"Searches", "Search Volume", "avg. monthly searches"},
		Difficulty: {"KD", "Difficulty"}, Position: {"Position", "position now"}, Other: {"Trend", "Notes"},
	}
	phrases := []string{"chimney sweep tarn harbor", "flue, liner; ostrey", "ramonage à Ostrey", `24" flue cap`,
		"well | pump", "sweep's brush", "soot", "Schornstein fegen für alle"}
	number := func(lo, hi int) *rapid.Generator[*int] { return rapid.Ptr(rapid.IntRange(lo, hi), true) }
	rapid.Check(t, func(t *rapid.T) {
		roles := rapid.Permutation([]Role{Phrase, Volume, Difficulty, Position, Other}).Draw(t, "columns")
		var head []string
		for _, r := range roles {
			head = append(head, rapid.SampledFrom(heads[r]).Draw(t, "heading"))
		}
		rows, want := [][]string{head}, []Row{}
		for range rapid.IntRange(1, 12).Draw(t, "rows") {
			r := Row{Phrase: rapid.SampledFrom(phrases).Draw(t, "phrase"), Volume: number(0, 20_000).Draw(t, "volume"),
				Difficulty: number(0, 100).Draw(t, "difficulty"), Position: number(1, 100).Draw(t, "position")}
			want = append(want, r)
			var cells []string
			for _, role := range roles {
				cells = append(cells, map[Role]string{Phrase: r.Phrase, Volume: written(t, r.Volume),
					Difficulty: written(t, r.Difficulty),
					Position:   written(t, r.Position), Other: "up, then down"}[role])
			}
			rows = append(rows, cells)
		}
		body := forms.Draw(t, "form").write(t, rows)
		parsed, err := Parse(body)
		require.NoError(t, err, "%q", body)
		assert.Equal(t, rows, parsed, "%q", body)
		l := Guess(parsed)
		assert.Equal(t, Layout{true, roles}, l, "%q", body)
		taken, refused, err := Take(parsed, l)
		require.NoError(t, err)
		assert.Empty(t, refused)
		assert.Equal(t, want, taken)
	})
}

// written returns a number as some program writes it.
func written(t *rapid.T, n *int) string {
	if n == nil {
		return rapid.SampledFrom([]string{"", "-", "n/a"}).Draw(t, "none")
	}
	if *n >= 1000 && rapid.Bool().Draw(t, "parted") {
		return fmt.Sprintf("%d,%03d", *n/1000, *n%1000)
	}
	return fmt.Sprint(*n)
}
