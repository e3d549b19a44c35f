package results

import (
	"bytes"
	"slices"

	"inktally/core/entry"
	"inktally/core/lineup"
	"inktally/core/page"
	"inktally/core/wrapped"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// fromHTML reads a page of tags.
func fromHTML(body []byte, address string) Results {
	doc, err := html.Parse(bytes.NewReader(body))
	if err != nil {
		return Results{}
	}
	r := &reader{links: wrapped.Of(doc, address), out: map[*html.Node]string{}}
	group(doc, r.links, 0)
	r.walk(doc, nil, false)
	s := &scan{units: r.units[:min(len(r.units), mostUnits)], out: r.out, found: map[*html.Node]*below{}}
	s.pairVague()
	s.shapes()
	s.nameSources()
	s.measure()
	p := s.read()
	p.Phrase = searchedFor(doc, 0)
	p.Language = page.Read(body, page.Source{ContentType: "text/html; charset=utf-8"}).Lang
	return p
}

// mostUnits is how many texts of a page are looked at: one of a hundred entries has some thousand.
const mostUnits = 6000

// scan looks for entries among the units of a page.
type scan struct {
	units []unit
	out   map[*html.Node]string // what acts as a link, with where it leads
	found map[*html.Node]*below
	// titled are the shapes of the links that are titles, buttons those whose texts say the same
	// again and again.
	titled, buttons map[string]bool
	shape           []string // of each unit
	// sources are the shapes of the texts in a title's link that name the site.
	sources map[string]bool
	// inLinks counts the short texts in links.
	inLinks map[string]int
	// vague are links that do not tell where they lead: their target is the site whose address is
	// shown beside them.
	vague map[*html.Node]bool
}

// shapes tells by the shapes of links what they are: like links to many sites are titles, like
// links with few texts are buttons.
func (s *scan) shapes() {
	s.titled, s.buttons = map[string]bool{}, map[string]bool{}
	paths := map[*html.Node]string{}
	type group struct {
		n, own         int
		texts, domains map[string]bool
	}
	groups := map[string]*group{}
	s.shape = make([]string, len(s.units))
	for i := range s.units {
		u := &s.units[i]
		if u.link == nil || u.labeled {
			continue
		}
		s.shape[i] = pathOf(u.node, paths)
		if u.heading {
			s.shape[i] += "#"
		}
		if i > 0 && s.units[i-1].link == u.link && s.shape[i-1] == s.shape[i] || !entry.HasWord(u.text) ||
			u.address() != "" {
			continue
		}
		g := groups[s.shape[i]]
		if g == nil {
			g = &group{texts: map[string]bool{}, domains: map[string]bool{}}
			groups[s.shape[i]] = g
		}
		g.n++
		g.texts[entry.Fold(u.name())] = true
		if target := s.out[u.link]; target != "" {
			g.domains[lineup.Domain(target)] = true
			continue
		}
		g.own++
	}
	for shape, g := range groups {
		switch {
		case g.n > 2 && 2*len(g.texts) <= g.n:
			s.buttons[shape] = true
		case 2*g.own < g.n:
			s.titled[shape] = len(g.domains) > 1 && 2*len(g.domains) > g.n
		}
	}
}

// pathOf returns the names of the elements from the page's root to a node.
func pathOf(n *html.Node, paths map[*html.Node]string) string {
	if n == nil || n.Type == html.DocumentNode {
		return ""
	}
	if p, ok := paths[n]; ok {
		return p
	}
	p := pathOf(n.Parent, paths) + "/" + n.Data
	paths[n] = p
	return p
}

// below is what stands below an element, as far as it sets one entry apart from several.
type below struct {
	domains, phones, titles, shown []string // two at most
	ratings                        int
	lo, hi                         int // of the units
}

func add(list []string, more ...string) []string {
	for _, m := range more {
		if len(list) < 2 && !slices.Contains(list, m) {
			list = append(list, m)
		}
	}
	return list
}

// one reports whether an element holds one entry at most.
func (b *below) one() bool {
	return len(b.domains) < 2 && len(b.phones) < 2 && len(b.titles) < 2 && b.ratings < 2 &&
		(len(b.domains) > 0 || len(b.shown) < 2)
}

// measure returns for each element what stands below it, by its units.
func (s *scan) measure() {
	ratedAt := map[*html.Node]bool{}
	for i := range s.units {
		u := &s.units[i]
		var b below
		if target := s.leads(u); target != "" {
			b.domains = []string{lineup.Domain(target)}
			if u.heading || s.titled[s.shape[i]] {
				b.titles = []string{target}
			}
		} else if d := u.address(); d != "" {
			b.shown = []string{d}
		}
		if phone := entry.PhoneOf(u.text); phone != "" {
			b.phones = []string{entry.Digits(phone)}
		}
		if entry.IsRating(u.text) && !ratedNear(u.node, ratedAt) {
			b.ratings = 1
			ratedAt[u.node] = true
		}
		s.add(i, b)
	}
}

// add counts what the unit i holds in all elements around it.
func (s *scan) add(i int, b below) {
	for n := s.units[i].node; n != nil; n = n.Parent {
		at := s.found[n]
		if at == nil {
			at = &below{lo: i}
			s.found[n] = at
		}
		at.hi = i + 1
		at.domains, at.phones, at.titles = add(at.domains, b.domains...), add(at.phones, b.phones...),
			add(at.titles, b.titles...)
		at.shown = add(at.shown, b.shown...)
		at.ratings += b.ratings
	}
}

// leads returns where the link of a unit leads on another site, empty for nowhere. A link in the
// middle of a text is none of an entry.
func (s *scan) leads(u *unit) string {
	if u.link == nil || u.inProse() {
		return ""
	}
	return s.out[u.link]
}

// ratedNear reports whether a rating stands in, around or right beside another one: its
// label, its stars.
func ratedNear(n *html.Node, had map[*html.Node]bool) bool {
	for up, k := n, 0; up != nil && k < 3; up, k = up.Parent, k+1 {
		if had[up] {
			return true
		}
		for c := up.FirstChild; c != nil && k < 2; c = c.NextSibling {
			if had[c] {
				return true
			}
		}
	}
	return false
}

// root returns the largest element around a node that holds one entry.
func (s *scan) root(n *html.Node) *html.Node {
	for n.Parent != nil && n.Parent.DataAtom != atom.Body && n.Parent.DataAtom != atom.Html &&
		n.Parent.Type != html.DocumentNode {
		up := s.found[n.Parent]
		if up == nil || !up.one() {
			break
		}
		n = n.Parent
	}
	return n
}
