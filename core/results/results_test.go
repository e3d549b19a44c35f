package results

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"inktally/core/entry"
	"inktally/core/grid"
	"inktally/core/lineup"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// truth is an entry as it stands on a page.
type truth struct {
	Part     entry.Part
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

// Pages in ten makes, of which each entry is told with all that stands of it. Their truth was
// written before the reader could read them.
func TestMade(t *testing.T) {
	raw, err := os.ReadFile("testdata/made/truth.json")
	require.NoError(t, err)
	var pages []struct {
		File    string
		Entries []truth
	}
	require.NoError(t, json.Unmarshal(raw, &pages))
	for _, page := range pages {
		if strings.HasSuffix(page.File, ".mhtml") {
			continue // an archive is opened outside: internal/fetch/saved
		}
		t.Run(page.File, func(t *testing.T) {
			body, err := os.ReadFile("testdata/made/" + page.File)
			require.NoError(t, err)
			got := Read(body, Source{Table: strings.HasSuffix(page.File, ".csv")}).Entries
			require.Len(t, got, len(page.Entries))
			for i, want := range page.Entries {
				g := got[i]
				assert.Equal(t, want.Part, g.Part, want.Title)
				assert.Equal(t, want.Title, g.Title)
				assert.Equal(t, or(want.Position), g.Position, want.Title)
				if want.Domain != nil {
					assert.Equal(t, lineup.Domain("https://"+*want.Domain), g.Domain, want.Title)
				}
				assert.True(t, strings.HasPrefix(g.URL, or(want.URL)), "%s leads to %s", want.Title, g.URL)
				assert.Equal(t, or(want.Rating), or(g.Rating), want.Title)
				assert.Equal(t, or(want.Reviews), or(g.Reviews), want.Title)
				assert.Equal(t, entry.Digits(or(want.Phone)), entry.Digits(g.Phone), want.Title)
				assert.Equal(t, or(want.Years), or(g.Years), want.Title)
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
	assert.Equal(t, []grid.Field{grid.NoField, grid.NoField, grid.NoField, grid.NoField}, p.Columns)
	p = Read([]byte(list), Source{Table: true,
		Columns: []grid.Field{grid.TitleField, grid.URLField, grid.PositionField, grid.RatingField}})
	require.Len(t, p.Entries, 2)
	assert.Equal(t, 14, p.Entries[1].Position)
	assert.Equal(t, "https://harborflue.example", p.Entries[1].URL)
	assert.InDelta(t, 4.7, *p.Entries[0].Rating, 0)
	assert.Empty(t, Read([]byte("Kiln Row Sweeps\nWe sweep, and line flues.\n"), Source{}).Columns,
		"a text is no table")
}

// What was searched for is read of the page's field.
func TestPhrase(t *testing.T) {
	for file, want := range map[string]string{"m01-gate-repair.html": "gate repair ocotillo flats",
		"m03-ramoneur.html": "ramoneur belcourt", "m04-cerrajero.html": ""} {
		body, err := os.ReadFile("testdata/made/" + file)
		require.NoError(t, err)
		assert.Equal(t, want, Read(body, Source{}).Phrase, file)
	}
}
