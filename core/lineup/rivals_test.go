package lineup

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
)

// found returns organic entries at the positions from 1 on.
func found(urls ...string) (out []Entry) {
	for i, u := range urls {
		out = append(out, Entry{Part: Organic, Position: i + 1, Name: Domain(u), URL: u, Kind: Business})
	}
	return out
}

func names(entries []Entry, list []int) (out []string) {
	for _, i := range list {
		out = append(out, entries[i].URL)
	}
	return out
}

// rule 6.2: the page that was typed for a firm of the search is the firm's, at its place.
func TestTypedPageOfAFirm(t *testing.T) {
	entries := found("https://one.example/", "https://two.example/")
	StandardRules().Take(entries)
	entries = append(entries, Entry{Part: Typed, Position: 1, URL: "http://www.one.example/sweeping", Kind: Business,
		Taken: true})
	assert.Equal(t, []string{"http://www.one.example/sweeping", "https://two.example/"},
		names(entries, StandardRules().Rivals(entries)))
}

// rule 6.2: who cannot be read keeps the seat, and the next is offered: once, and nobody who was dismissed
// or cannot be read either.
func TestOffers(t *testing.T) {
	entries := found("https://a.example/", "https://b.example/", "https://c.example/", "https://d.example/",
		"https://e.example/", "https://e.example/two", "https://f.example/", "https://g.example/", "https://h.example/")
	rules := StandardRules()
	rules.Take(entries)
	entries[6].Reason.Code = DismissedByHand
	dead := map[string]bool{"https://b.example/": true, "https://d.example/": true, "https://g.example/": true}
	unread := func(e Entry) bool { return dead[e.URL] }
	assert.Equal(t, []Offer{{1, 4}, {3, 8}}, rules.Offers(entries, unread))
	assert.Len(t, rules.Rivals(entries), 4, "the seats stay")
	assert.Empty(t, rules.Offers(entries, func(Entry) bool { return false }))
}

func TestInPack(t *testing.T) {
	rules := StandardRules()
	assert.True(t, rules.InPack(Entry{Part: Map, Position: 3, Kind: Business}), "without a site too")
	assert.False(t, rules.InPack(Entry{Part: Map, Position: 4, Kind: Business}))
	assert.False(t, rules.InPack(Entry{Part: Map, Position: 1, Kind: Client}))
	assert.False(t, rules.InPack(Entry{Part: Map, Position: 1, Sponsored: true, Kind: Business}))
	assert.False(t, rules.InPack(Entry{Part: Organic, Position: 1, Kind: Business}))
}

// rule 6.2: what another search would change is counted by firms.
func TestChanged(t *testing.T) {
	was := found("https://a.example/", "https://b.example/", "https://c.example/", "https://d.example/")
	now := found("http://www.a.example/x", "https://k.example/", "https://l.example/", "https://m.example/")
	rules := StandardRules()
	rules.Take(was)
	rules.Take(now)
	changed, of := rules.Changed(was, now)
	assert.Equal(t, []int{3, 4}, []int{changed, of})
	changed, _ = rules.Changed(was, was)
	assert.Zero(t, changed)
}

// rule 6.5: a later page of results follows, whatever it counts from; a longer list of the map goes on from
// what is known of it; what stands in both stands once.
func TestJoin(t *testing.T) {
	search := found("https://a.example/", "https://b.example/", "https://c.example/")
	search = append(search, Entry{Part: Map, Position: 1, Name: "One", Phone: "207-555-0101"},
		Entry{Part: Map, Position: 2, Name: "Two", Phone: "207-555-0102"},
		Entry{Part: Paid, Position: 1, Name: "Ad", URL: "https://ad.example/"})
	positions := func(more []Entry) (out []string) {
		for _, i := range Join(search, more, nil) {
			out = append(out, fmt.Sprintf("%s %d %s", more[i].Part, more[i].Position, more[i].Name))
		}
		return out
	}
	assert.Equal(t, []string{"organic 4 d.example", "organic 5 e.example"},
		positions(found("https://d.example/", "https://e.example/")), "the second page, counted from 1")
	second := found("https://d.example/", "https://e.example/")
	second[0].Position, second[1].Position = 4, 6
	assert.Equal(t, []string{"organic 4 d.example", "organic 6 e.example"}, positions(second), "counted on, with a gap")
	assert.Equal(t, []string{"organic 4 d.example"}, positions(found("https://c.example", "https://d.example/")),
		"the last one again")
	longer := []Entry{{Part: Map, Position: 1, Name: "One", Phone: "(207) 555-0101"},
		{Part: Map, Position: 2, Name: "TWO"},
		{Part: Map, Position: 3, Name: "Three"}, {Part: Map, Position: 1, Name: "Paying", Sponsored: true},
		{Part: Paid, Position: 1, Name: "Ad", URL: "https://ad.example"}}
	assert.Equal(t, []string{"map 1 Paying", "map 3 Three"}, positions(longer))
	assert.Empty(t, positions(search), "the same page once more adds nothing")

	rules := StandardRules()
	rules.Most = 4
	rules.Take(search)
	next := found("https://d.example/", "https://e.example/")
	all := search
	for _, i := range Join(search, next, map[Part]int{Organic: 10}) {
		all = append(all, next[i])
	}
	assert.Equal(t, 11, all[len(search)].Position, "behind what was looked at")
	rules.TakeMore(all, len(search))
	assert.Equal(t, []string{"https://a.example/", "https://b.example/", "https://c.example/", "https://d.example/"},
		names(all, rules.Rivals(all)), "a seat that is left is filled")
	assert.Equal(t, Reason{Code: BeyondMost, Number: 4}, all[len(all)-1].Reason)
}

func TestContinues(t *testing.T) {
	search := append(found("https://a.example/", "https://b.example/", "https://c.example/"),
		Entry{Part: Map, Position: 1, Name: "One"}, Entry{Part: Map, Position: 2, Name: "Two"})
	pins := func(names ...string) (out []Entry) {
		for i, n := range names {
			out = append(out, Entry{Part: Map, Position: i + 1, Name: n})
		}
		return out
	}
	assert.True(t, Continues(search, found("https://c.example", "https://d.example/", "https://e.example/")))
	assert.True(t, Continues(search, pins("One", "Two", "Three")))
	assert.False(t, Continues(search, found("https://b.example/", "https://a.example/", "https://d.example/")),
		"the same results on another day")
	assert.False(t, Continues(search, append(pins("One"), found("https://d.example/", "https://e.example/")...)),
		"a first page of another engine: it has a map")
	assert.False(t, Continues(search, pins("One", "Two")))
	assert.False(t, Continues(search, pins("Two", "Three", "Four")), "another map")
	assert.False(t, Continues(nil, found("https://d.example/")))
}
