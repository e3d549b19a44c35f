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
	names, err := filepath.Glob("testdata/*.*")
	require.NoError(t, err)
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
				assert.Equal(t, or(e.Domain), g.Domain, e.Title)
				assert.Equal(t, or(e.Rating), or(g.Rating), e.Title)
				assert.Equal(t, or(e.Reviews), or(g.Reviews), e.Title)
				assert.Equal(t, or(e.Phone), g.Phone, e.Title)
				assert.Equal(t, or(e.Years), or(g.Years), e.Title)
			}
		})
	}
}

// The columns of a table are guessed by their headings, or told; the positions that it
// tells stay, gaps and all.
func TestTableColumns(t *testing.T) {
	const list = "Yritys,Verkko,Sija,Arvio\nKiln Row Sweeps,kilnrow.example,1,\"4,7\"\nHarbor " +
		"Flue,harborflue.example,14,4.1\n"
	p := Read([]byte(list), Source{Table: true})
	assert.Equal(t, []string{"Yritys", "Verkko", "Sija", "Arvio"}, p.Heading)
	assert.Equal(t, []Field{NoField, NoField, NoField, NoField}, p.Columns)
	p = Read([]byte(list), Source{Table: true, Columns: []Field{TitleField, URLField, PositionField, RatingField}})
	require.Len(t, p.Entries, 2)
	assert.Equal(t, 14, p.Entries[1].Position)
	assert.Equal(t, "https://harborflue.example", p.Entries[1].URL)
	assert.InDelta(t, 4.7, *p.Entries[0].Rating, 0)
	assert.Empty(t, Read([]byte("Kiln Row Sweeps\nWe sweep, and line flues.\n"), Source{}).Columns,
		"a text is no table")
}
