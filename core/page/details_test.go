package page

import (
	"fmt"
	"strings"
	"testing"

	"inktally/core/contact"
	"inktally/core/finding"
	"inktally/core/menu"
	"inktally/core/structured"

	"github.com/stretchr/testify/assert"
)

func TestDetails(t *testing.T) {
	p := Read([]byte(`<html lang=en><head><link rel=canonical href="/"><meta name=ROBOTS content="noindex, follow">
	<script type="application/ld+json">{"@graph":[{"@type":"WebSite","name":"x"},{"@type":["HomeBusiness","Thing"],"name":"Brindle &amp; Ash",
	"telephone":"207-555-0134","address":{"streetAddress":"14 Ropewalk Lane","addressLocality":"Tarn Harbor"},"openingHours":["Mo-Fr 08:00-17:00"],
	"areaServed":[{"name":"Ostrey"},"Quillby"]}]}</script><script type="application/ld+json">{broken</script></head>
	<p>Call 207-555-0134 or (207) 555-0117. Again: 207-555-0134.</p><p><a href="tel:+1-207-555-0117">call</a> <a href="mailto:a@b.example?x">write</a></p>
	<p>Lorem ipsum dolor sit amet, consectetur adipiscing elit.</p>
	<p>Pictures are kept for ten years.</p><p>We serve Tarn Harbor and the towns nearby, and surrounding communities. For thirty years we have swept.</p>
	<p>Nous sommes les ramoneurs de la ville et nous venons chez vous dans la semaine avec nos outils.</p>
	<a href="/x">in</a><a href="http://brindleandash.example/y">in too</a><a href="https://other.example">out</a><a href=/z><img src=a.png></a>
	<form><input type=search></form><form role=search><input></form><form><input type=hidden><textarea></textarea></form>
	<iframe src="//maps.example/place"></iframe><iframe title="A video of us"></iframe><video></video>
	<blockquote>Good<div class=testimonial>nested</div></blockquote><div class="review-card">Fine</div><div class=reviews>all</div>`),
		Source{URL: "https://www.brindleandash.example/"})
	d := p.Details()
	assert.Equal(t, Details{
		Canonical: "/", Robots: "noindex, follow", Secure: true,
		Phones: []contact.Phone{{Number: "207-555-0134", Linked: false}, {Number: "(207) 555-0117", Linked: true}},
		Mails:  []string{"a@b.example"},
		Forms:  1, Videos: 2, Maps: 1, Internal: 2, External: 1,
		Businesses: []structured.Business{{Type: "HomeBusiness", Name: "Brindle &amp; Ash", Phone: "207-555-0134",
			Address: "14 Ropewalk Lane, Tarn Harbor", Hours: []string{"Mo-Fr 08:00-17:00"},
			Areas: []string{"Ostrey", "Quillby"}, Profiles: []string{}}},
		Placeholder: Passages{8, []string{"Lorem ipsum dolor sit amet, consectetur adipiscing elit."}},
		Foreign: Passages{18, []string{
			"Nous sommes les ramoneurs de la ville et nous venons chez vous dans la semaine avec nos outils."}},
		Profiles: []string{}, Baked: []string{},
		Vague:        []string{"and the towns nearby", "and surrounding communities"},
		Testimonials: 2, Years: "thirty years",
	}, d)
	types := func(p *Page) (out []finding.Type) {
		for _, f := range p.Findings() {
			assert.Equal(t, p.URL, f.URL)
			out = append(out, f.Type)
		}
		return out
	}
	assert.Equal(t, []finding.Type{finding.NoIndex, finding.PlaceholderText, finding.NoDescription,
		finding.VagueAreaWords, finding.OtherLanguage}, types(p))
	assert.Equal(t, []finding.Type{finding.UnderConstruction, finding.NotSecure, finding.NoPhone,
		finding.NoDescription}, types(Read([]byte("Under construction"), Source{URL: "http://a.example/"})))
}

// A page that does not tell its language is told by its small words, and by
// its letters if those do not decide.
func TestLanguageOfPage(t *testing.T) {
	for want, text := range map[string]string{
		"en": "The sweep comes to the house with a brush and a bag, and we leave the room as it was. That is all we " +
			"do for you.",
		"de": "Der Feger kommt mit einer Bürste und einem Sack ins Haus, und wir verlassen das Zimmer, wie es war. " +
			"Das ist alles, auch im Winter.",
		"fr": "Le ramoneur vient dans la maison avec une brosse et un sac, et nous laissons la pièce comme elle est. " +
			"Les outils sont pour vous.",
		"es": "El deshollinador viene a la casa con una escoba y un saco, y dejamos el cuarto como estaba. Los " +
			"precios del año son para todos.",
		"it": "Lo spazzacamino viene con una spazzola e un sacco, e lascia la stanza come era. Il prezzo della " +
			"visita è per gli amici che sono qui.",
		"nl": "De veger komt met een borstel en een zak in het huis, en wij laten de kamer zoals hij was. Ook voor " +
			"het dak zijn wij er.",
		"sv": "Sotaren kommer med en borste och en påse till huset, och vi lämnar rummet som det var. Det är för att " +
			"allt ska vara rent.",
		"ru": "Трубочист приходит в дом со щёткой и мешком, и мы оставляем комнату такой, какой она была раньше. Это " +
			"всё, что мы делаем для вас, и цена не меняется с прошлого года, потому что мы работаем быстро.",
		"fi": "Nuohooja tulee taloon harjan ja säkin kanssa, ja jätämme " +
			"huoneen sellaiseksi kuin se oli ennen työtämme.",
		"": "Ash 14",
	} {
		t.Run(want, func(t *testing.T) {
			assert.Equal(t, want, Read([]byte("<meta charset=utf-8><p>"+text), Source{}).Lang, text)
		})
	}
	// Languages that share their small words are not taken for one another.
	for _, text := range []string{
		"Feieren kommer med en børste og en pose til huset, og vi forlater rommet som det var. Det er for at alt " +
			"skal være rent, og vi har ikke hastverk på jobben vår.",
		"Skorstensfejeren kommer med en børste og en pose til huset, og vi efterlader rummet som det var. Det er for " +
			"at alt skal være rent, og vi har ikke travlt med arbejdet."} {
		assert.NotEqual(t, "sv", Read([]byte("<meta charset=utf-8><p>"+text), Source{}).Lang, text)
	}
	assert.Equal(t, "de-AT", Read([]byte(`<html xml:lang="de-AT"><p>The and of to`), Source{}).Lang)
}

// Numbers, years and areas are told where they stand in a block, however long.
func TestSignsInLongBlocks(t *testing.T) {
	filler := strings.Repeat("around 1234 years beyond nearby 207 the close of since ", 400)
	d := Read([]byte("<p>"+filler+"call 207.555.0101 beyond and beyond. "+filler+
		"Since 1987, ten years of experience near the cities around."), Source{}).Details()
	assert.Equal(t, []contact.Phone{{Number: "207.555.0101", Linked: false}}, d.Phones)
	assert.Equal(t, []string{"and beyond", "the cities around"}, d.Vague)
	assert.Equal(t, "Since 1987", d.Years)
	d = Read([]byte("<p>"+filler), Source{}).Details()
	assert.Empty(t, d.Vague)
	assert.Empty(t, d.Phones)
	assert.Empty(t, d.Years)
}

func TestUnderConstruction(t *testing.T) {
	assert.True(t, Read([]byte("<h1>Coming soon</h1>"), Source{}).Details().UnderConstruction)
	long := "<p>Coming soon: a new stove. "
	for range 120 {
		long += "word "
	}
	assert.False(t, Read([]byte(long), Source{}).Details().UnderConstruction)
	assert.False(t, Read(nil, Source{}).Details().Secure)
}

func TestMicrodata(t *testing.T) {
	p := Read([]byte(`<div itemscope itemtype="https://vocabulary.example/Plumber"><b itemprop=name>Ash <i>Wells</i></b>
	<a itemprop=telephone href="tel:207-555-0101">207-555-0101</a><div itemprop=address itemscope itemtype=x/PostalAddress>
	<span itemprop=streetAddress>3 Quay</span> <span itemprop=addressLocality>Ostrey</span></div>
	<meta itemprop=openingHours content="Mo-Fr 09:00-17:00"><meta itemprop="areaServed" content=Quillby><meta itemprop="areaServed" content=Ostrey>
	<a itemprop=sameAs href="https://people.example/ash">us</a></div>
	<div itemscope itemtype=x/Offer><b itemprop=name>No business</b></div>`), Source{})
	assert.Equal(t, []structured.Business{
		{Type: "Plumber", Name: "Ash Wells", Phone: "207-555-0101", Address: "3 Quay, Ostrey",
			Hours: []string{"Mo-Fr 09:00-17:00"}, Areas: []string{"Quillby", "Ostrey"},
			Profiles: []string{"https://people.example/ash"}}}, p.Details().Businesses)
	assert.Equal(t, []string{"https://people.example/ash"}, p.Details().Profiles)
}

// The same business is found in whatever notation a page describes it.
func TestBusinessInOtherNotations(t *testing.T) {
	want := []structured.Business{{Type: "Store", Name: "Ash Chimney", Phone: "207-555-0101",
		Address: "3 Quay, Ostrey, ME",
		Hours:   []string{"Monday 08:00-17:00"}, Areas: []string{"Quillby", "Ostrey"},
		Profiles: []string{"https://people.example/ash"}}}
	const (
		address = `{"@type":"PostalAddress","streetAddress":"3 Quay","addressLocality":"Ostrey","addressRegion":"ME"}`
		hours   = `{"dayOfWeek":"https://v.example/Monday","opens":"08:00","closes":"17:00"}`
		rest    = `"@type":"Store","name":"Ash  Chimney","telephone":"207-555-0101","areaServed":["Quillby",{"@type":"City","name":"Ostrey"}],"sameAs":"https://people.example/ash"`
		plain   = `{` + rest + `,"address":` + address + `,"openingHoursSpecification":[` + hours + `]}`
		refers  = `{"@id":"#b",` + rest + `,"address":{"@id":"#a"},"openingHoursSpecification":[{"@id":"#h"}]}`
	)
	parts := `{"@id":"#a",` + address[1:] + `,{"@id":"#h",` + hours[1:]
	script := func(data string) string { return `<script type="application/ld+json">` + data + `</script>` }
	for name, body := range map[string]string{
		"alone":           script(plain),
		"in a list":       script(`[{"@type":"WebSite","name":"x"},` + plain + `]`),
		"in a graph":      script(`{"@context":"https://v.example","@graph":[{"@type":"WebPage"},` + plain + `]}`),
		"with references": script(`{"@graph":[` + refers + `,` + parts + `]}`),
		"over scripts":    script(`[`+parts+`]`) + script(refers),
		"by reference": script(`{"@graph":[{"@type":"WebSite","publisher":{"@id":"#b"},"about":[{"@id":"#b"}]},` +
			parts + `,` + refers + `]}`),
		"as a provider":   script(`{"@type":"Service","name":"Sweeping","provider":` + plain + `}`),
		"in an item list": script(`{"@type":"ItemList","itemListElement":[{"@type":"ListItem","item":` + plain + `}]}`),
		"twice":           script(plain) + script(`{"mainEntity":`+plain+`}`),
		"beside rubbish": script(`{"name":`) + script(`[]`) + script(`{"address":[],"name":"x"}`) + script(
			`{"telephone":null,"address":{"@id":"#none"}}`) + script(plain),
		"in circles": script(
			`{"@graph":[{"@id":"#x","about":{"@id":"#y"},"provider":{"@id":"#x"}},{"@id":"#y","about":[{"@id":"#x"},{"@id":"#y"}]},` +
				`{"@id":"#z","name":{"@id":"#z"},"publisher":` + plain + `}]}`),
		"in the page": `<div itemscope itemtype="https://v.example/Store"><h2 itemprop=name>Ash <i>Chimney</i></h2><a itemprop=telephone href="tel:207-555-0101">Call</a>
			<p itemprop=address itemscope><span itemprop=streetAddress>3 Quay</span><span itemprop=addressLocality>Ostrey</span><span itemprop=addressRegion>ME</span></p>
			<div itemprop=openingHoursSpecification itemscope><link itemprop=dayOfWeek href="https://v.example/Monday">
			<time itemprop=opens datetime="08:00">8</time><time itemprop=closes datetime="17:00">5</time></div>
			<i itemprop=areaServed>Quillby</i><i itemprop=areaServed>Ostrey</i><a itemprop=sameAs href="https://people.example/ash">us</a></div>`,
	} {
		t.Run(name, func(t *testing.T) {
			assert.Equal(t, want, Read([]byte(body), Source{}).Details().Businesses, name)
		})
	}
	var wide strings.Builder
	for n := range 2000 {
		fmt.Fprintf(&wide, `,{"@id":"#%d","about":[{"@id":"#%d"},{"@id":"#%d"},{"@id":"#0"}]}`, n, (n*7+1)%2000,
			(n*3+2)%2000)
	}
	assert.Equal(t, want, Read([]byte(script(`[`+plain+wide.String()+`]`)), Source{}).Details().Businesses,
		"many that refer to many")
}

func TestOpeningHours(t *testing.T) {
	p := Read(
		[]byte(
			`<script type="application/ld+json">[{"@type":"Store","name":"N","telephone":"1","openingHoursSpecification":
	[{"dayOfWeek":["https://v.example/Monday","Tuesday"],"opens":"08:00","closes":"17:00"},{"dayOfWeek":"Friday","opens":"09:00"},7]}]</script>`), Source{})
	assert.Equal(t, []string{"Monday, Tuesday 08:00-17:00", "Friday 09:00-"}, p.Details().Businesses[0].Hours)
}

func TestLinksAndMenus(t *testing.T) {
	p := Read([]byte(`<header><nav><ul><li><a href="/">Home</a><li><span>Services</span> <svg><title>x</title></svg>
	<ul style="display:none"><li><a href=/sweep>Sweeping</a><li><a href=/line><img src=a.png alt="Liners"></a></ul><li><a href="/about"><b>About</b>
	us</a></ul></nav></header><main><p>See <a href="https://other.example/x">others</a><a href="mailto:a@b.example">write</a>
	<a href=/p aria-label="Pictures"><img src=p.png></a><a href=/q hidden>gone</a></p></main>
	<footer><div class="footer-social"><a href="https://people.example/ash">p</a></div><div role=navigation><a href=/t>Terms</a></div></footer>`),
		Source{URL: "http://ash.example/"})
	item := func(text, address string, below ...menu.Item) menu.Item {
		return menu.Item{Text: text, Address: address, Items: append([]menu.Item{}, below...)}
	}
	assert.Equal(t, [][]menu.Item{
		{item("Home", "http://ash.example/"),
			item("Services", "", item("Sweeping", "http://ash.example/sweep"),
				item("Liners", "http://ash.example/line")),
			item("About us", "http://ash.example/about")},
		{item("Terms", "http://ash.example/t")},
	}, p.Menus())
	assert.Equal(t, []string{"https://people.example/ash"}, p.Details().Profiles)
	assert.Equal(t, []LinkFact{
		{"Home", "http://ash.example/", Nav, false, false}, {"", "http://ash.example/sweep", Nav, false, true},
		{"Liners", "http://ash.example/line", Nav, false, true},
		{"About us", "http://ash.example/about", Nav, false, false},
		{"others", "https://other.example/x", Main, true, false},
		{"Pictures", "http://ash.example/p", Main, false, false},
		{"", "http://ash.example/q", Main, false, true}, {"p", "https://people.example/ash", Footer, true, false},
		{"Terms", "http://ash.example/t", Nav, false, false},
	}, p.LinkList())
}

func TestImagesOfWords(t *testing.T) {
	p := Read(
		[]byte(
			`<main><h1>Sweeps</h1><img src=offer-1200x400.png><h2>More</h2><p>Twelve words that say what it is all about here in this place.</p>
	<a href=/big><img src=told.png width=900 height=500></a><p>word</p><p>word</p><p>word</p><h2>Work</h2><img src=a.png width=900 height=500><img src=b.png width=900 height=500><img src=c.png width=900 height=500></main>`), Source{})
	assert.Equal(t, []string{"offer.png"}, p.Details().Baked)
	assert.Equal(t, 1200, p.Images[0].Width)
	assert.Equal(t, "/big", p.Images[1].Link)
	assert.Equal(t, 500, p.Images[1].Height)
}

func TestPlainText(t *testing.T) {
	p := Read([]byte("One <b>line\n\nTwo & three\n"), Source{ContentType: "text/plain; charset=utf-8"})
	assert.Equal(t, 4, p.Words.Seen)
	assert.Equal(t, "One <b>line", p.Text(0))
	assert.Len(t, p.Blocks, 2)
}
