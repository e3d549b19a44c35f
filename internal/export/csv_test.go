package export

import (
	"encoding/csv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestCSV(t *testing.T) {
	cells := []string{"chimney, \"sweep\"", "", "=1+1", "+1", "-2", "@sum", "\tx", "a=b", "ramonage à Ostrey",
		"two\nlines"}
	out, err := CSV([][]string{cells, {"next"}})
	require.NoError(t, err)
	r := csv.NewReader(strings.NewReader(strings.TrimPrefix(string(out), "\ufeff")))
	r.FieldsPerRecord = -1
	rows, err := r.ReadAll()
	require.NoError(t, err)
	assert.Equal(t, [][]string{{"chimney, \"sweep\"", "", "'=1+1", "'+1", "'-2", "'@sum", "'\tx", "a=b",
		"ramonage à Ostrey", "two\nlines"}, {"next"}}, rows)
}
