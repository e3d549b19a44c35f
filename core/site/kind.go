package site

import (
	"net/url"
	"regexp"
	"slices"
	"strings"

	"inktally/core/text"
)

// Clues is what a page says of itself and what its site calls it.
type Clues struct {
	URL, Title, H1 string
	// Labels are the texts of links that lead to it, those of menus first.
	Labels []string
	// Headings are h2 and h3, Under the copy words below each; Copy are those of the page.
	Headings []string
	Under    []int
	Copy     int
	// Forms, Maps and Images are how many of them the page holds.
	Forms, Maps, Images int
}

// KindReason names why a page has its kind.
type KindReason string

// The reasons, and what their words are.
const (
	ByAddress   KindReason = "address"  // the word of it
	ByLabel     KindReason = "label"    // the menu's label
	ByService   KindReason = "service"  // the service
	ByPlace     KindReason = "place"    // the place
	BySeveral   KindReason = "several"  // the services
	ByRoot      KindReason = "root"     // none
	ByNothing   KindReason = "nothing"  // none
	ByHand      KindReason = "by_hand"  // none
	ByServiceIn KindReason = "together" // the service, the place
	ByBody      KindReason = "body"     // none
)

// KindReasons returns all of them.
func KindReasons() []KindReason {
	return []KindReason{ByAddress, ByLabel, ByService, ByPlace, BySeveral, ByRoot, ByNothing, ByHand, ByServiceIn,
		ByBody}
}

// Purpose is what a page is for, with the reason.
type Purpose struct {
	Kind           Kind
	Service, Place string // empty for none of its own, and for the home town
	Reason         KindReason
	Words          []string
}

// words of other languages than kindWords has, and of labels.
var labelWords = []struct {
	kind  Kind
	words []string
}{
	{About, []string{"about", "team", "history", "story", "who we are", "our company", "staff", "meet", "the firm",
		"our firm", "the company", "our people", "our family", "propos",
		"qui sommes nous", "uber uns", "ueber uns", "wir uber uns", "quienes somos", "nosotros", "chi siamo"}},
	{Contact, []string{"contact", "contacts", "contacto", "kontakt", "contatti", "directions", "quote", "estimate",
		"appointment", "booking", "book", "get in touch", "find us", "reach us", "write to us", "call us", "visit us",
		"where we are", "hours", "nous joindre", "anfahrt", "soumission",
		"devis", "presupuesto"}},
	{Gallery, []string{"gallery", "photos", "portfolio", "projects", "our work", "before and after", "galerie",
		"galeria", "realisations", "referenzen", "bilder", "fotos"}},
	{Article, []string{"blog", "news", "article", "articles", "faq", "faqs", "tips", "guide", "guides", "advice",
		"resources", "questions", "actualites", "conseils", "aktuelles", "ratgeber", "noticias", "consejos"}},
	{Other, []string{"privacy", "terms", "cookies", "imprint", "impressum", "datenschutz", "mentions legales",
		"careers", "jobs", "testimonials", "reviews", "specials", "coupons", "offers", "sitemap", "thank you", "thanks",
		"login", "cart", "checkout", "account", "accessibility", "financing", "warranty"}},
}

// dated is the path of an article that is filed by its date.
var dated = regexp.MustCompile(`/(19|20)\d\d/\d{1,2}/`)

// hubs are the words of pages that only list others.
var hubs = map[string]bool{"services": true, "our services": true, "what we do": true, "all services": true,
	"areas": true, "service areas": true, "areas we serve": true,
	"service area": true, "locations": true, "towns": true, "towns we serve": true, "communities": true,
	"communities we serve": true, "where we serve": true, "where we work": true, "leistungen": true,
	"nos services": true, "servicios": true, "prestations": true}

// PurposeOf returns what a page is for, by its address, what menus call it, its title, its
// h1 and its headings (rules 5.1, 9.1).
func PurposeOf(clues Clues, b *Binder) Purpose {
	slug := Slug(clues.URL)
	if slug == "" {
		return Purpose{Kind: Home, Reason: ByRoot}
	}
	service, place := b.vote(clues, slug)
	if place == "" {
		place = b.elsewhere(clues)
	}
	if p, ok := byWords(clues, slug, service, place); ok {
		return p
	}
	hub := hubs[LastOf(clues.URL)] || len(clues.Labels) > 0 && hubs[strings.Join(text.Tokens(clues.Labels[0]), " ")]
	if p, ok := b.several(clues, slug, hub); ok {
		return p
	}
	if place == b.home {
		place = ""
		if onlyPlace(b, LastOf(clues.URL)) {
			return Purpose{Kind: Area, Place: b.home, Service: service, Reason: ByPlace, Words: []string{b.home}}
		}
	}
	if hub && service == "" && place == "" {
		return Purpose{Kind: Other, Reason: ByAddress, Words: []string{slug}}
	}
	if service == "" && place == "" {
		return byBody(clues)
	}
	return ofSubject(service, place)
}

// What a page of another kind holds at most and at least (rule 9.1).
const (
	littleCopy = 120
	manyImages = 6
)

// byBody tells a page that names no subject by what it holds: a form or a map and little else is a
// contact page, many images a gallery.
func byBody(clues Clues) Purpose {
	switch {
	case clues.Copy > littleCopy:
	case clues.Forms+clues.Maps > 0:
		return Purpose{Kind: Contact, Reason: ByBody}
	case clues.Images >= manyImages:
		return Purpose{Kind: Gallery, Reason: ByBody}
	}
	return ofSubject("", "")
}

// severalServices is how many services in its headings make a page one of several (rule 9.1).
const severalServices = 3

// several finds the pages that list others, and those that hold several services.
func (b *Binder) several(clues Clues, slug string, hub bool) (Purpose, bool) {
	services := b.Services(clues.Headings)
	many := len(services) >= severalServices
	switch {
	case !many && hubs[LastOf(clues.URL)] && b.Service(clues.H1) == "" && len(b.Places(clues.H1)) == 0:
		return Purpose{Kind: Other, Reason: ByAddress, Words: []string{LastOf(clues.URL)}}, true
	case many && (hub || b.Service(slug) == "" && b.Service(clues.H1) == "" || b.mostly(clues)):
		return Purpose{Kind: Other, Reason: BySeveral, Words: services}, true
	}
	return Purpose{}, false
}

// ofSubject returns the purpose of a page of a service, of a place, or of both.
func ofSubject(service, place string) Purpose {
	switch {
	case place != "" && service != "":
		return Purpose{Area, service, place, ByServiceIn, []string{service, place}}
	case place != "":
		return Purpose{Area, "", place, ByPlace, []string{place}}
	case service != "":
		return Purpose{Service, service, "", ByService, []string{service}}
	}
	return Purpose{Kind: Other, Reason: ByNothing}
}

// mostly reports whether most of the copy of a page stands below headings that name services, whatever
// its address says.
func (b *Binder) mostly(clues Clues) bool {
	below := 0
	for i, n := range clues.Under {
		if b.Service(clues.Headings[i]) != "" {
			below += n
		}
	}
	return 2*below > clues.Copy
}

// byWords finds the kinds that words tell: in the address, else in the menu's label. A
// page that names a service in its address and its h1 is that service's all the same.
func byWords(clues Clues, slug, service, place string) (Purpose, bool) {
	if dated.MatchString(clues.URL) {
		return Purpose{Kind: Article, Reason: ByAddress, Words: []string{slug}}, true
	}
	if p, ok := byPath(" "+slug+" ", " "+LastOf(clues.URL)+" ", service == "" && place == ""); ok {
		return p, true
	}
	if service != "" || place != "" {
		return Purpose{}, false
	}
	return byMenu(clues)
}

// byPath finds the kinds that words of an address tell: its last part, or the folder that a
// page is filed in. More words may stand beside one if they name no subject.
func byPath(path, last string, noSubject bool) (Purpose, bool) {
	filed := len(strings.Fields(path)) > len(strings.Fields(last))
	for _, k := range labelWords {
		folder := filed && k.kind != About && k.kind != Contact
		for _, w := range k.words {
			named := strings.Contains(last, " "+w+" ") && !beside(last, w) &&
				(few(last, w, 2) || noSubject && few(last, w, 4) || telling(last, w))
			if named || folder && strings.HasPrefix(path, " "+w+" ") {
				return Purpose{Kind: k.kind, Reason: ByAddress, Words: []string{w}}, true
			}
		}
	}
	return Purpose{}, false
}

// byMenu finds the kinds that what menus call a page suggests.
func byMenu(clues Clues) (Purpose, bool) {
	for _, label := range clues.Labels {
		folded := " " + strings.Join(text.Tokens(label), " ") + " "
		for _, k := range labelWords {
			for _, w := range k.words {
				if strings.Contains(folded, " "+w+" ") && few(folded, w, 2) && !beside(folded, w) {
					return Purpose{Kind: k.kind, Reason: ByLabel, Words: []string{strings.TrimSpace(label)}}, true
				}
			}
		}
	}
	return Purpose{}, false
}

// few reports whether words hold only so many more than w.
func few(words, w string, more int) bool {
	return len(strings.Fields(words)) <= len(strings.Fields(w))+more
}

// beside reports whether a word says what a page is for only at the beginning or the end: more
// about stoves is about stoves, and this book is no booking.
func beside(words, w string) bool {
	switch w {
	case "about":
		return !strings.HasPrefix(words, " about ") && !strings.HasSuffix(words, " about ")
	case "book":
		return !strings.HasPrefix(words, " book ")
	}
	return false
}

// telling reports whether a word says what a page is for wherever it begins or ends its
// address, be it of a service too: photos of chimney repairs, about our masons. A quote
// is asked for on any page.
func telling(last, w string) bool {
	switch w {
	case "quote", "estimate", "book", "booking", "hours", "history", "story", "questions", "appointment", "reviews",
		"offers", "specials", "meet":
		return false
	}
	return strings.HasPrefix(last, " "+w+" ") || strings.HasSuffix(last, " "+w+" ")
}

// What the parts of a page are worth when it is told what the page is for (rule 5.1), and what
// a subject needs.
const (
	votesOfAddress = 3 // of the last part of its address
	votesOfH1      = 3
	votesOfTitle   = 2
	votesOfLabel   = 2 // of what a menu calls it
	votesOfFolder  = 1 // of the rest of its address
	votesNeeded    = 2
	labelsHeard    = 2 // more labels say the same
)

// vote finds the service and the place that the most of what a page says of itself
// names: its address and h1 count more than its title and the links to it.
func (b *Binder) vote(clues Clues, slug string) (service, place string) {
	services, places := map[string]int{}, map[string]int{}
	add := func(s string, weight int) {
		if name := b.Service(s); name != "" {
			services[name] += weight
		}
		if named := b.Places(s); len(named) == 1 {
			places[named[0]] += weight
		}
	}
	add(LastOf(clues.URL), votesOfAddress)
	add(clues.H1, votesOfH1)
	add(titleOwn(clues.Title), votesOfTitle)
	if slug != LastOf(clues.URL) {
		add(slug, votesOfFolder)
	}
	for _, label := range clues.Labels[:min(len(clues.Labels), labelsHeard)] {
		add(label, votesOfLabel)
	}
	return winner(services, votesNeeded), winner(places, votesNeeded)
}

// titleOwn returns the part of a title before the name of the firm.
func titleOwn(title string) string {
	for _, sign := range []string{" | ", " – ", " — ", " - ", " · ", " :: "} {
		if own, _, ok := strings.Cut(title, sign); ok && len(own) > 3 {
			return own
		}
	}
	return title
}

// winner returns the one with the most votes, empty for several alike or too few.
func winner(votes map[string]int, least int) string {
	best, name, alike := least-1, "", false
	for n, v := range votes {
		switch {
		case v > best:
			best, name, alike = v, n, false
		case v == best:
			alike = true
		}
	}
	if alike {
		return ""
	}
	return name
}

// LastOf returns the last part of an address's path, as words.
func LastOf(address string) string {
	if u, err := url.Parse(address); err == nil {
		if words, ok := pickedBy(u); ok {
			return strings.Join(text.Tokens(words), " ")
		}
	}
	address, _, _ = strings.Cut(address, "?")
	parts := strings.Split(strings.Trim(address, "/"), "/")
	for i := len(parts) - 1; i > 2; i-- {
		name := parts[i]
		if dot := strings.LastIndexByte(name, '.'); dot > 0 && len(name)-dot <= 6 {
			name = name[:dot]
		}
		if name != "index" && name != "default" {
			return Slug("http://x/" + name)
		}
	}
	return ""
}

// onlyPlace reports whether words are the name of a place, with its state at most.
func onlyPlace(b *Binder, words string) bool {
	tokens := text.Tokens(words)
	return slices.ContainsFunc(b.places, func(p placeForm) bool {
		n := len(p.form)
		return len(tokens) >= n && len(tokens) <= n+1 && slices.Equal(tokens[:n], p.form)
	})
}
