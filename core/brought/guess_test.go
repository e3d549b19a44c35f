package brought

import (
	"os"
	"path/filepath"
	"strconv"
	"strings"
	"testing"

	"inktally/core/table"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func read(t *testing.T, name string) [][]string {
	t.Helper()
	body, err := os.ReadFile(name)
	require.NoError(t, err)
	rows, err := table.Parse(body)
	require.NoError(t, err)
	return rows
}

// Tables of different makes and languages, told before the code was written.
func TestGuessLabelled(t *testing.T) {
	names, err := filepath.Glob("testdata/*.want")
	require.NoError(t, err)
	require.GreaterOrEqual(t, len(names), 12)
	for _, want := range names {
		t.Run(filepath.Base(want), func(t *testing.T) {
			file, _ := filepath.Glob(strings.TrimSuffix(want, ".want") + ".[ct]sv")
			require.Len(t, file, 1)
			rows := read(t, file[0])
			said, err := os.ReadFile(want)
			require.NoError(t, err)
			lines := strings.Split(strings.TrimSpace(string(said)), "\n")
			l := Guess(rows)
			require.Equal(t, lines[0], string(l.Kind))
			if l.Kind == NoKind {
				return
			}
			assert.Equal(t, lines[1], strconv.Itoa(l.Heading+1))
			var columns []string
			for _, c := range l.Columns {
				columns = append(columns, string(c))
			}
			if l.Kind == Pairs {
				return // its columns are those of its rows: TestTakeFacts
			}
			assert.Equal(t, strings.Fields(lines[2]), columns)
		})
	}
}
