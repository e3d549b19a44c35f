package results

import (
	"strings"

	"inktally/core/entry"
	"inktally/core/lineup"
)

// fewSources is how many links of a page name their site at least, where such texts are told by
// their shape.
const fewSources = 3

// nameSources finds the shapes of the texts that name the site over a title in its link: where most
// texts of a shape do, all of that shape do.
func (s *scan) nameSources() {
	s.sources, s.inLinks = map[string]bool{}, map[string]int{}
	type votes struct{ n, named int }
	shapes := map[string]*votes{}
	for i := range s.units {
		u := &s.units[i]
		if s.leads(u) == "" || u.labeled {
			continue
		}
		s.inLinks[entry.Fold(u.text)]++
		if u.heading || !s.shared(i) {
			continue
		}
		v := shapes[s.shape[i]]
		if v == nil {
			v = &votes{}
			shapes[s.shape[i]] = v
		}
		v.n++
		v.named += entry.One(namesSite(u.name(), lineup.Domain(s.out[u.link])))
	}
	for shape, v := range shapes {
		s.sources[shape] = v.named >= fewSources && 2*v.named > v.n
	}
}

// shared reports whether the link of the unit i holds other texts beside it, that are no address.
func (s *scan) shared(i int) bool {
	for _, k := range []int{i - 2, i - 1, i + 1, i + 2} {
		if k >= 0 && k < len(s.units) && s.units[k].link == s.units[i].link && s.units[k].address() == "" &&
			!s.units[k].labeled && entry.HasLetter(s.units[k].text) {
			return true
		}
	}
	return false
}

// headed reports whether the link of the unit i holds a heading beside it.
func (s *scan) headed(i int) bool {
	for _, k := range []int{i - 2, i - 1, i + 1, i + 2} {
		if k >= 0 && k < len(s.units) && s.units[k].link == s.units[i].link && s.units[k].heading {
			return true
		}
	}
	return false
}

// namesSite reports whether a text is the name of a site: its letters are those of the domain, or
// its beginning.
func namesSite(name, domain string) bool {
	label, _, _ := strings.Cut(domain, ".")
	label = strings.ReplaceAll(label, "-", "")
	letters := strings.ReplaceAll(entry.Fold(strings.TrimPrefix(strings.ToLower(name), "the ")), " ", "")
	return len(letters) > 2 && strings.HasPrefix(label, letters)
}
