package gazetteer

import (
	"runtime"
	"strings"
	"testing"
	"time"

	"inktally/core/text"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestNamed(t *testing.T) {
	for name, country := range map[string]string{
		"Reading": "GB", "St Albans": "GB", "Saint Albans": "GB", "stoke-on-trent": "GB", "Mt Pearl": "CA",
		"mount pearl": "CA",
		"Montréal":    "CA", "montreal": "CA", "fort wayne": "US", "Ft. Wayne": "US", "Coffs Harbour": "AU",
		"Sligo":       "IE",
		"king's lynn": "GB", "kings lynn": "GB", "hull": "GB", "stoke": "GB", "Timaru": "NZ", "Lyon": "FR",
	} {
		found := World().Named(text.Tokens(name))
		require.NotEmpty(t, found, name)
		assert.Equal(t, country, found[0].Country, name)
	}
	assert.Empty(t, World().Named(text.Tokens("Tarn Harbor")))
	assert.Empty(t, World().Named(nil))
	assert.Equal(t, 4, World().Longest(strings.Fields("new york city hall today")),
		"more than any name that begins so is never asked for")
	assert.Equal(t, 0, World().Longest(strings.Fields("zzyzzx road")))
	assert.Equal(t, 0, World().Longest(nil))
}

// Towns of the user's own go before those that ship, and are found around.
func TestAround(t *testing.T) {
	home := Town{Name: "Tarn Harbor", Country: "US", State: "ME", Lat: 60, Lon: -30, Size: 9000}
	own := World().With([]Town{home, {Name: "Ostrey", Country: "US", State: "ME", Lat: 60.05, Lon: -30.05, Size: 900},
		{Name: "Quillby", Country: "US", State: "ME", Lat: 60.1, Lon: -30.2, Size: 40_000},
		{Name: "Farfield", Lat: 61, Lon: -30}})
	found, ok := own.Find("tarn harbor", "US", "ME")
	require.True(t, ok)
	var names []string
	for _, n := range own.Around(found, 25, 10) {
		names = append(names, n.Name)
	}
	assert.Equal(t, []string{"Ostrey", "Quillby"}, names)
	assert.Len(t, own.Around(found, 25, 1), 1)
	assert.Empty(t, own.Around(found, 1, 10))
	_, ok = own.Find("tarn harbor", "GB", "")
	assert.False(t, ok)
	assert.Equal(t, own, own.With(nil))

	london, _ := World().Find("London", "GB", "")
	paris, _ := World().Find("Paris", "FR", "")
	assert.InDelta(t, 344, Km(london, paris), 4)
	assert.Zero(t, Km(london, london))
}

func TestParse(t *testing.T) {
	towns, err := Parse("Ostrey,US,ME,44.10,-69.11,900\n\nQuillby,US,,44,-69,0\n")
	require.NoError(t, err)
	assert.Equal(t, []Town{{"Ostrey", "US", "ME", 44.10, -69.11, 900}, {"Quillby", "US", "", 44, -69, 0}}, towns)
	for _, bad := range []string{"Ostrey", "Ostrey,US,ME,north,-69,1", "Ostrey,US,ME,44,-69,few", ",US,ME,44,-69,1",
		"a,b,c,1,2,3,4"} {
		_, err := Parse("Quillby,US,,44,-69,0\n" + bad)
		assert.EqualError(t, err, "line 2 is no town", bad)
	}
}

func FuzzParse(f *testing.F) {
	f.Add("Ostrey,US,ME,44.10,-69.11,900\n")
	f.Fuzz(func(t *testing.T, csv string) {
		towns, err := Parse(csv)
		if err != nil {
			return
		}
		g := New(towns)
		for _, town := range towns {
			tokens := text.Tokens(town.Name)
			assert.Equal(t, len(tokens) > 0, len(g.Named(tokens)) > 0)
		}
	})
}

// Rule 5.4: the file is under 1 MB, the towns in memory under 20 MB.
func TestSize(t *testing.T) {
	assert.Less(t, len(packed), 1<<20)
	var before, after runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&before)
	start := time.Now()
	g := unpack()
	t.Logf("unpacked in %v", time.Since(start))
	runtime.GC()
	runtime.ReadMemStats(&after)
	assert.Less(t, int64(after.HeapAlloc)-int64(before.HeapAlloc), int64(20<<20))
	t.Logf("%d towns, %.1f MB", len(g.towns), (float64(after.HeapAlloc)-float64(before.HeapAlloc))/1e6)
}

func BenchmarkNamed(b *testing.B) {
	tokens, g := strings.Fields("stoke on trent"), World()
	for b.Loop() {
		g.Named(tokens)
	}
}
