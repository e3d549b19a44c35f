package plan

import (
	"testing"

	"inktally/core/finding"
	"inktally/core/sheet"
	"inktally/core/site"

	"github.com/stretchr/testify/assert"
)

// What rule 11 finds becomes targets: on the pages that it is about, fixes first.
func TestRepairs(t *testing.T) {
	q := asked("chimney sweep tarn harbor")
	body := sheet.Measure(read("<p>"+words(100)), q)
	at := func(key, url string, kind site.Kind) Aim {
		return Aim{Key: key, URL: "http://brindleandash.example" + url, Kind: kind, Client: body, Criteria: q,
			Topics: topics}
	}
	area, home := at("p3", "/ostrey/", site.Area), at("p1", "/", site.Home)
	area.Place = "Ostrey"
	home.Families, home.Client = families(q, 100),
		sheet.Measure(read("<title>Chimney sweep Tarn Harbor</title><p>"+words(100)), q)
	s := Study{Pages: []Aim{home, at("p2", "/services/", site.Other), area, at("p4", "/index.html", site.Other),
		{Key: "service: masonry repair", Kind: site.Service,
			Service: "masonry repair", Criteria: q},
		at("p5", "/caps/", site.Service), at("p6", "/chimney-caps/", site.Service), at("p7", "/why/", site.Article)},
		Findings: []finding.Finding{
			{Type: finding.DeadLink, URL: "http://brindleandash.example/gone",
				Other: "http://brindleandash.example/services/", Label: "Specials", Status: 404},
			{Type: finding.DeadLink, URL: "http://brindleandash.example/gone2",
				Other: "http://brindleandash.example/services/", Label: "News", Status: 404},
			{Type: finding.NoIndex, URL: "http://brindleandash.example/services/"},
			{Type: finding.PlaceWrong, URL: "http://brindleandash.example/ostrey/", Place: "Quillby",
				Where: finding.InH1, Texts: []string{"Sweeping in Quillby"}},
			{Type: finding.PlaceWrong, URL: "http://brindleandash.example/", Place: "Ostrey", Where: finding.InTitle,
				Texts: []string{"Ostrey sweeps"}},
			{Type: finding.VagueAreaWords, URL: "http://brindleandash.example/", Texts: []string{"nearby towns"}},
			{Type: finding.SecondCopy, URL: "http://brindleandash.example/index.html",
				Other: "http://brindleandash.example/"},
			{Type: finding.AllServices, URL: "http://brindleandash.example/services/",
				Services: []string{"chimney sweep", "masonry repair"}},
			{Type: finding.OnlyPlacesDiffer, URL: "http://brindleandash.example/ostrey/",
				Other: "http://brindleandash.example/quillby/"},
			{Type: finding.ThinPage, URL: "http://brindleandash.example/"},
			{Type: finding.HTTPOnly, URL: "http://brindleandash.example/"},
			{Type: finding.NoBusinessData, URL: "http://brindleandash.example/"},
			{Type: finding.SameService, Alike: true, URL: "http://brindleandash.example/chimney-caps/",
				Other: "http://brindleandash.example/caps/", Services: []string{"chimney caps"}},
			{Type: finding.NoHomeLink, URL: "http://brindleandash.example/caps/", Services: []string{"chimney caps"}},
			{Type: finding.Orphan, URL: "http://brindleandash.example/caps/"},
			{Type: finding.Orphan, URL: "http://brindleandash.example/why/"},
			{Type: finding.Orphan, URL: "http://brindleandash.example/chimney-caps/"},
			{Type: finding.Orphan, URL: "http://brindleandash.example/services/"},
			{Type: finding.DirectoryAhead, URL: "https://townledger.example/", Label: "Townledger", Position: 2},
			{Type: finding.DirectoryAhead, URL: "https://townledger.example/", Label: "Townledger", Position: 4},
			{Type: finding.DirectoryAhead, URL: "https://neighborlist.example/", Label: "Neighborlist", Position: 5},
		}}
	s.Pages[5].Service, s.Pages[6].Service, s.Pages[7].Service = "chimney caps", "chimney caps", "chimney caps"
	plan := StandardRules().Plan(s)
	by := map[string]Target{}
	for _, x := range plan.Targets {
		by[x.Ref().String()] = x
	}
	for id, want := range map[string]struct {
		minutes float64
		first   bool
		gain    float64
	}{
		"p2 | fix: dead_link": {6, false, 0}, "p2 | fix: noindex": {5, true, 0},
		"p3 | fix: place_contradiction": {3, false, 0}, "p1 | fix: place_contradiction": {3, false, 0},
		"p1 | vague_words": {5, false, 3}, "p4 | redirect": {15, false, 10},
		"p2 | split":   {15, false, 7.266666666666673},
		"p3 | rewrite": {20, false, 0}, "p1 | fix: http_only": {60, true, 0},
		"p1 | fix: no_business_data": {20, false, 0}, "p6 | merge": {30, false, 0},
		"p1 | fix: no_home_link": {5, false, 0}, "p5 | fix: no_home_link": {5, false, 0},
		"p1 | fix: directory_ahead": {40, false, 0},
	} {
		x, there := by[id]
		if assert.True(t, there, id) {
			assert.InDelta(t, want.minutes, x.Minutes, 1e-9, id)
			assert.Equal(t, want.first, x.First, id)
			assert.InDelta(t, want.gain, x.Gain, 1e-9, id)
		}
	}
	assert.Equal(t, []Ref{{"service: masonry repair", "new_page"}}, by["p2 | split"].Needs,
		"it needs the pages that its services go to")
	s.Pages = s.Pages[:4]
	for _, x := range StandardRules().Plan(s).Targets {
		assert.NotEqual(t, Split, x.Kind, "all its services have pages of their own")
	}
	s.Pages = []Aim{home, area} // the others were removed
	for _, x := range StandardRules().Plan(s).Targets {
		if x.Kind == Redirect {
			assert.Equal(t, "http://brindleandash.example/index.html", x.Finding.URL, "not the home page itself")
		}
		assert.False(t, x.Finding != nil && x.Finding.Type == finding.NoIndex, "nobody wants the page listed")
	}
}
