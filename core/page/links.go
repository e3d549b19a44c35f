package page

import (
	"slices"
	"strings"

	"inktally/core/contact"
	"inktally/core/cues"
	"inktally/core/element"
	"inktally/core/linked"
	"inktally/core/text"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// LinkFact is a link as it is shown to a user.
type LinkFact struct {
	// Text is the anchor text; of a link without text what its image or its
	// label says.
	Text string
	// Address is absolute if the page's own address is known.
	Address string
	Region  Region
	// Away reports whether it leads to another site.
	Away   bool
	Hidden bool
}

// LinkList returns the links of a page in document order, those that call or
// write left out.
func (p *Page) LinkList() []LinkFact {
	alts := map[string]string{}
	for i := range p.Images {
		if img := &p.Images[i]; img.Link != "" && img.Alt != nil {
			alts[img.Link] = text.Collapse(*img.Alt)
		}
	}
	out := []LinkFact{}
	for i := range p.Links {
		l := &p.Links[i]
		switch scheme, _ := contact.Scheme(l.Href); scheme {
		case "", "http", "https":
		default:
			continue
		}
		f := LinkFact{Text: p.AnchorText(l), Address: p.address(l.Href), Region: l.region, Away: p.leadsAway(l.Href),
			Hidden: l.hidden}
		if len(l.Spans) > 0 {
			f.Region = p.Blocks[l.Spans[0].Block].Region
		}
		if f.Text == "" {
			if f.Text = l.label; f.Text == "" {
				f.Text = alts[l.Href]
			}
		}
		out = append(out, f)
	}
	return out
}

// AnchorText returns the visible text of a link.
func (p *Page) AnchorText(l *Link) string {
	var pieces []string
	for _, s := range l.Spans {
		pieces = append(pieces, p.Text(s.Block)[s.Start:s.End])
	}
	return text.Collapse(strings.Join(pieces, " "))
}

// address makes the address of a link absolute if the page has one.
func (p *Page) address(href string) string {
	if p.URL == "" {
		return strings.TrimSpace(href)
	}
	return linked.Resolve(p.URL, href)
}

// links counts the links and finds the mail addresses and profiles among them.
func (p *Page) links(d *Details) {
	for i := range p.Links {
		l := &p.Links[i]
		scheme, rest := contact.Scheme(l.Href)
		switch scheme {
		case "mailto":
			address, _, _ := strings.Cut(rest, "?")
			if address != "" {
				d.Mails = oneMore(d.Mails, address)
			}
			continue
		case "", "http", "https":
		default:
			continue
		}
		away := p.leadsAway(l.Href)
		if away && leadsToProfile(l.node) {
			d.Profiles = oneMore(d.Profiles, l.Href)
		}
		if len(l.Spans) == 0 {
			continue
		}
		if away {
			d.External++
		} else {
			d.Internal++
		}
	}
	for _, b := range d.Businesses {
		for _, same := range b.Profiles {
			d.Profiles = oneMore(d.Profiles, same)
		}
	}
}

// oneMore adds an address to a list that does not hold it yet, up to mostDetails.
func oneMore(list []string, address string) []string {
	if len(list) >= mostDetails || slices.Contains(list, address) {
		return list
	}
	return append(list, address)
}

// leadsAway reports whether a link leads to another host.
func (p *Page) leadsAway(href string) bool {
	if !strings.Contains(href, "//") {
		return false // a path of this site
	}
	_, rest, ok := strings.Cut(linked.Resolve(p.URL, href), "://")
	if !ok {
		return false
	}
	_, own, _ := strings.Cut(p.URL, "://")
	return !strings.EqualFold(hostOf(rest), hostOf(own))
}

func hostOf(rest string) string {
	host, _, _ := strings.Cut(rest, "/")
	return strings.TrimPrefix(strings.ToLower(host), "www.")
}

// profileLevels is how far above a link the class may stand that shows that it
// leads to a profile.
const profileLevels = 4

// leadsToProfile reports whether a link leads to the business's own page on a site where
// people follow it: by rel, or by the class of what it stands in.
func leadsToProfile(n *html.Node) bool {
	if slices.Contains(strings.Fields(strings.ToLower(element.Attr(n, "rel"))), "me") {
		return true
	}
	for range profileLevels {
		if n == nil || n.DataAtom == atom.Body {
			return false
		}
		if cues.IsSocial(element.Attr(n, "class") + " " + element.Attr(n, "id")) {
			return true
		}
		n = n.Parent
	}
	return false
}
