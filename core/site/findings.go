package site

import (
	"slices"
	"strconv"
	"strings"

	"inktally/core/page"
	"inktally/core/place"
	"inktally/core/text"
)

// FindingType names what is wrong with a site.
type FindingType string

// The findings, and what their words are.
const (
	SecondCopy        FindingType = "second_copy"          // the address of the first
	OnlyPlacesDiffer  FindingType = "only_places_differ"   // the address of the other
	AllServices       FindingType = "all_services_page"    // the services
	ServiceNoPage     FindingType = "service_without_page" // the service
	ThinPage          FindingType = "thin_page"            // the copy words, half of the guideline
	Orphan            FindingType = "orphan"               // none
	DeadLink          FindingType = "dead_link"            // where it stands, its label, the status
	HTTPBesideHTTPS   FindingType = "http_beside_https"    // none
	PlaceWrong        FindingType = "place_contradiction"  // the place, where it stands, the text; of the body how often
	VagueAreaWords    FindingType = "vague_area_words"     // the words
	NoIndex           FindingType = "noindex"              // none
	PlaceholderText   FindingType = "placeholder_text"     // the text
	UnderConstruction FindingType = "under_construction"   // none
	PhoneNotLinked    FindingType = "phone_not_linked"     // the number
)

// FindingTypes are all of them.
func FindingTypes() []FindingType {
	return []FindingType{SecondCopy, OnlyPlacesDiffer, AllServices, ServiceNoPage, ThinPage, Orphan, DeadLink, HTTPBesideHTTPS, PlaceWrong,
		VagueAreaWords, NoIndex, PlaceholderText, UnderConstruction, PhoneNotLinked}
}

// First tells what rule 11 says is to be mended before all else.
func (t FindingType) First() bool {
	switch t {
	case NoIndex, PlaceholderText, DeadLink, HTTPBesideHTTPS, PlaceWrong:
		return true
	}
	return false
}

// Finding is something that is wrong with a page, or with the site where it has no
// address.
type Finding struct {
	Type  FindingType
	URL   string
	Words []string
}

type finder struct {
	s     Survey
	tree  *Tree
	twins []twin
}

func (f *finder) add(t FindingType, address string, words ...string) {
	f.tree.Findings = append(f.tree.Findings, Finding{t, address, words})
}

func (f *finder) findAll() {
	if f.s.Both {
		f.add(HTTPBesideHTTPS, f.home())
	}
	copies := f.copies()
	phone := false
	for i, v := range f.s.Visited {
		if v.Page == nil {
			continue
		}
		d := v.Page.Details()
		if d.UnderConstruction {
			f.add(UnderConstruction, v.URL)
		}
		if strings.Contains(strings.ToLower(d.Robots), "noindex") {
			f.add(NoIndex, v.URL)
		}
		if len(d.Placeholder.Texts) > 0 && !copies[i] {
			f.add(PlaceholderText, v.URL, d.Placeholder.Texts[0])
		}
		if len(d.Vague) > 0 && !copies[i] {
			f.add(VagueAreaWords, v.URL, d.Vague...)
		}
		if !phone && slices.Contains(d.Flaws, page.PhoneNoLink) {
			phone = true // menus and footers repeat it on every page
			f.add(PhoneNotLinked, v.URL, d.Phones[0].Number)
		}
		if copies[i] {
			continue // what is wrong with a copy is wrong with its first
		}
		if v.InLinks == 0 && f.tree.Pages[i].Kind != Home {
			f.add(Orphan, v.URL)
		}
		f.thin(i, d)
		f.wrongPlaces(i)
		f.allServices(i)
	}
	f.missing()
	for _, dead := range f.s.Dead {
		f.add(DeadLink, dead.URL, dead.From, dead.Label, strconv.Itoa(dead.Status))
	}
}

func (f *finder) home() string {
	for _, p := range f.tree.Pages {
		if p.Kind == Home {
			return p.URL
		}
	}
	return ""
}

// copies finds second copies, and pages that differ in their places alone. The copy is the
// page with the longer address, unless a canonical says which of them counts.
func (f *finder) copies() map[int]bool {
	copies := map[int]bool{}
	told := map[int]bool{} // to be like another one but for its place
	for _, t := range f.twins {
		a, b := f.s.Visited[t.a], f.s.Visited[t.b]
		switch {
		case t.butPlaces && told[t.b]:
		case t.butPlaces:
			told[t.b] = true
			f.add(OnlyPlacesDiffer, b.URL, a.URL)
		case SameAddress(b.Canonical, a.URL) || SameAddress(a.Canonical, b.URL):
			copies[t.b] = SameAddress(b.Canonical, a.URL)
			copies[t.a] = copies[t.a] || !copies[t.b]
		case copies[t.a]:
			copies[t.b] = true // it is one of the first already
		default:
			copies[t.b] = true
			f.add(SecondCopy, b.URL, a.URL)
		}
	}
	return copies
}

// thin finds pages with less copy than half of what the guideline starts at (rule 11).
func (f *finder) thin(i int, d page.Details) {
	kind, v := f.tree.Pages[i].Kind, f.s.Visited[i]
	if !kind.HasWordTarget() || d.UnderConstruction || v.Page.Warns(page.DrawnByScript) {
		return
	}
	if half := f.s.Low(kind) / 2; v.Page.Words.Copy < half {
		f.add(ThinPage, v.URL, strconv.Itoa(v.Page.Words.Copy), strconv.Itoa(half))
	}
}

// A section of a page that holds all services has at most so many words (rule 11).
const sectionWords = 150

// allServices finds a page in which three services or more have a heading and few words
// each.
func (f *finder) allServices(i int) {
	if f.tree.Pages[i].Kind == Home {
		return
	}
	var named []string
	for _, h := range f.s.Visited[i].Page.Headings {
		if h.Level < 2 || h.Words >= sectionWords {
			continue
		}
		if s := f.s.Binder.Service(h.Text); s != "" && !slices.Contains(named, s) {
			named = append(named, s)
		}
	}
	if len(named) >= 3 {
		f.add(AllServices, f.s.Visited[i].URL, named...)
	}
}

// missing finds services without a page: home holds the main one (rule 9.1).
func (f *finder) missing() {
	if len(f.tree.Pages) == 0 {
		return
	}
	for k, service := range f.s.Services {
		if k == 0 {
			continue
		}
		if !slices.ContainsFunc(f.tree.Pages, func(p Surveyed) bool { return p.Kind == Service && p.Service == service }) {
			f.add(ServiceNoPage, f.home(), service)
		}
	}
}

// wrongPlaces finds places that contradict a page's own (rule 5.2).
func (f *finder) wrongPlaces(i int) {
	p, v := f.tree.Pages[i], f.s.Visited[i]
	if !p.Kind.ForOneSubject() && p.Kind != Home {
		return
	}
	own := p.Place
	if own == "" {
		own = f.s.Binder.home
	}
	said := map[string]bool{}
	check := func(where, s string, title bool) {
		named := f.s.Binder.Places(without(s, f.s.Firm))
		if len(named) >= 3 || title && slices.Contains(named, own) {
			return
		}
		for _, other := range named {
			if other == own || said[other+where] || p.Kind == Home && !f.hasPage(other) {
				continue
			}
			said[other+where] = true
			f.add(PlaceWrong, v.URL, other, where, text.Collapse(s))
		}
	}
	check("title", v.Page.Title, true)
	check("h1", v.Page.H1(), false)
	if p.Kind != Home {
		for _, h := range v.Page.Headings {
			if h.Level > 1 {
				check("subhead", h.Text, false)
			}
		}
		check("url", Slug(v.URL), false)
	}
	f.wrongTowns(i, own)
	if p.Kind != Home {
		f.bodyPlaces(i, own)
	}
	for _, img := range v.Page.Images {
		if img.Hidden {
			continue
		}
		check("image", img.File, false)
		if img.Alt != nil {
			check("alt", *img.Alt, false)
		}
	}
}

// bodyPlaces finds another place that the copy of a page names more often than its own.
// Lists of three communities and more count for none.
func (f *finder) bodyPlaces(i int, own string) {
	v := f.s.Visited[i]
	counts := map[string]int{}
	for k := range v.Page.Blocks {
		b := &v.Page.Blocks[k]
		if !b.Copy() || b.Kind == page.HeadingText {
			continue
		}
		named := f.s.Binder.Places(without(v.Page.Text(k), f.s.Firm))
		if len(named) >= 3 {
			continue
		}
		for _, p := range named {
			counts[p]++
		}
	}
	for _, p := range f.s.Places {
		if p.Name != own && counts[p.Name] > max(counts[own], 1) {
			f.add(PlaceWrong, v.URL, p.Name, "body", strconv.Itoa(counts[p.Name]))
		}
	}
}

// wrongTowns finds a town with its state that is none of the client's places, in the title,
// a heading or an alt text: Ferry Point, OH.
func (f *finder) wrongTowns(i int, own string) {
	v := f.s.Visited[i]
	check := func(where, s string) {
		for _, m := range townState.FindAllStringSubmatch(s, -1) {
			at, ok := townBefore(m[1], m[2])
			if !ok || len(place.Regions(m[2])) == 0 || m[2] != strings.ToUpper(m[2]) {
				continue
			}
			ours := slices.ContainsFunc(f.s.Places, func(p place.Place) bool { return endsWith(at.name, p.Name) })
			if !ours && !endsWith(at.name, own) {
				f.add(PlaceWrong, v.URL, at.name+", "+at.state, where, text.Collapse(s))
			}
		}
	}
	check("title", v.Page.Title)
	for _, h := range v.Page.Headings {
		check("heading", h.Text)
	}
	for _, img := range v.Page.Images {
		if img.Alt != nil {
			check("alt", *img.Alt)
		}
	}
}

func endsWith(s, name string) bool {
	return name != "" && (strings.EqualFold(s, name) || strings.HasSuffix(strings.ToLower(s), " "+strings.ToLower(name)))
}

// hasPage tells a place that has an area page of its own.
func (f *finder) hasPage(place string) bool {
	return place != f.s.Binder.home && slices.ContainsFunc(f.tree.Pages, func(p Surveyed) bool { return p.Kind == Area && p.Place == place })
}

// without takes the name of the firm out of a text.
func without(s, firm string) string {
	before, after, found := text.CutFold(s, firm)
	if !found {
		return s
	}
	return before + " " + after
}
