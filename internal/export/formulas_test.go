package export

import (
	"encoding/csv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// No cell begins a formula, in whatever dialect a table is read.
func TestNoFormulas(t *testing.T) {
	check := func(t require.TestingT, cells []string) {
		raw, err := CSV([][]string{cells})
		require.NoError(t, err)
		for _, comma := range ",;\t|" {
			r := csv.NewReader(strings.NewReader(strings.TrimPrefix(string(raw), "\ufeff")))
			r.Comma, r.LazyQuotes, r.FieldsPerRecord = comma, true, -1
			rows, err := r.ReadAll()
			require.NoError(t, err)
			for _, row := range rows {
				for _, cell := range row {
					begins := strings.TrimLeft(cell, " \t\r\n\"")
					assert.False(t, begins != "" && strings.ContainsRune("=+-@", rune(begins[0])),
						"%q read with %q: %q", cells, comma, cell)
				}
			}
		}
	}
	for _, cell := range []string{`=1+1`, `x;=cmd`, "x\t=cmd", `x|@SUM(1)`, `x,+1`, `x; =1`, `x;"=1"`, "x\n=1",
		"x\r\n-1", "\t=1", `"=1`, `a;";=1`} {
		check(t, []string{"a", cell, cell})
	}
	rapid.Check(t, func(t *rapid.T) {
		cell := rapid.StringOf(rapid.RuneFrom([]rune("a=+-@,;|\t\n\r\" '")))
		check(t, []string{cell.Draw(t, "one"), cell.Draw(t, "two")})
	})
	row, err := CSV([][]string{{"chimney sweep", "well-kept", "a = b", "24/7"}})
	require.NoError(t, err)
	assert.Equal(t, "\ufeffchimney sweep,well-kept,a = b,24/7\n", string(row), "what is none stays as it is")
}
