package survey

import (
	"context"
	"net/url"
	"testing"

	"inktally/core/intent"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"
	rules "inktally/core/plan"
	"inktally/core/site"
	"inktally/internal/practice"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// ground returns what is known of the scenario's main client.
func ground() ([]intent.Service, []place.Place) {
	return []intent.Service{
			{Name: "chimney sweeping", Words: []string{"chimney sweep", "chimney cleaning"}},
			{Name: "chimney inspection"},
			{Name: "flue liner installation", Words: []string{"chimney liner", "chimney relining"}},
			{Name: "masonry repair", Words: []string{"chimney repair", "brick repair"}}, {Name: "dryer vent cleaning"},
			{Name: "wood stove installation"},
			{Name: "chimney cap fitting", Words: []string{"chimney cap installation"}},
		}, []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "North Tarn"}, {Name: "Pell Crossing"},
			{Name: "Ostrey"}, {Name: "Quillby"}, {Name: "Hazard Mills"}, {Name: "Wick Island"}}
}

// gists makes the gists of pages.
func gists(b *site.Binder, firm string) func(*page.Page) *site.Gist {
	return func(p *page.Page) *site.Gist { return site.GistOf(p, b, firm) }
}

func surveyed(t *testing.T, address string) (Site, site.Tree) {
	t.Helper()
	web, err := practice.Start()
	require.NoError(t, err)
	t.Cleanup(func() { _ = web.Close() })
	services, places := ground()
	binder := site.NewBinder(phrase.LanguageOf("en", places, phrase.Corrections{}), services,
		intent.EnglishLists().Acts)
	found, err := Visit(context.Background(), Plain{web.Fetcher()}, address,
		Options{Gist: gists(binder, "Brindle & Ash Chimney")})
	require.NoError(t, err)
	s := site.Survey{Visited: found.Visited, Dead: found.Dead, Root: found.Root, Both: found.Both, Places: places,
		Firm: "Brindle & Ash Chimney", Binder: binder,
		Low: func(k site.Kind) int {
			return rules.StandardRules().Words.Guideline(k).Low
		}}
	for _, service := range services {
		s.Services = append(s.Services, service.Name)
	}
	return found, s.Tree()
}

// The faults that the scenario names are found on its main client's site, and nothing
// false is.
func TestPractice(t *testing.T) {
	found, tree := surveyed(t, "http://brindleandash.example/")
	assert.Nil(t, found.Stopped)
	kinds := map[string]site.Kind{}
	for _, p := range tree.Pages {
		u, err := url.Parse(p.URL)
		require.NoError(t, err)
		kinds[u.Path] = p.Kind
		if p.Kind == site.Area {
			assert.Equal(t, "Pell Crossing", p.Place)
		}
	}
	assert.Equal(t, map[string]site.Kind{"/": site.Home, "/index.html": site.Home, "/about.html": site.About,
		"/contact.html": site.Contact, "/gallery.html": site.Gallery,
		"/pell-crossing.html": site.Area, "/services.html": site.Other}, kinds)
	var got []string
	for _, f := range tree.Findings {
		u, err := url.Parse(f.URL)
		require.NoError(t, err)
		says := string(f.Type) + " " + u.Path
		if f.Where != "" {
			says += " " + string(f.Where)
		}
		got = append(got, says)
	}
	assert.ElementsMatch(t, []string{
		"second_copy /index.html", "placeholder_text /", "vague_area_words /", "phone_not_linked /", "thin_page /",
		"no_business_data /",
		"all_services_page /services.html",
		"thin_page /pell-crossing.html", "place_contradiction /pell-crossing.html subhead",
		"place_contradiction /pell-crossing.html image", "dead_link /specials.html",
		"service_without_page /", "service_without_page /", "service_without_page /", "service_without_page /",
		"service_without_page /", "service_without_page /",
	}, got)
}
