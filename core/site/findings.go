package site

import (
	"maps"
	"slices"
	"strings"

	"inktally/core/finding"
	"inktally/core/lexicon"
	"inktally/core/place"
	"inktally/core/text"
)

type finder struct {
	s     Survey
	tree  *Tree
	twins []twin
}

func (f *finder) add(found finding.Finding) { f.tree.Findings = append(f.tree.Findings, found) }

func (f *finder) findAll() {
	if f.s.Both {
		f.add(finding.Finding{Type: finding.HTTPBesideHTTPS, URL: f.home()})
	}
	if f.s.Plain {
		f.add(finding.Finding{Type: finding.HTTPOnly, URL: f.home()})
	}
	copies := f.copies()
	phone := false
	for i, v := range f.s.Visited {
		if v.Gist == nil {
			continue
		}
		for _, found := range v.Gist.Findings {
			once := found.Type == finding.PhoneNotLinked // menus and footers repeat it on every page
			ofFirst := found.Type == finding.PlaceholderText || found.Type == finding.VagueAreaWords
			if !found.Type.Shows(finding.OnSite) || once && phone || ofFirst && copies[i] {
				continue
			}
			phone = phone || once
			found.URL = v.URL
			f.add(found)
		}
		if copies[i] {
			continue // what is wrong with a copy is wrong with its first
		}
		if v.InLinks == 0 && f.tree.Pages[i].Kind != Home {
			f.add(finding.Finding{Type: finding.Orphan, URL: v.URL})
		}
		if v.Gist.DrawnByScript {
			f.add(finding.Finding{Type: finding.DrawnByScript, URL: v.URL})
		}
		f.thin(i)
		f.wrongPlaces(i)
		f.allServices(i)
	}
	f.missing()
	f.unlinked(f.sameSubject(copies))
	f.undescribed()
	for _, dead := range f.s.Dead {
		typ := finding.DeadLink
		if dead.Soft {
			typ = finding.SoftNotFound
		}
		f.add(finding.Finding{Type: typ, URL: dead.URL, Other: dead.From, Label: dead.Label,
			Status: dead.Status})
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
	reported := map[int]bool{} // to be like another one but for its place
	for _, t := range f.twins {
		a, b := f.s.Visited[t.a], f.s.Visited[t.b]
		switch {
		case t.butPlaces && reported[t.b]:
		case t.butPlaces:
			reported[t.b] = true
			f.add(finding.Finding{Type: finding.OnlyPlacesDiffer, URL: b.URL, Other: a.URL})
		case SameAddress(b.Canonical, a.URL) || SameAddress(a.Canonical, b.URL):
			copies[t.b] = SameAddress(b.Canonical, a.URL)
			copies[t.a] = copies[t.a] || !copies[t.b]
		case copies[t.a]:
			copies[t.b] = true // it is one of the first already
		default:
			copies[t.b] = true
			f.add(finding.Finding{Type: finding.SecondCopy, URL: b.URL, Other: a.URL})
		}
	}
	return copies
}

// thin finds pages with less copy than half of what the guideline starts at (rule 11).
func (f *finder) thin(i int) {
	kind, v := f.tree.Pages[i].Kind, f.s.Visited[i]
	if !kind.HasWordTarget() || v.Gist.UnderConstruction || v.Gist.DrawnByScript {
		return
	}
	if half := f.s.Low(kind) / 2; v.Gist.Words.Copy < half {
		f.add(finding.Finding{Type: finding.ThinPage, URL: v.URL, Words: v.Gist.Words.Copy, Least: half})
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
	for _, h := range f.s.Visited[i].Gist.Headings {
		if h.Level < 2 || h.Words >= sectionWords {
			continue
		}
		if s := f.s.Binder.Service(h.Text); s != "" && !slices.Contains(named, s) {
			named = append(named, s)
		}
	}
	if len(named) >= 3 {
		f.add(finding.Finding{Type: finding.AllServices, URL: f.s.Visited[i].URL, Services: named})
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
		if !slices.ContainsFunc(f.tree.Pages, func(p Surveyed) bool {
			return p.Kind == Service && p.Service == service
		}) {
			f.add(finding.Finding{Type: finding.ServiceNoPage, URL: f.home(), Services: []string{service}})
		}
	}
}

// subject is what a service page or an area page is for.
type subject struct {
	kind           Kind
	service, place string
}

// sameSubject finds pages for a service or a town that another page is for already: they stand in each other's way
// (rules 9.1, 11). Of these the page is the one of which most says so, and each of the others is beside it; it returns
// the others that are to go, with the copies.
func (f *finder) sameSubject(copies map[int]bool) (yield map[int]bool) {
	yield = maps.Clone(copies)
	first := map[subject]int{}
	for i := range f.tree.Pages {
		if of, ok := f.subject(i); ok && !copies[i] {
			if at, had := first[of]; !had || f.holds(i, at) {
				first[of] = i
			}
		}
	}
	for i, p := range f.tree.Pages {
		of, ok := f.subject(i)
		if !ok || copies[i] || first[of] == i {
			continue
		}
		at := first[of]
		found := finding.Finding{Type: finding.SameService, URL: p.URL, Other: f.tree.Pages[at].URL,
			Place: p.Place, Alike: p.Kind == Area || f.plainly(i) && f.plainly(at)}
		yield[i] = found.Alike
		if p.Kind == Service {
			found.Services = []string{p.Service}
		}
		f.add(found)
	}
	return yield
}

// subject returns what a page is for; it is not ok for one that is for nothing of its own, or could not be read.
func (f *finder) subject(i int) (of subject, ok bool) {
	p := f.tree.Pages[i]
	ok = p.Kind == Service && p.Service != "" || p.Kind == Area && p.Place != ""
	return subject{p.Kind, p.Service, p.Place}, ok && f.s.Visited[i].Gist != nil
}

// plainly reports whether a heading, the address or a part of the title of a page names its service and nothing else.
func (f *finder) plainly(i int) bool {
	v := f.s.Visited[i]
	texts := append(strings.FieldsFunc(strings.ReplaceAll(v.Gist.Title, " - ", "|"), func(r rune) bool {
		return strings.ContainsRune("|:–—•", r)
	}), v.Gist.H1, LastOf(v.URL))
	return slices.ContainsFunc(texts, func(s string) bool { return f.s.Binder.says(s, f.tree.Pages[i].Service) })
}

// holds reports whether of two pages for a service the first is the page: the one of which more names it,
// then the one with more copy (rule 9.1).
func (f *finder) holds(i, at int) bool {
	if a, b := f.tree.Pages[i].Says, f.tree.Pages[at].Says; a != b {
		return a > b
	}
	return f.s.Visited[i].Gist.Words.Copy > f.s.Visited[at].Gist.Words.Copy
}

// named counts how much of title, h1 and address name the service of a page, or its town.
func (f *finder) named(i int) (n int) {
	v, p := f.s.Visited[i], f.tree.Pages[i]
	if !p.Kind.ForOneSubject() {
		return 0
	}
	for _, s := range []string{v.Gist.Title, v.Gist.H1, LastOf(v.URL)} {
		if p.Kind == Area && slices.Contains(f.s.Binder.Places(s), p.Place) ||
			p.Kind == Service && f.s.Binder.Service(s) == p.Service {
			n++
		}
	}
	return n
}

// contradiction is a place that was found somewhere on a page.
type contradiction struct {
	place string
	where finding.Where
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
	seen := map[contradiction]bool{}
	check := func(where finding.Where, s string) {
		named := f.s.Binder.Places(without(s, f.s.Firm))
		if len(named) >= 3 || where == finding.InTitle && slices.Contains(named, own) {
			return
		}
		for _, other := range named {
			if other == own || seen[contradiction{other, where}] || p.Kind == Home && !f.hasPage(other) {
				continue
			}
			seen[contradiction{other, where}] = true
			f.add(finding.Finding{Type: finding.PlaceWrong, URL: v.URL, Place: other, Where: where,
				Texts: []string{text.Collapse(s)}})
		}
	}
	check(finding.InTitle, v.Gist.Title)
	check(finding.InH1, v.Gist.H1)
	if p.Kind != Home {
		for _, h := range v.Gist.Headings {
			if h.Level > 1 {
				check(finding.InSubhead, h.Text)
			}
		}
		check(finding.InURL, Slug(v.URL))
	}
	f.wrongTowns(i, own)
	if p.Kind != Home {
		f.bodyPlaces(i, own)
	}
	for _, img := range v.Gist.Pictures {
		if img.Hidden {
			continue
		}
		check(finding.InImage, spaced(img.File))
		if img.Alt != nil {
			check(finding.InAlt, *img.Alt)
		}
	}
}

// bodyPlaces finds another place that the copy of a page names more often than its own.
// Lists of three communities and more count for none.
func (f *finder) bodyPlaces(i int, own string) {
	v := f.s.Visited[i]
	counts := v.Gist.named
	for _, p := range f.s.Places {
		if p.Name != own && counts[p.Name] > max(counts[own], 1) {
			f.add(finding.Finding{Type: finding.PlaceWrong, URL: v.URL, Place: p.Name, Where: finding.InBody,
				Times: counts[p.Name]})
		}
	}
}

// wrongTowns finds a town with its state that is none of the client's places, in the title,
// a heading or an alt text: Ferry Point, OH.
func (f *finder) wrongTowns(i int, own string) {
	v := f.s.Visited[i]
	check := func(where finding.Where, s string) {
		for _, m := range place.TownState.FindAllStringSubmatch(s, -1) {
			at, ok := place.TownBefore(m[1], m[2])
			if !ok || len(place.Regions(m[2])) == 0 || m[2] != strings.ToUpper(m[2]) || !meansState(m[0], m[2], s) {
				continue
			}
			ours := slices.ContainsFunc(f.s.Places, func(p place.Place) bool { return endsWith(at.Name, p.Name) })
			if !ours && !endsWith(at.Name, own) {
				f.add(finding.Finding{Type: finding.PlaceWrong, URL: v.URL, Place: at.Name + ", " + at.State,
					Where: where, Texts: []string{text.Collapse(s)}})
			}
		}
	}
	check(finding.InTitle, v.Gist.Title)
	for _, h := range v.Gist.Headings {
		check(finding.InHeading, h.Text)
	}
	for _, img := range v.Gist.Pictures {
		if img.Alt != nil {
			check(finding.InAlt, *img.Alt)
		}
	}
}

// meansState reports whether capitals behind a name are those of a state: where they are an ordinary word
// too, or all of the text is in capitals, only after a comma (rule 5.2).
func meansState(found, state, in string) bool {
	if strings.Contains(found, ",") {
		return true
	}
	return in != strings.ToUpper(in) && !lexicon.English(strings.ToLower(state))
}

func endsWith(s, name string) bool {
	return name != "" && (strings.EqualFold(s, name) ||
		strings.HasSuffix(strings.ToLower(s), " "+strings.ToLower(name)))
}

// hasPage reports whether a place has an area page of its own.
func (f *finder) hasPage(town string) bool {
	return town != f.s.Binder.home && slices.ContainsFunc(f.tree.Pages, func(p Surveyed) bool {
		return p.Kind == Area && p.Place == town
	})
}

// without takes the name of the firm out of a text.
func without(s, firm string) string {
	before, after, found := text.CutFold(s, firm)
	if !found {
		return s
	}
	return before + " " + after
}
