package results

import (
	"encoding/base64"
	"fmt"
	"html"
	"math/rand/v2"
	"net/url"
	"strings"
	"testing"

	"inktally/core/entry"

	"github.com/stretchr/testify/assert"
)

// maker draws a results page: entries, and a make to write them down in. What is drawn is a
// structure that pages have; none was made for the reader.
type maker struct {
	*rand.Rand
	lang                     tongue
	host                     string
	entry, box, titleTag     string // elements
	nested                   int    // how many elements stand around an entry
	linkIn, whole            bool   // the link stands in the heading, or is all of the entry
	addressFirst, crumbs     bool
	wrap, depth              int
	labelRun, labelHeading   bool
	mapLinks, mapFlat, names bool
	classes, uneven          bool
	b                        strings.Builder
	want                     []drawn
}

type drawn struct {
	part          entry.Part
	title, domain string
}

// tongue are the words of a page in a language.
type tongue struct{ tag, ad, site, way, years, reviews, open, asked, related string }

var tongues = []tongue{
	{"en", "Sponsored", "Website", "Directions", "%d years in business", "reviews", "Open until 5 PM",
		"People also ask",
		"Related searches"},
	{"en", "Ad", "Homepage", "Route", "%d yrs in trade", "ratings", "Closed", "Others asked", "Try also"},
	{"de", "Anzeige", "Zur Website", "Route", "Seit %d Jahren", "Bewertungen", "Geöffnet bis 18:00", "Ähnliche Fragen",
		"Ähnliche Suchanfragen"},
	{"fr", "Annonce", "Site Web", "Itinéraire", "Depuis %d ans", "avis", "Fermé", "Autres questions",
		"Recherches associées"},
	{"es", "Patrocinado", "Sitio web", "Cómo llegar", "%d años en el negocio", "opiniones", "Abierto",
		"Otras preguntas",
		"Búsquedas relacionadas"},
	{"nl", "Gesponsord", "Website", "Route", "%d jaar actief", "beoordelingen", "Gesloten", "Ook gevraagd", "Zoek ook"},
	{"it", "Annuncio", "Sito web", "Indicazioni", "Da %d anni", "recensioni", "Aperto", "Altre domande",
		"Ricerche correlate"},
}

func (m *maker) pick(list ...string) string { return list[m.IntN(len(list))] }
func (m *maker) coin() bool                 { return m.IntN(2) == 0 }

func newMaker(seed uint64) *maker {
	m := &maker{Rand: rand.New(rand.NewPCG(seed, 7))}
	m.lang = tongues[m.IntN(len(tongues))]
	m.host = m.pick("quillfind", "tarnlook", "suchwerk", "cherchou") + ".example"
	m.entry, m.box = m.pick("div", "li", "article", "section", "x-hit", "tr", "flat"),
		m.pick("div", "ol", "main", "section")
	m.titleTag = m.pick("h3", "h2", "b", "div", "span", "div role=heading")
	m.nested, m.linkIn, m.whole = m.IntN(3), m.coin(), m.IntN(5) == 0
	m.uneven = m.IntN(3) == 0
	m.addressFirst, m.crumbs, m.wrap = m.coin(), m.coin(), m.IntN(6)
	m.labelRun, m.labelHeading = m.IntN(3) == 0, m.coin()
	m.mapLinks, m.mapFlat, m.names, m.classes = m.coin(), m.coin(), m.coin(), m.coin()
	if m.entry == "flat" {
		m.titleTag, m.linkIn, m.whole = m.pick("h3", "h4"), true, false
	}
	if m.entry == "tr" {
		m.whole = false
	}
	return m
}

func (m *maker) open(tag string) {
	if m.classes && !strings.Contains(tag, " ") {
		tag += fmt.Sprintf(` class="c%x"`, m.IntN(1<<20))
	}
	m.b.WriteString("<" + tag + ">")
}

func (m *maker) close(tag string) { m.b.WriteString("</" + strings.Fields(tag)[0] + ">") }

func (m *maker) text(tag, s string) {
	m.open(tag)
	m.b.WriteString(html.EscapeString(s))
	m.close(tag)
}

// href is how the page links to an address.
func (m *maker) href(address string) string {
	switch m.wrap {
	case 1:
		return "https://" + m.host + "/go?u=" + url.QueryEscape(address) + "&sig=a1b2"
	case 2:
		return "/l/" + base64.RawURLEncoding.EncodeToString([]byte(address)) + "/x"
	case 3:
		return "https://ads." + m.host + "/c?x=9&to=" +
			url.QueryEscape("https://hop.example/r?d="+url.QueryEscape(address))
	case 4: // it does not tell
		return fmt.Sprintf("/r/%x", m.IntN(1<<30))
	}
	return address
}

func (m *maker) link(address, title string) {
	tag := m.titleTag
	if m.linkIn {
		m.open(tag)
		m.b.WriteString(`<a href="` + html.EscapeString(m.href(address)) + `">` + html.EscapeString(title) + "</a>")
		m.close(tag)
		return
	}
	m.b.WriteString(`<a href="` + html.EscapeString(m.href(address)) + `">`)
	m.text(tag, title)
	m.b.WriteString("</a>")
}

func (m *maker) trail(domain string) {
	s := domain
	if m.crumbs {
		s += " › " + m.pick("services", "areas", "blog")
	}
	m.text(m.pick("cite", "p", "div"), s)
}

func (m *maker) start() {
	switch m.entry {
	case "flat":
	case "tr":
		m.b.WriteString("<tr><td>")
	default:
		m.open(m.entry)
	}
	if m.uneven && m.entry != "flat" {
		m.depth = m.IntN(4)
	}
	for range m.nested + m.depth {
		if m.entry != "flat" {
			m.open("div")
		}
	}
}

func (m *maker) end() {
	for range m.nested + m.depth {
		if m.entry != "flat" {
			m.close("div")
		}
	}
	switch m.entry {
	case "flat":
	case "tr":
		m.b.WriteString("</td></tr>")
	default:
		m.close(m.entry)
	}
}

var snippets = []string{
	"Crews for every kind of roof and wall, with a fixed price before the work begins.",
	"Serving the town since 1987. Call before noon and somebody comes the same day, warranty of 10 years included.",
	"Compare what neighbors paid, from $95 to $165, and see who is free this week in your street.",
	"Posted 3 days ago — 14 answers. Somebody knew a good one, and a cheap one too.",
}

// page writes an entry of the web, or an ad.
func (m *maker) page(i int, ad bool) {
	name := fmt.Sprintf("%s %s", m.pick("Quill", "Tarrow", "Moss", "Fennel", "Brindle"),
		m.pick("Roofing", "Gutters", "Masonry", "Works"))
	domain := fmt.Sprintf("%s-%d.example", strings.ToLower(strings.ReplaceAll(name, " ", "")), i)
	title := fmt.Sprintf("%s %d | %s", m.pick("Roof Repair in Tarn Harbor", "The 10 Best Roofers",
		"How much is a roof?",
		"Wall and Roof Care"), i, name)
	address := "https://www." + domain + "/" + m.pick("repair", "areas/tarn", "index.php?id=7")
	part := entry.Organic
	if ad {
		part = entry.Paid
	}
	m.want = append(m.want, drawn{part, title, domain})
	m.start()
	label := func() {
		if ad && !m.labelRun {
			m.text(m.pick("span", "small", "em"), m.lang.ad)
		}
	}
	if m.whole {
		m.b.WriteString(`<a href="` + html.EscapeString(m.href(address)) + `">`)
		label()
		m.trail(domain)
		m.text(m.titleTag, title)
		m.text("p", snippets[m.IntN(len(snippets))])
		m.b.WriteString("</a>")
		m.end()
		return
	}
	if m.addressFirst && m.entry != "flat" {
		label()
		m.trail(domain)
		m.link(address, title)
	} else {
		m.link(address, title)
		label()
		m.trail(domain)
	}
	m.text("p", snippets[m.IntN(len(snippets))])
	if m.IntN(4) == 0 {
		m.text("div", fmt.Sprintf("%d.%d (1,%03d %s)", 3+m.IntN(2), m.IntN(10), m.IntN(1000), m.lang.reviews))
	}
	if !ad && m.IntN(5) == 0 {
		m.b.WriteString("<ul>")
		for _, s := range []string{"Prices", "Our crew", "Contact"} {
			m.b.WriteString(`<li><a href="` + html.EscapeString(m.href(address+"#"+s[:2])) + `">` + s + "</a></li>")
		}
		m.b.WriteString("</ul>")
	}
	m.end()
}

// firm writes a firm of the map.
func (m *maker) firm(i int) {
	name := fmt.Sprintf("%s %s %d", m.pick("Peakline", "Hollis Bros.", "R. Pellow", "Doctors"),
		m.pick("Roofers", "& Sons", "Co"), i)
	domain := fmt.Sprintf("firm-%d.example", i)
	sites := m.IntN(4) != 0
	d := drawn{entry.Map, name, ""}
	if sites && m.wrap != 4 {
		d.domain = domain
	}
	m.want = append(m.want, d)
	m.b.WriteString("<li><div>")
	m.text(m.pick("b", "h4", "div", "strong"), name)
	m.text("div", fmt.Sprintf("%d.%d (%d) · Roofer", 3+m.IntN(2), m.IntN(10), 5+m.IntN(400)))
	m.text("div", fmt.Sprintf("12 Cooper St · (904) 555-01%02d", 10+i))
	if m.coin() {
		m.text("div", fmt.Sprintf(m.lang.years, 3+m.IntN(40)))
	}
	m.text("div", m.lang.open)
	m.b.WriteString("</div><div>")
	if sites {
		m.b.WriteString(`<a href="` + html.EscapeString(m.href("https://"+domain+"/")) + `">` + m.lang.site + "</a> ")
	}
	m.b.WriteString(`<a href="/way?p=` + fmt.Sprint(i) + `">` + m.lang.way + "</a></div></li>")
}

// draw writes a page.
func (m *maker) draw() string {
	m.b.WriteString(`<!doctype html><html lang="` + m.lang.tag + `"><head><title>roof repair - ` + m.host + `</title>`)
	m.b.WriteString(`<link rel=canonical href="https://` + m.host + `/s?q=roof"></head><body><div><a href="/">` +
		m.host +
		`</a><a href="/img">Images</a><a href="/map">Map</a></div>`)
	n := 0
	run := func(count int, ad bool) {
		table := m.entry == "tr"
		if table {
			m.b.WriteString("<table>")
		} else {
			m.open(m.box)
		}
		if ad && m.labelRun && !table && count > 0 {
			if m.labelHeading {
				m.text("h2", m.lang.ad)
			} else {
				m.text("div", m.lang.ad)
			}
		}
		for range count {
			n++
			m.page(n, ad)
		}
		if table {
			m.b.WriteString("</table>")
		} else {
			m.close(m.box)
		}
	}
	if m.entry == "tr" {
		m.labelRun = false
	}
	run(m.IntN(4), true)
	if m.coin() {
		m.b.WriteString("<section><h2>Places</h2><ul>")
		for range 3 {
			n++
			m.firm(n)
		}
		m.b.WriteString(`</ul><a href="/map">More places</a></section>`)
	}
	run(2+m.IntN(3), false)
	if m.coin() { // pictures of one site
		m.b.WriteString("<div><h2>Images</h2>")
		for i := range 4 {
			m.b.WriteString(fmt.Sprintf(`<a href="%s"><img alt="roof %d"><span>pinwall.example</span></a>`,
				html.EscapeString(m.href(fmt.Sprintf("https://pinwall.example/p/%d", i))), i))
		}
		m.b.WriteString("</div>")
	}
	m.b.WriteString("<div><h2>" + m.lang.asked + "</h2>")
	for _, q := range []string{"How long does a roof last?", "Who pays for a leak?", "Do I need a permit?"} {
		m.text("div", q)
	}
	m.b.WriteString("</div>")
	run(3+m.IntN(3), false)
	m.b.WriteString("<div><h2>" + m.lang.related +
		`</h2><a href="/s?q=a">roof repair cost</a><a href="/s?q=b">flat roof</a></div>` +
		`<div><a href="/privacy">Privacy</a><a href="https://about.` + m.host + `/">About</a></div></body></html>`)
	return m.b.String()
}

// Pages in makes that are drawn are read: of all their entries 97 % with part, place, title and site, and
// hardly anything else.
func TestDrawnMakes(t *testing.T) {
	const pages = 250
	all, right, extra := 0, 0, 0
	for seed := range uint64(pages) {
		m := newMaker(seed)
		body := m.draw()
		r, missing := agree(m.want, Read([]byte(body), Source{}).Entries)
		all, right, extra = all+len(m.want), right+r, extra+len(missing)
		if testing.Verbose() && (r < len(m.want) || len(missing) > 0) {
			t.Logf("page %d (%s, title %s, nested %d, in %v, whole %v, first %v, wrap %d, run %v): %d of %d, not "+
				"there: %v", seed, m.entry,
				m.titleTag, m.nested, m.linkIn, m.whole, m.addressFirst, m.wrap, m.labelRun, r, len(m.want), missing)
		}
	}
	t.Logf("%d of %d entries right, %d that are none", right, all, extra)
	assert.GreaterOrEqual(t, right, all*97/100)
	assert.LessOrEqual(t, extra, all/50)
}

// agree counts the entries that were read as they were drawn, and returns those that were not drawn.
func agree(want []drawn, got []entry.Entry) (right int, extra []string) {
	next := map[entry.Part]int{}
	place := map[string]bool{}
	key := func(d drawn, n int) string { return fmt.Sprint(d.part, n, d.title, d.domain) }
	for _, d := range want {
		next[d.part]++
		place[key(d, next[d.part])] = true
	}
	clear(next)
	for _, e := range got {
		next[e.Part]++
		if k := key(drawn{e.Part, e.Title, e.Domain}, next[e.Part]); place[k] {
			right++
		} else {
			extra = append(extra, fmt.Sprint(e.Part, " ", e.Title, " ", e.Domain))
		}
	}
	return right, extra
}
