package page

import (
	"strings"

	"inktally/core/contact"
	"inktally/core/cues"
	"inktally/core/menu"
	"inktally/core/structured"
	"inktally/core/text"
)

// Details are what an owner can see of a page beside its words.
type Details struct {
	// Canonical is as it stands in the page, Robots what the page tells search
	// engines.
	Canonical, Robots string
	// Refresh is where the page leads on by itself, as it stands in the page.
	Refresh string
	// Secure reports whether a page was read by https.
	Secure bool
	// Phones are the numbers in the visible text.
	Phones []contact.Phone
	// Mails are the addresses that a link writes to.
	Mails []string
	// Profiles are the addresses of the business on other sites, where people
	// follow it.
	Profiles []string
	// Forms are those with something to fill in, searches left out.
	Forms, Videos, Maps int
	// Internal and External count the links with text, by where they lead.
	Internal, External int
	// Businesses are those that the page describes in structured data.
	Businesses []structured.Business
	// Placeholder are the visible blocks of left-over text, Foreign those in
	// another language than the page's.
	Placeholder, Foreign Passages
	// Vague are the catch-all words for the places around (rule 5.3).
	Vague []string
	// Baked are the files of large images with hardly any text near them: words
	// may be part of the picture, in which no search finds them.
	Baked []string
	// Testimonials counts quotations and blocks marked as reviews.
	Testimonials int
	// Years is what the page says of its years in trade, empty for nothing.
	Years string
	// UnderConstruction reports whether the page says that it is, and holds little else.
	UnderConstruction bool
}

// Passages are blocks of a page that have something in common.
type Passages struct {
	Words int
	// Texts are the first of them, cut short.
	Texts []string
}

const (
	shownPassages = 5
	passageBytes  = 160
)

func (p *Passages) add(passage string, words int) {
	p.Words += words
	if len(p.Texts) == shownPassages {
		return
	}
	if len(passage) > passageBytes {
		passage = strings.ToValidUTF8(passage[:passageBytes], "") + "…"
	}
	p.Texts = append(p.Texts, passage)
}

// fewWords are those under which a page under construction is one.
const fewWords = 100

// Details returns what an owner can see of a page. They are worked out when
// they are first asked for.
func (p *Page) Details() Details {
	p.found.Do(p.find)
	return p.details
}

// Menus returns the menus of a page as trees, hidden entries too: most are
// folded until they are pointed at.
func (p *Page) Menus() [][]menu.Item {
	p.found.Do(p.find)
	return p.menus
}

func (p *Page) find() { p.details, p.menus = p.findDetails(), menu.Read(p.structure.menus, p.address) }

func (p *Page) findDetails() Details {
	s := &p.structure
	d := Details{Canonical: s.canonical, Robots: s.robots, Refresh: s.refresh,
		Secure: strings.HasPrefix(p.URL, "https:"), Forms: s.forms,
		Videos: s.videos, Maps: s.maps, Testimonials: s.quotes,
		Phones: []contact.Phone{}, Mails: []string{}, Profiles: []string{}, Vague: []string{}, Baked: []string{},
		Placeholder: Passages{Texts: []string{}}, Foreign: Passages{Texts: []string{}}}
	d.Businesses = structured.Read(p.structure.data, p.structure.items, menu.Label)
	p.links(&d)
	p.passages(&d)
	for i := range p.Images {
		if p.Images[i].Baked && len(d.Baked) < mostDetails {
			d.Baked = append(d.Baked, p.Images[i].File+p.Images[i].Ext)
		}
	}
	return d
}

// passages looks through the visible blocks for what they say.
func (p *Page) passages(d *Details) {
	phones := contact.NewList(p.Lang, p.telephones())
	tries, english := 0, text.English(p.Lang)
	for i := range p.Blocks {
		b := &p.Blocks[i]
		if b.Hidden {
			continue
		}
		lo, hi := p.TokenRange(i)
		s, t := cues.Of(&p.scan, lo, hi), p.Text(i)
		if s.Phone {
			phones.Find(t)
		}
		if s.May(cues.Filler) && cues.IsFiller(t) {
			d.Placeholder.add(t, b.Words)
		} else if b.Words >= foreignWords && tries < foreignTries && s.MayBeForeign(english, b.Words) {
			tries++
			if cues.Foreign(&p.scan, lo, hi, t, p.Lang) {
				d.Foreign.add(t, b.Words)
			}
		}
		if s.May(cues.Vague) && len(d.Vague) < mostDetails {
			d.Vague = append(d.Vague, cues.VagueIn(t)...)
		}
		if d.Years == "" && s.May(cues.Years) && b.Copy() {
			d.Years = cues.YearsIn(t)
		}
		if s.May(cues.Building) && p.Words.Copy < fewWords && cues.IsBuilding(t) {
			d.UnderConstruction = true
		}
	}
	found := phones.Found()
	d.Phones = append(d.Phones, found[:min(len(found), mostDetails)]...)
}

const (
	foreignWords = 12 // words of a block whose language can be told
	foreignTries = 6  // blocks of a page whose language is told: it is slow
	// mostDetails is how many of a kind are told: no page that somebody wrote has as many.
	mostDetails = 500
)

// telephones returns the numbers that links of the page call.
func (p *Page) telephones() (out []string) {
	for i := range p.Links {
		if scheme, rest := contact.Scheme(p.Links[i].Href); scheme == "tel" {
			out = append(out, rest)
		}
	}
	return out
}
