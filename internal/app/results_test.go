package app_test

import (
	"os"
	"testing"

	"inktally/core/fault"
	"inktally/internal/app/lineups"
	"inktally/internal/view"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A saved page of results becomes the search of the client: businesses that are found
// are rivals, what is paid for is told and is none.
func TestResultsBecomeTheSearch(t *testing.T) {
	body, err := os.ReadFile("../../core/results/testdata/soup.html")
	require.NoError(t, err)
	a, _ := open(t, &web{pages: map[string]string{}})
	id, _ := newClient(t, a, sweep, "")

	shown, err := a.Lineup.PreviewResults(ctx, id, 0, "soup.html", body, nil)
	require.NoError(t, err)
	before, err := a.Lineup.Get(ctx, id, 0)
	require.NoError(t, err)
	assert.Empty(t, before.Entries, "a look keeps nothing")

	_, err = a.Lineup.KeepResults(ctx, id, 0, "  ", "soup.html", body, nil)
	fails(t, err, fault.PhraseNeeded.Code)
	_, err = a.Lineup.KeepResults(ctx, id, 0, "chimney sweep", "x.html", []byte("<p>Nothing was found here."), nil)
	fails(t, err, lineups.NoResults.Code)
	_, err = a.Lineup.PreviewResults(ctx, id, 0, "x.html", nil, nil)
	fails(t, err, lineups.NoResults.Code)

	kept, err := a.Lineup.KeepResults(ctx, id, 0, " chimney  sweep tarn harbor ", "soup.html", body, nil)
	require.NoError(t, err)
	assert.Equal(t, "chimney sweep tarn harbor", kept.Phrase)
	assert.Equal(t, "seen", kept.Ads)
	assert.Equal(t, 5, kept.LookedAt)
	assert.Len(t, kept.Entries, len(shown.Entries))
	taken := map[string]bool{}
	for _, e := range kept.Entries {
		taken[e.Name] = e.Taken
		if e.Part == "paid" || e.Sponsored {
			assert.False(t, e.Taken, e.Name)
		}
	}
	assert.True(t, taken["Lantern Street Sweeps: Chimney Cleaning in Tarn Harbor"])
	assert.True(t, taken["Old Saltbox Masonry"])
	assert.Equal(t, rivals(kept), kept.Rivals)

	// A copied text tells no sites of the map: that of the same firm further down is its own.
	text, err := os.ReadFile("../../core/results/testdata/copy.txt")
	require.NoError(t, err)
	copied, err := a.Lineup.KeepResults(ctx, id, 0, "chimney sweep", "copy.txt", text, nil)
	require.NoError(t, err)
	sites := map[string]string{}
	for _, e := range copied.Entries {
		if e.Part == "map" {
			sites[e.Name] = e.URL
		}
	}
	assert.Equal(t, "https://harborflue.example/", sites["Harbor Flue & Hearth"])
	assert.Empty(t, sites["Old Saltbox Masonry"])

	// A copied text tells domains and no addresses: a home page stands for the site.
	again, err := a.Lineup.KeepResults(ctx, id, 0, "flue liner", "text.txt",
		[]byte("Kiln Row Sweeps\nhttps://kilnrow.example › liners\nWe line flues of every size, and sweep them "+
			"before we do.\n"), nil)
	require.NoError(t, err)
	require.Len(t, again.Entries, 1, "it takes the place of the last search")
	assert.Equal(t, "https://kilnrow.example/", again.Entries[0].URL)
	assert.Equal(t, "not seen", again.Ads)
}

// rivals counts the pages of the entries that are taken.
func rivals(l *view.Lineup) int {
	pages := map[string]bool{}
	for _, e := range l.Entries {
		if e.Taken && e.URL != "" {
			pages[e.URL] = true
		}
	}
	return len(pages)
}
