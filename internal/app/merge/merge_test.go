package merge

import (
	"slices"
	"testing"

	"inktally/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestMerge(t *testing.T) {
	for name, c := range map[string]struct{ was, is, want, kept string }{
		"nobody else":       {"a", "a", "b", "b"},
		"only elsewhere":    {"a", "b", "a", "b"},
		"both the same":     {"a", "b", "b", "b"},
		"nothing at all":    {"a", "a", "a", "a"},
		"taken away here":   {"a", "a", "", ""},
		"taken away there":  {"a", "", "a", ""},
		"typed from nought": {"", "", "b", "b"},
	} {
		t.Run(name, func(t *testing.T) {
			kept, err := Merge(fault.Trade, c.was, c.is, c.want, Text)
			require.NoError(t, err)
			assert.Equal(t, c.kept, kept)
		})
	}
	kept, err := Merge(fault.Trade, "a", "b", "c", Text)
	f, ok := fault.Of(err)
	require.True(t, ok)
	assert.Equal(t, ChangedElsewhere.Code, f.Code)
	assert.Equal(t, map[string]string{"thing": "trade", "theirs": "b", "yours": "c"}, f.Params)
	assert.Equal(t, "b", kept, "what is there stands")

	list, err := Merge(fault.Places, []string{}, nil, []string{"Ostrey"}, Texts)
	require.NoError(t, err, "nothing and an empty list are the same")
	assert.Equal(t, []string{"Ostrey"}, list)
	one, three := 1, 3
	words, err := Merge(fault.SectionWords, &one, nil, &one, func(*int) string { return "" })
	require.NoError(t, err)
	assert.Nil(t, words)
	_, err = Merge(fault.SectionWords, nil, &one, &three, func(*int) string { return "" })
	assert.Error(t, err)
}

func TestKeys(t *testing.T) {
	merge := func(_ string, before, is, want string) (string, error) {
		return Merge(fault.Trade, before, is, want, Text)
	}
	out, err := Keys(map[string]string{"a": "1", "b": "2"}, map[string]string{"a": "1", "b": "3"},
		map[string]string{"a": "4", "b": "2", "c": "5"}, merge)
	require.NoError(t, err)
	assert.Equal(t, map[string]string{"a": "4", "b": "3", "c": "5"}, out)
	_, err = Keys(map[string]string{}, map[string]string{"a": "1"}, map[string]string{"a": "2"}, merge)
	assert.Error(t, err)
}

// Nobody's words are lost: what either adds is there, what either takes away is not, and all
// else stays.
func TestList(t *testing.T) {
	assert.Equal(t, []string{"quote", "local", "urgent"},
		List([]string{"quote", "cheap"}, []string{"quote", "cheap", "local"}, []string{"quote", "urgent"}))
	word := rapid.SampledFrom([]string{"a", "b", "c", "d", "e", "f"})
	words := rapid.SliceOfDistinct(word, rapid.ID[string])
	rapid.Check(t, func(t *rapid.T) {
		before, is, want := words.Draw(t, "was"), words.Draw(t, "is"), words.Draw(t, "want")
		got := List(before, is, want)
		for _, w := range []string{"a", "b", "c", "d", "e", "f"} {
			old, theirs, ours := slices.Contains(before, w), slices.Contains(is, w), slices.Contains(want, w)
			assert.Equal(t, theirs && ours || (theirs || ours) && !old, slices.Contains(got, w), w)
		}
		assert.Len(t, slices.Compact(slices.Sorted(slices.Values(got))), len(got))
	})
}
