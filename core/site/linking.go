package site

import (
	"slices"

	"inktally/core/finding"
	"inktally/core/page"
	"inktally/core/text"
)

// unlinked finds service pages that the home page does not link by a word of their service (rule 11). Where the home
// page was not read nothing is known; those that are to go need no link.
func (f *finder) unlinked(yield map[int]bool) {
	home := slices.IndexFunc(f.tree.Pages, func(p Surveyed) bool { return p.Kind == Home })
	if home < 0 || f.s.Visited[home].Gist == nil {
		return
	}
	links := f.s.Visited[home].Gist.Links
	for i, p := range f.tree.Pages {
		if p.Kind != Service || p.Service == "" || p.Place != "" || yield[i] || f.s.Visited[i].Gist == nil {
			continue
		}
		if !slices.ContainsFunc(links, func(l page.LinkFact) bool {
			return SameAddress(l.Address, p.URL) && f.s.Binder.Mentions(l.Text, p.Service)
		}) {
			f.add(finding.Finding{Type: finding.NoHomeLink, URL: p.URL, Other: f.tree.Pages[home].URL,
				Services: []string{p.Service}})
		}
	}
}

// undescribed finds a site none of whose pages describes the business in structured data (rule 11).
func (f *finder) undescribed() {
	read := false
	for _, v := range f.s.Visited {
		if v.Gist == nil {
			continue
		}
		if read = true; v.Gist.Businesses > 0 {
			return
		}
	}
	if read && f.home() != "" {
		f.add(finding.Finding{Type: finding.NoBusinessData, URL: f.home()})
	}
}

// Mentions reports whether a text holds a content word of one of a service's forms.
func (b *Binder) Mentions(s, service string) bool {
	said := b.saying(s)
	words := b.wordsOf(service)
	for stem := range said.has {
		if words[stem] {
			return true
		}
	}
	return false
}

// says reports whether a text names a service, and holds no content word that is none of its forms'.
func (b *Binder) says(s, service string) bool {
	words := b.wordsOf(service)
	for _, t := range b.lang.Reads(b.withoutPlaces(text.Tokens(s))) {
		if !b.lang.Small(t) && !fillers[t] && !words[b.lang.Stem(t)] {
			return false
		}
	}
	return b.Service(s) == service
}

// wordsOf returns the stems of the content words of a service's forms.
func (b *Binder) wordsOf(service string) map[string]bool {
	out := map[string]bool{}
	for _, of := range b.services {
		if of.name != service {
			continue
		}
		for _, form := range of.forms {
			for _, stem := range form {
				out[stem] = true
			}
		}
	}
	return out
}
