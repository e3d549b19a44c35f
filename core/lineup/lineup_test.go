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
		assert.Equal(t, want, Domain(address), address)
	}
}

func TestJudge(t *testing.T) {
	var list strings.Builder
	for i := range 6 {
		fmt.Fprintf(&list, "<p>Sweep %d, (207) 555-01%02d</p><p>555-0100</p>", i, i)
	}
	directory := page.Read([]byte(list.String()), page.Source{})
	for _, c := range []struct {
		e    Entry
		read *page.Page
		kind Kind
		says string
	}{
		{Entry{URL: "http://www.brindleandash.example/x"}, nil, Client, "the client"},
		{Entry{Name: "Best 10 chimney sweeps in Maine"}, nil, ListArticle, "title says “Best 10”"},
		{Entry{Name: "10 best sweeps"}, nil, ListArticle, "title says “10 best”"},
		{Entry{Name: "Townledger: sweeps"}, directory, Directory, "lists 7 businesses"},
		{Entry{Name: "The best sweeps"}, page.Read([]byte("<p>555-0101"), page.Source{}), Business, ""},
	} {
		kind, says := Judge(c.e, "brindleandash.example", c.read)
		assert.Equal(t, c.kind, kind, c.e.Name)
		assert.Equal(t, c.says, says)
	}
}

func TestTake(t *testing.T) {
	entries := []Entry{
		{Part: Paid, Name: "ad", URL: "http://a.example", Kind: Business},
		{Part: Map, Position: 1, Name: "sponsored", Sponsored: true, URL: "http://b.example", Kind: Business},
		{Part: Organic, Position: 1, Name: "one again", URL: "http://www.one.example/x", Kind: Business},
		{Part: Organic, Position: 2, Name: "list", URL: "http://c.example", Kind: Directory},
		{Part: Organic, Position: 3, Name: "four", URL: "http://four.example", Kind: Business},
		{Part: Organic, Position: 4, Name: "five", URL: "http://five.example", Kind: Business},
		{Part: Organic, Position: 5, Name: "six", URL: "http://six.example", Kind: Business},
		{Part: Map, Position: 1, Name: "one", URL: "http://one.example", Kind: Business},
		{Part: Map, Position: 2, Name: "siteless", Kind: Business},
		{Part: Map, Position: 3, Name: "three", URL: "http://three.example", Kind: Business},
	}
	Take(entries)
	var taken []string
	reasons := map[string]string{}
	for _, e := range entries {
		if e.Taken {
			taken = append(taken, e.Name)
		}
		reasons[e.Name] = e.Reason
	}
	assert.Equal(t, []string{"four", "five", "one", "three"}, taken)
	assert.Equal(t, "paid", reasons["ad"])
	assert.Equal(t, "sponsored", reasons["sponsored"])
	assert.Equal(t, "taken from the map pack", reasons["one again"])
	assert.Equal(t, "has no site", reasons["siteless"])
	assert.Equal(t, "beyond the first 4", reasons["six"])
	assert.True(t, Open(entries[3]))
	assert.False(t, Open(entries[4]))
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
		assert.Equal(t, c[2], NameOf(c[0], c[1]))
	}
}
