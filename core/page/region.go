package page

import (
	"strings"

	"inktally/core/element"
	"inktally/core/style"

	"golang.org/x/net/html"
	"golang.org/x/net/html/atom"
)

// landmark returns the region that an element opens by its tag or ARIA role.
// sectioned says that it stands inside an article, section, main, aside or
// nav, if a header or footer belongs to that part and not to the page.
func landmark(a atom.Atom, role string, sectioned bool) (Region, bool) {
	switch strings.ToLower(role) {
	case "banner":
		return Banner, true
	case "navigation", "menubar":
		return Nav, true
	case "complementary":
		return Aside, true
	case "contentinfo":
		return Footer, true
	case "dialog", "alertdialog":
		return Dialog, true
	case "main":
		return Main, true
	case "presentation", "none":
		return Main, false
	}
	switch a {
	case atom.Header:
		return Banner, !sectioned
	case atom.Nav:
		return Nav, true
	case atom.Aside:
		return Aside, true
	case atom.Footer:
		return Footer, !sectioned
	case atom.Dialog:
		return Dialog, true
	case atom.Main:
		return Main, true
	}
	return Main, false
}

// regionWords name a region in a class or an id; neutralWords may stand
// beside them: "site-footer", "main-nav-wrapper".
var (
	regionWords = map[string]Region{
		"nav": Nav, "navbar": Nav, "navigation": Nav, "menu": Nav, "menubar": Nav, "topnav": Nav,
		"sidenav": Nav, "breadcrumb": Nav, "breadcrumbs": Nav, "pagination": Nav,
		"header": Banner, "masthead": Banner, "topbar": Banner,
		"footer": Footer, "colophon": Footer,
		"sidebar": Aside,
		"modal":   Dialog, "popup": Dialog, "lightbox": Dialog, "cookie": Dialog, "cookies": Dialog, "consent": Dialog,
	}
	neutralWords = map[string]bool{
		"site": true, "page": true, "main": true, "top": true, "bottom": true, "global": true, "wrapper": true,
		"wrap": true, "inner": true, "outer": true, "container": true, "area": true, "the": true, "bar": true,
		"primary": true, "secondary": true, "mobile": true, "desktop": true, "left": true, "right": true,
		"widgets": true, "widget": true, "links": true, "list": true, "box": true, "notice": true, "sub": true,
		"mega": true, "dropdown": true, "row": true, "block": true, "section": true, "items": true, "side": true,
	}
)

// namedRegion returns the region that a class or an id names (rule 1.4).
func namedRegion(names string) (Region, bool) {
	for names != "" {
		var name string
		name, names = style.NextClass(names)
		if region, ok := regionOfName(name); ok {
			return region, true
		}
	}
	return Main, false
}

func regionOfName(name string) (region Region, ok bool) {
	if len(name) < 3 || len(name) > 40 {
		return Main, false
	}
	var lowered [40]byte
	for i := 0; i < len(name); i++ {
		lowered[i] = name[i] | 0x20*b2u(name[i] >= 'A' && name[i] <= 'Z')
	}
	word := lowered[:len(name)]
	for len(word) > 0 {
		at := 0
		for at < len(word) && word[at] != '-' && word[at] != '_' {
			at++
		}
		if at > 0 {
			if named, is := regionWords[string(word[:at])]; is {
				if !ok {
					region, ok = named, true
				}
			} else if !neutralWords[string(word[:at])] {
				return Main, false
			}
		}
		word = word[min(at+1, len(word)):]
	}
	return region, ok
}

func b2u(b bool) byte {
	if b {
		return 1
	}
	return 0
}

// holdsMain reports whether a main landmark stands below n, which then is no
// region by its name alone.
func holdsMain(n *html.Node) bool {
	for c := n.FirstChild; c != nil; c = c.NextSibling {
		if c.Type != html.ElementNode {
			continue
		}
		if c.DataAtom == atom.Main || element.Attr(c, "role") == "main" || holdsMain(c) {
			return true
		}
	}
	return false
}

const (
	linkRun    = 5  // links that make a list of links (rule 1.4)
	bannerCopy = 12 // words that make prose of a block in a banner
)

// settleRegions applies the rules that need the whole page: what of a banner
// is copy, and which runs of links are menus (rule 1.4).
func settleRegions(blocks []Block, banners int32) {
	hasCopy := make([]bool, banners+1)
	for i := range blocks {
		b := &blocks[i]
		if b.Region == Banner && !b.Hidden && b.banner > 0 &&
			(b.Level == 1 || b.Words >= bannerCopy && !b.mostlyLinks()) {
			hasCopy[b.banner] = true
		}
	}
	for i := range blocks {
		b := &blocks[i]
		if b.Region == Banner && hasCopy[b.banner] {
			b.Region = Main
		}
	}
	settleLinkRuns(blocks)
}

// settleLinkRuns makes nav of each run of blocks that are mostly links.
func settleLinkRuns(blocks []Block) {
	from, links := -1, int32(0)
	end := func(to int) {
		if from >= 0 && links >= linkRun {
			for i := from; i < to; i++ {
				if !blocks[i].Hidden {
					blocks[i].Region = Nav
				}
			}
		}
		from, links = -1, 0
	}
	for i := range blocks {
		b := &blocks[i]
		if b.Hidden || b.Words == 0 {
			continue
		}
		if b.inMain || b.Region.frame() || !b.mostlyLinks() {
			end(i)
			continue
		}
		if from < 0 {
			from = i
		}
		links += b.links
	}
	end(len(blocks))
}

// mostlyLinks reports whether links hold over 60 % of the block.
func (b *Block) mostlyLinks() bool { return int(b.linkWords)*10 > b.Words*6 }
