package lineup

import (
	"strings"
	"testing"

	"inktally/core/page"

	"github.com/stretchr/testify/assert"
)

func read(html string) *page.Page {
	return page.Read([]byte(html), page.Source{URL: "http://shop.example/"})
}

// Each kind of rule 6.1 with its evidence, and what only looks like one.
func TestKinds(t *testing.T) {
	branches := read(
		`<title>Hearthway</title><ul><li><a href="/me/tarn-harbor">Tarn Harbor</a><li><a href="/vt/old-quarry">Old Quarry</a>
		<li><a href="/new-hampshire/dunmore-lake">Dunmore Lake</a><li><a href="/oh/x/y">Three Forks</a></ul>`)
	languages := read(
		`<title>Firm</title><a href="/en/home">English</a><a href="/fr/accueil">Français</a><a href="/es/inicio">Español</a>`)
	areas := read(
		`<title>Sweeps</title><a href="/areas/ostrey">Ostrey, ME</a><a href="/areas/quillby">Quillby, ME</a><a href="/me/about">About</a>`)
	shop := read(
		`<title>Ember Parts</title><a href="/cart">Cart (0)</a><p>Rope $14.90<p>Brick $38.00<p>Pipe $27.50<button>Add to cart</button>`)
	priced := read(`<title>Sweeps</title><h1>Chimney sweep</h1><p>A sweep is $150, a cap $89, a liner $1,900.`)
	wholesale := read(`<title>Parts</title><nav><a href="/w">Wholesale</a></nav><p>Parts for stoves.`)
	roofer := read(`<title>Gull Rock Roofing</title><h1>Roofs that hold</h1><p>Roofs.`)
	script := read(`<title>Gull</title><div id=root></div><script src=a.js></script>`)
	names := func(s string) bool { return strings.Contains(strings.ToLower(s), "chimney") }
	for name, c := range map[string]struct {
		e    Entry
		ev   Evidence
		kind Kind
		code ReasonCode
	}{
		"chain by its first page": {Entry{URL: "http://hearthway.example/me/tarn-harbor"}, Evidence{Root: branches},
			Chain, ManyStates},
		"languages are no states": {Entry{URL: "http://firm.example/"}, Evidence{Root: languages}, Business, ""},
		"towns of one state":      {Entry{URL: "http://sweeps.example/"}, Evidence{Root: areas}, Business, ""},
		"supplier by cart and prices": {Entry{URL: "http://ember.example/"}, Evidence{Read: shop, NamesService: names},
			Supplier, SellsGoods},
		"supplier by wholesale": {Entry{URL: "http://ember.example/"}, Evidence{Read: wholesale}, Supplier,
			SellsGoods},
		"prices alone": {Entry{URL: "http://sweep.example/"},
			Evidence{Read: priced, NamesService: names}, Business, ""},
		"other trade": {Entry{Name: "Gull Rock Roofing", URL: "http://gull.example/"},
			Evidence{Read: roofer, NamesService: names}, OtherTrade, NoServiceWord},
		"not read": {Entry{Name: "Gull Rock Roofing", URL: "http://gull.example/"},
			Evidence{NamesService: names}, Business, ""},
		"built by script": {Entry{Name: "Gull", URL: "http://gull.example/"},
			Evidence{Read: script, NamesService: names}, Business, ""},
		"name names it": {Entry{Name: "Gull chimney and roof", URL: "http://gull.example/"},
			Evidence{Read: roofer, NamesService: names}, Business, ""},
		"directory by trades": {Entry{URL: "http://ledger.example/"}, Evidence{Trades: 3}, Directory,
			ManyTrades},
		"said before": {Entry{Name: "Best 10", URL: "http://ledger.example/"},
			Evidence{Said: Business, SaidFor: "Fenwick"}, Business, SaidByHand},
		"same phone": {Entry{Name: "B & A", Phone: "+1 (207) 555-0134"},
			Evidence{ClientPhone: "207-555-0134"}, Client, SamePhone},
		"another phone": {Entry{Name: "B & A", Phone: "207-555-0135"},
			Evidence{ClientPhone: "207-555-0134"}, Business, ""},
		"no phone": {Entry{Name: "B & A"}, Evidence{}, Business, ""},
	} {
		t.Run(name, func(t *testing.T) {
			kind, why := Judge(c.e, c.ev)
			assert.Equal(t, c.kind, kind)
			assert.Equal(t, c.code, why.Code)
		})
	}
}

// A chain is taken by itself only where it stands in the first three organic places; one
// firm by its phone is one rival (rules 6.1, 6.2).
func TestTakeChains(t *testing.T) {
	entries := []Entry{
		{Part: Map, Position: 1, Name: "Sweep", URL: "http://sweep.example/", Phone: "207-555-0101", Kind: Business},
		{Part: Organic, Position: 1, Name: "Sweep again", URL: "http://sweeps-again.example/", Phone: "(207) 555-0101",
			Kind: Business},
		{Part: Organic, Position: 3, Name: "Chain", URL: "http://chain.example/me", Kind: Chain},
		{Part: Organic, Position: 4, Name: "Far chain", URL: "http://far.example/me", Kind: Chain,
			Reason: Reason{Code: ManyStates, Number: 4}},
		{Part: Organic, Position: 5, Name: "Other", URL: "http://other.example/", Kind: OtherTrade},
	}
	StandardRules().Take(entries)
	var taken []string
	for _, e := range entries {
		if e.Taken {
			taken = append(taken, e.Name)
		}
	}
	assert.Equal(t, []string{"Sweep", "Chain"}, taken)
	assert.Equal(t, TakenAlready, entries[1].Reason.Code)
	assert.Equal(t, ManyStates, entries[3].Reason.Code, "what it is says why")
	assert.False(t, Open(entries[2]))
}

// rule 6.1: a directory whose page cannot be read is told by its title and its address.
func TestUnreadDirectories(t *testing.T) {
	ev := Evidence{NamesService: func(s string) bool { return strings.Contains(s, "sweep") },
		NamesPlace: func(s string) bool { return strings.Contains(s, "tarn harbor") }}
	for _, c := range []struct {
		name, url string
		want      Kind
	}{
		{"Chimney sweeps - Ledger", "https://ledger.example/me/tarn-harbor/chimney-sweep", Directory},
		{"Chimney Sweep Tarn Harbor: 18 companies", "https://ledger.example/x", Directory},
		{"Chimney sweep in Tarn Harbor", "https://tarn-harbor-sweeps.example/tarn-harbor/chimney-sweep", Business},
		{"Chimney sweep in Tarn Harbor", "https://harborflue.example/tarn-harbor/", Business},
		{"Chimney sweep, 25 years", "https://harborflue.example/", Business},
	} {
		kind, _ := Judge(Entry{Part: Organic, Name: c.name, URL: c.url}, ev)
		assert.Equal(t, c.want, kind, c.url)
	}
}
