package brought

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"inktally/core/backlink"
	"inktally/core/listing"
	"inktally/core/mapprofile"
	"inktally/core/standing"
	"inktally/core/table"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func taken(t *testing.T, name string) Taken {
	t.Helper()
	rows := read(t, "testdata/"+name)
	return Take(rows, Guess(rows))
}

func TestTakeTotals(t *testing.T) {
	got := taken(t, "totals-english.csv")
	require.Len(t, got.Totals, 15)
	assert.Equal(t, Total{Site: "marrowlock.example", Figure: standing.Strength, Scope: standing.OfSite,
		Name: "Power", Value: 31},
		got.Totals[0])
	assert.InDelta(t, 1212, got.Totals[2].Value, 0)
	assert.InDelta(t, 1400, got.Totals[4].Value, 0)
	assert.Equal(t, []LeftOut{{Line: 6, Text: "Total 113 1,633 307", Why: IsSum}}, got.LeftOut)

	scoped := map[string]float64{}
	for _, v := range taken(t, "totals-page-and-site.tsv").Totals[:6] {
		scoped[fmt.Sprint(v.Figure, " ", v.Scope, " ", v.Name)] = v.Value
	}
	assert.Equal(t, map[string]float64{"strength page Page strength": 28, "strength site Domain strength": 31,
		"referring_domains page ": 22, "referring_domains site ": 64, "links page ": 40, "links site ": 1212}, scoped)

	german := taken(t, "reviews-german.csv").Totals
	assert.Equal(t, Total{Site: "Zweirad Moos", Figure: standing.Rating, Scope: standing.OfSite, Value: 4.7}, german[4])
	assert.InDelta(t, 1088, german[5].Value, 0, "a point before three digits parts thousands")
}

func TestTakeLinks(t *testing.T) {
	got := taken(t, "links-english.csv").Links
	require.Len(t, got, 3)
	assert.Equal(t, Link{Target: "marrowlock.example", Row: backlink.Row{Domain: "marrowbendchamber.example",
		Page: "https://marrowbendchamber.example/members/marrow-lock", Title: "Marrow Lock & Key, Chamber",
		Anchor: "Visit website",
		OfPage: backlink.Of(22), OfSite: [2]backlink.Strength{backlink.Of(38)},
		FirstSeen: time.Date(2019, 3, 1, 0, 0, 0, 0, time.UTC)}}, got[0])
	assert.True(t, got[2].Lost)
	french := taken(t, "links-french.csv").Links
	assert.Equal(t, time.Date(2018, 1, 5, 0, 0, 0, 0, time.UTC), french[1].FirstSeen, "the day stands first")
	assert.True(t, french[1].NotFollowed)
	assert.Equal(t, 3, french[0].Links)
	assert.Empty(t, french[0].Page)
}

func TestTakeListings(t *testing.T) {
	got := taken(t, "listings-english.csv")
	require.Len(t, got.Listings, 3)
	assert.Equal(t, listing.IsNot, got.Listings[1].Listed)
	assert.Equal(t, "12 Main St, Marrow Bend", got.Listings[2].Address)
	assert.True(t, got.Has[listing.Hours])
	grid := taken(t, "listings-grid.csv").Listings
	require.Len(t, grid, 12)
	assert.Equal(t, Entry{Site: "boltandhasp.example", Entry: listing.Entry{Directory: "Bizatlas",
		Listed: listing.IsNot}}, grid[3])
	rows := [][]string{{"Directory", "Name", "Street", "City", "State", "Zip"}, {"Findatrade", "Bolt", "12 N Main St",
		"Marrow Bend", "OH", "43001"}}
	parted := Take(rows, Guess(rows)).Listings
	require.Len(t, parted, 1)
	assert.Equal(t, "12 N Main St, Marrow Bend, OH 43001", parted[0].Address)
}

func TestTakeFacts(t *testing.T) {
	facts := mapprofile.Facts{}
	pairs := taken(t, "profile-pairs.tsv")
	for _, v := range pairs.Totals {
		facts[mapprofile.Field(v.Figure)] = fmt.Sprint(v.Value)
	}
	for _, f := range pairs.Facts {
		facts[f.Field] = f.Value
	}
	assert.Equal(t, mapprofile.Facts{mapprofile.Name: "Bolt & Hasp Locksmith", mapprofile.Category: "Locksmith",
		mapprofile.Description: "Rekeying and lockouts in Marrow Bend.", mapprofile.Hours: "Mon-Fri 8am-5pm",
		mapprofile.Phone: "(614) 555-0142", mapprofile.Site: "boltandhasp.example", mapprofile.Photos: "4",
		mapprofile.Rating: "4.8", mapprofile.Reviews: "12", mapprofile.LastPost: "2026-08-02"}, facts)
	list := taken(t, "profiles-table.csv").Facts
	assert.Contains(t, list, Fact{Site: "Bolt & Hasp", Field: mapprofile.Answered, Value: "50"})
	assert.Contains(t, list, Fact{Site: "Marrow Lock", Field: mapprofile.Claimed, Value: "yes"})
}

// A row is taken or told as left out, whatever stands in it.
func FuzzTake(f *testing.F) {
	f.Add("Domain,Power,Ref. domains\na.example,3,4\nTotal,3,4\n")
	f.Add("Source page,Anchor,First seen\nhttps://a.example/x,y,01/02/2020\n")
	f.Add("Directory,b.example\nFindatrade,yes\n")
	f.Fuzz(func(t *testing.T, body string) {
		rows, err := table.Parse([]byte(body))
		if err != nil {
			return
		}
		for _, kind := range append(Kinds(), Guess(rows).Kind) {
			l := Guess(rows)
			l.Kind = kind
			got := Take(rows, l)
			if n := len(got.Links) + len(got.LeftOut); kind == Links && n != len(l.body(rows)) {
				t.Fatal(n, len(rows))
			}
		}
	})
}

func BenchmarkLinks(b *testing.B) {
	var s strings.Builder
	s.WriteString("Source page,Source title,Anchor,Page score,Domain score,First seen,Follow\n")
	for i := range 100_000 {
		fmt.Fprintf(&s,
			"https://site%d.example/blog/post-%d,\"Some words, about doors and a locksmith %d\",anchor %d,"+
				"%d,%d,2024-%02d-01,true\n",
			i/3, i, i, i, i%90, i%80, i%12+1)
	}
	body := []byte(s.String())
	for b.Loop() {
		rows, err := table.Parse(body)
		require.NoError(b, err)
		got := Take(rows, Guess(rows))
		require.Greater(b, len(got.Links), 99_000)
		sites := []backlink.Site{{Domain: "own.example", Own: true}, {Domain: "rival.example",
			Rows: make([]backlink.Row, 0, len(rows))}}
		for _, l := range got.Links {
			sites[1].Rows = append(sites[1].Rows, l.Row)
		}
		j := backlink.Judge(sites, backlink.Ground{Trade: "locksmith", Places: []string{"Marrow Bend"},
			Languages: []string{"en"},
			Country:   "US", Minutes: backlink.StandardMinutes()})
		require.NotEmpty(b, j.Ask)
	}
}
