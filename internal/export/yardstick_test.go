package export

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"inktally/core/fault"
	"inktally/core/yardstick"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func figures() (out []view.Figure) {
	for _, f := range yardstick.Standard().Figures() {
		out = append(out, view.Figure{Key: f.Key, Says: "says # : '" + f.Key, Group: "g", Unit: view.FigureUnit(f.Unit),
			Rule: f.Rule, Least: f.Least, Most: f.Most,
			Value: f.Value, Default: f.Default})
	}
	return out
}

// What is written is read back as it was.
func TestYardstickAsYAML(t *testing.T) {
	raw := Yardstick(figures())
	values, err := ReadYardstick(raw)
	require.NoError(t, err)
	assert.Len(t, values, len(figures()))
	for _, f := range figures() {
		assert.Equal(t, f.Value, values[f.Key], f.Key)
	}
	y, err := yardstick.Standard().With(values)
	require.NoError(t, err)
	assert.Equal(t, yardstick.Standard(), y)
}

func TestBadYardsticks(t *testing.T) {
	for name, c := range map[string]struct {
		raw  string
		want fault.Code
	}{
		"empty":            {"", YardstickNotYAML.Code},
		"no map":           {"- 1\n- 2\n", YardstickNotYAML.Code},
		"broken":           {"words.home.low: [1", YardstickNotYAML.Code},
		"nested":           {"words:\n  home: 3\n", YardstickNotYAML.Code},
		"in a circle":      {"a: &a\n  b: *a\n", YardstickNotYAML.Code},
		"anchors unfolded": {"a: &a [x,x]\nb: &b [*a,*a]\nc: [*b,*b]\n", YardstickNotYAML.Code},
		"too large":        {strings.Repeat("# much\n", 20_000), YardstickTooLarge.Code},
		"binary":           {"\x00\xff\xfe", YardstickNotYAML.Code},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := ReadYardstick([]byte(c.raw))
			assert.True(t, fault.Is(err, c.want), "%v", err)
		})
	}
	values, err := ReadYardstick([]byte("words.home.low: 1200\nno.such.figure: 3\n"))
	require.NoError(t, err)
	_, err = yardstick.Standard().With(values)
	assert.True(t, yardstick.NoSuchFigure.Is(err))
}

func FuzzReadYardstick(f *testing.F) {
	f.Add([]byte("words.home.low: 1200\n"))
	f.Add([]byte("a: &a\n  b: *a\n"))
	f.Add(Yardstick(figures()))
	f.Fuzz(func(_ *testing.T, raw []byte) {
		values, err := ReadYardstick(raw)
		if err == nil {
			_, _ = yardstick.Standard().With(values)
		}
	})
}

// Only keys with values are read, nothing that stands in or leads to something else: a few hundred bytes of those cost
// a minute.
func TestYardstickIsFlat(t *testing.T) {
	var merged strings.Builder
	merged.WriteString("a0: &a0 {x: 1}\n")
	for i := range 60 {
		fmt.Fprintf(&merged, "a%d: &a%d {<<: [*a%d, *a%d]}\n", i+1, i+1, i, i)
	}
	for name, raw := range map[string]string{"merges": merged.String(), "lists": strings.Repeat("[", 30_000),
		"maps": strings.Repeat("{a: ", 10_000), "a list": "a: [1, 2]", "an alias": "a: &x 1\nb: *x",
		"nested": "a:\n  b: 1",
		"a tag":  "a: !!str 1", "two in a line": "a: 1, b: {c: 2}}", "items": "- a: 1",
		"deep": strings.Repeat(" ", 60_000) + "a: 1",
	} {
		start := time.Now()
		_, err := ReadYardstick([]byte(raw))
		assert.Error(t, err, name)
		assert.Less(t, time.Since(start), time.Minute, name)
	}
	got, err := ReadYardstick([]byte("---\n# ours\nwords.home.low: 800 \nwords.mark: \"best\"\nb: 'it''s'\n" +
		"copy.frames.en: |-\n  Call us for {phrase}.\n\n  We do {phrase}: ask.\nc: \"a: {b}\"\n"))
	require.NoError(t, err)
	assert.Equal(t, map[string]string{"words.home.low": "800", "words.mark": "best", "b": "it's", "c": "a: {b}",
		"copy.frames.en": "Call us for {phrase}.\n\nWe do {phrase}: ask."}, got)
}
