package text

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestCutFold(t *testing.T) {
	for _, c := range []struct{ s, sub, before, after string }{
		{"Home | BRINDLE & ash Chimney", "Brindle & Ash", "Home | ", " Chimney"},
		{"İİİ Kelvin sweeps", "kelvin", "İİİ ", " sweeps"}, // lower-cased it has more bytes, the Kelvin sign fewer
		{"ẞtraße Sweep", "sweep", "ẞtraße ", ""},
		{"sweep", "sweep", "", ""},
	} {
		before, after, found := CutFold(c.s, c.sub)
		assert.True(t, found, c.s)
		assert.Equal(t, c.before, before)
		assert.Equal(t, c.after, after)
	}
	for _, c := range [][2]string{{"sweep", ""}, {"sweep", "sweeping"}, {"", "x"}, {"\xff", "\xfe x"}} {
		before, _, found := CutFold(c[0], c[1])
		assert.False(t, found)
		assert.Equal(t, c[0], before)
	}
	assert.Equal(t, " chimneys and ", WithoutFold("Sweep chimneys and SWEEP", "sweep"))
}

// Whatever is around it, a text is found whatever its case, and what is left is what was there.
func TestCutFoldFinds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		before, sub, after := rapid.String().Draw(t, "before"), rapid.StringN(1, 9, -1).Draw(t, "sub"),
			rapid.String().Draw(t, "after")
		first, rest, found := CutFold(before+sub+after, sub)
		if !found || len(first) > len(before) || !strings.HasPrefix(before, first) || first == before && rest != after {
			t.Fatalf("%q in %q: %q, %q", sub, before+sub+after, first, rest)
		}
	})
}
