package survey

import (
	"context"
	"net/url"
	"testing"

	"inktally/core/intent"
	"inktally/core/phrase"
	"inktally/core/site"
	"inktally/internal/practice"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// likePages are the comparable pages of the practice web's rivals as a person picked them,
// for each page that the main client has or should have. What is not named has none.
var likePages = []struct {
	of     site.Purpose
	wanted map[string]string
}{
	{site.Purpose{Kind: site.Home}, map[string]string{"harborflue": "/", "oldsaltbox": "/", "thchimney": "/",
		"lanternsweeps": "/", "hearthway": "/"}},
	{site.Purpose{Kind: site.Service, Service: "chimney sweeping"},
		map[string]string{"harborflue": "/chimney-sweeping/"}},
	{site.Purpose{Kind: site.Service, Service: "chimney inspection"},
		map[string]string{"harborflue": "/chimney-inspection/", "thchimney": "/chimney-inspection"}},
	{site.Purpose{Kind: site.Service, Service: "flue liner installation"},
		map[string]string{"harborflue": "/flue-liners/", "oldsaltbox": "/liners.htm"}},
	{site.Purpose{Kind: site.Service, Service: "masonry repair"},
		map[string]string{"harborflue": "/masonry/", "oldsaltbox": "/masonry-repair.htm"}},
	{site.Purpose{Kind: site.Service, Service: "dryer vent cleaning"},
		map[string]string{"harborflue": "/dryer-vents/", "thchimney": "/dryer-vents"}},
	{site.Purpose{Kind: site.Service, Service: "wood stove installation"}, map[string]string{"harborflue": "/stoves/"}},
	{site.Purpose{Kind: site.Service, Service: "chimney cap fitting"}, map[string]string{}},
	{site.Purpose{Kind: site.Area, Place: "North Tarn"}, map[string]string{"harborflue": "/towns/north-tarn/"}},
	{site.Purpose{Kind: site.Area, Place: "Pell Crossing"}, map[string]string{"harborflue": "/towns/pell-crossing/"}},
	{site.Purpose{Kind: site.Area, Place: "Ostrey"},
		map[string]string{"harborflue": "/towns/ostrey/", "thchimney": "/areas/ostrey"}},
	{site.Purpose{Kind: site.Area, Place: "Quillby"}, map[string]string{"harborflue": "/towns/quillby/"}},
	{site.Purpose{Kind: site.Area, Place: "Hazard Mills"}, map[string]string{"thchimney": "/areas/hazard-mills"}},
	{site.Purpose{Kind: site.Area, Place: "Wick Island"}, map[string]string{}},
}

// The comparable page of each rival is the one that a person picked, and none where it has
// none (rule 6.3): 70 cases.
func TestLikePages(t *testing.T) {
	web, err := practice.Start()
	require.NoError(t, err)
	defer web.Close()
	services, places := ground()
	binder := site.NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}), services,
		intent.EnglishLists().Acts)
	right, all := 0, 0
	for _, rival := range []string{"harborflue", "oldsaltbox", "thchimney", "lanternsweeps", "hearthway"} {
		address := "http://" + rival + ".example/"
		found, err := Visit(context.Background(), Plain{web.Fetcher()}, address,
			Options{Lightly: true, Gist: gists(binder, "")})
		require.NoError(t, err)
		pages := site.Survey{Visited: found.Visited, Binder: binder, Places: places, Low: func(site.Kind) int {
			return 0
		}}.Tree().Pages
		for _, c := range likePages {
			got := ""
			if like, ok := site.LikePage(site.Surveyed{Purpose: c.of}, pages, "Tarn Harbor"); ok {
				u, err := url.Parse(like.Page.URL)
				require.NoError(t, err)
				got = u.Path
			}
			all++
			if got == c.wanted[rival] {
				right++
			} else {
				t.Logf("%s for %s %s%s: %q is no %q", rival, c.of.Kind, c.of.Service, c.of.Place, got, c.wanted[rival])
			}
		}
	}
	assert.GreaterOrEqual(t, all, 60)
	assert.GreaterOrEqual(t, float64(right)/float64(all), .95, "%d of %d", right, all)
}
