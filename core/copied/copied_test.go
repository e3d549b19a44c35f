package copied

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/entry"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Empty lines behind all lines, and bullets before all, are taken away; those that part something stay.
func TestClosed(t *testing.T) {
	lines := func(s string) []string { return strings.Split(s, "|") }
	for text, want := range map[string]string{
		"a|b|c|d|e|f|g|h":                                  "a|b|c|d|e|f|g|h",
		"a||b||c||d||e||f||g||h":                           "a|b|c|d|e|f|g|h",
		"a||b|||||c||d||e||f||g||h|":                       "a|b||||c|d|e|f|g|h",
		"• a|• b|• c|• d|• e|• f|• g|• h":                  "a|b|c|d|e|f|g|h",
		"- a|b|c|d|e|f|g|h":                                "- a|b|c|d|e|f|g|h",
		"a|b||c|d||e|f||g|h":                               "a|b||c|d||e|f||g|h",
		"a||b||c":                                          "a||b||c",
		"* a||* b||* c||* d||* e||* f||* g||* h||* i||* j": "a|b|c|d|e|f|g|h|i|j",
	} {
		assert.Equal(t, lines(want), closed(lines(text)), text)
	}
}

// Whatever is pasted, entries have a title, a part and a rating of five at most.
func FuzzText(f *testing.F) {
	names, err := filepath.Glob("../results/testdata/*.txt")
	require.NoError(f, err)
	more, err := filepath.Glob("../results/testdata/made/*.txt")
	require.NoError(f, err)
	for _, name := range append(names, more...) {
		body, err := os.ReadFile(name)
		require.NoError(f, err)
		f.Add(string(body))
	}
	f.Add("1.\tA\tb.example\n2.\tB\tc.example\n")
	f.Fuzz(func(t *testing.T, s string) {
		for _, e := range Read(s) {
			assert.NotEmpty(t, e.Title)
			assert.Contains(t, entry.Parts(), e.Part)
			if e.Rating != nil {
				assert.LessOrEqual(t, *e.Rating, 5.0)
			}
		}
	})
}
