package results

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/entry"

	"github.com/stretchr/testify/assert"
)

// Whatever is given, positions count up inside their parts and what is paid has none.
func FuzzRead(f *testing.F) {
	names, _ := filepath.Glob("testdata/*")
	for _, name := range names {
		if body, err := os.ReadFile(name); err == nil && !strings.HasSuffix(name, ".json") {
			f.Add(body)
		}
	}
	f.Fuzz(func(t *testing.T, body []byte) {
		counts := map[entry.Part]int{}
		for _, e := range Read(body, Source{}).Entries {
			assert.Contains(t, entry.Parts(), e.Part)
			if e.Part == entry.Map || e.Part == entry.Organic {
				counts[e.Part]++
				assert.Equal(t, counts[e.Part], e.Position)
			} else {
				assert.Zero(t, e.Position)
			}
			if e.Rating != nil {
				assert.LessOrEqual(t, *e.Rating, 5.0)
			}
		}
	})
}
