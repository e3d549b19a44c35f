package view

import (
	"inktally/core/menu"
	"inktally/core/page"
	"inktally/internal/wording"
)

// Words are the word counts of a page.
type Words struct {
	Seen   int `json:"seen" doc:"What a visitor gets by select-all and copy (rule 2.2)"`
	Copy   int `json:"copy" doc:"Words seen less menus, headers, footers and link lists"`
	Hidden int `json:"hidden" doc:"In the page but not shown"`
}

// WordsOf shows word counts.
func WordsOf(w page.Words) Words { return Words(w) }

// Heading is a heading of a page.
type Heading struct {
	Level  int    `json:"level"`
	Text   string `json:"text"`
	Words  int    `json:"words" doc:"Copy words from this heading to the next"`
	Within int    `json:"within" doc:"And on to the next heading of the same or a higher level"`
	Block  int    `json:"block" doc:"The block in which it begins"`
}

// Warning is what is to be known of a reading.
type Warning struct {
	Code WarningCode `json:"code"`
	Says string      `json:"says"`
}

// WarningsOf shows warnings.
func WarningsOf(list []page.Warning) []Warning {
	out := []Warning{}
	for _, w := range list {
		out = append(out, Warning{WarningCode(w), wording.Warning(w)})
	}
	return out
}

// Flaw is something about a page that its owner should hear.
type Flaw struct {
	Code  FlawCode `json:"code"`
	Says  string   `json:"says"`
	First bool     `json:"first" doc:"It must be fixed before all else"`
}

// Details are what an owner can see of a page beside its words.
type Details struct {
	Canonical         string              `json:"canonical" doc:"As it stands in the page"`
	Robots            string              `json:"robots" doc:"What the page tells search engines"`
	Secure            bool                `json:"secure" doc:"Read by https"`
	Phones            []Phone             `json:"phones"`
	Mails             []string            `json:"mails" doc:"Addresses that a link writes to"`
	Profiles          []string            `json:"profiles" doc:"Of the business on other sites, where people follow it"`
	Forms             int                 `json:"forms" doc:"Forms with something to fill in, searches left out"`
	Videos            int                 `json:"videos"`
	Maps              int                 `json:"maps"`
	Internal          int                 `json:"internal" doc:"Links with text to this site"`
	External          int                 `json:"external" doc:"Links with text to other sites"`
	Businesses        []DescribedBusiness `json:"businesses" doc:"Those that the page describes in structured data"`
	Placeholder       Passages            `json:"placeholder" doc:"Visible blocks of left-over text"`
	Foreign           Passages            `json:"foreign" doc:"Visible blocks in another language than the page's"`
	Vague             []string            `json:"vague" doc:"Catch-all words for the places around"`
	Baked             []string            `json:"baked" doc:"Large images that may hold words"`
	Testimonials      int                 `json:"testimonials"`
	Years             string              `json:"years" doc:"What the page says of its years in trade"`
	UnderConstruction bool                `json:"under_construction"`
	Flaws             []Flaw              `json:"flaws" doc:"The gravest first"`
}

// Phone is a telephone number on a page.
type Phone struct {
	Number string `json:"number"`
	Linked bool   `json:"linked" doc:"Click to call"`
}

// Passages are blocks of a page that have something in common.
type Passages struct {
	Words int      `json:"words"`
	Texts []string `json:"texts" doc:"The first of them, cut short"`
}

// DescribedBusiness is what structured data says of a business.
type DescribedBusiness struct {
	Type     string   `json:"type"`
	Name     string   `json:"name"`
	Phone    string   `json:"phone"`
	Address  string   `json:"address"`
	Hours    []string `json:"hours"`
	Areas    []string `json:"areas" doc:"Areas served"`
	Profiles []string `json:"profiles"`
}

// DetailsOf shows the details of a page with what is wrong with it.
func DetailsOf(p *page.Page) *Details {
	d := p.Details()
	out := &Details{Canonical: d.Canonical, Robots: d.Robots, Secure: d.Secure, Phones: []Phone{}, Mails: d.Mails,
		Profiles: d.Profiles,
		Forms:    d.Forms, Videos: d.Videos, Maps: d.Maps, Internal: d.Internal, External: d.External,
		Businesses:  []DescribedBusiness{},
		Placeholder: Passages(d.Placeholder), Foreign: Passages(d.Foreign), Vague: d.Vague, Baked: d.Baked,
		Testimonials: d.Testimonials,
		Years:        d.Years, UnderConstruction: d.UnderConstruction, Flaws: []Flaw{}}
	for _, p := range d.Phones {
		out.Phones = append(out.Phones, Phone(p))
	}
	for _, b := range d.Businesses {
		out.Businesses = append(out.Businesses, DescribedBusiness(b))
	}
	for _, f := range p.Findings() {
		out.Flaws = append(out.Flaws, Flaw{FlawCode(f.Type), wording.Flaw(f), f.Type.First()})
	}
	return out
}

// PageFacts is all there is on a page beside its words.
type PageFacts struct {
	Details   *Details     `json:"details"`
	Menus     [][]MenuItem `json:"menus" doc:"The menus as trees, folded entries too"`
	Links     []LinkFact   `json:"links" doc:"The first of them where there are very many"`
	LinkCount int          `json:"link_count"`
}

// MenuItem is an entry of a menu with those below it.
type MenuItem struct {
	Text    string     `json:"text"`
	Address string     `json:"address" doc:"Empty for an entry that only opens those below it"`
	Items   []MenuItem `json:"items"`
}

// LinkFact is a link of a page.
type LinkFact struct {
	Text    string `json:"text"`
	Address string `json:"address" doc:"Absolute if the page's own address is known"`
	Region  string `json:"region" doc:"The part of the page that it stands in"`
	Away    bool   `json:"away" doc:"Whether it leads to another site"`
	Hidden  bool   `json:"hidden"`
}

// PageFactsOf shows all there is on a page beside its words.
func PageFactsOf(p *page.Page) *PageFacts {
	f := &PageFacts{Details: DetailsOf(p), Menus: [][]MenuItem{}, Links: []LinkFact{}}
	for _, m := range p.Menus() {
		f.Menus = append(f.Menus, menuOf(m))
	}
	links := p.LinkList()
	f.LinkCount = len(links)
	for _, l := range firstOf(links, mostLinks) {
		f.Links = append(f.Links, LinkFact{l.Text, l.Address, l.Region.String(), l.Away, l.Hidden})
	}
	return f
}

func menuOf(items []menu.Item) []MenuItem {
	out := []MenuItem{}
	for _, i := range items {
		out = append(out, MenuItem{i.Text, i.Address, menuOf(i.Items)})
	}
	return out
}
