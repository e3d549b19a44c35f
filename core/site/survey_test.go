package site

import (
	"fmt"
	"math/rand/v2"
	"net/url"
	"slices"
	"strings"
	"testing"

	"inktally/core/finding"
	"inktally/core/intent"
	"inktally/core/page"
	"inktally/core/phrase"
	"inktally/core/place"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var (
	sitePlaces = []place.Place{{Name: "Tarn Harbor", State: "ME", Home: true}, {Name: "North Tarn"}, {Name: "Ostrey"},
		{Name: "Quillby"}}
	siteServices = []intent.Service{{Name: "chimney sweeping", Words: []string{"chimney sweep"}},
		{Name: "flue liner installation", Words: []string{"chimney liner"}},
		{Name: "masonry repair", Words: []string{"chimney repair"}}}
)

// draft is a page of a site that is to be surveyed.
type draft struct {
	path, title, h1, head, body string
	labels                      []string
	links                       int
}

// prose is copy that no other page has, with its own words.
func prose(about string, n int) string {
	rng := rand.New(rand.NewPCG(uint64(len(about)), uint64(n)+uint64(about[0])))
	words := strings.Fields(
		"the brick stack above roof line needs a cap when rain comes in from north side and soot falls on hearth " +
			"every winter after first frost we bring ladder brush camera")
	var b strings.Builder
	for range n {
		b.WriteString(words[rng.IntN(len(words))] + fmt.Sprint(rng.IntN(90)) + " ")
	}
	return "<p>" + about + ". " + b.String() + ".</p>"
}

// faultless returns a site without a fault.
func faultless() []draft {
	phone := `<p><a href="tel:+12075550134">207-555-0134</a></p>`
	of := func(path, title, h1 string, words int) draft {
		return draft{path: path, title: title, h1: h1, body: prose(title, words) + phone, links: 3}
	}
	home := of("/", "Chimney sweep Tarn Harbor", "Chimney sweep in Tarn Harbor", 900)
	home.body += `<p><a href="/flue-liners/">Flue liners</a></p><p><a href="/masonry/">Chimney repair</a></p>`
	home.head = `<script type="application/ld+json">{"@context":"https://schema.org","@type":"LocalBusiness",` +
		`"name":"Brindle","telephone":"207-555-0134"}</script>`
	return []draft{
		home,
		of("/flue-liners/", "Flue liner installation in Tarn Harbor", "Flue liners", 400),
		of("/masonry/", "Chimney repair and masonry", "Chimney repair", 400),
		of("/areas/ostrey/", "Chimney sweep Ostrey", "Chimney sweep in Ostrey", 420),
		of("/areas/quillby/", "Chimney sweep Quillby", "Chimney sweep in Quillby", 440),
		of("/about/", "About us", "Our story", 120), of("/contact/", "Contact", "Get in touch", 60),
		of("/gallery/", "Gallery", "Our work", 40),
		of("/blog/2025/01/first-frost/", "Before the first frost", "Before the first frost", 300),
	}
}

func surveyOf(drafts []draft) Survey {
	s := Survey{Places: sitePlaces, Binder: NewBinder(phrase.LanguageOf("en", sitePlaces, phrase.Corrections{}),
		siteServices, intent.EnglishLists().Acts),
		Low: func(k Kind) int { return map[Kind]int{Home: 1500}[k] + map[bool]int{true: 500}[k.ForOneSubject()] }}
	for _, service := range siteServices {
		s.Services = append(s.Services, service.Name)
	}
	for _, d := range drafts {
		address := "https://brindle.example" + d.path
		html := fmt.Sprintf(
			`<html lang="en"><head><title>%s</title>%s</head><body><main><h1>%s</h1>%s</main></body></html>`, d.title,
			d.head, d.h1, d.body)
		s.Visited = append(s.Visited, Visited{URL: address, Page: page.Read([]byte(html), page.Source{URL: address}),
			Labels: d.labels, InLinks: d.links})
	}
	return s
}

func TestFaultlessSite(t *testing.T) {
	tree := surveyOf(faultless()).Tree()
	assert.Empty(t, tree.Findings)
	kinds := map[string]Kind{}
	for _, p := range tree.Pages {
		kinds[strings.TrimPrefix(p.URL, "https://brindle.example")] = p.Kind
	}
	assert.Equal(t, map[string]Kind{"/": Home, "/flue-liners/": Service, "/masonry/": Service, "/areas/ostrey/": Area,
		"/areas/quillby/": Area, "/about/": About,
		"/contact/": Contact, "/gallery/": Gallery, "/blog/2025/01/first-frost/": Article}, kinds)
}

// Own words leave out what the site repeats from page to page (rule 2.2).
func TestOwnWords(t *testing.T) {
	const repeated = "<p>Call us for an honest price, we come within a day.</p>"
	list := faultless()
	before := map[string]int{}
	for _, p := range surveyOf(list).Tree().Pages {
		before[p.URL] = p.Own
		assert.Positive(t, p.Own, p.URL)
		assert.LessOrEqual(t, p.Own, p.Words)
	}
	for i := range list {
		list[i].body += repeated
	}
	for _, p := range surveyOf(list).Tree().Pages {
		assert.Equal(t, before[p.URL], p.Own, p.URL)
	}
}

// A site that answers by both schemes says so once, whatever else it has.
func TestBothSchemes(t *testing.T) {
	s := surveyOf(faultless())
	s.Both = true
	assert.Equal(t, []finding.Finding{{Type: finding.HTTPBesideHTTPS, URL: "https://brindle.example/"}},
		s.Tree().Findings)
}

// Faults that are planted are found, each of them, and nothing else is.
func TestPlantedFaults(t *testing.T) {
	find := func(list []draft, path string) *draft {
		return &list[slices.IndexFunc(list, func(d draft) bool { return d.path == path })]
	}
	faults := map[finding.Type]func(list []draft) []draft{
		finding.SecondCopy: func(l []draft) []draft {
			d := *find(l, "/flue-liners/")
			d.path = "/old/flue-liners/"
			return append(l, d)
		},
		finding.OnlyPlacesDiffer: func(l []draft) []draft {
			d := *find(l, "/areas/ostrey/")
			d.path, d.title, d.h1, d.body = "/areas/north-tarn/", "Chimney sweep North Tarn",
				"Chimney sweep in North Tarn", strings.ReplaceAll(d.body, "Ostrey", "North Tarn")
			return append(l, d)
		},
		finding.AllServices: func(l []draft) []draft {
			return append(l, draft{path: "/services/", title: "Services", h1: "What we do", links: 2,
				body: "<h2>Chimney sweeping</h2><p>We sweep.</p><h2>Flue liners</h2><p>We " +
					"line.</p><h2>Masonry</h2><p>We lay brick.</p>"})
		},
		finding.ServiceNoPage: func(l []draft) []draft {
			return slices.DeleteFunc(l, func(d draft) bool { return d.path == "/masonry/" })
		},
		finding.ThinPage: func(l []draft) []draft {
			find(l, "/flue-liners/").body = prose("Liners", 60)
			return l
		},
		finding.Orphan: func(l []draft) []draft { find(l, "/areas/quillby/").links = 0; return l },
		finding.PlaceWrong: func(l []draft) []draft {
			find(l, "/areas/quillby/").body += `<h2>Stoves in Ostrey</h2><p>Yes.</p>`
			return l
		},
		finding.VagueAreaWords: func(l []draft) []draft {
			find(l, "/about/").body += "<p>We serve Tarn Harbor and the surrounding areas.</p>"
			return l
		},
		finding.NoIndex: func(l []draft) []draft {
			find(l, "/masonry/").head = `<meta name="robots" content="noindex">`
			return l
		},
		finding.PlaceholderText: func(l []draft) []draft {
			find(l, "/about/").body += "<p>Lorem ipsum dolor sit amet, consectetur adipiscing elit.</p>"
			return l
		},
		finding.NoHomeLink: func(l []draft) []draft {
			find(l, "/").body = strings.ReplaceAll(find(l, "/").body, ">Flue liners<", ">Read more<")
			return l
		},
		finding.NoBusinessData: func(l []draft) []draft { find(l, "/").head = ""; return l },
		finding.SameService: func(l []draft) []draft {
			return append(l, draft{path: "/liners/", title: "Flue liner installation", h1: "Liners", links: 3,
				body: prose("Stainless flues", 390)})
		},
		finding.PhoneNotLinked: func(l []draft) []draft {
			for i := range l {
				l[i].body = strings.ReplaceAll(l[i].body, `<a href="tel:+12075550134">207-555-0134</a>`, "207-555-0134")
			}
			return l
		},
	}
	rapid.Check(t, func(t *rapid.T) {
		list := faultless()
		names := rapid.SliceOfNDistinct(rapid.SampledFrom(slices.Sorted(func(yield func(finding.Type) bool) {
			for name := range faults {
				if !yield(name) {
					return
				}
			}
		})), 0, 3, rapid.ID).Draw(t, "faults")
		slices.Sort(names) // what takes a page away comes after what copies it
		if slices.Contains(names, finding.ServiceNoPage) && slices.Contains(names, finding.NoIndex) {
			t.Skip("both are about one page")
		}
		if slices.Contains(names, finding.SecondCopy) && slices.Contains(names, finding.ThinPage) {
			t.Skip("the copy would not be one any more")
		}
		if slices.Contains(names, finding.SameService) && slices.Contains(names, finding.ThinPage) {
			t.Skip("the other page would be the one that stays")
		}
		for _, name := range names {
			list = faults[name](list)
		}
		rand.Shuffle(len(list), func(i, j int) { list[i], list[j] = list[j], list[i] })
		found := map[finding.Type]bool{}
		tree := surveyOf(list).Tree()
		for _, f := range tree.Findings {
			found[f.Type] = true
		}
		for _, name := range names {
			assert.True(t, found[name], "%s of %v in %v", name, names, tree.Findings)
			delete(found, name)
		}
		assert.Empty(t, found, "%v in %v", names, tree.Findings)
		again := slices.Clone(list)
		slices.Reverse(again)
		assert.Equal(t, tree.Findings, surveyOf(again).Tree().Findings, "in whatever order they were visited")
	})
}

// A site may say the same of a hundred places: each of its pages is a copy, however many
// there are.
func TestManyCopies(t *testing.T) {
	list := faultless()
	s := surveyOf(nil)
	for i := range 100 {
		town := fmt.Sprintf("Upper%c%cford", 'a'+i/26, 'a'+i%26)
		s.Places = append(s.Places, place.Place{Name: town})
		body := strings.ReplaceAll(prose("Sweeping in TOWN, done well", 420), ". the", ". In TOWN the")
		list = append(list, draft{path: "/areas/" + strings.ToLower(town) + "/", title: "Chimney sweep " + town,
			h1:   "Chimney sweep in " + town,
			body: strings.ReplaceAll(body, "TOWN", town), links: 3})
	}
	filled := surveyOf(list)
	filled.Places = append(filled.Places, s.Places...)
	copies := map[string]bool{}
	for _, f := range filled.Tree().Findings {
		if f.Type == finding.OnlyPlacesDiffer {
			copies[f.URL] = true
		}
	}
	assert.GreaterOrEqual(t, len(copies), 99)
	for _, d := range faultless() {
		assert.False(t, copies["https://brindle.example"+d.path], d.path)
	}
}

// The comparable page of a rival: of the same kind, service and place, whatever it calls
// them, and none where it has none (rule 6.3).
func TestLikePage(t *testing.T) {
	own := surveyOf(faultless()).Tree().Pages
	rival := surveyOf([]draft{
		{path: "/", title: "Harbor Flue", h1: "Harbor Flue"},
		{path: "/services/relining.html", title: "Chimney liners | Harbor Flue", h1: "Liners that last"},
		{path: "/services/stone-and-brick.html", title: "Stone and brick | Harbor Flue", h1: "Masonry"},
		{path: "/ostrey.html", title: "Sweeps in Ostrey", h1: "Ostrey"},
		{path: "/about-our-masonry-team.html", title: "Our masonry team", h1: "The team"},
		{path: "/blog/liners-explained.html", title: "Liners explained", h1: "Chimney liners explained"},
	}).Tree().Pages
	want := map[string]string{"/": "/", "/flue-liners/": "/services/relining.html",
		"/masonry/": "/services/stone-and-brick.html", "/areas/ostrey/": "/ostrey.html", "/areas/quillby/": ""}
	for _, p := range own {
		path := strings.TrimPrefix(p.URL, "https://brindle.example")
		expected, asked := want[path]
		if !asked {
			continue
		}
		like, ok := LikePage(p, rival, "Tarn Harbor")
		require.Equal(t, expected != "", ok, path)
		assert.Equal(t, expected, strings.TrimPrefix(like.Page.URL, "https://brindle.example"), path)
	}
}

// What only looks like a comparable page is refused: another act on the same thing, the act
// on another thing, an article, a gallery, a job, another town.
func TestDecoys(t *testing.T) {
	rival := surveyOf([]draft{
		{path: "/", title: "Harbor Flue", h1: "Harbor Flue"},
		{path: "/chimney-liner-inspection/", title: "Chimney liner inspection", h1: "Chimney liner inspection"},
		{path: "/gas-hearth-repair/", title: "Gas hearth repair", h1: "Gas hearth repair"},
		{path: "/appliance-repair/", title: "Appliance repair", h1: "Appliance repair"},
		{path: "/liner-gallery/", title: "Photos of liners", h1: "Liners we have set"},
		{path: "/2024/05/how-a-liner-is-set/", title: "How a flue liner is set", h1: "How a flue liner is set"},
		{path: "/jobs/mason/", title: "Mason wanted for chimney repair", h1: "A mason for chimney repair"},
		{path: "/blog/masonry-repair-cost/", title: "What masonry repair costs", h1: "What masonry repair costs"},
		{path: "/chimney-repair-marl-point/", title: "Chimney repair in Marl Point, ME",
			h1: "Chimney repair in Marl Point, ME"},
		{path: "/quillby-before-and-after/", title: "Before and after in Quillby", h1: "Before and after"},
	}).Tree().Pages
	for _, of := range []Purpose{{Kind: Service, Service: "flue liner installation"},
		{Kind: Service, Service: "masonry repair"}, {Kind: Area, Place: "Quillby"}, {Kind: Area, Place: "Ostrey"}} {
		like, ok := LikePage(Surveyed{Purpose: of}, rival, "Tarn Harbor")
		assert.False(t, ok, "%s%s: %s", of.Service, of.Place, like.Page.URL)
	}
}

// A page that holds several services stays one, though its title leans to one of them; a
// service page that lists the others at its foot stays that service's.
func TestPagesOfSeveral(t *testing.T) {
	section := func(h string, n int) string { return "<h2>" + h + "</h2>" + prose(h, n) }
	tree := surveyOf([]draft{
		{path: "/liners-and-more/", title: "Liners and all the rest", h1: "Liners and all the rest",
			body: "<p>All on one page.</p>" +
				section("Chimney sweeping", 60) + section("Flue liner installation", 60) + section("Masonry repair",
				60)},
		{path: "/flue-liners/", title: "Flue liners", h1: "Flue liners", body: prose("Steel, and what it costs", 400) +
			section("Chimney sweeping", 12) + section("Flue liner installation", 20) + section("Masonry repair", 12)},
	}).Tree().Pages
	kinds := map[string]Kind{}
	for _, p := range tree {
		kinds[strings.TrimPrefix(p.URL, "https://brindle.example")] = p.Kind
	}
	assert.Equal(t, map[string]Kind{"/liners-and-more/": Other, "/flue-liners/": Service}, kinds)
}

// A word in the middle of a long address, a book and what is about more than us say nothing
// of what a page is for; print views are no pages.
func TestWordsThatSayNothing(t *testing.T) {
	b := surveyOf(nil).Binder
	for address, want := range map[string]Kind{
		"/managing-growing-projects-with-packages-crates-and-modules.html": Other,
		"/more-about-cargo.html": Other, "/about-us.html": About, "/about/": About, "/what-we-are-about/": About,
		"/our-projects/": Gallery, "/recent-projects-in-town/": Gallery, "/contact-us/": Contact,
	} {
		assert.Equal(t, want, PurposeOf(Clues{URL: "https://brindle.example" + address}, b).Kind, address)
	}
	for label, want := range map[string]Kind{"Read this book": Other, "Book now": Contact, "Get a quote": Contact} {
		assert.Equal(t, want, PurposeOf(Clues{URL: "https://brindle.example/x1/", Labels: []string{label}}, b).Kind,
			label)
	}
	for address, want := range map[string]bool{"https://brindle.example/print.html": false,
		"https://brindle.example/print/": false, "https://brindle.example/blueprint.html": true} {
		u, err := url.Parse(address)
		require.NoError(t, err)
		_, ok := PageAddress(u)
		assert.Equal(t, want, ok, address)
	}
}

// Of two pages that name one service and nothing else one goes; a page for a part of the service stays.
func TestPagesForOneService(t *testing.T) {
	list := append(faultless(),
		draft{path: "/liners/", title: "Liners", h1: "Chimney liners", links: 3, body: prose("Stainless flues", 390)},
		draft{path: "/liner-collars/", title: "Chimney liner collars and rain caps", h1: "Liner collars", links: 3,
			body: prose("Collars hold what is above them", 390)})
	tree := surveyOf(list).Tree()
	kinds := map[string]Kind{}
	for _, p := range tree.Purposes() {
		kinds[strings.TrimPrefix(p.URL, "https://brindle.example")] = p.Kind
	}
	assert.Equal(t, []Kind{Service, Other, Service},
		[]Kind{kinds["/flue-liners/"], kinds["/liners/"], kinds["/liner-collars/"]})
	for _, f := range tree.Findings {
		if f.Type == finding.SameService {
			assert.Equal(t, f.URL == "https://brindle.example/liners/", f.Alike, f.URL)
		}
	}
}

// Of three pages for one service two yield to the third, wherever it stands: none to a page that is to go itself.
func TestThreePagesForOneService(t *testing.T) {
	for _, words := range [][]int{{200, 300, 900}, {900, 300, 200}, {300, 900, 200}} {
		list := faultless()
		for i, n := range words {
			list = append(list, draft{path: fmt.Sprintf("/flue-liners-%d/", i+1), title: "Flue liners",
				h1: "Flue liners", links: 3, body: prose(fmt.Sprintf("Flue liners of make %d", i), n)})
		}
		others, yielding := map[string]bool{}, map[string]bool{}
		for _, f := range surveyOf(list).Tree().Findings {
			if f.Type == finding.SameService {
				others[f.Other], yielding[f.URL] = true, true
			}
		}
		assert.Len(t, others, 1, words)
		assert.Len(t, yielding, 3, words)
		for stays := range others {
			assert.False(t, yielding[stays], words)
		}
	}
}
