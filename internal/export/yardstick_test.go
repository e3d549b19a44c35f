package export

import (
	"strings"
	"testing"

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
