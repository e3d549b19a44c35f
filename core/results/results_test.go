package results

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// truth is an entry as it stands on a page.
type truth struct {
	Part     Part
	Position *int
	Title    string
	URL      *string
	Domain   *string
	Rating   *float64
	Reviews  *int
	Phone    *string
	Years    *int
}

func or[T any](p *T) (v T) {
	if p != nil {
		v = *p
	}
	return v
}

func TestPages(t *testing.T) {
	names, err := filepath.Glob("testdata/*")
	require.NoError(t, err)
	right, all := 0, 0
	for _, name := range names {
		if strings.HasSuffix(name, ".json") || strings.HasSuffix(name, ".mhtml") {
			continue // an archive is opened outside: cmd/inktally
		}
		t.Run(filepath.Base(name), func(t *testing.T) {
			body, err := os.ReadFile(name)
			require.NoError(t, err)
			var want struct {
				Language string
				Entries  []truth
			}
			raw, err := os.ReadFile(strings.TrimSuffix(name, filepath.Ext(name)) + ".json")
			require.NoError(t, err)
			require.NoError(t, json.Unmarshal(raw, &want))
			p := Read(body, Source{})
			var got, titles []string
			for _, e := range p.Entries {
				got = append(got, string(e.Part)+" "+e.Title)
			}
			for _, e := range want.Entries {
				titles = append(titles, string(e.Part)+" "+e.Title)
			}
			if !assert.Equal(t, titles, got) {
				return
			}
			for i, e := range want.Entries {
				g := p.Entries[i]
				assert.Equal(t, or(e.Position), g.Position, e.Title)
				assert.Equal(t, or(e.URL), g.URL, e.Title)
				for field, same := range map[string]bool{"rating": or(e.Rating) == or(g.Rating), "domain": or(e.Domain) == g.Domain, "reviews": or(e.Reviews) == or(g.Reviews),
					"phone": or(e.Phone) == g.Phone, "years": or(e.Years) == or(g.Years)} {
					all++
					if same {
						right++
					} else {
						t.Logf("%s: %s is %+v", e.Title, field, g)
					}
				}
			}
		})
	}
	t.Logf("fields: %d of %d", right, all)
	assert.GreaterOrEqual(t, float64(right), .95*float64(all))
}
