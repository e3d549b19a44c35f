package lineup

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

func TestDomain(t *testing.T) {
	for address, want := range map[string]string{
		"http://www.harborflue.example/a": "harborflue.example",
		"https://shop.harborflue.example": "harborflue.example",
		"http://127.0.0.1:80/":            "127.0.0.1",
		"no address":                      "",
		"":                                "",
	} {
		t.Run(address, func(t *testing.T) {
			assert.Equal(t, want, Domain(address), address)
		})
	}
}

func TestJudge(t *testing.T) {
	var list strings.Builder
	for i := range 6 {
		fmt.Fprintf(&list, "<p>Sweep %d, (207) 555-01%02d</p><p>207-555-0100</p>", i, i)
	}
	directory := page.Read([]byte(list.String()), page.Source{})
	for _, c := range []struct {
		e    Entry
		read *page.Page
		kind Kind
		why  Reason
	}{
		{Entry{URL: "http://www.brindleandash.example/x"}, nil, Client, Reason{Code: IsClient}},
		{Entry{Name: "Best 10 chimney sweeps in Maine"}, nil, ListArticle, Reason{Code: ListTitle, Quote: "Best 10"}},
		{Entry{Name: "10 best sweeps"}, nil, ListArticle, Reason{Code: ListTitle, Quote: "10 best"}},
		{Entry{Name: "Townledger: sweeps"}, directory, Directory, Reason{Code: ManyListings, Number: 6}},
		{Entry{Name: "The best sweeps"}, page.Read([]byte("<p>207-555-0101"), page.Source{}), Business, Reason{}},
	} {
		t.Run(c.e.Name, func(t *testing.T) {
			kind, why := Judge(c.e, Evidence{ClientDomain: "brindleandash.example", Read: c.read})
			assert.Equal(t, c.kind, kind)
			assert.Equal(t, c.why, why)
		})
	}
}

// rule 6.1: a list article counts what it lists in its title.
func TestListTitle(t *testing.T) {
	for title, want := range map[string]string{
		"The 10 Best Chimney Sweeps in Tarn Harbor, ME (2026)": "10 Best",
		"TOP 10 Roofers in Port Larivière - Neighborlist":      "TOP 10",
		"Les 10 meilleurs couvreurs de Marquère":               "10 meilleurs",
		"Die 10 besten Heizungsbauer in Osterbruch":            "10 besten",
		"Los 5 mejores fontaneros de Puerto Quell":             "5 mejores",
		"I 10 migliori idraulici":                              "10 migliori",
		"De 12 beste loodgieters van Oosterkade":               "12 beste",
		"Chimney sweeps: our top 7 for Ostrey":                 "top 7",
		"Best 24 Hour Plumber in Ostrey":                       "",
		"Top 24/7 Locksmith Ostrey":                            "",
		"Top 1 Roofing":                                        "",
		"Best 2026 prices on flue liners":                      "",
		"Harbor Flue & Hearth, the best in town since 1999":    "",
	} {
		kind, why := Judge(Entry{Name: title}, Evidence{})
		assert.Equal(t, want != "", kind == ListArticle, title)
		assert.Equal(t, want, why.Quote, title)
	}
}

// rule 6.2: the pack's first three, firms in both parts first, then organic
// businesses; nothing that is paid for, and no map place beyond the third.
func TestTake(t *testing.T) {
	entries := []Entry{
		{Part: Paid, Name: "ad", URL: "http://a.example", Kind: Business},
		{Part: Map, Position: 1, Name: "sponsored", Sponsored: true, URL: "http://b.example", Kind: Business},
		{Part: Organic, Position: 1, Name: "three again", URL: "http://www.three.example/x", Kind: Business},
		{Part: Organic, Position: 2, Name: "list", URL: "http://c.example", Kind: Directory},
		{Part: Organic, Position: 3, Name: "four", URL: "http://four.example", Kind: Business},
		{Part: Organic, Position: 4, Name: "five", URL: "http://five.example", Kind: Business},
		{Part: Organic, Position: 5, Name: "six", URL: "http://six.example", Kind: Business},
		{Part: Organic, Position: 12, Name: "one far down", URL: "http://one.example", Kind: Business},
		{Part: Map, Position: 1, Name: "one", URL: "http://one.example", Kind: Business},
		{Part: Map, Position: 2, Name: "siteless", Kind: Business},
		{Part: Map, Position: 3, Name: "three", URL: "http://three.example", Kind: Business},
		{Part: Map, Position: 4, Name: "fourth place", URL: "http://fourth.example", Kind: Business},
	}
	StandardRules().Take(entries)
	reasons := map[string]Reason{}
	for _, e := range entries {
		reasons[e.Name] = e.Reason
	}
	names := func() (out []string) {
		for _, i := range StandardRules().Rivals(entries) {
			out = append(out, entries[i].Name)
		}
		return out
	}
	assert.Equal(t, []string{"three", "one", "four", "five"}, names())
	assert.Equal(t, Reason{Code: IsPaid}, reasons["ad"])
	assert.Equal(t, Reason{Code: IsSponsored}, reasons["sponsored"])
	assert.Equal(t, Reason{Code: TakenAlready}, reasons["three again"])
	assert.Equal(t, Reason{Code: HasNoSite}, reasons["siteless"])
	assert.Equal(t, Reason{Code: BeyondPack, Number: 3}, reasons["fourth place"])
	assert.Equal(t, Reason{Code: BeyondMost, Number: 4}, reasons["six"])
	assert.True(t, Open(entries[3]))
	assert.False(t, Open(entries[4]))

	entries[0].Taken, entries[1].Taken = true, true
	assert.Equal(t, []string{"three", "one", "four", "five"}, names(),
		"what is paid for is no rival, whatever a file says")
	entries = append(entries, Entry{Part: Typed, Position: 1, Name: "typed", URL: "http://a.example", Kind: Business,
		Taken: true})
	assert.Equal(t, []string{"three", "one", "four", "five", "typed"}, names())
	assert.Empty(t, StandardRules().Rivals(nil))
}

// rule 6.2: the first organic business has a seat whatever the pack holds, and a firm that was typed too is
// one rival.
func TestFirstOrganic(t *testing.T) {
	entries := []Entry{
		{Part: Map, Position: 1, Name: "one", URL: "http://one.example/", Kind: Business},
		{Part: Map, Position: 2, Name: "two", URL: "http://two.example/", Kind: Business},
		{Part: Map, Position: 3, Name: "three", URL: "http://three.example/", Kind: Business},
		{Part: Organic, Position: 1, Name: "list", URL: "http://list.example/", Kind: Directory},
		{Part: Organic, Position: 2, Name: "one's page", URL: "https://one.example/a", Kind: Business},
		{Part: Organic, Position: 3, Name: "two's page", URL: "https://two.example/a", Kind: Business},
		{Part: Organic, Position: 4, Name: "three's page", URL: "https://three.example/a", Kind: Business},
		{Part: Organic, Position: 5, Name: "four", URL: "https://four.example/", Kind: Business},
		{Part: Typed, Position: 1, Name: "four typed", URL: "http://www.four.example/shop", Kind: Business,
			Taken: true},
	}
	rules := StandardRules()
	rules.Take(entries)
	var names []string
	for _, i := range rules.Rivals(entries) {
		names = append(names, entries[i].Name)
	}
	assert.Equal(t, []string{"one", "two", "three", "four typed"}, names)

	entries[4].Kind, entries[5].Kind, entries[6].Kind = Directory, Directory, Directory
	rules.Most = 2
	for i := range entries {
		entries[i].Taken = false
	}
	rules.Take(entries)
	assert.True(t, entries[7].Taken, "the first organic business goes before the pack")
}

func TestNameOf(t *testing.T) {
	for _, c := range [][3]string{
		{"Hearthway National: sweeps in your town", "http://hearthway.example/offers", "Hearthway National"},
		{"Chimney Sweep Tarn Harbor, ME | Harbor Flue & Hearth", "http://harborflue.example/", "Harbor Flue & Hearth"},
		{"Sweepfast: three offers in a minute", "http://www.sweepfast.example/", "Sweepfast"},
		{"Home - Brindle & Ash", "http://brindle-and-ash.example/", "Brindle & Ash"},
		{"Best prices in town", "http://lantern.example/", "lantern"},
		{"Only a name", "", "Only a name"},
	} {
		t.Run(c[0], func(t *testing.T) {
			assert.Equal(t, c[2], NameOf(c[0], c[1]))
		})
	}
}

// The firm of a result is known by the part of its title that its address has words of.
func TestIsNamed(t *testing.T) {
	for _, c := range []struct {
		name, title, address string
		want                 bool
	}{
		{"Harbor Flue & Hearth", "Chimney Sweeping & Inspection | Harbor Flue & Hearth",
			"https://harborflue.example/chimney-sweep/", true},
		{"Grey Heron Exteriors", "Roof Repair - Grey Heron Exteriors", "https://greyheron.example/", true},
		{"Roof Repair", "Roof Repair - Grey Heron Exteriors", "https://greyheron.example/", false},
		{"Harbor Flue & Hearth", "Harbor Flue & Hearth - Neighborlist", "https://neighborlist.example/me/harbor-flue",
			false},
		{"Harbor Flue & Hearth", "Harbor Flue & Hearth", "", false},
		{"", "Home", "https://harborflue.example/", false},
	} {
		assert.Equal(t, c.want, IsNamed(c.name, c.title, c.address), "%s: %s", c.name, c.title)
	}
}
