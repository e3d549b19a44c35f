package results

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A page of more texts than are looked at costs what the first of them do: it is read as if it ended there, whatever
// the rest is made of.
func TestManyNumbers(t *testing.T) {
	var b strings.Builder
	for i := range mostUnits/2 + 300 {
		fmt.Fprintf(&b, "<div><a href='https://firm%d.example/'>Firm %d Sweeps</a>"+
			"<p>We sweep chimneys, call %d.</p></div>", i, i, 2075550000+i)
	}
	p := Read([]byte("<html><body>"+b.String()), Source{})
	require.NotEmpty(t, p.Entries)
	for _, e := range p.Entries {
		n := 0
		_, err := fmt.Sscanf(e.URL, "https://firm%d.example/", &n)
		require.NoError(t, err, e.URL)
		assert.Less(t, n, mostUnits/2, "each of them has two texts at least")
	}
}
