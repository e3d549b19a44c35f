package listing

import (
	"testing"

	"inktally/core/lineup"

	"github.com/stretchr/testify/assert"
)

func TestGrid(t *testing.T) {
	b := Business{Name: "Bolt & Hasp Locksmith", Phones: []string{"(614) 555-0142"},
		Site: "https://boltandhasp.example/", Country: "US"}
	own := Firm{Own: true, Entries: []Entry{
		{Directory: "Findatrade", Firm: "Bolt & Hasp Locksmith", Phone: "614-555-0142"},
		{Directory: "findatrade.example", Firm: "Bolt & Hasp Locksmith"},
		{Directory: "Bizatlas", Listed: IsNot},
		{Directory: "meetlocal.example", Firm: "Bolt and Hasp", Phone: "614-555-0124"},
	}}
	first := Firm{Entries: []Entry{{Directory: "findatrade.example"}, {Directory: "bizatlas.example"},
		{Directory: "Townpages"}}}
	second := Firm{Entries: []Entry{{Directory: "bizatlas.example"}, {Directory: "Oldbook"}, {Directory: "Townpages",
		Listed: IsNot}}}
	chain := Firm{Chain: true, Entries: []Entry{{Directory: "onlychains.example"}}}
	g := GridOf([]Firm{own, first, second, chain}, b, map[string]int{"oldbook": 2})
	assert.Equal(t, []int{2, 3, 2, 1}, g.Counts, "an entry that stands twice counts once")
	var missing []string
	for _, r := range g.Missing {
		missing = append(missing, r.Name)
	}
	assert.Equal(t, []string{"Oldbook", "bizatlas.example", "Townpages"}, missing,
		"a high place first, then by rivals; what only a chain has is not asked for")
	assert.Len(t, g.Listed, 2)
	assert.True(t, g.Listed[0].Twice)
	assert.False(t, Different(g.Listed[0].Checks))
	assert.True(t, Different(g.Listed[1].Checks))
}

func TestTarget(t *testing.T) {
	for _, c := range []struct {
		rivals []int
		want   int
	}{{nil, 10}, {[]int{3}, 10}, {[]int{28, 11, 19}, 35}, {[]int{8}, 10}, {[]int{9}, 12}} {
		assert.Equal(t, c.want, StandardRules().Target(c.rivals), "%v", c.rivals)
	}
	assert.Equal(t, 56, Rules{Over: 100}.Target([]int{28}))
	assert.Equal(t, 80, Rules{Over: 25, Least: 80}.Target([]int{28}))
}

func TestNameSearch(t *testing.T) {
	n := NameSearch{Business: Business{Name: "Soft Coats Ltd", Phones: []string{"01632 960142"},
		Site: "softcoats.example", Country: "GB"},
		Profiles:  []string{"https://hounds.example/softcoats"},
		Directory: func(e lineup.Entry) bool { return lineup.Domain(e.URL) == "tradesbook.example" },
		Elsewhere: func(s string) bool { return s == "farley" }}
	for _, c := range []struct {
		e    lineup.Entry
		want Hit
	}{
		{lineup.Entry{Name: "Soft Coats: dog grooming", URL: "https://www.softcoats.example/about"}, OwnSite},
		{lineup.Entry{Part: lineup.Map, Name: "Soft Coats", Phone: "01632 960142"}, OwnProfile},
		{lineup.Entry{Part: lineup.Map, Name: "Soft Coats", Phone: "01632 960177"}, Namesake},
		{lineup.Entry{Part: lineup.Map, Name: "Soft Coats, Farley", URL: "https://softcoats.example/"}, OwnProfile},
		{lineup.Entry{Name: "Soft Coats, Farley", URL: "https://softcoatsfarley.example/"}, Namesake},
		{lineup.Entry{Name: "softcoats", URL: "https://hounds.example/softcoats/"}, OwnProfile},
		{lineup.Entry{Name: "Soft Coats, Wexbourne", URL: "https://tradesbook.example/kent/soft-coats"}, Listing},
		{lineup.Entry{Name: "Soft Coats", URL: "https://meet.example/company/soft-coats"}, OwnProfile},
		{lineup.Entry{Name: "Why Soft Coats never clips in winter", URL: "https://diary.example/2023"}, Written},
		{lineup.Entry{Name: "Winter coats for dogs", URL: "https://shop.example/coats"}, Nothing},
	} {
		assert.Equal(t, c.want, n.HitOf(c.e), "%+v", c.e)
	}
}
